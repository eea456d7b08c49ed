import { c, type Constant } from './constant';

/** Scores from which the words begin (handbook 4). */
export const SCORE_WORDS = {
  madeForIt: c(85, 'score', 'made for it', 'handbook'),
  doesItWell: c(70, 'score', 'does it well', 'handbook'),
  manages: c(55, 'score', 'manages', 'handbook'),
  struggles: c(35, 'score', 'a struggle; below it the wrong tool', 'handbook'),
} as const satisfies Record<string, Constant>;
