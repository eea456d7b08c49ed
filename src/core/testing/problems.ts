import { reference } from '../../../data/reference';
import type { Candidate } from '../kit/candidates/candidate';
import type { State } from '../kit/demand/types';
import { seeded } from '../kit/robustness/random';
import type { Place, Problem } from '../kit/search/problem';

/** Problems of choice of no kitchen in particular, the same for the same seed. */

type Random = () => number;

export const below = (random: Random, n: number) => Math.floor(random() * n);

export function oneOf<T>(random: Random, from: readonly T[]): T {
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

export interface Wild {
  /** Families of near-equal knives, where bounds have the least to go by. */
  alike: boolean;
  /** Places of several kinds that lie in others, or overlap. */
  nested?: boolean;
  /** So many knives instead of a few. */
  many?: number;
}

/** Places for so many knives: some that must be filled, some within others where they are nested, and open ones. */
function placesFor(random: Random, knives: number, nested: boolean): Place[] {
  const open = Array.from({ length: knives }, (_, i) => i);
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
  return [
    ...required,
    ...within,
    ...Array.from({ length: 1 + below(random, 4) }, () => ({ fits: open, required: false })),
  ];
}

/** A problem of no kitchen in particular. */
export function anyProblem(seed: number, { alike, nested = false, many }: Wild): Problem {
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
  const places = placesFor(random, n, nested);
  // in a row of its own, so that the problem is the same with and without a limit of kinds
  const dice = seeded(seed + 500_000);
  const kinds = dice() < 0.25 ? { kinds: places.filter((p) => p.required).length + below(dice, 3) } : {};
  return {
    ...kinds,
    demand: {
      columns: T,
      states: anyStates(random, T, () => (random() < 0.1 ? 0 : (0.05 + random()) / T)),
      weights: new Float64Array(T),
      total: 1,
    },
    owned: owned.map((usefulness) => ({ usefulness })),
    given: random() < 0.3 ? [row(1).map((f) => f * 0.5)] : [],
    candidates,
    places: [...places, ...care.map((_, i) => ({ fits: [n + i], required: false }))],
    budgetMinor: random() < 0.7 ? 900 + below(random, 2400) : Infinity,
    scale: {
      pointMinor: 20 + below(random, 200),
      keepMinor: below(random, 2) * 60,
      inNumbers: random() < 0.2,
      alone: random() < 0.5,
    },
  };
}
