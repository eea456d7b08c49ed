import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { taskDone } from '../../load/load';
import type { KitchenFile } from '../../formats/kitchenFile';
import { prepareTask, score } from '../../fit/score';
import { cookOf, fileOf, taskNamed, traitsOf } from '../../testing/trade';
import { isAllRound } from '../candidates/kinds';
import { planKitchen } from './planKitchen';

/** Standing disagreements, settled by the kitchen: each side moves the plan the way its supporters mean it. */
const knives = (file: Partial<KitchenFile>) =>
  planKitchen(fileOf(file), reference, shippedModels, { perturbed: 0 }).steps.filter((s) => s.action === 'buy');
const generals = (file: Partial<KitchenFile>) => knives(file).map((s) => isAllRound(reference.types.get(s.type ?? '')));

describe('the second knife', () => {
  const money = { total: 300 };

  test.each(['everyday-western', 'grill-and-roast', 'baking'])('a general one, %s: two before any other', (id) => {
    const cooking = { cuisines: [{ id }] };
    expect(generals({ cooking, budget: money, limits: { second: 'general' } }).slice(0, 2)).toEqual([true, true]);
    const one = generals({ cooking, budget: money, limits: { second: 'general' }, owned: [{ type: 'chef' }] });
    expect(one[0]).toBe(true);
  });

  test.each([1, 2])('a specialist, %i cooks at once: never two general knives', (cooksAtOnce) => {
    const file = { cooksAtOnce, budget: money, limits: { second: 'specialist' as const } };
    expect(generals(file).filter(Boolean)).toHaveLength(1);
    expect(generals({ ...file, owned: [{ type: 'santoku' }] }).filter(Boolean)).toHaveLength(0);
    expect(generals({ ...file, owned: [{ type: 'santoku', condition: 'worn-out' }] }).filter(Boolean)).toHaveLength(1);
  });
});

const onions = prepareTask(taskNamed('onion-dice'));

const scored = (changes: Parameters<typeof traitsOf>[1], file: Partial<KitchenFile>) =>
  score(traitsOf('ploverdale-chef-200', changes), onions, [cookOf(file)]);

test('a taste in balance prefers blades that have it, and says nothing where there is none', () => {
  for (const [wantsBalance, balanceMm, other] of [
    ['forward', 30, -30],
    ['handle', -30, 30],
    ['neutral', 0, 40],
  ] as const) {
    const cooks = [{ wantsBalance }];
    expect(scored({ balanceMm }, { cooks })).toBeGreaterThan(scored({ balanceMm: other }, { cooks }) + 1);
    expect(scored({ balanceMm }, {})).toBe(scored({ balanceMm: other }, {}));
  }
});

test('who carries food on the flat gains by a tall side; who never does does not', () => {
  const low = { heelHeightMm: 44 };
  const gap = (lifts: 'flat' | 'never' | null) =>
    scored({ heelHeightMm: 52 }, { habits: { lifts } }) - scored(low, { habits: { lifts } });
  expect(gap('flat')).toBeGreaterThan(gap('never') + 1);
  expect(gap('never')).toBeCloseTo(gap(null), 9);
});

test('thick slices of cooked meat any keen knife does well, thin ones ask for a blade made for it; what is thin by nature stays so', () => {
  const roast = taskNamed('roast-carve');
  const as = (carves: 'thin' | 'thick' | null) => ({ habits: { carves }, sizes: new Map() });
  const at = (id: string, carves: 'thin' | 'thick') =>
    score(traitsOf(id), prepareTask(taskDone(roast, as(carves))), [cookOf()]);
  const [chef, carving] = ['ploverdale-chef-200', 'ploverdale-carving-220'] as const;
  expect(at(chef, 'thick')).toBeGreaterThan(at(chef, 'thin') + 10);
  expect(at(carving, 'thin') - at(chef, 'thin')).toBeGreaterThan(at(carving, 'thick') - at(chef, 'thick') + 2);
  const ham = taskNamed('ham-thin');
  expect(taskDone(ham, as('thick'))).toBe(ham);
  expect(taskDone(roast, as('thick'))).toBe(taskDone(roast, as('thick')));
  expect(taskDone(roast, as(null))).toBe(roast);
});
