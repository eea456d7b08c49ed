import { describe, expect, test } from 'vitest';
import { contextOf } from '../../testing/trade';
import { anyProblem, below } from '../../testing/problems';
import { seeded } from '../robustness/random';
import { chooseKit, QUICK, ROUGH, THOROUGH } from './choose';
import { ExactSearch } from './exact';
import { frontier, knee } from './frontier';
import { Chooser } from './greedy';
import { paidFor, paidForKit } from './paid';
import { affordable, type Choice, isFeasible, type Problem } from './problem';
import { Relaxation } from './relaxation';
import { bestFew, inRoles, rolesOf, worthInRoles } from './roles';
import { startingKit } from './sizes';

const PROBLEMS = 60;

/** Problems of chance, every kind of them in turn. */
const problems = Array.from({ length: PROBLEMS }, (_, k) => ({
  seed: 40_000 + k,
  problem: affordable(anyProblem(40_000 + k, { alike: k % 2 === 0, nested: k % 3 === 0 })).problem,
}));

/** Feasible choices of a problem found by filling places at random. */
function someChoices({ candidates, places, budgetMinor }: Problem, seed: number, many: number): Choice[] {
  const random = seeded(seed);
  return Array.from({ length: many }, () => {
    const choice = new Int32Array(places.length).fill(-1);
    let left = budgetMinor;
    places.forEach(({ fits, required }, p) => {
      const open = fits.filter((i) => (candidates[i]?.priceMinor ?? 0) <= left);
      if (open.length === 0 || (!required && random() < 0.4)) return;
      choice[p] = open[below(random, open.length)] ?? -1;
      left -= candidates[choice[p] ?? -1]?.priceMinor ?? 0;
    });
    return choice;
  });
}

const multipliersOf = (relaxed: Relaxation, seed: number) => {
  const random = seeded(seed);
  return relaxed.scale.map((scale) => scale * random() * 1.2);
};

describe('the relaxed worth', () => {
  test('at any multipliers bounds every feasible kit from above', () => {
    for (const { seed, problem } of problems) {
      const relaxed = new Relaxation(problem);
      const kits = someChoices(problem, seed, 12).filter((choice) => isFeasible(problem, choice));
      const root = { taken: [], left: relaxed.everything() };
      for (const m of [multipliersOf(relaxed, seed), relaxed.scale.map(() => 0)]) {
        const bound = relaxed.evaluate(root, m);
        for (const kit of kits)
          expect(relaxed.valueOf(relaxed.takenOf(kit)), `seed ${seed}`).toBeLessThanOrEqual(bound + 1e-9);
      }
    }
  });

  test('is convex in the multipliers: it never falls below what its slope tells', () => {
    for (const { seed, problem } of problems) {
      const relaxed = new Relaxation(problem);
      const root = { taken: [], left: relaxed.everything() };
      const here = multipliersOf(relaxed, seed);
      const bound = relaxed.evaluate(root, here);
      if (!Number.isFinite(bound)) continue;
      const slope = Float64Array.from(relaxed.slope);
      for (let k = 1; k <= 5; k++) {
        const there = multipliersOf(relaxed, seed + 1000 * k);
        const told = bound + slope.reduce((sum, s, r) => sum + s * ((there[r] ?? 0) - (here[r] ?? 0)), 0);
        expect(relaxed.evaluate(root, there), `seed ${seed}`).toBeGreaterThanOrEqual(told - 1e-9);
      }
    }
  });

  test('of a kit that is decided is its worth once the multipliers say nothing, and takes a kit back as it was given', () => {
    for (const { seed, problem } of problems) {
      const relaxed = new Relaxation(problem);
      const chooser = new Chooser(problem);
      for (const kit of someChoices(problem, seed, 4).filter((choice) => isFeasible(problem, choice))) {
        const taken = relaxed.takenOf(kit);
        expect(relaxed.valueOf(taken)).toBeCloseTo(chooser.worth(kit), 9);
        const again = relaxed.choiceOf(taken);
        expect([...again].sort()).toEqual([...kit].sort());
        expect(chooser.worth(again)).toBeCloseTo(chooser.worth(kit), 9);
        expect(relaxed.isComplete(taken)).toBe(
          problem.places.every(({ required }, p) => !required || (kit[p] ?? -1) >= 0),
        );
      }
    }
  });

  test('what it drops as hopeless is in no kit worth more than was asked', () => {
    for (const { seed, problem } of problems.filter(({ problem: { places } }) => places.length < 6)) {
      const relaxed = new Relaxation(problem);
      const left = relaxed.everything();
      const root = { taken: [], left };
      const search = new ExactSearch(problem, startingKit(problem, []));
      while (!search.step(100));
      const { value, choice } = search.proof();
      const bound = relaxed.evaluate(root, relaxed.startingMultipliers(relaxed.takenOf(choice)));
      // asked for a little less than the best, nothing of the best is dropped
      const kept = relaxed.hopeful(root, value - 1e-6 - bound);
      for (const { candidate, at } of relaxed.takenOf(choice))
        expect(
          kept.some(
            (each) => each.open.includes(candidate) && (each.at === at || (relaxed.nest.around[each.at] ?? -1) >= 0),
          ),
          `seed ${seed}`,
        ).toBe(true);
    }
  });
});

describe('a candidate in the roles', () => {
  test('is worth what the best of its roles leaves above their price, and no copy more than the one before', () => {
    for (const { problem, seed } of problems) {
      const roles = rolesOf(problem.demand);
      const random = seeded(seed);
      const multipliers = roles.weights.map((weight) => weight * random());
      for (const { counted } of problem.candidates) {
        const row = inRoles(roles, counted);
        const byCopy = new Float64Array(roles.most);
        worthInRoles(roles, row, multipliers, byCopy);
        const byHand = problem.demand.states.reduce((sum, state, s) => {
          const first = roles.from[s] ?? 0;
          return (
            sum +
            Math.max(0, ...state.roles.map((_, r) => (row.figures[first + r] ?? 0) - (multipliers[first + r] ?? 0)))
          );
        }, 0);
        expect(byCopy[0]).toBeCloseTo(byHand, 9);
        byCopy.forEach((worth, c) => expect(worth).toBeLessThanOrEqual((byCopy[c - 1] ?? Infinity) + 1e-12));
        expect(row.served.every((s) => problem.demand.states[s] !== undefined)).toBe(true);
      }
    }
  });

  test('of some rows the best few of each role are found, each once', () => {
    const rows = [
      [0.9, 0.1, 0],
      [0.2, 0.8, 0],
      [0.5, 0.5, 0],
      [0.1, 0.2, 0.7],
    ].map((row) => Float64Array.from(row));
    expect(bestFew(rows, 0, 1)).toEqual([0]);
    expect(bestFew(rows, 0, 2).sort()).toEqual([0, 1, 2]);
    expect(bestFew(rows, 2, 3)).toEqual([3]);
    expect(bestFew([], 0, 2)).toEqual([]);
  });
});

describe('what a kit is paid', () => {
  test('is the costs of its pieces and, of each kind, what all but the dearest second piece cost more', () => {
    for (const { problem, seed } of problems) {
      const paid = paidFor(problem.candidates, problem.scale);
      for (const kit of someChoices(problem, seed, 3)) {
        const taken = [...kit].filter((i) => i >= 0);
        const plain = taken.reduce((sum, i) => sum + (paid.costs[i] ?? 0), 0);
        const kinds = new Map<number, number[]>();
        for (const i of taken) {
          const kind = paid.kinds[i] ?? -1;
          if (kind >= 0) kinds.set(kind, [...(kinds.get(kind) ?? []), paid.surcharges[i] ?? 0]);
        }
        const again = [...kinds.values()].reduce(
          (sum, extras) => sum + extras.reduce((a, b) => a + b, 0) - Math.max(...extras),
          0,
        );
        expect(paidForKit(paid, kit)).toBeCloseTo(plain + again, 12);
        // in whatever order they stand
        expect(paidForKit(paid, [...kit].reverse())).toBeCloseTo(plain + again, 12);
      }
    }
  });
});

test('the harder it is looked for the better the kit, and every one of them keeps the rules', () => {
  for (const { problem, seed } of problems) {
    const kits = [ROUGH, QUICK, THOROUGH].map((effort) => chooseKit(problem, effort));
    const [rough, quick, thorough] = kits.map(({ worth }) => worth);
    expect(quick, `seed ${seed}`).toBeGreaterThanOrEqual((rough ?? 0) - 1e-9);
    expect(thorough, `seed ${seed}`).toBeGreaterThanOrEqual((quick ?? 0) - 1e-9);
    for (const { choice } of kits) expect(isFeasible(problem, choice)).toBe(true);
  }
});

describe('coverage against money', () => {
  const points = (() => {
    let last: ReturnType<typeof knee>[] = [];
    for (const found of frontier(contextOf({ budget: { total: 300 } }).problem)) last = found;
    return last.flatMap((point) => point ?? []);
  })();

  test('rises with what is spent, and no point costs more than there is, or than 1.6 times that', () => {
    points.forEach(({ spentMinor, coverage }, i) => {
      expect(coverage).toBeGreaterThan(points[i - 1]?.coverage ?? -1);
      expect(spentMinor).toBeGreaterThan(points[i - 1]?.spentMinor ?? -1);
    });
    expect(points.at(-1)?.spentMinor).toBeLessThanOrEqual(30_000 * 1.6);
    expect(points.length).toBeGreaterThan(4);
  });

  test('bends where it lies farthest above the line from its first point to its last', () => {
    const line = (spentMinor: number, coverage: number) => ({ spentMinor, coverage });
    expect(knee([line(0, 0), line(100, 0.6), line(300, 0.7), line(600, 0.8)])).toEqual(line(100, 0.6));
    expect(knee([line(0, 0), line(100, 0.6)])).toBeNull();
    expect(knee([line(5, 0), line(5, 0.4), line(5, 0.6)])).toBeNull();
    const bend = knee(points);
    expect(bend && points.some((point) => point.spentMinor === bend.spentMinor)).toBe(true);
  });
});
