import { FaultyInput, pathName } from './faults';

/** Most levels of brackets in anything that comes in; no format of ours has more than eight. */
const MAX_DEPTH = 32;
/** Most keys of one object; a model has forty. */
const MAX_MEMBERS = 200;
/** Most values in it where the format names no number of its own: a full catalogue has 160,000. */
const MAX_VALUES = 200_000;

/** The text is no JSON at all. */
export class NotJson extends FaultyInput {}

/** Where the string that begins at a quotation mark ends; the end of the text where it does not. */
function endOfString(source: string, from: number): number {
  for (let at = source.indexOf('"', from + 1); at >= 0; at = source.indexOf('"', at + 1)) {
    let slashes = 0;
    // 92 is a backslash: an odd number of them makes the mark a part of the string
    while (source.charCodeAt(at - 1 - slashes) === 92) slashes++;
    if (slashes % 2 === 0) return at;
  }
  return source.length;
}

/** Why a text is not worth parsing, counted without recursion and with strings left apart; null when it may be. */
function excessOf(source: string, mostValues: number): string | null {
  /** Commas in each bracket that is open. */
  const commas = new Uint32Array(MAX_DEPTH + 2);
  const isObject = new Uint8Array(MAX_DEPTH + 2);
  let [depth, values] = [0, 1];
  for (let i = 0; i < source.length; i++) {
    const c = source.charCodeAt(i);
    // 34 is a quotation mark, 44 a comma, 91 and 123 open a bracket, 93 and 125 close one
    if (c === 34) i = endOfString(source, i);
    else if (c === 44) {
      values++;
      const members = (commas[depth] = (commas[depth] ?? 0) + 1);
      if (members >= MAX_MEMBERS && isObject[depth] === 1)
        return `has more than ${MAX_MEMBERS} keys in one place; no file of ours has`;
    } else if (c === 91 || c === 123) {
      if (++depth > MAX_DEPTH) return `is nested more than ${MAX_DEPTH} levels deep; no file of ours is`;
      commas[depth] = 0;
      isObject[depth] = Number(c === 123);
    } else if (c === 93 || c === 125) depth = Math.max(0, depth - 1);
    if (values > mostValues) return `holds more than ${mostValues} values; no file of ours does`;
  }
  return null;
}

/** Whether a text can be stored and shown: no NUL, no half of a surrogate pair. */
const isWellFormed = (text: string): boolean => !text.includes('\0') && !/\p{Surrogate}/u.test(text);

/** Escapes that may stand for a character that cannot be stored. */
const SUSPECT = /\\u(?:0000|[dD][89a-fA-F])/;

interface Open {
  parent: Open | null;
  key: string | number;
  value: object;
}

/** Where something stands, from the outermost inwards. */
function pathOf(at: Open | null, last: string | number | null): string {
  const path = last === null ? [] : [last];
  for (let up = at; up?.parent; up = up.parent) path.unshift(up.key);
  return pathName(path);
}

/** Path of the first string, or of the object with the first key, that is not well formed; null when all are. */
function malformedIn(whole: unknown): string | null {
  if (typeof whole === 'string') return isWellFormed(whole) ? null : pathName([]);
  const open: Open[] = typeof whole === 'object' && whole !== null ? [{ parent: null, key: '', value: whole }] : [];
  for (let at = open.pop(); at; at = open.pop()) {
    const parent = at;
    const isList = Array.isArray(at.value);
    for (const [name, value] of Object.entries(at.value) as [string, unknown][]) {
      const key = isList ? Number(name) : name;
      if (!isList && !isWellFormed(name)) return pathOf(parent, null);
      if (typeof value === 'string') {
        if (!isWellFormed(value)) return pathOf(parent, key);
      } else if (typeof value === 'object' && value !== null) open.push({ parent, key, value });
    }
  }
  return null;
}

/**
 * Reads JSON that comes from outside. Throws {@link NotJson} when it is none, and {@link FaultyInput} when it is nested too deeply, has too many
 * values or holds text that is not well formed.
 */
export function parseJson(source: string, mostValues = MAX_VALUES): unknown {
  const text = source.replace(/^\uFEFF/, '');
  const excess = excessOf(text, mostValues);
  if (excess !== null) throw new FaultyInput([{ path: 'file', message: excess }]);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch (error) {
    const why = error instanceof Error ? error.message : 'unreadable';
    throw new NotJson([{ path: 'file', message: `is not JSON (${why}); check the last edit` }]);
  }
  const malformed = SUSPECT.test(text) || !isWellFormed(text) ? malformedIn(value) : null;
  if (malformed !== null)
    throw new FaultyInput([
      { path: malformed, message: 'holds a character that cannot be stored (NUL, or half of a pair); type it again' },
    ]);
  return value;
}
