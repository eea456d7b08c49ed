import { isMeasured } from '../../fit/measuredScore';
import { GUIDANCE, SCORE_WORDS } from '../../constants';
import type { BladeModel } from '../../blade/schema';
import { explain } from '../../fit/explain';
import { fromMinor } from '../../money/currency';
import type { Owned } from '../../kitchen/kitchen';
import { careSteps } from '../candidates/care';
import { type OwnedKnife, whyApart } from '../candidates/owned';
import { toolScores } from '../candidates/tools';
import type { PlanningContext } from '../context/planningContext';
import { coverageOfKit } from '../search/coverage';

/** What to do with an owned knife. */
export type DrawerVerdict = 'keep' | 'sharpen' | 'repair' | 'give-away' | 'retire';

/** An owned knife as this kitchen sees it. */
export interface DrawerKnife {
  owned: number;
  name: string;
  blade: BladeModel;
  verdict: DrawerVerdict;
  /** One sentence: why this verdict. */
  why: string;
  /** Tasks that go to it today, most minutes first. */
  doesBest: { task: string; minutesPerWeek: number; score: number; measured: boolean }[];
  minutesPerWeek: number;
  /** What putting it right gives back: coverage (0–1) and its price; null when nothing needs doing. */
  givesBack: { coverage: number; price: number } | null;
  /** What is dangerous about going on with it. */
  dangers: string[];
}

export interface Drawer {
  /** Share of the cutting done well today, 0–1. */
  coverage: number;
  knives: DrawerKnife[];
}

const DANGER = {
  dull: 'A dull knife slips: it is pushed harder and goes where it likes.',
  chipped: 'Chips catch, and bits of steel can break off into food.',
  'worn-out': 'So little blade is left that it bends, or the edge is gone past sharpening.',
} as const;

/** What to do with an owned knife: `idle` where no work goes to it, `curable` where a step puts it right. */
function verdictOf({ keep, condition, use }: Owned, idle: boolean, curable: boolean): DrawerVerdict {
  if (keep !== 'use') return 'keep';
  if (condition === 'worn-out') return 'retire';
  if (idle) return use === 'never' || use === 'rarely' || condition === 'chipped' ? 'give-away' : 'keep';
  if (condition === 'chipped') return 'repair';
  return condition === 'dull' && curable ? 'sharpen' : 'keep';
}

/** Which knife each task goes to, by index; −1 where none does it at all well, or a tool does it better. */
function goesTo(scores: readonly Float64Array[], context: PlanningContext): number[] {
  const tools = context.kitchen.tools.map((id) => toolScores(id, context.loads));
  return context.loads.map(({ weight }, t) => {
    if (weight === 0) return -1;
    const tool = Math.max(SCORE_WORDS.struggles.value, ...tools.map((row) => row[t] ?? 0));
    return scores.reduce(
      (best, row, i) => ((row[t] ?? 0) > (best < 0 ? tool : (scores[best]?.[t] ?? 0)) ? i : best),
      -1,
    );
  });
}

function dangersOf(context: PlanningContext, knife: OwnedKnife): string[] {
  const { condition } = knife.owned;
  const state = condition === 'dull' || condition === 'chipped' || condition === 'worn-out' ? [DANGER[condition]] : [];
  const never = context.tasks.flatMap((task, t) => {
    const load = context.loads[t];
    if (!load || load.task.load < GUIDANCE.caution.value || task.modes.length === 0) return [];
    const { veto } = explain(knife.blade, task, context.cooks);
    return veto ? [`${load.task.name}: ${veto}`] : [];
  });
  const other = context.cooks.find(
    ({ cook }) => knife.blade.blade.bevel === 'single' && knife.blade.blade.handed !== cook.handed,
  );
  const hand = other
    ? [`Ground for the ${knife.blade.blade.handed} hand: it steers away from ${other.cook.name}.`]
    : [];
  return [...state, ...hand, ...never.slice(0, 2)];
}

/** Looks through the drawer: what each knife does best here, what only needs sharpening, what nothing ever goes to, what is dangerous. */
export function readDrawer(context: PlanningContext): Drawer {
  const { owned, kitchen } = context;
  const today = goesTo(
    owned.map((o) => o.scores),
    context,
  );
  const care = careSteps(context, owned);
  const restored = owned.map((knife, i) => care.find((c) => c.owned === i)?.scores ?? knife.scores);
  const once = goesTo(restored, context);
  const now = coverageOfKit(context.problem, []);

  const knives = owned.map((knife, i): DrawerKnife => {
    const doesBest = context.loads
      .flatMap((load, t) => (today[t] === i ? [{ load, score: knife.scores[t] ?? 0 }] : []))
      .sort((a, b) => b.load.minutesPerWeek - a.load.minutesPerWeek);
    const step = care.findIndex((c) => c.owned === i);
    const putRight = care[step];
    const coverage = putRight ? coverageOfKit(context.problem, [putRight]) - now : 0;
    const idle = !once.includes(i);
    const verdict = verdictOf(knife.owned, idle, step >= 0);
    return {
      owned: i,
      name: knife.type.name,
      blade: knife.blade.blade,
      verdict,
      why: whyApart(knife.owned) ?? sentence(verdict, idle, knife, doesBest.length),
      doesBest: doesBest.map(({ load, score }) => ({
        task: load.task.id,
        minutesPerWeek: load.minutesPerWeek,
        score: Math.round(score),
        measured: isMeasured(context.cooks, knife.blade, load.task.id),
      })),
      minutesPerWeek: doesBest.reduce((sum, { load }) => sum + load.minutesPerWeek, 0),
      givesBack:
        step >= 0 && coverage > 0.0005
          ? { coverage, price: fromMinor(care[step]?.priceMinor ?? 0, kitchen.currency) }
          : null,
      dangers: dangersOf(context, knife),
    };
  });
  return { coverage: now, knives };
}

function sentence(verdict: DrawerVerdict, idle: boolean, knife: OwnedKnife, tasks: number): string {
  const better =
    knife.blade.serrated && knife.owned.condition === 'dull' ? ' Serrated: replace it when it no longer bites.' : '';
  switch (verdict) {
    case 'retire':
      return 'Past putting right: take it out of use, wrapped, and let something else have its place.';
    case 'give-away':
      return 'Nothing you cut goes to it, even keen: give it away, or keep it out of the drawer.';
    case 'repair':
      return 'Worth repairing: with the chips ground out, work goes to it again.';
    case 'sharpen':
      return 'It only needs sharpening.';
    case 'keep':
      return idle
        ? `Another knife does all of its work better, though you use it ${knife.owned.use === 'daily' ? 'every day' : 'every week'}: a spare.${better}`
        : `It earns its place: ${tasks === 0 ? 'keen, work would go' : tasks === 1 ? 'one task goes' : `${tasks} tasks go`} to it.${better}`;
  }
}
