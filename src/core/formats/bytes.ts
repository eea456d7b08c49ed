import { FaultyInput } from './faults';

const decoded = (bytes: Uint8Array, encoding: string) => new TextDecoder(encoding).decode(bytes);

/** Share of NUL bytes at even or odd places from which text is UTF-16 without its mark. */
const EVERY_OTHER = 0.3;
/** Share of control characters from which bytes are no text. */
const CONTROL = 0.02;

/**
 * The text in some bytes: UTF-8, UTF-16 with or without its mark, or else Windows-1252, which holds Latin-1. Throws {@link FaultyInput} for what is
 * no text.
 */
export function textOf(bytes: Uint8Array): string {
  const [a, b] = bytes;
  if (a === 0xff && b === 0xfe) return decoded(bytes, 'utf-16le');
  if (a === 0xfe && b === 0xff) return decoded(bytes, 'utf-16be');
  const head = bytes.subarray(0, 4096);
  const zeros = (odd: number) => head.reduce((sum, byte, i) => sum + Number(byte === 0 && i % 2 === odd), 0);
  const half = Math.max(1, head.length / 2);
  if (zeros(1) / half > EVERY_OTHER && zeros(0) === 0) return decoded(bytes, 'utf-16le');
  if (zeros(0) / half > EVERY_OTHER && zeros(1) === 0) return decoded(bytes, 'utf-16be');
  const isControl = (byte: number) => byte < 32 && byte !== 9 && byte !== 10 && byte !== 12 && byte !== 13;
  const control = head.reduce((sum, byte) => sum + Number(isControl(byte)), 0);
  if (head.includes(0) || control / Math.max(1, head.length) > CONTROL)
    throw new FaultyInput([
      { path: 'file', message: 'is not text: save it as plain text, CSV or a page, or paste what stands in it' },
    ]);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return decoded(bytes, 'windows-1252');
  }
}
