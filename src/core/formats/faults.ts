import { distance } from 'fastest-levenshtein';
import type { z } from '../zod';

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

/** Most faults told of one file; the number of the others is said. */
const MOST_TOLD = 100;
/** Names are suggested for so many unknown ids: the others are told plainly. */
const MOST_SUGGESTED = 12;

/** What finds faults and says where. */
export interface FaultSink {
  add(path: string, message: () => string): void;
  /** Adds a fault where an id is not among those known. */
  check(path: string, id: string, known: { has(id: string): boolean; keys(): Iterable<string> }, what: string): void;
}

/** Collects faults: the first {@link MOST_TOLD} are told, the rest counted, so that the work stays in proportion to what is read. */
export class Faults implements FaultSink {
  private readonly told: Fault[] = [];
  private count = 0;
  private suggested = 0;

  add(path: string, message: () => string): void {
    if (this.count++ < MOST_TOLD) this.told.push({ path, message: message() });
  }

  check(...[path, id, known, what]: Parameters<FaultSink['check']>): void {
    if (known.has(id)) return;
    this.add(path, () => unknownId(id, this.suggested++ < MOST_SUGGESTED ? known.keys() : [], what));
  }

  /** The same collection for a part of the whole: its paths begin with `prefix`. */
  within(prefix: string): FaultSink {
    return {
      add: (path, message) => this.add(`${prefix}${path}`, message),
      check: (path, id, known, what) => this.check(`${prefix}${path}`, id, known, what),
    };
  }

  get isEmpty(): boolean {
    return this.count === 0;
  }

  /** Whether there are more than are told: reading on would tell nobody anything. */
  get isFull(): boolean {
    return this.count > MOST_TOLD;
  }

  /** The faults to tell; empty when there are none. */
  list(): Fault[] {
    const more = this.count - this.told.length;
    return more > 0
      ? [...this.told, { path: 'file', message: `has ${more} more faults like these, or more still` }]
      : this.told;
  }

  /** Throws {@link FaultyInput} when there is any. */
  throwAny(): void {
    if (this.count > 0) throw new FaultyInput(this.list());
  }
}

/** Turns Zod's issues into faults: one a line, unknown keys named one by one. */
export function faultsOf(error: z.ZodError): Fault[] {
  const faults = new Faults();
  for (const issue of error.issues)
    if (issue.code === 'unrecognized_keys')
      for (const key of issue.keys)
        faults.add(
          pathName([...issue.path, key]),
          () => 'is not a key of this format; remove it or correct its spelling',
        );
    else faults.add(pathName(issue.path), () => issue.message);
  return faults.list();
}

/** Longest id for which others are compared with it, characters. */
const LONGEST_COMPARED = 60;

/** `"x" is not known`, with the nearest known ids when any are close. */
export function unknownId(id: string, known: Iterable<string>, what: string): string {
  const far = (candidate: string) => Math.max(2, candidate.length / 3);
  const compared = id.length > LONGEST_COMPARED ? [] : [...known];
  const near = compared
    .filter((candidate) => Math.abs(candidate.length - id.length) <= far(candidate))
    .map((candidate) => ({ candidate, distance: distance(id, candidate) }))
    .filter(({ distance: apart, candidate }) => apart <= far(candidate))
    .sort((a, b) => a.distance - b.distance || (a.candidate < b.candidate ? -1 : 1))
    .slice(0, 3);
  const hint = near.length > 0 ? `; did you mean ${near.map((n) => n.candidate).join(' or ')}?` : '';
  return `${shown(id)} is not a known ${what}${hint}`;
}
