import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { coinsByCurrency } from '../../../data/coins';
import { handChecks } from '../../../data/handChecks';
import { reference } from '../../../data/reference';
import { TRIAL } from '../constants';
import { taskNamed } from '../testing/trade';
import { feelAlike } from './coins';
import { checksFor, readHandTest } from './handTest';
import { nextFoods, type Food } from './nextFood';
import { compareByPairs, scoreOfRun } from './paired';
import { latinSquare, runOrder } from './runOrder';

const holder = { handed: 'right' as const, motions: { rock: 0.7, push: 0.1, pull: 0.1, chop: 0.1 } };
/** The answer of each check that speaks for the knife. */
const allGood = Object.fromEntries(
  checksFor(handChecks, holder, undefined).map(({ id, answers }) => [id, answers[0]?.id ?? '']),
);
const read = (changes: Record<string, string>, who = holder) =>
  readHandTest(handChecks, { ...allGood, balance: 'sits', ...changes }, who);

describe('hand test', () => {
  test('one walk-away decides, conditions make an only-if, nothing against it is a good sign', () => {
    expect(read({}).verdict).toBe('good');
    const only = read({ bite: 'felt', wet: 'slides' });
    expect([only.verdict, only.conditions.length]).toEqual(['only-if', 2]);
    expect(only.shifts.felt).toBeCloseTo(0.95 * 0.94, 9);
    expect(read({ bite: 'bites', wet: 'slides' })).toMatchObject({
      verdict: 'walk-away',
      against: ['a corner bites into the first joint'],
    });
    // what hurts, squeezes, strikes, turns, or is for the other hand, is left
    for (const [check, answer] of [
      ['fill', 'squeezes'],
      ['knuckles', 'struck'],
      ['wet', 'turns'],
      ['built', 'open'],
      ['after', 'aches'],
      ['left', 'right'],
    ] as const)
      expect(read({ [check]: answer }).verdict, check).toBe('walk-away');
  });

  test('few answers are no verdict, unless one of them says to leave it', () => {
    const few = { settle: 'at-once', bite: 'nothing' };
    expect(readHandTest(handChecks, few, holder).verdict).toBe('unfinished');
    expect(readHandTest(handChecks, { ...few, fill: 'squeezes' }, holder).verdict).toBe('walk-away');
  });

  test('balance is judged by how one cuts', () => {
    const pusher = { ...holder, motions: { rock: 0, push: 0.6, pull: 0.2, chop: 0.2 } };
    expect([read({ balance: 'back' }).verdict, read({ balance: 'back' }, pusher).verdict]).toEqual(['good', 'only-if']);
    expect([read({ balance: 'forward' }).verdict, read({ balance: 'forward' }, pusher).verdict]).toEqual([
      'only-if',
      'good',
    ]);
  });

  test('left hands get their own question; small knives are not set on a board; it takes few taps', () => {
    const ids = (handed: 'left' | 'right', role?: string) =>
      checksFor(handChecks, { handed }, role).map(({ id }) => id);
    expect(ids('left')).toContain('left');
    expect(ids('right')).not.toContain('left');
    expect(ids('right', 'small')).not.toContain('knuckles');
    expect(ids('right', 'general')).toContain('knuckles');
    // one tap to choose the knife, one an answer, one to end
    expect(ids('left').length + 2).toBeLessThanOrEqual(25);
  });
});

describe('coins', () => {
  const euro = coinsByCurrency.get('EUR') ?? [];
  const known = { weightG: 150, balanceMm: 5, lengthMm: 180, handleLengthMm: 115 };
  test('weight goes where both moments agree', () => {
    const feel = feelAlike(known, { weightG: 180, balanceMm: 10, lengthMm: 210, handleLengthMm: 120 }, euro);
    expect(feel).toMatchObject({ can: true, addG: 30, atMm: 35 });
    if (!feel.can) return;
    expect(Math.abs(feel.offG)).toBeLessThan(1.5);
    expect(feel.coins.reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(2 * TRIAL.coin.rows.value);
  });

  test('it says when it cannot be done, and why', () => {
    const why = (other: Partial<typeof known>) => {
      const feel = feelAlike(known, { ...known, ...other }, euro);
      return feel.can ? '' : feel.why;
    };
    expect(why({ weightG: 120 })).toMatch(/30 g lighter/);
    expect(why({ weightG: 155, balanceMm: 40 })).toMatch(/beyond the tip/);
    expect(why({ weightG: 160, balanceMm: -40 })).toMatch(/beyond the handle/);
    expect(why({})).toMatch(/feel alike already/);
    expect(why({ balanceMm: 25 })).toMatch(/cannot move weight/);
  });

  test('whatever the two: coins on the known knife give the other’s weight and moment', () => {
    const figures = fc.record({
      weightG: fc.integer({ min: 40, max: 500 }),
      balanceMm: fc.integer({ min: -60, max: 80 }),
      lengthMm: fc.integer({ min: 70, max: 330 }),
      handleLengthMm: fc.integer({ min: 80, max: 160 }),
    });
    fc.assert(
      fc.property(figures, figures, (a, b) => {
        const feel = feelAlike(a, b, euro);
        if (!feel.can) return;
        expect(a.weightG * a.balanceMm + feel.addG * feel.atMm).toBeCloseTo(b.weightG * b.balanceMm, 6);
        expect(feel.atMm).toBeLessThanOrEqual(a.lengthMm);
        expect(feel.atMm).toBeGreaterThanOrEqual(-a.handleLengthMm);
      }),
    );
  });
});

describe('order of runs', () => {
  test('in a Latin square every knife stands once in each row and column', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), fc.array(fc.nat(), { minLength: 20, maxLength: 20 }), (n, draws) => {
        let next = 0;
        const square = latinSquare(n, (below) => (draws[next++ % draws.length] ?? 0) % below);
        for (let i = 0; i < n; i++) {
          expect(new Set(square[i]).size).toBe(n);
          expect(new Set(square.map((row) => row[i])).size).toBe(n);
        }
      }),
    );
  });

  test('each task meets each knife once, no knife always goes first, and the same seed gives the same order', () => {
    const tasks = ['a', 'b', 'c', 'd', 'e', 'f'];
    const turns = runOrder(tasks, 3, 11);
    expect(new Set(turns.map(({ task, knife }) => `${task}${knife}`)).size).toBe(18);
    const first = turns.filter((_, i) => i % 3 === 0).map(({ knife }) => knife);
    for (const knife of [0, 1, 2]) expect(first.filter((each) => each === knife)).toHaveLength(2);
    expect(runOrder(tasks, 3, 11)).toEqual(turns);
    expect(runOrder(tasks, 3, 12)).not.toEqual(turns);
  });
});

describe('the next food', () => {
  const foods = (...ids: [string, number, number][]): Food[] =>
    ids.map(([id, weight, spread]) => ({ task: taskNamed(id), weight, spread }));
  const first = (all: Food[], tried = new Map<string, number>()) => nextFoods(all, tried, 1)[0]?.task.id;

  test('is the one that weighs most in the week, or on which least is known of the difference', () => {
    expect(first(foods(['onion-dice', 5, 8], ['crusty-loaf', 1, 8]))).toBe('onion-dice');
    expect(first(foods(['onion-dice', 1, 2], ['crusty-loaf', 1, 10]))).toBe('crusty-loaf');
  });

  test('after one food another kind of work tells more than its like', () => {
    const all = foods(['carrot-slice', 3, 14], ['beetroot-slice', 3, 14], ['crusty-loaf', 4, 14]);
    const [one, two] = nextFoods(all, new Map(), 3).map(({ task }) => task.id);
    expect(one).not.toBe('crusty-loaf');
    expect(two).toBe('crusty-loaf');
    expect(first(all, new Map([['carrot-slice', 1]]))).toBe('crusty-loaf');
  });

  test('information falls with every trial, and no food comes twice', () => {
    const all = [...reference.tasks.values()].slice(0, 30).map((task) => ({ task, weight: 1, spread: 8 }));
    const chosen = nextFoods(all, new Map(), 10);
    expect(new Set(chosen.map(({ task }) => task.id)).size).toBe(10);
    const id = chosen[0]?.task.id ?? '';
    const again = nextFoods(all, new Map([[id, 3]]), 30).find(({ task }) => task.id === id);
    expect(again?.nats ?? 1).toBeLessThan(chosen[0]?.nats ?? 0);
  });
});

describe('paired comparison', () => {
  test('marks become scores; an unsafe moment is never a good one', () => {
    const five = { effort: 5, control: 5, result: 5 };
    expect(scoreOfRun(five)).toBe(TRIAL.rating.best.value);
    expect(scoreOfRun({ effort: 4, control: 4, result: 4 })).toBe(TRIAL.rating.best.value - TRIAL.rating.perStep.value);
    expect(scoreOfRun({ ...five, unsafe: true })).toBe(TRIAL.rating.unsafe.value);
  });

  test('the interval is that of the signed ranks, counted exactly', () => {
    // of 32 assignments of signs one gives a sum of nought: 1/32 lies under the tail of 5 %
    expect(compareByPairs([10, 8, 12, 6, 9])).toMatchObject({ difference: 9, interval: [6, 12], more: 0 });
    // of 16 one is more than the tail: four pairs allow none
    expect(compareByPairs([10, 8, 12, 6])?.interval).toBeNull();
    expect(compareByPairs([])).toBeNull();
  });

  test('it holds the true difference nine times in ten', () => {
    let held = 0;
    let seed = 7;
    const uniform = () => (seed = (Math.imul(seed, 48271) >>> 0) % 2147483647) / 2147483647;
    for (let i = 0; i < 400; i++) {
      const { interval } = compareByPairs(Array.from({ length: 8 }, () => 5 + 30 * (uniform() + uniform() - 1))) ?? {};
      if (interval && interval[0] <= 5 && interval[1] >= 5) held++;
    }
    expect(held / 400).toBeGreaterThan(0.87);
    expect(held / 400).toBeLessThan(0.99);
  });

  test('a small difference wants more trials than a large one; none at all cannot be settled', () => {
    const more = (by: number) => compareByPairs([by + 12, by - 12, by + 6, by - 6])?.more;
    expect(more(8)).toBeGreaterThan(0);
    expect(more(5) ?? 0).toBeGreaterThan(more(8) ?? 99);
    expect(more(0)).toBeNull();
  });
});
