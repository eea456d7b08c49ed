import type { BladeModel } from '../../blade/schema';
import { EDGE } from '../../constants';
import { isGroundTooAcute, isSharpened } from '../../edge/keenness';
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
    dislike: dislike(blade, type, kitchen),
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

/** What is for sale here: knives worth buying, and the pieces of sets. */
export function knivesForSale(making: Making): Candidate[] {
  const { models, reference } = making;
  const inSets = new Set([...reference.sets.values()].flatMap(({ pieces }) => pieces));
  return forSale(
    making,
    models.filter(
      ({ id, type }) => inSets.has(id) || isBuyable({ id, type: reference.types.get(type) ?? null }, making),
    ),
  );
}
