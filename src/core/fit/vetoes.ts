import type { Task } from '../cutting/task';
import type { CookContext } from './cook';
import { FIT } from '../constants';
import type { Mode } from './modes';
import { taskLoadMet } from './parts/care';
import type { BladeTraits } from './traits';

const { edgeSafety: es, practice: pr, child: ch } = FIT;

/** Where nobody should use this blade for this task, whoever they are: the reason, or null. */
function unsafeForAnyone(b: BladeTraits, task: Task, { habits, shared }: CookContext, mode: Mode): string | null {
  const { blade } = b;
  const prying = blade.tip === 'blunt' && blade.spineTipMm >= es.pryTip.value && blade.lengthMm <= es.pryLength.value;
  if (mode.id === 'pry')
    return prying ? null : 'Only an oyster knife opens oysters: with a glove or folded cloth, hinge first, short push.';
  if (prying) return 'A blunt prying blade cuts nothing.';
  const ceramic = blade.steel === 'ceramic';
  if (ceramic && (task.load >= 4 || mode.id === 'cleave' || task.stiff))
    return 'Ceramic breaks when it is twisted or meets bone, shell or pit.';
  if (mode.id === 'cleave' && task.load >= es.boneLoad.value && blade.spineHeelMm < es.thinOnBone.value)
    return `A spine of ${blade.spineHeelMm} mm is too thin to be swung at bone or shell.`;
  if (mode.id === 'cleave' && task.load >= es.boneLoad.value && b.hardness >= es.hardOnBone.value)
    return `An edge of ${b.hardness} HRC is never swung at bone or shell: it will chip.`;
  if (ceramic && (shared || habits.roughUse || habits.storage === 'loose' || habits.storage === 'roll'))
    return 'Ceramic breaks where knives are shared, dropped or carried loose.';
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

function tooMuchForANewCook(b: BladeTraits, cook: CookContext, mode: Mode): string | null {
  if (cook.cook.experience !== 'new') return null;
  const asked = cook.asksFor.includes(b.blade.type) || cook.asksFor.includes(b.blade.id);
  if (asked) return null;
  if (b.blade.bevel === 'single') return 'A single bevel is not a first knife.';
  const long = b.blade.lengthMm > pr.long.value && (cook.cook.wantsLengthMm ?? 0) <= pr.long.value;
  if (long && mode.id === 'board') return `Over ${pr.long.value} mm is too long for a first board knife.`;
  return null;
}

/** Why this blade must not do this task in this way for this cook; null when it may (handbook 4, vetoes). */
export function vetoOf(b: BladeTraits, task: Task, cook: CookContext, mode: Mode): string | null {
  const left = cook.cook.felt[b.blade.id]?.leftFor;
  if (left) return left;
  return (
    unsafeForAnyone(b, task, cook, mode) ??
    (mode.id === 'child' ? unsafeForChild(b) : null) ??
    wrongHand(b, cook) ??
    tooMuchForANewCook(b, cook, mode)
  );
}
