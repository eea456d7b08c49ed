import { WALL } from '../../constants';
import { bladeTraits, isReactive, type BladeTraits } from '../../fit/traits';
import type { Plan } from '../../formats/planFile';
import type { WallSheet } from '../../formats/wallSheet';
import { lowerFirst } from '../../text/case';
import type { PlanningContext } from '../context/planningContext';
import { servedBy } from './assignment';
import { stepsOf } from './plan';
import { knivesOf, onceEach, type Referred } from './refs';

const MOST_TASKS = 4;

/** Tasks a knife does most minutes of, once the plan is carried out, by name. */
function doesOf(context: PlanningContext, plan: Plan, { order, owned }: Referred): string[] {
  const steps = stepsOf(context, plan);
  return servedBy(context, steps)
    .filter(({ by }) => {
      if (!by) return false;
      if ('owned' in by) return by.owned === owned;
      if (!('step' in by)) return false;
      const step = steps[by.step];
      return owned === null ? step?.id === modelAt(plan, order) : step?.owned === owned;
    })
    .sort((a, b) => b.minutesPerWeek - a.minutesPerWeek)
    .slice(0, MOST_TASKS)
    .map(({ task }) => lowerFirst(context.reference.tasks.get(task)?.name ?? task));
}

const modelAt = (plan: Plan, order: number | null): string | undefined =>
  plan.steps.find((step) => step.order === order)?.model ?? undefined;

function neverOf(traits: BladeTraits): string[] {
  if (traits.blade.steel === 'ceramic') return ['Never twist, pry or drop it; no bone, no frozen food.'];
  if (traits.serrated) return ['Not on the board to chop: it saws.'];
  if (traits.strength >= WALL.boneStrength.value && traits.blade.weightG >= WALL.boneWeightG.value)
    return ['Eyes clear, free hand away, board on a firm surface.'];
  return ['No bone, pit, shell or frozen food; no twisting.'];
}

/** What whoever takes a knife from the drawer should know: that it is kept apart, without work, or left dull. */
const fateWords = ({ drawer = [] }: Plan, owned: number | null): string[] =>
  drawer
    .filter((each) => each.owned === owned && ['apart', 'unused', 'kept-dull'].includes(each.fate))
    .map(({ why }) => why);

function careOf(traits: BladeTraits): string[] {
  if (traits.serrated) return ['Wash and dry by hand.'];
  return isReactive(traits)
    ? ['Wipe while you work, dry at once, a drop of food-safe oil before it rests.']
    : ['Wash and dry by hand, at once.'];
}

/** What holds for every knife of this kitchen. */
function rulesOf({ kitchen }: PlanningContext, traits: readonly BladeTraits[]): string[] {
  const { board, cooks } = kitchen;
  const hard = board.material === 'glass' || board.material === 'stone';
  const barred = cooks.some(({ mayUse }) => mayUse !== null);
  return [
    'Never in the sink, never loose in a drawer, never in the dishwasher.',
    hard
      ? 'Not on glass or stone: on wood or plastic, with a damp cloth under it.'
      : `On the board, with a damp cloth under it; nothing else is cut on.`,
    'Guiding fingers curled; flat side of the food down; cut away from the hand.',
    'A falling knife is let fall. Carried point down, edge back; handed over handle first.',
    'Raw meat, poultry and fish: a board and a knife of their own, or wash both between. Local food rules go before this sheet.',
    ...(traits.some(isReactive) ? ['Grey is patina and stays. Red is rust: say so, it comes off the same day.'] : []),
    ...(barred ? ['Guests and helpers take only what is marked for them, or ask.'] : ['Guests ask first.']),
    'Children: seated beside a grown-up, blunt tip, soft food.',
    'Dull, chipped, loose in the handle: lay it aside and write it down. A dull knife slips.',
  ];
}

/** A sheet for the kitchen wall of every knife a kitchen has once its plan is carried out; `planned` false: of what is owned now. */
export function wallSheet(context: PlanningContext, plan: Plan, planned: boolean): WallSheet {
  const { kitchen, reference } = context;
  // equal pieces are one knife on the wall
  const knives = onceEach(knivesOf(context, plan)).filter(({ owned }) => planned || owned !== null);
  const traits = knives.map(({ blade }) => bladeTraits(blade, reference, kitchen.habits.roughUse));
  const named = kitchen.cooks.map(({ name }, i) => name || `Cook ${i + 1}`);
  return {
    title: plan.kitchen,
    knives: knives.map((knife, k) => {
      const own = traits[k];
      const users = kitchen.cooks.map(
        ({ mayUse }) => mayUse === null || (knife.owned !== null && mayUse.includes(knife.owned)),
      );
      return {
        name: knife.name,
        blade: knife.blade,
        does: doesOf(context, plan, knife),
        never: [...fateWords(plan, knife.owned), ...(own ? neverOf(own) : [])],
        care: own ? careOf(own) : [],
        who: users.every(Boolean) ? null : named.filter((_, i) => users[i]),
      };
    }),
    rules: rulesOf(context, traits),
  };
}
