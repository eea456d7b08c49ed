import { useState } from 'react';

/** Work that takes a moment and may fail: whether it is under way, and why the last went wrong, `otherwise` where it says nothing itself. */
export function useTrying(otherwise: string) {
  const [trouble, setTrouble] = useState<string | null>(null);
  const [working, setWorking] = useState(false);
  const trying = async (work: () => Promise<void>) => {
    setTrouble(null);
    setWorking(true);
    try {
      await work();
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : otherwise);
    } finally {
      setWorking(false);
    }
  };
  return { trouble, working, trying };
}
