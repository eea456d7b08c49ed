/** What makes a first answer certain. Loaded by the worker once that answer is given. */
export { planningWithOffers } from '../core/kit/planKitchen';
export { proveBest } from '../core/kit/prove';
export { Doubt } from '../core/kit/sure';
