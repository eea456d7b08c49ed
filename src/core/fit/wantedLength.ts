import { FIT, LOAD } from '../constants';
import type { TaskLoad } from '../load/load';
import type { LengthBand } from '../formats/planFile';
import type { Cook, Kitchen } from '../kitchen/kitchen';

/** Works out the wanted length of the general knife from hand, board, practice, batches and food; the cook's own wish overrides. */
export function wantedLength(
  cook: Cook,
  kitchen: Pick<Kitchen, 'board' | 'portions' | 'dishes' | 'limits' | 'cooksAtOnce' | 'wishes'>,
  loads: readonly TaskLoad[],
): LengthBand {
  const r = FIT.wantedLength;
  if (cook.wantsLengthMm !== null)
    return {
      fromMm: Math.round(cook.wantsLengthMm - r.ownWish.value),
      toMm: Math.round(cook.wantsLengthMm + r.ownWish.value),
      why: [`You asked for about ${cook.wantsLengthMm} mm.`],
    };
  let centre = r.perHand.value * cook.handLengthMm;
  const why = [`A hand of ${cook.handLengthMm} mm: about ${Math.round(centre)} mm.`];
  const move = (by: number, reason: string) => {
    centre += by;
    why.push(`${reason}: ${by > 0 ? '+' : '−'}${Math.abs(by)} mm.`);
  };
  if (cook.experience === 'trained' || cook.experience === 'keen')
    move(r.practised.value, cook.experience === 'trained' ? 'Trained' : 'Keen and practised');
  if (cook.experience === 'new') move(r.learning.value, 'New to it');
  if (cook.strength === 'light') move(r.lightArm.value, 'Light arms');
  const hours = loads.reduce((sum, load) => sum + load.minutesPerWeek, 0) / 60 / Math.max(1, kitchen.cooksAtOnce);
  if (hours > r.batchHours.value) move(r.bigBatches.value, `Big batches, ${hours.toFixed(1)} h of cutting a week`);
  else if (kitchen.portions > r.batchPortions.value)
    move(r.bigBatches.value, `Big batches, ${kitchen.portions} portions`);
  const large = loads.filter(
    ({ task, timesPerYear }) =>
      timesPerYear >= LOAD.weekly.value &&
      (task.widthMm >= r.largeFoodMm.value || task.heightMm >= r.tallFoodMm.value) &&
      boardTask(task.motions),
  );
  const first = large[0];
  if (first) move(r.largeFood.value, `Large food every week (${first.task.name.toLowerCase()})`);
  const opinion = opinionOf(kitchen);
  if (opinion) move(...opinion);
  // cramped once is cramped: small board, crowded counter and nerves do not add up
  const cramped =
    kitchen.board.lengthMm < r.smallBoardMm.value
      ? `A small board, ${kitchen.board.lengthMm} mm`
      : kitchen.board.counter === 'cramped'
        ? 'A cramped counter'
        : cook.nervous
          ? 'Uneasy with long blades'
          : null;
  if (cramped) move(r.smallBoard.value, cramped);
  const cap = r.boardShare.value * kitchen.board.lengthMm;
  if (centre > cap) {
    centre = cap;
    why.push(`The board of ${kitchen.board.lengthMm} mm carries about ${Math.round(cap)} mm.`);
  }
  centre = Math.min(r.longest.value, Math.max(r.shortest.value + r.tolerance.value, centre));
  const step = r.step.value;
  return {
    fromMm: step * Math.floor((centre - r.tolerance.value) / step),
    toMm: step * Math.ceil((centre + r.tolerance.value) / step),
    why,
  };
}

/** What somebody holds or wishes of length beyond what hand and board ask for, mm, with the reason; null where they hold nothing. */
function opinionOf({ limits, wishes }: Pick<Kitchen, 'limits' | 'wishes'>): [number, string] | null {
  const { long, nimble } = FIT.wantedLength;
  if (limits.lengthSchool === 'long') return [long.value, 'You hold that longer is more capable'];
  if (limits.lengthSchool === 'nimble') return [nimble.value, 'You hold that short is nimble'];
  if (wishes.includes('long')) return [long.value, 'You wish it long'];
  return wishes.includes('short') ? [nimble.value, 'You wish it short'] : null;
}

/** The longest edge a cook draws with ease through long food, mm: by hand, practice and board. A stated wish for length lifts it. */
export function sliceLengthMm(cook: Cook, board: Kitchen['board']): number {
  const r = FIT.wantedLength;
  const practised = {
    new: r.sliceLearning.value,
    home: 0,
    keen: r.slicePractised.value / 2,
    trained: r.slicePractised.value,
  };
  const light = cook.strength === 'light' ? r.sliceLight.value : 0;
  const wanted = r.slicePerHand.value * cook.handLengthMm + practised[cook.experience] + light;
  return Math.max(cook.wantsLengthMm ?? 0, Math.min(wanted, r.sliceBoard.value * board.lengthMm));
}

const boardTask = (motions: readonly string[]) => motions.some((m) => m === 'push' || m === 'chop' || m === 'rock');
