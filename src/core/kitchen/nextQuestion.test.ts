import { expect, test } from 'vitest';
import { readKitchenFile, type KitchenFile } from '../formats/kitchenFile';
import { nextQuestion } from './nextQuestion';

test('questions come in the order in which answers move a plan, each once, an empty answer counting as one', () => {
  const answers: Partial<KitchenFile>[] = [
    { budget: { total: null } },
    { cooking: { cuisines: [{ id: 'italian' }] } },
    { cooks: [{ handLengthMm: 180 }] },
    { owned: [] },
    { habits: { sharpening: 'none' } },
    { board: { material: 'wood' } },
    { cooks: [{ handLengthMm: 180, motions: { rock: 1 } }] },
  ];
  let file: KitchenFile = { format: 'scabbard.kitchen', version: 1 };
  const asked = answers.map((answer) => {
    const question = nextQuestion(file);
    file = readKitchenFile({ ...file, ...answer });
    return question;
  });
  expect(asked).toEqual(['budget', 'cooking', 'hand', 'drawer', 'sharpening', 'board', 'motions']);
  expect(nextQuestion(file)).toBeNull();
  expect(nextQuestion({ format: 'scabbard.kitchen', version: 1, budget: { perMonth: 20 } })).toBe('cooking');
});
