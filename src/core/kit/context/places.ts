import type { BladeModel } from '../../blade/schema';
import { GUIDANCE } from '../../constants';
import type { Kitchen } from '../../kitchen/kitchen';
import { isFlesh } from '../../cutting/eaten';
import type { TaskLoad } from '../../load/load';
import type { Place, Problem } from '../search/problem';
import type { Candidate } from '../candidates/candidate';
import { placesLaidOut, type PlaceRule, type SchoolId } from './schools';
import type { Reference } from '../../reference';
import { isAllRound } from '../candidates/kinds';
import type { OwnedKnife } from '../candidates/owned';
import { withoutDominated } from '../search/dominance';
import { isInNumbers, type MoneyScale } from '../search/worth';

export function demandedPlaces(kitchen: Kitchen, models: readonly BladeModel[]): PlaceRule[] {
  const modelIds = new Set(models.map((m) => m.id));
  return kitchen.limits.must
    .filter((id) => !kitchen.owned.some((o) => o.type === id || o.model === id))
    .map((id) => ({
      required: true,
      accepts: (c) => c.action === 'buy' && (modelIds.has(id) ? c.id === id : c.type?.id === id),
    }));
}

/** Most knives a kitchen may buy, copies counted. */
export const piecesAtMost = (kitchen: Pick<Kitchen, 'cooksAtOnce' | 'cooks' | 'limits'>): number =>
  kitchen.limits.maxKnives * (isInNumbers(kitchen) ? Math.max(kitchen.cooksAtOnce, kitchen.cooks.length) : 1);

/** What is asked for by name, and as much of the other places as the limit of knives, or of kinds, leaves beside it. */
export function besideNamed(
  named: readonly PlaceRule[],
  others: readonly PlaceRule[],
  kitchen: Pick<Kitchen, 'cooksAtOnce' | 'limits'>,
): PlaceRule[] {
  if (!isInNumbers(kitchen)) return [...named, ...others.slice(0, Math.max(0, others.length - named.length))];
  const required = others.filter((rule) => rule.required);
  const kept = required.slice(0, Math.max(0, kitchen.limits.maxKnives - named.length));
  return [...named, ...kept, ...others.filter((rule) => !rule.required)];
}

/** The limit of different knives beside some rules, where kinds are counted: as many as a school lays out, and what is required in any case. */
export function kindsAtMost(
  { cooksAtOnce, limits }: Pick<Kitchen, 'cooksAtOnce' | 'limits'>,
  rules: readonly PlaceRule[],
  school: SchoolId,
): Pick<Problem, 'kinds'> {
  if (!isInNumbers({ cooksAtOnce })) return {};
  const required = rules.filter((rule) => rule.required).length;
  return { kinds: Math.max(required, Math.min(limits.maxKnives, placesLaidOut(school) ?? Infinity)) };
}

/** The places of some rules; places that accept the same share one list, so that equal places are tried once. */
export function placesFor(rules: readonly PlaceRule[], candidates: readonly Candidate[]): Place[] {
  const byRule = new Map<PlaceRule['accepts'], number[]>();
  const known = new Map<string, number[]>();
  return rules.map(({ accepts, required }) => {
    const fits = byRule.get(accepts) ?? candidates.flatMap((c, i) => (accepts(c) ? [i] : []));
    const key = fits.join();
    const shared = known.get(key) ?? fits;
    known.set(key, shared);
    byRule.set(accepts, shared);
    return { fits: shared, required };
  });
}

/** General knives that are there whatever is chosen: fit for use, or demanded by name. */
export function generalsSure(
  kitchen: Kitchen,
  owned: readonly OwnedKnife[],
  models: readonly BladeModel[],
  { types }: Pick<Reference, 'types'>,
): number {
  const demanded = kitchen.limits.must.map(
    (id) => types.get(id) ?? types.get(models.find((m) => m.id === id)?.type ?? ''),
  );
  const usable = owned.filter((o) => o.owned.condition !== 'worn-out').map((o) => o.type);
  return [...usable, ...demanded].filter(isAllRound).length;
}

/** Whether so much of the work is on flesh, and not all of it, that the first knife should be a general one. */
export function cutsFlesh(loads: readonly TaskLoad[]): boolean {
  const all = loads.reduce((sum, { weight }) => sum + weight, 0);
  const onFlesh = loads.reduce((sum, { task, weight }) => sum + (isFlesh(task) ? weight : 0), 0);
  const some = GUIDANCE.fleshFrom.value * all;
  return onFlesh > 0 && onFlesh >= some && all - onFlesh >= some;
}

/** Keeps what the limits ask for by name even where something else beats it. */
export function reduced(
  candidates: Candidate[],
  slots: readonly PlaceRule[],
  school: SchoolId,
  { volumes }: Pick<Reference, 'volumes'>,
  scale: MoneyScale,
): Candidate[] {
  if (school !== 'free') return candidates;
  const off = new Map(volumes.map((volume) => [volume.maker, volume.off]));
  const lowest = ({ blade, priceMinor }: Candidate) => priceMinor * (1 - (off.get(blade?.blade.maker ?? '') ?? 0));
  const kept = new Set(withoutDominated(candidates, scale, lowest));
  const named = slots.filter((slot) => slot.required);
  return candidates.filter((c) => kept.has(c) || named.some((slot) => slot.accepts(c)));
}
