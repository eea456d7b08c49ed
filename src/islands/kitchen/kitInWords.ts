import type { Plan, PlanStep } from '../../core/formats/planFile';
import { piecesOf } from '../../core/formats/planSteps';
import { listed, upperFirst, withArticle } from '../../core/text/case';
import { money, percent, typeName } from '../shared/words';

/** More knives than this are counted instead of named. */
const MOST_NAMED = 3;
const NUMBERS = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const inNumber = (count: number) => NUMBERS[count] ?? String(count);

const nameOf = ({ type, name }: PlanStep) => (type === null ? name : typeName(type)).toLowerCase();
const the = (step: PlanStep) => `the ${nameOf(step)}`;
const some = (step: PlanStep) =>
  piecesOf(step) === 1 ? withArticle(nameOf(step)) : `${piecesOf(step)} × ${nameOf(step)}`;

/** Each action over the steps that stand together in the order: named while they are few, counted when they are many. */
const SAID: Record<PlanStep['action'], (steps: readonly PlanStep[], pieces: number) => string> = {
  buy: (steps, pieces) =>
    pieces <= MOST_NAMED
      ? `buy ${listed(steps.map(some))}`
      : `buy ${inNumber(pieces)} knives, ${steps[0] ? the(steps[0]) : ''} first`,
  sharpen: (steps, pieces) => `sharpen ${owned(steps, pieces)}`,
  repair: (steps, pieces) => `repair ${owned(steps, pieces)}`,
  service: () => 'arrange for sharpening',
  tool: (steps) => `get ${listed(steps.map(some))}`,
  retire: (steps, pieces) => `give away ${owned(steps, pieces)}`,
};
const owned = (steps: readonly PlanStep[], pieces: number) =>
  pieces <= MOST_NAMED ? listed(steps.map(the)) : `${inNumber(pieces)} knives`;

/** Steps that stand together and do the same. */
function runsOf(steps: readonly PlanStep[]): [PlanStep, ...PlanStep[]][] {
  const runs: [PlanStep, ...PlanStep[]][] = [];
  for (const step of steps) {
    const last = runs.at(-1);
    if (last?.[0].action === step.action) last.push(step);
    else runs.push([step]);
  }
  return runs;
}

/** What a plan asks for, in one sentence: every action in the order of the steps, what that does, and what it costs. */
export function kitInWords({ steps, spent, currency, coverage }: Plan): string {
  if (steps.length === 0) return 'Nothing to buy: what you have does it.';
  const said = runsOf(steps).map((run) =>
    SAID[run[0].action](
      run,
      run.reduce((sum, step) => sum + piecesOf(step), 0),
    ),
  );
  const cost = spent > 0 ? ` for ${money(spent, currency)}` : '';
  return `${upperFirst(said.join(', then '))}: ${percent(coverage.all)} of your cutting done well${cost}.`;
}
