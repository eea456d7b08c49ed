import type { PlanStep } from './planFile';

/** What a step does with its thing, as a heading says it: "Have sharpened: your chef's knife". */
export const STEP_WORDS: Record<PlanStep['action'], string> = {
  buy: 'Buy',
  sharpen: 'Have sharpened',
  repair: 'Have repaired',
  service: 'Arrange',
  tool: 'Get',
  retire: 'Retire',
};
