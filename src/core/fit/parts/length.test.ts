import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { FIT } from '../../constants';
import { anyTask, oddBlade } from '../../testing/arbitrary';
import { cookOf, modeOf, partValue, partWhy, taskNamed, traitsOf } from '../../testing/trade';
import { bladeTraits } from '../traits';
import { reference } from '../../../../data/reference';
import { taskModes } from '../modes';
import { board, comfort, reach, span } from './length';

describe('reach', () => {
  test('one stroke is full marks, and the score falls with the strokes the food asks for', () => {
    expect(partValue(reach, traitsOf('ploverdale-slicer-300'), 'brisket-slice')).toBe(1);
    const loaf = (lengthMm: number) => partValue(reach, traitsOf('ploverdale-bread-230', { lengthMm }), 'crusty-loaf');
    expect(loaf(260)).toBe(1);
    // half the working edge is twice the strokes
    const [short, half] = [loaf(90 + FIT.reach.tipLoss.value), loaf(45 + FIT.reach.tipLoss.value)];
    expect(half / short).toBeCloseTo(Math.pow(2, -FIT.reach.perSawn.value), 6);
  });

  test('a soft clean slice is drawn, so it wants more edge than its width alone', () => {
    const petty = traitsOf('oskavel-petty-150');
    expect(taskNamed('raw-fish-slice').widthMm).toBeLessThan(taskNamed('sandwich-halve').widthMm);
    expect(partValue(reach, petty, 'raw-fish-slice')).toBeLessThan(partValue(reach, petty, 'sandwich-halve'));
  });

  test('the sentence counts strokes as the score does', () => {
    expect(partWhy(reach, traitsOf('ploverdale-slicer-300'), 'brisket-slice')).toBe(
      '300 mm edge, 200 mm across: one stroke.',
    );
    expect(partWhy(reach, traitsOf('ploverdale-utility-140'), 'roast-carve')).toMatch(/about [1-9]\.\d strokes/);
  });
});

test('span is full once food and a second piece lie under the edge, and proportional to a short edge', () => {
  const onion = taskNamed('onion-dice');
  const wanted = onion.widthMm + FIT.span.stack.value;
  const at = (lengthMm: number) => partValue(span, traitsOf('ploverdale-chef-200', { lengthMm }), 'onion-dice');
  expect([at(wanted), at(wanted + 150)]).toEqual([1, 1]);
  expect(at(wanted / 2)).toBeCloseTo(Math.pow(2, -FIT.span.perPass.value), 9);
  expect(partWhy(span, traitsOf('ploverdale-chef-200', { lengthMm: 70 }), 'onion-dice')).toContain('several passes');
});

describe('comfort', () => {
  const onion = 'onion-dice';
  const length = (lengthMm: number, cook = cookOf()) =>
    partValue(comfort, traitsOf('ploverdale-chef-200', { lengthMm }), onion, cook);

  test('every length inside the wanted band is as good; too long is worse than too short', () => {
    const cook = cookOf({ cooks: [{ handLengthMm: 180 }] });
    const { fromMm, toMm } = cook.length;
    expect(length(fromMm, cook)).toBe(length(toMm, cook));
    expect(length(fromMm - 25, cook)).toBeLessThan(length(fromMm, cook));
    expect(length(fromMm - 25, cook)).toBeGreaterThan(length(toMm + 25, cook));
    expect(length(toMm + 25, cook)).toBeLessThan(length(toMm, cook));
    expect(partWhy(comfort, traitsOf('ploverdale-chef-200', { lengthMm: toMm + 40 }), onion, cook)).toContain(
      '40 mm longer than the wanted',
    );
  });

  test('a taste in weight moves it, and never by more than an eighth', () => {
    const heavy = traitsOf('ploverdale-chef-200', { weightG: 420 });
    const taste = (wantsWeight: 'any' | 'light' | 'heavy' | 'neutral') =>
      partValue(comfort, heavy, onion, cookOf({ cooks: [{ wantsWeight }] }));
    expect(taste('light')).toBeLessThan(taste('any'));
    expect(taste('neutral')).toBeLessThan(taste('any'));
    expect(taste('heavy')).toBe(taste('any'));
    expect(taste('light') / taste('any')).toBeGreaterThan(0.875);
  });

  test('bone is broken with the heel: the hand’s length says nothing there', () => {
    for (const mode of taskModes(taskNamed('fish-head-off')))
      expect(comfort.level(taskNamed('fish-head-off'), mode)).toBe(0);
  });
});

describe('board', () => {
  const long = traitsOf('ploverdale-chef-260');
  const on = (lengthMm: number, material: 'wood' | 'glass' = 'wood') =>
    cookOf({ board: { lengthMm, widthMm: 250, material } });

  test('a small board is overhung by a long edge; a draw may run past its side', () => {
    expect(partValue(board, long, 'onion-dice', on(500))).toBe(1);
    expect(partValue(board, long, 'onion-dice', on(250))).toBeLessThan(0.7);
    expect(partWhy(board, long, 'onion-dice', on(250))).toContain('it overhangs');
    expect(partValue(board, long, 'roast-carve', on(290))).toBe(1);
  });

  test('glass costs every knife the same and is named', () => {
    const factor = partValue(board, long, 'onion-dice', on(500, 'glass'));
    expect(factor).toBe(FIT.board.hard.value);
    expect(partWhy(board, long, 'onion-dice', on(500, 'glass'))).toBe(
      '260 mm edge on a 500 mm board: it fits. A glass board dulls any edge at once.',
    );
  });
});

test('for any blade and task a longer edge never lowers reach or span, and a longer board never lowers the board’s part', () => {
  fc.assert(
    fc.property(oddBlade, anyTask, fc.integer({ min: 1, max: 80 }), (blade, task, more) => {
      const before = bladeTraits(blade, reference);
      const after = bladeTraits({ ...blade, lengthMm: blade.lengthMm + more }, reference);
      const cook = cookOf();
      const wide = { ...cook, board: { ...cook.board, lengthMm: cook.board.lengthMm + more } };
      for (const mode of taskModes(task)) {
        for (const part of [reach, span])
          expect(part.value(after, task, cook, mode)).toBeGreaterThanOrEqual(part.value(before, task, cook, mode));
        expect(board.value(before, task, wide, mode)).toBeGreaterThanOrEqual(board.value(before, task, cook, mode));
      }
    }),
  );
});

test('reach counts most where a face is sliced long, and not at all for chopping', () => {
  const level = (id: string, mode = modeOf(id)) => reach.level(taskNamed(id), mode);
  expect(level('roast-carve')).toBe(1);
  expect(level('meat-cube')).toBeGreaterThan(0);
  expect(level('meat-cube')).toBeLessThan(1);
  expect(level('onion-dice')).toBe(0);
});
