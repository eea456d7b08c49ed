import type { BladeModel } from '../../blade/schema';
import { EDGE } from '../../constants';
import { isGroundTooAcute, isSharpened } from '../../edge/keenness';
import { bladeTraits } from '../../fit/traits';
import { convertMinor } from '../../money/currency';
import { isAllRound } from './kinds';
import { scored } from './scoring';
import type { Candidate } from './candidate';
import { type Making, sharpeningMinor } from './making';
import { atTable } from './atTable';
import { dislike } from './dislike';
import { isAllowed, isBuyable } from './allowed';

/** Models as knives to be bought, in order of id, whether or not this kitchen has work for them. Table knives are bought one a seat. */
function forSale(making: Making, models: readonly BladeModel[]): Candidate[] {
  const { kitchen, reference, service } = making;
  const { habits, currency, tastes } = kitchen;
  const event = sharpeningMinor(kitchen, habits.sharpening === 'none' ? 'professional' : habits.sharpening);
  const unsharpened = habits.sharpening === 'none' || habits.sharpening === 'pull-through';
  return models
    .filter((model) => isAllowed(model, kitchen.limits))
    .sort((a, b) => (a.id < b.id ? -1 : 1))
    .flatMap((model): Candidate[] => {
      const type = reference.types.get(model.type);
      if (!type) return [];
      const blade = bladeTraits(model, reference, habits.roughUse);
      const tooAcute = isGroundTooAcute(model, blade.steel);
      // nobody without a sharpener is sold an edge that has to be opened up first
      if (tooAcute && unsharpened && !kitchen.limits.must.includes(model.id)) return [];
      const isTable = type.role === 'table';
      const served = service && isSharpened(model) && !isTable;
      const plain = atTable(scored(blade, making), isTable, making);
      const best = served ? atTable(scored(blade, { ...making, care: service }), isTable, making) : plain;
      const each = convertMinor(model.priceMinor, model.currency, currency);
      const serviceMinor = served ? EDGE.visits.service.value * event : 0;
      const regrindMinor = tooAcute ? event : 0;
      return [
        {
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
        },
      ];
    });
}

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
