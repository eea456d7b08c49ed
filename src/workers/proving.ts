/** What makes a first answer certain. Loaded by the worker once that answer is given. */
export { planning } from '../core/kit/plan/planKitchen';
export { Robustness } from '../core/kit/robustness/robustness';
