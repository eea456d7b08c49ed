import type { TaskLoad } from '../cutting/load';
import type { Cook, Kitchen } from '../kitchen/kitchen';

/** The band of edge lengths that suits a cook's general knife, mm, with the reasons that moved it. */
export interface LengthBand {
  fromMm: number;
  toMm: number;
  why: string[];
}

/** Constants of the handbook's rule (4, "Wanted length"); all mm unless said. House starting values. */
export const LENGTH_RULE = {
  perHand: 1.1,
  boardShare: 0.62,
  practised: 15,
  learning: -15,
  bigBatches: 20,
  batchHours: 4,
  batchPortions: 8,
  largeFood: 10,
  smallBoard: -20,
  smallBoardMm: 330,
  long: 20,
  nimble: -25,
  /** Half-width of the band: people are happy a finger's breadth either way. */
  tolerance: 16,
  ownWish: 8,
  shortest: 140,
  longest: 300,
} as const;

/** Food that wants a longer edge when it is cut weekly, mm of cut. */
const LARGE_FOOD_MM = 160;

/** Works out the wanted length of the general knife from hand, board, practice, batches and food; the cook's own wish overrides. */
export function wantedLength(
  cook: Cook,
  kitchen: Pick<Kitchen, 'board' | 'portions' | 'dishes' | 'limits' | 'cooksAtOnce'>,
  loads: readonly TaskLoad[],
): LengthBand {
  const r = LENGTH_RULE;
  if (cook.wantsLengthMm !== null)
    return {
      fromMm: Math.round(cook.wantsLengthMm - r.ownWish),
      toMm: Math.round(cook.wantsLengthMm + r.ownWish),
      why: [`You asked for about ${cook.wantsLengthMm} mm.`],
    };
  let centre = r.perHand * cook.handLengthMm;
  const why = [`A hand of ${cook.handLengthMm} mm: about ${Math.round(centre)} mm.`];
  const move = (by: number, reason: string) => {
    centre += by;
    why.push(`${reason}: ${by > 0 ? '+' : '−'}${Math.abs(by)} mm.`);
  };
  if (cook.experience === 'trained' || cook.experience === 'keen')
    move(r.practised, cook.experience === 'trained' ? 'Trained' : 'Keen and practised');
  if (cook.experience === 'new') move(r.learning, 'New to it');
  const hours = loads.reduce((sum, load) => sum + load.minutesPerWeek, 0) / 60 / Math.max(1, kitchen.cooksAtOnce);
  if (hours > r.batchHours) move(r.bigBatches, `Big batches, ${hours.toFixed(1)} h of cutting a week`);
  else if (kitchen.portions > r.batchPortions) move(r.bigBatches, `Big batches, ${kitchen.portions} portions`);
  const large = loads.filter(
    ({ task, timesPerYear }) =>
      timesPerYear >= 52 && (task.widthMm >= LARGE_FOOD_MM || task.heightMm >= 130) && boardTask(task.motions),
  );
  const first = large[0];
  if (first) move(r.largeFood, `Large food every week (${first.task.name.toLowerCase()})`);
  if (kitchen.limits.lengthSchool === 'long') move(r.long, 'You hold that longer is more capable');
  if (kitchen.limits.lengthSchool === 'nimble') move(r.nimble, 'You hold that short is nimble');
  if (kitchen.board.lengthMm < r.smallBoardMm) move(r.smallBoard, `A small board, ${kitchen.board.lengthMm} mm`);
  const cap = r.boardShare * kitchen.board.lengthMm;
  if (centre > cap) {
    centre = cap;
    why.push(`The board of ${kitchen.board.lengthMm} mm carries about ${Math.round(cap)} mm.`);
  }
  centre = Math.min(r.longest, Math.max(r.shortest + r.tolerance, centre));
  return { fromMm: Math.round(centre - r.tolerance), toMm: Math.round(centre + r.tolerance), why };
}

const boardTask = (motions: readonly string[]) => motions.some((m) => m === 'push' || m === 'chop' || m === 'rock');
