import type { EdgeReport } from '../core/formats/edgeFile';
import type { Plan } from '../core/formats/planFile';
import type { PlanningContext } from '../core/kit/context/planningContext';
import { edgeReport } from '../core/kit/edges/edgeReport';
import { knivesOf, type Referred } from '../core/kit/plan/refs';

/** The edges of a kitchen with what its screen draws and names; loaded by the worker when first asked. */
export interface Edges {
  report: EdgeReport;
  knives: Referred[];
}

export const edgesOf = (context: PlanningContext, plan: Plan, from: string, months: number): Edges => ({
  report: edgeReport(context, plan, from, months),
  knives: knivesOf(context, plan),
});
