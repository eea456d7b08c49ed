import { c } from './constant';

/** Constants of where knives live (handbook 6.3 and 9.4). */
export const KEEPING = {
  gap: c(15, 'mm', 'between neighbours on a strip: room for fingers', 'trade practice'),
  gripAboveHeel: c(30, 'mm', 'a strip grips the blade this far above the heel', 'house judgement'),
  guardWall: c(3, 'mm', 'a guard adds this on every side of a blade', 'trade practice'),
  provenUpTo: c(12, 'knives', 'up to here every arrangement is weighed', 'house judgement'),
} as const;

/** Constants of the roll packed for another kitchen (handbook 9.4). */
export const PACKING = {
  leastGain: c(0.01, 'coverage', 'what a knife must add there to be worth carrying: a point', 'house judgement'),
  worse: c(
    15,
    'points',
    'a task at home is named when its best score falls by so much while the roll is away',
    'house judgement',
  ),
  lacking: c(45, 'points', 'a task there is named when nothing that is taken scores higher', 'house judgement'),
  mostSteps: c(60_000, 'kits', 'looked at before the choice is called not proven', 'house judgement'),
} as const;

/** Constants of the sheet for the kitchen wall. */
export const WALL = {
  boneStrength: c(9, 'load', 'an edge this strong, on a blade this heavy, may meet bone', 'handbook'),
  boneWeightG: c(300, 'g', 'weight of such a blade', 'trade practice'),
} as const;
