import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { shippedModels } from '../data/models';
import { workspaceFileSchema } from '../src/core/formats/workspaceFile';
import { z } from '../src/core/zod';
import { cookieOf, look, newCookie, ownersDatabase, send, somebody } from './asking';
import { address, testBrowser, textOf, visitor } from './support';

const db = ownersDatabase();
const browser = await testBrowser();
const named = z.object({ kitchens: z.array(z.object({ id: z.string(), name: z.string() })) });
const kitchensOf = async (cookie: string) => named.parse(await (await look('/api/kitchens', cookie)).json()).kitchens;
const codeFor = async (cookie: string) =>
  z.object({ code: z.string() }).parse(await (await send('/api/workspace/recovery', 'POST', {}, cookie)).json()).code;

test('everything goes out as one file and comes in beside what stands there', async () => {
  const { cookie, id } = await somebody();
  const model = { ...shippedModels[0], id: 'own-one' };
  expect((await send('/api/catalogue', 'POST', { models: [model], duplicates: 'skip' }, cookie)).status).toBe(201);
  const kitchen = { format: 'scabbard.kitchen', version: 1, name: 'Lock 9', owned: [{ model: 'own-one' }] };
  expect((await send(`/api/kitchens/${id}`, 'PUT', { version: 1, kitchen }, cookie)).status).toBe(200);
  const kept = { kind: 'scenario', name: 'No meat', kitchen: { ...kitchen, avoids: ['meat'] } };
  expect((await send(`/api/kitchens/${id}/snapshots`, 'POST', kept, cookie)).status).toBe(201);
  const out = await look('/api/workspace', cookie);
  expect(out.headers.get('content-disposition')).toContain('.scabbard-workspace.json');
  const text = await out.text();
  const file = workspaceFileSchema.parse(JSON.parse(text));
  expect(file.kitchens.map((k) => [k.kitchen, k.kept.map((b) => b.name)])).toEqual([[kitchen, ['No meat']]]);

  const other = await newCookie();
  expect((await send('/api/workspace', 'POST', text, other)).status).toBe(201);
  expect((await kitchensOf(other)).map((k) => k.name).sort()).toEqual(['Lock 9', 'My kitchen']);
  const again = workspaceFileSchema.parse(await (await look('/api/workspace', other)).json());
  expect(again.models).toEqual(file.models);
  expect(again.kitchens.find((k) => k.kitchen.name === 'Lock 9')?.kept[0]?.kitchen).toEqual(kept.kitchen);
  // a file with a fault changes nothing
  const broken = { ...file, kitchens: [...file.kitchens, { kitchen: { ...kitchen, tools: ['sword'] }, kept: [] }] };
  expect((await send('/api/workspace', 'POST', broken, other)).status).toBe(422);
  expect(await kitchensOf(other)).toHaveLength(2);
});

test('a recovery code opens the workspace in another browser, an older code no longer does, and own kitchens are left on purpose only', async () => {
  const { cookie, id } = await somebody();
  const first = await codeFor(cookie);
  const code = await codeFor(cookie);
  expect(code).toMatch(/^([2-9A-HJ-NP-Z]{5}-){4}[2-9A-HJ-NP-Z]{5}$/);
  expect((await send('/api/workspace/open', 'POST', { code: first })).status).toBe(404);
  const opened = await send('/api/workspace/open', 'POST', { code: code.toLowerCase().replaceAll('-', ' ') });
  expect(opened.status).toBe(200);
  const there = cookieOf(opened) ?? '';
  expect(there).not.toBe(cookie);
  for (const each of [cookie, there]) expect((await kitchensOf(each)).map((k) => k.id)).toEqual([id]);
  const elsewhere = await newCookie();
  expect((await send('/api/workspace/open', 'POST', { code }, elsewhere)).status).toBe(409);
  expect((await send('/api/workspace/open', 'POST', { code, leave: true }, elsewhere)).status).toBe(200);
});

test('a second try doubles nothing, and with a new code the other browsers can be signed out', async () => {
  const { cookie } = await somebody({ from: 'sample', sample: 'millrace-flat' });
  const text = await (await look('/api/workspace', cookie)).text();
  const counts = z.object({ kitchens: z.number(), already: z.number() });
  const importing = async (into: string) =>
    counts.parse(await (await send('/api/workspace', 'POST', text, into)).json());
  expect(await importing(cookie)).toEqual({ kitchens: 0, already: 1 });
  const other = await newCookie();
  expect([await importing(other), await importing(other)]).toEqual([
    { kitchens: 1, already: 0 },
    { kitchens: 0, already: 1 },
  ]);

  const code = await codeFor(cookie);
  const there = cookieOf(await send('/api/workspace/open', 'POST', { code })) ?? '';
  const others = async (asker: string) => (await (await look('/api/workspace/browsers', asker)).json()) as unknown;
  expect(await others(cookie)).toEqual({ others: 1 });
  expect(await (await send('/api/workspace/browsers', 'DELETE', '', cookie)).json()).toEqual({ ended: 1 });
  expect([(await kitchensOf(there)).length, (await kitchensOf(cookie)).length]).toEqual([0, 1]);
  expect(await others('')).toEqual({ others: 0 });
});

test('what is deleted can be had back for thirty days and is then gone; empty workspaces go too', async () => {
  const { cookie, id } = await somebody();
  // asked first: the server keeps house too, and may remove what has been made old below
  const workspace = z
    .object({ workspace_id: z.string() })
    .parse((await db.query('select workspace_id from kitchen where id = $1', [id])).rows[0]).workspace_id;
  const age = (days: number) =>
    db.query(`update kitchen set deleted_at = now() - make_interval(days => $2) where id = $1`, [id, days]);
  expect((await send(`/api/kitchens/${id}`, 'DELETE', '', cookie)).status).toBe(204);
  await age(29);
  expect((await send(`/api/kitchens/${id}`, 'PATCH', { deleted: false }, cookie)).status).toBe(204);
  await age(31);
  expect((await send(`/api/kitchens/${id}`, 'PATCH', { deleted: false }, cookie)).status).toBe(404);
  process.env.DATABASE_URL = process.env.SCABBARD_OWNER_URL;
  const { keepHouse } = await import('../src/server/housekeeping');
  const isThere = async (what: 'kitchen' | 'workspace', which: string) =>
    (await db.query(`select 1 from ${what} where id = $1`, [which])).rowCount === 1;
  await keepHouse(new Date());
  expect(await isThere('kitchen', id)).toBe(false);
  // one that holds nothing is forgotten once it has not been used for long
  expect(await isThere('workspace', workspace)).toBe(true);
  await db.query(`update workspace set seen_at = now() - interval '40 days' where id = $1`, [workspace]);
  await db.query(`insert into workspace_model (workspace_id, id, model) values ($1, 'm', '{}')`, [workspace]);
  await keepHouse(new Date());
  expect(await isThere('workspace', workspace)).toBe(true);
  await db.query('delete from workspace_model where workspace_id = $1', [workspace]);
  await keepHouse(new Date());
  expect(await isThere('workspace', workspace)).toBe(false);
});

test('from the first page: a code opens the kitchens in another browser, and everything is forgotten on request', async () => {
  const here = await visitor(browser);
  await here.page.goto(address);
  await here.page.evaluate(async () => {
    await fetch('/api/kitchens', { method: 'POST', body: JSON.stringify({ from: 'nothing', name: 'Weir house' }) });
  });
  await here.page.reload();
  const press = async (page: typeof here.page, text: string) =>
    (await page.waitForSelector(`xpath///button[contains(., "${text}")]`))?.click();
  await press(here.page, 'Make a recovery code');
  await here.page.waitForSelector('section[aria-labelledby="yours"] strong');
  const code = await textOf(here.page, 'section[aria-labelledby="yours"] strong');
  // a backup from the first page, imported there: what is here already is not doubled
  const backup = join(mkdtempSync(join(tmpdir(), 'scabbard-import-')), 'all.json');
  writeFileSync(backup, await here.page.evaluate(async () => (await fetch('/api/workspace')).text()));
  const picker = await here.page.$('section[aria-labelledby="yours"] input[type="file"]');
  await (picker as ElementHandle<HTMLInputElement>).uploadFile(backup);
  await here.page.waitForFunction(() => document.body.innerText.includes('1 kitchen you had already'));

  const there = await visitor(browser);
  await there.page.goto(address);
  const field = await there.page.waitForSelector('section[aria-labelledby="yours"] input:not([type="file"])');
  await field?.type(code);
  await Promise.all([there.page.waitForNavigation(), there.page.keyboard.press('Enter')]);
  await there.page.waitForSelector('section[aria-labelledby="mine"] li');
  expect(await textOf(there.page, 'section[aria-labelledby="mine"] li')).toContain('Weir house');

  await press(there.page, 'Forget everything about me');
  await there.page.waitForSelector('dialog[open]');
  await Promise.all([
    there.page.waitForNavigation(),
    (await there.page.waitForSelector('xpath///dialog[@open]//button[contains(., "Forget everything")]'))?.click(),
  ]);
  await here.page.reload();
  await here.page.waitForSelector('section[aria-labelledby="yours"]');
  expect(await here.page.$('section[aria-labelledby="mine"] li')).toBeNull();
  expect([here.errors, there.errors]).toEqual([[], []]);
});
