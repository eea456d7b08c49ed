/** One line of progress. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** A failure that says what to do; caught once, at the top of each script. */
export class Stop extends Error {}

/** What to do about failures of the machine, by their codes or words. */
const CAUSES = [
  [
    /ENOSPC|no space left|disk quota/i,
    'The disk is full. Free some space and start again; nothing in the database was changed.',
  ],
  [
    /EACCES|EPERM|EROFS|ENOTDIR|EEXIST|EISDIR/,
    (path) =>
      `${path ?? 'A folder'} cannot be written: give this user the right to, or remove what stands in its place, and start again.`,
  ],
];

/** A failure in words, with what to do where that is known; its stack only where nobody foresaw it. */
export function inWords(error) {
  const said = `${error?.code ?? ''} ${error?.message ?? error}`;
  const [, known] = CAUSES.find(([pattern]) => pattern.test(said)) ?? [];
  const advice = typeof known === 'function' ? (error?.path ? known(error.path) : null) : known;
  if (error instanceof Stop) return advice && typeof known === 'string' ? `${advice}\n${error.message}` : error.message;
  return advice ?? error?.stack ?? String(error);
}

/** Runs a script's main function; a failure is told in words and ends it with 1. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    process.stderr.write(`\n${inWords(error)}\n`);
    process.exitCode = 1;
  }
}
