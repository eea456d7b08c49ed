import { bestContact } from '../blade/contact';
import { handleGirthMm, knuckleRoomMm, pinchToTipMm } from '../blade/hold';
import { rockAngleRad } from '../blade/rocking';
import type { BladeModel, Steel } from '../blade/schema';
import { edgeStrength, hardness } from '../blade/strength';
import type { Task } from '../cutting/task';
import type { BoardMotion } from '../kitchen/kitchen';
import type { Reference } from '../reference';
import { FIT } from '../constants';
import { fallOff, ramp } from './curves';

/** What a blade's numbers mean, worked out once per blade and used by every task. */
export interface BladeTraits {
  blade: BladeModel;
  steel: Steel;
  serrated: boolean;
  contactShare: number;
  rockAngleRad: number;
  /** How well the profile carries each motion on the board, 0–1. */
  carries: Record<BoardMotion, number>;
  pinchToTipMm: number;
  tipQuality: number;
  strength: number;
  hardness: number;
  /** 0 never rusts … 1 plain carbon. */
  reactivity: number;
  girthMm: number;
  /** What the blade asks of the hand before its length is counted, 0–1. */
  demand: number;
  /** Sharpness and thinness of the cutting edge as it shows in a face, 0–1. */
  faceQuality: number;
  woodHandle: boolean;
  knuckleRoomMm(palmBreadthMm: number): number;
  /** What the parts that rest on the task alone leave of each of its ways, 0–1: filled as it is scored. */
  forTask: Map<Task, Float64Array>;
}

function faceQuality(blade: BladeModel): number {
  const f = FIT.face;
  const thin = 1 - f.behindEdgeScale.value * Math.max(0, blade.behindEdgeMm - f.behindEdge.value);
  const acute = 1 - f.angleScale.value * Math.max(0, blade.edgeAngleDeg - f.angle.value);
  const pitch = ramp(blade.serrationPitchMm, 3, 8);
  const tears =
    blade.serration === 'none'
      ? 1
      : (f.tearFine.value + (f.tearCoarse.value - f.tearFine.value) * pitch) *
        (blade.serration === 'pointed' ? 0.96 : 1);
  return Math.max(0.2, thin) * Math.max(0.4, acute) * tears;
}

const known = new WeakMap<BladeModel, BladeTraits>();

/** Traits of a blade, worked out once per model object. Throws when its steel family is not in the reference. */
export function bladeTraits(blade: BladeModel, reference: Pick<Reference, 'steels'>): BladeTraits {
  const before = known.get(blade);
  if (before) return before;
  const traits = derive(blade, reference);
  known.set(blade, traits);
  return traits;
}

function derive(blade: BladeModel, reference: Pick<Reference, 'steels'>): BladeTraits {
  const steel = reference.steels.get(blade.steel);
  if (!steel) throw new Error(`${blade.id}: no steel family ${blade.steel}`);
  const contactShare = bestContact(blade).share;
  const turn = rockAngleRad(blade);
  const hrc = hardness(blade);
  const serrated = blade.serration !== 'none';
  const limp = 1 - FIT.motion.limp.value * blade.flex;
  const board = limp * (serrated ? FIT.motion.serratedBoard.value : 1);
  const roundness = ramp(turn, 0, FIT.motion.rockTurn.value);
  const hooked = blade.bellyMm < 0 ? 0.3 : 1;
  const practice = FIT.practice;
  return {
    blade,
    steel,
    serrated,
    contactShare,
    rockAngleRad: turn,
    carries: {
      rock: board * hooked * (0.35 + 0.65 * roundness),
      push: board * hooked * (0.6 + 0.4 * ramp(contactShare, 0.22, 0.58)) * (1 - 0.1 * ramp(contactShare, 0.85, 1)),
      pull:
        (serrated ? FIT.motion.serratedPull.value : 1) *
        hooked *
        FIT.tipPull[blade.tip].value *
        (1 - 0.18 * ramp(contactShare, 0.82, 1)),
      chop: board * hooked * (0.4 + 0.6 * ramp(contactShare, 0.25, 0.9)),
    },
    pinchToTipMm: pinchToTipMm(blade),
    tipQuality: FIT.tipShape[blade.tip].value * (0.6 + 0.4 * fallOff(blade.spineTipMm - FIT.tip.thin.value, 1.6)),
    strength: edgeStrength(blade, steel),
    hardness: hrc,
    reactivity: Math.min(1, Math.max(0, (FIT.corrosion.safe.value - steel.rustProof) / (FIT.corrosion.safe.value - 1))),
    girthMm: handleGirthMm(blade),
    demand:
      (blade.bevel === 'single' ? practice.single.value : blade.bevel === 'uneven' ? practice.single.value / 3 : 0) +
      practice.thinHard.value * ramp(hrc, 59, 64) * (1 - ramp(blade.edgeAngleDeg, 10, 15)),
    faceQuality: faceQuality(blade),
    woodHandle: ['octagon', 'oval', 'd-shape'].includes(blade.handleStyle),
    knuckleRoomMm: (palm) => knuckleRoomMm(blade, palm),
    forTask: new Map(),
  };
}
