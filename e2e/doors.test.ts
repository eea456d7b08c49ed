import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { beforeAll, describe, expect, test } from 'vitest';
import { cookieOf, look, newCookie, problemSchema, send, somebody } from './asking';
import { address } from './support';

/** Every door of the server as its files name them, so that none can be forgotten: what comes in wrong is told in a sentence, and nobody gets at another's. */

const pages = join(dirname(fileURLToPath(import.meta.url)), '..', 'src', 'pages');
const NOBODY = '00000000-0000-4000-8000-000000000000';
/** Doors that set sheets: each takes a moment of the server's, so they are asked sparingly. */
const SHEETS = ['/api/paper', '/api/life-size', '/api/places', '/api/wall'];

interface Door {
  method: string;
  /** With `[id]` and the like in it. */
  route: string;
}

const files = readdirSync(join(pages, 'api'), { recursive: true, encoding: 'utf8' }).filter((file) =>
  file.endsWith('.ts'),
);
const doors: Door[] = files.flatMap((file) => {
  const route = `/api/${file.replace(/(?:\/index)?\.ts$/, '')}`;
  const text = readFileSync(join(pages, 'api', file), 'utf8');
  return [...text.matchAll(/^export const (GET|POST|PUT|PATCH|DELETE)\b/gm)].map(([, method = '']) => ({
    method,
    route,
  }));
});
const pathOf = ({ route }: Door, kitchen: string) => route.replace('[id]', kitchen).replace(/\[\w+\]/g, NOBODY);
const named = doors.map((door) => [`${door.method} ${door.route}`, door] as const);
const writes = named.filter(([, { method }]) => method !== 'GET');
const ofKitchens = named.filter(([, { route }]) => route.startsWith('/api/kitchens/[id]'));

/** A refusal as everyone gets it: a problem in a sentence that tells nothing of the inside. */
async function refusal(response: Response): Promise<number> {
  expect(response.headers.get('content-type')).toBe('application/problem+json');
  expect(response.headers.get('cache-control')).toBe('no-store');
  const text = await response.text();
  expect(text).not.toMatch(/node_modules|\.ts:|\bat \w+ \(|select |insert |Error:/);
  const { status, detail } = problemSchema.parse(JSON.parse(text));
  expect(status).toBe(response.status);
  expect(detail).toMatch(/^[A-Z\d].*\.$/s);
  return status;
}

let mine = { cookie: '', id: '' };
let stranger = '';
beforeAll(async () => {
  mine = await somebody();
  stranger = await newCookie();
});

test('there are doors, and every one of them is asked below', () => {
  expect(doors.length).toBeGreaterThan(25);
  for (const route of SHEETS) expect(doors.some((door) => door.route === route)).toBe(true);
});

test.each(writes)('%s is closed to other sites, with and without a cookie', async (_, door) => {
  const path = pathOf(door, mine.id);
  const foreign: Record<string, string>[] = [{ origin: 'http://elsewhere.test' }, { 'sec-fetch-site': 'cross-site' }];
  for (const headers of foreign)
    expect(await refusal(await send(path, door.method, {}, mine.cookie, headers))).toBe(403);
  const bare = await fetch(`${address}${path}`, { method: door.method, headers: { cookie: mine.cookie } });
  expect(await refusal(bare)).toBe(403);
});

describe('a body that is wrong', () => {
  const bodied = writes.filter(([, { method, route }]) => method !== 'DELETE' || route === '/api/corrections');

  test.each(bodied)('%s is told so, and nothing breaks', async (_, door) => {
    const own = await somebody();
    const path = pathOf(door, own.id);
    const odd = SHEETS.includes(door.route)
      ? ['{"plan":7}']
      : ['{oops', '', 'null', '[]', '7', '"text"', '{"__proto__":{"a":1}}', '{"kitchen":null}', '{"from":"elsewhere"}'];
    for (const body of odd) {
      const status = (await send(path, door.method, body, own.cookie)).status;
      expect([body, status === 400 || status === 404 || status === 422]).toEqual([body, true]);
    }
    const [first = ''] = odd;
    expect([400, 404, 422]).toContain(await refusal(await send(path, door.method, first, own.cookie)));
  });
});

describe('a kitchen that is another’s', () => {
  test.each(ofKitchens)('%s is as if it were not there', async (_, door) => {
    for (const [cookie, kitchen] of [
      [stranger, mine.id],
      ['', mine.id],
      [mine.cookie, NOBODY],
      [mine.cookie, 'no-id'],
    ] as const) {
      const path = pathOf(door, kitchen);
      const response =
        door.method === 'GET' ? await look(path, cookie) : await send(path, door.method, { name: 'x' }, cookie);
      expect([kitchen, [400, 404, 422].includes(await refusal(response))]).toEqual([kitchen, true]);
      expect(cookieOf(response)).toBeUndefined();
    }
    expect((await look(`/api/kitchens/${mine.id}`, mine.cookie)).status).toBe(200);
  });
});

test.each(named.filter(([, { method }]) => method === 'GET'))(
  '%s is read without making anything, and kept by no cache',
  async (_, door) => {
    const response = await look(pathOf(door, mine.id));
    await response.body?.cancel();
    expect(response.status).toBeLessThan(500);
    expect(cookieOf(response)).toBeUndefined();
    expect(response.headers.get('cache-control')).toMatch(/no-store|max-age|immutable/);
  },
);

test('a method a door has not is refused, and none of them lets one in from nowhere', async () => {
  const own = await somebody();
  for (const route of new Set(doors.map((door) => door.route).filter((each) => !SHEETS.includes(each)))) {
    const has = doors.filter((door) => door.route === route).map(({ method }) => method);
    for (const method of ['POST', 'PUT', 'PATCH', 'DELETE'].filter((each) => !has.includes(each))) {
      const { status } = await send(pathOf({ method, route }, NOBODY), method, {}, own.cookie);
      expect([method, route, status === 404 || status === 405]).toEqual([method, route, true]);
    }
  }
  expect((await look(`/api/kitchens/${own.id}`, own.cookie)).status).toBe(200);
});
