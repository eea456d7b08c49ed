import { EDGE } from '../../constants';
import { daysBetween } from '../../calendar/between';
import type { Day } from '../../calendar/day';
import { openDaysBetween } from '../../calendar/openDays';
import { learnEdge, type EdgeLearned } from '../../edge/learned';
import { edgeLife, halfLifeMinutes, isSharpened, type EdgeCare, type EdgeLife } from '../../edge/keenness';
import type { BladeTraits } from '../../fit/traits';
import type { DiaryEntry } from '../../formats/diaryFile';
import type { EdgeKnife } from '../../formats/edgeFile';
import type { Plan } from '../../formats/planFile';
import { pieceRefs, priceOfOne } from '../../formats/planSteps';
import type { Owned } from '../../kitchen/kitchen';
import { fromMinor, toMinor } from '../../money/currency';
import { sharpeningMinor } from '../candidates/making';
import { keennessNow } from '../candidates/scoring';
import type { PlanningContext } from '../context/planningContext';
import { diaryOf, testsOf } from './diary';
import { rulerLife } from './ruler';
import { minutesServedBy } from '../plan/assignment';
import { costPerYearMinor, yearsOfLife } from '../plan/costPerYear';
import { stepsOf, stepsWithCandidates } from '../plan/plan';
import { round } from '../plan/step';

/** A knife of a kitchen with the edge it has to keep. */
export interface KeptKnife {
  ref: string;
  blade: BladeTraits;
  edge: EdgeLife;
  /** Where it is owned: as it lies in the drawer. */
  owned: Owned | null;
  /** Month of the plan in which it comes, or is put right; 1 for what is there. */
  month: number;
  /** The plan has it sharpened or repaired. */
  putRight: boolean;
  priceMinor: number;
  /** What tests said of the edge; of an untested one what is assumed. */
  learned: EdgeLearned;
  /** What the diary says of it, oldest first. */
  diary: readonly DiaryEntry[];
  /** Months in which it does no work, 1–12. */
  closed: readonly number[];
}

/** How exactly a condition is felt, keenness. */
const FELT = 0.06;
const DAYS_A_WEEK = 7;
const DAYS_A_YEAR = 365.25;
/** Steel from which a finer stone is worth its time, and kinds of work it serves. */
const FINE_FROM_HRC = 60;

/** How this kitchen keeps its edges: by its habits, or by the service that is bought with the kit. */
export const careOfEdges = ({ service, care }: PlanningContext): EdgeCare => service ?? care;

/** Every knife that stays or is bought, with the work that goes to it once the plan is carried out. */
export function keptKnives(context: PlanningContext, plan: Plan): KeptKnife[] {
  const planned = stepsWithCandidates(context, plan);
  const steps = stepsOf(context, plan);
  const served = minutesServedBy(context, steps);
  const care = careOfEdges(context);
  const closed = context.kitchen.closedMonths;
  const retired = new Set(plan.steps.flatMap((step) => (step.action === 'retire' ? [step.owned] : [])));
  const owned = context.owned.flatMap(({ blade, owned: file }, i): KeptKnife[] => {
    if (retired.has(i)) return [];
    const at = steps.findIndex((step) => step.owned === i);
    const minutes = at >= 0 ? (served.steps[at] ?? 0) : (served.owned[i] ?? 0);
    const step = planned.find(({ candidate }) => candidate === steps[at])?.step;
    const diary = diaryOf(context.kitchen.diary, i);
    const half = halfLifeMinutes(blade.blade, blade.steel, care);
    const learned = learnEdge(testsOf(diary, file, minutes, closed), half);
    return [
      {
        ref: `owned-${i}`,
        blade,
        edge: edgeLife(blade.blade, blade.steel, care, minutes, learned.halfLife.middle),
        learned,
        diary,
        closed,
        owned: file,
        month: step?.month ?? 1,
        putRight: step?.action === 'sharpen' || step?.action === 'repair',
        priceMinor: 0,
      },
    ];
  });
  const bought = planned.flatMap(({ step, candidate }): KeptKnife[] => {
    const { action, blade } = candidate;
    if (action !== 'buy' || !blade) return [];
    const edge = edgeLife(blade.blade, blade.steel, care, served.steps[steps.indexOf(candidate)] ?? 0);
    const learned = learnEdge([], edge.halfLifeMinutes);
    const priceMinor = toMinor(priceOfOne(step), context.kitchen.currency);
    const each = {
      blade,
      edge,
      learned,
      diary: [],
      closed,
      owned: null,
      month: step.month,
      putRight: false,
      priceMinor,
    };
    return pieceRefs(step).map((ref) => ({ ref, ...each }));
  });
  return [...owned, ...bought];
}

/** Minutes of work that took an edge from keen to so much keenness, and the other way round. */
const minutesTo = (keenness: number, half: number): number => {
  const floor = EDGE.floor.value;
  return keenness <= floor + 0.01 ? Infinity : half * Math.log2((1 - floor) / (Math.min(1, keenness) - floor));
};
const keennessAfter = (minutes: number, half: number): number =>
  EDGE.floor.value + (1 - EDGE.floor.value) * 2 ** (-minutes / half);

/** Keenness of an owned edge on a day, 0–1: from its last sharpening where that is told, else from its condition. */
export function keennessOn({ owned, edge, blade, closed }: KeptKnife, day: Day): number | null {
  if (!owned) return null;
  const { condition, sharpenedOn } = owned;
  if (condition === 'worn-out' || condition === 'chipped' || condition === 'dull') return EDGE.floor.value;
  if (sharpenedOn !== undefined && isSharpened(blade.blade)) {
    const weeks = Math.max(0, openDaysBetween(sharpenedOn, day, closed)) / DAYS_A_WEEK;
    return keennessAfter(weeks * edge.minutesPerWeek, edge.halfLifeMinutes);
  }
  return condition === 'keen'
    ? Math.max(edge.averageKeenness, EDGE.serviceable.value)
    : keennessNow(condition, edge.averageKeenness);
}

/** Between what an owned edge's keenness lies eight times in ten, by what is known of its half-life; null for what is not owned. */
export function keennessBetween(knife: KeptKnife, day: Day): [number, number] | null {
  const { learned, edge } = knife;
  const now = keennessOn(knife, day);
  if (now === null) return null;
  const at = (factor: number) =>
    keennessOn(
      { ...knife, edge: { ...edge, halfLifeMinutes: (edge.halfLifeMinutes * factor) / learned.halfLife.middle } },
      day,
    );
  // where no sharpening is told, a condition as it was felt is only so exact
  const felt = knife.owned?.sharpenedOn === undefined ? FELT : 0;
  const [low, high] = [at(learned.halfLife.low) ?? now, at(learned.halfLife.high) ?? now];
  return [Math.max(0, Math.min(low, now - felt)), Math.min(1, Math.max(high, now + felt))];
}

/** What tests say of an edge, as it is told; null where there were none. */
const learnedWords = ({ learned: { tests, halfLife, honing } }: KeptKnife): EdgeKnife['learned'] =>
  tests === 0
    ? null
    : {
        tests,
        factor: round(halfLife.middle, 2),
        factorBetween: [round(halfLife.low, 2), round(halfLife.high, 2)],
        honingGives: honing && round(honing.middle, 2),
      };

/** Weeks of work already done since an edge was last put right, by its keenness. */
export const weeksDone = (knife: KeptKnife, day: Day): number => {
  const { minutesPerWeek, halfLifeMinutes } = knife.edge;
  const now = keennessOn(knife, day);
  return now === null || minutesPerWeek <= 0 ? 0 : minutesTo(now, halfLifeMinutes) / minutesPerWeek;
};

/** Years an owned or planned knife still has, an estimate: by the ruler where it was measured, else its life less what it has had. */
export function yearsLeft(knife: KeptKnife, care: EdgeCare, day: Day): number {
  const { blade, edge, owned } = knife;
  const measured = rulerLife(knife, care);
  if (measured && owned?.condition !== 'worn-out') return measured.yearsLeft;
  const life = yearsOfLife(blade.serrated, edge, care.sharpening);
  const had = owned?.boughtOn === undefined ? 0 : Math.max(0, daysBetween(owned.boughtOn, day)) / DAYS_A_YEAR;
  return owned?.condition === 'worn-out' ? 0 : Math.max(0, life - had);
}

/** Tools of one’s own for an edge, in the order they are used. */
function stonesFor({ blade, owned }: KeptKnife): string[] {
  const isHard = blade.hardness >= FINE_FROM_HRC;
  return [
    ...(blade.steel.rustProof <= 4 ? ['rust-eraser'] : []),
    ...(owned?.condition === 'chipped' ? ['stone-coarse'] : []),
    'stone-medium',
    ...(isHard || blade.blade.bevel === 'single' ? ['stone-fine'] : []),
    ...(blade.blade.bevel === 'single' && blade.blade.lengthMm >= 240 ? ['stone-polish'] : []),
  ];
}

/** Gap between the stone and the lower corner of the spine, mm: width at the heel × sin(angle) less half the spine (handbook 11.3). */
export const gapUnderSpineMm = (widthMm: number, spineMm: number, angleDeg: number): number =>
  Math.max(0, widthMm * Math.sin((angleDeg * Math.PI) / 180) - spineMm / 2);

/** How an edge fares and is kept, as it is told. `minutesAtStones`: its share of a year at one's own stones. */
export function edgeKnifeOf(
  context: PlanningContext,
  knife: KeptKnife,
  day: Day,
  minutesAtStones: number,
): Omit<EdgeKnife, 'due'> {
  const { ref, blade, edge, priceMinor } = knife;
  const { kitchen } = context;
  const care = careOfEdges(context);
  const now = keennessOn(knife, day);
  const between = keennessBetween(knife, day);
  const { type, lengthMm, heelHeightMm } = blade.blade;
  const hone = edge.honeEveryDays === null ? null : { with: care.honing, everyDays: edge.honeEveryDays };
  const perYear = costPerYearMinor(
    blade.serrated,
    priceMinor,
    edge,
    care.sharpening,
    sharpeningMinor(kitchen, care.sharpening),
  );
  return {
    ref,
    type,
    lengthMm,
    minutesPerWeek: round(edge.minutesPerWeek, 1),
    keennessNow: now === null ? null : round(now, 3),
    averageKeenness: round(edge.averageKeenness, 3),
    hone,
    touchUp: hone,
    stoneMinutesPerYear: care.sharpening === 'stones' ? Math.round(minutesAtStones) : 0,
    sharpen:
      edge.sharpenEveryWeeks === null
        ? null
        : {
            with: care.sharpening,
            everyWeeks: round(edge.sharpenEveryWeeks, 1),
            angleDeg: round(edge.angleDeg, 1),
            spineHeightMm: round(gapUnderSpineMm(heelHeightMm, blade.blade.spineHeelMm, edge.angleDeg), 1),
            stones: care.sharpening === 'stones' ? stonesFor(knife) : [],
          },
    keennessBetween: between && [round(between[0], 3), round(between[1], 3)],
    learned: learnedWords(knife),
    ruler: rulerLife(knife, care),
    yearsLeft: round(yearsLeft(knife, care, day), 1),
    costPerYear: fromMinor(Math.round(perYear), kitchen.currency),
  };
}
