import type { z } from 'zod';

/** One thing wrong with what came in: where, what, and what would be right. */
export interface Fault {
  path: string;
  message: string;
}

/** Thrown when a file or request is not usable; carries every fault found, never only the first. */
export class FaultyInput extends Error {
  constructor(public readonly faults: Fault[]) {
    super(faults.map(faultLine).join('\n'));
  }
}

/** `cooks[0].handLengthMm` for `['cooks', 0, 'handLengthMm']`; the whole file is `file`. */
export function pathName(path: readonly PropertyKey[]): string {
  if (path.length === 0) return 'file';
  return path.reduce<string>(
    (name, key) => (typeof key === 'number' ? `${name}[${key}]` : name ? `${name}.${String(key)}` : String(key)),
    '',
  );
}

/** `path: what is wrong, and what would be right`, on one line. */
export function faultLine({ path, message }: Fault): string {
  return `${path}: ${message.replace(/\s+/g, ' ')}`;
}

/** Shortens a value for an error message. */
export function shown(value: unknown): string {
  if (value === undefined) return 'nothing';
  const text = typeof value === 'number' && !Number.isFinite(value) ? String(value) : (JSON.stringify(value) ?? 'that');
  return text.length > 40 ? `${text.slice(0, 37)}…` : text;
}

/** JSON or a {@link FaultyInput} that says it is not. */
export function parseJson(source: string): unknown {
  try {
    return JSON.parse(source.replace(/^\uFEFF/, ''));
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unreadable';
    throw new FaultyInput([{ path: 'file', message: `is not JSON (${why}); check the last edit` }]);
  }
}

/** Turns Zod's issues into faults: one a line, unknown keys named one by one. */
export function faultsOf(error: z.ZodError): Fault[] {
  return error.issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({
        path: pathName([...issue.path, key]),
        message: 'is not a key of this format; remove it or correct its spelling',
      }));
    return [{ path: pathName(issue.path), message: issue.message }];
  });
}

/** `"x" is not known`, with the nearest known ids when any are close. */
export function unknownId(id: string, known: Iterable<string>, what: string): string {
  const near = [...known]
    .map((candidate) => ({ candidate, distance: editDistance(id, candidate) }))
    .filter(({ distance, candidate }) => distance <= Math.max(2, candidate.length / 3))
    .sort((a, b) => a.distance - b.distance || (a.candidate < b.candidate ? -1 : 1))
    .slice(0, 3);
  const hint = near.length > 0 ? `; did you mean ${near.map((n) => n.candidate).join(' or ')}?` : '';
  return `${shown(id)} is not a known ${what}${hint}`;
}

function editDistance(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, i) => i);
  for (let i = 1; i <= a.length; i++) {
    const next = [i];
    for (let j = 1; j <= b.length; j++)
      next[j] = Math.min(
        (row[j] ?? 0) + 1,
        (next[j - 1] ?? 0) + 1,
        (row[j - 1] ?? 0) + (a[i - 1] === b[j - 1] ? 0 : 1),
      );
    row = next;
  }
  return row[b.length] ?? 0;
}
