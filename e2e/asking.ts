import { Pool } from 'pg';
import { afterAll } from 'vitest';
import { z } from '../src/core/zod';
import { address } from './support';

/** Asking the server without a browser. */

export const storedSchema = z.object({
  id: z.string(),
  version: z.number(),
  kitchen: z.looseObject({ name: z.string().optional() }),
});
export const problemSchema = z.object({
  title: z.string(),
  status: z.number(),
  detail: z.string(),
  faults: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});

export const send = (
  path: string,
  method: string,
  body: unknown,
  cookie = '',
  headers: Record<string, string> = {},
): Promise<Response> =>
  fetch(`${address}${path}`, {
    method,
    body: typeof body === 'string' ? body : JSON.stringify(body),
    headers: { 'content-type': 'application/json', origin: address, cookie, ...headers },
  });
export const look = (path: string, cookie = '') => fetch(`${address}${path}`, { headers: { cookie } });

/** The workspace cookie an answer sets, or nothing. */
export const cookieOf = (response: Response): string | undefined =>
  response.headers
    .getSetCookie()
    .find((c) => c.startsWith('scabbard_workspace='))
    ?.split(';')[0];

/** Somebody new: a workspace is made by the first kitchen in it, an empty one or what it is made from. */
export async function somebody(from: object = { from: 'nothing' }): Promise<{ cookie: string; id: string }> {
  const response = await send('/api/kitchens', 'POST', from);
  const cookie = cookieOf(response);
  if (!cookie) throw new Error('no workspace cookie');
  return { cookie, id: storedSchema.parse(await response.json()).id };
}
export const newCookie = async () => (await somebody()).cookie;

/** The database of the server under test, as the owner of its tables. */
export function ownersDatabase(): Pool {
  const pool = new Pool({ connectionString: process.env.SCABBARD_OWNER_URL, max: 2 });
  afterAll(() => pool.end());
  return pool;
}
