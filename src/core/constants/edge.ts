import { c } from './constant';

/** Constants of keenness over time (handbook 8.2 and 9.5). */
export const EDGE = {
  minutesPerWear: c(
    105,
    'min per wear point',
    'work in which an edge loses half its keenness, at 15° a side on wood: soft steel is due after two to three months of daily home use, hard after four to six',
    'handbook',
  ),
  floor: c(0.4, 'keenness', 'a dull edge slides off tomato skin but still divides', 'house judgement'),
  serviceable: c(
    0.78,
    'keenness',
    'a serviceable edge still enters tomato skin with a little pressure',
    'house judgement',
  ),
  bite: c(1.32, 'factor', 'a dull edge leaves six tenths of a score at ordinary board work', 'handbook'),
  slope: c(1.5, 'exponent', 'the first loss of keenness hardly shows, the last shows everywhere', 'house judgement'),
  serratedHolds: c(8, 'factor', 'teeth keep biting when their points are blunt', 'trade practice'),
  horizonWeeks: c(156, 'weeks', 'an edge nobody sharpens is judged over three years', 'house judgement'),
  angle: {
    reference: c(15, '° a side', 'angle at which wear is counted; more acute edges dull sooner', 'house judgement'),
    matters: c(0.5, 'exponent', 'a more acute edge dulls sooner, and starts keener', 'house judgement'),
    most: c(1.2, 'factor', 'blunt angles gain no more than this', 'house judgement'),
    rough: c(2.5, '°', 'rough use asks for a blunter edge', 'handbook'),
    single: c(10.5, '°', 'the least a single bevel carries on its flat back', 'trade practice'),
    near: c(0.5, '°', 'a factory edge this close to the least angle is left as it is', 'house judgement'),
  },
  honing: {
    hardFrom: c(59.5, 'HRC', 'from here on an edge wants fine ceramic or a strop', 'handbook'),
    every: c(40, 'min of work', 'work between two honings', 'handbook'),
  },
  honingSoft: {
    steel: c(1.25, 'factor', 'soft steel on a rod gains most', 'handbook'),
    ceramic: c(1.2, 'factor', 'fine ceramic serves soft steel too', 'trade practice'),
    strop: c(1.12, 'factor', 'a strop does little for a rolled soft edge', 'trade practice'),
    diamond: c(1.15, 'factor', 'diamond grinds as much as it aligns', 'trade practice'),
  },
  honingHard: {
    steel: c(0.95, 'factor', 'a grooved steel chips hard edges', 'handbook'),
    ceramic: c(1.15, 'factor', 'fine ceramic realigns a hard edge a little', 'handbook'),
    strop: c(1.15, 'factor', 'so does a strop', 'handbook'),
    diamond: c(1.05, 'factor', 'diamond is coarse for a fine edge', 'trade practice'),
  },
  boardWear: {
    wood: c(1, 'factor', 'the measure', 'handbook'),
    rubber: c(1, 'factor', 'as kind as wood', 'handbook'),
    plastic: c(1.1, 'factor', 'a little harder', 'handbook'),
    bamboo: c(1.4, 'factor', 'hard fibre and glue', 'handbook'),
    glass: c(6, 'factor', 'dulls an edge in days', 'handbook'),
    stone: c(6, 'factor', 'dulls an edge in days', 'handbook'),
  },
  cycle: {
    longestWeeks: c(78, 'weeks', 'a knife in use is put to the stone every year and a half at least', 'handbook'),
  },
  visits: {
    least: c(2, 'a year', 'fewest visits of those who have a professional', 'handbook'),
    most: c(4, 'a year', 'most of them', 'handbook'),
    service: c(2, 'a year', 'visits of a service that is bought with a kit', 'handbook'),
    mostHeavy: c(
      52,
      'a year',
      'most where much is cut: nothing but money keeps an edge from being sharpened weekly',
      'handbook',
    ),
  },
  heavy: {
    from: c(120, 'min a week', 'one knife in ordinary use', 'house judgement'),
    to: c(360, 'min a week', 'one knife in heavy use', 'handbook'),
  },
  pullThrough: {
    due: c(0.6, 'share', 'a coarse edge is due sooner', 'trade practice'),
    peak: c(0.82, 'keenness', 'as keen as carbide slots leave it', 'house judgement'),
  },
  powered: {
    due: c(0.85, 'share', 'a belt edge is due a little sooner', 'house judgement'),
    peak: c(0.92, 'keenness', 'as keen as a home machine leaves it', 'house judgement'),
  },
  need: {
    base: c(0.4, 'need', 'what any cut asks of an edge', 'house judgement'),
    clean: c(0.16, 'per level', 'a clean face shows the edge', 'house judgement'),
    thin: c(0.07, 'per level', 'so do thin slices', 'house judgement'),
    soft: c(0.1, 'need', 'soft food is pushed about by a dull edge', 'house judgement'),
    crust: c(0.6, 'need', 'crust is bitten', 'house judgement'),
    withinJoint: c(0.45, 'need', 'joints are opened by the tip more than by the edge', 'house judgement'),
    inHand: c(0.6, 'need', 'what is pared in the hand must not be forced', 'house judgement'),
  },
  likeWell: {
    from: c(60, 'score', 'below this no work goes to a knife', 'house judgement'),
    to: c(75, 'score', 'from here on all of it does', 'house judgement'),
  },
} as const;

/** Constants of a knife's life and upkeep (handbook 5.4 and 6.2). */
export const UPKEEP = {
  allowedLoss: c(6, 'mm', 'height lost after which a knife is thinned or retired', 'handbook'),
  longestLife: c(25, 'years', 'a knife that is hardly sharpened still ages', 'trade practice'),
  sharpeningEur: {
    professional: c(8, 'EUR', 'a knife taken to a professional', 'trade practice'),
    stones: c(1, 'EUR', 'wear of one’s own stones; minutes there are shown, not priced', 'house judgement'),
    powered: c(2, 'EUR', 'belts', 'house judgement'),
    'pull-through': c(2, 'EUR', 'carbide', 'house judgement'),
    none: c(8, 'EUR', 'who has none is planned a professional', 'trade practice'),
    repair: c(18, 'EUR', 'chips ground out', 'trade practice'),
  },
  heightLost: {
    none: c(0, 'mm', 'nobody sharpens', 'handbook'),
    'pull-through': c(0.1, 'mm', 'carbide slots scrape steel off', 'handbook'),
    powered: c(0.2, 'mm', 'wheels and belts eat steel', 'handbook'),
    professional: c(0.15, 'mm', 'a professional belt', 'handbook'),
    stones: c(0.04, 'mm', 'a stone', 'handbook'),
  },
  clearlyCheaper: c(0.6, 'share', 'another way of sharpening is named where it costs so much less', 'house judgement'),
  stoneMinutes: {
    knife: c(8, 'min', 'a knife at one’s own stones', 'handbook'),
    setUp: c(15, 'min', 'soaking, flattening and cleaning up, once a session', 'handbook'),
  },
  serrated: {
    lightYears: c(6, 'years', 'a serrated knife in light use', 'handbook'),
    heavyYears: c(2, 'years', 'one in heavy use', 'handbook'),
    heavyMinutes: c(60, 'min a week', 'what counts as heavy', 'house judgement'),
  },
} as const;
