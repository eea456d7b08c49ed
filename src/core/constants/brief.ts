import { c } from './constant';

/** Constants of the verdict on a knife in a shop. */
export const LABEL = {
  little: c(
    0.6,
    'share',
    'of a step’s work below which a knife with a failing part is the wrong one',
    'house judgement',
  ),
  tooLittle: c(0.35, 'share', 'of a step’s work below which it is the wrong one in any case', 'house judgement'),
  failing: c(
    0.7,
    'factor',
    'of the other knife’s that a part leaves at the worst task when it fails',
    'house judgement',
  ),
  asGood: c(0.03, 'share', 'of a step’s work that nobody misses', 'house judgement'),
  shortfall: c(
    2,
    'power',
    'of the share of the work a knife does: what it leaves undone is paid for again in the next knife',
    'house judgement',
  ),
} as const;

/** Constants of the briefs that let a step be bought in any shop. */
export const BRIEF = {
  widerLength: c(
    0.15,
    'share',
    'beyond a type’s usual lengths that shops still offer under its name',
    'house judgement',
  ),
  wider: c(0.3, 'share', 'the same of heights, weights and thicknesses', 'house judgement'),
  hrc: [c(52, 'HRC', 'softest steel sold for a knife', 'trade practice'), c(67, 'HRC', 'hardest', 'trade practice')],
  behindEdgeMm: [
    c(0.1, 'mm', 'thinnest behind the edge that is sold', 'trade practice'),
    c(0.8, 'mm', 'thickest', 'trade practice'),
  ],
  edgeAngleDeg: [
    c(8, '° a side', 'most acute edge that is sold', 'trade practice'),
    c(25, '° a side', 'most obtuse', 'trade practice'),
  ],
  dearest: c(10, 'factor', 'of its price beyond which nobody looks for a walk-away price', 'house judgement'),
  priceStep: c(0.01, 'share', 'of its price to which the walk-away price is found', 'house judgement'),
} as const;
