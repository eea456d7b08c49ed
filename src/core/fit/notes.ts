import { rockingRadiusMm } from '../blade/rocking';
import { assumedFigures } from '../formats/figures';
import type { Kitchen } from '../kitchen/kitchen';
import { isReactive, type BladeTraits } from './traits';
import { lowerFirst } from '../text/case';
import { figure } from '../text/figure';

/** Plain-words notes on a blade: who it suits, then what {@link careNotes} says of its upkeep. */
export const bladeNotes = (traits: BladeTraits, kitchen: Pick<Kitchen, 'habits'>): string[] => [
  ...characterNotes(traits),
  ...careNotes(traits, kitchen),
];

function characterNotes(traits: BladeTraits): string[] {
  const { blade } = traits;
  const notes: string[] = [];
  const assumed = assumedFigures(blade);
  if (assumed.length > 0)
    notes.push(
      `Nobody told its ${assumed.join(', ')}: taken from the usual build of its kind. Check them in the hand.`,
    );
  const radius = rockingRadiusMm(blade);
  if (!traits.serrated && blade.lengthMm >= 140) {
    if (traits.contactShare >= 0.8)
      notes.push('Nearly all of the edge meets the board at once: for hands that chop or push straight down.');
    else if (radius < 900)
      notes.push(`Its belly rolls on a radius of ${Math.round(radius / 10) * 10} mm: for hands that rock.`);
    else notes.push('Flat for most of its length with a little belly: it pushes and pulls well, and rocks if it must.');
  }
  if (blade.bevel === 'single')
    notes.push(
      `Ground on one side for the ${blade.handed} hand: it peels slices away cleanly, drifts in dense food, and asks for training.`,
    );
  if (blade.bevel === 'uneven') notes.push('Ground unevenly: strong along bone, with a little drift.');
  if (blade.flex >= 0.4) notes.push('It bends: it follows skin, frames and membranes, and skids off joints.');
  return notes;
}

/** Plain-words notes on keeping a blade: its steel, cautions, the edge to open up before first use. */
export function careNotes(traits: BladeTraits, kitchen: Pick<Kitchen, 'habits'>): string[] {
  const { blade, steel } = traits;
  const notes: string[] = [];
  notes.push(`${steel.name}: ${lowerFirst(steel.note)}`);
  if (isReactive(traits))
    notes.push('Wipe it during the work, dry it, and oil it before storage; a grey patina is normal, red rust is not.');
  else notes.push('Rinse and dry it by hand; stainless resists, it is not proof.');
  if (blade.bolster === 'full') notes.push('The full bolster gets in the way of sharpening the heel.');
  if (!blade.easedSpine && blade.lengthMm >= 140)
    notes.push('Spine and heel corners are not eased: hold it for two minutes before paying.');
  if (!traits.serrated && blade.tip !== 'blunt' && blade.edgeAngleDeg < steel.leastAngleDeg - 0.5)
    notes.push(
      `The factory edge of ${figure(blade.edgeAngleDeg)}° a side is more acute than this steel carries: open it to ${steel.leastAngleDeg}° before first use.`,
    );
  if (traits.serrated) notes.push('Serrated: it is replaced, not sharpened, so little money belongs in it.');
  if (blade.steel === 'ceramic') notes.push('Never twist or pry with it, nor drop it; only its maker sharpens it.');
  else if (traits.strength < 3) notes.push('A fine edge: no bone, shell, pit or frozen food, and no twisting.');
  if (kitchen.habits.dishwasher && traits.woodHandle)
    notes.push('Its glued wooden handle will not stand your dishwasher.');
  return notes;
}
