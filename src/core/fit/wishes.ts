import type { WISHES } from '../formats/kitchenWords';
import { handleGirthMm } from '../blade/hold';
import type { BladeTraits } from './traits';

export type Wish = (typeof WISHES)[number];

/** How much of a feature a blade has; only the order among blades counts. */
type Measure = (traits: BladeTraits) => number;

const MEASURES: Record<Wish, Measure> = {
  light: ({ blade }) => -blade.weightG,
  heavy: ({ blade }) => blade.weightG,
  tall: ({ blade }) => blade.heelHeightMm,
  low: ({ blade }) => -blade.heelHeightMm,
  short: ({ blade }) => -blade.lengthMm,
  long: ({ blade }) => blade.lengthMm,
  thin: ({ blade }) => -blade.behindEdgeMm - blade.spineMidMm / 10,
  sturdy: ({ strength }) => strength,
  pointed: ({ tipQuality }) => tipQuality,
  'safe-tip': ({ tipQuality }) => -tipQuality,
  'wet-proof': ({ blade, woodHandle, reactivity }) =>
    (woodHandle ? 0 : 1) + (blade.handleStyle === 'moulded' ? 0.5 : 0) - reactivity,
  'rust-free': ({ steel }) => steel.rustProof,
  'easy-to-sharpen': ({ steel, serrated }) => (serrated ? -1 : steel.easeOfSharpening),
  'keeps-its-edge': ({ steel }) => steel.wear,
  rocks: ({ carries }) => carries.rock,
  flat: ({ contactShare }) => contactShare,
  'grips-when-greasy': ({ blade }) =>
    ({ moulded: 4, octagon: 3, 'd-shape': 3, oval: 2, western: 2, folding: 1, metal: 0 })[blade.handleStyle] +
    Math.min(1, handleGirthMm(blade) / 110),
  'no-bolster': ({ blade }) => ({ none: 2, half: 1, full: 0 })[blade.bolster],
  'smooth-corners': ({ blade }) => (blade.easedSpine ? 1 : 0),
  cheap: ({ blade }) => -blade.priceMinor,
};

/** A blade against a list of wishes: how far it goes with each, 0–1 of all blades, and altogether, earlier wishes counting more. */
export interface Wished {
  blade: BladeTraits;
  share: number;
  each: { wish: Wish; share: number }[];
}

/** Share of blades that have less of a feature, ties counted half. */
function rankShares(values: readonly number[]): number[] {
  const sorted = [...values].sort((a, b) => a - b);
  return values.map((value) => {
    const below = sorted.findIndex((each) => each >= value);
    const equal = sorted.filter((each) => each === value).length;
    return sorted.length < 2 ? 1 : (below + (equal - 1) / 2) / (sorted.length - 1);
  });
}

/**
 * Blades from the one that goes furthest with a cook's wishes down. The first wish counts as much as there are wishes, the last once. Kept
 * beside the score and never mixed into it (handbook 9.1).
 */
export function byWishes(wishes: readonly Wish[], blades: readonly BladeTraits[]): Wished[] {
  const shares = wishes.map((wish) => rankShares(blades.map(MEASURES[wish])));
  const weights = wishes.map((_, i) => wishes.length - i);
  const total = weights.reduce((a, b) => a + b, 0) || 1;
  return blades
    .map((blade, b): Wished => {
      const each = wishes.map((wish, w) => ({ wish, share: shares[w]?.[b] ?? 0 }));
      const share = each.reduce((sum, { share: has }, w) => sum + (weights[w] ?? 0) * has, 0) / total;
      return { blade, share, each };
    })
    .sort((a, b) => b.share - a.share || (a.blade.blade.id < b.blade.blade.id ? -1 : 1));
}
