import { EDGE } from '../constants';
import type { BladeModel, Steel } from '../blade/schema';
import { hardness } from '../blade/strength';
import type { Board, Habits } from '../kitchen/kitchen';

/** What a kitchen does to its edges: who sharpens, how often, on what board, with what between sharpenings. */
export type EdgeCare = Pick<
  Habits,
  'sharpening' | 'honing' | 'roughUse' | 'visitsPerYear' | 'sharpenAtMostEveryWeeks'
> & {
  board: Board['material'];
};

type Blade = Pick<BladeModel, 'edgeAngleDeg' | 'bevel' | 'serration' | 'steel' | 'hrc' | 'tip'>;

/** Whether an edge can be sharpened by hand at all: neither serrated nor ceramic, nor a blunt prying blade. */
export const isSharpened = (blade: Pick<Blade, 'serration' | 'steel' | 'tip'>): boolean =>
  blade.serration === 'none' && blade.steel !== 'ceramic' && blade.tip !== 'blunt';

/** The least angle a side, degrees, that the steel carries in this kitchen: the family's, and a little more in rough use. */
export function leastAngleDeg(blade: Blade, steel: Pick<Steel, 'leastAngleDeg'>, roughUse: boolean): number {
  const rough = roughUse ? EDGE.angle.rough.value : 0;
  // a single bevel leans on a flat back: its one face carries what two would have to share
  return (blade.bevel === 'single' ? EDGE.angle.single.value : steel.leastAngleDeg) + rough;
}

/**
 * The angle a side, degrees, that the blade will really have after its first sharpening: the larger of the factory's and the least its steel
 * carries here (handbook 8.2). Serrated and blunt edges keep their own.
 */
export function effectiveAngleDeg(blade: Blade, steel: Pick<Steel, 'leastAngleDeg'>, roughUse: boolean): number {
  if (blade.serration !== 'none' || blade.tip === 'blunt') return blade.edgeAngleDeg;
  return Math.max(blade.edgeAngleDeg, leastAngleDeg(blade, steel, roughUse));
}

/** Whether the factory edge is too acute for its steel and costs a first sharpening before it is used. */
export function isGroundTooAcute(blade: Blade, steel: Pick<Steel, 'leastAngleDeg'>): boolean {
  return isSharpened(blade) && blade.edgeAngleDeg < leastAngleDeg(blade, steel, false) - EDGE.angle.near.value;
}

/** How much longer an edge stays keen with a kitchen's honing, a factor: soft steel gains most on a rod, hard steel some on fine ceramic or a strop. */
export function honingGain(blade: Blade, honing: Habits['honing']): number {
  if (honing === 'none' || !isSharpened(blade)) return 1;
  const gains = hardness(blade) < EDGE.honing.hardFrom.value ? EDGE.honingSoft : EDGE.honingHard;
  return gains[honing].value;
}

/** Minutes of board work in which an edge loses half of the keenness it can lose. Above 0. */
export function halfLifeMinutes(blade: Blade, steel: Pick<Steel, 'wear' | 'leastAngleDeg'>, care: EdgeCare): number {
  const angle = effectiveAngleDeg(blade, steel, care.roughUse);
  const holds =
    blade.serration === 'none'
      ? Math.min(EDGE.angle.most.value, Math.pow(angle / EDGE.angle.reference.value, EDGE.angle.matters.value))
      : EDGE.serratedHolds.value;
  const wear = EDGE.minutesPerWear.value * Math.max(1, steel.wear) * holds;
  return (wear * honingGain(blade, care.honing)) / EDGE.boardWear[care.board].value;
}

/**
 * Mean keenness, 0–1, of an edge that decays exponentially from `peak` towards {@link EDGE}'s floor and is put right every
 * `minutes` of work: floor + (peak − floor)·(1 − e^−x)/x with x = ln 2 · minutes / half-life.
 */
export function averageKeenness(halfLife: number, minutes: number, peak = 1): number {
  const floor = EDGE.floor.value;
  const x = (Math.LN2 * minutes) / halfLife;
  return floor + (peak - floor) * (x < 1e-6 ? 1 : (1 - Math.exp(-x)) / x);
}

/** How an edge fares in a kitchen: all estimates. */
export interface EdgeLife {
  halfLifeMinutes: number;
  /** Minutes of board work a week that the knife is taken to do. */
  minutesPerWeek: number;
  /** 0–1 over the whole cycle. */
  averageKeenness: number;
  /** Weeks between two sharpenings; null where it never is. */
  sharpenEveryWeeks: number | null;
  /** Days between two honings; null where it never is. */
  honeEveryDays: number | null;
  /** Degrees a side after the first sharpening. */
  angleDeg: number;
}

/**
 * How keen an edge is on the average day, for so many minutes of board work a week (handbook 8.2). `learned`: what tests made of its half-life, a
 * factor.
 */
export function edgeLife(
  blade: Blade,
  steel: Pick<Steel, 'wear' | 'leastAngleDeg'>,
  care: EdgeCare,
  minutesPerWeek: number,
  learned = 1,
): EdgeLife {
  const half = learned * halfLifeMinutes(blade, steel, care);
  const m = Math.max(0, minutesPerWeek);
  const { cycle, horizonWeeks, visits, powered, pullThrough, heavy } = EDGE;
  const heaviness = Math.min(1, Math.max(0, (m - heavy.from.value) / (heavy.to.value - heavy.from.value)));
  const between = (usual: number, heavyUse: number) => usual + (heavyUse - usual) * heaviness;
  const hones = honingGain(blade, care.honing) > 1;
  const life = (weeks: number | null, peak: number): EdgeLife => ({
    halfLifeMinutes: half,
    minutesPerWeek: m,
    averageKeenness: averageKeenness(half, m * (weeks ?? horizonWeeks.value), peak),
    sharpenEveryWeeks: weeks,
    honeEveryDays: hones && m > 0 ? Math.min(30, Math.max(1, Math.round((7 * EDGE.honing.every.value) / m))) : null,
    angleDeg: effectiveAngleDeg(blade, steel, care.roughUse),
  });
  const due = (share: number) => Math.min(cycle.longestWeeks.value, m > 0 ? (half * share) / m : Infinity);
  if (!isSharpened(blade) || care.sharpening === 'none') return life(null, 1);
  switch (care.sharpening) {
    case 'stones':
      return life(Math.max(due(1), care.sharpenAtMostEveryWeeks ?? 0), 1);
    case 'powered':
      return life(due(powered.due.value), powered.peak.value);
    case 'pull-through':
      return life(due(pullThrough.due.value), pullThrough.peak.value);
    case 'professional': {
      const asked =
        care.visitsPerYear ??
        Math.min(between(visits.most.value, visits.mostHeavy.value), Math.max(visits.least.value, 52 / due(1)));
      return life(asked > 0 ? 52 / asked : null, 1);
    }
  }
}
