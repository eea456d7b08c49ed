import { useState } from 'react';
import { download } from './download';

/** A PDF that is being made and then handed to the browser; why it could not be, where it could not. */
export function useMakingPdf(name: string, work: () => Promise<Blob>) {
  const [working, setWorking] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const make = async () => {
    setWorking(true);
    setTrouble(null);
    try {
      download(name, await work());
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The sheets could not be made.');
    } finally {
      setWorking(false);
    }
  };
  return { working, trouble, make };
}
