import { reference } from '../data/reference';
import { shippedModels } from '../data/models';
import { bladeModelSchema, type BladeModel } from '../src/core/blade/schema';
import { taskLoads } from '../src/core/cutting/load';
import { FaultyInput, faultsOf, parseJson, unknownId } from '../src/core/formats/faults';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { cookContexts } from '../src/core/fit/cook';
import { explain, prepareTask } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import { readArguments, readInput, run } from './input';

function readBlade(path: string): BladeModel {
  const parsed = bladeModelSchema.safeParse(parseJson(readInput(path)));
  if (!parsed.success) throw new FaultyInput(faultsOf(parsed.error));
  if (!reference.types.has(parsed.data.type))
    throw new FaultyInput([
      { path: 'type', message: unknownId(parsed.data.type, reference.types.keys(), 'blade type') },
    ]);
  return parsed.data;
}

function chosen<T extends { id: string }>(rows: T[], id: string | undefined, option: string, what: string): T[] {
  if (id === undefined) return rows;
  const found = rows.filter((row) => row.id === id);
  if (found.length === 0)
    throw new FaultyInput([
      {
        path: `--${option}`,
        message: unknownId(
          id,
          rows.map((row) => row.id),
          what,
        ),
      },
    ]);
  return found;
}

const tenth = (value: number) => Math.round(value * 10) / 10;
const fine = (value: number) => Math.round(value * 10_000) / 10_000;

run(() => {
  const { file, options } = readArguments(process.argv.slice(2), ['type', 'model', 'task', 'blade']);
  const { kitchen } = completeKitchen(readKitchenText(readInput(file)), reference, shippedModels);
  const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));
  const types = chosen([...reference.types.values()], options.type, 'type', 'blade type').map((type) => type.id);
  const models = options.blade
    ? [readBlade(options.blade)]
    : chosen(shippedModels, options.model, 'model', 'catalogue model');
  const tasks = chosen([...reference.tasks.values()], options.task, 'task', 'task').map((task) => prepareTask(task));
  const cells = models
    .filter((model) => types.includes(model.type))
    .flatMap((model) => {
      const blade = bladeTraits(model, reference);
      return tasks.map((task) => {
        const { score, word, veto, parts } = explain(blade, task, cooks);
        // text at once: twenty thousand cells with their sentences would otherwise be held as objects
        return JSON.stringify({
          model: model.id,
          type: model.type,
          lengthMm: model.lengthMm,
          task: task.task.id,
          score: tenth(score),
          word,
          veto,
          parts: parts.map(({ id, value, weight, why }) => ({
            id,
            value: fine(value),
            weight: fine(weight),
            why,
          })),
        });
      });
    });
  return `[\n${cells.join(',\n')}\n]\n`;
});
