import { z } from '../../src/core/zod';
import type { Plan, PlanStep } from '../../src/core/formats/planFile';
import { piecesOf } from '../../src/core/formats/planSteps';
import { shippedModels } from '../models';
import { reference } from '../reference';

/** What a machine can check of an adviser's verdict. Names are types, models, tools or groups: `@general`, `@small`, … */
export const expectationSchema = z.strictObject({
  /** What the first blade bought or put right may be. */
  first: z.array(z.string()).optional(),
  /** Of each list at least one is among the steps. */
  includes: z.array(z.array(z.string())).optional(),
  /** None of these is bought. */
  excludes: z.array(z.string()).optional(),
  /** How many steps buy something. */
  knives: z.tuple([z.number(), z.number()]).optional(),
  coverage: z.number().optional(),
  /** At least so many pieces, copies and owned ones counted. */
  pieces: z.record(z.string(), z.number()).optional(),
  /** Length of the first general knife that is bought, mm. */
  main: z.tuple([z.number(), z.number()]).optional(),
  /** Score a step's own knife reaches at least at a task it takes over. */
  does: z.record(z.string(), z.number()).optional(),
  /** Whose hand every single bevel is ground for. */
  handed: z.enum(['left', 'right']).optional(),
  /** Traits of the first general knife that is bought. */
  traits: z.record(z.string(), z.string()).optional(),
  /** Steps as `action:type`. */
  actions: z.array(z.string()).optional(),
  /** No step of these actions. */
  lacks: z.array(z.string()).optional(),
});
export type Expectation = z.infer<typeof expectationSchema>;

const modelOf = (step: PlanStep) => shippedModels.find(({ id }) => id === step.model);
const roleIs =
  (...roles: string[]) =>
  (step: PlanStep) =>
    roles.includes(reference.types.get(step.type ?? '')?.role ?? '');

const GROUPS: Record<string, (step: PlanStep) => boolean> = {
  '@general': roleIs('general', 'vegetable'),
  '@small': roleIs('small'),
  '@teeth': roleIs('serrated'),
  '@slicer': (step) => ['carving', 'slicer', 'sujihiki'].includes(step.type ?? ''),
  '@butchery': roleIs('butchery'),
  '@fishing': roleIs('fish'),
  '@single': (step) => modelOf(step)?.bevel === 'single',
};

const is = (step: PlanStep, name: string): boolean =>
  GROUPS[name]?.(step) ?? (step.type === name || step.model === name);

/** Everything a plan lacks of what was expected of it, each told in a few words; empty where it is as expected. */
export function missed({ steps, coverage }: Plan, wanted: Expectation): string[] {
  const isAny = (step: PlanStep, names: readonly string[]) => names.some((name) => is(step, name));
  const bought = steps.filter((s) => s.action === 'buy');
  const blades = steps.filter((s) => s.model !== null || s.action === 'sharpen' || s.action === 'repair');
  const [first] = blades;
  const main = bought.find((s) => is(s, '@general'));
  const pieces = (name: string) =>
    steps.filter((s) => is(s, name) && s.action !== 'retire').reduce((sum, s) => sum + piecesOf(s), 0);
  const best = (task: string) =>
    Math.max(0, ...steps.flatMap((s) => s.takesOver.filter((t) => t.task === task).map((t) => t.score)));
  const [least = 0, most = 99] = wanted.knives ?? [];
  const [from = 0, to = Infinity] = wanted.main ?? [];
  const traits = Object.entries(wanted.traits ?? {});
  const model: Record<string, unknown> = main ? { ...modelOf(main) } : {};
  const told = (ok: boolean, what: string) => (ok ? [] : [what]);
  return [
    ...told(
      !wanted.first || (first !== undefined && isAny(first, wanted.first)),
      `first is ${first?.type ?? 'nothing'}`,
    ),
    ...(wanted.includes ?? []).flatMap((any) =>
      told(
        steps.some((s) => isAny(s, any)),
        `no ${any.join(' or ')}`,
      ),
    ),
    ...bought.filter((s) => isAny(s, wanted.excludes ?? [])).map((s) => `buys ${s.name}`),
    ...told(bought.length >= least && bought.length <= most, `${bought.length} bought`),
    ...told(coverage.all >= (wanted.coverage ?? 0), `covers ${coverage.all}`),
    ...Object.entries(wanted.pieces ?? {}).flatMap(([name, n]) =>
      told(pieces(name) >= n, `${pieces(name)} pieces of ${name}`),
    ),
    ...told(
      !wanted.main || (main?.lengthMm != null && main.lengthMm >= from && main.lengthMm <= to),
      `main ${main?.lengthMm ?? 0} mm`,
    ),
    ...Object.entries(wanted.does ?? {}).flatMap(([task, score]) =>
      told(best(task) >= score, `${task} at ${best(task)}`),
    ),
    ...bought
      .filter(
        (s) => wanted.handed !== undefined && modelOf(s)?.bevel === 'single' && modelOf(s)?.handed !== wanted.handed,
      )
      .map((s) => `${s.name} is for the other hand`),
    ...traits.flatMap(([trait, value]) =>
      told(String(model[trait]) === value, `main ${trait} is ${String(model[trait])}`),
    ),
    ...(wanted.actions ?? []).flatMap((each) => {
      const [action, type] = each.split(':');
      return told(
        steps.some((s) => s.action === action && s.type === type),
        `no ${each}`,
      );
    }),
    ...steps.filter((s) => wanted.lacks?.includes(s.action)).map((s) => `a step of ${s.action}`),
  ];
}
