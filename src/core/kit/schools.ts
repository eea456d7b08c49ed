import type { SCHOOL_IDS, SECOND_KNIVES } from '../formats/kitchenWords';
import { isAllRound, type Candidate } from './candidates';

/** A place in a kit, and what may fill it. A required place must be filled when anything affordable fits. */
export interface Slot {
  accepts(candidate: Candidate): boolean;
  required: boolean;
}

export type SchoolId = (typeof SCHOOL_IDS)[number];

const length = (c: Candidate) => c.blade?.blade.lengthMm ?? 0;
const role = (c: Candidate, ...roles: string[]) => c.action === 'buy' && roles.includes(c.type?.role ?? '');
const type = (c: Candidate, ...ids: string[]) => c.action === 'buy' && ids.includes(c.type?.id ?? '');
const need = (accepts: Slot['accepts']): Slot => ({ accepts, required: true });
const may = (accepts: Slot['accepts']): Slot => ({ accepts, required: false });

/** Dearest a plain line knife may be, EUR minor units: cheap enough to lose. */
const PLAIN_PRICE = 6000;
const cheap = (c: Candidate) => (c.blade?.blade.priceMinor ?? 0) <= PLAIN_PRICE;

const general = (c: Candidate) => role(c, 'general') && !type(c, 'camp');
const serrated = (c: Candidate) => role(c, 'serrated');

/** The knife places of each school (handbook 5.3); `free` and `boxed-set` have none of their own. */
const PLACES: Record<Exclude<SchoolId, 'free' | 'boxed-set'>, Slot[]> = {
  'two-and-peeler': [need(general), need(serrated)],
  'classic-three': [need(general), need((c) => type(c, 'paring', 'petty')), need(serrated)],
  'three-lengths': [
    need((c) => c.action === 'buy' && length(c) <= 150),
    need((c) => c.action === 'buy' && length(c) >= 160 && length(c) <= 240),
    need((c) => role(c, 'slicer', 'serrated') && length(c) >= 240),
  ],
  'grow-by-gaps': [
    need(general),
    need((c) => type(c, 'petty')),
    need((c) => role(c, 'general', 'small', 'vegetable') && length(c) >= 140 && length(c) <= 185),
    need((c) => serrated(c) && cheap(c)),
    may((c) => role(c, 'slicer', 'butchery', 'fish')),
  ],
  'tall-blade': [need((c) => type(c, 'veg-cleaver')), need((c) => role(c, 'small'))],
  'fish-counter': [
    need((c) => type(c, 'deba')),
    need((c) => type(c, 'yanagiba', 'takohiki')),
    ...Array.from({ length: 4 }, () => may((c: Candidate) => c.action === 'buy')),
  ],
  'one-mid-blade': [
    need((c) => type(c, 'camp', 'petty', 'utility', 'santoku') && length(c) >= 115 && length(c) <= 150),
  ],
  'line-cook': [
    need((c) => type(c, 'chef') && length(c) >= 240 && cheap(c)),
    need((c) => type(c, 'paring') && cheap(c)),
  ],
};

const allRound = (c: Candidate) => c.action === 'buy' && isAllRound(c.type);

/** Open places, with what the second knife is to be: the first knife is a general one, owned or bought. */
function openSlots(most: number, second: Second | null, generalsOwned: number): Slot[] {
  return Array.from({ length: most }, (_, i) => {
    if (second === 'general' && i < 2 - generalsOwned) return need(allRound);
    if (second === 'specialist' && i >= 1 - generalsOwned) return may((c) => c.action === 'buy' && !allRound(c));
    return may((c) => c.action === 'buy');
  });
}

type Second = (typeof SECOND_KNIVES)[number];

/** The knife places a school lays out; `free` leaves `maxKnives` open ones, but for what the second knife is to be. */
export function schoolSlots(
  school: SchoolId,
  maxKnives: number,
  second: Second | null = null,
  generalsOwned = 0,
): Slot[] {
  if (school === 'free' || school === 'boxed-set') return openSlots(maxKnives, second, generalsOwned);
  return PLACES[school].slice(0, maxKnives);
}

/** Whether a school gets a tool of its own: the peeler that replaces the small knife. */
export function schoolTools(school: SchoolId): string[] {
  return school === 'two-and-peeler' ? ['peeler'] : [];
}
