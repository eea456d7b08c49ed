import type { BladeModel, BladeType } from '../../blade/schema';
import type { EdgeLife } from '../../edge/keenness';
import { latelyOf } from '../../text/lately';
import { bladeTraits, type BladeTraits } from '../../fit/traits';
import type { Kitchen, Owned } from '../../kitchen/kitchen';
import type { Reference } from '../../reference';
import { onTheBoard } from './atTable';
import type { Making } from './making';
import { damageLeft, edgeHere, keennessNow, type Scored, scoredAt, sharpScores } from './scoring';
import { typicalBlade } from './typicalBlade';

/** An owned knife as it is today. */
export interface OwnedKnife {
  owned: Owned;
  type: BladeType;
  blade: BladeTraits;
  scores: Float64Array;
  usefulness: Float64Array;
  /** The same, put right and kept as this kitchen keeps its edges. */
  restored: Scored;
}

/** The blade of an owned knife: its model, or a middling one of its type, with what was measured of it. */
function ownedBlade(
  owned: Owned,
  index: number,
  type: BladeType,
  model: BladeModel | undefined,
  hand: 'left' | 'right',
): BladeModel {
  const blade = model ?? { ...typicalBlade(type, owned, hand), id: `owned-${index}` };
  const { lengthMm, heelHeightMm, weightG, spineMm, behindEdgeMm, balanceMm, flex, flatShare, bellyMm } = owned;
  const own = [lengthMm, heelHeightMm, weightG, spineMm, behindEdgeMm, balanceMm, flex, flatShare, bellyMm];
  if (own.every((figure) => figure === undefined)) return blade;
  const thinner = spineMm === undefined ? 1 : spineMm / blade.spineHeelMm;
  return {
    ...blade,
    lengthMm: lengthMm ?? blade.lengthMm,
    heelHeightMm: heelHeightMm ?? blade.heelHeightMm,
    weightG: weightG ?? blade.weightG,
    spineHeelMm: blade.spineHeelMm * thinner,
    spineMidMm: blade.spineMidMm * thinner,
    spineTipMm: Math.min(blade.spineTipMm, blade.spineHeelMm * thinner),
    balanceMm: balanceMm ?? blade.balanceMm,
    flex: flex ?? blade.flex,
    flatShare: flatShare ?? blade.flatShare,
    bellyMm: Math.min(bellyMm ?? blade.bellyMm, heelHeightMm ?? blade.heelHeightMm),
    behindEdgeMm: behindEdgeMm ?? blade.behindEdgeMm,
  };
}

/** Blades kept in mind of a model or type: more than any drawer holds. */
const MOST_KNOWN = 200;

const knownBlades = latelyOf<BladeModel>(MOST_KNOWN);

/** {@link ownedBlade}, worked out once for what the drawer says of a knife, so that what is scored for it stays known. */
function bladeOf(...[owned, index, type, model, hand]: Parameters<typeof ownedBlade>): BladeModel {
  const key = JSON.stringify([owned, index, hand]);
  return knownBlades(model ?? type, key, () => ownedBlade(owned, index, type, model, hand));
}

/** Rows of an owned knife without what its cooks may not use, or nothing for a keepsake and what is lent. */
function forItsUsers(made: Scored, owned: Owned, index: number, { hands, loads }: Making): Scored {
  if (owned.keep !== 'use')
    return { ...made, scores: made.scores.map(() => 0), usefulness: made.usefulness.map(() => 0) };
  const T = loads.length;
  const barred = hands.map(({ cook }) => cook.cook.mayUse !== null && !cook.cook.mayUse.includes(index));
  if (!barred.includes(true)) return made;
  const rows = made.usefulness.map((value, column) => (barred[Math.floor(column / T)] ? 0 : value));
  return barred.every(Boolean)
    ? { ...made, usefulness: rows.map(() => 0), scores: made.scores.map(() => 0) }
    : { ...made, usefulness: rows };
}

/** Sharp scores of an owned knife, nothing where it has chipped on that food before. */
function withoutChipped(sharp: Float64Array, index: number, { kitchen, loads }: Making): Float64Array {
  const chipped = new Set(
    kitchen.diary.flatMap(({ knife, did, task }) => (knife === index && did === 'chipped' && task ? [task] : [])),
  );
  if (chipped.size === 0) return sharp;
  return sharp.map((score, column) => (chipped.has(loads[column % loads.length]?.task.id ?? '') ? 0 : score));
}

/** The blades of the drawer, in its order; null where nothing is known of a type. */
export function bladesOwned(
  { owned: drawer, cooks, habits }: Pick<Kitchen, 'owned' | 'cooks' | 'habits'>,
  reference: Reference,
  models: readonly BladeModel[],
): ({ type: BladeType; blade: BladeTraits } | null)[] {
  const hand = cooks.every((cook) => cook.handed === 'left') ? 'left' : 'right';
  return drawer.map((owned, index) => {
    const model = models.find((m) => m.id === owned.model);
    const type = reference.types.get(owned.type ?? model?.type ?? '');
    if (!type) return null;
    return { type, blade: bladeTraits(bladeOf(owned, index, type, model, hand), reference, habits.roughUse) };
  });
}

/** The owned knives as they are. An owned model that left the catalogue is taken for a typical blade of its type. */
export function ownedKnives(making: Making): OwnedKnife[] {
  const { kitchen, models, reference, service } = making;
  const blades = bladesOwned(kitchen, reference, models);
  const tableKnives = blades.filter((each) => each?.type.role === 'table').length;
  return kitchen.owned.flatMap((owned, index) => {
    const known = blades[index];
    if (!known) return [];
    const { type, blade } = known;
    const enough = type.role === 'table' && tableKnives >= kitchen.seats;
    const sharp = withoutChipped(sharpScores(blade, making), index, making);
    const made = (keenness: number, left: number, edge: EdgeLife) => {
      const as = { ...scoredAt(sharp, keenness, left, making), edge };
      return forItsUsers(enough ? as : onTheBoard(as, making), owned, index, making);
    };
    const edge = edgeHere(blade, making, sharp);
    const kept = service ? edgeHere(blade, { ...making, care: service }, sharp) : edge;
    const now = made(keennessNow(owned.condition, edge.averageKeenness), damageLeft(owned.condition), edge);
    const restored = made(kept.averageKeenness, 1, kept);
    return [{ owned, type, blade, scores: now.scores, usefulness: now.usefulness, restored }];
  });
}

/** Whether an edge is not fit to work with but can be put right. */
export const isDull = ({ condition }: Pick<Owned, 'condition'>): boolean =>
  condition === 'dull' || condition === 'chipped';

/** Whether the edge of an owned knife is not fit to work with as it lies in the drawer. */
export const isBlunt = ({ owned }: OwnedKnife): boolean => isDull(owned) || owned.condition === 'worn-out';

/** Whether an owned knife is sound, or would be with a sharpening or a repair: not worn out, and in use. */
export const isSound = ({ owned }: OwnedKnife): boolean => owned.keep === 'use' && owned.condition !== 'worn-out';

/** Why an owned knife lies beside the working ones; null where it works. */
export function whyApart({ keep }: Pick<Owned, 'keep'>): string | null {
  if (keep === 'keepsake') return 'A keepsake: kept for its own sake, outside the count.';
  return keep === 'lend' ? 'Kept to lend and for rough work, so that the others are spared.' : null;
}
