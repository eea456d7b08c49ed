import { expect, test } from 'vitest';
import { kitchenFileSchema, type KitchenFile } from '../../core/formats/kitchenFile';
import { completeKitchen } from '../../core/kitchen/kitchen';
import { reference } from '../../../data/reference';
import { QUESTIONS, type QuestionId } from './questions';

const EMPTY: KitchenFile = { format: 'scabbard.kitchen', version: 1 };
const TWO: KitchenFile = { ...EMPTY, cooks: [{ name: 'Ida' }, { name: 'Pell', handed: 'left' }] };
const ids = Object.keys(QUESTIONS) as QuestionId[];

/** Every answer to a question, with the file it leads to and what it then says. */
function* answersTo(id: QuestionId, file: KitchenFile, cook: number) {
  const asked = QUESTIONS[id];
  if (asked.kind === 'one')
    for (const { value } of asked.answers) {
      const next = asked.answered(file, cook, value);
      yield { wanted: value, next, said: asked.value(next, cook) as unknown };
    }
  else if (asked.kind === 'number')
    for (const wanted of asked.bounds) {
      const next = asked.answered(file, cook, wanted);
      yield { wanted, next, said: asked.value(next, cook) as unknown };
    }
  else if (asked.kind === 'truth')
    for (const wanted of [true, false]) {
      const next = asked.answered(file, cook, wanted);
      yield { wanted, next, said: asked.value(next, cook) as unknown };
    }
  else
    for (const { value } of asked.answers) {
      const on = asked.answered(file, value, true);
      yield { wanted: [], next: asked.answered(on, value, false), said: asked.value(asked.answered(on, value, false)) };
      yield { wanted: [value], next: on, said: asked.value(on) as unknown };
    }
}

test.each(ids)('%s: every answer is one of the format, and is read again as it was given', (id) => {
  for (const { wanted, next, said } of answersTo(id, TWO, 1)) {
    expect(kitchenFileSchema.safeParse(next).error).toBeUndefined();
    expect(said).toEqual(wanted);
    // the other cook stays as they were
    expect(next.cooks?.[0]).toEqual({ name: 'Ida' });
  }
});

test('what is shown before it is answered is what the plan takes for granted', () => {
  const { cooks, board, habits, portions } = completeKitchen(EMPTY, reference, []).kitchen;
  const shown = (id: QuestionId) => {
    const asked = QUESTIONS[id];
    return asked.kind === 'any' ? asked.value(EMPTY) : asked.value(EMPTY, 0);
  };
  expect(shown('handLengthMm')).toBe(cooks[0]?.handLengthMm);
  expect(shown('material')).toBe(board.material);
  expect(shown('sharpening')).toBe(habits.sharpening);
  expect(shown('dishwasher')).toBe(habits.dishwasher);
  expect([shown('handSize'), shown('boardSize'), shown('wantsLengthMm')]).toEqual(['middle', '400x300', null]);
  expect(shown('portions')).toBe(portions);
});

test('an answer that is none changes nothing', () => {
  expect(QUESTIONS.material.answered(TWO, 0, 'cardboard')).toBe(TWO);
  expect(QUESTIONS.boardSize.answered(TWO, 0, '1x1')).toBe(TWO);
  expect(QUESTIONS.avoids.answered(TWO, 'stones', true)).toEqual({ ...TWO, avoids: [] });
});
