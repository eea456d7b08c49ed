import { isRawFlesh } from '../../cutting/eaten';
import { FIT } from '../../constants';
import type { Task } from '../../cutting/task';
import type { CookContext } from '../cook';
import { fallOff, ramp } from '../curves';
import { isFineDice, isPressed, isSheet, isShortDraw, type Mode } from '../modes';
import { byValue, mm, type Part } from '../part';
import type { BladeTraits } from '../traits';
import { figure } from '../../text/figure';

const { clearance: cl, inHand: ih, mass: ma, handle: ha, flatSide: fs, table: ta } = FIT;

export const clearance: Part = {
  id: 'clearance',
  restsOn: 'cook',
  changes: 'hand',
  reads: ({ cook }) => [cook.palmBreadthMm, cook.grip, cook.felt],
  name: 'Clearance',
  about: 'Room between the knuckles and the board.',
  level: (task, mode) => {
    if (isPressed(task, mode)) return cl.pressed.value;
    if (mode.id === 'board' || mode.id === 'cleave') return 1;
    if (mode.id === 'saw') return cl.sawn.value;
    if (isFineDice(task, mode)) return cl.fineDice.value;
    // what must come apart wholly is cut down to the board with the heel as well
    return isShortDraw(task, mode) && task.separate >= 2 ? cl.drawn.value : 0;
  },
  value: (b, _task, { cook }) => {
    const held = cook.felt[b.blade.id]?.sets.clearance;
    if (held !== undefined) return held;
    const short = cl.enough.value - b.knuckleRoomMm(cook.palmBreadthMm, cook.grip);
    return cl.floor.value + (1 - cl.floor.value) * fallOff(short, cl.scale.value);
  },
  why: (b, _task, { cook }, _mode, value) => {
    const held = cook.felt[b.blade.id];
    if (held?.sets.clearance !== undefined)
      return `Held on ${held.on}: ${byValue(value, 'the knuckles clear the board', 'the knuckles just clear', 'the knuckles are low')}.`;
    const room = b.knuckleRoomMm(cook.palmBreadthMm, cook.grip);
    return Math.round(room) >= 0
      ? `${mm(room)} under the knuckles (${mm(b.blade.heelHeightMm)} at the heel).`
      : `Knuckles ${mm(-room)} too low for the board (${mm(b.blade.heelHeightMm)} at the heel): work at its edge.`;
  },
};

/** A sheet is guided by a flat edge and a stiff side of some height. */
function sheetGuide(b: BladeTraits): number {
  const flat =
    ih.sheetFlat.value + (1 - ih.sheetFlat.value) * ramp(b.contactShare, ih.sheetFlatFrom.value, ih.sheetFlatTo.value);
  return (
    flat *
    fallOff(ih.sheetGuide.value - b.blade.heelHeightMm, ih.sheetGuideScale.value) *
    (1 - ih.sheetLimp.value * b.blade.flex)
  );
}

/** Edge lengths a hand guides in the air, mm: they grow with the hand (handbook 9.1). */
export function inHandLengthMm(handLengthMm: number): { fromMm: number; toMm: number } {
  const larger = handLengthMm - ih.hand.value;
  return {
    fromMm: ih.shortFrom.value + ih.shortPerHand.value * larger,
    toMm: ih.longTo.value + ih.longPerHand.value * larger,
  };
}

/** Whether firm food is turned into clean facets. */
const facets = ({ clean, thin, firm }: Task): boolean => clean >= 2 && thin === 0 && firm >= 3;

/** What the run of the edge does to round things held in the air: a hollow edge follows facets, a straight one all else. */
function followsRound(b: BladeTraits, task: Task): number {
  if (b.blade.bellyMm < 0) return facets(task) ? 1 : ih.hooked.value;
  return facets(task) ? ih.straightOnFacets.value : 1;
}

export const inHand: Part = {
  id: 'in-hand',
  restsOn: 'both',
  changes: 'hand',
  reads: ({ cook }) => [cook.handLengthMm],
  sees: (task) => (isSheet(task) ? [task.widthMm] : [facets(task)]),
  name: 'In the hand',
  about: 'Short, low and light enough to work in the air.',
  // small pieces are steadied in the fingers even when the tip does the work
  level: (task, mode) =>
    mode.id === 'hand' ? 1 : mode.id === 'tip' && task.motions.includes('in-hand') ? ih.steadied.value : 0,
  value: (b, task, { cook }) => {
    const sheet = isSheet(task);
    const { fromMm, toMm } = inHandLengthMm(cook.handLengthMm);
    const length = sheet ? task.widthMm + ih.sheet.value : toMm;
    const height = sheet ? ih.sheetHeight.value : ih.easyHeight.value;
    const weight = sheet ? ih.sheetWeight.value : ih.easyWeight.value;
    return (
      fallOff(b.blade.lengthMm - length, ih.lengthScale.value) *
      (sheet ? 1 : fallOff(fromMm - b.blade.lengthMm, ih.shortScale.value) * followsRound(b, task)) *
      fallOff(b.blade.heelHeightMm - height, ih.heightScale.value) *
      fallOff(b.blade.weightG - weight, ih.weightScale.value) *
      (b.serrated ? ih.serrated.value : 1) *
      (sheet ? sheetGuide(b) : 1)
    );
  },
  why: (b, _task, _cook, _mode, value) =>
    `${mm(b.blade.lengthMm)} long, ${mm(b.blade.heelHeightMm)} tall, ${figure(b.blade.weightG)} g: ${byValue(value, 'sits in the hand', 'a handful', 'too much knife to hold in the air')}.`,
};

/** Whether weight helps: pressing and falling always, drawing only through raw meat on the bone. */
const isHelped = (task: Task, mode: Mode): boolean =>
  task.weight && (mode.id !== 'slice' || task.load >= FIT.joint.from.value);

/** Weight that helps a task, g. */
function wantedWeightG(task: Task, mode: Mode): number {
  if (mode.id === 'cleave') return ma.wantedCleaving.value;
  if (task.load >= FIT.wedge.breaks.value) return ma.wantedBone.value;
  if (mode.id === 'slice') return ma.wantedDrawn.value;
  return task.firm >= ma.rind.value ? ma.wantedRind.value : ma.wanted.value;
}

/** What too little weight for the work leaves, 0–1. */
const leftByLightness = (b: BladeTraits, task: Task, mode: Mode): number =>
  isHelped(task, mode) ? Math.min(1, Math.pow(b.blade.weightG / wantedWeightG(task, mode), ma.power.value)) : 1;

/** What a spine's thickness leaves where bone or shell is broken, 0–1. */
const leftByThinSpine = (b: BladeTraits, task: Task, mode: Mode): number =>
  mode.id !== 'slice' && task.load >= FIT.wedge.breaks.value
    ? ma.notStout.value + (1 - ma.notStout.value) * ramp(b.blade.spineHeelMm, ma.stoutFrom.value, ma.stoutTo.value)
    : 1;

/** What a blade so heavy that it falls where it likes leaves, 0–1: no loss in a blow, which is all fall, and little where both hands press. */
const leftByUnruliness = ({ blade }: BladeTraits, task: Task, mode: Mode): number =>
  mode.id === 'cleave'
    ? 1
    : 1 -
      (isPressed(task, mode) ? ma.pressed.value : 1) *
        Math.min(ma.unrulyCap.value, ma.tooMuchScale.value * Math.max(0, blade.weightG - ma.tooMuch.value));

/** What arms that tire over the week leave, 0–1. */
function leftByTiring({ blade }: BladeTraits, { cook, longHours }: CookContext, mode: Mode): number {
  const tires =
    (cook.strength === 'light' ? ma.light.value : 1) *
    (1 - ma.falls.value * cook.motions.chop) *
    ma.tiring.value *
    Math.max(0, blade.weightG - FIT.easyWeight[cook.strength].value) *
    Math.min(ma.tiresMost.value, ma.resting.value + ma.perHour.value * longHours);
  return 1 - Math.min(ma.tiresCap.value, mode.id === 'board' ? tires : tires * ma.drawn.value);
}

export const mass: Part = {
  id: 'mass',
  restsOn: 'both',
  changes: 'week',
  reads: ({ cook, longHours }) => [cook.strength, cook.motions.chop, longHours],
  sees: (task, mode) => [isHelped(task, mode), wantedWeightG(task, mode), task.load >= FIT.wedge.breaks.value],
  name: 'Weight',
  about: 'Weight helps dense food and blows; over a long week it tires.',
  level: (_task, mode) => (mode.id === 'board' || mode.id === 'cleave' || mode.id === 'slice' ? 1 : 0),
  value: (b, task, context, mode) =>
    leftByLightness(b, task, mode) *
    leftByThinSpine(b, task, mode) *
    leftByUnruliness(b, task, mode) *
    leftByTiring(b, context, mode),
  why: (b, task, context, mode, value) => {
    const weight = `${figure(b.blade.weightG)} g`;
    if (value >= ma.right.value) return `${weight}: right for the work.`;
    const losses: [number, string][] = [
      [
        leftByLightness(b, task, mode),
        `light for this, ${mode.id === 'cleave' ? 'a blow wants' : 'dense food wants'} more`,
      ],
      [leftByThinSpine(b, task, mode), `but a ${b.blade.spineHeelMm.toFixed(1)} mm spine is thin for bone and shell`],
      [leftByUnruliness(b, task, mode), 'so heavy that it falls where it likes'],
      [leftByTiring(b, context, mode), `tiring for ${context.cook.strength} arms over the week`],
    ];
    const [, told] = losses.reduce((most, each) => (each[0] < most[0] ? each : most));
    return `${weight}: ${told}.`;
  },
};

export const handle: Part = {
  id: 'handle',
  restsOn: 'both',
  reads: ({ habits }) => [habits.roughUse, habits.dishwasher],
  sees: (task) => [isRawFlesh(task)],
  name: 'Handle',
  about: 'Whether the handle stands rough use and the machine, and comes clean.',
  level: () => 1,
  value: (b, task, { habits }, mode) => {
    let value = isHinged(b, task) ? ha.hinge.value : folds(b, mode) ? ha.folds.value : 1;
    if (habits.roughUse && b.woodHandle) value *= ha.roughWood.value;
    if (habits.dishwasher)
      value *= b.woodHandle ? ha.machineWood.value : b.blade.handleStyle === 'western' ? ha.machineRiveted.value : 1;
    return value;
  },
  why: (b, task, _cook, mode, value) => {
    if (isHinged(b, task)) return 'Raw juices get into a hinge that hardly comes clean.';
    if (folds(b, mode)) return 'A blade that folds gives where it is pressed on a board.';
    if (value < 0.9) return 'A glued wooden handle will not last with this use.';
    return value < 1 ? 'A riveted handle suffers a little in the machine.' : 'The handle stands this kitchen.';
  },
};

/** Pressed on a board, a blade that folds gives in its hinge. */
const folds = ({ blade }: BladeTraits, mode: Mode): boolean =>
  blade.handleStyle === 'folding' && (mode.id === 'board' || mode.id === 'tip');

/** Raw meat, poultry and fish in the hinge of a folding knife. */
const isHinged = ({ blade }: BladeTraits, task: Task): boolean => blade.handleStyle === 'folding' && isRawFlesh(task);

export const flatSide: Part = {
  id: 'flat-side',
  restsOn: 'task',
  name: 'Flat side',
  about: 'A side broad enough to crush under the palm.',
  level: (task) => (task.flatSide ? 1 : 0),
  value: (b) => fs.least.value + (1 - fs.least.value) * ramp(b.blade.heelHeightMm, fs.narrow.value, fs.wide.value),
  why: (b, _task, _cook, _mode, value) =>
    `${mm(b.blade.heelHeightMm)} tall: ${byValue(value, 'broad enough to crush under the palm', 'a narrow side', 'too narrow to crush with')}.`,
};

export const table: Part = {
  id: 'table',
  restsOn: 'task',
  name: 'At the table',
  about: 'Short, low and light beside a plate.',
  level: (_task, mode) => (mode.id === 'table' ? 1 : 0),
  value: (b) =>
    fallOff(b.blade.lengthMm - ta.easy.value, ta.scale.value) *
    fallOff(b.blade.heelHeightMm - ta.low.value, ta.lowScale.value) *
    (ta.short.value + (1 - ta.short.value) * ramp(b.blade.lengthMm, ta.shortFrom.value, ta.shortTo.value)),
  why: (b, _task, _cook, _mode, value) =>
    `${mm(b.blade.lengthMm)} long, ${mm(b.blade.heelHeightMm)} tall: ${byValue(value, 'sits beside a plate', 'large beside a plate', 'a kitchen knife, not a table knife')}.`,
};
