import { c } from './constant';

/** Constants of knives tried: in the hand, and on food (handbook 6.1, 9.1 and 9.2). */
export const TRIAL = {
  hand: {
    enough: c(5, 'answers', 'fewer answers are no verdict', 'house judgement'),
    minutes: c(2, 'min', 'how long a knife is held', 'handbook'),
  },
  rating: {
    best: c(95, 'score', 'what a rating of 5 stands for', 'house judgement'),
    perStep: c(20, 'score a step', 'what a step of a rating stands for', 'house judgement'),
    noise: c(9, 'score', 'how far the mean of three marks strays from run to run', 'house judgement'),
    unsafe: c(40, 'score', 'an unsafe moment is never better than this', 'house judgement'),
  },
  model: {
    spread: c(10, 'score', 'how far a computed score strays from what one hand finds', 'house judgement'),
    spreadCounts: c(6, 'cells', 'how many measured cells the starting spread counts as', 'house judgement'),
    generous: c(10, 'score', 'how far cooks differ in rating everything high or low', 'house judgement'),
  },
  bench: {
    foods: c(10, 'foods', 'most foods of a trial', 'handbook'),
    ahead: c(5, 'score', 'a knife so far ahead at a task is the better one', 'house judgement'),
    sure: c(0.9, 'share', 'how sure an interval is', 'house judgement'),
    far: c(60, 'trials', 'a difference that needs more is called too small to matter', 'house judgement'),
    alike: c(2, 'steps', 'tasks so many steps apart share little of the model’s error', 'house judgement'),
    leastSpread: c(2, 'score', 'how far knives that differ in nothing may still differ', 'house judgement'),
    perDifference: c(0.35, 'share', 'of what parts say of two knives so much may be wrong', 'house judgement'),
    mostSpread: c(16, 'score', 'and never more than this', 'house judgement'),
  },
  coin: {
    rows: c(4, 'coins', 'most coins in one stack', 'house judgement'),
  },
} as const;
