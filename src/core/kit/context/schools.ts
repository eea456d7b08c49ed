import { SCHOOL } from '../../constants';
import type { TaskLoad } from '../../load/load';
import type { SCHOOL_IDS, SECOND_KNIVES } from '../../formats/kitchenWords';
import { CATALOGUE_CURRENCY, convertMinor } from '../../money/currency';
import type { Candidate } from '../candidates/candidate';
import { isAllRound } from '../candidates/kinds';

/** A place in a kit, and what may fill it. A required place must be filled when anything affordable fits. */
export interface PlaceRule {
  accepts: (candidate: Candidate) => boolean;
  required: boolean;
}

export type SchoolId = (typeof SCHOOL_IDS)[number];

const isBought = (c: Candidate) => c.action === 'buy';

const length = (c: Candidate) => c.blade?.blade.lengthMm ?? 0;

const role = (c: Candidate, ...roles: string[]) => c.action === 'buy' && roles.includes(c.type?.role ?? '');

const type = (c: Candidate, ...ids: string[]) => c.action === 'buy' && ids.includes(c.type?.id ?? '');

/** Nothing is required that nobody here may use. */
const need = (accepts: PlaceRule['accepts']): PlaceRule => ({
  accepts: (c) => accepts(c) && c.scores.some((score) => score > 0),
  required: true,
});

const may = (accepts: PlaceRule['accepts']): PlaceRule => ({ accepts, required: false });

const cheap = ({ blade }: Candidate) =>
  blade !== null &&
  convertMinor(blade.blade.priceMinor, blade.blade.currency, CATALOGUE_CURRENCY) <= 100 * SCHOOL.plainEur.value;

/** Blades taken apart by which animal or fish is there. */
const specialist = (c: Candidate) => role(c, 'slicer', 'butchery', 'fish');

/** A low blade that lives anywhere, strong enough for whatever it meets alone. */
const isHandy = ({ blade }: Candidate): boolean =>
  blade !== null &&
  blade.blade.heelHeightMm <= SCHOOL.handyHeel.value &&
  blade.strength >= SCHOOL.handyStrength.value &&
  blade.blade.steel !== 'ceramic';

const general = (c: Candidate) => role(c, 'general') && !type(c, 'camp');

const allRound = (c: Candidate) => c.action === 'buy' && isAllRound(c.type);

const serrated = (c: Candidate) => role(c, 'serrated');

/** The knife places of each school (handbook 5.3); `free` and `boxed-set` have none of their own. */
const PLACES: Record<Exclude<SchoolId, 'free' | 'boxed-set'>, PlaceRule[]> = {
  // its supporters mean a knife for loaves and roasts, not a small one
  'two-and-peeler': [need(general), need((c) => serrated(c) && length(c) >= SCHOOL.loaf.value)],
  'classic-three': [need(general), need((c) => type(c, 'paring', 'petty')), need(serrated)],
  'three-lengths': [
    need((c) => allRound(c) && length(c) >= SCHOOL.middleFrom.value && length(c) <= SCHOOL.middleTo.value),
    need((c) => c.action === 'buy' && length(c) <= SCHOOL.shortTo.value),
    need((c) => role(c, 'slicer', 'serrated') && length(c) >= SCHOOL.longFrom.value),
  ],
  'grow-by-gaps': [
    need(general),
    need((c) => type(c, 'petty') && length(c) >= SCHOOL.pettyFrom.value && length(c) <= SCHOOL.shortTo.value),
    need((c) => allRound(c) && length(c) >= SCHOOL.gapFrom.value && length(c) <= SCHOOL.gapTo.value),
    need((c) => serrated(c) && cheap(c)),
    may(specialist),
  ],
  'tall-blade': [need((c) => type(c, 'veg-cleaver')), need((c) => role(c, 'small'))],
  'fish-counter': [
    need((c) => type(c, 'deba')),
    need((c) => type(c, 'yanagiba', 'takohiki', 'kiritsuke-yanagiba')),
    ...Array.from({ length: 4 }, () => may(isBought)),
  ],
  'one-mid-blade': [
    need(
      (c) =>
        role(c, 'general', 'small') &&
        length(c) >= SCHOOL.midFrom.value &&
        length(c) <= SCHOOL.midTo.value &&
        isHandy(c),
    ),
  ],
  'line-cook': [
    need((c) => type(c, 'chef') && length(c) >= SCHOOL.longFrom.value && cheap(c)),
    need((c) => type(c, 'paring') && cheap(c)),
  ],
};

/** The first knife of a kitchen that takes meat or fish to the board as well: a general knife, which has a point (handbook 10.4). */
export const firstGeneral: PlaceRule = need(general);

/** Open places, with what the second knife is to be: the first knife is a general one, owned or bought. */
function openPlaces(most: number, second: Second | null, generalsOwned: number): PlaceRule[] {
  return Array.from({ length: most }, (_, i) => {
    if (second === 'general' && i < 2 - generalsOwned) return need(allRound);
    if (second === 'specialist' && i >= 1 - generalsOwned) return may((c) => c.action === 'buy' && !allRound(c));
    return may(isBought);
  });
}

/** A general knife that is spared: thin and hard, for its owner's herbs, fish and fine dice. */
export const isSpared = (c: Candidate): boolean =>
  allRound(c) &&
  c.blade !== null &&
  c.blade.hardness >= SCHOOL.sparedFrom.value &&
  c.blade.strength < SCHOOL.abusedFrom.value;

/** One that is abused: soft and sturdy, for squash, guests and whoever else uses the drawer. */
export const isAbused = (c: Candidate): boolean =>
  allRound(c) && c.blade !== null && c.blade.strength >= SCHOOL.abusedFrom.value && cheap(c);

/** Two general knives chosen together, then as the work asks. */
export const pairPlaces = (most: number): PlaceRule[] => [
  need(isSpared),
  need(isAbused),
  ...Array.from({ length: Math.max(0, most - 2) }, () => may(isBought)),
];

/** Whether the money, minor units, reaches for the cheapest of every rule. */
export const affords = (rules: readonly PlaceRule[], buyable: readonly Candidate[], budgetMinor: number): boolean =>
  rules.reduce((sum, rule) => {
    const fits = buyable.filter((c) => rule.accepts(c));
    return sum + Math.min(Infinity, ...fits.map((c) => c.priceMinor));
  }, 0) <= budgetMinor;

type Second = (typeof SECOND_KNIVES)[number];

const isOpen = (school: SchoolId) => school === 'free' || school === 'boxed-set';

/** How many places a school lays out itself; null where they are open. */
export const placesLaidOut = (school: SchoolId): number | null => (isOpen(school) ? null : PLACES[school].length);

/**
 * The knife places a school lays out; `free` leaves open ones, but for what the second knife is to be. `most`: different knives, and pieces with
 * their copies, which a school's own places take beside the first.
 */
export function schoolPlaces(
  school: SchoolId,
  most: { kinds: number; pieces: number },
  second: Second | null = null,
  generalsOwned = 0,
): PlaceRule[] {
  if (isOpen(school)) return openPlaces(most.pieces, second, generalsOwned);
  const own = PLACES[school].slice(0, most.kinds);
  const copies = Array.from({ length: most.pieces / most.kinds - 1 }, () => own.map(({ accepts }) => may(accepts)));
  return [...own, ...copies.flat()];
}

/** Whether a school buys a tool: what its work needs and no knife does, and the peeler that replaces the small knife. */
export function isSchoolTool(school: SchoolId, { id }: Candidate, loads: readonly TaskLoad[]): boolean {
  if (school === 'two-and-peeler' && id === 'peeler') return true;
  return loads.some(({ task }) => task.motions.length === 0 && task.group !== 'Odd jobs' && (task.tools[id] ?? 0) > 0);
}

/** Whether a school's places are also the order in which its supporters buy. */
export const buysInOrder = (school: SchoolId): boolean => !isOpen(school);
