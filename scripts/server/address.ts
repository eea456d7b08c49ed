/** The address of a request, read once; every rule of the server goes by it. */
export interface Address {
  /** Decoded once and encoded again in one way, dots resolved, no doubled slash, none at the end. */
  path: string;
  /** What stands behind the path, with its question mark. */
  query: string;
}

/** What no part of a path may hold once it is decoded: it would mean another path to whoever decodes it again. */
const HIDDEN = /[/\\\0]|%[0-9a-f]{2}/i;

/** Reads the target of a request. Null where it is no path or cannot be decoded. */
export function readAddress(target: string): Address | null {
  const at = target.indexOf('?');
  const raw = at < 0 ? target : target.slice(0, at);
  if (!raw.startsWith('/')) return null;
  const parts: string[] = [];
  for (const each of raw.split('/')) {
    const part = decoded(each);
    if (part === null) return null;
    if (part === '..') parts.pop();
    else if (part !== '' && part !== '.') parts.push(encodeURIComponent(part));
  }
  return { path: `/${parts.join('/')}`, query: at < 0 ? '' : target.slice(at) };
}

function decoded(part: string): string | null {
  try {
    const plain = decodeURIComponent(part);
    return HIDDEN.test(plain) ? null : plain;
  } catch {
    return null;
  }
}

/** Longest path written to the log, characters. */
const LOGGED = 200;

/** A path as the log may hold it: the address of a shown plan or a calendar is its key, and no key is written down. */
export const pathForLog = (path: string): string => path.slice(0, LOGGED).replace(/^\/(shown|calendar)\/.*/, '/$1/…');
