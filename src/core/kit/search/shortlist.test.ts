import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { wildKitchen } from '../../testing/arbitrary';
import { preparePlanning } from '../context/planningContext';
import { chooseKit, QUICK, ROUGH } from './choose';
import { Chooser } from './greedy';
import { affordable, type Choice, isFeasible, type Problem } from './problem';
import { likeliest, partOf } from './shortlist';

/** A problem without owned knives, so that nothing is put right, its quick kit and who reckons it. */
const chosen = wildKitchen.map((file) => {
  const { problem } = affordable(preparePlanning({ ...file, owned: [] }, reference, shippedModels).problem);
  return { problem, chooser: new Chooser(problem), choice: chooseKit(problem, ROUGH).choice };
});

/** The most a candidate brings by one move: into an empty place, in the stead of a piece, or into one place while another is emptied. */
function bestMove(problem: Problem, chooser: Chooser, choice: Choice, index: number): number {
  const places = [...problem.places.keys()];
  const moves = places.flatMap((p) => {
    const there = choice.with(p, index);
    return (choice[p] ?? -1) >= 0 ? [there] : [there, ...places.filter((q) => q !== p).map((q) => there.with(q, -1))];
  });
  return moves
    .filter((moved) => isFeasible(problem, moved))
    .reduce((most, moved) => Math.max(most, chooser.worth(moved) - chooser.worth(choice)), -Infinity);
}

test('what an exchange makes of a kit is what the best move that brings a piece in makes of it; money that lacks takes from it', () => {
  fc.assert(
    fc.property(chosen, ({ problem, chooser, choice }) => {
      const free = { ...problem, budgetMinor: Infinity };
      const [short, unlimited] = [chooser.exchanged(choice), new Chooser(free).exchanged(choice)];
      problem.candidates.forEach((_, i) => {
        if (i % 7 > 0) return;
        expect(unlimited[i]).toBeCloseTo(bestMove(free, chooser, choice, i), 9);
        expect(short[i]).toBeLessThanOrEqual((unlimited[i] ?? 0) + 1e-12);
        expect(short[i]).toBeGreaterThanOrEqual(bestMove(problem, chooser, choice, i) - 1e-9);
      });
    }),
    { numRuns: 15 },
  );
});

test('a part of a problem has the likeliest few of every type and what is in the kit, and a kit is worth the same in it', () => {
  fc.assert(
    fc.property(chosen, ({ problem, chooser, choice }) => {
      const among = likeliest(problem, chooser, choice, 12);
      const inKit = [...choice].filter((i) => i >= 0);
      expect(among.size).toBeLessThanOrEqual(12 + inKit.length);
      const ofType = new Map<unknown, number>();
      for (const i of among) {
        const type = problem.candidates[i]?.type;
        if (type && !inKit.includes(i)) ofType.set(type, (ofType.get(type) ?? 0) + 1);
      }
      expect(Math.max(0, ...ofType.values())).toBeLessThanOrEqual(4);
      const part = partOf(problem, (i) => among.has(i));
      const there = part.inPart(choice);
      expect(part.inWhole(there)).toEqual(choice);
      expect(isFeasible(part.problem, there)).toBe(true);
      expect(new Chooser(part.problem).worth(there)).toBeCloseTo(chooser.worth(choice), 12);
    }),
    { numRuns: 15 },
  );
});

test('a part leaves no place empty that can be filled for the money, and a search among few is never worse than the kit it starts from', () => {
  fc.assert(
    fc.property(chosen, fc.integer({ min: 0, max: 20_000 }), ({ problem, choice, chooser }, budgetMinor) => {
      // every other place must be filled, for whatever money
      const places = problem.places.map((place, p) => ({ ...place, required: p % 2 === 0 }));
      const demanding = { ...problem, places, budgetMinor };
      for (const isKept of [() => false, (i: number) => i % 3 === 0])
        expect(affordable(partOf(demanding, isKept).problem).unmet).toBe(affordable(demanding).unmet);
      expect(chooseKit(problem, { ...QUICK, among: 1 }).worth).toBeGreaterThanOrEqual(chooser.worth(choice) - 1e-9);
    }),
    { numRuns: 15 },
  );
});
