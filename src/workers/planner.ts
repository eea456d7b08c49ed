import { transfer } from 'comlink';
import { Newest } from './newest';
import { session } from './session';
import type { MoneyView, SchoolView, SizeView } from './argue';
import type { Edges } from './edges';
import type { KeptKit, PackedRoll, UsedKnives } from './keep';
import type { WallSheet } from '../core/formats/wallSheet';
import type { Storage } from '../core/formats/storageFile';
import type { SeenCut } from './trying';
import type { ExamplePhoto } from '../core/measure/examplePhoto';
import type { FoodToTry } from '../core/kit/trying/foods';
import type { TriedKnife } from '../core/formats/trialsFile';
import type { StepBrief } from '../core/formats/briefFile';
import type { Care } from '../core/formats/care';
import type { Label, LabelRead } from '../core/kit/label/label';
import type { Verdict } from '../core/kit/label/verdict';
import { writeMoneyIn } from '../core/money/currency';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import type { AwayFile, KitchenFile } from '../core/formats/kitchenFile';
import type { Plan } from '../core/formats/planFile';
import { perStep } from '../core/formats/planSteps';
import { explain, type Explanation } from '../core/fit/explain';
import { bladeTraits, type BladeTraits } from '../core/fit/traits';
import { fetchOwnModels } from '../client/ownModels';
import { shippedModels } from '../../data/models';
import { stepsOf, stepsWithCandidates } from '../core/kit/plan/plan';
import { type Answered, answeredFirst } from '../core/kit/plan/answered';
import { firstPlan, planning } from '../core/kit/plan/planKitchen';
import { Robustness, type Sureness, surenessOf } from '../core/kit/robustness/robustness';
import { edgeHere } from '../core/kit/candidates/scoring';
import { servedBy, type Served } from '../core/kit/plan/assignment';
import { allTasks, preparePlanning, type PlanningContext } from '../core/kit/context/planningContext';

// sentences about money as this browser writes it
writeMoneyIn(navigator.language);

let models: BladeModel[] = [];
let context: PlanningContext | null = null;
/** The context the last thorough plan stands on: with a set bought whole where that pays. */
let planned: PlanningContext | null = null;
/** The kitchen last asked about. */
let asked: KitchenFile | null = null;
/** Whether answers have been rehearsed. */
let rehearsed = false;
/** The kit last proven, by candidate: where the next search starts. */
let proven: readonly string[] = [];

/** Who waits for a breath, in order. One channel serves them all: one made for every breath could be cleared away before it has spoken. */
const breathing: (() => void)[] = [];
const { port1: ear, port2: mouth } = new MessageChannel();
ear.onmessage = () => breathing.shift()?.();

/** A breath lets waiting messages in: a message to oneself comes after those that wait already, and sooner than any timer. */
const breathe = () =>
  new Promise<void>((resolve) => {
    breathing.push(resolve);
    mouth.postMessage(null);
  });
/** A rest, for what may take its time: the page comes first. */
const rest = () => new Promise<void>((resolve) => setTimeout(resolve, 4));
const newest = new Newest(breathe);

/** Parts of the work that only some views ask for come when they are asked for. */
const stock = () => import('./stock');
const argue = () => import('./argue');
const shop = () => import('./shop');
const edges = () => import('./edges');
const keep = () => import('./keep');

function contextFor(file: KitchenFile): PlanningContext {
  const laid = preparePlanning(file, reference, models, undefined, context);
  context = proven.length > 0 ? { ...laid, seed: proven } : laid;
  planned = null;
  return context;
}

/** Cuisines rehearsed: after so many nearly all code has run often enough to be fast. */
const REHEARSED = 5;

/** The kitchen with one cuisine more, for every other one there is. */
function withAnotherCuisine(file: KitchenFile): KitchenFile[] {
  const known = file.cooking?.cuisines ?? [];
  const others = [...reference.cuisines.keys()].filter((id) => !known.some((cuisine) => cuisine.id === id));
  return others.map((id) => ({ ...file, cooking: { ...file.cooking, cuisines: [...known, { id }] } }));
}

/** Answers to other cooking, thrown away: code is slow the first times it runs, and the first changes of cooking should not pay for it. */
function* rehearsal(file: KitchenFile): Generator<void, void> {
  for (const other of withAnotherCuisine(file).slice(0, REHEARSED)) {
    const laid = preparePlanning(other, reference, models, undefined, context);
    yield;
    firstPlan(laid);
    yield;
  }
}

/** A blade by catalogue model or by its place among the owned knives. */
export type Target = { model: string } | { owned: number };

function bladeOf(target: Target): BladeTraits | null {
  if ('owned' in target) return context?.owned[target.owned]?.blade ?? null;
  const model = models.find((m) => m.id === target.model);
  return model ? bladeTraits(model, reference, context?.kitchen.habits.roughUse) : null;
}

/** What the kitchen page asks for. Of questions the latest wins; older ones come back as null. */
export const kitchenWorker = {
  ...session,

  /** Fetches the catalogue and hands it back for drawing. */
  async load(): Promise<BladeModel[]> {
    models = [...shippedModels, ...(await fetchOwnModels())];
    context = null;
    return models;
  },

  /** A first answer, quickly. */
  quick(file: KitchenFile): Answered & { milliseconds: number } {
    newest.ask();
    asked = file;
    const began = performance.now();
    return { ...answeredFirst(contextFor(file)), milliseconds: performance.now() - began };
  },

  /** Ends whatever is under way: what was asked comes back unfinished. */
  stop(): void {
    newest.ask();
  },

  /** The same question searched harder and proven, telling how much a better kit might still be worth, coverage; null when stopped. */
  async thorough(tell: (gap: number) => void): Promise<{ plan: Plan; served: Served[] } | null> {
    if (!context) return null;
    const on = context;
    let told = NaN;
    const best = await newest.run(planning(on), ({ proof }) => {
      // told when it shows: to a tenth of a point
      const gap = Math.round(proof.gap * 1000) / 1000;
      if (gap !== told) tell((told = gap));
    });
    if (!best) return null;
    const { plan, context: stands } = best;
    planned = stands;
    // the next question starts from what is proven for this one
    proven = stepsOf(stands, plan).map((c) => c.id);
    return { plan, served: servedBy(stands, stepsOf(stands, plan)) };
  },

  /** How often each step stays under small changes, a share per step, told as the runs go; it ends early when a newer question comes. */
  async sure(plan: Plan, runs: number, tell: (done: number, sure: (Sureness | null)[]) => void): Promise<void> {
    if (!context) return;
    const on = context;
    const steps = stepsWithCandidates(planned ?? context, plan).map(({ candidate }) => candidate);
    const doubt = new Robustness(planned?.service ? planned : on, steps);
    function* again() {
      for (let run = 1; run <= runs; run++) {
        doubt.run();
        yield run;
      }
    }
    const ended = await newest.run(
      again(),
      (run) => run % 20 === 0 && tell(run, perStep(plan, surenessOf(on, steps, doubt))),
      rest,
    );
    if (ended === null || rehearsed || !asked) return;
    rehearsed = (await newest.run(rehearsal(asked), undefined, rest)) !== null;
  },

  /** What to look for in any shop for one step of the present plan; null when stopped. */
  async brief(plan: Plan, order: number): Promise<StepBrief | null> {
    const on = context;
    return on && newest.run((await shop()).briefOf(on, planned ?? on, plan, order));
  },
  /** How every edge fares once the present plan is carried out, and what is due from a day on. */
  async edges(plan: Plan, from: string, months: number): Promise<Edges | null> {
    const on = planned ?? context;
    return on && (await edges()).edgesOf(on, plan, from, months);
  },
  /** Where every knife of the present plan and of the drawer lives in a storage. */
  async stored(plan: Plan, storage: Storage): Promise<KeptKit | null> {
    const on = planned ?? context;
    return on && (await keep()).keptKit(on, plan, storage);
  },
  /** A roll packed for another kitchen of a file. */
  async packed(file: KitchenFile, away: AwayFile): Promise<PackedRoll> {
    return (await keep()).packedRoll(file, away, contextFor(file));
  },
  /** A sheet for the kitchen wall; `bought`: with what the present plan buys. */
  async wall(plan: Plan, bought: boolean): Promise<WallSheet | null> {
    const on = planned ?? context;
    return on && (await keep()).wallSheet(on, plan, bought);
  },
  /** How often each owned knife is drawn, beside what was reckoned. */
  async used(file: KitchenFile): Promise<UsedKnives> {
    return (await keep()).usedKnives(file, contextFor(file));
  },
  /** What keeps every knife of the present plan and of the drawer. */
  async care(plan: Plan): Promise<Care[]> {
    const on = planned ?? context;
    return on ? (await shop()).careOf(on, plan) : [];
  },
  /** What a shop's label says. */
  label: async (text: string): Promise<LabelRead> => (await shop()).labelRead(text),
  /** A knife in a shop judged against the present plan; null where its kind or length is not known, or when stopped. */
  async judge(asked: { plan: Plan; brief?: StepBrief; label: Label }): Promise<Verdict | null> {
    const on = context;
    return on && newest.run((await shop()).shelfJudged(on, planned ?? on, asked));
  },

  /** Any kitchen planned beside the present one; null when stopped. */
  beside: async (file: KitchenFile) => newest.run((await argue()).planBeside(file, models)),

  /** Every school on this kitchen, told one by one; false when stopped. */
  async schools(file: KitchenFile, tell: (school: SchoolView) => void): Promise<boolean> {
    const mine = newest.ask();
    await newest.run((await argue()).schoolsOf(file, contextFor(file)), tell);
    return newest.isStanding(mine);
  },

  /** The sets on sale against singles. */
  sets: async (file: KitchenFile) => (await argue()).setVerdicts(contextFor(file)),

  /** Coverage against money, told as it grows; it ends early when a newer question comes. */
  async money(tell: (view: MoneyView) => void): Promise<void> {
    if (context) await newest.run((await argue()).moneyView(context), tell);
  },

  /** The best kit of every size, told as it is proven; it ends early when a newer question comes. */
  async sizes(tell: (view: SizeView[]) => void): Promise<void> {
    if (context) await newest.run((await argue()).sizesView(context), tell);
  },

  /** A score taken apart: a catalogue model or an owned knife (by index) at one task. */
  explain(target: Target, taskId: string): Explanation | null {
    const task = context && allTasks(context).find((each) => each.task.id === taskId);
    const blade = bladeOf(target);
    return context && task && blade ? explain(blade, task, context.cooks, edgeHere(blade, context)) : null;
  },

  /** Every blade at every task of the trade. */
  async match(file: KitchenFile) {
    newest.ask();
    return (await stock()).matchOf(contextFor(file));
  },
  /** Middling blades of some types at some lengths, for drawing. */
  typical: async (wanted: { type: string; lengthMm?: number }[]) => (await stock()).typicalBlades(wanted),
  /** What the cooking comes to in cutting. */
  cutting: async (file: KitchenFile) => (await stock()).cuttingOf(contextFor(file)),
  /** The shipped dishes by name, and the tasks with their units. */
  dishes: async () => (await stock()).knownDishes(),
  tasks: async () => (await stock()).knownTasks(),
  /** The drawer, knife by knife. */
  drawer: async (file: KitchenFile) => (await stock()).drawerOf(contextFor(file)),
  /** Foods on which some knives are best tried against each other, and what the plan would be without what was measured. */
  async foods(file: KitchenFile, cook: number, knives: TriedKnife[], tried: [string, number][]): Promise<FoodToTry[]> {
    const { foodsFor } = await import('./trying');
    return foodsFor(contextFor(file), cook, knives, tried);
  },
  /** A photo of a knife beside a bank card, made from its geometry. */
  async example(blade: BladeModel, which: number): Promise<ExamplePhoto> {
    const photo = (await import('./trying')).exampleOf(blade, which);
    return transfer(photo, [photo.data.buffer]);
  },
  /** A blade seen at one task; null where it must not be used for it. */
  async cut(target: Target, taskId: string): Promise<SeenCut | null> {
    const { cutOf } = await import('./trying');
    const blade = bladeOf(target);
    return context && blade ? cutOf(context, blade, taskId) : null;
  },
  /** The catalogue by a cook's wishes. */
  wished: async (file: KitchenFile) => (await stock()).wishedIn(contextFor(file), file.wishes ?? []),
  /** A task's best blades. */
  async rank(taskId: string) {
    const { rankedAt } = await stock();
    return context ? rankedAt(context, taskId) : [];
  },
  /** What a blade is made for and must never do here. */
  async character(target: Target) {
    const { characterIn } = await stock();
    const blade = bladeOf(target);
    return context && blade ? characterIn(context, blade) : null;
  },
};
export type KitchenWorker = typeof kitchenWorker;
