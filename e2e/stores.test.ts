import fc from 'fast-check';
import { bladeModelSchema } from '../src/core/blade/schema';
import { beforeAll, describe, expect, test } from 'vitest';
import { shippedModels } from '../data/models';
import type { KitchenFile } from '../src/core/formats/kitchenFile';
import { MAX_SHOWN, type ShownPlan, shownPlanOf } from '../src/core/formats/shownPlan';
import { MAX_KITCHENS, MAX_SNAPSHOTS, workspaceFileSchema } from '../src/core/formats/workspaceFile';
import { oddBlade, wildKitchen } from '../src/core/testing/arbitrary';
import { contextOf, fileOf, modelNamed } from '../src/core/testing/trade';
import { ownersDatabase } from './asking';
import { firstPlan } from '../src/core/kit/plan/planKitchen';

/** What the server stores, asked of its functions on the tests' own database: whose it is, what two writers do to each other, what ends when. */

const db = ownersDatabase();
const NOBODY = '00000000-0000-4000-8000-000000000000';
const named = (name: string): KitchenFile => fileOf({ name });

let stores: typeof import('../src/server/kitchens') &
  typeof import('../src/server/workspaces') &
  typeof import('../src/server/snapshots') &
  typeof import('../src/server/shownPlans') &
  typeof import('../src/server/edgeCalendars') &
  typeof import('../src/server/corrections') &
  typeof import('../src/server/catalogue') &
  typeof import('../src/server/transfer') &
  typeof import('../src/server/importing');

beforeAll(async () => {
  process.env.DATABASE_URL = process.env.SCABBARD_OWNER_URL;
  stores = {
    ...(await import('../src/server/kitchens')),
    ...(await import('../src/server/workspaces')),
    ...(await import('../src/server/snapshots')),
    ...(await import('../src/server/shownPlans')),
    ...(await import('../src/server/edgeCalendars')),
    ...(await import('../src/server/corrections')),
    ...(await import('../src/server/catalogue')),
    ...(await import('../src/server/transfer')),
    ...(await import('../src/server/importing')),
  };
});

/** Imports a file whose text comes in pieces of so many bytes. */
async function imported(workspace: string, file: string | object, piece = 997) {
  const bytes = Buffer.from(typeof file === 'string' ? file : JSON.stringify(file));
  async function* pieces() {
    for (let at = 0; at < bytes.length; at += piece) yield await Promise.resolve(bytes.subarray(at, at + piece));
  }
  return stores.importWorkspace(pieces(), workspace, () => Promise.resolve(workspace));
}
/** Everything in a workspace as the text of its file. */
async function textOf(workspace: string): Promise<string> {
  const pieces: Uint8Array[] = [];
  for await (const piece of stores.workspaceText(workspace)) pieces.push(piece);
  return Buffer.concat(pieces).toString('utf8');
}

const newWorkspace = async () => (await stores.createWorkspace()).id;
async function newKitchen(workspace: string, file = named('Quay')): Promise<string> {
  const made = await stores.createKitchen(workspace, file);
  if (made === 'full') throw new Error('the workspace is full');
  return made.id;
}
const shownPlan = (withPrices: boolean): ShownPlan =>
  shownPlanOf(firstPlan(contextOf({ budget: { total: 90 } })).plan, shippedModels, withPrices);

describe('a kitchen', () => {
  test('of two who save over the same version one is taken and the other told, and the version rises by one', async () => {
    const workspace = await newWorkspace();
    const id = await newKitchen(workspace);
    const saves = await Promise.all(
      ['one', 'other', 'third'].map((name) => stores.saveKitchen(workspace, id, 1, named(name))),
    );
    expect(saves.filter((save) => save === 'stale')).toHaveLength(2);
    expect(saves.filter((save) => save !== 'stale')).toEqual([{ version: 2 }]);
    const read = await stores.readKitchen(workspace, id);
    expect(read?.version).toBe(2);
    expect(['one', 'other', 'third']).toContain(read?.kitchen.name);
  });

  test('is not there for anybody else, nor under what is no id', async () => {
    const [mine, theirs] = [await newWorkspace(), await newWorkspace()];
    const id = await newKitchen(mine);
    for (const [workspace, asked] of [
      [theirs, id],
      [mine, NOBODY],
      [mine, `${id}'; drop table kitchen; --`],
      [mine, ''],
    ] as const) {
      expect(await stores.readKitchen(workspace, asked)).toBeNull();
      expect(await stores.versionOf(workspace, asked)).toBeNull();
      expect(await stores.saveKitchen(workspace, asked, 1, named('Taken'))).toBeNull();
      expect(await stores.renameKitchen(workspace, asked, 'Taken')).toBeNull();
      expect(await stores.deleteKitchen(workspace, asked)).toBe(false);
      expect(await stores.restoreKitchen(workspace, asked)).toBe(false);
      expect(await stores.listSnapshots(workspace, asked)).toBeNull();
      expect(
        await stores.addSnapshot(workspace, asked, { kind: 'snapshot', name: 'x', kitchen: named('x') }),
      ).toBeNull();
      expect(await stores.showPlan(workspace, asked, shownPlan(true), 3)).toBeNull();
      expect(await stores.openCalendar(workspace, asked, [])).toBeNull();
    }
    expect((await stores.readKitchen(mine, id))?.kitchen.name).toBe('Quay');
  });

  test('renamed keeps all else it says, and its name in list and file agree', async () => {
    const workspace = await newWorkspace();
    const file = fileOf({ name: 'Quay', budget: { total: 77 }, owned: [{ type: 'chef' }] });
    const id = await newKitchen(workspace, file);
    expect(await stores.renameKitchen(workspace, id, 'Loft “north”')).toEqual({ version: 2 });
    expect((await stores.readKitchen(workspace, id))?.kitchen).toEqual({ ...file, name: 'Loft “north”' });
    expect((await stores.listKitchens(workspace)).map(({ name }) => name)).toEqual(['Loft “north”']);
  });

  test('last changed comes first; put away it is in the other list, and had back it is as it was', async () => {
    const workspace = await newWorkspace();
    const [first, second] = [await newKitchen(workspace, named('first')), await newKitchen(workspace, named('second'))];
    await stores.saveKitchen(workspace, first, 1, named('first again'));
    expect((await stores.listKitchens(workspace)).map(({ id }) => id)).toEqual([first, second]);
    await stores.deleteKitchen(workspace, first);
    expect((await stores.listKitchens(workspace)).map(({ id }) => id)).toEqual([second]);
    expect((await stores.listDeleted(workspace)).map(({ id }) => id)).toEqual([first]);
    expect(await stores.saveKitchen(workspace, first, 2, named('lost'))).toBeNull();
    expect(await stores.restoreKitchen(workspace, first)).toBe(true);
    expect((await stores.readKitchen(workspace, first))?.kitchen.name).toBe('first again');
    await stores.deleteKitchen(workspace, second);
    await stores.emptyDeleted(workspace);
    expect(await stores.restoreKitchen(workspace, second)).toBe(false);
    expect((await stores.listKitchens(workspace)).map(({ id }) => id)).toEqual([first]);
  });

  test('there are only so many, however many are made at once, and the one too many leaves no trace', async () => {
    const workspace = await newWorkspace();
    const file = { format: 'scabbard.workspace' as const, version: 1 as const, models: [] };
    const kitchens = Array.from({ length: MAX_KITCHENS - 2 }, (_, i) => ({ kitchen: named(`k${i}`), kept: [] }));
    expect(await imported(workspace, { ...file, kitchens })).toMatchObject({ kitchens: MAX_KITCHENS - 2 });
    const made = await Promise.all(Array.from({ length: 5 }, () => stores.createKitchen(workspace, named('more'))));
    expect(made.filter((each) => each === 'full')).toHaveLength(3);
    expect(await stores.listKitchens(workspace)).toHaveLength(MAX_KITCHENS);
    // all of a file or nothing of it
    expect(await imported(workspace, { ...file, kitchens: [{ kitchen: named('one too many'), kept: [] }] })).toBe(
      'full',
    );
    expect(await stores.listKitchens(workspace)).toHaveLength(MAX_KITCHENS);
  });
});

const namedOnce = fc.constantFrom('before', 'more money', 'No meat', 'Ünder “quotes” \\\\');
/** What a workspace may hold: kitchens as wild as the format allows, with what is kept beside them, own models and corrections. */
const anyWorkspace = fc.record({
  kitchens: fc.array(
    fc.record({
      file: wildKitchen,
      kept: fc.array(
        fc.record({
          kind: fc.constantFrom('snapshot' as const, 'scenario' as const),
          name: namedOnce,
          file: wildKitchen,
        }),
        { maxLength: 3 },
      ),
      copies: fc.nat(1),
    }),
    { maxLength: 4 },
  ),
  models: fc.uniqueArray(
    oddBlade.filter((blade) => bladeModelSchema.safeParse(blade).success),
    { maxLength: 4, selector: ({ id }) => id },
  ),
  corrections: fc.uniqueArray(
    fc.record({ words: fc.constantFrom('ramps', 'two leeks', 'ä'), task: fc.constantFrom(null, 'onion-dice') }),
    {
      selector: ({ words }) => words,
    },
  ),
});

test('any workspace the application allows comes back from its file as it was', async () => {
  await fc.assert(
    fc.asyncProperty(
      anyWorkspace,
      fc.integer({ min: 40, max: 5000 }),
      async ({ kitchens, models, corrections }, piece) => {
        const mine = await newWorkspace();
        const own = models.map((model, i) => ({ ...model, id: `own-${i}` }));
        if (own.length > 0) await stores.addOwnModels(mine, own, 'skip');
        for (const each of corrections) await stores.remember(mine, each);
        for (const { file, kept, copies } of kitchens)
          for (let n = 0; n <= copies; n++) {
            const id = await newKitchen(mine, file);
            for (const { kind, name, file: beside } of kept)
              await stores.addSnapshot(mine, id, { kind, name, kitchen: beside });
          }
        const text = await textOf(mine);
        await stores.forgetWorkspace(mine);
        const back = await newWorkspace();
        expect(await imported(back, text, piece)).not.toBe('full');
        expect(await textOf(back)).toBe(text);
        expect(await imported(back, text, piece)).toMatchObject({ kitchens: 0 });
        expect(await textOf(back)).toBe(text);
      },
    ),
    { numRuns: 25 },
  );
});

describe('beside a kitchen', () => {
  test('snapshots go with their kitchen, newest first, and there are only so many', async () => {
    const workspace = await newWorkspace();
    const id = await newKitchen(workspace);
    const keep = (name: string) => stores.addSnapshot(workspace, id, { kind: 'scenario', name, kitchen: named(name) });
    for (let i = 0; i < MAX_SNAPSHOTS; i++) expect(await keep(`no ${i}`)).toBe('added');
    expect(await keep('one too many')).toBe('full');
    const kept = (await stores.listSnapshots(workspace, id)) ?? [];
    expect(kept).toHaveLength(MAX_SNAPSHOTS);
    expect(kept[0]?.name).toBe(`no ${MAX_SNAPSHOTS - 1}`);
    const [some] = kept;
    const other = await newKitchen(workspace);
    expect(await stores.deleteSnapshot(workspace, other, some?.id ?? '')).toBe(false);
    expect(await stores.deleteSnapshot(workspace, id, some?.id ?? '')).toBe(true);
    expect(await keep('room again')).toBe('added');
  });

  test('a link shows what it was made with to whoever has it, until it runs out, is withdrawn, or its kitchen goes', async () => {
    const workspace = await newWorkspace();
    const id = await newKitchen(workspace);
    const show = async (days: number) => {
      const link = await stores.showPlan(workspace, id, shownPlan(false), days);
      if (link === null || link === 'full') throw new Error('no link');
      return link.token;
    };
    const token = await show(7);
    expect((await stores.readShown(token))?.document).toEqual(shownPlan(false));
    expect(await stores.readShown(`${token.slice(1)}A`)).toBeNull();
    expect(await stores.readShown('')).toBeNull();
    // run out
    expect(await stores.readShown(await show(-1))).toBeNull();
    expect(await stores.listShown(workspace, id)).toHaveLength(1);
    // withdrawn, by its own kitchen alone
    const [link] = (await stores.listShown(workspace, id)) ?? [];
    const stranger = await newWorkspace();
    expect(await stores.withdrawShown(stranger, id, link?.id ?? '')).toBe(false);
    expect(await stores.withdrawShown(workspace, id, link?.id ?? '')).toBe(true);
    expect(await stores.readShown(token)).toBeNull();
    // gone with its kitchen, and back with it
    const other = await show(7);
    await stores.deleteKitchen(workspace, id);
    expect(await stores.readShown(other)).toBeNull();
    await stores.restoreKitchen(workspace, id);
    expect(await stores.readShown(other)).not.toBeNull();
    await db.query('update shown_plan set expires_at = now() where kitchen_id = $1', [id]);
    expect(await stores.readShown(other)).toBeNull();
    await stores.purgeShown(new Date());
    expect((await db.query('select 1 from shown_plan where kitchen_id = $1', [id])).rowCount).toBe(0);
  });

  test('links that have run out make room for new ones', async () => {
    const workspace = await newWorkspace();
    const id = await newKitchen(workspace);
    const document = shownPlan(true);
    for (let i = 0; i < MAX_SHOWN; i++) await stores.showPlan(workspace, id, document, i === 0 ? -1 : 5);
    expect(await stores.showPlan(workspace, id, document, 5)).toHaveProperty('token');
    expect(await stores.showPlan(workspace, id, document, 5)).toBe('full');
  });

  test('a calendar has one address: a new one ends the old, days change behind it, and closed it is gone', async () => {
    const workspace = await newWorkspace();
    const id = await newKitchen(workspace);
    const days = (title: string) => [{ date: '2031-04-01', title, why: 'two knives' }];
    expect(await stores.changeCalendar(workspace, id, days('early'))).toBe(false);
    const open = async (summary: string) => {
      const opened = await stores.openCalendar(workspace, id, days(summary));
      if (opened === null || opened === 'full') throw new Error('no address');
      return opened.token;
    };
    const old = await open('first');
    expect((await stores.readCalendar(old))?.days).toEqual(days('first'));
    const token = await open('second');
    expect(await stores.readCalendar(old)).toBeNull();
    expect(await stores.changeCalendar(workspace, id, days('third'))).toBe(true);
    expect((await stores.readCalendar(token))?.days).toEqual(days('third'));
    expect(await stores.changeCalendar(await newWorkspace(), id, days('theirs'))).toBe(false);
    expect(await stores.calendarState(workspace, id)).toMatchObject({ open: true });
    expect(await stores.closeCalendar(workspace, id)).toBe(true);
    expect(await stores.readCalendar(token)).toBeNull();
    expect(await stores.calendarState(workspace, id)).toEqual({ open: false, changedAt: null });
  });
});

describe('a workspace', () => {
  test('is opened by its key alone, and by the newest recovery code however that is typed', async () => {
    const { id, token } = await stores.createWorkspace();
    expect(await stores.findWorkspace(token)).toBe(id);
    for (const wrong of [undefined, '', 'x'.repeat(43), `${token}x`, token.toUpperCase()])
      expect(await stores.findWorkspace(wrong)).toBeNull();
    const older = await stores.newRecoveryCode(id);
    const code = await stores.newRecoveryCode(id);
    expect(code).toMatch(/^(?:[2-9A-HJ-NP-Z]{5}-){4}[2-9A-HJ-NP-Z]{5}$/);
    expect(await stores.openWithCode(older)).toBeNull();
    const opened = await stores.openWithCode(code.toLowerCase().replace(/-/g, ' '));
    expect(opened?.id).toBe(id);
    expect(await stores.findWorkspace(opened?.token)).toBe(id);
    expect(await stores.findWorkspace(token)).toBe(id);
  });

  test('forgotten, it takes everything along; one that holds anything is never purged', async () => {
    const { id: empty, token: emptyKey } = await stores.createWorkspace();
    const { id: held, token } = await stores.createWorkspace();
    await stores.remember(held, { words: 'a handful of ramps', task: null });
    expect([await stores.isEmpty(empty), await stores.isEmpty(held)]).toEqual([true, false]);
    await db.query(`update workspace set seen_at = now() - interval '40 days' where id = any($1)`, [[empty, held]]);
    await stores.purgeEmptyWorkspaces(new Date());
    expect(await stores.findWorkspace(emptyKey)).toBeNull();
    expect(await stores.findWorkspace(token)).toBe(held);
    const kitchen = await newKitchen(held);
    await stores.forgetWorkspace(held);
    expect(await stores.findWorkspace(token)).toBeNull();
    expect(await stores.readKitchen(held, kitchen)).toBeNull();
  });

  test('corrections are its own; of the same words the last counts, and what is forgotten is read anew', async () => {
    const [mine, theirs] = [await newWorkspace(), await newWorkspace()];
    await stores.remember(mine, { words: 'ramps', task: 'onion-slice' });
    await stores.remember(mine, { words: 'ramps', task: null });
    await stores.remember(mine, { words: 'asafoetida', task: null });
    expect(await stores.listCorrections(mine)).toEqual([
      { words: 'asafoetida', task: null },
      { words: 'ramps', task: null },
    ]);
    expect(await stores.listCorrections(theirs)).toEqual([]);
    await stores.forget(theirs, 'ramps');
    await stores.forget(mine, 'asafoetida');
    expect((await stores.listCorrections(mine)).map(({ words }) => words)).toEqual(['ramps']);
  });

  test('own models stand beside the shipped ones, are replaced or skipped as asked, and stay while a kitchen uses them', async () => {
    const [mine, theirs] = [await newWorkspace(), await newWorkspace()];
    const model = { ...modelNamed('oskavel-gyuto-210'), id: 'own-heron', name: 'Heron', maker: 'My own' };
    expect(await stores.addOwnModels(mine, [model], 'skip')).toEqual({ added: 1, replaced: 0, skipped: 0 });
    const dearer = { ...model, priceMinor: model.priceMinor + 100 };
    expect(await stores.addOwnModels(mine, [dearer], 'skip')).toEqual({ added: 0, replaced: 0, skipped: 1 });
    expect(await stores.readOwnModels(mine)).toEqual([model]);
    expect(await stores.addOwnModels(mine, [dearer], 'replace')).toEqual({ added: 0, replaced: 1, skipped: 0 });
    expect(await stores.readOwnModels(mine)).toEqual([dearer]);
    expect(await stores.readCatalogueModels(mine)).toHaveLength(shippedModels.length + 1);
    expect(await stores.readCatalogueModels(theirs)).toHaveLength(shippedModels.length);
    const id = await newKitchen(mine, fileOf({ name: 'Pier', limits: { must: ['own-heron'] } }));
    expect(await stores.deleteOwnModel(mine, 'own-heron')).toEqual({ usedBy: ['Pier'] });
    expect(await stores.deleteOwnModel(theirs, 'own-heron')).toBeNull();
    await stores.addSnapshot(mine, id, {
      kind: 'snapshot',
      name: 'before',
      kitchen: fileOf({ limits: { must: ['own-heron'] } }),
    });
    await stores.saveKitchen(mine, id, 1, named('Pier'));
    // a snapshot names it still, and so may a kitchen that can be had back
    expect(await stores.deleteOwnModel(mine, 'own-heron')).toEqual({ usedBy: ['the snapshot before of Pier'] });
    const other = await newKitchen(mine, fileOf({ name: 'Quay', owned: [{ model: 'own-heron' }] }));
    await stores.deleteKitchen(mine, id);
    await stores.deleteKitchen(mine, other);
    expect(await stores.deleteOwnModel(mine, 'own-heron')).toMatchObject({
      usedBy: ['Quay (deleted, but still kept)', 'the snapshot before of Pier'],
    });
    await stores.emptyDeleted(mine);
    expect(await stores.deleteOwnModel(mine, 'own-heron')).toBe('gone');
    // whoever saves what was read before finds it gone
    await expect(stores.createKitchen(mine, fileOf({ limits: { must: ['own-heron'] } }))).rejects.toThrow(
      'deleted meanwhile',
    );
    expect(await stores.deleteOwnModel(mine, 'own-heron')).toBeNull();
  });

  test('goes out as one text and comes in elsewhere as it was, with what was kept beside and when it was changed', async () => {
    const [mine, theirs] = [await newWorkspace(), await newWorkspace()];
    const file = fileOf({ name: 'Crab “shack” \\ 7', owned: [{ type: 'chef' }], budget: { total: 310 } });
    const id = await newKitchen(mine, file);
    await stores.addSnapshot(mine, id, { kind: 'snapshot', name: 'before', kitchen: named('before') });
    await stores.remember(mine, { words: 'samphire', task: null });
    const text = await textOf(mine);
    expect(await imported(theirs, text)).toMatchObject({ kitchens: 1 });
    expect(await textOf(theirs)).toBe(text);
    // a second try doubles nothing, and two kitchens alike stay two
    expect(await imported(theirs, text)).toMatchObject({ kitchens: 0, already: 1 });
    await newKitchen(mine, file);
    const twice = await newKitchen(mine, file);
    expect(twice).not.toBe(id);
    expect(await imported(theirs, await textOf(mine))).toMatchObject({ kitchens: 2, already: 1 });
    expect(await imported(theirs, await textOf(mine))).toMatchObject({ kitchens: 0, already: 3 });
    expect(await stores.listKitchens(theirs)).toHaveLength(3);
    expect(workspaceFileSchema.safeParse(JSON.parse(await textOf(theirs))).success).toBe(true);
  });
});
