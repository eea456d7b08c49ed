// The program of the threads that plan a kitchen at once, for the page that shows it.
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { type PlanningContext, preparePlanning } from '../core/kit/context/planningContext';
import { answeredFirst, type SentAnswer } from '../core/kit/plan/answered';

/** A kitchen with the models its workspace brought in. */
export interface ToPlan {
  kitchen: KitchenFile;
  own: readonly BladeModel[];
}

/** The last kitchen laid out on the shipped models alone: the next takes over of it what is the same. */
let before: PlanningContext | undefined;

export default function plan({ kitchen, own }: ToPlan): SentAnswer {
  const models = own.length > 0 ? [...shippedModels, ...own] : shippedModels;
  const context = preparePlanning(kitchen, reference, models, undefined, own.length > 0 ? undefined : before);
  if (own.length === 0) before = context;
  const answer = answeredFirst(context);
  const used = new Set(answer.plan.steps.map(({ model }) => model));
  return { ...answer, models: models.filter(({ id }) => used.has(id)) };
}

// code is slow the first times it runs: nobody waits for that
for (let run = 0; run < 3; run++) plan({ kitchen: { format: 'scabbard.kitchen', version: 1 }, own: [] });
