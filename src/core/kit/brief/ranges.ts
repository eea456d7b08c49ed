import type { BladeModel, BladeType } from '../../blade/schema';
import { BRIEF, WORTH } from '../../constants';
import { BRIEF_FIGURES, type BriefFigure } from '../../formats/briefFile';
import type { Trial } from './trial';

export type Ranges = Record<BriefFigure, [number, number] | null>;

/** How finely each figure is told. */
const STEP: Record<BriefFigure, number> = {
  lengthMm: 1,
  heelHeightMm: 1,
  weightG: 5,
  hrc: 0.5,
  spineHeelMm: 0.1,
  behindEdgeMm: 0.02,
  edgeAngleDeg: 0.5,
};

/** A blade with one figure changed and what hangs by it: the taper of its spine, the back of an even edge. */
export function changed(pick: BladeModel, figure: BriefFigure, value: number): Partial<BladeModel> {
  if (figure === 'spineHeelMm') {
    const thicker = value / pick.spineHeelMm;
    return {
      spineHeelMm: value,
      spineMidMm: pick.spineMidMm * thicker,
      spineTipMm: Math.min(value, pick.spineTipMm * thicker),
    };
  }
  if (figure === 'edgeAngleDeg')
    return { edgeAngleDeg: value, ...(pick.bevel === 'double' ? { edgeAngleBackDeg: value } : {}) };
  if (figure === 'heelHeightMm') return { heelHeightMm: value, bellyMm: Math.min(pick.bellyMm, value) };
  return { [figure]: value };
}

/** What shops offer of a kind of knife: beyond this nobody looks. It holds the pick. */
export function offered(type: BladeType, pick: BladeModel, figure: BriefFigure): [number, number] | null {
  const { wider, widerLength } = BRIEF;
  const around = ([low, high]: readonly [number, number], more: number): [number, number] => [
    low * (1 - more),
    high * (1 + more),
  ];
  const value = pick[figure];
  if (value === null) return null;
  const [low, high] = {
    lengthMm: around(type.lengthMm, widerLength.value),
    heelHeightMm: around(type.heelHeightMm, wider.value),
    weightG: around(type.weightG, wider.value),
    hrc: [BRIEF.hrc[0].value, BRIEF.hrc[1].value],
    spineHeelMm: around(type.spineHeelMm, wider.value),
    behindEdgeMm: [BRIEF.behindEdgeMm[0].value, BRIEF.behindEdgeMm[1].value],
    edgeAngleDeg: [BRIEF.edgeAngleDeg[0].value, BRIEF.edgeAngleDeg[1].value],
  }[figure] as [number, number];
  return [Math.min(low, value), Math.max(high, value)];
}

/** Looks taken from the pick to what shops offer, and halvings at the first that is worse. */
const LOOKS = 10;
const HALVINGS = 7;

/** How far one figure may go one way before the worth falls by `most` points; the end of what is offered where it never does. */
function reach(trial: Trial, figure: BriefFigure, from: number, to: number, most: number): number {
  const holds = (value: number) => trial.drop(changed(trial.pick, figure, value)) < most;
  let good = from;
  for (let look = 1; look <= LOOKS; look++) {
    let bad = from + ((to - from) * look) / LOOKS;
    if (holds(bad)) {
      good = bad;
      continue;
    }
    for (let halving = 0; halving < HALVINGS; halving++) {
      const middle = (good + bad) / 2;
      if (holds(middle)) good = middle;
      else bad = middle;
    }
    return good;
  }
  return to;
}

/** Rounds inwards to what is told, never past the pick. */
function told(figure: BriefFigure, pick: number, [low, high]: [number, number]): [number, number] {
  const step = STEP[figure];
  const tidy = (value: number) => Number(value.toFixed(2));
  return [
    Math.min(pick, tidy(Math.ceil(low / step - 1e-9) * step)),
    Math.max(pick, tidy(Math.floor(high / step + 1e-9) * step)),
  ];
}

function rangesWithin(trial: Trial, type: BladeType, most: number): Ranges {
  const ranges: Partial<Ranges> = {};
  for (const figure of BRIEF_FIGURES) {
    const limits = offered(type, trial.pick, figure);
    const pick = trial.pick[figure];
    if (!limits || pick === null) {
      ranges[figure] = null;
      continue;
    }
    const low = reach(trial, figure, pick, limits[0], most);
    const high = reach(trial, figure, pick, limits[1], most);
    const isOpen = low === limits[0] && high === limits[1];
    ranges[figure] = isOpen && figure !== 'lengthMm' ? null : told(figure, pick, [low, high]);
  }
  return ranges as Ranges;
}

/** The most that is lost at any corner of the ranges taken together, points. */
export function worstCorner(trial: Trial, ranges: Ranges): number {
  const bounded = BRIEF_FIGURES.filter((figure) => ranges[figure] !== null);
  let worst = 0;
  for (let corner = 0; corner < 1 << bounded.length; corner++) {
    let changes: Partial<BladeModel> = {};
    bounded.forEach((figure, i) => {
      const value = ranges[figure]?.[corner & (1 << i) ? 1 : 0] ?? 0;
      changes = { ...changes, ...changed({ ...trial.pick, ...changes }, figure, value) };
    });
    worst = Math.max(worst, trial.drop(changes));
    if (worst === Infinity) break;
  }
  return worst;
}

/** Shares of half a point that each figure alone may cost, tried until all together cost no more than half a point. */
const SHARES = [1, 0.7, 0.5, 0.35];
const LEAST_SHARE = 0.25;

/** Parts of the way from the pick to where each figure may go alone: what costs nothing alone may cost much beside another. */
const PARTS_OF_THE_WAY = [1, 0.7, 0.5, 0.35, 0.25, 0.17, 0.1, 0.05, 0];

/** A figure's range that rounding left at a single value, with one step of room to the side that costs less; null where there is none. */
function stepOfRoom(trial: Trial, type: BladeType, figure: BriefFigure): [number, number] | null {
  const value = trial.pick[figure];
  const limits = offered(type, trial.pick, figure);
  if (value === null || !limits) return null;
  const [least] = [value - STEP[figure], value + STEP[figure]]
    .filter((to) => to >= limits[0] && to <= limits[1])
    .map((to) => ({ to, drop: trial.drop(changed(trial.pick, figure, to)) }))
    .sort((a, b) => a.drop - b.drop);
  return least ? [Math.min(value, least.to), Math.max(value, least.to)] : null;
}

/** Ranges in which every figure leaves room: others are drawn in for one that rounding left at a single value, as far as the corners allow. */
function withRoom(trial: Trial, type: BladeType, ranges: Ranges, most: number): Ranges {
  let roomy = ranges;
  for (const figure of BRIEF_FIGURES) {
    const range = roomy[figure];
    const room = range && range[0] === range[1] ? stepOfRoom(trial, type, figure) : null;
    if (!room) continue;
    const tried = PARTS_OF_THE_WAY.map((part) => ({ ...drawnIn(roomy, trial.pick, part), [figure]: room }));
    roomy = tried.find((each) => worstCorner(trial, each) < most) ?? roomy;
  }
  return roomy;
}

/** Ranges drawn in towards the pick to a part of their width. */
function drawnIn(ranges: Ranges, pick: BladeModel, part: number): Ranges {
  const drawn: Ranges = { ...ranges };
  for (const figure of BRIEF_FIGURES) {
    const [range, value] = [ranges[figure], pick[figure]];
    if (range && value !== null)
      drawn[figure] = told(figure, value, [value + part * (range[0] - value), value + part * (range[1] - value)]);
  }
  return drawn;
}

/**
 * The ranges within which a step stays as good for its cook: each figure is taken as far as costs less than half a point, then all are drawn in
 * together until every corner of the ranges costs less than that too. Null where a figure does not matter.
 */
export function* rangesOf(trial: Trial, type: BladeType): Generator<unknown, Ranges> {
  const most = 100 * WORTH.halfPoint.value;
  for (const share of SHARES) {
    const ranges = rangesWithin(trial, type, most * share);
    yield;
    if (worstCorner(trial, ranges) < most) return withRoom(trial, type, ranges, most);
    yield;
  }
  const widest = rangesWithin(trial, type, most * LEAST_SHARE);
  let ranges = widest;
  for (const part of PARTS_OF_THE_WAY) {
    ranges = drawnIn(widest, trial.pick, part);
    if (worstCorner(trial, ranges) < most) break;
    yield;
  }
  return withRoom(trial, type, ranges, most);
}
