import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { TRIAL } from '../constants';
import type { KitchenFile } from '../formats/kitchenFile';
import type { BenchTrialFile } from '../formats/trialsFile';
import { preparePlanning } from '../kit/context/planningContext';
import { planProven } from '../kit/plan/planKitchen';
import { fileOf, taskNamed, traitsOf } from '../testing/trade';
import { explain } from './explain';
import { prepareTask, scoreFor } from './score';
import { byWishes } from './wishes';

const LOVED = 'oskavel-gyuto-210';
const OTHER = 'ploverdale-chef-200';

/** Runs of two knives at some tasks with one mark each, so many times. */
function trial(
  tasks: string[],
  marks: [number, number],
  rounds = 1,
  changes: Partial<BenchTrialFile> = {},
): BenchTrialFile {
  const runs = Array.from({ length: rounds }, () => tasks)
    .flat()
    .flatMap((task) => marks.map((mark, knife) => ({ task, knife, effort: mark, control: mark, result: mark })));
  return { on: '2026-03-01', knives: [{ model: LOVED }, { model: OTHER }], tasks, runs, ...changes };
}

const kitchen = (trials: KitchenFile['trials'], changes: Partial<KitchenFile> = {}) => fileOf({ ...changes, trials });
const cookWith = (file: KitchenFile, at = 0) => {
  const cook = preparePlanning(file, reference, shippedModels).cooks[at];
  if (!cook) throw new Error('no cook');
  return cook;
};
const scoreAt = (model: string, task: string, file: KitchenFile) =>
  scoreFor(traitsOf(model), prepareTask(taskNamed(task)), cookWith(file));

describe('measured scores', () => {
  const plain = scoreAt(LOVED, 'onion-dice', kitchen({}));

  test('draw a score towards what was found, the more the more trials, and leave what was not tried', () => {
    const after = (rounds: number) =>
      scoreAt(LOVED, 'onion-dice', kitchen({ bench: [trial(['onion-dice', 'carrot-slice'], [2, 4], rounds)] }));
    expect(after(1)).toBeLessThan(plain);
    expect(after(4)).toBeLessThan(after(1));
    const untouched = scoreAt(LOVED, 'tomato-slice', kitchen({ bench: [trial(['onion-dice'], [2, 4])] }));
    expect(untouched).toBe(scoreAt(LOVED, 'tomato-slice', kitchen({})));
  });

  test('who marks everything high or low is not taken at their word: the difference counts', () => {
    const found = (marks: [number, number]) => {
      const file = kitchen({ bench: [trial(['onion-dice', 'carrot-slice', 'cabbage-shred'], marks, 2)] });
      return {
        score: scoreAt(LOVED, 'onion-dice', file),
        gap: scoreAt(LOVED, 'onion-dice', file) - scoreAt(OTHER, 'onion-dice', file),
      };
    };
    const [high, low, turned] = [found([4, 3]), found([3, 2]), found([3, 4])];
    // a mark less everywhere is a quarter of what it would be by itself, or less
    expect(high.score - low.score).toBeLessThan(TRIAL.rating.perStep.value / 4);
    expect(Math.abs(high.gap - low.gap)).toBeLessThan(2);
    expect(high.gap).toBeGreaterThan(turned.gap + 5);
  });

  test('a spread far beyond the figures lets trials count for more', () => {
    const weight = (marks: [number, number]) => {
      const cook = cookWith(kitchen({ bench: [trial(['onion-dice', 'carrot-slice', 'cabbage-shred'], marks)] }));
      return cook.measured[LOVED]?.['onion-dice']?.weight ?? 0;
    };
    expect(weight([1, 5])).toBeGreaterThan(weight([4, 4]));
    const { spread } = TRIAL.model;
    const least = spread.value ** 2 / (spread.value ** 2 + TRIAL.rating.noise.value ** 2);
    expect(weight([4, 4])).toBeLessThan(least + 0.1);
  });

  test('they can be switched off, belong to the cook who tried, and never lift a veto', () => {
    const bench = [trial(['onion-dice'], [1, 5])];
    expect(scoreAt(LOVED, 'onion-dice', kitchen({ bench, measuredCounts: false }))).toBe(plain);
    const two = fileOf({
      cooks: [{ handLengthMm: 170 }, { handLengthMm: 200 }],
      trials: { bench: [trial(['onion-dice'], [1, 5], 1, { cook: 1 })] },
    });
    const { cooks } = preparePlanning(two, reference, shippedModels);
    expect(cooks.map(({ cook, measured }) => [cook.handLengthMm, Object.keys(measured).length > 0])).toEqual(
      expect.arrayContaining([
        [170, false],
        [200, true],
      ]),
    );
    const refused = scoreAt(LOVED, 'oyster-open', kitchen({ bench: [trial(['oyster-open'], [5, 5])] }));
    expect(refused).toBe(0);
  });

  test('a score taken apart tells of the trials and still multiplies up', () => {
    const file = kitchen({ bench: [trial(['onion-dice'], [1, 5], 3)] });
    const told = explain(traitsOf(OTHER), prepareTask(taskNamed('onion-dice')), [cookWith(file)]);
    const part = told.parts.find(({ id }) => id === 'measured');
    expect(part?.why).toMatch(/^3 trials on food found \d+ where the figures say \d+/);
    const product = told.parts.reduce((all, { value, weight }) => all * value ** weight, 100);
    expect(told.score).toBeLessThanOrEqual(product + 1e-6);
  });
});

describe('knives held', () => {
  const walkAway = { model: LOVED, on: '2026-03-02', answers: { bite: 'bites' } };
  const good = { settle: 'at-once', bite: 'nothing', fill: 'fills', built: 'tight', wet: 'stays' };

  test('one that was left is refused at every task, with its reason; a later good test takes that back', () => {
    const left = explain(traitsOf(LOVED), prepareTask(taskNamed('onion-dice')), [
      cookWith(kitchen({ hand: [walkAway] })),
    ]);
    expect(left.veto).toMatch(/Held on 2026-03-02 and left: a corner bites/);
    const again = kitchen({ hand: [{ model: LOVED, on: '2026-04-01', answers: good }, walkAway] });
    expect(scoreAt(LOVED, 'onion-dice', again)).toBe(scoreAt(LOVED, 'onion-dice', kitchen({})));
  });

  test('conditions take from its score, knuckles found clear replace the figure', () => {
    const held = (answers: Record<string, string>, model = LOVED) =>
      scoreAt(model, 'onion-dice', kitchen({ hand: [{ model, on: '2026-03-02', answers: { ...good, ...answers } }] }));
    const plain = scoreAt(LOVED, 'onion-dice', kitchen({}));
    expect(held({ wet: 'slides' })).toBeCloseTo(plain * 0.94, 6);
    const low = 'oskavel-sujihiki-240';
    expect(held({ knuckles: 'clear' }, low)).toBeGreaterThan(scoreAt(low, 'onion-dice', kitchen({})));
    expect(held({ knuckles: 'just' }, low)).toBeLessThan(held({ knuckles: 'clear' }, low));
  });

  test('the plan leaves what was left and says so, and tells of what it buys', () => {
    const asks: Partial<KitchenFile> = { budget: { total: 150 }, cooking: { cuisines: [{ id: 'italian' }] } };
    const planOf = (trials: KitchenFile['trials']) =>
      planProven(preparePlanning(kitchen(trials, asks), reference, shippedModels)).plan;
    const bought = planOf({}).steps.find(({ action }) => action === 'buy')?.model ?? '';
    expect(planOf({}).tried).toBeUndefined();
    const without = planOf({ hand: [{ ...walkAway, model: bought }] });
    expect(without.steps.map(({ model }) => model)).not.toContain(bought);
    expect(without.tried?.[0]).toMatch(/held on 2026-03-02: left, because a corner bites.*not planned/);
    const kept = planOf({ hand: [{ model: bought, on: '2026-03-02', answers: good }] });
    expect(kept.tried?.[0]).toMatch(/held on 2026-03-02: a good sign/);
  });
});

test('wishes rank by what was wished first, and every feature orders blades', () => {
  const blades = shippedModels.slice(0, 40).map(({ id }) => traitsOf(id));
  const first = byWishes(['light', 'tall'], blades);
  const second = byWishes(['tall', 'light'], blades);
  const weight = (found: typeof first) => found.slice(0, 5).reduce((sum, { blade }) => sum + blade.blade.weightG, 0);
  expect(weight(first)).toBeLessThan(weight(second));
  const lightest = byWishes(['light'], blades)[0];
  expect(lightest?.blade.blade.weightG).toBe(Math.min(...blades.map(({ blade }) => blade.weightG)));
  expect(lightest?.share).toBeGreaterThan(0.9);
});
