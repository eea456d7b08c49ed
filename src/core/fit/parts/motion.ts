import type { BoardMotion } from '../../kitchen/kitchen';
import type { CookContext } from '../cook';
import { FIT } from '../../constants';
import { ramp } from '../curves';
import { isFineDice, type Mode } from '../modes';
import { byValue, type Part } from '../part';
import type { BladeTraits } from '../traits';

const { motion: m, contact: k } = FIT;
const ALL: readonly BoardMotion[] = ['rock', 'push', 'pull', 'chop'];
/** How well a motion suits a task, by its place in the task's list. */
const SUITS = [FIT.suits.first.value, FIT.suits.second.value, FIT.suits.third.value, FIT.suits.fourth.value];

/** How much of the work is done with a motion: the cook's habit bent towards what the food asks. */
export function motionWeight(motion: BoardMotion, cook: CookContext, mode: Mode): number {
  const place = mode.motions.indexOf(motion);
  const suits = place < 0 ? m.unlisted.value : (SUITS[place] ?? FIT.suits.fourth.value);
  const habit = m.even.value * 0.25 + (1 - m.even.value) * cook.cook.motions[motion];
  return suits * habit;
}

/** Mean of a per-motion figure over the motions this cook would use here. */
function overMotions(figure: (motion: BoardMotion) => number, cook: CookContext, mode: Mode): number {
  if (mode.id === 'slice') return figure('pull');
  let sum = 0;
  let weights = 0;
  for (const each of ALL) {
    const weight = motionWeight(each, cook, mode);
    sum += weight * figure(each);
    weights += weight;
  }
  return sum / weights;
}

/** The motion most of the work is done with. */
export function leading(cook: CookContext, mode: Mode): BoardMotion {
  if (mode.id === 'slice') return 'pull';
  return ALL.reduce((best, each) => (motionWeight(each, cook, mode) > motionWeight(best, cook, mode) ? each : best));
}

const DOING: Record<BoardMotion, string> = { rock: 'rocking', push: 'pushing', pull: 'pulling', chop: 'chopping' };

export const motion: Part = {
  id: 'motion',
  restsOn: 'both',
  reads: ({ cook }) => [cook.motions],
  sees: () => [],
  name: 'Motion',
  about: 'How well the profile carries the way this cook cuts, on food that suits it.',
  level: (task, mode) =>
    mode.id === 'board' || mode.id === 'slice' ? 1 : isFineDice(task, mode) ? m.fineDice.value : 0,
  value: (b, _task, cook, mode) => Math.min(1, overMotions((each) => b.carries[each], cook, mode) / m.carried.value),
  why: (b, _task, cook, mode, value) => {
    const lead = leading(cook, mode);
    return `Mostly ${DOING[lead]} here; this profile carries it ${byValue(b.carries[lead], 'well', 'fairly', 'poorly')}, ${Math.round(value * 100)} of 100 over all motions.`;
  },
};

/** Share of the cut that comes apart, by motion. */
function separated(b: BladeTraits, each: BoardMotion): number {
  const share = b.contactShare;
  const floor = k.floor.value;
  const teeth = b.serrated ? k.teeth.value : 1;
  switch (each) {
    case 'chop':
      return teeth * (floor + (1 - floor) * ramp(share, k.chopFrom.value, k.chopFull.value));
    case 'push':
      return teeth * (floor + (1 - floor) * ramp(share, 0, k.pushFull.value));
    case 'pull':
      return k.pulled.value * (b.blade.tip === 'upswept' ? k.upswept.value : 1);
    case 'rock':
      return teeth * (floor + (1 - floor) * ramp(b.rockAngleRad, 0, k.hardStop.value));
  }
}

export const contact: Part = {
  id: 'contact',
  restsOn: 'both',
  reads: ({ cook }) => [cook.motions],
  sees: () => [],
  name: 'Contact',
  about: 'Share of the edge that meets the board, so that pieces come apart.',
  level: (task, mode) => (mode.id === 'board' || mode.id === 'slice' || isFineDice(task, mode) ? task.separate : 0),
  value: (b, _task, cook, mode) => overMotions((each) => separated(b, each), cook, mode),
  why: (b, _task, cook, mode, value) => {
    const meets = `${Math.round(b.contactShare * 100)}% of the edge meets the board`;
    if (leading(cook, mode) === 'rock' && separated(b, 'rock') < 0.65) return `${meets}; a rock ends in a hard stop.`;
    return `${meets}: ${byValue(value, 'clean separation', 'a few strips hang together', 'strips hang together')}.`;
  },
};
