import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { taskLoads } from '../load/load';
import { completeKitchen } from '../kitchen/kitchen';
import { cookContexts } from './cook';
import { characterOf, matchMatrix, rankBlades } from './match';
import { bladeNotes } from './notes';
import { prepareTask, score } from './score';
import { bladeTraits } from './traits';

const { kitchen } = completeKitchen({ format: 'scabbard.kitchen', version: 1 }, reference, shippedModels);
const loads = taskLoads(kitchen, reference);
const cooks = cookContexts(kitchen, loads);
const load = new Map(loads.map((l) => [l.task.id, l]));
const blades = shippedModels.map((m) => bladeTraits(m, reference));
const tasks = [...reference.tasks.values()].map((task) => prepareTask(task));
const prepared = (id: string) => {
  const found = tasks.find((t) => t.task.id === id);
  if (!found) throw new Error(id);
  return found;
};
const blade = (id: string) => {
  const found = blades.find((b) => b.blade.id === id);
  if (!found) throw new Error(id);
  return found;
};

test('the matrix holds the scores of every pair, and worth weighs only what the kitchen cuts', () => {
  const some = blades.slice(0, 12);
  const weights = tasks.map(({ task }) => load.get(task.id)?.weight ?? 0);
  const matrix = matchMatrix({ tasks, cooks, weights }, some, [], (s) => s / 100);
  some.forEach((b, i) =>
    tasks.forEach((t, j) => expect(matrix.scores[i * tasks.length + j]).toBeCloseTo(score(b, t, cooks), 3)),
  );
  for (const worth of matrix.worth) expect(worth >= 0 && worth <= 1).toBe(true);
  const idle = matchMatrix({ tasks, cooks, weights: tasks.map(() => 0) }, some, [], (s) => s / 100);
  expect(idle.worth.every((w) => w === 0)).toBe(true);
});

test('a task ranks its blades from the best down and says what holds the others back', () => {
  const [best, ...rest] = rankBlades(prepared('crusty-loaf'), blades, cooks, 60);
  expect(best?.blade.serrated).toBe(true);
  expect(best?.heldBack).toBeNull();
  const scores = [best, ...rest].map((r) => r?.explanation.score ?? 0);
  expect(scores).toEqual([...scores].sort((a, b) => b - a));
  const plain = rest.find((r) => !r.blade.serrated);
  expect(plain?.heldBack?.part).toBe('Crust');
});

test('a blade says what it is made for and what it must never do, in words that fit it', () => {
  const gyuto = characterOf(blade('oskavel-gyuto-210'), tasks, cooks, load);
  expect(gyuto.madeFor.slice(0, 12).map((t) => t.task)).toContain('onion-dice');
  expect(gyuto.never.map((t) => t.task)).toEqual(
    expect.arrayContaining(['ribs-chop', 'oyster-open', 'stock-bones-chop']),
  );
  expect(gyuto.never.map((t) => t.task)).not.toContain('packet-open');
  const notes = (id: string) => bladeNotes(blade(id), kitchen).join(' ');
  expect(notes('tidewrack-yanagiba-270')).toMatch(/one side for the right hand/);
  expect(notes('umberlane-gyuto-210')).toMatch(/oil it before storage/);
  expect(notes('quillback-bread-230')).toMatch(/replaced, not sharpened/);
  expect(notes('ploverdale-fillet-180')).toMatch(/bends/);
});
