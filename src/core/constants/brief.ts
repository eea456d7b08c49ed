import { c } from './constant';

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
