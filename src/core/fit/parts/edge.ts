import { handToTipMm } from '../../blade/hold';
import { FIT } from '../../constants';
import { isRawFlesh } from '../../cutting/eaten';
import type { Task } from '../../cutting/task';
import { fallOff, ramp } from '../curves';
import { isFineDice, slidesUnder, type Mode } from '../modes';
import { byValue, mm, type Part } from '../part';
import type { BladeTraits } from '../traits';
import { figure } from '../../text/figure';

const { tip: t, face: f, crust: cr } = FIT;

/** In fine dice, cut down to the board, a square corner does nearly the work of a point. */
const cornering = ({ blade }: BladeTraits, task: Task, mode: Mode): number =>
  blade.tip === 'square' && isFineDice(task, mode) ? t.corner.value / FIT.tipShape.square.value : 1;

export const tip: Part = {
  id: 'tip',
  restsOn: 'both',
  reads: ({ cook }) => [cook.grip],
  sees: (task) => [task.tip, task.load, Math.min(task.widthMm, task.heightMm * 2)],
  name: 'Tip',
  about: 'Distance from the holding hand to the tip, its shape and its thinness.',
  level: (task, mode) => {
    if (mode.id === 'tip') return Math.max(1, task.tip);
    return t.most.value * Math.pow(task.tip / t.most.value, t.perNeed.value);
  },
  value: (b, task, { cook }, mode) => {
    const forgives = t.perFood.value + ((t.perFoodExact.value - t.perFood.value) * task.tip) / t.most.value;
    const steady = t.steady.value + forgives * Math.min(task.widthMm, task.heightMm * 2);
    const turns = mode.id === 'tip' && task.load >= t.turnLoad.value;
    const stuck = turns ? fallOff(b.blade.heelHeightMm - t.turnHeight.value, t.turnScale.value) : 1;
    const quality =
      task.load >= f.alongBone.value ? FIT.tipShape[b.blade.tip].value : b.tipQuality * cornering(b, task, mode);
    const torn = b.serrated && mode.id !== 'hand' ? t.teeth.value : 1;
    return (
      quality *
      stuck *
      torn *
      (t.far.value + (1 - t.far.value) * fallOff(handToTipMm(b.blade, cook.grip) - steady, t.scale.value))
    );
  },
  why: (b, _task, { cook }, _mode, value) =>
    `Tip ${mm(handToTipMm(b.blade, cook.grip))} from the fingers, ${b.blade.tip}, ${b.blade.spineTipMm.toFixed(1)} mm thin: ${byValue(value, 'exact', 'steady enough', 'it wanders')}.`,
};

/** What the sides of an edge leave of a face. A double bevel rubs a soft clean slice, the more the blunter its angle; one laid over a supple blade falls free of it. */
function sidesLeave(b: BladeTraits, task: Task, mode: Mode, onBone: boolean): number {
  if (b.blade.bevel === 'single') return onBone && isRawFlesh(task) ? f.flatBack.value : 1;
  if (onBone || mode.id !== 'slice' || b.serrated) return 1;
  const soft = ramp(f.soft.value - task.firm, 0, f.soft.value - f.softest.value);
  const supple = task.flexible ? b.blade.flex : 0;
  const rubs = (1 - f.double.value) * Math.min(f.rubsMost.value, (b.angleDeg / f.rubsAngle.value) ** 2);
  const drags = b.blade.tip === 'round' && isRawFlesh(task) ? f.roundDrag.value : 1;
  return drags * (1 - rubs * soft * (1 - supple));
}

export const face: Part = {
  id: 'face',
  restsOn: 'task',
  name: 'Cut and face',
  about:
    'Thinness behind the edge, its angle, its bevel, and whether teeth tear: how easily it parts food, and what the face looks like.',
  level: (task, mode) =>
    mode.id === 'child'
      ? 0
      : f.perClean.value * task.clean + f.perThin.value * task.thin + (mode.id === 'board' ? f.ease.value : 0),
  value: (b, task, _cook, mode) => {
    const onBone = task.load >= f.alongBone.value;
    // teeth sawn gently through crumb, or a plain edge along bone: only part of the roughness shows
    const gentle = (mode.id === 'saw' && b.serrated) || ((onBone || slidesUnder(task, mode)) && !b.serrated);
    const torn = gentle ? 1 - (1 - b.faceQuality) * f.tearSawn.value : b.faceQuality;
    const drag = mode.id === 'slice' ? f.tallDrag.value * Math.max(0, b.blade.heelHeightMm - f.low.value) : 0;
    return Math.min(1, torn * sidesLeave(b, task, mode, onBone) * (1 - Math.min(f.dragCap.value, drag)));
  },
  why: (b, _task, _cook, _mode, value) => {
    if (b.serrated)
      return `${b.blade.serration === 'pointed' ? 'Pointed' : 'Scalloped'} teeth, ${b.blade.serrationPitchMm} mm apart, tear the face.`;
    return `${b.blade.behindEdgeMm.toFixed(2)} mm behind the edge, ${figure(b.angleDeg)}°${b.blade.bevel === 'single' ? ' on one side' : ' a side'}: ${byValue(value, 'a clean cut', 'a fairly clean cut', 'a bruised face')}.`;
  },
};

export const crust: Part = {
  id: 'crust',
  restsOn: 'task',
  name: 'Crust',
  about: 'Teeth bite crust and crumb; a plain edge presses unless it is very keen and long.',
  level: (task, mode) =>
    task.crust
      ? 1
      : mode.id === 'saw' || (mode.id === 'slice' && task.motions[0] === 'saw')
        ? // the more the face is looked at the softer the food: sponge has no crust
          cr.crumb.value * (1 - task.clean / 4)
        : 0,
  value: (b) => {
    if (b.serrated) return b.blade.serration === 'pointed' ? 1 : cr.scalloped.value;
    const acute = ramp(cr.acuteFrom.value - b.angleDeg, 0, cr.acuteFrom.value - cr.acuteTo.value);
    const keen = acute * ramp(b.hardness, cr.hardFrom.value, cr.hardTo.value);
    return (
      cr.plain.value + cr.keen.value * keen + cr.long.value * ramp(b.blade.lengthMm, cr.longFrom.value, cr.longTo.value)
    );
  },
  why: (b) =>
    b.serrated
      ? `${b.blade.serration === 'pointed' ? 'Pointed' : 'Scalloped'} teeth bite the crust.`
      : 'A plain edge has to be pressed, and crushes the crumb.',
};
