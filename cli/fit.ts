import { reference } from '../data/reference';
import { shippedModels } from '../data/models';
import { bladeModelSchema, type BladeModel } from '../src/core/blade/schema';
import { taskDone, taskLoads } from '../src/core/load/load';
import { FaultyInput, faultsOf, unknownId } from '../src/core/formats/faults';
import { parseJson } from '../src/core/formats/json';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import type { EdgeLife } from '../src/core/edge/keenness';
import { withTrials } from '../src/core/kit/context/planningContext';
import { cookContexts, type CookContext } from '../src/core/fit/cook';
import { explain } from '../src/core/fit/explain';
import { prepareTask, type PreparedTask } from '../src/core/fit/score';
import { bladeTraits, type BladeTraits } from '../src/core/fit/traits';
import { edgeHere, scoringOf, type Scoring } from '../src/core/kit/candidates/scoring';
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

/** A sentence as JSON text: most need no escaping, and asking is cheaper than JSON.stringify. */
const quoted = (text: string) => (/["\\\p{Cc}]/u.test(text) ? JSON.stringify(text) : `"${text}"`);

/** One cell as JSON, written by hand: twenty thousand cells of twelve sentences are mostly writing. */
function cellText(
  head: string,
  blade: BladeTraits,
  edge: EdgeLife,
  task: PreparedTask,
  cooks: readonly CookContext[],
): string {
  const { score, word, veto, parts } = explain(blade, task, cooks, edge);
  const reasons = parts
    .map(
      ({ id, value, weight, why }) =>
        `{"id":"${id}","value":${fine(value)},"weight":${fine(weight)},"why":${quoted(why)}}`,
    )
    .join(',');
  const refused = veto === null ? 'null' : quoted(veto);
  return `${head},"task":"${task.task.id}","score":${tenth(score)},"word":"${word}","veto":${refused},"parts":[${reasons}]}`;
}

/** The array of cells, a piece for each model: so much text is best let go as it is made. */
function* cells(
  models: readonly BladeModel[],
  tasks: readonly PreparedTask[],
  cooks: readonly CookContext[],
  scoring: Scoring,
  roughUse: boolean,
) {
  let before = '[\n';
  for (const model of models) {
    const blade = bladeTraits(model, reference, roughUse);
    const edge = edgeHere(blade, scoring);
    const head = `{"model":${quoted(model.id)},"type":"${model.type}","lengthMm":${model.lengthMm}`;
    yield before + tasks.map((task) => cellText(head, blade, edge, task, cooks)).join(',\n');
    before = ',\n';
  }
  yield models.length > 0 ? '\n]\n' : '[]\n';
}

await run(() => {
  const { file, options } = readArguments(process.argv.slice(2), ['type', 'model', 'task', 'blade']);
  const { kitchen } = completeKitchen(readKitchenText(readInput(file)), reference, shippedModels);
  const loads = taskLoads(kitchen, reference);
  const cooks = withTrials(kitchen, cookContexts(kitchen, loads), reference, shippedModels);
  const types = chosen([...reference.types.values()], options.type, 'type', 'blade type').map((type) => type.id);
  const models = options.blade
    ? [readBlade(options.blade)]
    : chosen(shippedModels, options.model, 'model', 'catalogue model');
  const tasks = chosen([...reference.tasks.values()], options.task, 'task', 'task').map((task) =>
    prepareTask(taskDone(task, kitchen)),
  );
  return cells(
    models.filter((model) => types.includes(model.type)),
    tasks,
    cooks,
    scoringOf(kitchen, loads, cooks),
    kitchen.habits.roughUse,
  );
});
