import type { BladeType } from '../../blade/schema';
import { hardness } from '../../blade/strength';
import { WORTH, EDGE } from '../../constants';
import type { BladeTraits } from '../../fit/traits';
import type { Kitchen } from '../../kitchen/kitchen';
import { isAllRound } from './kinds';

/** What speaks against a model besides its price, coverage: the sides taken in the trade's disagreements (handbook 5.3), and a kind hardly known. */
export function dislike({ blade, steel }: BladeTraits, type: BladeType, { tastes, cooks }: Kitchen): number {
  const taste = WORTH.taste.value;
  const against = (is: boolean, weight = taste) => (is ? weight : 0);
  const clad = blade.steel === 'clad-carbon' || blade.steel === 'semi-stainless';
  const stainless = steel.rustProof >= 8;
  const surfaced = blade.surface === 'dimpled' || blade.surface === 'hammered';
  const soft = hardness(blade) < EDGE.honing.hardFrom.value;
  const main = isAllRound(type);
  const isUnknown = type.seldom === true && cooks.every(({ experience }) => experience !== 'trained');
  return (
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
    against(tastes.looks === 'rough-forged' && blade.surface !== 'rough-forged', WORTH.looks.value)
  );
}
