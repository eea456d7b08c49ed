import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';
import { languages, lexicon } from '../../../data/foods';
import { reference } from '../../../data/reference';
import { readRecipe } from './recipe';
import { tokens } from './text';

const knowledge = { lexicon, languages, tasks: reference.tasks };

/** Recipes as text, with what each line of ingredients should come to behind its arrow. */
const recipes = readFileSync(fileURLToPath(new URL('../../../data/recipeTexts.txt', import.meta.url)), 'utf8')
  .split(/^# /m)
  .slice(1)
  .map((block) => {
    const [name = '', ...rows] = block.trim().split('\n');
    const wanted = rows
      .filter((row) => row.includes(' => '))
      .map((row) => {
        const [line = '', answer = ''] = row.split(' => ');
        const [quantity = '', food = '', tasks = ''] = answer.split(' | ');
        return { line, quantity, food, tasks: tasks === '-' ? [] : tasks.split(' ').sort() };
      });
    return { name, wanted, text: rows.map((row) => row.split(' => ')[0]).join('\n') };
  });

test('forty whole recipes: quantity and food in 98 of 100 lines, the cut right or none in 95, wrong in 3 at most', () => {
  expect(recipes.length).toBeGreaterThanOrEqual(40);
  const judged = recipes.flatMap(({ wanted, text }) => {
    const recipe = readRecipe(text, knowledge);
    return wanted.map((row) => {
      const got = recipe.lines.find(({ line }) => line === row.line);
      const quantity =
        row.quantity === '-' ? got?.quantity === null : Math.abs((got?.quantity ?? NaN) - Number(row.quantity)) < 0.01;
      const named = quantity && tokens(got?.food ?? '').join(' ') === tokens(row.food).join(' ');
      const tasks = (got?.tasks ?? []).map(({ id }) => id).sort();
      const right = tasks.join(' ') === row.tasks.join(' ');
      return { row, got, named, right, wrong: !right && tasks.length > 0 };
    });
  });
  const share = (count: (one: (typeof judged)[number]) => boolean) => judged.filter(count).length / judged.length;
  const off = judged.filter(({ named, right }) => !named || !right);
  console.log(
    `${judged.length} lines of ${recipes.length} recipes: quantity and food ${(100 * share((j) => j.named)).toFixed(1)} %, ` +
      `cut right ${(100 * share((j) => j.right)).toFixed(1)} %, wrong ${(100 * share((j) => j.wrong)).toFixed(1)} %; ` +
      off
        .map(
          ({ row, got }) =>
            `${row.line} → ${got?.quantity ?? '-'} ${got?.food ?? '?'} [${(got?.tasks ?? []).map(({ id }) => id).join(' ')}]`,
        )
        .join('; '),
  );
  expect(share((j) => j.named)).toBeGreaterThanOrEqual(0.98);
  expect(share((j) => !j.wrong)).toBeGreaterThanOrEqual(0.97);
  expect(share((j) => j.right)).toBeGreaterThanOrEqual(0.95);
});
