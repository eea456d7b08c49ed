import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { bladeModelSchema } from '../../blade/schema';
import type { KitchenFile } from '../../formats/kitchenFile';
import { anyKitchen, wildKitchen } from '../../testing/arbitrary';
import { contextOf, fileOf, modelNamed } from '../../testing/trade';
import { chooseKit, QUICK } from '../search/choose';
import { kitOf } from '../search/coverage';
import { withoutDominated } from '../search/dominance';
import { isAllRound, kindOfWork } from '../candidates/kinds';
import { PEOPLE, SCORE_WORDS, UPKEEP, WORTH } from '../../constants';
import { crowdAt, workShares } from '../demand/crowds';
import { isSchoolTool, schoolPlaces } from './schools';
import { typicalBlade } from '../candidates/typicalBlade';
import { costOf, surchargeOf } from '../search/worth';
import { planFrom } from '../plan/plan';
import { firstPlan } from '../plan/planKitchen';
import { usefulness } from '../demand/usefulness';
import { preparePlanning, type PlanningContext } from './planningContext';
import { CONDITIONS, SCHOOL_IDS, SPENDINGS } from '../../formats/kitchenWords';

const weekly = (...ids: string[]): Partial<KitchenFile> => ({
  cooking: { mealsPerWeek: 0, tasks: ids.map((id) => ({ id, times: 3, per: 'week' })) },
});

const offered = (file: Partial<KitchenFile>) => contextOf(file).buyable;

const roles = (file: Partial<KitchenFile>) => new Set(offered(file).map((c) => c.type?.role));

describe('what is offered', () => {
  test('specialists only where their work is done', () => {
    expect(roles(weekly('onion-dice', 'crusty-loaf'))).toEqual(new Set(['general', 'vegetable', 'small', 'serrated']));
    expect(roles(weekly('onion-dice', 'fish-fillet-round'))).toContain('fish');
    expect(roles(weekly('onion-dice', 'poultry-joint'))).toContain('butchery');
    expect(roles(weekly('onion-dice', 'roast-carve'))).toContain('slicer');
    expect(roles(weekly('onion-dice', 'steak-at-table'))).toContain('table');
    expect(offered(weekly('oyster-open')).some((c) => c.type?.id === 'oyster')).toBe(true);
  });

  test('and where they are asked for by name', () => {
    expect(roles({ ...weekly('onion-dice'), limits: { must: ['deba'] } })).toContain('fish');
  });

  test('limits leave out types, models, steels and handles', () => {
    const left = offered({
      limits: { never: ['chef', 'ploverdale-santoku-170'], steel: 'soft-stainless', handle: 'western' },
    });
    expect(left.length).toBeGreaterThan(3);
    for (const c of left) {
      expect(c.type?.id).not.toBe('chef');
      expect(c.id).not.toBe('ploverdale-santoku-170');
      expect([c.blade?.blade.steel, c.blade?.blade.handleStyle]).toEqual(['soft-stainless', 'western']);
    }
    // a model asked for by its name passes a steel it does not have
    const asked = offered({ limits: { must: ['lanternhill-gyuto-210'], steel: 'soft-stainless' } });
    expect(asked.some((c) => c.id === 'lanternhill-gyuto-210')).toBe(true);
  });

  test('table knives are priced by the seat', () => {
    const price = (portions: number) =>
      offered({ cooking: { portions, tasks: [{ id: 'steak-at-table', times: 1, per: 'week' }] } }).find(
        (c) => c.id === 'ploverdale-steak-115',
      )?.priceMinor ?? 0;
    expect(price(6)).toBe(6 * price(1));
  });

  test('what another equals or beats everywhere for no more money is dropped, and never both of two equals', () => {
    fc.assert(
      fc.property(anyKitchen, (file) => {
        const context = preparePlanning(file, reference, shippedModels);
        const { scale } = context.problem;
        const all = context.buyable;
        const kept = withoutDominated(all, scale);
        const covers = (a: (typeof all)[number], b: (typeof all)[number]) =>
          a.priceMinor <= b.priceMinor &&
          costOf(a, scale) <= costOf(b, scale) &&
          (kindOfWork(a) === kindOfWork(b) ||
            costOf(a, scale) + surchargeOf(a, costOf(a, scale), scale) <= costOf(b, scale)) &&
          a.counted.every((x, t) => x >= (b.counted[t] ?? 0));
        for (const dropped of all.filter((c) => !kept.includes(c)))
          expect(kept.some((c) => covers(c, dropped))).toBe(true);
        for (const a of kept) for (const b of kept) if (a !== b) expect(covers(a, b)).toBe(false);
      }),
      { numRuns: 6 },
    );
  });
});

describe('owned knives and tools', () => {
  const owns = (
    condition: 'keen' | 'dull' | 'chipped' | 'worn-out',
    sharpening: keyof typeof UPKEEP.sharpeningEur = 'professional',
  ) =>
    contextOf({
      owned: [{ type: 'chef', lengthMm: 200, condition }],
      habits: { sharpening: sharpening === 'repair' ? 'professional' : sharpening },
    });
  const care = (context: ReturnType<typeof owns>) => context.problem.candidates.filter((c) => c.owned !== null);

  test('a dull knife can be sharpened, a chipped one repaired, a keen or worn-out one neither', () => {
    expect(care(owns('dull')).map((c) => [c.action, c.priceMinor])).toEqual([
      ['sharpen', 100 * UPKEEP.sharpeningEur.professional.value],
    ]);
    expect(care(owns('dull', 'stones'))[0]?.priceMinor).toBe(100 * UPKEEP.sharpeningEur.stones.value);
    expect(care(owns('chipped')).map((c) => [c.action, c.priceMinor])).toEqual([
      ['repair', 100 * UPKEEP.sharpeningEur.repair.value],
    ]);
    expect([care(owns('keen')), care(owns('worn-out'))]).toEqual([[], []]);
  });

  test('sharpening gives back everything the state took', () => {
    const context = owns('dull');
    const [after] = care(context);
    const [before] = context.owned;
    const left = (task: string) => {
      const t = context.loads.findIndex((l) => l.task.id === task);
      return (before?.scores[t] ?? 0) / (after?.scores[t] ?? 1);
    };
    // about six tenths at ordinary board work, less where a clean face is wanted
    expect(left('onion-dice')).toBeGreaterThan(0.55);
    expect(left('onion-dice')).toBeLessThan(0.85);
    expect(left('tomato-slice')).toBeLessThan(left('onion-dice'));
  });

  test('serrated and ceramic knives are not sharpened', () => {
    const context = contextOf({
      owned: [
        { type: 'bread', condition: 'dull' },
        { model: 'whitquarry-utility-125-ceramic', condition: 'dull' },
      ],
    });
    expect(care(context)).toEqual([]);
  });

  test('an owned tool is given, a tool of use is offered, a useless or unwanted one is not', () => {
    const tools = (file: Partial<KitchenFile>) =>
      contextOf(file).problem.candidates.flatMap((c) => (c.action === 'tool' ? [c.id] : []));
    const peels = weekly('onion-dice', 'root-peel');
    expect(tools(peels)).toContain('peeler');
    expect(tools({ ...peels, tools: ['peeler'] })).not.toContain('peeler');
    expect(contextOf({ ...peels, tools: ['peeler'] }).problem.given).toHaveLength(2);
    expect(tools({ ...peels, limits: { never: ['peeler'] } })).not.toContain('peeler');
    expect(tools(weekly('onion-dice'))).not.toContain('peeler');
  });
});

describe('a typical blade stands in for an owned knife', () => {
  test('any type at any length of its range gives a valid blade of that type', () => {
    for (const type of reference.types.values())
      fc.assert(
        fc.property(
          fc.double({ min: 0, max: 1, noNaN: true }),
          fc.constantFrom('right' as const, 'left' as const),
          (at, hand) => {
            const lengthMm = type.lengthMm[0] + at * (type.lengthMm[1] - type.lengthMm[0]);
            const blade = typicalBlade(type, { lengthMm }, hand);
            expect(bladeModelSchema.safeParse(blade).error, type.id).toBeUndefined();
            expect(blade.lengthMm).toBe(lengthMm);
            if (blade.bevel !== 'double') expect(blade.handed).toBe(hand);
          },
        ),
        { numRuns: 4 },
      );
  });

  test('its steel is the one named, or what the type usually has', () => {
    const gyuto = reference.types.get('gyuto');
    if (!gyuto) throw new Error('no gyuto');
    expect(typicalBlade(gyuto, { steel: 'plain-carbon' }, 'right').steel).toBe('plain-carbon');
    expect(typicalBlade(gyuto, {}, 'right').lengthMm).toBe(gyuto.usualLengthMm);
  });
});

describe('what a kit is measured against', () => {
  /** Shares of a task by how many at it, for hands all alike. */
  const roles = (task: string, file: Partial<KitchenFile> = {}) => {
    const { loads, problem } = contextOf({ ...weekly(task, 'onion-dice'), ...file });
    const t = loads.findIndex((l) => l.task.id === task);
    const states = problem.demand.states.filter((s) => s.task === t && !s.rescue);
    const whole = states.reduce((sum, s) => sum + s.roles.reduce((all, r) => all + r.weight, 0), 0);
    return states.flatMap((s) => s.roles.map((r) => r.weight / whole));
  };

  test('alone, a second knife hardly counts; raw flesh wants one of its own, by the side that is taken; a blow does not', () => {
    expect(roles('onion-dice')[1]).toBeCloseTo(PEOPLE.backup.value, 9);
    expect(roles('meat-cube')[1]).toBeCloseTo(PEOPLE.rawBesideVegetables.value, 9);
    expect(roles('meat-cube', { tastes: { rawMeat: 'own' } })[1]).toBeCloseTo(PEOPLE.rawOwnKnife.value, 9);
    expect(roles('meat-cube', { tastes: { rawMeat: 'wash' } })[1]).toBeCloseTo(PEOPLE.backup.value, 9);
    expect(roles('stock-bones-chop')[1]).toBe(0);
  });

  test('with n at once the k-th knife counts as often as k people are at that work', () => {
    const { loads, kitchen } = contextOf({ cooksAtOnce: 8 });
    const shares = workShares(loads);
    expect([...shares.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    const board = crowdAt('board', shares, 8, kitchen.cooks.length);
    expect(board).toHaveLength(8);
    expect(board.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    const p = shares.get('board') ?? 0;
    expect(board[0]).toBeCloseTo((1 - p) ** 7, 9);
    expect(board.reduce((sum, chance, k) => sum + chance * k, 0)).toBeCloseTo(7 * p, 9);
    const shareOf = (n: number) => roles('onion-dice', { cooksAtOnce: n });
    expect(shareOf(8).length).toBeGreaterThan(shareOf(3).length);
    expect(shareOf(8)).toEqual([...shareOf(8)].sort((a, b) => b - a));
  });

  test('people of different hands at once are served each by their own; a child changes nobody’s knife', () => {
    const two = contextOf({ cooks: [{ handLengthMm: 205 }, { handLengthMm: 158 }], cooksAtOnce: 2 });
    expect(two.hands.map(({ share }) => share)).toEqual([0.5, 0.5]);
    expect(two.problem.demand.states.some((s) => !s.same)).toBe(true);
    const child = { handLengthMm: 132, experience: 'new' as const };
    const family = contextOf({ cooks: [{ handLengthMm: 185 }, child], cooksAtOnce: 2 });
    expect(family.cooks.map((c) => c.cook.handLengthMm)).toEqual([185]);
    expect(family.kitchen.cooksAtOnce).toBe(1);
    const many = contextOf({
      cooks: [150, 165, 180, 195, 210].map((handLengthMm) => ({ handLengthMm })),
      cooksAtOnce: 4,
    });
    expect(many.hands).toHaveLength(PEOPLE.classes.value);
    expect(many.hands.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    expect(many.pooled).toBe(true);
  });

  test('three of different hands at once are served each for their own: three general knives of three lengths', () => {
    const file = { cooks: [156, 184, 212].map((handLengthMm) => ({ handLengthMm })), cooksAtOnce: 3 };
    const context = contextOf({ ...file, budget: { total: 400 }, limits: { maxKnives: 8 } });
    expect(context.pooled).toBe(false);
    const { states } = context.problem.demand;
    const onions = context.loads.findIndex((l) => l.task.id === 'onion-dice');
    const apart = states.filter(({ task, same }) => task === onions && !same).map(({ roles: each }) => each.length);
    expect(apart).toEqual([2, 2, 2, 3]);
    const covered = states.flatMap((s) => (s.rescue ? [] : s.roles.map((r) => r.weight)));
    expect(covered.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
    const lengths = kitOf(context.problem, chooseKit(context.problem, QUICK).choice)
      .filter(({ type }) => isAllRound(type))
      .map(({ blade }) => blade?.blade.lengthMm ?? 0)
      .sort((a, b) => a - b);
    expect(lengths).toHaveLength(3);
    const [short = 0, middle = 0, long = 0] = lengths;
    expect([middle - short, long - middle].every((further) => further >= 10)).toBe(true);
  });

  test('weights add up, and what no knife should do weighs nothing', () => {
    const context = contextOf(weekly('onion-dice', 'coconut-crack'));
    const { weights, total, states } = context.problem.demand;
    expect([...weights].reduce((a, b) => a + b, 0)).toBeCloseTo(total, 9);
    expect(weights[context.loads.findIndex((l) => l.task.id === 'coconut-crack')]).toBe(0);
    const covered = states.flatMap((s) => (s.rescue ? [] : s.roles.map((r) => r.weight)));
    expect(covered.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
  });
});

describe('schools and places', () => {
  test('no school lays out more places than knives allowed, and a required place that can be filled is offered something', () => {
    for (const school of SCHOOL_IDS) {
      for (const most of [1, 3, 12])
        expect(schoolPlaces(school, { kinds: most, pieces: most }).length, school).toBeLessThanOrEqual(most);
      const context = contextOf({ budget: { total: null }, limits: { maxKnives: 8 } }, school);
      for (const place of context.problem.places)
        if (place.required) expect(place.fits.length, school).toBeGreaterThan(0);
    }
    const { loads, problem } = contextOf(weekly('onion-dice', 'root-peel', 'fish-scale', 'packet-open'));
    const bought = (school: 'two-and-peeler' | 'classic-three') =>
      problem.candidates.flatMap((c) => (c.action === 'tool' && isSchoolTool(school, c, loads) ? [c.id] : []));
    expect(bought('two-and-peeler').sort()).toEqual(['fish-scaler', 'peeler']);
    expect(bought('classic-three')).toEqual(['fish-scaler']);
  });

  test('a knife that must be had takes one of the places, unless it is owned already', () => {
    const required = (file: Partial<KitchenFile>) => contextOf(file).problem.places.filter((p) => p.required).length;
    expect(required({ limits: { must: ['nakiri'] } })).toBe(1);
    expect(required({ limits: { must: ['nakiri'] }, owned: [{ type: 'nakiri' }] })).toBe(0);
    const knives = (file: Partial<KitchenFile>) =>
      contextOf(file).problem.places.filter((p) => p.fits.length > 1 || p.required).length;
    expect(knives({ limits: { must: ['nakiri'], maxKnives: 3 } })).toBe(knives({ limits: { maxKnives: 3 } }));
  });

  test('bones chopped here though no task says so are a carcass a month, stated, and not for those who eat no poultry', () => {
    const bones = { habits: { bones: true }, ...weekly('onion-dice') };
    expect(contextOf(bones).loads.some((l) => l.task.id === 'stock-bones-chop')).toBe(true);
    expect(contextOf(bones).assumed.join(' ')).toContain('a carcass for stock each month');
    expect(contextOf({ ...bones, avoids: ['poultry'] }).loads.some((l) => l.task.id === 'stock-bones-chop')).toBe(
      false,
    );
    const said = contextOf({ habits: { bones: true }, ...weekly('ribs-chop') });
    expect(said.loads).toHaveLength(1);
  });
});

describe('scores taken over from an earlier context', () => {
  test('only while nothing they rest on has changed, and never with another result', () => {
    const first = contextOf({ budget: { total: 100 } });
    const again = (file: Partial<KitchenFile>) =>
      preparePlanning(fileOf(file), reference, shippedModels, undefined, first);
    const same = (a: typeof first, b: typeof first) => a.buyable.every((c, i) => c.scores === b.buyable[i]?.scores);
    expect(same(again({ budget: { total: 300 } }), first)).toBe(true);
    expect(same(again({ budget: { total: 300 }, tools: ['peeler'] }), first)).toBe(true);
    for (const changed of [
      { cooks: [{ handLengthMm: 160 }] },
      { board: { lengthMm: 250 } },
      { habits: { upkeep: 'leaves-wet' as const } },
      { limits: { never: ['chef'] } },
      { currency: 'GBP' },
      { cooking: { tasks: [{ id: 'onion-dice', times: 1, per: 'day' as const }] } },
    ]) {
      const context = again(changed);
      expect(same(context, first)).toBe(false);
      expect(context.buyable.map((c) => [c.id, ...c.usefulness])).toEqual(
        preparePlanning(fileOf(changed), reference, shippedModels).buyable.map((c) => [c.id, ...c.usefulness]),
      );
    }
  });
});

describe('a kitchen changed step by step', () => {
  const aChange: fc.Arbitrary<(file: KitchenFile) => KitchenFile> = fc.oneof(
    fc
      .constantFrom(40, 120, 400, 2000)
      .map((total) => (file: KitchenFile) => ({ ...file, budget: { ...file.budget, total } })),
    fc
      .constantFrom(...SPENDINGS)
      .map((spend) => (file: KitchenFile) => ({ ...file, budget: { ...file.budget, spend } })),
    fc.constantFrom(...CONDITIONS).map((condition) => (file: KitchenFile) => ({
      ...file,
      owned: (file.owned ?? []).map((knife) => ({ ...knife, condition })),
    })),
    fc.constant((file: KitchenFile) => ({ ...file, owned: (file.owned ?? []).slice(1) })),
    fc
      .constantFrom('chef', 'bread', 'paring', 'santoku')
      .map((type) => (file: KitchenFile) => ({ ...file, owned: [...(file.owned ?? []), { type }].slice(0, 12) })),
    fc.integer({ min: 1, max: 21 }).map((mealsPerWeek) => (file: KitchenFile) => ({
      ...file,
      cooking: { ...file.cooking, mealsPerWeek },
    })),
  );

  test('is answered as one laid out afresh, whatever was kept from before', () => {
    fc.assert(
      fc.property(wildKitchen, fc.array(aChange, { minLength: 1, maxLength: 4 }), (file, changes) => {
        let now = file;
        let context = preparePlanning(now, reference, shippedModels);
        firstPlan(context);
        for (const change of changes) {
          now = change(now);
          context = preparePlanning(now, reference, shippedModels, undefined, context);
          expect(firstPlan(context).plan).toEqual(firstPlan(preparePlanning(now, reference, shippedModels)).plan);
        }
      }),
      { numRuns: 12 },
    );
  });
});

test('an edge ground too acute for its steel is sold only where somebody opens it, at the price of that', () => {
  const acute = modelNamed('oskavel-kiritsuke-210');
  const sold = (sharpening: 'none' | 'pull-through' | 'stones' | 'professional', must: string[] = []) =>
    contextOf({ habits: { sharpening }, limits: { must } }).buyable.find(({ id }) => id === acute.id);
  expect(sold('none')).toBeUndefined();
  expect(sold('pull-through')).toBeUndefined();
  expect(sold('none', [acute.id])).toBeDefined();
  const { stones, professional } = UPKEEP.sharpeningEur;
  expect(sold('stones')?.priceMinor).toBe(acute.priceMinor + 100 * stones.value);
  expect(sold('professional')?.priceMinor).toBe(acute.priceMinor + 100 * professional.value);
});

describe('beside a sound knife of its kind', () => {
  const owning = (condition: 'keen' | 'chipped' | 'worn-out') =>
    contextOf({ owned: [{ type: 'chef', condition }], budget: { total: 180 } });
  const gyuto = (context: PlanningContext) => context.buyable.find(({ id }) => id === 'oskavel-gyuto-210');

  test('a new one counts what it lifts out of a struggle, up to done well, and no polish', () => {
    const context = owning('keen');
    expect(context.counts).toBe('rescue');
    const like = gyuto(context);
    const own = context.owned[0]?.restored;
    context.loads.forEach((_, t) => {
      const [had, has = 0, counted = 0] = [own?.scores[t] ?? 0, like?.usefulness[t], like?.counted[t]];
      if (had >= WORTH.needFrom.value) expect(counted).toBeLessThanOrEqual(Math.max(usefulness(had), 0) + 1e-9);
      else if (had <= SCORE_WORDS.manages.value)
        expect(counted).toBeCloseTo(Math.min(has, Math.max(usefulness(had), usefulness(WORTH.likeCap.value))), 9);
    });
    const short = contextOf({ owned: [{ type: 'chef', condition: 'keen', lengthMm: 180 }], budget: { total: 180 } });
    expect(planFrom(short).assumed.join(' ')).toMatch(/kept: their like would add \d\.\d points of polish/);
  });

  test('where that would give up more polish than is allowed, it counts as much as it takes', () => {
    // the only knife is far too short for the hand
    const context = contextOf({ owned: [{ type: 'chef', condition: 'keen', lengthMm: 160 }], budget: { total: 180 } });
    expect(context.counts).not.toBe('rescue');
    expect(context.polishGivenUp).toBeLessThanOrEqual(WORTH.polishGivenUp.value);
  });

  test('one that can be repaired is sound, one that is worn out is not', () => {
    expect(gyuto(owning('chipped'))?.isAgain).toBe(true);
    expect(gyuto(owning('worn-out'))?.isAgain).toBeFalsy();
    const bread = owning('keen').buyable.find(({ type }) => type?.id === 'bread');
    expect(bread?.counted).toEqual(bread?.usefulness);
  });
});
