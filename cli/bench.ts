// npm run bench: how fast the core is on this machine, on one core.
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import { taskLoads } from '../src/core/cutting/load';
import { cookContexts } from '../src/core/fit/cook';
import { prepareTask, score } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import { completeKitchen } from '../src/core/kitchen/kitchen';

const RUNS = 15;
const MODELS = 160;
const TASKS = 85;

/** Median of several runs, ms, after a few that warm up. */
function median(work: () => void): number {
  for (let i = 0; i < 5; i++) work();
  const times = Array.from({ length: RUNS }, () => {
    const began = performance.now();
    work();
    return performance.now() - began;
  }).sort((a, b) => a - b);
  return times[Math.floor(RUNS / 2)] ?? NaN;
}

const { kitchen } = completeKitchen({ format: 'scabbard.kitchen', version: 1 }, reference, shippedModels);
const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));
const tasks = [...reference.tasks.values()].slice(0, TASKS).map((task) => prepareTask(task));
const models = shippedModels.slice(0, MODELS);

const first = performance.now();
const blades = models.map((model) => bladeTraits(model, reference));
console.log(`traits of ${MODELS} models: ${(performance.now() - first).toFixed(1)} ms, once a session`);

let sink = 0;
const matrix = median(() => {
  for (const blade of blades) for (const task of tasks) sink += score(blade, task, cooks);
});
const cells = MODELS * TASKS;
console.log(
  `match matrix, ${MODELS} models × ${TASKS} tasks: ${matrix.toFixed(1)} ms, ${Math.round(cells / (matrix / 1000)).toLocaleString('en')} cells a second`,
);
if (!Number.isFinite(sink)) throw new Error('a score was not a number');
