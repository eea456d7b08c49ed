import type { BladeModel, BladeType } from '../../blade/schema';
import type { TaskLoad } from '../../load/load';
import { LOAD, TYPICAL } from '../../constants';
import type { Kitchen } from '../../kitchen/kitchen';
import type { Candidate } from './candidate';
import type { Making } from './making';

/** Handle styles each stated taste allows. */
const HANDLES: Record<string, readonly string[]> = {
  western: ['western'],
  japanese: ['octagon', 'oval', 'd-shape'],
  moulded: ['moulded'],
  metal: ['metal'],
};

/** Whether a model has a handle of the kind that is asked for. */
export const hasHandle = ({ handleStyle }: BladeModel, asked: string): boolean =>
  (HANDLES[asked] ?? []).includes(handleStyle);

/** Whether the kitchen's limits allow buying this model: what is ground for the other hand only where it is asked for by name. */
export function isAllowed(model: BladeModel, { limits, cooks }: Pick<Kitchen, 'limits' | 'cooks'>): boolean {
  if (limits.never.includes(model.type) || limits.never.includes(model.id)) return false;
  if (limits.must.includes(model.id)) return true;
  // a folding knife is carried, not worked with
  if (model.handleStyle === 'folding') return limits.must.includes(model.type);
  if (model.handed !== 'either' && cooks.every(({ handed }) => handed !== model.handed)) return false;
  if (limits.maker && model.maker !== limits.maker) return false;
  if (limits.list && model.list !== limits.list) return false;
  if (limits.steel.length > 0 && !limits.steel.includes(model.steel)) return false;
  return !limits.handle || hasHandle(model, limits.handle);
}

/** Whether cakes or tarts are sawn every week where nobody avoids what is baked. */
const bakesWeekly = ({ avoids }: Kitchen, loads: readonly TaskLoad[]): boolean =>
  !avoids.includes('bread') &&
  !avoids.includes('gluten') &&
  loads.some(
    ({ task, timesPerYear }) =>
      task.group === 'Bread, bakes, cheese' && task.motions[0] === 'saw' && timesPerYear >= LOAD.weekly.value,
  );

/**
 * Whether a kitchen has the work a role is for: specialist blades are chosen by which animal or fish is really taken apart
 * (handbook 1.5), a slicer by what is sliced long, a bread knife by bread. General, vegetable and small knives always are.
 */
function hasWorkFor(type: BladeType, { kitchen, loads }: Pick<Making, 'kitchen' | 'loads'>): boolean {
  const does = (test: (task: TaskLoad['task']) => boolean) => loads.some(({ task }) => test(task));
  switch (type.role) {
    case 'fish':
      return does((t) => t.group === 'Fish and shellfish');
    case 'butchery':
      // a butcher's long sweep is for primals and steaks; the others for what is really taken apart
      return type.lengthMm[0] >= TYPICAL.longButchery.value
        ? does((t) => t.group === 'Raw meat and poultry' && t.long)
        : does(
            (t) => t.group === 'Raw meat and poultry' || t.motions[0] === 'cleave' || t.group === 'Fish and shellfish',
          );
    case 'slicer':
      return does((t) => t.group === 'Cooked meat' || t.group === 'Fish and shellfish' || (t.long && t.clean === 3));
    case 'serrated':
      // teeth are chosen for crust: a long serrated knife is a bread knife, and needs bread, or cakes and tarts every week
      return type.id === 'serrated-utility' || does((t) => t.contains.includes('bread')) || bakesWeekly(kitchen, loads);
    case 'table':
      return does((t) => t.atTable === true);
    case 'other':
      return does((t) => t.withChild === true || t.motions[0] === 'pry');
    default:
      return true;
  }
}

/** Whether a knife is worth buying here: it has work to do, or the limits ask for it by name. */
export function isBuyable(
  { id, type }: Pick<Candidate, 'id' | 'type'>,
  making: Pick<Making, 'kitchen' | 'loads'>,
): boolean {
  const { must } = making.kitchen.limits;
  return type !== null && (must.includes(type.id) || must.includes(id) || hasWorkFor(type, making));
}
