import { DndContext } from '@dnd-kit/core';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { AwayFile, KitchenFile } from '../../core/formats/kitchenFile';
import type { Storage, StoragePlace } from '../../core/formats/storageFile';
import { preparePlanning } from '../../core/kit/context/planningContext';
import { firstPlan } from '../../core/kit/plan/planKitchen';
import { fileOf } from '../../core/testing/trade';
import { keptKit, packedRoll, usedKnives, wallSheet } from '../../workers/keep';
import { nameless, ODD, shown } from '../testing/shown';
import { knifeFor } from './ForTask';
import { PackingList } from './PackingList';
import { PlaceCard } from './PlaceCard';
import { whereIn } from './PlacePicture';
import { Unplaced } from './Unplaced';

const nothing = () => undefined;
const home = fileOf({
  budget: { total: 0 },
  owned: [
    { type: 'chef', lengthMm: 210, condition: 'keen' },
    { type: 'paring', lengthMm: 80, condition: 'dull' },
    { type: 'bread', lengthMm: 250, condition: 'keen' },
    { type: 'santoku', lengthMm: 170, condition: 'keen', keep: 'keepsake' },
  ],
});
const laidOut = (file: KitchenFile) => preparePlanning(file, reference, shippedModels);
const keptIn = (places: StoragePlace[], file = home) => {
  const context = laidOut(file);
  const storage: Storage = { growth: 0, places };
  return keptKit(context, firstPlan(context).plan, storage);
};

describe('a place', () => {
  const roll: StoragePlace = {
    kind: 'roll',
    pockets: [
      { lengthMm: 430, widthMm: 70 },
      { lengthMm: 430, widthMm: 70 },
    ],
  };
  const tray: StoragePlace = { kind: 'tray', lengthMm: 480, widthMm: 300, heightMm: 60, slats: null };
  const card = (place: StoragePlace, { knives, keeping: { placed } } = keptIn([place])) =>
    shown(
      <DndContext>
        <PlaceCard
          {...{ place, knives, placed }}
          name="By the window"
          draft={null}
          lifted={null}
          widest={500}
          onPicture={nothing}
          onChange={nothing}
          onRemove={nothing}
          onTurn={nothing}
        />
      </DndContext>,
    );

  test('tells every knife in it and where, and gives each a handle with a name', () => {
    const kept = keptIn([roll]);
    const view = card(roll, kept);
    expect(kept.keeping.placed).toHaveLength(2);
    for (const { ref, slot = -1 } of kept.keeping.placed) {
      const name = kept.knives.find((knife) => knife.ref === ref)?.name ?? '';
      expect(view.words).toContain(`${name} pocket ${slot + 1}`);
      expect(view.buttons).toContain(`${name}: By the window, pocket ${slot + 1}`);
    }
    expect(view.pictures).toEqual(['By the window, drawn to scale']);
    expect(nameless(view)).toEqual([]);
  });

  test('knives turn where they lie flat, and nowhere else', () => {
    expect(card(tray).buttons.filter((name) => name.startsWith('Turn '))).not.toHaveLength(0);
    expect(card(roll).buttons.filter((name) => name.startsWith('Turn '))).toHaveLength(0);
    expect(card({ ...tray, slats: 4 }).buttons.filter((name) => name.startsWith('Turn '))).toHaveLength(0);
  });

  test('what found none is told with its reason', () => {
    const { keeping, knives } = keptIn([roll]);
    const view = shown(
      <DndContext>
        <Unplaced left={keeping.left} knives={knives} lifted={null} />
      </DndContext>,
    );
    expect(keeping.left.length).toBeGreaterThan(0);
    for (const { why } of keeping.left) expect(view.words).toContain(why);
    expect(view.buttons.every((name) => name.endsWith(', without a place'))).toBe(true);
    expect(shown(<Unplaced left={[]} knives={knives} lifted={null} />).words).toBe('');
  });

  test.each<[StoragePlace, object, string]>([
    [{ kind: 'block', slots: [] }, { slot: 2 }, 'slot 3'],
    [roll, { slot: 0 }, 'pocket 1'],
    [{ kind: 'strip', lengthMm: 400, belowMm: 300 }, { xMm: 120.4 }, '120 mm from the left'],
    [{ kind: 'drawer', lengthMm: 400, widthMm: 300, heightMm: 80, guards: [] }, { slot: 1 }, 'in guard 2'],
    [tray, { turned: true }, 'across'],
    [tray, {}, 'along'],
    [{ ...tray, slats: 5 }, { slot: 4 }, 'row 5'],
  ])('where in a %o: %o is %s', (place, at, words) => {
    expect(whereIn(place, { ref: 'owned-0', place: 0, turned: false, ...at })).toBe(words);
  });
});

describe('a packing list', () => {
  const away = (of: AwayFile = {}) =>
    shown(<PackingList packed={packedRoll(home, of, laidOut(home))} name="the hut" />);

  test('says what goes and weighs, what stays and why, and what home does without', () => {
    const list = away();
    const { packing } = packedRoll(home, {}, laidOut(home));
    expect(packing.taken.length).toBeGreaterThan(1);
    expect(list.words).toContain(`${packing.taken.length} knives, ${packing.weightG} g`);
    for (const { name, pocket, weightG } of packing.taken)
      expect(list.words).toContain(`${name} pocket ${pocket + 1}, ${weightG} g, guard for`);
    for (const { why } of packing.left) expect(list.words).toContain(why);
    expect(list.words).toMatch(/At home meanwhile \d+% of the cutting is done well, \d+% before/);
    expect(list.words).not.toMatch(ODD);
    expect(nameless(list)).toEqual([]);
  });

  test('a dull one is to be sharpened before it goes', () => {
    expect(away().words).toContain('Have it sharpened before it goes.');
  });

  test('where no pocket takes anything says so, and home lacks nothing', () => {
    const list = away({ pockets: [{ lengthMm: 60, widthMm: 10 }] });
    expect(list.words).toContain('Nothing to take');
    expect(list.words).not.toContain('At home meanwhile');
  });
});

describe('what the worker tells of the drawer', () => {
  test('a wall sheet has every knife that stays, what it must never do, and who may use it', () => {
    const shared = fileOf({ ...home, cooks: [{ name: 'Ines' }, { name: 'Tor', mayUse: [1, 2] }] });
    const context = laidOut(shared);
    const { plan } = firstPlan(context);
    const sheet = wallSheet(context, plan, false);
    expect(sheet.knives).toHaveLength(4);
    for (const { never, care } of sheet.knives) {
      expect(never.length).toBeGreaterThan(0);
      expect(care.length).toBeGreaterThan(0);
    }
    expect(sheet.knives.map(({ who }) => who)).toEqual([['Ines'], null, null, ['Ines']]);
    expect(sheet.knives[3]?.never[0]).toMatch(/keepsake/i);
    expect(sheet.rules.join(' ')).toMatch(/never in the dishwasher/i);
    expect(sheet.rules.join(' ')).toMatch(/only what is marked for them/);
    expect(sheet.knives.map(({ name }) => name).join()).not.toMatch(ODD);
  });

  test('uses written down are shares that sum to one, beside what was reckoned', () => {
    const used = fileOf({
      ...home,
      diary: Array.from({ length: 12 }, (_, i) => ({
        on: `2031-02-${10 + i}`,
        knife: i % 4 === 0 ? 2 : 0,
        did: 'used' as const,
      })),
    });
    const { report, blades } = usedKnives(used, laidOut(used));
    expect(blades).toHaveLength(4);
    expect(report).toMatchObject({ uses: 12, days: 12 });
    expect(report.knives.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
    expect(report.knives.find(({ owned }) => owned === 0)).toMatchObject({ uses: 9, last: '2031-02-21' });
    expect(report.knives.find(({ owned }) => owned === 3)).toMatchObject({ uses: 0 });
  });
});

test('names the knife of the drawer for a task, and says where none does it', () => {
  const context = laidOut(home);
  const { served, blades } = usedKnives(home, context);
  const bread = served.find(({ task }) => task === 'crusty-loaf');
  const onions = served.find(({ task }) => task === 'onion-dice');
  if (!bread || !onions) throw new Error('neither bread nor onions are cut');
  expect(knifeFor(bread, blades)).toMatch(/^Take the bread knife.*: it does this well \(\d+ of 100\)\.$/);
  expect(knifeFor(onions, blades)).toMatch(/^Take the chef/);
  expect(knifeFor({ ...onions, score: 50 }, blades)).toMatch(/manages, no more \(50 of 100\)/);
  expect(knifeFor({ ...onions, by: { tool: 'peeler' } }, blades)).toMatch(/^The .*peeler does it best\.$/);
  expect(knifeFor({ ...onions, by: null }, blades)).toBe('No knife in this drawer should do this.');
});
