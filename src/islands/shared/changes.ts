import { counted } from '../../core/formats/planSteps';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { stepKey } from '../../core/kitchen/changes';

const band = ({ fromMm, toMm }: Plan['lengthWanted']) => `${fromMm}–${toMm} mm`;
const whole = (share: number) => `${Math.round(share * 100)}%`;
const nameOf = (step: PlanStep) =>
  step.action === 'buy' ? `${counted(step, step.name)}, ${step.maker ?? ''}` : step.name;
const verb: Record<PlanStep['action'], string> = {
  buy: 'buy',
  sharpen: 'sharpen',
  repair: 'repair',
  service: 'arrange',
  tool: 'get',
  retire: 'give away',
};

/** What an answer changed between two plans, a few words each, the most telling first; empty when nothing did. */
export function changesBetween(before: Plan, after: Plan): string[] {
  const changes: string[] = [];
  const [was, is] = [before.lengthWanted, after.lengthWanted];
  const moved = is.fromMm + is.toMm - was.fromMm - was.toMm;
  if (moved !== 0) changes.push(`${moved < 0 ? 'Shorter' : 'Longer'}: ${band(was)} → ${band(is)}`);
  const main = (plan: Plan) => plan.steps.find((s) => s.action === 'buy');
  const [had, has] = [main(before), main(after)];
  if (had && has && had.model !== has.model) changes.push(`First to buy: ${nameOf(had)} → ${nameOf(has)}`);
  const keys = (plan: Plan) => new Map(plan.steps.map((s) => [stepKey(s), s]));
  const [old, now] = [keys(before), keys(after)];
  const added = [...now].filter(([key, s]) => !old.has(key) && s !== has).map(([, s]) => s);
  const gone = [...old].filter(([key, s]) => !now.has(key) && s !== had).map(([, s]) => s);
  // putting right what is owned is told before anything that is bought
  const own = (s: PlanStep) => (s.owned === undefined ? 1 : 0);
  for (const step of added.sort((a, b) => own(a) - own(b)).slice(0, 2))
    changes.push(`New: ${verb[step.action]} ${nameOf(step)}`);
  for (const step of gone.slice(0, 2)) changes.push(`Gone: ${verb[step.action]} ${nameOf(step)}`);
  if (whole(before.coverage.all) !== whole(after.coverage.all))
    changes.push(`Your cutting done well: ${whole(before.coverage.all)} → ${whole(after.coverage.all)}`);
  const fresh = after.warnings.filter((w) => !before.warnings.includes(w));
  if (fresh[0]) changes.push(fresh[0]);
  return changes;
}

/** What of a first answer the proof changed, pocket by pocket: which model took the place of which. */
export function pocketsChanged(first: Plan, proven: Plan): string[] {
  const names = (plan: Plan) => new Map(plan.steps.map((step) => [stepKey(step), nameOf(step)]));
  const [had, has] = [names(first), names(proven)];
  const gone = [...had].flatMap(([key, name]) => (has.has(key) ? [] : [name]));
  const come = [...has].flatMap(([key, name]) => (had.has(key) ? [] : [name]));
  return Array.from({ length: Math.max(gone.length, come.length) }, (_, i) => {
    const [old, now] = [gone[i], come[i]];
    return old && now ? `${old} → ${now}` : now ? `and ${now}` : `without ${old ?? ''}`;
  });
}
