import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';
import { SCHOOL_IDS } from '../core/formats/kitchenWords';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { planFrom } from '../core/kit/plan/plan';
import { firstPlan, planProven } from '../core/kit/plan/planKitchen';
import { preparePlanning } from '../core/kit/context/planningContext';
import { toTheEnd } from '../core/kit/search/sizes';
import { wildKitchen } from '../core/testing/arbitrary';
import { contextOf, fileOf, modelNamed, traitsOf } from '../core/testing/trade';
import { moneyView, planBeside, schoolsOf, setVerdicts, sizesView } from './argue';
import type { Label } from '../core/kit/label/label';
import { briefOf, careOf, labelRead, shelfJudged } from './shop';
import {
  characterIn,
  cuttingOf,
  drawerOf,
  knownDishes,
  knownTasks,
  matchOf,
  rankedAt,
  typicalBlades,
  wishedIn,
} from './stock';
import { cutOf, exampleOf, foodsFor } from './trying';

/** What the views ask of a kitchen that has been laid out. */

const home: Partial<KitchenFile> = {
  budget: { total: 240 },
  owned: [
    { type: 'chef', lengthMm: 200, condition: 'dull' },
    { type: 'bread', condition: 'keen' },
  ],
};
const context = contextOf(home);
const first = firstPlan(context).plan;

describe('the match', () => {
  const table = matchOf(context);

  test('has a column a blade, what is owned first, and a row a task, each score between none and all', () => {
    expect(table.columns).toHaveLength(2 + shippedModels.length);
    expect(table.columns.slice(0, 2).map(({ owned, place }) => [owned, place])).toEqual([
      [0, 'drawer'],
      [1, 'drawer'],
    ]);
    expect(table.rows.map(({ id }) => id)).toEqual([...reference.tasks.keys()]);
    expect(table.scores).toHaveLength(table.columns.length * table.rows.length);
    expect(Math.max(...table.scores)).toBeLessThanOrEqual(100);
    expect(Math.min(...table.scores)).toBeGreaterThanOrEqual(0);
    expect(table.worth.every((worth) => worth >= 0 && worth <= 1)).toBe(true);
  });

  test('marks what the plan buys, and nothing else of the catalogue', () => {
    const bought = first.steps.flatMap(({ action, model }) => (action === 'buy' && model ? [model] : []));
    const kit = table.columns.filter(({ place }) => place === 'kit').map(({ blade }) => blade.id);
    expect([...kit].sort()).toEqual([...new Set(bought)].sort());
  });

  test('says where a cook measured, and counts minutes of what this kitchen cuts', () => {
    expect(table.measured.some((each) => each === 1)).toBe(false);
    const model = 'oskavel-gyuto-210';
    const run = (knife: number) => ({ task: 'onion-dice', knife, effort: 5, control: 5, result: 5 });
    const tried = matchOf(
      contextOf({
        ...home,
        trials: {
          bench: [
            { on: '2031-01-01', knives: [{ model }, { owned: 0 }], tasks: ['onion-dice'], runs: [run(0), run(1)] },
          ],
        },
      }),
    );
    const at = (id: string) => tried.columns.findIndex(({ blade }) => blade.id === id);
    const row = tried.rows.findIndex(({ id }) => id === 'onion-dice');
    expect(tried.measured[at(model) * tried.tasks + row]).toBe(1);
    expect(tried.measured.reduce((sum, each) => sum + each, 0)).toBe(2);
    const minutes = table.rows.reduce((sum, { minutesPerWeek }) => sum + minutesPerWeek, 0);
    expect(minutes).toBeCloseTo(cuttingOf(context).minutesPerWeek, 9);
  });

  test('a task’s best blades come in order, each but the best with what holds it back', () => {
    const ranked = rankedAt(context, 'onion-dice');
    expect(ranked).toHaveLength(8);
    const scores = ranked.map(({ explanation }) => explanation.score);
    expect(scores).toEqual([...scores].sort((a, b) => b - a));
    expect(Math.floor(scores[0] ?? 0)).toBe(
      Math.floor(
        Math.max(
          ...table.columns.map(
            (_, c) => table.scores[c * table.tasks + table.rows.findIndex(({ id }) => id === 'onion-dice')] ?? 0,
          ),
        ),
      ),
    );
    expect(rankedAt(context, 'no-such-task')).toEqual([]);
  });
});

describe('a blade in this kitchen', () => {
  test('is made for what it scores well at, and never both made for and refused a task', () => {
    const found = characterIn(context, traitsOf('quillback-paring-80'));
    if (!found) throw new Error('nobody cooks');
    for (const { task, score } of found.madeFor)
      expect(score).toBe(Math.floor(found.scores.find((each) => each.task === task)?.score ?? -1));
    expect(found.madeFor.length).toBeGreaterThan(5);
    const refused = new Set(found.never.map(({ task }) => task));
    expect(found.madeFor.some(({ task }) => refused.has(task))).toBe(false);
    expect(found.scores).toHaveLength(reference.tasks.size);
    expect(found.notes.every((note) => note.length > 10)).toBe(true);
  });

  test('goes through a food in a scene with words, unless nobody may use it so', () => {
    const gyuto = traitsOf('oskavel-gyuto-210');
    const seen = cutOf(context, gyuto, 'onion-dice');
    expect(seen?.words.length).toBeGreaterThan(0);
    expect(seen?.blade.id).toBe('oskavel-gyuto-210');
    expect(cutOf(context, gyuto, 'no-such-task')).toBeNull();
    expect(cutOf(context, traitsOf('quillback-paring-80'), 'ribs-chop')).toBeNull();
  });

  test('typical ones are drawn at the length asked for; of unknown types there are none', () => {
    const drawn = typicalBlades([{ type: 'nakiri', lengthMm: 170 }, { type: 'gyuto' }, { type: 'no-such-type' }]);
    expect(drawn.map(({ type, lengthMm }) => [type, lengthMm])).toEqual([
      ['nakiri', 170],
      ['gyuto', reference.types.get('gyuto')?.usualLengthMm],
    ]);
  });

  test('by wishes the one that goes furthest is first, each with what it covers alone', () => {
    const wished = wishedIn(context, ['light', 'rust-free']);
    expect(wished).toHaveLength(shippedModels.length);
    const shares = wished.map(({ share }) => share);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
    expect(wished.every(({ covers }) => covers >= 0 && covers <= 1)).toBe(true);
  });
});

describe('the cutting', () => {
  test('is traced to its dishes: minutes of each task are those of its sources, shares sum to one', () => {
    fc.assert(
      fc.property(wildKitchen, (file) => {
        const { loads, minutesPerWeek } = cuttingOf(preparePlanning(file, reference, shippedModels));
        expect(loads.reduce((sum, load) => sum + load.minutesPerWeek, 0)).toBeCloseTo(minutesPerWeek, 6);
        if (loads.length > 0) expect(loads.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
        for (const { from, minutesPerWeek: minutes } of loads) {
          expect(from.reduce((sum, each) => sum + each.minutes, 0)).toBeCloseTo(minutes, 6);
          for (const { name } of from) expect(name).not.toMatch(/^(direct|usual)$/);
        }
      }),
      { numRuns: 20 },
    );
  });

  test('every dish and task can be found by name', () => {
    expect(knownDishes().map(({ id }) => id)).toEqual([...reference.dishes.keys()]);
    expect(knownTasks().map(({ name }) => name)).toEqual([...reference.tasks.values()].map(({ name }) => name));
    expect(drawerOf(context).knives).toHaveLength(2);
  });
});

describe('trying', () => {
  const knives = [{ model: 'oskavel-gyuto-210' }, { owned: 0 }];

  test('ten foods that tell most, in order; what was tried often tells less', () => {
    const foods = foodsFor(context, 0, knives, []);
    expect(foods).toHaveLength(10);
    const tells = foods.map(({ nats }) => nats);
    expect(tells).toEqual([...tells].sort((a, b) => b - a));
    const [best] = foods;
    if (!best) throw new Error('nothing to try');
    const again = foodsFor(context, 0, knives, [[best.task.id, 6]]);
    expect(again.find(({ task }) => task.id === best.task.id)?.nats ?? 0).toBeLessThan(best.nats);
    expect(foods.every(({ expected }) => expected.length === 2)).toBe(true);
  });

  test('nothing is proposed for a knife that is not known', () => {
    expect(foodsFor(context, 0, [{ model: 'no-such-model' }, { owned: 0 }], [])).toEqual([]);
    expect(foodsFor(context, 0, [{ owned: 7 }, { owned: 0 }], [])).toEqual([]);
  });

  test('examples of one knife differ by how they are photographed, and come out the same each time', () => {
    const blade = modelNamed('oskavel-gyuto-210');
    const pixels = (which: number) => Buffer.from(exampleOf(blade, which).data);
    const first = pixels(0);
    expect(first.equals(pixels(0))).toBe(true);
    expect(first.equals(pixels(1))).toBe(false);
    expect(first.equals(pixels(3))).toBe(true);
  });
});

describe('in a shop', () => {
  const proven = planProven(context);
  const bought = proven.plan.steps.find(({ action }) => action === 'buy');
  if (!bought) throw new Error('nothing is bought');
  const brief = toTheEnd(briefOf(context, proven.context, proven.plan, bought.order));
  if (!brief) throw new Error('no brief');
  const judged = (text: string, said: Partial<Label> = {}, type = bought.type) =>
    toTheEnd(
      shelfJudged(context, proven.context, {
        plan: proven.plan,
        brief,
        label: { ...labelRead(text).read, type: type ?? null, ...said },
      }),
    );
  const alike = `Blade ${Math.round(bought.lengthMm ?? 0)} mm, ${Math.round(bought.weightG ?? 100)} g, ${bought.hrc ?? 58} HRC, stainless`;

  test('a knife like the one planned is bought at its price, and too dear far above it', () => {
    expect(judged(alike, { price: bought.price * 0.8 })?.word).toBe('buy');
    const dear = judged(alike, { price: 20 * (bought.price + 20) });
    expect(dear?.word).toBe('dear');
    expect(dear?.priceUpTo).toBeLessThan(20 * (bought.price + 20));
  });

  test('what is put right by hand goes before what was read; a kind that is none or no length is no verdict', () => {
    expect(judged(alike, { lengthMm: 380 })?.word).toBe('wrong');
    expect(judged(alike, { lengthMm: 380 })?.outside.map(({ figure }) => figure)).toContain('lengthMm');
    expect(judged(alike, {}, 'no-such-type')).toBeNull();
    expect(judged('stainless')).toBeNull();
  });

  test('there is no brief of a step that is not there', () => {
    expect(toTheEnd(briefOf(context, proven.context, proven.plan, 99))).toBeNull();
  });

  test('care is told of every knife that stays and every one that is bought, by its own steel', () => {
    const cares = careOf(context, proven.plan);
    expect(cares).toHaveLength(2 + proven.plan.steps.filter(({ action }) => action === 'buy').length);
    for (const { lines } of cares) expect(lines.length).toBeGreaterThan(0);
    const bread = cares.find(({ name }) => name.startsWith('Bread knife'));
    expect(bread?.lines.join(' ')).not.toMatch(/Due for sharpening/);
    expect(cares[0]?.lines[0]).toMatch(/^Due for sharpening about every \d+ weeks at this use, at \d+° a side\.$/);
  });
});

describe('what argues with a plan', () => {
  test('every school is told with its rule, each within the money and the places there are', () => {
    const file = fileOf({ budget: { total: 160 }, limits: { maxKnives: 4 } });
    const views = [...schoolsOf(file, preparePlanning(file, reference, shippedModels))];
    expect(views.map(({ id }) => id)).toEqual([...SCHOOL_IDS]);
    for (const { plan, rule, holds } of views) {
      expect(plan.spent).toBeLessThanOrEqual(160);
      expect(plan.steps.filter(({ action }) => action === 'buy').length).toBeLessThanOrEqual(4);
      expect(rule.length).toBeGreaterThan(10);
      expect(holds.length).toBeGreaterThan(10);
    }
  });

  test('another kitchen planned beside this one is the plan it has by itself', () => {
    const other = fileOf({ budget: { total: 90 }, cooks: [{ handLengthMm: 165 }] });
    const beside = toTheEnd(planBeside(other, shippedModels));
    expect(beside.plan).toEqual(planProven(preparePlanning(other, reference, shippedModels)).plan);
  });

  test('more money covers no less, from what is owned today upward; the bend is one of the points', () => {
    const views = [...moneyView(context)];
    const last = views.at(-1);
    if (!last) throw new Error('no money');
    expect(last.points[0]).toMatchObject({ spent: 0 });
    last.points.forEach(({ spent, coverage }, i) => {
      expect(spent).toBeGreaterThanOrEqual(last.points[i - 1]?.spent ?? 0);
      expect(coverage).toBeGreaterThanOrEqual(last.points[i - 1]?.coverage ?? 0);
    });
    expect(last.points).toContainEqual(last.knee);
  });

  test('sizes grow one by one to as many as are allowed, and none is worse than a smaller one by more than its places cost', () => {
    const small = contextOf({ budget: { total: 300 }, limits: { maxKnives: 4 } });
    const sizes = [...sizesView(small)].at(-1) ?? [];
    expect(sizes.map(({ size }) => size)).toEqual(sizes.map((_, i) => (sizes[0]?.size === 0 ? i : i + 1)));
    for (const { names, size, proven, gap } of sizes) {
      expect(names.length).toBeLessThanOrEqual(
        size + small.problem.candidates.filter(({ action }) => action === 'tool').length,
      );
      if (proven) expect(gap).toBe(0);
    }
  });

  test('a set wins only where it costs less than what is wanted of it singly, and every piece is wanted or idle', () => {
    const verdicts = setVerdicts(contextOf({ budget: { total: 400 } }));
    expect(verdicts.length).toBe(reference.sets.size);
    for (const { id, wanted, idle, wins, price, wantedPrice } of verdicts) {
      expect(wanted.length + idle.length).toBe(reference.sets.get(id)?.pieces.length);
      expect(wins).toBe(wanted.length > 0 && price < wantedPrice);
    }
    const wantedMost = verdicts.map(({ wanted }) => wanted.length);
    expect(wantedMost).toEqual([...wantedMost].sort((a, b) => b - a));
    expect(planFrom(context).currency).toBe('EUR');
  });
});
