import { readFileSync } from 'node:fs';
import { FaultyInput, faultLine } from '../src/core/formats/faults';

/** Reads a file, or standard input for `-`, as text in UTF-8. A file that cannot be read is a fault of that path. */
export const readInput = (path: string): string => readBytes(path).toString('utf8');

/** The bytes of a file, or of standard input for `-`. */
export function readBytes(path: string): Buffer {
  try {
    return readFileSync(path === '-' ? 0 : path);
  } catch (error) {
    const code = error instanceof Error && 'code' in error ? String(error.code) : '';
    const why =
      code === 'ENOENT'
        ? 'there is no such file'
        : code === 'EISDIR'
          ? 'is a folder, not a file'
          : `cannot be read (${code})`;
    throw new FaultyInput([{ path, message: why }]);
  }
}

/** Runs a command: its text on standard output, piece by piece where it comes in pieces, or every fault on standard error and exit 2. Never a stack trace. */
export async function run(command: () => string | Iterable<string> | Promise<string>): Promise<void> {
  let output: string | Iterable<string>;
  try {
    output = await command();
  } catch (error) {
    const lines = error instanceof FaultyInput ? error.faults.map(faultLine) : [`unexpected: ${messageOf(error)}`];
    process.stderr.write(`${lines.join('\n')}\n`);
    process.exitCode = 2;
    return;
  }
  // whoever reads may stop reading, as `head` does
  process.stdout.on('error', () => process.exit(0));
  if (typeof output === 'string') process.stdout.write(output);
  else for (const piece of output) process.stdout.write(piece);
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : String(error)).replace(/\s+/g, ' ');

/** Splits `FILE --name value … --flag`; unknown options, missing values and a missing file are faults that say what is right. */
export function readArguments<const T extends readonly string[]>(
  argv: readonly string[],
  names: T,
  what = 'KITCHEN.json',
  flags: readonly string[] = [],
): { file: string; options: Partial<Record<T[number], string>>; on: ReadonlySet<string> } {
  const options: Partial<Record<T[number], string>> = {};
  const on = new Set<string>();
  const files: string[] = [];
  const isName = (name: string): name is T[number] => names.includes(name);
  for (let i = 0; i < argv.length; i++) {
    const word = argv[i] ?? '';
    if (!word.startsWith('--')) {
      files.push(word);
      continue;
    }
    const name = word.slice(2);
    if (flags.includes(name)) {
      on.add(name);
      continue;
    }
    if (!isName(name))
      throw new FaultyInput([
        { path: word, message: `is not an option; there are ${[...names, ...flags].map((n) => `--${n}`).join(', ')}` },
      ]);
    const value = argv[++i];
    if (value === undefined) throw new FaultyInput([{ path: word, message: 'needs a value after it' }]);
    options[name] = value;
  }
  const [file, ...more] = files;
  if (file === undefined)
    throw new FaultyInput([{ path: what, message: 'is missing; name a file, or - for standard input' }]);
  if (more.length > 0)
    throw new FaultyInput([{ path: more[0] ?? '', message: 'is one file too many; name a single one' }]);
  return { file, options, on };
}
