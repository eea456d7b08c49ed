import { expect, test } from 'vitest';
import type { Candidate } from '../candidates/candidate';
import { kitOf } from './coverage';
import { Chooser } from './greedy';
import type { Problem } from './problem';
import { withRescues } from './rescuing';

/** A purchase that does a task so well, and brings it so far out of a struggle. */
function cure(id: string, priceMinor: number, useful: number, rescued: number): Candidate {
  const rows = Float64Array.of(useful, rescued);
  const unused = { type: null, blade: null, tool: null, owned: null, edge: null };
  return { id, action: 'buy', priceMinor, scores: rows, usefulness: rows, counted: rows, ...unused };
}

/** What is bought with money that nothing is worth: a point costs more than any of it adds. */
function rescuedBy(cures: readonly Candidate[], budgetMinor = 10_000): string[] {
  const problem: Problem = {
    demand: {
      columns: 2,
      states: [
        { task: 0, same: true, rescue: false, roles: [{ column: 0, weight: 0.02 }] },
        { task: 0, same: true, rescue: true, roles: [{ column: 1, weight: 0.025 }] },
      ],
      weights: Float64Array.of(0.02, 0),
      total: 1,
    },
    owned: [],
    given: [],
    candidates: cures,
    places: [0, 1].map(() => ({ fits: cures.map((_, i) => i), required: false })),
    budgetMinor,
    scale: { pointMinor: 200, keepMinor: 500, inNumbers: false, alone: true },
  };
  const chooser = new Chooser(problem);
  return kitOf(problem, withRescues(problem, chooser.empty(), chooser)).map(({ id }) => id);
}

test('of two cures that bring as much out of a struggle the one is bought that leaves the kit worth more', () => {
  const plain = cure('plain', 4200, 0.3, 1);
  expect(rescuedBy([plain, cure('better', 4300, 0.9, 1)])).toEqual(['better']);
  expect(rescuedBy([plain, cure('dear', 9000, 0.9, 1)])).toEqual(['plain']);
});

test('a cheap cure of most of it is enough, one of little is none, and nothing is bought past the money or without a ceiling', () => {
  const whole = cure('whole', 4200, 0.3, 1);
  expect(rescuedBy([whole, cure('most', 900, 0.1, 0.6)])).toEqual(['most']);
  expect(rescuedBy([whole, cure('little', 900, 0.1, 0.4)])).toEqual(['whole']);
  expect(rescuedBy([whole], 4100)).toEqual([]);
  expect(rescuedBy([whole], Infinity)).toEqual([]);
});
