import { thicknessAtDepthMm } from '../../blade/thickness';
import { FIT } from '../../constants';
import { ramp } from '../curves';
import { byValue, mm, type Part } from '../part';

const { wedge: w, steer: st, release: re, flex: fl } = FIT;

export const wedge: Part = {
  id: 'wedge',
  restsOn: 'task',
  name: 'Wedge',
  about: 'Thickness of the blade at the depth of firm food: thick blades split it.',
  level: (task, mode) =>
    task.firm >= w.from.value &&
    task.load < w.breaks.value &&
    (mode.id === 'board' || mode.id === 'slice' || mode.id === 'hand')
      ? 1
      : 0,
  value: (b, task) => {
    const thick = Math.max(0, thicknessAtDepthMm(b.blade, task.heightMm) - w.free.value);
    return Math.exp(-w.scale.value * thick * Math.max(0, Math.min(task.firm, w.most.value) - w.from.value + 1));
  },
  why: (b, task, _cook, _mode, value) =>
    `${thicknessAtDepthMm(b.blade, task.heightMm).toFixed(1)} mm thick ${mm(Math.min(task.heightMm, b.blade.heelHeightMm))} up: ${byValue(value, 'passes through', 'wedges a little', 'splits the food')}.`,
};

export const steer: Part = {
  id: 'steer',
  restsOn: 'task',
  name: 'Steering',
  about: 'Drift of one-sided bevels in tall dense food.',
  level: (task, mode) =>
    task.load < w.breaks.value && (mode.id === 'board' || mode.id === 'slice' || mode.id === 'saw') ? 1 : 0,
  value: (b, task) => {
    if (b.blade.bevel === 'double') return 1;
    const drift = b.blade.bevel === 'single' ? st.single.value : st.uneven.value;
    return 1 - drift * ramp(task.firm, 1.5, 6) * (0.45 + 0.55 * ramp(task.heightMm, 20, 90));
  },
  why: (b, _task, _cook, _mode, value) =>
    b.blade.bevel === 'double'
      ? 'Ground on both sides: it cuts straight.'
      : `Ground ${b.blade.bevel === 'single' ? 'on one side' : 'unevenly'}: ${byValue(value, 'no drift in soft food', 'drifts a little', 'drifts to one side')}.`,
};

export const release: Part = {
  id: 'release',
  restsOn: 'task',
  name: 'Release',
  about: 'Whether slices cling to the side of the blade.',
  level: (task, mode) => (task.stick > 0 && mode.id !== 'hand' && mode.id !== 'tip' && mode.id !== 'table' ? 1 : 0),
  value: (b, task) => {
    const side = Math.min(b.blade.heelHeightMm, task.heightMm) / re.tall.value;
    const helped = b.blade.surface === 'polished' ? 1 : re.helped.value;
    return 1 - re.perStick.value * task.stick * Math.min(1.3, 0.35 + side) * helped;
  },
  why: (b, _task, _cook, _mode, value) =>
    `${mm(b.blade.heelHeightMm)} of ${b.blade.surface} side: ${byValue(value, 'slices let go', 'slices cling a little', 'slices cling')}.`,
};

export const flex: Part = {
  id: 'flex',
  restsOn: 'task',
  name: 'Flex',
  about: 'Bend is wanted along skin and flat frames, unwanted round joints.',
  level: (task, mode) => {
    if (task.flexible || task.stiff) return 1;
    if (task.load >= FIT.face.alongBone.value) return task.long ? 0.5 : 0.25;
    // a draw wants a blade that stays in its plane
    return mode.id === 'slice' ? 0.35 : 0;
  },
  value: (b, task) =>
    task.flexible
      ? fl.stiffWhereWanted.value + (1 - fl.stiffWhereWanted.value) * ramp(b.blade.flex, 0, 0.55)
      : 1 - (1 - fl.limpWhereUnwanted.value) * ramp(b.blade.flex, 0.05, 0.7),
  why: (b, task) => {
    const bends = b.blade.flex >= 0.4 ? 'bends freely' : b.blade.flex >= 0.12 ? 'bends a little' : 'is stiff';
    return `The blade ${bends}; ${task.flexible ? 'it should follow skin and bone' : 'it should stay in its plane'}.`;
  },
};
