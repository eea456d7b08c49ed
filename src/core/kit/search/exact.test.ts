import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { readKitchenFile } from '../../formats/kitchenFile';
import { asProgram, bestByProgram } from '../../testing/mip';
import { anyProblem, below, oneOf } from '../../testing/problems';
import { contextOf, fileOf } from '../../testing/trade';
import { firstAnswer } from '../plan/firstAnswer';
import { chooseKit, QUICK, ROUGH } from './choose';
import { Chooser } from './greedy';
import { affordable, isFeasible, type Problem } from './problem';
import { ExactSearch } from './exact';
import { offersFor } from '../offers/offers';
import { seeded } from '../robustness/random';
import { bestOfEverySize, proveBest } from '../offers/prove';
import { knifePlaces, ofSize, startingKit, toTheEnd } from './sizes';
import { preparePlanning } from '../context/planningContext';

const AGREES = 1e-6;
/** Of the kitchens in which an offer is taken, the share in which the first answer takes the best kit with it. */
const AT_ONCE = 0.8;
function solved(problem: Problem) {
  const search = new ExactSearch(problem, startingKit(problem, []));
  while (!search.step(100));
  return search.proof();
}

/** The kit keeps the budget and the places, and is worth what is said. */
function holds(problem: Problem, proof: ReturnType<typeof solved>) {
  const chooser = new Chooser(problem);
  expect(chooser.worth(proof.choice)).toBeCloseTo(proof.value, 9);
  expect(isFeasible(problem, proof.choice)).toBe(true);
  expect(proof.value).toBeLessThanOrEqual(proof.bound + AGREES);
}

describe('the best kit by bound and branch is the best kit by a general solver', () => {
  for (const { name, count, from, ...wild } of [
    { name: 'problems of chance, with copies, care, budgets and required places', count: 120, alike: false, from: 1 },
    { name: 'families of near-equal knives', count: 50, alike: true, from: 5000 },
    { name: 'problems with places that lie in others', count: 60, alike: true, nested: true, from: 6000 },
    { name: 'problems of many candidates', count: 3, alike: true, many: 400, from: 7000 },
  ])
    test(`${count} ${name}`, () => {
      let nodes = 0;
      for (let seed = from; seed < from + count; seed++) {
        const { problem } = affordable(anyProblem(seed, wild));
        const best = bestByProgram(asProgram(problem));
        const proof = solved(problem);
        nodes += proof.nodes;
        expect(proof.proven, `seed ${seed}`).toBe(true);
        expect(proof.value - (best ?? NaN), `seed ${seed}`).toBeCloseTo(0, 6);
        holds(problem, proof);
      }
      console.log(`${count} ${name}: all agree, ${nodes} nodes`);
    });

  test('a second piece of a kind is paid once where it may stand in places of more than one class', () => {
    for (const seed of [22083, 23760, 25375, 26819, 29179]) {
      const { problem } = affordable(anyProblem(seed, { alike: seed % 2 === 0 }));
      expect(solved(problem).value, `seed ${seed}`).toBeCloseTo(bestByProgram(asProgram(problem)) ?? NaN, 6);
    }
  });

  const folder = new URL('../../../../data/kitchens/', import.meta.url);
  const kitchens = readdirSync(folder).map((name) =>
    readKitchenFile(JSON.parse(readFileSync(new URL(name, folder), 'utf8'))),
  );
  test('kitchens as they are, with other money, other cooks and things owned', () => {
    const drawer = [
      { type: 'chef', condition: 'dull' as const },
      { type: 'paring', condition: 'chipped' as const },
    ];
    const variants = kitchens.flatMap((kitchen) => [
      kitchen,
      { ...kitchen, budget: { total: 120 }, owned: drawer },
      { ...kitchen, budget: { total: null }, cooksAtOnce: 2, limits: { maxKnives: 8 } },
      { ...kitchen, budget: { total: 400 }, limits: { maxKnives: 8, must: ['bread', 'petty'] } },
    ]);
    let tried = 0;
    let told = 0;
    for (const kitchen of variants) {
      const { problem } = contextOf(kitchen);
      // a third of the catalogue, another third each time, so that the general solver is done in reasonable time
      const thinned = problem.places.map(({ fits, required }) => ({
        fits: fits.length > 12 ? fits.filter((i) => i % 3 === tried % 3) : fits,
        required,
      }));
      const part = ofSize({ ...problem, places: thinned }, tried++ % 2 === 0 ? 3 : 6);
      const best = bestByProgram(asProgram(part));
      const proof = solved(part);
      if (best === null) continue;
      told++;
      expect(proof.proven).toBe(true);
      expect(Math.abs(proof.value - best)).toBeLessThan(AGREES);
      holds(part, proof);
    }
    expect(told).toBeGreaterThanOrEqual(10);
  });
});

test('a quick answer keeps every rule and is never worth more than what is proven', () => {
  for (let seed = 9000; seed < 9120; seed++) {
    const { problem } = affordable(anyProblem(seed, { alike: seed % 2 === 0 }));
    const { value } = solved(problem);
    for (const effort of [ROUGH, QUICK]) {
      const { choice, worth } = chooseKit(problem, effort);
      expect(isFeasible(problem, choice)).toBe(true);
      expect(worth, `seed ${seed}`).toBeLessThanOrEqual(value + AGREES);
    }
  }
});

test('what breaks a rule is told', () => {
  const { problem } = affordable(anyProblem(3, { alike: false }));
  const empty = new Chooser(problem).empty();
  expect(isFeasible({ ...problem, places: [{ fits: [0], required: true }] }, Int32Array.from([-1]))).toBe(false);
  expect(isFeasible({ ...problem, places: [{ fits: [0], required: false }] }, Int32Array.from([1]))).toBe(false);
  expect(
    isFeasible({ ...problem, places: [{ fits: [0], required: true }], budgetMinor: 1 }, Int32Array.from([0])),
  ).toBe(false);
  expect(isFeasible(problem, empty.slice(1))).toBe(false);
});

test('offers are in the proof: the best kit with sets and volume prices is the general solver’s', () => {
  const random = seeded(77);
  let helped = 0;
  let atOnce = 0;
  let tried = 0;
  for (let k = 0; k < 84; k++) {
    // a fifth of the catalogue, another fifth each time, with sets and a maker's basket of chance
    const models = shippedModels.filter((_, i) => i % 5 === k % 5);
    const sets = Array.from({ length: 4 }, (_, b) => {
      const pieces = new Set(Array.from({ length: 2 + below(random, 3) }, () => oneOf(random, models)));
      const singly = [...pieces].reduce((sum, { priceMinor }) => sum + priceMinor, 0);
      return {
        id: `set-${b}`,
        name: 'Set',
        maker: 'Oskavel',
        pieces: [...pieces].map(({ id }) => id),
        priceMinor: Math.round(singly * (0.1 + random() / 3)),
      };
    });
    const volumes = [{ maker: oneOf(random, models).maker, from: 2, off: 0.15 + random() / 3 }];
    const context = preparePlanning(
      fileOf({
        cooking: { cuisines: [{ id: oneOf(random, [...reference.cuisines.keys()]) }] },
        budget: { total: 60 + below(random, 240) },
        limits: { maxKnives: 2 + below(random, 5), must: k % 3 === 0 ? ['paring'] : [] },
      }),
      { ...reference, sets: new Map(sets.map((set) => [set.id, set])), volumes },
      models,
    );
    if (affordable(context.problem).unmet > 0) continue;
    const { proof, on } = toTheEnd(proveBest(context));
    const best = bestByProgram(asProgram(context.problem, offersFor(context)));
    expect(proof.proven).toBe(true);
    expect(Math.abs(proof.value - (best ?? NaN)), `kitchen ${k}`).toBeLessThan(AGREES);
    holds(on.problem, proof);
    tried++;
    if (on === context) continue;
    helped++;
    if (firstAnswer(context, QUICK).chosen.worth > proof.value - AGREES) atOnce++;
  }
  console.log(
    `${tried} kitchens with offers: all agree; an offer is taken in ${helped}, in ${atOnce} of them by the first answer already`,
  );
  expect(tried).toBeGreaterThan(25);
  expect(helped).toBeGreaterThan(4);
  expect(atOnce).toBeGreaterThan(AT_ONCE * helped);
}, 60_000);

test('every size is proven, and more knives never make it worse', () => {
  for (const total of [60, 150, 400]) {
    const context = contextOf({ budget: { total }, limits: { maxKnives: 8 } });
    const told = [...bestOfEverySize(context)];
    // the largest is proven first: whatever is told stands in order, each size once
    for (const state of told) state.forEach(({ size }, i) => expect(size).toBeGreaterThan(state[i - 1]?.size ?? 0));
    const sizes = told.at(-1) ?? [];
    expect(sizes.map((s) => s.size)).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
    sizes.forEach((s, i) => {
      expect(s.proven).toBe(true);
      expect(s.priceMinor).toBeLessThanOrEqual(context.problem.budgetMinor);
      expect(s.value).toBeGreaterThanOrEqual((sizes[i - 1]?.value ?? 0) - AGREES);
    });
  }
});

test('stopped early it gives the best it has and a gap that holds; run again it gives the same', () => {
  const { problem } = contextOf({ budget: { total: 300 }, limits: { maxKnives: 6 } });
  const seed = new Chooser(problem).empty();
  const stopped = new ExactSearch(problem, seed);
  stopped.step(2);
  const early = stopped.proof();
  const full = solved(problem);
  expect(early.bound).toBeGreaterThanOrEqual(full.value - AGREES);
  expect(early.bound - early.value).toBeCloseTo(early.gap, 9);
  expect(early.value).toBeLessThanOrEqual(full.value + AGREES);
  expect([...solved(problem).choice]).toEqual([...full.choice]);
  expect(knifePlaces(problem)).toBe(6);
});
