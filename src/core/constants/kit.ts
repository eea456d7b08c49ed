import { c } from './constant';

/** Constants of a kit's worth (handbook 8.1, 8.4 and 8.5). */
export const WORTH = {
  /** Usefulness of a score: straight lines through these points. */
  usefulness: [
    [35, 0],
    [55, 0.5],
    [70, 0.84],
    [85, 0.97],
    [92, 1],
  ],
  /** The same where the face is the dish, for who can do it well: the last ten points are the point. */
  usefulnessOfFace: [
    [35, 0],
    [55, 0.4],
    [70, 0.7],
    [85, 0.91],
    [92, 1],
  ],
  faceMatters: c(2, 'matters', 'a home cook to whom the work matters this much looks at the face as well', 'handbook'),
  keepEur: c(5, 'EUR', 'what one more thing in the drawer costs in room and care', 'handbook'),
  pointShare: c(12, 'points', 'a budget is thought of as so many points’ worth', 'handbook'),
  pointLeastEur: c(3, 'EUR', 'least price of a point', 'handbook'),
  /** Above a small budget: money there is, and the price of a point, EUR; straight lines between, and no more beyond or without a ceiling. */
  pointPriceEur: [
    [400, 33.3],
    [700, 43],
    [1500, 60],
    [4000, 90],
  ],
  spend: {
    sparing: c(0.5, 'factor', 'money kept where it does little', 'handbook'),
    even: c(1, 'factor', 'the usual', 'handbook'),
    generous: c(3, 'factor', 'money put where it does something', 'handbook'),
  },
  dearer: c(
    0.001,
    'share',
    'of its price that counts even where a least cost hides it: the cheaper of equals',
    'house judgement',
  ),
  filler: c(0.007, 'coverage', 'a thing that adds less beyond its price is not proposed', 'handbook'),
  rescuerMinutes: c(2, 'min a week', 'work of less, unless it matters, excuses no filler', 'house judgement'),
  halfPoint: c(0.005, 'coverage', 'a step adds at least this', 'handbook'),
  secondOfType: c(0.02, 'coverage', 'a second piece for one kind of work adds at least this', 'handbook'),
  secondGeneral: c(0.03, 'coverage', 'a second all-round knife for one cook adds at least this', 'house judgement'),
  cutlery: c(50, 'score', 'the table cutlery every house has', 'house judgement'),
  rescue: c(0.025, 'coverage', 'what bringing weekly work out of a struggle outweighs in polish', 'handbook'),
  tie: c(0.001, 'coverage', 'of kits that lie closer in worth the one that covers more is taken', 'handbook'),
  rescueLeast: c(0.5, 'share', 'of one task’s rescue below which nothing is bought for it', 'house judgement'),
  rescueFrom: c(33, 'score', 'weekly work below this waits for a cure', 'handbook'),
  rescueTo: c(37, 'score', 'from here on it is no longer rescued but improved', 'handbook'),
  needGain: c(0.03, 'coverage', 'a need adds so much', 'handbook'),
  needBeats: c(10, 'score', 'and beats the best of its kind by so much', 'handbook'),
  needFrom: c(60, 'score', 'or lifts work from below this', 'handbook'),
  likeCap: c(
    70,
    'score',
    'beside a sound knife of its kind a new one counts up to work done well, no further',
    'handbook',
  ),
  polishGivenUp: c(0.08, 'coverage', 'most that is given up for keeping it', 'house judgement'),
  polishDoubted: c(
    0.04,
    'coverage',
    'from here on it is looked whether less money would give up more',
    'house judgement',
  ),
  taste: c(0.012, 'coverage', 'what a side taken in a disagreement weighs', 'house judgement'),
  mainKnife: c(
    4,
    'factor',
    'what a point of the main knife is paid where leftover money is to go into it',
    'house judgement',
  ),
  wishes: c(0.03, 'coverage', 'what a main knife gives up that has nothing of what is wished', 'house judgement'),
  boningBends: c(0.3, 'flex', 'a boning knife that bends', 'trade practice'),
  boningCurved: c(6, 'mm', 'rise of the edge from which one is curved', 'trade practice'),
  offLength: c(
    0.0014,
    'coverage per mm',
    'what a main knife off the length that is stated gives up beside its score',
    'house judgement',
  ),
  offLengthFrom: c(2, 'mm', 'off by so little it is not off', 'house judgement'),
  lineShare: c(0.1, 'share', 'of a main knife’s price that the wanted length of its line may cost more', 'handbook'),
  lineEur: c(10, 'EUR', 'or this much, where it is more', 'handbook'),
  looks: c(0.002, 'coverage', 'what looks weigh: they break ties', 'house judgement'),
  ceramic: c(
    0.008,
    'coverage',
    'an edge that nobody at home puts right, and that snaps, has to add so much more',
    'trade practice',
  ),
  seldom: c(
    0.02,
    'coverage',
    'what a kind that few shops show and few hands know has to add beyond its price, where nobody is trained',
    'house judgement',
  ),
} as const;

/** Constants of several people at work (handbook 8.4). */
export const PEOPLE = {
  backup: c(0.01, 'share', 'work done while the usual knife is in the sink', 'house judgement'),
  rawBesideVegetables: c(0.05, 'share', 'raw flesh cut while vegetables wait', 'house judgement'),
  rawOwnKnife: c(0.3, 'share', 'the same where raw meat has a knife of its own', 'house judgement'),
  leastRole: c(0.004, 'share', 'a further knife wanted more seldom than this is not counted', 'house judgement'),
  inNumbersFrom: c(3, 'people', 'from so many at work kinds of knife are counted, and any number of each', 'handbook'),
  sharedFrom: c(3, 'people', 'with so many at work knives go from hand to hand', 'house judgement'),
  apart: c(3, 'people', 'at once, each served for their own hand; of more the mean of the hands decides', 'handbook'),
  classes: c(3, 'hands', 'more different hands than this are counted as so many', 'house judgement'),
  childHandMm: c(148, 'mm', 'a new cook with a smaller hand is a child', 'house judgement'),
} as const;

/** Constants of the week's work (handbook 3). */
export const LOAD = {
  weekly: c(52, 'times a year', 'work done at least weekly is brought out of a struggle first', 'handbook'),
  pressing: c(2, 'matters', 'so is work that matters this much', 'handbook'),
  exponent: c(0.6, 'exponent', 'twice the minutes matter less than twice as much', 'handbook'),
  occasional: c(6, 'times a year', 'done less often a loan or a workaround may do', 'handbook'),
  wholeUpTo: c(8, 'portions', 'a joint, a squash or a cake stays one up to here', 'house judgement'),
  optionalShare: c(0.5, 'share', 'how often what a dish may do without is done', 'handbook'),
} as const;

/** Constants of the order in which a kit is bought (handbook 5.2). */
export const ORDER = {
  generalWithin: c(0.9, 'share', 'of the strongest gain, at which the general knife still goes first', 'handbook'),
  yoursWithin: c(0.4, 'share', 'the same of a general knife that is owned: sharpening costs little', 'house judgement'),
  wait: c(10, 'keeps', 'what each step costs in waiting beside its price', 'house judgement'),
  savingMonths: c(8, 'months', 'over which saving up is weighed against buying now', 'house judgement'),
  savingGain: c(0.01, 'coverage', 'what it must add to be worth naming', 'house judgement'),
} as const;

/** Constants of what is said beside a plan (handbook 5.2 and 8.5). */
export const GUIDANCE = {
  chopsFrom: c(0.5, 'share of the motions', 'who chops straight down so much may begin with a nakiri', 'handbook'),
  fleshFrom: c(
    0.1,
    'share of the weight',
    'from so much work on meat and fish on, the first knife is a general one',
    'house judgement',
  ),
  mainLeast: c(0.25, 'share', 'of the money for knives: a main knife takes about half', 'handbook'),
  serratedMost: c(0.2, 'share', 'the same of a serrated one, which is replaced', 'handbook'),
  serratedDearEur: c(40, 'EUR', 'what a serrated one may cost in any kit', 'house judgement'),
  dearForRoughEur: c(150, 'EUR', 'dear for rough, shared use', 'handbook'),
  dearForRareEur: c(60, 'EUR', 'dear for what is hardly used', 'house judgement'),
  rareMinutes: c(10, 'min a month', 'what counts as hardly', 'house judgement'),
  standsInWithin: c(30, 'mm', 'how far off a set’s piece stands in for a knife of the plan', 'house judgement'),
  caution: c(5, 'load', 'work that can hurt a blade is named from here on', 'house judgement'),
  waitedFor: c(0.15, 'share', 'a knife waited for more often than this is wanted twice', 'house judgement'),
  often: c(0.5, 'chance', 'from here on it happens often', 'house judgement'),
  cureAdds: c(10, 'score', 'what a cure of badly served work adds at least', 'house judgement'),
} as const;

/** Constants of what is said for a purchase, and of what stays badly served (handbook 10.5). */
export const REASON = {
  wellFrom: c(65, 'score', 'a reason is given at work that the knife itself does so well', 'handbook'),
  praised: c(60, 'score', 'work done worse is not named to its praise', 'handbook'),
  wins: c(5, 'score', 'less is no reason', 'house judgement'),
  partFrom: c(0.85, 'value', 'a part is named that is itself so good', 'house judgement'),
  wishMet: c(0.65, 'share', 'of the general knives that have less of what is wished', 'house judgement'),
  wishMissed: c(0.35, 'share', 'the same of a wish that is not met', 'house judgement'),
  missedFrom: c(0.5, 'min a week', 'work of less is not missed', 'handbook'),
  missedMatters: c(2, 'matters', 'unless it matters so much', 'handbook'),
  cureFrom: c(60, 'score', 'a cure does the work at least so well', 'handbook'),
} as const;

/** Constants of the schools of thought (handbook 5.3). */
export const SCHOOL = {
  plainEur: c(60, 'EUR', 'dearest a plain line knife may be: cheap enough to lose', 'handbook'),
  loaf: c(185, 'mm', 'least serrated edge that stands in for bread and carving', 'trade practice'),
  shortTo: c(150, 'mm', 'the short one of three lengths', 'handbook'),
  middleFrom: c(160, 'mm', 'the middle one', 'handbook'),
  middleTo: c(240, 'mm', 'up to here', 'handbook'),
  longFrom: c(240, 'mm', 'the long one, and a line cook’s', 'handbook'),
  gapFrom: c(140, 'mm', 'the knife that fills the gap between a petty and a general one', 'handbook'),
  gapTo: c(185, 'mm', 'up to here', 'handbook'),
  pettyFrom: c(110, 'mm', 'the petty that grows with the gaps', 'handbook'),
  handyHeel: c(41, 'mm', 'a mid-size blade no taller than this is handy', 'trade practice'),
  handyStrength: c(2.5, 'load', 'and this strong it may be the only one', 'house judgement'),
  costsAtMost: c(
    0.02,
    'coverage',
    'a piece of a school that costs the kit more waits for more money',
    'house judgement',
  ),
  sparedFrom: c(59.5, 'HRC', 'a general knife this hard is spared', 'handbook'),
  abusedFrom: c(3.8, 'load', 'one this strong may be abused', 'house judgement'),
  midFrom: c(115, 'mm', 'the one blade that does all', 'handbook'),
  midTo: c(150, 'mm', 'up to here', 'handbook'),
} as const;

/** How far things may be off when a plan is doubted. */
export const DOUBT = {
  sameLength: c(20, 'mm', 'knives of one kind no further apart are of the same length', 'house judgement'),
  doubtful: c(
    0.333,
    'share',
    'of the plans made again below which a step says first of all that it is in doubt',
    'handbook',
  ),
  sameLevel: c(0.03, 'share', 'levels no further apart say the same', 'house judgement'),
  firm: c(0.75, 'share', 'of the plans made again in which a firm step stays', 'house judgement'),
  close: c(0.4, 'share', 'and one that is a close call; below it a toss-up', 'house judgement'),
  load: c(0.25, 'standard deviation', 'loads by a quarter', 'handbook'),
  usefulness: c(0.025, 'standard deviation', 'what a blade is worth by a fortieth', 'house judgement'),
} as const;

/** When two main knives are offered, one spared and one abused. */
export const PAIR = {
  cleanFrom: c(1, 'level', 'work whose face shows what a thin hard edge does', 'house judgement'),
  separateFrom: c(2, 'level', 'work cut into many pieces, such as herbs and fine dice', 'house judgement'),
  firmFrom: c(8, 'level', 'food so hard that such an edge is spared it', 'house judgement'),
  moneyShare: c(0.5, 'share', 'of the money that two main knives may take', 'house judgement'),
} as const;

/** What an owned knife is taken for until it is measured, beside the middling figures of its type. */
export const TYPICAL = {
  longButchery: c(220, 'mm', 'butchery blades from this length on are for long cuts', 'trade practice'),
  smallHeel: c(32, 'mm', 'kinds no taller than this are small knives', 'trade practice'),
  midShare: c(0.6, 'share', 'of the taper that is left at mid blade', 'trade practice'),
  stout: c(3.5, 'mm', 'spine from which an edge is ground thick', 'trade practice'),
  stoutEdge: c(0.6, 'mm', 'thickness behind such an edge', 'trade practice'),
  edge: c(0.35, 'mm', 'thickness behind any other', 'trade practice'),
  hardFrom: c(60, 'HRC', 'kinds this hard are taken for hard stainless', 'trade practice'),
  pitchSmall: c(3, 'mm', 'teeth of small knives', 'trade practice'),
  pitch: c(6, 'mm', 'teeth of the others', 'trade practice'),
  small: {
    handleLength: c(105, 'mm', 'handle of a small knife', 'trade practice'),
    handleHeight: c(19, 'mm', 'its height', 'trade practice'),
    handleThickness: c(14.5, 'mm', 'its thickness', 'trade practice'),
  },
  large: {
    handleLength: c(122, 'mm', 'handle of any other', 'trade practice'),
    handleHeight: c(23.5, 'mm', 'its height', 'trade practice'),
    handleThickness: c(18.5, 'mm', 'its thickness', 'trade practice'),
  },
} as const;
