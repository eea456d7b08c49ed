import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { BladeModel } from '../blade/schema';
import { completeKitchen } from '../kitchen/kitchen';
import type { KitchenFile } from '../formats/kitchenFile';
import { taskLoads } from '../load/load';
import { anyKitchen, anyTask, oddBlade } from '../testing/arbitrary';
import { cookContexts, sameCook } from './cook';
import { isPressed, taskModes } from './modes';
import { edgeSafety } from './parts/care';
import { clearance } from './parts/hold';
import { reach } from './parts/length';
import { wedge } from './parts/body';
import { explain } from './explain';
import { prepareTask, score } from './score';
import { bladeTraits } from './traits';

const contexts = (file: Partial<KitchenFile> = {}) => {
  const { kitchen } = completeKitchen({ format: 'scabbard.kitchen', version: 1, ...file }, reference, []);
  return cookContexts(kitchen, taskLoads(kitchen, reference));
};
const task = (id: string) => {
  const found = reference.tasks.get(id);
  if (!found) throw new Error(id);
  return found;
};
const model = (id: string) => {
  const found = shippedModels.find((m) => m.id === id);
  if (!found) throw new Error(id);
  return found;
};
const scored = (blade: BladeModel, taskId: string, file: Partial<KitchenFile> = {}) =>
  score(bladeTraits(blade, reference), prepareTask(task(taskId)), contexts(file));
const vetoed = (blade: BladeModel, taskId: string, file: Partial<KitchenFile> = {}) =>
  explain(bladeTraits(blade, reference), prepareTask(task(taskId)), contexts(file)).veto;

const home = contexts();
const first = home[0];
if (!first) throw new Error('no cook');

test('an equal cook is the same one, another hand or board is not; a week tires from its fourth hour on', () => {
  const one = (file: Partial<KitchenFile> = {}) => {
    const [cook] = contexts(file);
    if (!cook) throw new Error('no cook');
    return sameCook(cook);
  };
  expect(one()).toBe(one());
  expect(one({ cooks: [{ handLengthMm: 199 }] })).not.toBe(one());
  expect(one({ board: { material: 'glass' } })).not.toBe(one());
  // seventeen others later it is made anew, and scores alike
  const before = one();
  for (let mm = 160; mm < 177; mm++) one({ cooks: [{ handLengthMm: mm }] });
  expect(one()).not.toBe(before);
  expect(one()).toEqual(before);
  const hours = (times: number) =>
    one({ cooking: { tasks: [{ id: 'onion-dice', times, per: 'week', amount: 20 }] } }).longHours;
  const { minutes } = task('onion-dice');
  expect(hours(1)).toBe(0);
  expect(hours(60) - hours(50)).toBeCloseTo((10 * 20 * minutes) / 60, 6);
  expect(hours(60)).toBeCloseTo((60 * 20 * minutes) / 60 - 3, 6);
});

test('what is worked out once for a blade serves every cook: a score is its explanation’s, whoever was scored before', () => {
  const blades = shippedModels.filter((_, i) => i % 9 === 0).map((blade) => bladeTraits(blade, reference));
  fc.assert(
    fc.property(anyKitchen, (file) => {
      const cooks = contexts(file);
      for (const each of reference.tasks.values())
        for (const blade of blades) {
          const ready = prepareTask(each);
          expect(score(blade, ready, cooks)).toBeCloseTo(explain(blade, ready, cooks).score, 8);
        }
    }),
    { numRuns: 12 },
  );
});

test('any odd blade scores between 0 and 100, and the parts multiply to the score', () => {
  fc.assert(
    fc.property(oddBlade, anyTask, (blade, each) => {
      const traits = bladeTraits(blade, reference);
      const prepared = prepareTask(each);
      const points = score(traits, prepared, home);
      expect(points).toBeGreaterThanOrEqual(0);
      expect(points).toBeLessThanOrEqual(100);
      const { parts, veto, score: explained, mode } = explain(traits, prepared, home);
      expect(explained).toBeCloseTo(points, 8);
      for (const part of parts) expect(part.value).toBeLessThanOrEqual(1 + 1e-9);
      if (veto === null) {
        const factor = prepared.modes.find((m) => m.mode.id === mode)?.mode.factor ?? 0;
        const product = parts.reduce((p, part) => p * Math.pow(part.value, part.weight), factor);
        expect(100 * product).toBeCloseTo(explained, 8);
      } else expect(points).toBe(0);
    }),
    { numRuns: 400 },
  );
});

test('longer never lowers reach, thinner never lowers wedge, taller never lowers clearance, harder or more acute never raises edge safety', () => {
  fc.assert(
    fc.property(oddBlade, anyTask, fc.double({ min: 0, max: 40, noNaN: true }), (blade, each, more) => {
      const value = (part: typeof reach, b: BladeModel) =>
        taskModes(each)
          // rind is split by a stout blade, not a thin one
          .filter((mode) => !isPressed(each, mode))
          .map((mode) => part.value(bladeTraits(b, reference), each, first, mode));
      const noneLower = (after: number[], before: number[]) =>
        after.forEach((v, i) => expect(v).toBeGreaterThanOrEqual((before[i] ?? 0) - 1e-9));
      noneLower(value(reach, { ...blade, lengthMm: blade.lengthMm + more }), value(reach, blade));
      const thin = {
        ...blade,
        spineHeelMm: blade.spineHeelMm * 0.8,
        spineMidMm: blade.spineMidMm * 0.8,
        behindEdgeMm: blade.behindEdgeMm * 0.8,
      };
      noneLower(value(wedge, thin), value(wedge, blade));
      noneLower(value(clearance, { ...blade, heelHeightMm: blade.heelHeightMm + more }), value(clearance, blade));
      const keener = { ...blade, hrc: (blade.hrc ?? 60) + 2, edgeAngleDeg: blade.edgeAngleDeg * 0.8 };
      noneLower(value(edgeSafety, { ...blade, hrc: blade.hrc ?? 60 }), value(edgeSafety, keener));
    }),
    { numRuns: 300 },
  );
});

test('a left-handed cook with left-handed blades scores as a right-handed one with right-handed blades', () => {
  const other = { right: 'left', left: 'right', either: 'either' } as const;
  fc.assert(
    fc.property(oddBlade, anyTask, (blade, each) => {
      const mirrored = { ...blade, handed: other[blade.handed], handleHanded: other[blade.handleHanded] };
      const prepared = prepareTask(each);
      expect(score(bladeTraits(mirrored, reference), prepared, contexts({ cooks: [{ handed: 'left' }] }))).toBe(
        score(bladeTraits(blade, reference), prepared, home),
      );
    }),
  );
});

test('no cliffs: 2 mm more edge, heel or belly never moves a score by more than 8 points, vetoes aside', () => {
  const cook = contexts({ cooks: [{ experience: 'trained' }] });
  fc.assert(
    fc.property(oddBlade, anyTask, fc.constantFrom('lengthMm', 'heelHeightMm', 'bellyMm'), (blade, each, key) => {
      const prepared = prepareTask(each);
      const at = (b: BladeModel) => score(bladeTraits(b, reference), prepared, cook);
      const [before, after] = [at(blade), at({ ...blade, [key]: blade[key] + 2 })];
      if (before > 0 && after > 0) expect(Math.abs(after - before)).toBeLessThanOrEqual(8);
    }),
    { numRuns: 1500 },
  );
});

test('two models of one type with different geometry score differently', () => {
  const [a, b] = [model('ploverdale-chef-200'), model('quillback-chef-200')];
  expect(scored(a, 'onion-dice')).not.toBeCloseTo(scored(b, 'onion-dice'), 2);
});

test.each([
  ['crusty-loaf', 'ploverdale-bread-230', 'ploverdale-chef-200'],
  ['roast-carve', 'lanternhill-sujihiki-270', 'oskavel-paring-90'],
  ['fruit-peel', 'oskavel-paring-90', 'oskavel-gyuto-210'],
  ['raw-fish-slice', 'lanternhill-sujihiki-270', 'lanternhill-nakiri-165'],
  ['poultry-joint', 'lanternhill-honesuki-150', 'lanternhill-nakiri-165'],
  ['fish-fillet-flat', 'ploverdale-fillet-180', 'ploverdale-chef-200'],
  ['stock-bones-chop', 'ploverdale-meat-cleaver-180', 'ploverdale-chef-200'],
  ['oyster-open', 'quillback-oyster-70', 'oskavel-paring-90'],
  ['soft-fruit-with-child', 'whitquarry-child-100', 'oskavel-paring-90'],
  ['herb-mince', 'ploverdale-chef-200', 'ploverdale-bread-230'],
])('%s: %s does it well and far better than %s', (taskId, good, poor) => {
  expect(scored(model(good), taskId)).toBeGreaterThanOrEqual(70);
  expect(scored(model(good), taskId)).toBeGreaterThan(scored(model(poor), taskId) + 10);
});

test('whoever might be hurt is refused, with the reason', () => {
  const yanagiba = model('tidewrack-yanagiba-270');
  expect(vetoed(model('oskavel-gyuto-210'), 'ribs-chop')).toMatch(/too thin|HRC|chip/);
  expect(vetoed(yanagiba, 'raw-fish-slice', { cooks: [{ handed: 'left', experience: 'trained' }] })).toMatch(
    /right hand/,
  );
  expect(vetoed(yanagiba, 'raw-fish-slice', { cooks: [{ experience: 'new' }] })).toMatch(/not a first knife/);
  expect(
    vetoed(yanagiba, 'raw-fish-slice', { cooks: [{ experience: 'new' }], limits: { must: ['yanagiba'] } }),
  ).toBeNull();
  expect(vetoed(model('quillback-chef-280'), 'onion-dice', { cooks: [{ experience: 'new' }] })).toMatch(/too long/);
  expect(vetoed(model('oskavel-paring-90'), 'soft-fruit-with-child')).toMatch(/pointed/);
  expect(vetoed(model('whitquarry-paring-75-ceramic'), 'poultry-joint')).toMatch(/Ceramic/);
  for (const blade of shippedModels) {
    expect(scored(blade, 'frozen-block')).toBe(0);
    expect(scored(blade, 'coconut-crack')).toBe(0);
    if (blade.type !== 'oyster') expect(scored(blade, 'oyster-open')).toBe(0);
    if ((blade.hrc ?? 70) >= 60) expect(scored(blade, 'ribs-chop') + scored(blade, 'stock-bones-chop')).toBe(0);
  }
});

test('the way a cook cuts decides between deep and flat blades', () => {
  const rocks = { cooks: [{ motions: { rock: 1 } }] };
  const chops = { cooks: [{ motions: { chop: 1 } }] };
  const [chef, nakiri] = [model('ploverdale-chef-200'), model('lanternhill-nakiri-175-hammered')];
  expect(scored(chef, 'herb-mince', rocks)).toBeGreaterThan(scored(nakiri, 'herb-mince', rocks));
  expect(scored(nakiri, 'carrot-slice', chops)).toBeGreaterThan(scored(chef, 'carrot-slice', chops));
});

test('leaving things wet ruins carbon, not stainless', () => {
  const wet = { habits: { upkeep: 'leaves-wet' as const } };
  const drop = (id: string) => scored(model(id), 'tomato-slice') - scored(model(id), 'tomato-slice', wet);
  expect(drop('umberlane-gyuto-210')).toBeGreaterThan(30);
  expect(drop('oskavel-gyuto-210')).toBeLessThan(1);
});
