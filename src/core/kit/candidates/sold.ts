import type { BladeModel } from '../../blade/schema';
import { EDGE, LOAD, WORTH } from '../../constants';
import { rescued } from '../demand/rescue';
import { isGroundTooAcute, isSharpened } from '../../edge/keenness';
import { byWishes } from '../../fit/wishes';
import { bladeTraits } from '../../fit/traits';
import { convertMinor } from '../../money/currency';
import { isAllRound } from './kinds';
import { scored } from './scoring';
import type { Candidate } from './candidate';
import { type Making, sharpeningMinor } from './making';
import { onlyAtTable, onTheBoard } from './atTable';
import { dislike } from './dislike';
import { isAllowed, isBuyable } from './allowed';

/**
 * A model as a knife to be bought, whether or not this kitchen has work for it; null where its type is unknown or nobody here could open its edge
 * up first. Table knives are bought one a seat.
 */
export function candidateFor(making: Making, model: BladeModel): Candidate | null {
  const { kitchen, reference, service } = making;
  const { habits, currency, tastes } = kitchen;
  const type = reference.types.get(model.type);
  if (!type) return null;
  const event = sharpeningMinor(kitchen, habits.sharpening === 'none' ? 'professional' : habits.sharpening);
  const unsharpened = habits.sharpening === 'none' || habits.sharpening === 'pull-through';
  const blade = bladeTraits(model, reference, habits.roughUse);
  const tooAcute = isGroundTooAcute(model, blade.steel);
  // nobody without a sharpener is sold an edge that has to be opened up first
  if (tooAcute && unsharpened && !kitchen.limits.must.includes(model.id)) return null;
  const isTable = type.role === 'table';
  const served = service && isSharpened(model) && !isTable;
  const here = isTable ? onlyAtTable : onTheBoard;
  const plain = here(scored(blade, making), making);
  const best = served ? here(scored(blade, { ...making, care: service }), making) : plain;
  const each = convertMinor(model.priceMinor, model.currency, currency);
  const serviceMinor = served ? EDGE.visits.service.value * event : 0;
  const regrindMinor = tooAcute ? event : 0;
  return {
    id: model.id,
    action: 'buy',
    type,
    blade,
    tool: null,
    owned: null,
    priceMinor: (isTable ? each * kitchen.seats : each) + serviceMinor + regrindMinor,
    ...(serviceMinor > 0 ? { serviceMinor, unserviced: plain } : {}),
    ...(regrindMinor > 0 ? { regrindMinor } : {}),
    ...(tastes.leftover === 'main' && isAllRound(type) ? { isMain: true } : {}),
    dislike: dislike(blade, type, kitchen, making.hands),
    ...best,
    counted: best.usefulness,
  };
}

/** Models as knives to be bought, in order of id. */
const forSale = (making: Making, models: readonly BladeModel[]): Candidate[] =>
  models
    .filter((model) => isAllowed(model, making.kitchen))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((model) => candidateFor(making, model) ?? []);

/** Marks what does pressing work well that is a struggle for every general knife among `knives`. */
function withRescuers(knives: Candidate[], { loads }: Making): Candidate[] {
  const general = knives.filter(({ type }) => isAllRound(type));
  const isMuch = (t: number) =>
    (loads[t]?.minutesPerWeek ?? 0) >= WORTH.rescuerMinutes.value || (loads[t]?.matters ?? 0) >= LOAD.pressing.value;
  const hard = rescued(loads).filter(
    (t) => isMuch(t) && general.every(({ scores }) => (scores[t] ?? 0) < WORTH.needFrom.value),
  );
  const does = ({ scores }: Candidate) => hard.some((t) => (scores[t] ?? 0) >= WORTH.likeCap.value);
  return hard.length === 0 ? knives : knives.map((knife) => (does(knife) ? { ...knife, isRescuer: true } : knife));
}

/** Lets main knives that are further from what is wished of one give up a little beside their score: the score itself stays as it is. */
function asWished(knives: Candidate[], { kitchen }: Making): Candidate[] {
  const main = knives.flatMap(({ type, blade }) => (isAllRound(type) && blade ? [blade] : []));
  if (kitchen.wishes.length === 0 || main.length === 0) return knives;
  const shares = new Map(byWishes(kitchen.wishes, main).map(({ blade, share }) => [blade, share]));
  return knives.map((knife) => {
    const share = knife.blade && shares.get(knife.blade);
    return share == null ? knife : { ...knife, dislike: (knife.dislike ?? 0) + WORTH.wishes.value * (1 - share) };
  });
}

/** What is for sale here: knives worth buying, and the pieces of sets. */
export function knivesForSale(making: Making): Candidate[] {
  const { models, reference } = making;
  const inSets = new Set([...reference.sets.values()].flatMap(({ pieces }) => pieces));
  const worthBuying = models.filter(
    ({ id, type }) => inSets.has(id) || isBuyable({ id, type: reference.types.get(type) ?? null }, making),
  );
  return withRescuers(asWished(forSale(making, worthBuying), making), making);
}
