import { download } from './download';
import { useTrying } from './useTrying';

/** A PDF that is being made and then handed to the browser; why it could not be, where it could not. */
export function useMakingPdf(name: string, work: () => Promise<Blob>) {
  const { working, trouble, trying } = useTrying('The sheets could not be made.');
  return { working, trouble, make: () => trying(async () => download(name, await work())) };
}
