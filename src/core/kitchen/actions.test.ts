import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { BOUNDS, MOST } from '../formats/kitchenBounds';
import { kitchenFileSchema, type KitchenFile } from '../formats/kitchenFile';
import { Faults, faultsOf } from '../formats/faults';
import { planKitchen } from '../kit/plan/planKitchen';
import { wildKitchen } from '../testing/arbitrary';
import { fileOf } from '../testing/trade';
import * as changes from './changes';
import { isDrawerFull } from './drawerRoom';
import * as deeds from './deeds';
import { checkIds, knownModels } from './ids';

/** Whatever is done on the screens, one thing after the other, the file that results is one that its own format accepts. */

type Action = (file: KitchenFile) => KitchenFile;
const known = knownModels(shippedModels);
const faultsIn = (file: KitchenFile) => {
  const parsed = kitchenFileSchema.safeParse(file);
  if (!parsed.success) return faultsOf(parsed.error);
  const faults = new Faults();
  checkIds(file, reference, known, faults);
  return faults.list();
};

const [step] = planKitchen(fileOf({ budget: { total: 200 } }), reference, shippedModels, { perturbed: 0 }).steps;
if (!step) throw new Error('a plan without steps');
const anyModel = fc.constantFrom(...shippedModels);
const anyType = fc.constantFrom(...reference.types.keys());
const anyTool = fc.constantFrom(...reference.tools.keys());
const day = fc.constantFrom('2025-01-31', '2025-02-28', '2026-12-01');
const between = ([min, max]: readonly [number, number]) => fc.double({ min, max, noNaN: true });
/** What a photo may measure: also what lies beyond the format. */
const measured = fc.double({ min: -100, max: 900, noNaN: true });
const place = fc.nat(9);
const cookIn = (file: KitchenFile, cook: number) => cook % Math.max(1, file.cooks?.length ?? 1);
const ownedIn = (file: KitchenFile, at: number) => at % Math.max(1, file.owned?.length ?? 0);

const buying = fc.record({ model: anyModel, price: fc.integer({ min: 1, max: 900 }), on: day }).map(
  ({ model, price, on }): Action =>
    (file) =>
      changes.bought(file, { ...step, action: 'buy', model: model.id, type: model.type, price }, on),
);
const settling = fc.record({ type: anyTool, on: day }).map(
  ({ type, on }): Action =>
    (file) =>
      changes.bought(file, { ...step, action: 'tool', model: null, type, price: 9 }, on),
);
const wishing = fc
  .record({
    id: fc.oneof(
      anyType,
      anyModel.map(({ id }) => id),
    ),
    other: anyType,
    how: fc.nat(4),
  })
  .map(({ id, other, how }): Action => {
    const all = [changes.demanded, changes.excluded, changes.released] as const;
    return (file) => {
      if (how === 3) return changes.swapped(file, other, id);
      return how === 4 ? changes.inOrder(file, Array<string>(60).fill(id)) : (all[how] ?? changes.released)(file, id);
    };
  });
const logging = fc
  .record({
    on: day,
    heelHeightMm: between(BOUNDS.heelHeightMm),
    did: fc.constantFrom('sharpened' as const, 'chipped' as const, 'measured' as const),
    at: place,
    edits: fc.boolean(),
  })
  .map(({ at, edits, ...entry }): Action => (file) => {
    if (!file.owned?.length) return file;
    const logged = { ...entry, knife: ownedIn(file, at), cook: cookIn(file, at) };
    return edits && file.diary?.length
      ? deeds.diaryChanged(file, at % file.diary.length, at % 2 === 0 ? null : logged)
      : deeds.logged(file, logged);
  });
const tracing = fc
  .record({
    on: day,
    lengthMm: measured,
    heelHeightMm: measured,
    bellyMm: measured,
    flatShare: measured,
    edge: fc.array(fc.record({ x: measured, y: measured }), { maxLength: 80 }),
    at: place,
  })
  .map(({ at, bellyMm, flatShare, ...profile }): Action => (file) => {
    if (!file.owned?.length) return file;
    return deeds.profileTraced(file, ownedIn(file, at), profile, { bellyMm, flatShare });
  });
const trying = fc.record({ model: anyModel, on: day, at: fc.nat(70) }).map(
  ({ model, on, at }): Action =>
    (file) =>
      deeds.handTested(file, at, { model: model.id, on, answers: {}, cook: cookIn(file, at) }),
);
const tasting = fc.record({ a: anyModel, b: anyModel, on: day, at: fc.nat(30), runs: fc.nat(300) }).map(
  ({ a, b, on, at, runs }): Action =>
    (file) =>
      deeds.benchTried(file, at, {
        on,
        knives: [{ model: a.id }, file.owned?.length ? { owned: ownedIn(file, at) } : { model: b.id }],
        tasks: ['onion-dice'],
        runs: Array.from({ length: runs }, () => ({ task: 'onion-dice', knife: 1, effort: 3, control: 3, result: 3 })),
      }),
);
const leaving = fc.record({ at: place, what: fc.nat(3) }).map(({ at, what }): Action => (file) => {
  if (what === 0) return file.owned?.length ? changes.givenAway(file, ownedIn(file, at)) : file;
  if (what === 1) return (file.cooks?.length ?? 0) > 1 ? deeds.cookLeft(file, cookIn(file, at)) : file;
  return what === 2 ? changes.served(file) : deeds.measuredCounting(file, at % 2 === 0);
});

const actions = fc.array(fc.oneof(buying, settling, wishing, logging, tracing, trying, tasting, leaving), {
  maxLength: 90,
});

test('any sequence of actions leaves a kitchen that its own format accepts', () => {
  fc.assert(
    fc.property(wildKitchen, actions, (file, list) => {
      fc.pre(faultsIn(file).length === 0);
      let now = file;
      for (const [i, act] of list.entries()) {
        now = act(now);
        expect([i, faultsIn(now)]).toEqual([i, []]);
      }
    }),
    { numRuns: 60 },
  );
});

test('a list that is full keeps the newest', () => {
  let file = fileOf({});
  for (let i = 0; i < MOST.handTests + 5; i++)
    file = deeds.handTested(file, file.trials?.hand?.length ?? 0, {
      model: shippedModels[0]?.id,
      on: '2026-01-01',
      place: `shop ${i}`,
      answers: {},
    });
  expect(file.trials?.hand).toHaveLength(MOST.handTests);
  expect(file.trials?.hand?.at(-1)?.place).toBe(`shop ${MOST.handTests + 4}`);
  expect(file.trials?.hand?.[0]?.place).toBe('shop 5');
  const full = fileOf({ owned: Array.from({ length: MOST.owned }, () => ({ type: 'chef' })) });
  expect(isDrawerFull(full)).toBe(true);
  expect(changes.bought(full, step, '2026-01-01')).toBe(full);
});
