import { c } from './constant';

/** Constants of where knives live (handbook 6.3 and 9.4). */
export const KEEPING = {
  gap: c(15, 'mm', 'between neighbours on a strip: room for fingers', 'trade practice'),
  gripAboveHeel: c(30, 'mm', 'a strip grips the blade this far above the heel', 'house judgement'),
  provenUpTo: c(12, 'knives', 'up to here every arrangement is weighed', 'house judgement'),
} as const;
