import { BLADE_BOUNDS } from '../blade/bounds';

/** Least and most of each figure a kitchen file may hold: what the format refuses beyond, and what the forms offer. Mm, portions, minutes. */
export const BOUNDS = {
  handLengthMm: [120, 260],
  palmBreadthMm: [55, 130],
  wantsLengthMm: [60, 400],
  edgeLengthMm: BLADE_BOUNDS.lengthMm,
  heelHeightMm: BLADE_BOUNDS.heelHeightMm,
  boardLengthMm: [150, 1500],
  boardWidthMm: [100, 1000],
  cooksAtOnce: [1, 60],
  visitsPerYear: [0, 52],
  sharpenAtMostEveryWeeks: [0.5, 104],
  mealsPerWeek: [0, 2000],
  portions: [1, 500],
  guests: [0, 500],
  times: [0, 1000],
  amount: [0, 10_000],
  matters: [0.25, 4],
  minutes: [0.05, 240],
  maxKnives: [1, 12],
  rating: [1, 5],
  seconds: [0, 7200],
  diaryMinutes: [0, 600],
  grams: [1, 5000],
  placeMm: [20, 2000],
  slotHeightMm: [5, 300],
  slotThicknessMm: [0.5, 60],
  insideHeightMm: [5, 500],
  belowStripMm: [0, 2000],
  rollWeightG: [100, 20_000],
  money: [0, 1_000_000_000],
} as const satisfies Record<string, readonly [number, number]>;

/** Least and most of what a photo of a knife measures, and most points of an edge traced from one. Mm; a share. */
export const PHOTO = {
  bellyMm: [-15, 60],
  flatShare: [0, 1],
  edgeX: [0, 450],
  edgeY: [-40, 130],
  edgePoints: 60,
} as const;

/** Longest lists. */
export const MOST = {
  cooks: 12,
  dishes: 400,
  tasks: 400,
  ownDishes: 400,
  owned: 60,
  handTests: 60,
  benchTrials: 24,
  foods: 10,
  runs: 240,
  profiles: 12,
  diary: 5000,
  tools: 60,
  must: 12,
  never: 200,
  order: 40,
  laid: 80,
  places: 40,
  slots: 60,
  away: 8,
} as const;
