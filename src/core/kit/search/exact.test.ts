import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { readKitchenFile } from '../../formats/kitchenFile';
import { asProgram, bestByProgram } from '../../testing/mip';
import { contextOf, fileOf } from '../../testing/trade';
import type { Candidate } from '../candidates/candidate';
import { firstAnswer } from '../plan/firstAnswer';
import { chooseKit, QUICK, ROUGH } from './choose';
import { Chooser } from './greedy';
import { affordable, isFeasible, type Problem } from './problem';
import { ExactSearch } from './exact';
import { offersFor } from '../offers/offers';
import { seeded } from '../robustness/random';
import { bestOfEverySize, proveBest } from '../offers/prove';
import type { State } from '../demand/types';
import { knifePlaces, ofSize, startingKit, toTheEnd } from './sizes';
import { preparePlanning } from '../context/planningContext';

const AGREES = 1e-6;
/** Of the kitchens in which an offer is taken, the share in which the first answer takes the best kit with it. */
const AT_ONCE = 0.8;
type Random = () => number;

const below = (random: Random, n: number) => Math.floor(random() * n);

function oneOf<T>(random: Random, from: readonly T[]): T {
  const one = from[below(random, from.length)];
  if (one === undefined) throw new Error('nothing to choose from');
  return one;
}

const types = [...reference.types.values()];

function candidate(
  id: string,
  rows: Float64Array,
  priceMinor: number,
  owned: number | null = null,
  type: Candidate['type'] = null,
): Candidate {
  const action = owned === null ? ('buy' as const) : ('sharpen' as const);
  return {
    id,
    action,
    type,
    blade: null,
    tool: null,
    owned,
    priceMinor,
    scores: rows,
    usefulness: rows,
    counted: rows,
    edge: null,
  };
}

/** Moments at a task: one or several alike, whose knives count less one after another, or two or three people of different hands. */
function anyStates(random: Random, T: number, weight: (t: number) => number): State[] {
  return Array.from({ length: T }, (_, t): State[] => {
    const w = weight(t);
    if (w <= 0) return [];
    const rescue: State[] =
      random() < 0.3 ? [{ task: t, same: true, rescue: true, roles: [{ column: t, weight: 0.1 }] }] : [];
    if (random() < 0.3 && T > 2) {
      const people = T > 3 && random() < 0.5 ? 3 : 2;
      const roles = Array.from({ length: people }, (_, k) => ({ column: (t + k) % T, weight: w / people }));
      return [{ task: t, same: false, rescue: false, roles }, ...rescue];
    }
    const count = 1 + below(random, 4);
    const falling = Array.from({ length: count }, (_, k) => w / (k + 1));
    const sum = falling.reduce((a, b) => a + b, 0);
    const roles = falling.map((each) => ({ column: t, weight: (each * w) / sum }));
    return [{ task: t, same: true, rescue: false, roles }, ...rescue];
  }).flat();
}

interface Wild {
  /** Families of near-equal knives, where bounds have the least to go by. */
  alike: boolean;
  /** Places of several kinds that lie in others, or overlap. */
  nested?: boolean;
  /** So many knives instead of a few. */
  many?: number;
}

/** A problem of no kitchen in particular. */
function anyProblem(seed: number, { alike, nested = false, many }: Wild): Problem {
  const random = seeded(seed);
  const T = 2 + below(random, 7);
  const family = Array.from({ length: 3 }, () => Float64Array.from({ length: T }, random));
  const row = (i: number) =>
    Float64Array.from({ length: T }, (_, t) =>
      alike
        ? Math.min(1, Math.max(0, (family[i % 3]?.[t] ?? 0) + 0.06 * (random() - 0.5)))
        : Math.max(0, random() * 1.5 - 0.5),
    );
  const n = many ?? 3 + below(random, alike ? 10 : 8);
  const knives = Array.from({ length: n }, (_, i) =>
    candidate(
      `k${i}`,
      row(i),
      100 + below(random, 900),
      null,
      random() < 0.7 ? oneOf(random, types.slice(0, 12)) : null,
    ),
  );
  const owned = Array.from({ length: below(random, 3) }, (_, i): Float64Array => row(i).map((f) => f * 0.6));
  const care = owned.flatMap((dull, i) =>
    random() < 0.7
      ? [
          candidate(
            `s${i}`,
            dull.map((f) => f / 0.6),
            10 + below(random, 90),
            i,
          ),
        ]
      : [],
  );
  const candidates = [...knives, ...care];
  const open = knives.map((_, i) => i);
  const half = open.filter((i) => i % 2 === 0);
  const required = Array.from({ length: random() < 0.3 ? 1 + below(random, 3) : 0 }, () => ({
    fits: half,
    required: true,
  }));
  const every = (k: number) => open.filter((i) => i % k === 0);
  const within = nested
    ? [
        ...Array.from({ length: below(random, 3) }, () => ({ fits: every(3), required: random() < 0.7 })),
        ...Array.from({ length: below(random, 2) }, () => ({ fits: every(4), required: true })),
      ]
    : [];
  const places = Array.from({ length: 1 + below(random, 4) }, () => ({ fits: open, required: false }));
  return {
    demand: {
      columns: T,
      states: anyStates(random, T, () => (random() < 0.1 ? 0 : (0.05 + random()) / T)),
      weights: new Float64Array(T),
      total: 1,
    },
    owned: owned.map((usefulness) => ({ usefulness })),
    given: random() < 0.3 ? [row(1).map((f) => f * 0.5)] : [],
    candidates,
    places: [...required, ...within, ...places, ...care.map((_, i) => ({ fits: [n + i], required: false }))],
    budgetMinor: random() < 0.7 ? 900 + below(random, 2400) : Infinity,
    scale: {
      pointMinor: 20 + below(random, 200),
      keepMinor: below(random, 2) * 60,
      inNumbers: random() < 0.2,
      alone: random() < 0.5,
    },
  };
}

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
    { name: 'problems of chance, with copies, care, budgets and required places', count: 210, alike: false, from: 1 },
    { name: 'families of near-equal knives', count: 90, alike: true, from: 5000 },
    { name: 'problems with places that lie in others', count: 120, alike: true, nested: true, from: 6000 },
    { name: 'problems of many candidates', count: 6, alike: true, many: 400, from: 7000 },
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
    for (const kitchen of variants) {
      const { problem } = contextOf(kitchen);
      // a third of the catalogue, another third each time, so that the general solver is done in reasonable time
      const thinned = problem.places.map(({ fits, required }) => ({
        fits: fits.length > 12 ? fits.filter((i) => i % 3 === tried % 3) : fits,
        required,
      }));
      for (const size of [3, 6]) {
        const part = ofSize({ ...problem, places: thinned }, size);
        const best = bestByProgram(asProgram(part));
        const proof = solved(part);
        tried++;
        if (best === null) continue;
        expect(proof.proven).toBe(true);
        expect(Math.abs(proof.value - best)).toBeLessThan(AGREES);
        holds(part, proof);
      }
    }
    expect(tried).toBeGreaterThanOrEqual(20);
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
  for (let k = 0; k < 48; k++) {
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
