import { piecesOf, priceOfOne } from './planSteps';
import type { Plan } from './planFile';

/** A table as CSV and spreadsheets hold it. */
export interface Table {
  name: string;
  head: string[];
  rows: (string | number | null)[][];
}

/** Plain names of what a plan names by id. */
export interface Names {
  type: (id: string) => string;
  task: (id: string) => string;
}

/** The steps of a plan as a table, one a row. */
export function stepsTable({ steps, currency }: Plan, names: Names): Table {
  return {
    name: 'Steps',
    head: [
      ...['order', 'action', 'need', 'name', 'maker', 'type', 'lengthMm', 'heelHeightMm', 'weightG', 'hrc', 'steel'],
      ...['bevel', 'price', 'currency', 'month', 'coverageAfter', 'gain', 'costPerYear', 'priceUpTo'],
      ...['quantity', 'unitPrice'],
      ...['sharpenEveryWeeks', 'honeEveryDays', 'why'],
    ],
    rows: steps.map((step) => [
      ...[step.order, step.action, step.need, step.name, step.maker, step.type && names.type(step.type)],
      ...[step.lengthMm, step.heelHeightMm, step.weightG, step.hrc, step.steel, step.bevel],
      ...[step.price, currency, step.month, step.coverageAfter, step.gain, step.costPerYear, step.walkAwayPrice],
      ...[piecesOf(step), priceOfOne(step)],
      ...[step.edge?.sharpenEveryWeeks ?? null, step.edge?.honeEveryDays ?? null, step.because.join(' ')],
    ]),
  };
}

/** A plan as the sheets of a workbook: its sums, its steps, what takes over which work, what stays badly served, what was taken for granted. */
export function planTables(plan: Plan, names: Names): Table[] {
  const { kitchen, currency, coverage, spent, costPerYear, steps, unserved, warnings, assumed } = plan;
  return [
    {
      name: 'Plan',
      head: ['what', 'value'],
      rows: [
        ['kitchen', kitchen],
        ['currency', currency],
        ['coverage now', coverage.now],
        ['coverage with the needs', coverage.needs],
        ['coverage with everything', coverage.all],
        ['cost', spent],
        ['cost a year', costPerYear],
        ...warnings.map((warning): [string, string] => ['take care', warning]),
        ...assumed.map((sentence): [string, string] => ['assumed', sentence]),
      ],
    },
    stepsTable(plan, names),
    {
      name: 'Work taken over',
      head: ['order', 'knife', 'task', 'minutesPerWeek', 'score'],
      rows: steps.flatMap(({ order, name, takesOver }) =>
        takesOver.map(({ task, minutesPerWeek, score }) => [order, name, names.task(task), minutesPerWeek, score]),
      ),
    },
    {
      name: 'Badly served',
      head: ['task', 'minutesPerWeek', 'score', 'why'],
      rows: unserved.map(({ task, minutesPerWeek, score, why }) => [names.task(task), minutesPerWeek, score, why]),
    },
  ];
}
