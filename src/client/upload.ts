import { Refused, refusal } from './http';

/** An upload is given up when nothing was sent or answered for this long, ms. */
const STALLS_AFTER = 60_000;

/**
 * Sends a file to our own server; `onProgress` is told how much of it was sent, 0–1. Takes as long as it takes, and is given up only when it
 * stalls or `signal` says so. Throws {@link Refused}.
 */
export function upload<T>(
  read: (answer: unknown) => T,
  url: string,
  file: Blob,
  { onProgress, signal }: { onProgress: (share: number) => void; signal: AbortSignal },
): Promise<T> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    let timer: ReturnType<typeof setTimeout> | undefined;
    const fail = (why: string) => {
      clearTimeout(timer);
      reject(new Refused(0, why));
    };
    const awake = () => {
      clearTimeout(timer);
      timer = setTimeout(() => request.abort(), STALLS_AFTER);
    };
    request.open('POST', url);
    request.setRequestHeader('content-type', 'application/json');
    request.upload.onprogress = ({ loaded, total }) => {
      awake();
      onProgress(total > 0 ? loaded / total : 0);
    };
    request.onerror = () => fail('The server does not answer. Import the file again: nothing is added twice.');
    request.onabort = () =>
      fail(
        signal.aborted
          ? 'The import was stopped. Nothing was changed.'
          : 'The connection stalled. Import the file again: nothing is added twice.',
      );
    request.onload = () => {
      clearTimeout(timer);
      let answer: unknown = null;
      try {
        answer = JSON.parse(request.responseText);
      } catch {
        // told below as an answer that cannot be read
      }
      if (request.status < 200 || request.status >= 300) reject(refusal(request.status, answer));
      else {
        try {
          resolve(read(answer));
        } catch (error) {
          reject(error instanceof Error ? error : new Error(String(error)));
        }
      }
    };
    signal.addEventListener('abort', () => request.abort());
    awake();
    request.send(file);
  });
}
