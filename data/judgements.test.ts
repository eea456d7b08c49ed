import { expect, test } from 'vitest';
import { z } from '../src/core/zod';
import { taskLoads } from '../src/core/load/load';
import { cookContexts } from '../src/core/fit/cook';
import { explain } from '../src/core/fit/explain';
import { prepareTask } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import judgements from './judgements.json';
import { shippedModels } from './models';
import { reference } from './reference';

const WORDS = ['do not', 'wrong tool', 'a struggle', 'manages', 'does it well', 'made for it'] as const;
const rows = z
  .array(z.strictObject({ task: z.string(), type: z.string(), word: z.enum(WORDS), why: z.string().min(3) }))
  .parse(judgements);

const { kitchen } = completeKitchen(
  {
    format: 'scabbard.kitchen',
    version: 1,
    cooks: [{ experience: 'trained' }],
    habits: { upkeep: 'wipes-during' },
  },
  reference,
  shippedModels,
);
const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));

/** What the middling model of a type is said to do, for a trained right-handed cook. */
function verdict(taskId: string, typeId: string) {
  const task = reference.tasks.get(taskId);
  if (!task) throw new Error(`no task ${taskId}`);
  const of = shippedModels.filter((m) => m.type === typeId && m.handed !== 'left' && m.steel !== 'ceramic');
  const all = of.map((m) => explain(bladeTraits(m, reference), prepareTask(task), cooks));
  const middle = all.sort((a, b) => a.score - b.score)[Math.floor(all.length / 2)];
  if (!middle) throw new Error(`no models of ${typeId}`);
  return middle;
}

test('experienced verdicts: nine in ten within one word, and no veto missed', () => {
  expect(rows.length).toBeGreaterThanOrEqual(120);
  expect(new Set(rows.map((r) => `${r.task} ${r.type}`)).size).toBe(rows.length);
  const place = (word: string) => WORDS.findIndex((w) => w === word);
  const judged = rows.map((row) => ({ ...row, got: verdict(row.task, row.type) }));
  const exact = judged.filter(({ word, got }) => got.word === word).length;
  const far = judged.filter(({ word, got }) => Math.abs(place(got.word) - place(word)) > 1);
  const missed = judged.filter(({ word, got }) => (word === 'do not') !== (got.veto !== null));
  console.log(
    `${rows.length} verdicts: ${exact} the same word, ${rows.length - far.length} within one (${((100 * (rows.length - far.length)) / rows.length).toFixed(1)} %); ` +
      far.map((r) => `${r.task} with ${r.type}: ${r.word}, scored ${r.got.word}`).join('; '),
  );
  expect(missed.map((r) => `${r.task} ${r.type}`)).toEqual([]);
  expect(far.length / rows.length).toBeLessThanOrEqual(0.1);
});
