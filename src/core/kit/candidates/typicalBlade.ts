import { TYPICAL } from '../../constants';
import type { BladeModel, BladeType } from '../../blade/schema';
import { UNKNOWN_MAKER } from '../../blade/words';
import type { Owned } from '../../kitchen/kitchen';

const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;

/** A blade of the type's middling figures at the length and steel given: what an owned knife is taken for until it is measured. */
export function typicalBlade(
  type: BladeType,
  owned: Pick<Owned, 'lengthMm' | 'steel'>,
  hand: 'right' | 'left',
): BladeModel {
  const lengthMm = owned.lengthMm ?? type.usualLengthMm;
  const [short, long] = type.lengthMm;
  const longer = Math.min(1, Math.max(0, (lengthMm - short) / Math.max(1, long - short)));
  const along = ([low, high]: readonly [number, number]) => low + (high - low) * longer;
  const serration = type.serrations[0] ?? 'none';
  const bevel = type.bevels[0] ?? 'double';
  const spineHeelMm = middle(type.spineHeelMm);
  const spineTipMm = middle(type.spineTipMm);
  const small = type.heelHeightMm[1] <= TYPICAL.smallHeel.value;
  const handle = small ? TYPICAL.small : TYPICAL.large;
  const handleStyle = type.usualHandle ?? 'western';
  return {
    id: `typical-${type.id}`,
    maker: UNKNOWN_MAKER,
    name: type.name,
    type: type.id,
    lengthMm,
    heelHeightMm: along(type.heelHeightMm),
    spineHeelMm,
    spineMidMm: spineTipMm + (spineHeelMm - spineTipMm) * TYPICAL.midShare.value,
    spineTipMm,
    flatShare: middle(type.flatShare),
    bellyMm: along(type.bellyMm),
    tip: type.tips[0] ?? 'point',
    spineLine: 'straight',
    flex: middle(type.flex),
    grind: 'flat',
    behindEdgeMm: spineHeelMm > TYPICAL.stout.value ? TYPICAL.stoutEdge.value : TYPICAL.edge.value,
    edgeAngleDeg: middle(type.edgeAngleDeg),
    edgeAngleBackDeg: bevel === 'single' ? 0 : middle(type.edgeAngleDeg),
    bevel,
    handed: bevel === 'double' ? 'either' : hand,
    microBevel: false,
    serration,
    serrationPitchMm: serration === 'none' ? 0 : small ? TYPICAL.pitchSmall.value : TYPICAL.pitch.value,
    surface: 'polished',
    handleStyle,
    handleLengthMm: handle.handleLength.value,
    handleHeightMm: handle.handleHeight.value,
    handleThicknessMm: handle.handleThickness.value,
    handleOffsetMm: 0,
    handleHanded: handleStyle === 'd-shape' ? hand : 'either',
    tang: handleStyle === 'western' || handleStyle === 'folding' ? 'full' : 'hidden',
    bolster: 'none',
    easedSpine: true,
    weightG: Math.round(along(type.weightG)),
    balanceMm: 0,
    steel: owned.steel ?? (middle(type.hrc) >= TYPICAL.hardFrom.value ? 'hard-stainless' : 'soft-stainless'),
    hrc: middle(type.hrc),
    priceMinor: 0,
    currency: 'EUR',
  };
}
