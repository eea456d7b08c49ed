// How much one client or workspace may ask for, and how much is in flight at once. Kept in each server process.
import { TokenBuckets } from './buckets';
import { busy, slow } from './http';

/** Said by the server process, which sees the connection; whatever a client writes there itself is removed by it. */
export const clientOf = (request: Request): string => request.headers.get('x-scabbard-client') ?? 'unknown';

/** Changes of one workspace and of one client, and workspaces made by one client: how many at once, and how many a second in the long run. */
const WRITES = new TokenBuckets(200, 20);
const CLIENT_WRITES = new TokenBuckets(1000, 100);
const MADE = new TokenBuckets(300, 0.5);
/** Sheets made for one client. */
const SHEETS = new TokenBuckets(20, 0.5);
const SETS_SHEETS = new Set(['/api/paper', '/api/life-size', '/api/places', '/api/wall']);

/** A long body counts as several changes: one for each so many bytes, and no more than so many. */
const BYTES_A_TOKEN = 64 * 1024;
const MOST_TOKENS = 50;

const check = (wait: number): void => {
  if (wait > 0) throw slow(wait);
};

/** Takes what a change costs a client and its workspace. Throws an Answer of 429 where there is none left. */
export function checkPace(request: Request, path: string, workspaceId: string | null): void {
  const now = Date.now();
  const client = clientOf(request);
  const bytes = Number(request.headers.get('content-length') ?? 0) || 0;
  check(CLIENT_WRITES.take(client, now, Math.min(MOST_TOKENS, 1 + Math.floor(bytes / BYTES_A_TOKEN))));
  if (SETS_SHEETS.has(path)) check(SHEETS.take(client, now));
  if (workspaceId !== null) check(WRITES.take(workspaceId, now));
}

/** Takes what making a workspace costs a client. Throws an Answer of 429. */
export const checkMaking = (client: string): void => check(MADE.take(client, Date.now()));

/** Bodies no longer than this are always let in, bytes. */
export const SHORT = 64 * 1024;
/** Most bytes of longer bodies in memory at once: of one client, and of all. */
const MOST_BYTES = { client: 12 * 1024 * 1024, all: 48 * 1024 * 1024 };

/** Bytes of bodies in memory, counted for each client. */
export class BytesInFlight {
  private all = 0;
  private readonly ofClients = new Map<string, number>();

  constructor(private readonly most: { client: number; all: number }) {}

  /** Counts more bytes for a client. False, and nothing counted, where there is no room. */
  add(client: string, bytes: number): boolean {
    const its = (this.ofClients.get(client) ?? 0) + bytes;
    if (its > this.most.client || this.all + bytes > this.most.all) return false;
    this.all += bytes;
    this.ofClients.set(client, its);
    return true;
  }

  remove(client: string, bytes: number): void {
    this.all -= bytes;
    const left = (this.ofClients.get(client) ?? 0) - bytes;
    if (left > 0) this.ofClients.set(client, left);
    else this.ofClients.delete(client);
  }
}

const inFlight = new BytesInFlight(MOST_BYTES);

/**
 * Reserves room for a body of at most so many bytes until what it returns is called. Throws an Answer of 503 where too much is in flight.
 */
export function reserve(request: Request, bytes: number): () => void {
  if (bytes <= SHORT) return () => undefined;
  const client = clientOf(request);
  if (!inFlight.add(client, bytes)) throw busy('Too much is being sent at once. Try again in a moment.');
  return () => inFlight.remove(client, bytes);
}
