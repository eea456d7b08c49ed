import type { BladeModel, BladeType } from '../../blade/schema';
import { hardness } from '../../blade/strength';
import { EDGE, TYPICAL, WORTH } from '../../constants';
import type { BladeTraits } from '../../fit/traits';
import type { Kitchen, Tastes } from '../../kitchen/kitchen';
import { offLengthMm } from '../../fit/parts/length';
import type { Hand } from '../demand/hands';
import { isAllRound } from './kinds';

const against = (is: boolean, weight: number = WORTH.taste.value): number => (is ? weight : 0);

/** Handles by what is asked of their shape. */
const SHAPED = { round: ['oval'], octagon: ['octagon'], d: ['d-shape'] } as const;

/** Sides taken in how the main knife is made: none changes the cut. */
function ofMaking(blade: BladeModel, type: BladeType, { make, origin, handleShape }: Tastes): number {
  if (!isAllRound(type)) return 0;
  const asked = 3 * WORTH.taste.value;
  const shapes: readonly string[] = handleShape ? SHAPED[handleShape] : [];
  return (
    against(make !== null && blade.make !== make, asked) +
    against(origin !== null && blade.origin !== origin, asked) +
    against(handleShape !== null && !shapes.includes(blade.handleStyle), asked)
  );
}

/** Sides taken in what joints are boned with: blades of the other build are left where they are. */
function ofBoning(blade: BladeModel, { role, lengthMm }: BladeType, { boning, boningEdge }: Tastes): number {
  if (role !== 'butchery' || lengthMm[0] >= TYPICAL.longButchery.value) return 0;
  const bends = blade.flex >= WORTH.boningBends.value;
  const curved = blade.bellyMm >= WORTH.boningCurved.value;
  const strongly = 8 * WORTH.taste.value;
  // what is asked for comes before a small knife that would do
  const asIs = (side: boolean | null) => (side === null ? 0 : side ? -3 * WORTH.taste.value : strongly);
  return asIs(boning && bends === (boning === 'flexible')) + asIs(boningEdge && curved === (boningEdge === 'curved'));
}

/** What speaks against an all-round knife that is not of the length the plan itself tells for any hand here, coverage (handbook 10.4). */
function offLength(traits: BladeTraits, hands: readonly Hand[], { limits }: Kitchen): number {
  if (limits.school !== 'free') return 0;
  const off = Math.min(...hands.map(({ cook }) => offLengthMm(traits, cook)));
  return WORTH.offLength.value * Math.max(0, off - WORTH.offLengthFrom.value);
}

/**
 * What speaks against a model besides its price, coverage: the sides taken in the trade's disagreements (handbook 5.3), a kind hardly known, and a
 * length of a main knife that is not the one told.
 */
export function dislike(traits: BladeTraits, type: BladeType, kitchen: Kitchen, hands: readonly Hand[]): number {
  const { blade, steel } = traits;
  const { tastes, cooks } = kitchen;
  const taste = WORTH.taste.value;
  const clad = blade.steel === 'clad-carbon' || blade.steel === 'semi-stainless';
  const stainless = steel.rustProof >= 8;
  const surfaced = blade.surface === 'dimpled' || blade.surface === 'hammered';
  const soft = hardness(blade) < EDGE.honing.hardFrom.value;
  const main = isAllRound(type);
  const isUnknown = type.seldom === true && cooks.every(({ experience }) => experience !== 'trained');
  return (
    ofMaking(blade, type, tastes) +
    ofBoning(blade, type, tastes) +
    (main ? offLength(traits, hands, kitchen) : 0) +
    against(isUnknown, WORTH.seldom.value) +
    against(blade.steel === 'ceramic', WORTH.ceramic.value) +
    against(tastes.steel === 'stainless' && !stainless) +
    against(tastes.steel === 'clad' && !clad) +
    against(tastes.steel === 'reactive' && (stainless || clad)) +
    against(main && tastes.main === 'sturdy' && !soft) +
    against(main && tastes.main === 'thin' && soft) +
    against(tastes.dimples === 'help' && !surfaced && main, WORTH.looks.value) +
    against(tastes.dimples === 'decorate' && surfaced, WORTH.looks.value) +
    against(tastes.bolster === 'none' && blade.bolster === 'full') +
    against(tastes.bolster === 'full' && main && blade.bolster !== 'full') +
    against(tastes.third === 'carving' && type.role === 'serrated') +
    against(tastes.third === 'serrated' && type.role === 'slicer') +
    against(tastes.specialist === 'never' && ['butchery', 'fish', 'slicer'].includes(type.role), 4 * taste) -
    against(tastes.specialist === 'early' && ['butchery', 'fish', 'slicer'].includes(type.role)) +
    against(tastes.looks === 'plain' && blade.surface !== 'polished', WORTH.looks.value) +
    against(tastes.looks === 'hammered' && blade.surface !== 'hammered', WORTH.looks.value) +
    against(tastes.looks === 'rough-forged' && blade.surface !== 'rough-forged', WORTH.looks.value) +
    against(tastes.looks === 'patterned' && blade.patterned !== true, main ? taste : WORTH.looks.value)
  );
}
