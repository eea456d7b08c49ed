import { thicknessAtDepthMm } from '../../blade/thickness';
import { FIT } from '../../constants';
import type { Task } from '../../cutting/task';
import { fallOff, ramp } from '../curves';
import { isPressed, isSheet, isShortDraw, slidesUnder, type Mode } from '../modes';
import { byValue, mm, type Part } from '../part';
import type { BladeTraits } from '../traits';

const { wedge: w, steer: st, release: re, flex: fl, joint: j, frame: fr, body: bd } = FIT;

/** How a blade so thick splits hard rind: a stout spine bears the hands, a very thick one bursts it. */
const splits = ({ blade }: BladeTraits, atMm: number): number =>
  (w.slight.value + (1 - w.slight.value) * ramp(blade.spineHeelMm, w.slightTo.value, w.stoutFrom.value)) *
  Math.exp(-w.bursts.value * Math.max(0, atMm - w.stoutTo.value));

export const wedge: Part = {
  id: 'wedge',
  restsOn: 'task',
  name: 'Wedge',
  about: 'Thickness of the blade at the depth of firm food: thick blades split it.',
  level: (task, mode) =>
    task.load < w.breaks.value &&
    (mode.id === 'board' ||
      isShortDraw(task, mode) ||
      ((mode.id === 'slice' || mode.id === 'hand') && task.firm >= w.from.value))
      ? 1
      : 0,
  value: (b, task, _cook, mode) => {
    const at = thicknessAtDepthMm(b.blade, task.heightMm);
    if (isPressed(task, mode)) return splits(b, at);
    const aside = mode.id === 'hand' ? 0 : Math.max(0, at - w.thick.value);
    const soft = Math.exp(-w.thickScale.value * aside);
    const firmness = Math.max(0, Math.min(task.firm, w.most.value) - w.from.value + 1);
    const near = mode.id === 'board' ? Math.max(0, thicknessAtDepthMm(b.blade, w.nearDepth.value) - w.near.value) : 0;
    return (
      soft *
      Math.exp(-w.scale.value * Math.max(0, at - w.free.value) * firmness) *
      Math.exp(-w.nearScale.value * near * ramp(task.firm, w.nearFrom.value, w.from.value))
    );
  },
  why: (b, task, _cook, mode, value) => {
    const thick = `${thicknessAtDepthMm(b.blade, task.heightMm).toFixed(1)} mm thick ${mm(Math.min(task.heightMm, b.blade.heelHeightMm))} up`;
    if (!isPressed(task, mode))
      return `${thick}: ${byValue(value, 'passes through', 'wedges a little', 'splits the food')}.`;
    const tooSlight = b.blade.spineHeelMm < w.stoutFrom.value;
    return `${thick}: ${value >= 0.9 ? 'stout enough to press through rind' : tooSlight ? 'slight for hard rind' : 'bursts the rind more than it cuts'}.`;
  },
};

/** How strongly food of its firmness turns a one-sided bevel, 0–1: more in a free draw than against a board. */
const steers = ({ firm }: Task, mode: Mode): number =>
  mode.id === 'slice'
    ? ramp(firm, st.drawnFrom.value, st.drawnTo.value)
    : ramp(firm, st.firmFrom.value, st.firmTo.value);

export const steer: Part = {
  id: 'steer',
  restsOn: 'both',
  reads: ({ cook }) => [cook.experience],
  sees: ({ firm, heightMm }) => [firm, heightMm],
  name: 'Steering',
  about: 'Drift of one-sided bevels in tall dense food, and of two-sided ones round a sheet.',
  level: (task, mode) =>
    task.load < w.breaks.value &&
    (mode.id === 'board' || mode.id === 'slice' || mode.id === 'saw' || (mode.id === 'hand' && isSheet(task)))
      ? 1
      : 0,
  value: (b, task, { cook }, mode) => {
    if (mode.id === 'hand') return b.blade.bevel === 'single' ? 1 : st.sheet.value;
    if (b.blade.bevel === 'double') return 1;
    const held = (mode.id === 'slice' ? st.heldDrawn : st.held).value;
    const single = (mode.id === 'slice' ? st.singleDrawn : st.single).value;
    const drift = b.blade.bevel === 'single' ? single : st.uneven.value;
    return (
      1 -
      drift *
        (1 - held * FIT.brings[cook.experience].value) *
        steers(task, mode) *
        (st.low.value + (1 - st.low.value) * ramp(task.heightMm, st.lowMm.value, st.tallMm.value))
    );
  },
  why: (b, _task, _cook, mode, value) => {
    if (mode.id === 'hand')
      return b.blade.bevel === 'single'
        ? 'Its flat back lies on the food and keeps the sheet even.'
        : 'Ground on both sides: the sheet comes out a little uneven.';
    return b.blade.bevel === 'double'
      ? 'Ground on both sides: it cuts straight.'
      : `Ground ${b.blade.bevel === 'single' ? 'on one side' : 'unevenly'}: ${byValue(value, 'no drift in soft food', 'drifts a little', 'drifts to one side')}.`;
  },
};

export const release: Part = {
  id: 'release',
  restsOn: 'task',
  name: 'Release',
  about: 'Whether slices cling to the side of the blade.',
  level: (task, mode) => (task.stick > 0 && mode.id !== 'hand' && mode.id !== 'tip' && mode.id !== 'table' ? 1 : 0),
  value: (b, task, _cook, mode) => {
    const side = Math.min(b.blade.heelHeightMm, task.heightMm) / re.tall.value;
    const pushed = mode.id === 'board' ? 1 + re.pushed.value * ramp(re.soft.value - task.firm, 0, 1) : 1;
    const helped = b.blade.surface === 'polished' ? 1 : re.helped.value;
    return 1 - re.perStick.value * task.stick * pushed * Math.min(re.most.value, re.least.value + side) * helped;
  },
  why: (b, _task, _cook, _mode, value) =>
    `${mm(b.blade.heelHeightMm)} of ${b.blade.surface} side: ${byValue(value, 'slices let go', 'slices cling a little', 'slices cling')}.`,
};

/** Where a little bend does no harm: along a frame, and in a long draw. */
const isForgiving = ({ load }: Task, { long }: Mode): boolean =>
  load < FIT.joint.full.value && (long || load >= FIT.joint.from.value);

export const flex: Part = {
  id: 'flex',
  restsOn: 'task',
  name: 'Flex',
  about: 'Bend is wanted along skin and flat frames, unwanted round joints.',
  level: (task, mode) => {
    if (task.flexible || task.stiff) return 1;
    // along a frame or a bone bend neither helps nor harms; round a joint it does
    if (task.load >= FIT.joint.from.value)
      return task.load >= FIT.joint.full.value
        ? fl.jointLevel.value
        : task.heightMm >= fl.tall.value
          ? fl.tallLevel.value
          : 0;
    // a draw wants a blade that stays in its plane
    return mode.id === 'slice' ? fl.drawLevel.value * (task.thin === 0 && mode.long ? fl.thickSlice.value : 1) : 0;
  },
  value: (b, task, _cook, mode) =>
    task.flexible
      ? (fl.stiffWhereWanted.value + (1 - fl.stiffWhereWanted.value) * ramp(b.blade.flex, 0, fl.enoughTall.value)) *
        (task.heightMm >= fl.tall.value ? 1 - fl.tallCost.value * ramp(b.blade.flex, fl.tallFrom.value, 1) : 1)
      : 1 -
        (1 - fl.limpWhereUnwanted.value) *
          (isForgiving(task, mode)
            ? ramp(b.blade.flex, fl.wanders.value, fl.wanderTo.value)
            : ramp(b.blade.flex, fl.stiffTo.value, fl.limpFrom.value)),
  why: (b, task) => {
    const bends = b.blade.flex >= 0.4 ? 'bends freely' : b.blade.flex >= 0.12 ? 'bends a little' : 'is stiff';
    return `The blade ${bends}; ${task.flexible ? 'it should follow skin and bone' : 'it should stay in its plane'}.`;
  },
};

/** Where the tip works round bone: blows and open flesh are other work. */
const atBone = (task: Task, mode: Mode) =>
  task.load >= j.from.value &&
  task.motions.includes('tip') &&
  (mode.id === 'tip' || mode.id === 'slice' || mode.id === 'board');

/** How well the handle stays in a wet hand that pushes, 0–1. */
function holdsWet({ blade, woodHandle }: BladeTraits): number {
  if (blade.handleStyle === 'folding') return j.folding.value;
  if (blade.handleStyle === 'metal') return j.metal.value;
  return woodHandle ? j.wood.value : 1;
}

/** What keeps fingers off the edge, 0 nothing – 1 a tall heel. */
function guards({ blade }: BladeTraits): number {
  const made = blade.handleStyle === 'moulded' ? j.moulded.value : blade.bolster === 'none' ? 0 : j.bolster.value;
  return Math.max(made, ramp(blade.heelHeightMm, j.heelFrom.value, j.heelTo.value));
}

/** How a blade rides along a frame: slim, or led by a stout flat back, and long enough to take it in one go. */
function alongFrame({ blade, serrated }: BladeTraits): number {
  const slim = fallOff(blade.heelHeightMm - fr.slim.value, fr.slimScale.value);
  const led = ramp(blade.spineHeelMm, fr.stoutFrom.value, fr.stoutTo.value);
  const long = fr.short.value + (1 - fr.short.value) * ramp(blade.lengthMm, fr.shortFrom.value, fr.shortTo.value);
  return Math.max(slim, led) * long * (serrated ? j.teeth.value : 1);
}

/** How a blade turns round bone: narrow towards the tip, its edge near the tip's line, its spine no wedge. */
const turns = ({ blade, turningMm }: BladeTraits): number =>
  fallOff(turningMm - j.wide.value, j.wideScale.value) *
  fallOff(blade.bellyMm - j.belly.value, j.bellyScale.value) *
  fallOff(blade.spineHeelMm - j.wedge.value, j.wedgeScale.value);

/** How a blade goes through a joint that may be forced. */
const forces = ({ blade }: BladeTraits): number =>
  j.forced.value * ramp(blade.spineHeelMm, j.thinTo.value, fr.stoutTo.value);

export const joint: Part = {
  id: 'joint',
  restsOn: 'task',
  name: 'At the bone',
  about: 'Whether blade and handle stand the force of work round bone in a wet hand.',
  // a cooked bird's joints give way by themselves
  level: (task, mode) =>
    slidesUnder(task, mode)
      ? j.under.value
      : !atBone(task, mode)
        ? 0
        : task.load < j.full.value && task.heightMm >= fl.tall.value
          ? j.cooked.value
          : 1,
  value: (b, task) => {
    const { blade } = b;
    if (task.load < j.full.value) return alongFrame(b);
    const deep = Math.min(task.heightMm, task.widthMm);
    const reaches = ramp(blade.lengthMm, j.least.value * deep, j.enough.value * deep);
    const stout = ramp(blade.spineHeelMm, j.thinFrom.value, j.thinTo.value);
    return (
      (j.short.value + (1 - j.short.value) * reaches) *
      (b.serrated ? j.teeth.value : 1) *
      holdsWet(b) *
      (j.lowHeel.value + (1 - j.lowHeel.value) * guards(b)) *
      (j.thin.value + (1 - j.thin.value) * stout) *
      fallOff(blade.lengthMm - j.longest.value, j.longScale.value) *
      Math.max(turns(b), task.motions.includes('chop') ? forces(b) : 0)
    );
  },
  why: (b, _task, _cook, _mode, value) =>
    `${mm(b.blade.lengthMm)} long, ${b.blade.spineHeelMm.toFixed(1)} mm at the spine, ${mm(b.turningMm)} wide towards the tip${b.serrated ? ', toothed' : ''}${b.blade.handleStyle === 'folding' ? ', held open by a lock' : ''}: ${byValue(value, 'stands the force of it', 'wants care', 'the hand may slip or the blade give')}.`,
};

export const body: Part = {
  id: 'body',
  restsOn: 'task',
  name: 'Body',
  about: 'A side tall enough to keep its plane in a tall cut.',
  level: (task, mode) =>
    isPressed(task, mode) ? bd.pressed.value : mode.id === 'slice' && task.heightMm >= bd.tall.value ? 1 : 0,
  value: (b, task, _cook, mode) => {
    const height = isPressed(task, mode) ? bd.pressedHeight.value : bd.height.value;
    return bd.least.value + (1 - bd.least.value) * fallOff(height - b.blade.heelHeightMm, bd.scale.value);
  },
  why: (b, task, _cook, _mode, value) =>
    `${mm(b.blade.heelHeightMm)} of side in ${mm(task.heightMm)} of food: ${byValue(value, 'it keeps its plane', 'it turns a little', 'it turns in the cut')}.`,
};
