// npm run bench: how fast the core is on this machine, on one core.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import { samples } from '../data/samples';
import { taskLoads } from '../src/core/load/load';
import { foodsToTry } from '../src/core/kit/trying/foods';
import { cookContexts } from '../src/core/fit/cook';
import { prepareTask, score } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import { readKitchenText, type KitchenFile } from '../src/core/formats/kitchenFile';
import { QUICK } from '../src/core/kit/search/choose';
import { affordable } from '../src/core/kit/search/problem';
import { offersFor } from '../src/core/kit/offers/offers';
import { planFrom, stepsOf } from '../src/core/kit/plan/plan';
import { bestOfEverySize, proveBest } from '../src/core/kit/offers/prove';
import { ofSize, toTheEnd } from '../src/core/kit/search/sizes';
import { Robustness } from '../src/core/kit/robustness/robustness';
import { preparePlanning } from '../src/core/kit/context/planningContext';
import { firstPlan } from '../src/core/kit/plan/planKitchen';
import { keennessOn, keptKnives } from '../src/core/kit/edges/edgeKnives';
import { edgeReport } from '../src/core/kit/edges/edgeReport';
import { arrange } from '../src/core/keeping/arrange';
import { thingOf } from '../src/core/keeping/things';
import { daysLater } from '../src/core/calendar/day';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import { asProgram, bestByProgram } from '../src/core/testing/mip';

const RUNS = 40;
const WARMING = 40;
const MODELS = 160;
const TASKS = 85;
/** Perturbed plans timed, and kitchens given to the general solver too. */
const PERTURBED = 200;
const COMPARED = 12;
/** How full trays are, as a share of their floor. */
const FILLED = [0.6, 0.75, 0.85, 0.95, 1.1];
/** An imported catalogue and all the work there is. */
const LARGE = { models: 2000, tasks: 120 };

/** Median of several runs, ms, after some that warm up; what is laid out before each run is not measured. */
function medianAfter<T>(layOut: () => T, work: (laid: T) => void): number {
  const times = Array.from({ length: WARMING + RUNS }, () => {
    const laid = layOut();
    const began = performance.now();
    work(laid);
    return performance.now() - began;
  });
  return middle(times.slice(WARMING));
}

const median = (work: () => void): number => medianAfter(() => null, work);

const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const cooksOf = (said: Partial<KitchenFile>) => {
  const { kitchen } = completeKitchen({ format: 'scabbard.kitchen', version: 1, ...said }, reference, shippedModels);
  return cookContexts(kitchen, taskLoads(kitchen, reference));
};
const cooks = cooksOf({});
const others = cooksOf({
  cooks: [
    {
      handLengthMm: 165,
      palmBreadthMm: 74,
      experience: 'keen',
      strength: 'light',
      grip: 'handle',
      motions: { rock: 0, push: 0, pull: 0.2, chop: 0.8 },
    },
  ],
  habits: { dishwasher: true, roughUse: true, upkeep: 'leaves-wet' },
  board: { material: 'plastic', lengthMm: 300 },
  cooking: { mealsPerWeek: 21, portions: 8 },
});
const tasks = [...reference.tasks.values()].slice(0, TASKS).map((task) => prepareTask(task));
const models = shippedModels.slice(0, MODELS);

const first = performance.now();
for (const model of models) bladeTraits(model, reference);
console.log(`traits of ${MODELS} models: ${(performance.now() - first).toFixed(1)} ms, once a session`);

let sink = 0;
// blades that have met the tasks, and a cook unlike this one in all that is read of cooks: what has been scored for a cook is not scored again
const matrix = medianAfter(
  () => {
    const blades = models.map((model) => bladeTraits({ ...model }, reference));
    for (const blade of blades) for (const task of tasks) sink += score(blade, task, others);
    return blades;
  },
  (blades) => {
    for (const blade of blades) for (const task of tasks) sink += score(blade, task, cooks);
  },
);
const cells = MODELS * TASKS;
console.log(
  `match matrix, ${MODELS} models × ${TASKS} tasks: ${matrix.toFixed(1)} ms, ${Math.round(cells / (matrix / 1000)).toLocaleString('en')} cells a second`,
);
if (!Number.isFinite(sink)) throw new Error('a score was not a number');

// the next food of a trial: three knives, every food of a full kitchen
const tried = preparePlanning(
  {
    format: 'scabbard.kitchen',
    version: 1,
    cooking: { cuisines: [...reference.cuisines.keys()].map((id) => ({ id })) },
  },
  reference,
  shippedModels,
);
const [tester] = tried.cooks;
if (tester) {
  const knives = ['oskavel-gyuto-210', 'ploverdale-chef-200', 'oskavel-petty-120'].flatMap((id) => {
    const found = shippedModels.find((model) => model.id === id);
    return found ? [bladeTraits(found, reference)] : [];
  });
  const food = median(() => foodsToTry(tried, tester, knives, new Map([['onion-dice', 2]]), 10));
  console.log(`ten foods to try, of ${tried.loads.length}: ${food.toFixed(1)} ms`);
}

// the first answer, on a kitchen of the demonstration data and on the usual one
const folder = join(dirname(process.argv[1] ?? ''), '..', 'data', 'kitchens');
const drawer = [
  { type: 'chef', condition: 'dull' as const },
  { type: 'bread', condition: 'keen' as const },
];
const kitchens = [
  ...samples.map(({ id }) => readKitchenText(readFileSync(join(folder, `${id}.json`), 'utf8'))),
  readKitchenText('{"format":"scabbard.kitchen","version":1}'),
].flatMap((kitchen) => [
  { ...kitchen, limits: { ...kitchen.limits, maxKnives: 8 } },
  { ...kitchen, owned: drawer, budget: { total: 180 }, limits: { maxKnives: 8 } },
  { ...kitchen, cooksAtOnce: 2, budget: { total: null }, limits: { maxKnives: 8 } },
]);
const benches = kitchens.map((kitchen) => preparePlanning(kitchen, reference, shippedModels));
const [mill] = benches;
if (!mill) throw new Error('no kitchen to measure');
let paid = 0;
const answers = median(() => {
  const budget = { total: 150 + (paid++ % 50) };
  firstPlan(
    preparePlanning(
      { ...kitchens[0], format: 'scabbard.kitchen', version: 1, budget },
      reference,
      shippedModels,
      undefined,
      mill,
    ),
  );
});
console.log(`first answer after a change of money: ${answers.toFixed(1)} ms`);
let answered = 0;
const answersTo = (change: () => Partial<KitchenFile>) =>
  median(() => {
    answered++;
    firstPlan(preparePlanning({ format: 'scabbard.kitchen', version: 1, ...change() }, reference, shippedModels));
  });
const recooked = answersTo(() => ({ cooking: { mealsPerWeek: 7 + (answered % 7), portions: 2 } }));
console.log(`first answer after a change of cooking: ${recooked.toFixed(1)} ms`);
// a hand not met lately: nothing that rests on its size has been scored for it
const rehanded = answersTo(() => ({ cooks: [{ handLengthMm: 160 + (answered % 40) }] }));
console.log(`first answer after a change of cook: ${rehanded.toFixed(1)} ms`);

// the planner, on real kitchens: every size 1–8 proven, beside a general solver on the same instances
const timed = <T>(work: () => T): [T, number] => {
  const began = performance.now();
  const result = work();
  return [result, performance.now() - began];
};
for (const bench of benches) toTheEnd(bestOfEverySize(bench));

const exact = benches.map((bench) => timed(() => toTheEnd(bestOfEverySize(bench))));
const proven = exact.filter(([sizes]) => sizes.every((s) => s.proven)).length;
console.log(
  `best of every size 1–8, ${benches.length} kitchens: median ${middle(exact.map(([, ms]) => ms)).toFixed(0)} ms, longest ${Math.max(...exact.map(([, ms]) => ms)).toFixed(0)} ms, ${proven} proven throughout`,
);

const ratios = benches.slice(0, COMPARED).map((bench, k) => {
  const [sizes = [], ours = 0] = exact[k] ?? [];
  const [worst, theirs] = timed(() =>
    Math.max(
      ...sizes.map(({ size, value }) =>
        Math.abs(
          (bestByProgram(asProgram(affordable(ofSize(bench.problem, size)).problem, offersFor(bench))) ?? NaN) - value,
        ),
      ),
    ),
  );
  console.log(
    `  general solver on kitchen ${k + 1}: ${theirs.toFixed(0)} ms against ${ours.toFixed(0)} ms, ${(theirs / ours).toFixed(0)} times as long; values differ by ${worst.toExponential(0)} at most`,
  );
  return theirs / ours;
});
console.log(`ratio to the general solver: median ${middle(ratios).toFixed(0)}`);

const plan = planFrom(mill);
const [, doubted] = timed(() => {
  const doubt = new Robustness(mill, stepsOf(mill, plan));
  for (let run = 0; run < PERTURBED; run++) doubt.run();
});
console.log(`${PERTURBED} perturbed plans: ${(doubted / 1000).toFixed(2)} s`);

// a large imported catalogue and a kitchen that does everything: models and tasks many times over, each a little different
const repeated = <T>(list: readonly T[], many: number, other: (each: T, copy: number) => T): T[] =>
  Array.from({ length: many }, (_, i) => [list[i % list.length], Math.floor(i / list.length)] as const).flatMap(
    ([each, copy]) => (each === undefined ? [] : [other(each, copy)]),
  );
const many = repeated(shippedModels, LARGE.models, (model, copy) => ({
  ...model,
  id: `${model.id}-${copy}`,
  lengthMm: model.lengthMm + 3 * copy,
  priceMinor: model.priceMinor + 137 * copy,
}));
const cut = [...reference.tasks.values()].filter(({ instead, motions }) => !instead && motions.length > 0);
const manyTasks = repeated(cut, LARGE.tasks, (task, copy) => ({
  ...task,
  id: `${task.id}-${copy}`,
  widthMm: task.widthMm + 4 * copy,
  heightMm: task.heightMm + 2 * copy,
}));
const wide = {
  ...reference,
  tasks: new Map([...reference.tasks, ...manyTasks.map((task) => [task.id, task] as const)]),
};
const everything: KitchenFile = {
  format: 'scabbard.kitchen',
  version: 1,
  budget: { total: 600 },
  limits: { maxKnives: 8 },
  cooking: { tasks: manyTasks.map(({ id }, i) => ({ id, times: 1 + (i % 5), per: 'week', amount: 1 })) },
};
const [large, laid] = timed(() => preparePlanning(everything, wide, many));
const [, quick] = timed(() => planFrom(large, { effort: QUICK }));
const [{ proof }, took] = timed(() => toTheEnd(proveBest(large)));
console.log(
  `${many.length} models × ${large.loads.length} tasks, ${large.problem.candidates.length} candidates: scored in ${laid.toFixed(0)} ms, answered ${quick.toFixed(0)} ms later, ${proof.proven ? 'proven' : `gap ${(100 * proof.gap).toFixed(2)} points`} after ${took.toFixed(0)} ms`,
);

// what comes after the choice: sixty knives with a diary of five thousand entries, places packed
const kept: KitchenFile = {
  format: 'scabbard.kitchen',
  version: 1,
  budget: { total: 0 },
  owned: shippedModels.slice(0, 60).map(({ id }) => ({ model: id, condition: 'keen', sharpenedOn: '2026-01-01' })),
  diary: Array.from({ length: 5000 }, (_, i) => ({
    on: daysLater('2024-01-01', i % 900),
    knife: i % 60,
    ...(i % 7 === 0
      ? { did: 'tested' as const, test: 'thread' as const, grams: 200 + (i % 300) }
      : i % 3 === 0
        ? { did: 'honed' as const }
        : { did: 'used' as const }),
  })),
};
const [[full, fullPlan], prepared] = timed(() => {
  const context = preparePlanning(kept, reference, shippedModels);
  return [context, planFrom(context, { effort: QUICK })] as const;
});
const [knives, gathered] = timed(() => keptKnives(full, fullPlan));
const keen = median(() => knives.forEach((knife) => keennessOn(knife, '2026-11-01')));
const [report, reported] = timed(() => edgeReport(full, fullPlan, '2026-11-01', 12));
const [{ events }, decade] = timed(() => edgeReport(full, fullPlan, '2026-11-01', 120));
console.log(
  `60 knives, 5,000 entries: laid out and answered in ${prepared.toFixed(0)} ms, knives with their diaries ${gathered.toFixed(0)} ms, keenness of all ${keen.toFixed(2)} ms, a year's report (${report.events.length} events) ${reported.toFixed(0)} ms, ten years (${events.length} events) ${decade.toFixed(0)} ms`,
);
const trays = Array.from({ length: 24 }, (_, s) => {
  const things = Array.from(
    { length: 12 },
    (_, i) => shippedModels[(13 * s + 37 * i + s * s) % shippedModels.length],
  ).flatMap((blade, i) => (blade ? [thingOf(`owned-${i}`, blade.name, blade)] : []));
  const area = things.reduce((sum, { longMm, highMm }) => sum + longMm * highMm, 0);
  const lengthMm = 420 + 70 * (s % 4);
  const widthMm = Math.round(area / (FILLED[s % FILLED.length] ?? 1) / lengthMm);
  return timed(() => arrange(things, [{ kind: 'tray', lengthMm, widthMm, heightMm: 60, slats: null }]));
});
console.log(
  `twelve knives into a tray: ${trays.filter(([{ proven: sure }]) => sure).length} of ${trays.length} proven, median ${middle(trays.map(([, took]) => took)).toFixed(0)} ms, longest ${Math.max(...trays.map(([, took]) => took)).toFixed(0)} ms`,
);

globalThis.gc?.();
const before = process.memoryUsage().heapUsed;
for (let i = 0; i < 1000; i++) planFrom(mill, { effort: QUICK });
globalThis.gc?.();
console.log(`heap after 1000 plans: ${((process.memoryUsage().heapUsed - before) / 1e6).toFixed(1)} MB more`);

// the command as people call it, npm and Node's own start included
const commands = Array.from({ length: 3 }, () => {
  const [, ms] = timed(() => spawnSync('npm', ['run', '-s', 'plan', '--', join(folder, 'millrace-flat.json')]));
  return ms;
});
console.log(`npm run plan on a sample: ${Math.min(...commands).toFixed(0)} ms`);
