import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { emptyKitchen } from '../../core/formats/kitchenFile';
import { begun, changed, MOST_STEPS, ONE_STEP_MS, redone, undone, type History } from './history';

const named = (name: string) => emptyKitchen(name);
const grown = (names: string[]): History =>
  names.reduce((history, name, i) => changed(history, named(name), i * 2 * ONE_STEP_MS), begun(named('start')));

describe('undo and redo', () => {
  test('go back and forth step by step, and stop at the ends', () => {
    const history = grown(['a', 'b']);
    expect(undone(history).present.name).toBe('a');
    expect(undone(undone(history)).present.name).toBe('start');
    expect(undone(undone(undone(history)))).toEqual(undone(undone(history)));
    expect(redone(undone(history)).present.name).toBe('b');
    expect(redone(history)).toBe(history);
  });

  test('a new change forgets what was undone', () => {
    const history = changed(undone(grown(['a', 'b'])), named('c'), 1e9);
    expect(redone(history)).toBe(history);
    expect(undone(history).present.name).toBe('a');
  });

  test('quick changes are one step, slow ones are two, and nothing changed is no step', () => {
    const start = changed(begun(named('start')), named('a'), 0);
    expect(undone(changed(start, named('ab'), ONE_STEP_MS - 1)).present.name).toBe('start');
    expect(undone(changed(start, named('ab'), ONE_STEP_MS)).present.name).toBe('a');
    expect(changed(start, start.present, 5000)).toBe(start);
    // taps that are logged are steps of their own, before and after
    const tapped = changed(start, named('tap'), 1, true);
    expect(undone(tapped).present.name).toBe('a');
    expect(undone(changed(tapped, named('typed'), 2)).present.name).toBe('tap');
    // right after an undo even a quick change is a step of its own
    expect(undone(changed(undone(start), named('z'), 1)).present.name).toBe('start');
  });

  test('any number of changes can be taken back up to the most, in order', () => {
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 4 }), { maxLength: MOST_STEPS + 30 }), (names) => {
        let history = grown(names);
        const all = ['start', ...names].slice(-MOST_STEPS - 1);
        for (const name of all.reverse()) {
          expect(history.present.name).toBe(name);
          history = undone(history);
        }
        for (let i = 0; i < names.length; i++) history = redone(history);
        expect(history.present.name).toBe(names.at(-1) ?? 'start');
      }),
      { numRuns: 30 },
    );
  });
});
