import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import type { KitchenFile } from '../../formats/kitchenFile';
import { contextOf, fileOf } from '../../testing/trade';
import type { Candidate } from '../candidates/candidate';
import { chooseKit, QUICK } from '../search/choose';
import { planKitchen } from './planKitchen';
import { normal, seeded } from '../robustness/random';
import { SCORE_WORDS } from '../../constants';
import { lengthWanted, reasonsFor, takenOver, taskNames } from './reasons';
import { Robustness } from '../robustness/robustness';
import { warningsFor } from './warnings';
import type { PlanningContext } from '../context/planningContext';
import { kitOf } from '../search/coverage';

const plan = (file: Partial<KitchenFile>) => planKitchen(fileOf(file), reference, shippedModels, { perturbed: 0 });

const step = (context: PlanningContext, id: string): Candidate => {
  const found = context.buyable.find((c) => c.id === id) ?? context.problem.candidates.find((c) => c.id === id);
  if (!found) throw new Error(`not offered: ${id}`);
  return found;
};

const reasonsOf = (
  context: PlanningContext,
  step: Candidate,
  before: Float64Array,
  beside: Parameters<typeof reasonsFor>[3],
) => reasonsFor(context, { step, pieces: 1 }, before, beside);

const ADDS = { gain: 0.4, priceMinor: 6800, earlier: [] };

const nothing = (context: PlanningContext) => new Float64Array(context.loads.length);

describe('what a step takes over', () => {
  const context = contextOf();
  const chef = step(context, 'ploverdale-chef-200');

  test('the tasks it does better than what was there, most minutes first', () => {
    const over = takenOver(context, chef, nothing(context));
    const minutes = over.map(({ load }) => load.minutesPerWeek);
    expect(minutes).toEqual([...minutes].sort((a, b) => b - a));
    expect(takenOver(context, chef, chef.scores)).toEqual([]);
    for (const { score } of over) expect(score).toBeGreaterThanOrEqual(35);
  });

  test('reasons give minutes, the length against the band, and the steel', () => {
    const said = reasonsOf(context, chef, nothing(context), ADDS).join(' ');
    expect(said).toMatch(/^Takes over \d+ min a week: /);
    expect(said).not.toContain('Lifts from a struggle');
    const owns = contextOf({ owned: [{ type: 'paring' }] });
    expect(reasonsOf(owns, chef, nothing(owns), ADDS).join(' ')).toMatch(/Lifts from a struggle to done well: /);
    expect(said).toContain('Adds 40.0 points for €68: worth it here, where a point is worth €20.83.');
    expect(said).toMatch(/200 mm (lies in|is \d+ mm (under|over)) the length you want, \d+–\d+ mm/);
    expect(said).toMatch(/HRC: /);
  });

  test('a second knife for the same work says so', () => {
    expect(reasonsOf(context, chef, chef.scores, ADDS)[0]).toMatch(/^A second knife for the same work/);
  });

  test('several at once with hands of their own: each general knife is told by whose length it is, and that it is one more', () => {
    const file = { cooks: [{ handLengthMm: 160, name: 'Ida' }, { handLengthMm: 205 }], budget: { total: 400 } };
    const { steps } = plan({ ...file, cooksAtOnce: 2 });
    const generals = steps.filter(({ because }) => because.some((each) => each.includes('the length')));
    const told = (lengthMm: number | null | undefined) =>
      generals.find((each) => each.lengthMm === lengthMm)?.because.join(' ');
    const lengths = generals.map(({ lengthMm }) => lengthMm ?? 0).sort((a, b) => a - b);
    expect(lengths.length).toBeGreaterThanOrEqual(2);
    expect(told(lengths[0])).toMatch(/(lies in|is \d+ mm under) the length Ida wants, \d+–\d+ mm/);
    expect(told(lengths.at(-1))).toMatch(/lies in the length cook 2 wants, \d+–\d+ mm\./);
    const more = generals.filter(({ because }) => because[0]?.startsWith('For another pair of hands at the board'));
    expect(more).toHaveLength(generals.length - 1);
    // who takes turns shares one, and the length is that of all
    expect(
      plan(file)
        .steps.map(({ because }) => because.join(' '))
        .join(' '),
    ).not.toMatch(/Ida wants|another pair/);
  });

  test('reactive steel asks for wiping where nobody wipes during the work', () => {
    const id = 'umberlane-nakiri-170-clad-carbon';
    const said = (upkeep: 'wipes-after' | 'wipes-during') => {
      const at = contextOf({ habits: { upkeep } });
      return reasonsOf(at, step(at, id), nothing(at), ADDS).join(' ');
    };
    expect(said('wipes-after')).toContain('Wipe it during the work');
    expect(said('wipes-during')).not.toContain('Wipe it during the work');
  });

  test('what sets a step before the best that is there at its task is told of both', () => {
    const gyuto = step(context, 'oskavel-gyuto-210');
    const bread = step(context, 'quillback-bread-250-offset');
    const beside = { ...ADDS, earlier: [gyuto] };
    const told = reasonsOf(context, bread, gyuto.scores, beside).join(' ');
    expect(told).toMatch(/Slice [a-z ]+: .*(teeth|stroke).*\. The gyuto: /);
    const owns = contextOf({ owned: [{ type: 'chef', lengthMm: 200, condition: 'keen' }] });
    const carving = reasonsOf(owns, step(owns, 'oskavel-carving-220'), nothing(owns), ADDS).join(' ');
    expect(carving).toMatch(/ Your chef's knife: /);
    // a second general knife is nobody's main one: its length is not held against what the main one should have
    expect(reasonsOf(context, chef, nothing(context), beside).join(' ')).not.toContain('the length you want');
    const worn = contextOf({ owned: [{ type: 'chef', condition: 'worn-out' }] });
    expect(reasonsOf(worn, chef, nothing(worn), ADDS).join(' ')).toContain('the length you want');
    const ribs = contextOf({
      habits: { bones: true },
      cooking: { tasks: [{ id: 'ribs-chop', times: 1, per: 'week' }] },
    });
    const cleaver = step(ribs, 'hoarfen-meat-cleaver-150');
    expect(reasonsOf(ribs, cleaver, nothing(ribs), { ...ADDS, earlier: [step(ribs, 'oskavel-gyuto-210')] })).toContain(
      'Chop ribs: nothing that is there may do it.',
    );
  });

  test('names run together as people say them', () => {
    const named = context.loads.slice(0, 6);
    expect(taskNames(named.slice(0, 1))).not.toMatch(/,| and /);
    expect(taskNames(named.slice(0, 2))).toMatch(/^[a-z].* and [a-z]/);
    expect(taskNames(named, 4)).toMatch(/ and 2 more$/);
  });
});

test('with several cooks the wanted length is the mean, and each one’s reasons are told by name', () => {
  const length = lengthWanted(
    contextOf({
      cooks: [
        { name: 'Ada', wantsLengthMm: 160 },
        { name: 'Bo', wantsLengthMm: 240 },
      ],
    }),
  );
  expect((length.fromMm + length.toMm) / 2).toBe(200);
  expect(length.why.join(' ')).toMatch(/Ada: 152–168 mm\..*Bo: 232–248 mm\./);
});

describe('warnings stand where the danger is', () => {
  const warned = (file: Partial<KitchenFile>, unmet = 0) => {
    const context = contextOf(file);
    return warningsFor(context, [], unmet).join(' ');
  };
  const does = (id: string): Partial<KitchenFile> => ({
    cooking: { mealsPerWeek: 0, tasks: [{ id, times: 1, per: 'week' }] },
  });

  test.each<[string, Partial<KitchenFile>, string]>([
    ['the machine', { habits: { dishwasher: true } }, 'wash knives by hand'],
    ['glass', { board: { material: 'glass' } }, 'glass or stone board ruins every edge'],
    ['wet sinks', { habits: { upkeep: 'leaves-wet' } }, 'Knives left wet rust'],
    ['rough use', { habits: { roughUse: true } }, 'nothing dear or brittle'],
    ['coconuts', does('coconut-crack'), 'Crack coconuts'],
    ['frozen blocks', does('frozen-block'), 'frozen'],
    ['oysters', does('oyster-open'), 'hinge first, short push'],
    ['children', does('soft-fruit-with-child'), 'seated adult'],
    ['avocados', does('avocado-halve'), 'lift the stone out with a spoon'],
    ['bones', does('ribs-chop'), 'no swing from the shoulder'],
    ['raw fish', does('raw-fish-slice'), 'local food-safety authority'],
  ])('%s', (_what, file, words) => {
    expect(warned(file).toLowerCase()).toContain(words.toLowerCase());
    expect(warned(does('onion-dice')).toLowerCase()).not.toContain(words.toLowerCase());
  });

  test('what could not be had is counted', () => {
    expect(warned(does('onion-dice'), 1)).toContain('One knife that was asked for is not to be had');
    expect(warned(does('onion-dice'), 2)).toContain('2 knives that were asked for are not to be had');
  });

  test('a kitchen left without a general knife is told, one that owns its own is not', () => {
    const poor = { budget: { total: 5 } };
    expect(plan(poor).warnings.join(' ')).toContain('Nothing here is a general knife');
    expect(plan({ ...poor, owned: [{ type: 'santoku', condition: 'keen' }] }).warnings.join(' ')).not.toContain(
      'Nothing here is',
    );
  });

  test('a dear knife into rough use is named with its price', () => {
    const p = plan({
      habits: { roughUse: true },
      limits: { must: ['ninefold-kiritsuke-250'] },
      budget: { total: 900 },
    });
    expect(p.warnings.join(' ')).toMatch(/€\d+ is dear for a knife in rough, shared use/);
  });

  test('a dear knife for a few minutes a month is named; nothing is said of a plan without one', () => {
    const warned = (must: string[]) =>
      plan({
        cooks: [{ experience: 'trained' }],
        habits: { upkeep: 'wipes-during' },
        cooking: { cuisines: [{ id: 'vegetable-led' }] },
        limits: { must },
        budget: { total: 700 },
      }).warnings.join(' ');
    expect(warned(['takohiki'])).toMatch(/Takohiki \d+: €\d+ is dear for .* a month/);
    expect(warned([])).not.toMatch(/is dear for/);
  });
});

describe('how sure', () => {
  test('the generator gives the same numbers for a seed, spread as they should be', () => {
    const take = (seed: number) => {
      const random = seeded(seed);
      return Array.from({ length: 4000 }, () => normal(random));
    };
    expect(take(7)).toEqual(take(7));
    expect(take(7)).not.toEqual(take(8));
    const values = take(7);
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const variance = values.reduce((sum, x) => sum + (x - mean) ** 2, 0) / values.length;
    expect(Math.abs(mean)).toBeLessThan(0.06);
    expect(Math.abs(variance - 1)).toBeLessThan(0.08);
  });

  test('a step no plan would take is never kept, and the one thing a kitchen needs mostly is', () => {
    const context = contextOf({ cooking: { mealsPerWeek: 0, tasks: [{ id: 'crusty-loaf', times: 7, per: 'week' }] } });
    const [bread] = kitOf(context.problem, chooseKit(context.problem, QUICK).choice);
    const oddity = { ...step(context, 'ploverdale-chef-160'), id: 'oddity', action: 'repair' as const, owned: 3 };
    if (bread?.type?.role !== 'serrated') throw new Error('no bread knife chosen');
    const doubt = new Robustness(context, [bread, oddity]);
    for (let i = 0; i < 10; i++) doubt.run();
    const [needed, never] = doubt.stayed();
    expect(needed?.model).toBeGreaterThan(0.5);
    expect(never?.kind).toBe(0);
  });
});

describe('a plan in months', () => {
  test('steps fall into the months that have paid for them, and money counts up', () => {
    const p = plan({ budget: { total: 240, perMonth: 30 } });
    let spent = 0;
    for (const s of p.steps) {
      spent += s.price;
      expect(s.month).toBe(Math.max(1, Math.ceil(spent / 30 - 1e-9)));
    }
    expect(spent).toBeCloseTo(p.spent, 9);
    expect(Math.max(...p.steps.map((s) => s.month))).toBeGreaterThan(2);
  });

  test('runners-up are other models, affordable beside the rest, the closest first', () => {
    const p = plan({ budget: { total: 300 } });
    const models = new Map(shippedModels.map((m) => [m.id, m.priceMinor / 100]));
    for (const s of p.steps.filter((each) => each.action === 'buy')) {
      expect(s.runnersUp.length).toBeGreaterThan(0);
      const costs = s.runnersUp.map((r) => r.costsCoverage);
      expect(costs).toEqual([...costs].sort((a, b) => a - b));
      for (const r of s.runnersUp) {
        expect(r.model).not.toBe(s.model);
        expect(p.spent - s.price + (models.get(r.model) ?? 0)).toBeLessThanOrEqual(300 + 1e-9);
      }
    }
  });

  test('a knife bought twice has runners-up for one copy, not for both', () => {
    const two = plan({ cooksAtOnce: 2, cooks: [{}, {}], budget: { total: 120 }, limits: { maxKnives: 4 } });
    const twice = two.steps.filter((s) => two.steps.some((o) => o !== s && o.model !== null && o.model === s.model));
    for (const s of twice) expect(s.runnersUp[0]?.costsCoverage).toBeLessThan(0.05);
  });
});

describe('what stays badly served', () => {
  test('is named with the best cure, heaviest first', () => {
    const p = plan({ budget: { total: 25 }, cooking: { cuisines: [{ id: 'baking' }, { id: 'mediterranean-fish' }] } });
    expect(p.unserved.length).toBeGreaterThan(0);
    for (const { why, score } of p.unserved) {
      expect(score).toBeLessThan(SCORE_WORDS.manages.value);
      expect(why).toMatch(/ at €\d.* would do it at \d|nothing on sale|ruled out/);
    }
  });

  test('never holds what no knife should do', () => {
    const p = plan({ cooking: { tasks: [{ id: 'coconut-crack', times: 2, per: 'week' }] } });
    expect(p.unserved.map((u) => u.task)).not.toContain('coconut-crack');
    expect(p.warnings.join(' ')).toMatch(/coconut/i);
  });
});

describe('knives to part with', () => {
  const owned = (condition: 'worn-out' | 'keen', use: 'never' | 'daily') =>
    plan({
      owned: [
        { type: 'chef', lengthMm: 200, condition: 'keen', use: 'daily' },
        { type: 'paring', condition: 'keen', use: 'daily' },
        { type: 'oyster', condition, use },
      ],
    }).steps.filter((s) => s.action === 'retire');

  test('a worn or never used knife no task goes to is retired, last and for nothing', () => {
    const [retired] = owned('keen', 'never');
    expect(retired).toMatchObject({ type: 'oyster', price: 0, need: 'want', owned: 2, gain: 0 });
    expect(owned('worn-out', 'daily')).toHaveLength(1);
    expect(owned('keen', 'daily')).toEqual([]);
  });
});
