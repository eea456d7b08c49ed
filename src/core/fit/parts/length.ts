import { gripMm, type Grip } from '../../blade/hold';
import { isFlesh } from '../../cutting/eaten';
import type { Task } from '../../cutting/task';
import { FIT } from '../../constants';
import { fallOff, ramp } from '../curves';
import type { CookContext } from '../cook';
import { isPressed, isSheet, type Mode } from '../modes';
import { byValue, mm, type Part } from '../part';
import type { BladeTraits } from '../traits';

const { reach: r, span: s, comfort: co, board: bo } = FIT;

/** Strokes needed to draw a blade of some length through a food. */
export function strokes(lengthMm: number, task: Task, sawing: boolean): number {
  const { widthMm } = task;
  const across = Math.min(widthMm, r.longFood.value) + r.longFoodShare.value * Math.max(0, widthMm - r.longFood.value);
  // the softer the food, the more of a clean slice is drawn instead of pressed
  const isDrawn = (task.long || task.stick === 3) && task.clean === 3 && !sawing;
  const drawn = isDrawn ? r.drawDepth.value * task.heightMm * ramp(r.pressed.value - task.firm, 0, r.softer.value) : 0;
  const wanted = drawn + across + r.follow.value + (sawing ? r.sawn.value : 1) * r.followShare.value * across;
  return wanted / Math.max(r.least.value, lengthMm - r.tipLoss.value);
}

/** Along a frame, and between flesh and skin, strokes follow one another unseen. */
const followsUnseen = ({ load, motions, flexible, clean }: Task): boolean =>
  (load >= FIT.joint.from.value && motions.includes('tip')) || (flexible && clean <= 1);

export const reach: Part = {
  id: 'reach',
  restsOn: 'task',
  name: 'Reach',
  about: 'Strokes needed to draw through the food: one clean stroke is best.',
  level: (task, mode) =>
    (mode.id === 'slice' || mode.id === 'saw' ? (task.long ? 1 : r.short.value) : task.long ? r.onBoard.value : 0) *
    (followsUnseen(task) ? r.alongBone.value : 1),
  value: (b, task, _cook, mode) =>
    Math.min(
      1,
      Math.pow(
        strokes(b.blade.lengthMm, task, mode.id === 'saw'),
        -(mode.id === 'saw' ? r.perSawn : r.perStroke).value,
      ),
    ),
  why: (b, task, _cook, mode) => {
    const n = strokes(b.blade.lengthMm, task, mode.id === 'saw');
    const count = n <= 1 ? 'one stroke' : `about ${n.toFixed(1)} strokes`;
    return `${mm(b.blade.lengthMm)} edge, ${mm(task.widthMm)} across: ${count}.`;
  },
};

/** Edge wanted over a food, mm: a heap or a second piece lies beside it, except beside rind. */
const wantedSpan = (task: Task, mode: Mode) => task.widthMm + (isPressed(task, mode) ? 0 : s.stack.value);

export const span: Part = {
  id: 'span',
  restsOn: 'task',
  name: 'Span',
  about: 'Edge long enough for the food and a stack beside it.',
  level: (task, mode) => (mode.id === 'board' || mode.id === 'cleave' || (mode.id === 'hand' && isSheet(task)) ? 1 : 0),
  value: (b, task, _cook, mode) => Math.min(1, Math.pow(wantedSpan(task, mode) / b.blade.lengthMm, -s.perPass.value)),
  why: (b, task, _cook, _mode, value) =>
    `${mm(b.blade.lengthMm)} edge for ${mm(task.widthMm)} of food: ${byValue(value, 'room to spare', 'a little short', 'too short, several passes')}.`,
};

/**
 * Length a blade works like, mm: a flat edge puts more of itself to the board than a bellied one of the same length, and a tall one, let fall,
 * takes heaps that a low one has to be long for.
 */
export const workingLengthMm = ({ blade, contactShare }: BladeTraits) =>
  blade.lengthMm *
  (1 +
    co.working.value * Math.max(0, contactShare - co.workingFrom.value) +
    co.tallWorks.value * ramp(blade.heelHeightMm, FIT.practice.tallFrom.value, FIT.practice.tallTo.value));

/** How far a general knife lies outside the length its cook wants, mm: too short by what it works like, too long by what it is. */
export const offLengthMm = (b: BladeTraits, { length }: Pick<CookContext, 'length'>): number =>
  Math.max(0, length.fromMm - workingLengthMm(b), b.blade.lengthMm - length.toMm);

/** How far a blade lies outside the wanted band, mm: too short by what it works like, too long by what it is. */
const tooShort = (b: BladeTraits, { length }: CookContext) => Math.max(0, length.fromMm - workingLengthMm(b));
const tooLong = (b: BladeTraits, { length, sliceToMm }: CookContext, mode: Mode) =>
  Math.max(0, b.blade.lengthMm - (mode.id === 'slice' && mode.long ? sliceToMm : length.toMm));

/** How far a length off the band tires the hands that press hard rind: over a week's two squashes hardly, over an hour of them as anywhere, 0–1. */
const pressedLong = ({ pressedMinutes }: CookContext): number =>
  co.pressedLeast.value + (1 - co.pressedLeast.value) * ramp(pressedMinutes, co.pressedFrom.value, co.pressedTo.value);

/** What a blade's length leaves of its comfort: a short one is slow, a long one wanders. A long draw only minds length. */
function easeOfLength(b: BladeTraits, task: Task, cook: CookContext, mode: Mode): number {
  if (mode.id === 'slice')
    return fallOff(tooLong(b, cook, mode), (mode.long ? co.longSliceScale : co.sliceScale).value);
  const short = co.shortLeast.value + (1 - co.shortLeast.value) * fallOff(tooShort(b, cook), co.shortScale.value);
  const ease = short * fallOff(tooLong(b, cook, mode), co.scale.value);
  return isPressed(task, mode) ? 1 - pressedLong(cook) * (1 - ease) : ease;
}

/** What uneased corners and a full bolster leave in a hand that pinches the blade. */
function corners({ blade }: BladeTraits, grip: Grip): number {
  const bites = blade.easedSpine || grip === 'handle' ? 1 : co.corners.value;
  return bites * (blade.bolster === 'full' ? co.heel.value : 1);
}

/** Handle girth a palm wants, mm. */
const girthWanted = (palmMm: number) => FIT.girth.perPalm.value * palmMm + FIT.girth.plus.value;

function taste(weightG: number, wants: string): number {
  if (wants === 'light') return Math.max(0, weightG - co.light.value);
  if (wants === 'heavy') return Math.max(0, co.heavy.value - weightG);
  if (wants === 'neutral') return Math.max(0, Math.abs(weightG - co.middling.value) - co.middlingWithin.value);
  return 0;
}

/** How far a blade's balance lies from a taste in it, mm. */
function balanceOff(balanceMm: number, wants: string): number {
  const from = co.balanceFrom.value;
  if (wants === 'forward') return Math.max(0, from - balanceMm);
  if (wants === 'handle') return Math.max(0, balanceMm + from);
  return wants === 'neutral' ? Math.max(0, Math.abs(balanceMm) - from) : 0;
}

/** Side a blade lacks for carrying cut food, mm. */
const sideLacking = (heelHeightMm: number, lifts: string | null) =>
  lifts === 'flat' ? Math.max(0, co.liftFrom.value - heelHeightMm) : 0;

export const comfort: Part = {
  id: 'comfort',
  restsOn: 'both',
  changes: 'week',
  sees: (task, mode) => [isPressed(task, mode)],
  reads: ({ cook, habits, length, sliceToMm, pressedMinutes }) => [
    pressedMinutes,
    length.fromMm,
    length.toMm,
    sliceToMm,
    cook.grip,
    cook.palmBreadthMm,
    cook.wantsWeight,
    cook.wantsBalance,
    habits.lifts,
  ],
  name: 'Comfort',
  about:
    'Length wanted by this hand, board and nerve, with handle girth, taste in weight and balance, and a side to carry food on.',
  // bone is broken with the heel, whatever the length
  level: (task, mode) =>
    (mode.id === 'board' && task.load < FIT.wedge.breaks.value) ||
    (mode.id === 'slice' && !(task.load >= FIT.joint.from.value && isFlesh(task)))
      ? 1
      : 0,
  value: (b, task, context, mode) => {
    const { cook, habits } = context;
    const pinched = cook.grip === 'pinch' ? FIT.girth.pinched.value : 1;
    const girth = pinched * Math.min(co.girthMost.value, Math.abs(b.girthMm - girthWanted(cook.palmBreadthMm)));
    const felt = b.blade.balanceMm - gripMm(cook.grip);
    return (
      (co.least.value + (1 - co.least.value) * easeOfLength(b, task, context, mode)) *
      corners(b, cook.grip) *
      (1 - co.girth.value * girth) *
      (1 - Math.min(co.tasteCap.value, co.taste.value * taste(b.blade.weightG, cook.wantsWeight))) *
      (1 - Math.min(co.tasteCap.value, co.balance.value * balanceOff(felt, cook.wantsBalance))) *
      (1 - Math.min(co.tasteCap.value, co.lift.value * sideLacking(b.blade.heelHeightMm, habits.lifts)))
    );
  },
  why: (b, _task, context, mode) => {
    const { cook, habits, length } = context;
    const off = Math.max(mode.id === 'slice' ? 0 : tooShort(b, context), tooLong(b, context, mode));
    const band = `${length.fromMm}–${length.toMm} mm`;
    const { lengthMm } = b.blade;
    const working = Math.round(workingLengthMm(b));
    const flat = lengthMm < length.fromMm && working > lengthMm ? `, flat enough to work like ${working} mm,` : '';
    const also =
      (balanceOff(b.blade.balanceMm - gripMm(cook.grip), cook.wantsBalance) > 0
        ? ' Its balance is not the wanted one.'
        : '') +
      (sideLacking(b.blade.heelHeightMm, habits.lifts) > 0
        ? ` ${mm(b.blade.heelHeightMm)} of side carries little cut food.`
        : '');
    if (mode.id === 'slice' && mode.long)
      return off === 0
        ? `${mm(lengthMm)} is drawn with ease.${also}`
        : `${mm(lengthMm)} is ${mm(off)} longer than this hand draws with ease.${also}`;
    if (off === 0 && tooShort(b, context) > 0)
      return `${mm(lengthMm)} is shorter than the wanted ${band}, which this work forgives.${also}`;
    if (off === 0) return `${mm(lengthMm)}${flat} lies in the wanted band, ${band}.${also}`;
    return `${mm(lengthMm)}${flat} is ${mm(off)} ${lengthMm < length.fromMm ? 'shorter' : 'longer'} than the wanted ${band}.${also}`;
  },
};

export const board: Part = {
  id: 'board',
  restsOn: 'cook',
  reads: ({ board }) => [board.lengthMm, board.material],
  name: 'Board',
  about: 'Edge no longer than the board carries; glass and stone wear any edge.',
  level: (_task, mode) => (mode.id === 'board' || mode.id === 'slice' || mode.id === 'saw' ? 1 : 0),
  value: (b, _task, { board }, mode) => {
    // long draws may run past the edge of the board, board work may not
    const carried = bo.share.value * board.lengthMm * (mode.id === 'board' ? 1 : bo.drawn.value);
    const hard = board.material === 'glass' || board.material === 'stone' ? bo.hard.value : 1;
    return fallOff(b.blade.lengthMm - carried, bo.scale.value) * hard;
  },
  why: (b, _task, { board }, _mode, value) => {
    const hard = board.material === 'glass' || board.material === 'stone';
    const fits = value >= (hard ? 0.9 * bo.hard.value : 0.9);
    return (
      `${mm(b.blade.lengthMm)} edge on a ${mm(board.lengthMm)} board: ${fits ? 'it fits' : 'it overhangs'}.` +
      (hard ? ` A ${board.material} board dulls any edge at once.` : '')
    );
  },
};
