import type { BladeModel } from '../../blade/schema';
import { explain } from '../../fit/explain';
import { whatMakesWorse } from '../../fit/whatMakesWorse';
import { besideOwned } from '../candidates/besideOwned';
import type { Candidate } from '../candidates/candidate';
import { candidateFor } from '../candidates/sold';
import type { PlanningContext } from '../context/planningContext';
import { filledKit, KitValue } from '../search/value';
import { costOf } from '../search/worth';
import { lowerFirst } from '../../text/case';
import type { Plan, PlanStep } from '../../formats/planFile';
import { stepsOf } from '../plan/plan';
import type { Planned } from '../plan/planKitchen';

/** Why one blade is the worse at what it loses most on. */
export interface Loss {
  task: string;
  why: string;
  /** What the part that fails leaves of the score, beside what it leaves of the other blade's. */
  keeps: number;
}

/** A loss as it stands behind what causes it. */
export const because = ({ task, why }: Pick<Loss, 'task' | 'why'>): string =>
  ` (${lowerFirst(task)}: ${lowerFirst(why).replace(/\.$/, '')})`;

/** Steps with a knife to buy; of a knife bought twice one. */
export const briefedSteps = ({ steps }: Pick<Plan, 'steps'>): PlanStep[] =>
  steps.filter((step, at) => step.action === 'buy' && steps.findIndex(({ model }) => model === step.model) === at);

/** The knife a step of a plan buys, with the kit it belongs to; null where it buys none. */
export function boughtBy({ context, plan }: Planned, step: PlanStep): { kit: Candidate[]; bought: Candidate } | null {
  const kit = stepsOf(context, plan);
  const bought = kit.find((c) => c.action === 'buy' && c.id === step.model);
  return bought ? { kit, bought } : null;
}

/** Other blades in the place of the knife a step of a plan buys; null where it buys none. */
export function trialOf(planned: Planned, step: PlanStep): Trial | null {
  const found = boughtBy(planned, step);
  return found && new Trial(planned.context, found.kit, found.bought);
}

/** A part tells why a blade is worse where it leaves less than this share of what the other's leaves. */
const TELLING = 0.98;

/** Other blades tried in the place of one step of a kit, everything else being as planned. */
export class Trial {
  private readonly kit: KitValue;
  private readonly before: number;
  private unmarked: number | undefined;
  private readonly known = new Map<string, number>();

  constructor(
    private readonly context: PlanningContext,
    kit: readonly Candidate[],
    readonly step: Candidate,
  ) {
    const others = kit.filter((each) => each !== step);
    this.kit = filledKit(new KitValue(context.problem.demand), context.problem, others, (c) => c.counted);
    this.before = this.worth(step);
  }

  /** The blade the step was planned with. */
  get pick(): BladeModel {
    const { blade } = this.step;
    if (!blade) throw new Error('only a knife can be tried against others');
    return blade.blade;
  }

  private worth(candidate: Candidate): number {
    return this.kit.gain(candidate.counted) - costOf(candidate, this.context.problem.scale);
  }

  private candidate(blade: BladeModel): Candidate | null {
    const made = candidateFor(this.context, { ...blade, priceMinor: this.pick.priceMinor });
    if (!made) return null;
    const { owned, counts } = this.context;
    const beside = besideOwned([made], owned, this.context, counts)[0];
    return beside ? { ...beside, ...this.marks(made) } : null;
  }

  /** What is marked of knives for sale beside one another, taken over from the step: wishes, and work that no general knife does. */
  private marks(made: Candidate): Pick<Candidate, 'dislike' | 'isRescuer'> {
    this.unmarked ??= candidateFor(this.context, this.pick)?.dislike ?? 0;
    const more = (this.step.dislike ?? 0) - this.unmarked;
    return {
      dislike: (made.dislike ?? 0) + more,
      ...(this.step.isRescuer === undefined ? {} : { isRescuer: this.step.isRescuer }),
    };
  }

  /** What a blade in the place of the step adds to the rest of the kit, its price aside, in points; 0 where nobody here could use it. */
  adds(changes: Partial<BladeModel> = {}): number {
    const other = Object.keys(changes).length === 0 ? this.step : this.candidate({ ...this.pick, ...changes });
    return other ? 100 * this.kit.gain(other.counted) : 0;
  }

  /** Coverage's worth lost with another blade at the same price, in points; Infinity where nobody here could have it put right. */
  drop(changes: Partial<BladeModel>): number {
    const key = JSON.stringify(changes);
    const known = this.known.get(key);
    if (known !== undefined) return known;
    const other = this.candidate({ ...this.pick, ...changes });
    const lost = other ? 100 * (this.before - this.worth(other)) : Infinity;
    this.known.set(key, lost);
    return lost;
  }

  /** The task a changed blade loses most on, and why; null where no task tells. */
  loss(changes: Partial<BladeModel>): Loss | null {
    const { loads, tasks, cooks } = this.context;
    const { blade, scores } = this.step;
    const other = this.candidate({ ...this.pick, ...changes });
    if (!other?.blade || !blade) return null;
    let most = { lost: 0, t: -1 };
    loads.forEach(({ weight }, t) => {
      const lost = weight * ((scores[t] ?? 0) - (other.scores[t] ?? 0));
      if (lost > most.lost) most = { lost, t };
    });
    const [task, prepared] = [loads[most.t]?.task, tasks[most.t]];
    if (!task || !prepared) return null;
    const worse = whatMakesWorse(
      explain(blade, prepared, cooks, this.step.edge),
      explain(other.blade, prepared, cooks, other.edge),
    );
    return worse && worse.keeps < TELLING * worse.than
      ? { task: task.name, why: worse.why, keeps: worse.keeps / worse.than }
      : null;
  }
}
