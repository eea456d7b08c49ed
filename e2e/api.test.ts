import { request } from 'node:http';
import { expect, test } from 'vitest';
import { z } from '../src/core/zod';
import { kitchenFileSchema } from '../src/core/formats/kitchenFile';
import { newCookie, problemSchema as problem, send, storedSchema as stored } from './asking';
import { address } from './support';

const made = async (cookie: string) =>
  stored.parse(await (await send('/api/kitchens', 'POST', { from: 'nothing' }, cookie)).json());

test('a kitchen is seen, saved, exported and deleted by its own workspace alone', async () => {
  const [mine, theirs] = [await newCookie(), await newCookie()];
  const { id, kitchen } = await made(mine);
  for (const cookie of [theirs, '', 'scabbard_workspace=forged']) {
    expect((await fetch(`${address}/api/kitchens/${id}`, { headers: { cookie } })).status).toBe(404);
    expect((await fetch(`${address}/api/kitchens/${id}/file`, { headers: { cookie } })).status).toBe(404);
    expect((await fetch(`${address}/kitchens/${id}`, { headers: { cookie } })).status).toBe(404);
    expect((await send(`/api/kitchens/${id}`, 'PUT', { version: 1, kitchen }, cookie)).status).toBe(404);
    expect((await send(`/api/kitchens/${id}`, 'DELETE', '', cookie)).status).toBe(404);
  }
  const list = await (await fetch(`${address}/api/kitchens`, { headers: { cookie: theirs } })).text();
  expect(list).not.toContain(id);
  expect((await fetch(`${address}/api/kitchens/${id}`, { headers: { cookie: mine } })).status).toBe(200);
  expect((await send(`/api/kitchens/${id}`, 'DELETE', '', mine)).status).toBe(204);
});

test('a save on an older version is refused and changes nothing', async () => {
  const cookie = await newCookie();
  const { id, version, kitchen } = await made(cookie);
  const save = (name: string) => send(`/api/kitchens/${id}`, 'PUT', { version, kitchen: { ...kitchen, name } }, cookie);
  expect((await save('First')).status).toBe(200);
  const late = await save('Late');
  expect(late.status).toBe(409);
  expect(late.headers.get('content-type')).toBe('application/problem+json');
  expect(problem.parse(await late.json()).detail).toContain('another window');
  const now = stored.parse(await (await fetch(`${address}/api/kitchens/${id}`, { headers: { cookie } })).json());
  expect(now.kitchen.name).toBe('First');
  expect(now.version).toBe(version + 1);
});

test('bad input is refused with problem details that name the field', async () => {
  const cookie = await newCookie();
  const file = { format: 'scabbard.kitchen', version: 1, board: { lengthMm: 5 } };
  const refused = await send('/api/kitchens', 'POST', { from: 'file', kitchen: file }, cookie);
  expect(refused.status).toBe(422);
  expect(problem.parse(await refused.json()).faults?.[0]).toEqual({
    path: 'kitchen.board.lengthMm',
    message: '5 is not between 150 and 1500',
  });
  const unknown = { format: 'scabbard.kitchen', version: 1, owned: [{ type: 'gladius' }] };
  const ids = problem.parse(
    await (await send('/api/kitchens', 'POST', { from: 'file', kitchen: unknown }, cookie)).json(),
  );
  expect(ids.faults?.[0]?.path).toBe('kitchen.owned[0].type');
  expect((await send('/api/kitchens', 'POST', '{oops', cookie)).status).toBe(400);
  expect((await send('/api/kitchens', 'POST', { from: 'sample', sample: 'nope' }, cookie)).status).toBe(404);
  expect((await send('/api/kitchens', 'POST', `"${'x'.repeat(2_200_000)}"`, cookie)).status).toBe(413);
});

test('writes from elsewhere are refused, whatever their content type', async () => {
  const cookie = await newCookie();
  const body = { from: 'nothing' };
  expect((await send('/api/kitchens', 'POST', body, cookie, { origin: 'http://elsewhere.test' })).status).toBe(403);
  expect((await send('/api/kitchens', 'POST', body, cookie, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
  const bare = await fetch(`${address}/api/kitchens`, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { cookie },
  });
  expect(bare.status).toBe(403);
});

test('pages are sent with a strict policy and nothing foreign in them', async () => {
  const response = await fetch(address);
  const policy = response.headers.get('content-security-policy') ?? '';
  for (const rule of [
    "default-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "frame-ancestors 'none'",
    "form-action 'self'",
  ])
    expect(policy).toContain(rule);
  expect(policy).not.toMatch(/unsafe-inline|unsafe-eval|\*/);
  expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  const html = await response.text();
  expect(html.match(/(?:src|href)="https?:/g)).toBeNull();
});

test('copies, new names and second thoughts stay within the workspace', async () => {
  const [mine, theirs] = [await newCookie(), await newCookie()];
  const { id, version } = await made(mine);
  for (const body of [{ name: 'Taken' }, { deleted: false }])
    expect((await send(`/api/kitchens/${id}`, 'PATCH', body, theirs)).status).toBe(404);
  expect((await send('/api/kitchens', 'POST', { from: 'copy', of: id }, theirs)).status).toBe(404);
  expect((await send(`/api/kitchens/${id}`, 'PATCH', { name: '  ' }, mine)).status).toBe(422);

  const renamed = await send(`/api/kitchens/${id}`, 'PATCH', { name: 'Quay' }, mine);
  expect(z.object({ version: z.number() }).parse(await renamed.json()).version).toBe(version + 1);
  const copy = stored.parse(await (await send('/api/kitchens', 'POST', { from: 'copy', of: id }, mine)).json());
  expect(copy.kitchen.name).toBe('Quay, copy');
  expect(copy.id).not.toBe(id);

  expect((await send(`/api/kitchens/${id}`, 'DELETE', '', mine)).status).toBe(204);
  expect((await fetch(`${address}/api/kitchens/${id}`, { headers: { cookie: mine } })).status).toBe(404);
  expect((await send(`/api/kitchens/${id}`, 'PUT', { version: 3, kitchen: copy.kitchen }, mine)).status).toBe(404);
  expect((await send(`/api/kitchens/${id}`, 'PATCH', { deleted: false }, theirs)).status).toBe(404);
  expect((await send(`/api/kitchens/${id}`, 'PATCH', { deleted: false }, mine)).status).toBe(204);
  const back = stored.parse(await (await fetch(`${address}/api/kitchens/${id}`, { headers: { cookie: mine } })).json());
  expect(back.kitchen.name).toBe('Quay');
});

test('snapshots and scenarios are kept beside their kitchen, for its workspace alone', async () => {
  const [mine, theirs] = [await newCookie(), await newCookie()];
  const { id, kitchen } = await made(mine);
  const at = `/api/kitchens/${id}/snapshots`;
  const body = { kind: 'scenario', name: 'No meat', kitchen: { ...kitchen, avoids: ['meat'] } };
  expect((await send(at, 'POST', body, theirs)).status).toBe(404);
  expect((await send(at, 'POST', { ...body, kind: 'dream' }, mine)).status).toBe(422);
  expect((await send(at, 'POST', { ...body, kitchen: { ...kitchen, tools: ['sword'] } }, mine)).status).toBe(422);
  expect((await send(at, 'POST', body, mine)).status).toBe(201);
  const read = async (cookie: string) => fetch(`${address}${at}`, { headers: { cookie } });
  const kept = z
    .object({ snapshots: z.array(z.object({ id: z.string(), name: z.string(), kitchen: kitchenFileSchema })) })
    .parse(await (await read(mine)).json()).snapshots;
  expect(kept.map((k) => [k.name, k.kitchen.avoids])).toEqual([['No meat', ['meat']]]);
  expect((await read(theirs)).status).toBe(404);
  const one = `${at}/${kept[0]?.id ?? ''}`;
  expect((await send(one, 'DELETE', '', theirs)).status).toBe(404);
  expect((await send(one, 'DELETE', '', mine)).status).toBe(204);
  expect((await send(one, 'DELETE', '', mine)).status).toBe(404);
});

test('unknown methods are refused before anything else, and no image is made for whoever asks', async () => {
  const asked = (method: string, path: string) =>
    new Promise<{ status: number | undefined; allow: string | undefined; cookies: string[] }>((resolve, reject) => {
      request(`${address}${path}`, { method }, (response) => {
        response.resume();
        const { allow, 'set-cookie': cookies = [] } = response.headers;
        resolve({ status: response.statusCode, allow, cookies });
      })
        .once('error', reject)
        .end();
    });
  for (const method of ['TRACE', 'PROPFIND', 'SEARCH']) {
    const { status, allow, cookies } = await asked(method, '/');
    expect([method, status, cookies]).toEqual([method, 405, []]);
    expect(allow).toContain('GET');
  }
  const picture = encodeURIComponent('/favicon.svg');
  for (const path of ['/_image', `/_image?href=${picture}&w=9000&f=webp`, `//_image?href=${picture}`, '/_image/'])
    expect([path, (await asked('GET', path)).status]).toEqual([path, 404]);
});
