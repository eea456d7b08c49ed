import { readFileSync } from 'node:fs';
import { request } from 'node:http';
import { sql } from 'drizzle-orm';
import { expect, test } from 'vitest';
import { shippedModels } from '../data/models';
import { MAX_MODELS } from '../src/core/formats/catalogueFile';
import { MAX_KITCHENS } from '../src/core/formats/workspaceFile';
import { z } from '../src/core/zod';
import { connect, inTransaction } from '../src/db/connect';
import { outage } from '../src/server/failures';
import { cookieOf, look, newCookie, ownersDatabase, problemSchema, send, somebody } from './asking';
import { address } from './support';

const db = ownersDatabase();
const count = async (query: string, values: unknown[] = []) =>
  z.object({ n: z.coerce.number() }).parse((await db.query(query, values)).rows[0]).n;
/** The workspace a kitchen stands in. */
const workspaceOf = async (kitchenId: string) =>
  z
    .object({ workspace_id: z.string() })
    .parse((await db.query('select workspace_id from kitchen where id = $1', [kitchenId])).rows[0]).workspace_id;
const head = { format: 'scabbard.kitchen', version: 1 };
const fill = (piece: string, n: number) => Array.from({ length: n }, () => piece).join(',');

test('looking makes no workspace; the first write does, and each visit renews its cookie', async () => {
  for (const path of ['/', '/help', '/catalogue', '/api/kitchens', '/api/catalogue', '/kitchens/none']) {
    const response = await look(path);
    expect([path, cookieOf(response)]).toEqual([path, undefined]);
  }
  const made = await send('/api/kitchens', 'POST', { from: 'nothing' });
  expect(made.headers.getSetCookie()[0]).toMatch(/Max-Age=31536000; Path=\/; HttpOnly; SameSite=Lax/);
  const cookie = cookieOf(made) ?? '';
  const visit = await look('/', cookie);
  expect(cookieOf(visit)).toBe(cookie);
  expect(visit.headers.getSetCookie()[0]).toContain('Max-Age=31536000');
  expect(cookieOf(await look('/', 'scabbard_workspace=forged'))).toBeUndefined();
});

test('whatever a body holds, it is answered in a few words', async () => {
  const { cookie, id } = await somebody();
  const tasks = fill('{"id":"no-such-task-anywhere","amount":1}', 60);
  const dishes = Array.from({ length: 400 }, (_, i) => `{"id":"d${i}","name":"x","tasks":[${tasks}]}`).join(',');
  const file = (inside: string) => `{"version":1,"kitchen":{"format":"scabbard.kitchen","version":1,${inside}}}`;
  const models = shippedModels.slice(0, 100).map((model, i) => ({ ...model, id: `m${i}`, type: 'gladius' }));
  const bodies: [string, string, string, number][] = [
    ['unknown ids', `/api/kitchens/${id}`, file(`"cooking":{"ownDishes":[${dishes}]}`), 422],
    ['unknown keys', `/api/kitchens/${id}`, file(Array.from({ length: 90_000 }, (_, i) => `"k${i}":0`).join(',')), 422],
    ['values', `/api/kitchens/${id}`, file(`"cooks":[${fill('0', 900_000)}]`), 422],
    ['lists in lists', `/api/kitchens/${id}`, file(`"cooks":${'['.repeat(900_000)}${']'.repeat(900_000)}`), 422],
    ['objects in objects', `/api/kitchens/${id}`, file(`"cooks":${'{"a":'.repeat(30)}1${'}'.repeat(30)}`), 422],
    ['one long word', `/api/kitchens/${id}`, file(`"name":"${'x'.repeat(2_000_000)}"`), 422],
  ];
  for (const [what, path, body, status] of bodies) {
    const response = await send(path, 'PUT', body, cookie);
    expect([what, response.status]).toEqual([what, status]);
    const text = await response.text();
    expect(text.length).toBeLessThan(60_000);
    expect(problemSchema.parse(JSON.parse(text)).faults?.length).toBeLessThanOrEqual(101);
  }
  const strange = await send('/api/catalogue', 'POST', { models, duplicates: 'skip' }, cookie);
  expect(strange.status).toBe(422);
});

test('text that cannot be stored is refused wherever it stands, and so are versions and ids out of bounds', async () => {
  const { cookie, id } = await somebody();
  const [model] = shippedModels;
  for (const bad of ['a\0b', 'a\ud800', '\udc00b'])
    for (const [path, method, body] of [
      ['/api/kitchens', 'POST', { from: 'nothing', name: bad }],
      ['/api/kitchens', 'POST', { from: 'sample', sample: bad }],
      ['/api/kitchens', 'POST', { from: 'copy', of: bad }],
      [`/api/kitchens/${id}`, 'PUT', { version: 1, kitchen: { ...head, name: bad } }],
      [`/api/kitchens/${id}`, 'PUT', { version: 1, kitchen: { ...head, [bad]: 1 } }],
      [`/api/kitchens/${id}`, 'PATCH', { name: bad }],
      [`/api/kitchens/${id}/snapshots`, 'POST', { kind: 'snapshot', name: bad, kitchen: head }],
      ['/api/catalogue', 'POST', { models: [{ ...model, id: 'mine', name: bad }], duplicates: 'skip' }],
      ['/api/workspace/open', 'POST', { code: bad }],
    ] as const)
      expect([path, method, (await send(path, method, body, cookie)).status]).toEqual([path, method, 422]);
  for (const path of ['/api/catalogue/%00', '/api/kitchens/%00', '/kitchens/%00', '/%'])
    expect([path, (await look(path, cookie)).status]).toEqual([path, 400]);
  for (const version of [2 ** 31, 1e300, 0, 1.5])
    expect((await send(`/api/kitchens/${id}`, 'PUT', { version, kitchen: head }, cookie)).status).toBe(422);
  const twice = [0, 1].map(() => ({ ...model, id: 'mine' }));
  const answer = await send('/api/catalogue', 'POST', { models: twice, duplicates: 'skip' }, cookie);
  expect(problemSchema.parse(await answer.json()).faults?.[0]?.message).toContain('already the id of models[0]');
  // a copy's name is cut between characters, never inside one
  const long = '🔪'.repeat(39);
  const named = await send(`/api/kitchens/${id}`, 'PATCH', { name: long }, cookie);
  expect(named.status).toBe(200);
  expect((await send('/api/kitchens', 'POST', { from: 'copy', of: id }, cookie)).status).toBe(201);
});

test('limits hold however many ask at once, and what was deleted counts', async () => {
  const { cookie, id } = await somebody();
  const workspace = await workspaceOf(id);
  await db.query(
    `insert into kitchen (workspace_id, name, document) select $1, 'k', '{"format":"scabbard.kitchen","version":1}' from generate_series(1, $2)`,
    [workspace, MAX_KITCHENS - 4],
  );
  const made = await Promise.all(
    Array.from({ length: 12 }, () => send('/api/kitchens', 'POST', { from: 'nothing' }, cookie)),
  );
  expect(made.filter((r) => r.status === 201)).toHaveLength(3);
  expect(made.filter((r) => r.status === 409)).toHaveLength(9);
  // one is deleted, its place taken: it cannot be had back beside the others
  expect((await send(`/api/kitchens/${id}`, 'DELETE', '', cookie)).status).toBe(204);
  expect((await send('/api/kitchens', 'POST', { from: 'nothing' }, cookie)).status).toBe(201);
  expect((await send(`/api/kitchens/${id}`, 'PATCH', { deleted: false }, cookie)).status).toBe(409);

  const [model] = shippedModels;
  await db.query(
    `insert into workspace_model (workspace_id, id, model) select $1, 'x' || i, $3::jsonb from generate_series(1, $2) i`,
    [workspace, MAX_MODELS - 2, JSON.stringify(model)],
  );
  const taken = await Promise.all(
    Array.from({ length: 5 }, (_, i) =>
      send('/api/catalogue', 'POST', { models: [{ ...model, id: `y${i}` }], duplicates: 'skip' }, cookie),
    ),
  );
  expect(taken.filter((r) => r.status === 201)).toHaveLength(2);
  expect(await count('select count(*) n from workspace_model where workspace_id = $1', [workspace])).toBe(MAX_MODELS);
});

test('a workspace holds so many bytes, deleted ones included, until they are deleted for good', async () => {
  const { cookie, id } = await somebody();
  const workspace = await workspaceOf(id);
  await db.query(
    `insert into kitchen (workspace_id, name, document, deleted_at)
     select $1, 'big', jsonb_build_object('format', 'scabbard.kitchen', 'version', 1, 'name', repeat('x', 2000000)), now() from generate_series(1, 34)`,
    [workspace],
  );
  const save = () => send(`/api/kitchens/${id}`, 'PUT', { version: 1, kitchen: { ...head, name: 'More' } }, cookie);
  expect((await send('/api/kitchens', 'POST', { from: 'nothing' }, cookie)).status).toBe(409);
  expect((await save()).status).toBe(413);
  expect((await send('/api/workspace/deleted', 'DELETE', '', cookie)).status).toBe(200);
  expect((await save()).status).toBe(200);
});

test('who writes too fast is told when to go on', async () => {
  const { cookie, id } = await somebody();
  const answers = await Promise.all(
    Array.from({ length: 500 }, () => send(`/api/kitchens/${id}`, 'PATCH', { name: 'Again' }, cookie)),
  );
  const slowed = answers.filter((r) => r.status === 429);
  expect(slowed.length).toBeGreaterThan(0);
  expect(answers.length - slowed.length).toBeGreaterThanOrEqual(200);
  expect(Number(slowed[0]?.headers.get('retry-after'))).toBeGreaterThan(0);
  // others are not held up
  expect((await send('/api/kitchens', 'POST', { from: 'nothing' }, await newCookie())).status).toBe(201);
});

test('pages are not kept by caches, built files for ever and compressed; every answer has the headers', async () => {
  const page = await look('/');
  expect(page.headers.get('cache-control')).toBe('no-store');
  const html = await page.text();
  const asset = /\/assets\/[\w.-]+\.js/.exec(html)?.[0] ?? '';
  const file = await fetch(`${address}${asset}`, { headers: { 'accept-encoding': 'br' } });
  expect(file.headers.get('cache-control')).toContain('immutable');
  expect(file.headers.get('content-encoding')).toBe('br');
  expect(file.headers.get('content-security-policy')).toContain("default-src 'self'");
  const catalogue = await fetch(`${address}/api/catalogue`, { headers: { 'accept-encoding': 'gzip' } });
  expect(catalogue.headers.get('content-encoding')).toBe('gzip');
  for (const path of ['/', asset, '/favicon.svg', '/nothing/here', '/api/kitchens/none', '/%', '/health', '/ready']) {
    const { headers } = await look(path);
    expect([path, headers.get('x-content-type-options')]).toEqual([path, 'nosniff']);
    expect([path, headers.get('cross-origin-resource-policy')]).toEqual([path, 'same-origin']);
    expect(headers.get('x-request-id')).toMatch(/^[0-9a-f]{8}$/);
  }
});

test('a page that breaks is told as a page, with the number that finds it in the log', async () => {
  const { cookie, id } = await somebody();
  await db.query(`update kitchen set document = 'null' where id = $1`, [id]);
  const page = await look(`/kitchens/${id}`, cookie);
  expect([page.status, page.headers.get('content-type')]).toEqual([500, expect.stringContaining('text/html')]);
  const text = await page.text();
  expect(text).toContain('This page could not be made');
  expect(text).toContain(page.headers.get('x-request-id'));
});

test('no image is made for whoever asks, and no key is written to the log, however an address is spelt', async () => {
  const { port } = new URL(address);
  const asked = (path: string) =>
    new Promise<number | undefined>((resolve, reject) => {
      request({ host: '127.0.0.1', port, path }, (response) => {
        response.resume();
        resolve(response.statusCode);
      })
        .once('error', reject)
        .end();
    });
  const image = '_image?href=/favicon.svg&w=2000&f=webp';
  for (const path of [`/${image}`, `/%5f${image.slice(1)}`, `/./${image}`, `/x/../${image}`, `//${image}`])
    expect([path, await asked(path)]).toEqual([path, 404]);
  const key = `KEY${Date.now()}`;
  for (const path of [`/shown/${key}`, `/%73hown/${key}`, `/./calendar/${key}.ics`])
    expect([path, await asked(path)]).toEqual([path, 404]);
  await new Promise((resolve) => setTimeout(resolve, 200));
  expect(readFileSync(process.env.SCABBARD_LOG ?? '', 'utf8')).not.toContain(key);
});

test('pages that are the same for everybody are, and the first page shows kitchens only to whose they are', async () => {
  const { cookie } = await somebody({ from: 'nothing', name: `Reed ${Date.now()} cabin` });
  const mine = await (await look('/', cookie)).text();
  expect(mine).toContain('cabin');
  for (const path of ['/', '/help', '/glossary', '/score', '/catalogue']) {
    const [first, second] = [await look(path), await look(path)];
    expect([path, first.status, second.headers.get('cache-control')]).toEqual([path, 200, 'no-store']);
    const text = await second.text();
    expect(text).toBe(await first.text());
    expect(text).not.toContain('cabin');
    expect(second.headers.get('x-request-id')).not.toBe(first.headers.get('x-request-id'));
    for (const encoding of ['br', 'gzip']) {
      const packed = await fetch(`${address}${path}`, { headers: { 'accept-encoding': encoding } });
      expect([path, packed.headers.get('content-encoding'), (await packed.text()) === text]).toEqual([
        path,
        encoding,
        true,
      ]);
    }
  }
});

test('a body too long for a kitchen that is not there is never read, and of one client only so much is held', async () => {
  const { cookie, id } = await somebody();
  const long = `{"version":1,"kitchen":${' '.repeat(1_500_000)}{}}`;
  const nowhere = await send('/api/kitchens/00000000-0000-4000-8000-000000000000', 'PUT', long, cookie);
  expect(nowhere.status).toBe(404);
  const many = await Promise.all(Array.from({ length: 30 }, () => send(`/api/kitchens/${id}`, 'PUT', long, cookie)));
  const statuses = new Set(many.map(({ status }) => status));
  expect([...statuses].every((status) => [422, 429, 503].includes(status))).toBe(true);
  expect(statuses.has(422)).toBe(true);
});

test('the server answers to its own names only', async () => {
  const asked = (host: string) =>
    new Promise<number | undefined>((resolve, reject) => {
      request(`${address}/`, { headers: { host } }, (response) => {
        response.resume();
        resolve(response.statusCode);
      })
        .once('error', reject)
        .end();
    });
  const { port } = new URL(address);
  expect(await asked(`localhost:${port}`)).toBe(200);
  for (const host of ['elsewhere.test', '127.0.0.1.elsewhere.test', '['])
    expect([host, await asked(host)]).toEqual([host, 421]);
});

test('no query of the server waits for ever', async () => {
  const { db: its, pool } = connect(process.env.SCABBARD_OWNER_URL ?? '');
  const shown = async (what: string) => Object.values((await its.execute(sql.raw(`show ${what}`))).rows[0] ?? {})[0];
  expect(await shown('statement_timeout')).toBe('10s');
  expect(await shown('lock_timeout')).toBe('5s');
  expect(await shown('idle_in_transaction_session_timeout')).toBe('15s');
  await pool.end();
  const nobody = connect('postgres://a:b@192.0.2.1:5432/c');
  const why: unknown = await nobody.db.execute(sql`select 1`).catch((error: unknown) => error);
  expect(outage(why)).toBe('away');
  await nobody.pool.end();
});

test('a transaction that cannot begin gives its connection back', async () => {
  process.env.DATABASE_CONNECTIONS = '2';
  const { db: its, pool } = connect(process.env.SCABBARD_OWNER_URL ?? '');
  delete process.env.DATABASE_CONNECTIONS;
  const one = () => inTransaction(its, (tx) => tx.execute(sql`select 1`));
  const cut = (client: { connection?: { stream: { destroy(): void } } }) => client.connection?.stream.destroy();
  pool.on('acquire', cut);
  for (let times = 0; times < 3; times++) await expect(one()).rejects.toThrow();
  pool.off('acquire', cut);
  expect((await one()).rowCount).toBe(1);
  await expect(inTransaction(its, () => Promise.reject(new Error('no')))).rejects.toThrow('no');
  expect((await one()).rowCount).toBe(1);
  await pool.end();
});

test('the server’s role reads and writes rows and nothing else', async () => {
  const role = z
    .object({ rolsuper: z.literal(false), rolcreatedb: z.literal(false), rolcreaterole: z.literal(false) })
    .parse((await db.query(`select * from pg_roles where rolname = 'scabbard_app'`)).rows[0]);
  expect(role.rolsuper).toBe(false);
  const may = (what: string) => count(`select (${what})::int n`);
  expect(await may(`has_table_privilege('scabbard_app', 'kitchen', 'insert, update, delete')`)).toBe(1);
  expect(await may(`has_table_privilege('scabbard_app', 'kitchen', 'truncate')`)).toBe(0);
  expect(await may(`has_table_privilege('scabbard_app', 'catalogue_model', 'update')`)).toBe(0);
  expect(await may(`has_schema_privilege('scabbard_app', 'public', 'create')`)).toBe(0);
});

test('the log has one line a request, with the number the answer has, and nothing of what was sent', async () => {
  const { cookie } = await somebody();
  const secret = `soup-${Date.now()}`;
  const answer = await send('/api/kitchens', 'POST', { from: 'nothing', name: secret }, cookie);
  const number = answer.headers.get('x-request-id') ?? '';
  await look(`/api/catalogue/file?of=${secret}`, cookie);
  await new Promise((resolve) => setTimeout(resolve, 200));
  const text = readFileSync(process.env.SCABBARD_LOG ?? '', 'utf8');
  const lines = text.split('\n').filter((line) => line.includes(number));
  expect(lines).toHaveLength(1);
  expect(JSON.parse(lines[0] ?? '')).toMatchObject({
    method: 'POST',
    path: '/api/kitchens',
    status: 201,
    request: number,
  });
  expect(text).not.toContain(secret);
  expect(text).not.toContain(cookie.split('=')[1]);
});
