import { bestContact } from '../blade/contact';
import { handleGirthMm, knuckleRoomMm, type Grip } from '../blade/hold';
import { effectiveAngleDeg } from '../edge/keenness';
import { rockAngleRad } from '../blade/rocking';
import type { BladeModel, Steel } from '../blade/schema';
import { widthAtMm } from '../blade/spineLine';
import { edgeStrength, hardness } from '../blade/strength';
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
  /** Width of the blade where it turns round bone, mm. */
  turningMm: number;
  /** Degrees a side after the first sharpening: what the blade is scored at. */
  angleDeg: number;
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
  /** Made to lie beside a plate. */
  forTable: boolean;
  knuckleRoomMm(palmBreadthMm: number, grip?: Grip): number;
  /** By way of doing a task: what the parts that rest on the task alone leave of it; NaN, or beyond its end, where that is not worked out yet. */
  byWay: Float64Array;
}

function faceQuality(blade: BladeModel, angleDeg: number): number {
  const f = FIT.face;
  const thin = 1 - f.behindEdgeScale.value * Math.max(0, blade.behindEdgeMm - f.behindEdge.value);
  const acute = 1 - f.angleScale.value * Math.max(0, angleDeg - f.angle.value);
  const pitch = ramp(blade.serrationPitchMm, f.pitchFine.value, f.pitchCoarse.value);
  const tears =
    blade.serration === 'none'
      ? 1
      : (f.tearFine.value + (f.tearCoarse.value - f.tearFine.value) * pitch) *
        (blade.serration === 'pointed' ? f.pointed.value : 1);
  return Math.max(f.thinLeast.value, thin) * Math.max(f.acuteLeast.value, acute) * tears;
}

const known = { gentle: new WeakMap<BladeModel, BladeTraits>(), rough: new WeakMap<BladeModel, BladeTraits>() };

/**
 * Traits of a blade, worked out once per model object; rough use asks for a blunter edge. Throws when its steel family is not in the reference.
 */
export function bladeTraits(
  blade: BladeModel,
  reference: Pick<Reference, 'steels' | 'types'>,
  roughUse = false,
): BladeTraits {
  const among = roughUse ? known.rough : known.gentle;
  const before = among.get(blade);
  if (before) return before;
  const traits = derive(blade, reference, roughUse);
  among.set(blade, traits);
  return traits;
}

/** A share of what lies between a low value and 1. */
const between = (low: number, share: number) => low + (1 - low) * share;

function derive(blade: BladeModel, reference: Pick<Reference, 'steels' | 'types'>, roughUse: boolean): BladeTraits {
  const steel = reference.steels.get(blade.steel);
  if (!steel) throw new Error(`${blade.id}: no steel family ${blade.steel}`);
  const angleDeg = effectiveAngleDeg(blade, steel, roughUse);
  const m = FIT.motion;
  const contactShare = bestContact(blade).share;
  const turn = rockAngleRad(blade);
  const hrc = hardness(blade);
  const serrated = blade.serration !== 'none';
  const limp = 1 - m.limp.value * blade.flex;
  const board = limp * (serrated ? m.serratedBoard.value : 1);
  const roundness = ramp(turn, 0, m.rockTurn.value);
  const hooked = blade.bellyMm < 0 ? m.hooked.value : 1;
  const { practice, tip: t } = FIT;
  return {
    blade,
    steel,
    serrated,
    contactShare,
    turningMm: widthAtMm(blade, FIT.joint.turnsAt.value),
    rockAngleRad: turn,
    carries: {
      rock: board * hooked * between(m.rockFlat.value, roundness),
      push:
        board *
        hooked *
        between(m.pushBellied.value, ramp(contactShare, m.pushFrom.value, m.pushTo.value)) *
        (1 - m.flatPush.value * ramp(contactShare, m.deadFlatFrom.value, 1)),
      pull:
        (serrated ? m.serratedPull.value : 1) *
        hooked *
        FIT.tipPull[blade.tip].value *
        (1 - m.flatPull.value * ramp(contactShare, m.pullFlatFrom.value, 1)),
      chop: board * hooked * between(m.chopBellied.value, ramp(contactShare, m.chopFrom.value, m.chopTo.value)),
    },
    angleDeg,
    tipQuality:
      FIT.tipShape[blade.tip].value *
      FIT.spineLine[blade.spineLine].value *
      (t.thickest.value + (1 - t.thickest.value) * fallOff(blade.spineTipMm - t.thin.value, t.thinScale.value)),
    strength: edgeStrength({ ...blade, edgeAngleDeg: angleDeg }, steel),
    hardness: hrc,
    reactivity: Math.min(1, Math.max(0, (FIT.corrosion.safe.value - steel.rustProof) / (FIT.corrosion.safe.value - 1))),
    girthMm: handleGirthMm(blade),
    demand:
      (blade.bevel === 'single'
        ? practice.single.value
        : blade.bevel === 'uneven'
          ? practice.single.value * practice.unevenShare.value
          : 0) +
      practice.thinHard.value *
        ramp(hrc, practice.hardFrom.value, practice.hardTo.value) *
        (1 - ramp(angleDeg, practice.acuteTo.value, practice.acuteFrom.value)),
    faceQuality: faceQuality(blade, angleDeg),
    forTable: reference.types.get(blade.type)?.role === 'table',
    woodHandle: ['octagon', 'oval', 'd-shape'].includes(blade.handleStyle),
    knuckleRoomMm: (palm, grip) => knuckleRoomMm(blade, palm, grip),
    byWay: new Float64Array(),
  };
}

/** Whether steel is wiped during the work and oiled before it rests. */
export const isReactive = ({ reactivity }: Pick<BladeTraits, 'reactivity'>): boolean =>
  reactivity > FIT.corrosion.reactive.value;
