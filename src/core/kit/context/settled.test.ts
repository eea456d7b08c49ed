import fc from 'fast-check';
import { expect, test } from 'vitest';
import { isSerratedDear, spreadOf } from '../candidates/spending';
import { chooseKit, QUICK } from '../search/choose';
import { coverageOfKit, kitOf } from '../search/coverage';
import { Chooser } from '../search/greedy';
import { affordable, type Choice, isFeasible, kindsOf } from '../search/problem';
import { wildKitchen } from '../../testing/arbitrary';
import { contextOf } from '../../testing/trade';
import { amongTies } from './amongTies';
import { settled } from './settled';

/** A tenth of a point, as the handbook has it. */
const TENTH = 0.001;

const filled = (choice: Choice) => [...choice].filter((i) => i >= 0).length;

test('of kits within a tenth of a point none that one exchange away covers a tenth more is passed over', () => {
  let moved = 0;
  for (const file of fc.sample(wildKitchen, { numRuns: 25, seed: 106 })) {
    const context = contextOf(file);
    const { kitchen } = context;
    const { problem } = affordable(context.problem);
    if (problem.kinds !== undefined) continue;
    const found = chooseKit(problem, QUICK);
    const before = { ...found, among: undefined };
    const after = amongTies(context, before);
    const chooser = new Chooser(problem);
    const covered = (choice: Choice) => coverageOfKit(problem, kitOf(problem, choice));
    const floor = chooser.worth(before.choice) - TENTH;
    expect(after.worth).toBeCloseTo(chooser.worth(after.choice), 12);
    expect(after.worth).toBeGreaterThanOrEqual(floor - 1e-9);
    expect(isFeasible(problem, after.choice)).toBe(true);
    expect(filled(after.choice)).toBe(filled(before.choice));
    if (String(after.choice) !== String(before.choice)) {
      moved++;
      const better = Math.round(covered(after.choice) / TENTH) - Math.round(covered(before.choice) / TENTH);
      const fewer = kindsOf(problem, before.choice).size - kindsOf(problem, after.choice).size;
      expect(better > 0 || (better === 0 && fewer >= 0)).toBe(true);
    }
    after.choice.forEach((stands, p) => {
      if (stands < 0 || problem.candidates[stands]?.owned !== null) return;
      for (const i of problem.places[p]?.fits ?? []) {
        const other = after.choice.with(p, i);
        if (chooser.worth(other) < floor + 1e-9 || !isFeasible(problem, other)) continue;
        if (isSerratedDear(spreadOf(kitOf(problem, other)), kitchen.currency)) continue;
        expect(Math.round(covered(other) / TENTH)).toBeLessThanOrEqual(Math.round(covered(after.choice) / TENTH));
      }
    });
  }
  expect(moved).toBeGreaterThan(2);
});

test('a main knife of the wrong length gives way to its line’s right one for a tenth of its price more, not for more', () => {
  const settledFrom = (id: string, handLengthMm: number) => {
    const context = contextOf({
      cooks: [{ handLengthMm, experience: 'keen' }],
      board: { lengthMm: 600, widthMm: 400 },
      budget: { total: 300 },
    });
    const { problem } = context;
    const main = problem.candidates.findIndex((c) => c.id === id);
    const choice = new Int32Array(problem.places.length).fill(-1).with(0, main);
    const chosen = { choice, worth: new Chooser(problem).worth(choice), unmet: 0, among: new Set<number>() };
    return [...settled(context, chosen).choice].flatMap((i) => problem.candidates[i]?.id ?? []);
  };
  expect(settledFrom('lanternhill-gyuto-180', 230)).toContain('lanternhill-gyuto-180');
  expect(settledFrom('lanternhill-gyuto-240', 230)).toContain('lanternhill-gyuto-270');
  expect(settledFrom('lanternhill-gyuto-240', 170)).toContain('lanternhill-gyuto-210');
});
