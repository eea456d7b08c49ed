import type { Task } from '../cutting/task';
import type { CookContext } from './cook';
import { FIT } from '../constants';
import type { Mode } from './modes';
import { taskLoadMet } from './parts/care';
import type { BladeTraits } from './traits';
import { figure } from '../text/figure';

const { edgeSafety: es, practice: pr, child: ch } = FIT;

/** Where nobody should use this blade for this task, whoever they are and wherever: the reason, or null. */
export function unsafeForAnyone(b: BladeTraits, task: Task, mode: Mode): string | null {
  return unsafeWork(b, task, mode) ?? (mode.id === 'child' ? unsafeForChild(b) : null);
}

function unsafeWork(b: BladeTraits, task: Task, mode: Mode): string | null {
  const { blade } = b;
  if (b.forTable && mode.id !== 'table') return 'A table knife belongs to the table.';
  const prying = blade.tip === 'blunt' && blade.spineTipMm >= es.pryTip.value && blade.lengthMm <= es.pryLength.value;
  if (mode.id === 'pry')
    return prying ? null : 'Only an oyster knife opens oysters: with a glove or folded cloth, hinge first, short push.';
  if (prying) return 'A blunt prying blade cuts nothing.';
  const ceramic = blade.steel === 'ceramic';
  if (ceramic && (task.load >= 4 || mode.id === 'cleave' || task.stiff))
    return 'Ceramic breaks when it is twisted or meets bone, shell or pit.';
  if (mode.id === 'cleave' && task.load >= es.boneLoad.value && blade.spineHeelMm < es.thinOnBone.value)
    return `A spine of ${figure(blade.spineHeelMm, 2)} mm is too thin to be swung at bone or shell.`;
  if (mode.id === 'cleave' && task.load >= es.boneLoad.value && b.hardness >= es.hardOnBone.value)
    return `An edge of ${figure(b.hardness)} HRC is never swung at bone or shell: it will chip.`;
  if (task.load > 0 && taskLoadMet(task, mode) - b.strength > es.veto.value)
    return 'The edge will chip on what it may meet here.';
  return null;
}

function unsafeForChild(b: BladeTraits): string | null {
  const { blade } = b;
  if (!['round', 'blunt', 'square'].includes(blade.tip)) return 'A pointed knife is not for a child.';
  if (blade.lengthMm > ch.length.value) return 'Too long for a child’s hand.';
  if (blade.edgeAngleDeg < ch.keenAngle.value) return 'A keen edge is not for a child.';
  return null;
}

function wrongHand(b: BladeTraits, cook: CookContext): string | null {
  const { handed } = cook.cook;
  const other = (side: string) => side !== 'either' && side !== handed;
  if (b.blade.bevel === 'single' && other(b.blade.handed))
    return `A single bevel ground for the ${b.blade.handed} hand.`;
  if (other(b.blade.handleHanded)) return `A handle shaped for the ${b.blade.handleHanded} hand.`;
  return null;
}

function tooBrittle({ blade }: BladeTraits, { habits, shared }: CookContext): string | null {
  const isKnocked = shared || habits.roughUse || habits.storage === 'loose' || habits.storage === 'roll';
  return blade.steel === 'ceramic' && isKnocked
    ? 'Ceramic breaks where knives are shared, dropped or carried loose.'
    : null;
}

/** Knives that are not for a new cook who has not asked for them. */
function notAFirstKnife({ blade }: BladeTraits): string | null {
  if (blade.bevel === 'single') return 'A single bevel is not a first knife.';
  return blade.steel === 'ceramic' ? 'Ceramic is not a first knife: twisted or dropped it breaks.' : null;
}

const isBeginner = (b: BladeTraits, { cook, asksFor }: CookContext): boolean =>
  cook.experience === 'new' && !asksFor.includes(b.blade.type) && !asksFor.includes(b.blade.id);

/** Why a cook does nothing at all with a blade; null where nothing bars it. */
export const barredFor = (b: BladeTraits, cook: CookContext): string | null =>
  tooBrittle(b, cook) ?? wrongHand(b, cook) ?? (isBeginner(b, cook) ? notAFirstKnife(b) : null);

/** Why a cook does no board work with a blade that is used for other things; null where nothing bars it. */
export function barredOnBoard(b: BladeTraits, cook: CookContext): string | null {
  const long = b.blade.lengthMm > pr.long.value && (cook.cook.wantsLengthMm ?? 0) <= pr.long.value;
  return isBeginner(b, cook) && long ? `Over ${pr.long.value} mm is too long for a first board knife.` : null;
}

/** Why a cook who held a blade left it; null for any other. */
export const leftFor = ({ blade }: BladeTraits, { cook }: CookContext): string | null =>
  cook.felt[blade.id]?.leftFor ?? null;

/** Why this blade must not do this task in this way for this cook; null when it may (handbook 4, vetoes). */
export const vetoOf = (b: BladeTraits, task: Task, cook: CookContext, mode: Mode): string | null =>
  leftFor(b, cook) ??
  unsafeForAnyone(b, task, mode) ??
  barredFor(b, cook) ??
  (mode.id === 'board' ? barredOnBoard(b, cook) : null);
