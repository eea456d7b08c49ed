import fc from 'fast-check';
import { expect, test } from 'vitest';
import { SecondPieces } from './secondPieces';
import { paidForKit } from './paid';

const piece = fc.record({
  kind: fc.constantFrom(0, 1, 2, -1),
  surcharge: fc.constantFrom(0, 0.015, 0.03),
  worth: fc.double({ min: -0.05, max: 0.1, noNaN: true }),
});

const subsets = <T>([first, ...rest]: readonly T[]): T[][] =>
  first === undefined ? [[]] : subsets(rest).flatMap((some) => [some, [first, ...some]]);

test('what pieces are let come to is never less than any choice of them truly is', () => {
  fc.assert(
    fc.property(
      fc.array(piece, { minLength: 1, maxLength: 7 }),
      fc.array(piece, { maxLength: 2 }),
      fc.integer({ min: 1, max: 4 }),
      (open, taken, places) => {
        const all = [...taken, ...open];
        const kinds = new Int32Array(all.map(({ kind }) => kind));
        const surcharges = new Float64Array(all.map(({ kind, surcharge }) => (kind < 0 ? 0 : surcharge)));
        const worth = new Float64Array(all.map((each) => each.worth));
        const here = open.map((_, i) => taken.length + i);
        const seconds = new SecondPieces({ kinds, surcharges, kindCount: 3 });
        seconds.lay(taken.map((_, candidate) => ({ candidate })));
        seconds.share(here, worth, places);
        const costs = new Float64Array(all.length);
        const paidFor = (kit: readonly number[]) => paidForKit({ costs, kinds, surcharges }, kit);
        const before = paidFor(taken.map((_, i) => i));
        const truly = (some: readonly number[]) =>
          some.reduce((sum, i) => sum + (worth[i] ?? 0), 0) - (paidFor([...taken.map((_, i) => i), ...some]) - before);
        const best = here.map((i) => seconds.asChosen(i, worth[i] ?? 0)).sort((a, b) => b - a);
        const bound = best.slice(0, places).reduce((sum, value) => sum + Math.max(0, value), 0);
        for (const some of subsets(here).filter((each) => each.length <= places)) {
          expect(bound).toBeGreaterThanOrEqual(truly(some) - 1e-12);
          for (const i of some) {
            const without = some.filter((each) => each !== i);
            expect(seconds.atMost(i, worth[i] ?? 0)).toBeGreaterThanOrEqual(truly(some) - truly(without) - 1e-12);
          }
        }
      },
    ),
    { numRuns: 300 },
  );
});

test('of a kind the likeliest is spared, and whatever comes beside one that is taken pays', () => {
  const kinds = new Int32Array([0, 0, 1, -1]);
  const surcharges = new Float64Array([0.015, 0.015, 0.03, 0]);
  const worth = new Float64Array([0.05, 0.04, 0.02, 0.01]);
  const seconds = new SecondPieces({ kinds, surcharges, kindCount: 2 });
  const each = (taken: { candidate: number }[], open: number[]) => {
    seconds.lay(taken);
    seconds.share(open, worth, 4);
    return open.map((i) => seconds.asChosen(i, worth[i] ?? 0));
  };
  expect(each([], [0, 1, 2, 3])).toEqual([0.05, 0.025, 0.02, 0.01]);
  expect(each([{ candidate: 0 }], [1, 2, 3])).toEqual([0.025, 0.02, 0.01]);
});
