import { EDGE } from '../../constants';
import { isSharpened } from '../../edge/keenness';
import type { Candidate } from './candidate';
import { type Making, sharpeningMinor } from './making';
import type { OwnedKnife } from './owned';

/**
 * Putting owned knives right: sharpening what is dull, repairing what is chipped, and, where a service is bought, keeping what is sound. Worn-out
 * knives are past it.
 */
export function careSteps(
  { kitchen, service }: Pick<Making, 'kitchen' | 'service'>,
  owned: readonly OwnedKnife[],
): Candidate[] {
  return owned.flatMap((knife, index): Candidate[] => {
    const { condition, keep } = knife.owned;
    if (condition === 'worn-out' || keep !== 'use' || knife.type.role === 'table') return [];
    if (!isSharpened(knife.blade.blade)) return [];
    const action =
      condition === 'chipped'
        ? 'repair'
        : condition === 'keen' || (service && condition === 'serviceable')
          ? 'service'
          : 'sharpen';
    if (action === 'service' && !service) return [];
    const event = sharpeningMinor(
      kitchen,
      action === 'repair' ? 'repair' : service ? 'professional' : kitchen.habits.sharpening,
    );
    const visit = sharpeningMinor(kitchen, 'professional');
    const serviceMinor = !service
      ? 0
      : action === 'service'
        ? EDGE.visits.service.value * visit
        : (EDGE.visits.service.value - 1) * visit;
    return [
      {
        id: `${action}-${index}`,
        action,
        type: knife.type,
        blade: knife.blade,
        tool: null,
        owned: index,
        priceMinor: (action === 'service' ? 0 : event) + serviceMinor,
        ...(serviceMinor > 0
          ? { serviceMinor, unserviced: { scores: knife.scores, usefulness: knife.usefulness } }
          : {}),
        ...knife.restored,
        counted: knife.restored.usefulness,
      },
    ];
  });
}
