import { c } from './constant';

/** Constants of the edge calendar (handbook 6.2 and 9.5). */
export const EDGE_CALENDAR = {
  visit: c(1, 'visit', 'the measure: one way to the professional, or one session at the stones', 'house judgement'),
  lateWeek: c(
    0.06,
    'visits a week, per root of a minute',
    'a due knife that goes on working is borne for a week or two',
    'house judgement',
  ),
  earlyCycle: c(
    1.5,
    'visits a cycle',
    'a sharpening before it is due wastes as much of its price and of the steel',
    'house judgement',
  ),
  idleBelow: c(0.5, 'min a week', 'an edge that works less is not sharpened by the calendar', 'house judgement'),
  widestDays: c(120, 'days', 'edges due further apart are never done together', 'house judgement'),
  rusts: c(4, 'of 10', 'steel that wants oil where it rests', 'handbook'),
  restsBelow: c(45, 'min a week', 'a blade in use every day is kept by wiping alone', 'handbook'),
  poweredEur: c(90, 'EUR', 'a small machine with belts', 'trade practice'),
  everyDays: c(30, 'days', 'between two oilings of a blade that rests', 'trade practice'),
} as const;

/** Constants of keenness as it is tested at home (handbook 9.5). */
export const EDGE_METER = {
  priorSpread: c(
    0.45,
    'log',
    'how far the half-life of one knife in one kitchen lies from the computed one',
    'house judgement',
  ),
  keenGrams: c(120, 'g', 'severs a stretched thread with a keen edge', 'house judgement'),
  dullGrams: c(520, 'g', 'with a dull one', 'house judgement'),
  gramsSpread: c(0.2, 'log', 'how far two presses with one edge differ', 'house judgement'),
  feelSpread: c(0.05, 'keenness', 'how sharply paper, skin and onion tell', 'house judgement'),
  leastGrams: c(25, 'g', 'less is no press', 'house judgement'),
  scaleNoise: c(2, 'g', 'of the simulated scale', 'house judgement'),
  scaleDrift: c(3, 'g a second', 'of the simulated scale, at most half of it either way', 'house judgement'),
  scaleDrops: c(0.06, 'share', 'of readings the simulated scale loses', 'house judgement'),
  paper: {
    catches: c(0.62, 'keenness', 'from here on it begins to cut paper', 'trade practice'),
    clean: c(0.82, 'keenness', 'and here cleanly', 'trade practice'),
  },
  tomato: {
    catches: c(0.55, 'keenness', 'enters tomato skin with pressure', 'trade practice'),
    clean: c(0.74, 'keenness', 'by its own weight', 'trade practice'),
  },
  onion: {
    catches: c(0.48, 'keenness', 'enters onion skin after a slip', 'trade practice'),
    clean: c(0.64, 'keenness', 'without one', 'trade practice'),
  },
} as const;

/** Constants of a ruler at the heel (handbook 9.5). */
export const RULER = {
  alarm: c(2, 'factor', 'a sharpener who takes so much more than is usual is named', 'house judgement'),
  leastEvents: c(2, 'sharpenings', 'fewer between two measurements tell nothing', 'house judgement'),
} as const;

/** Constants of a session at the stone (handbook 6.2 and 9.5). */
export const STONES = {
  soak: {
    'stone-coarse': c(10, 'min', 'a coarse stone drinks quickly', 'handbook'),
    'stone-medium': c(20, 'min', 'a medium one longest', 'handbook'),
    'stone-fine': c(5, 'min', 'hard fine ones hardly', 'handbook'),
    'stone-polish': c(0, 'min', 'the finest are only splashed', 'handbook'),
  },
  passes: c(8, 'passes', 'a beginning a side: three or four there and back', 'handbook'),
  longFrom: c(240, 'mm', 'from here on an edge is hard to hold level', 'house judgement'),
  harder: c(1, 'sessions', 'before a hard edge', 'house judgement'),
  longer: c(1, 'sessions', 'before a long one', 'house judgement'),
  single: c(2, 'sessions', 'before a single bevel', 'house judgement'),
} as const;
