/** One line of progress. */
export function say(text) {
  process.stdout.write(`${text}\n`);
}

/** A failure that says what to do; caught once, at the top of each script. */
export class Stop extends Error {}

/** Runs a script's main function; a Stop prints its own words, anything else its message, and both exit 1. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    process.stderr.write(`\n${error instanceof Stop ? error.message : (error?.stack ?? String(error))}\n`);
    process.exitCode = 1;
  }
}
