import type { Task } from '../../cutting/task';
import { FIT } from '../../constants';
import type { CookContext } from '../cook';
import { ramp } from '../curves';
import { isPressed, type Mode } from '../modes';
import { byValue, type Part } from '../part';
import type { BladeTraits } from '../traits';

const { edgeSafety: es, corrosion: co, practice: pr } = FIT;

/** What the edge meets, load 0–11.5: the task's load by the way it is met, and at least what rough use brings. */
export function loadMet(task: Task, { habits }: CookContext, mode: Mode): number {
  return Math.max(taskLoadMet(task, mode), habits.roughUse ? es.rough.value : 0);
}

/** The task's own share of {@link loadMet}. */
export function taskLoadMet(task: Task, mode: Mode): number {
  const way =
    mode.id === 'cleave' || mode.id === 'pry'
      ? es.impact
      : mode.id === 'board'
        ? isPressed(task, mode)
          ? es.pressed
          : mode.motions[0] === 'chop'
            ? es.chop
            : es.push
        : mode.id === 'tip'
          ? es.tip
          : es.glance;
  return mode.id === 'table' ? Math.max(es.plate.value, task.load) : task.load * way.value;
}

export const edgeSafety: Part = {
  id: 'edge-safety',
  restsOn: 'both',
  reads: ({ habits }) => [habits.roughUse],
  sees: (task, mode) => [taskLoadMet(task, mode)],
  name: 'Edge safety',
  about: 'Strength of the edge against what it may meet.',
  level: (_task, mode) => (mode.id === 'child' ? 0 : 1),
  value: (b, task, cook, mode) => {
    const missing = loadMet(task, cook, mode) - b.strength;
    return missing <= 0 ? 1 : Math.max(es.least.value, 1 - es.fall.value * missing);
  },
  why: (b, task, cook, mode, value) =>
    `Edge strength ${b.strength.toFixed(1)} against ${loadMet(task, cook, mode).toFixed(1)} it may meet: ${byValue(value, 'safe', 'take care', 'it will suffer')}.`,
};

function exposure(b: BladeTraits, task: Task, { habits }: CookContext): number {
  const acid = (co.acid.value * task.acid) / 3;
  const wiped =
    habits.upkeep === 'leaves-wet' ? 1 : habits.upkeep === 'wipes-after' ? co.wiped.value : co.wipedDuring.value;
  const wet = habits.upkeep === 'leaves-wet' ? co.wet.value : habits.upkeep === 'wipes-after' ? co.wetAfter.value : 0;
  return b.reactivity * ((acid * co.acidWeighs.value + wet) * wiped + (habits.dishwasher ? co.machine.value : 0));
}

export const corrosion: Part = {
  id: 'corrosion',
  restsOn: 'both',
  reads: ({ habits }) => [habits.upkeep, habits.dishwasher],
  sees: (task) => [task.acid],
  name: 'Rust',
  about: 'Reactive steel against acid and the habit of wiping.',
  level: () => 1,
  value: (b, task, cook) => Math.max(co.least.value, 1 - exposure(b, task, cook)),
  why: (b, task, { habits }, _mode, value) =>
    b.reactivity === 0
      ? `${b.steel.name} shrugs this off.`
      : `${b.steel.name}, ${task.acid > 0 ? 'acid food, ' : ''}${habits.upkeep.replace('-', ' ')}: ${byValue(value, 'no worry', 'it will mark', 'it will rust')}.`,
};

/** What a tall blade costs a hand that seldom chops, 0–1: it is lifted and let fall, not drawn or rocked. Practice makes up for it. */
const unwonted = ({ blade }: BladeTraits, { motions, experience }: CookContext['cook']): number =>
  pr.tall.value *
  ramp(blade.heelHeightMm, pr.tallFrom.value, pr.tallTo.value) *
  (1 - ramp(motions.chop, pr.chopsFrom.value, pr.chopsTo.value)) *
  (1 - FIT.brings[experience].value);

/** Soft food in thin clean slices that may be sawn: skin and crumb. Without teeth the stroke has to be drawn, not pressed. */
const asksForDraw = (task: Task): boolean =>
  task.motions.includes('saw') && task.clean >= 2 && task.thin >= 2 && task.firm <= 2;

const drawn = ({ serrated }: BladeTraits, task: Task): number => (asksForDraw(task) && !serrated ? pr.drawn.value : 0);

export const practice: Part = {
  id: 'practice',
  restsOn: 'both',
  reads: ({ cook }) => [cook.experience, cook.motions.chop],
  sees: (task) => [asksForDraw(task)],
  name: 'Practice',
  about: 'What the blade asks of the hand against what the cook brings.',
  level: () => 1,
  value: (b, task, { cook }, mode) => {
    const long = mode.id === 'board' ? ramp(b.blade.lengthMm - pr.long.value, 0, pr.longScale.value) : 0;
    const missing = Math.max(0, b.demand + long + drawn(b, task) - FIT.brings[cook.experience].value);
    return 1 - pr.cost.value * missing - (mode.id === 'board' ? unwonted(b, cook) : 0);
  },
  why: (_b, _task, { cook }, _mode, value) =>
    value >= 0.97
      ? 'Asks nothing this cook cannot give.'
      : `Asks more practice than ${cook.experience === 'new' ? 'a new' : `a ${cook.experience}`} cook brings.`,
};
