import type { KitchenFile } from '../formats/kitchenFile';
import type { PlanStep } from '../formats/planFile';
import { piecesOf, priceOfOne } from '../formats/planSteps';
import type { DiaryEntry } from '../formats/diaryFile';
import { MOST } from '../formats/kitchenBounds';
import type { BenchTrialFile } from '../formats/trialsFile';
import { isDrawerFull } from './drawerRoom';
import { fromMinor, isCurrency, toMinor } from '../money/currency';

/** What a cook does with a plan, written into the kitchen file. Pure: each returns a new file; dates come from outside (YYYY-MM-DD). */
type Limits = NonNullable<KitchenFile['limits']>;

const limited = (file: KitchenFile, change: (limits: Limits) => Limits): KitchenFile => ({
  ...file,
  limits: change(file.limits ?? {}),
});

const without = (list: readonly string[] | undefined, ...ids: string[]) => {
  const left = (list ?? []).filter((id) => !ids.includes(id));
  return left.length > 0 ? left : undefined;
};

/** A list with an id in it, the newest kept where there are more than fit. */
const withThe = (list: readonly string[] | undefined, id: string, most: number) =>
  [...new Set([...(list ?? []), id])].slice(-most);

/** The name a step goes by in `limits.order`: its model, its tool, or what is done to which owned knife. */
export function stepKey(step: Pick<PlanStep, 'action' | 'model' | 'type' | 'owned'>): string {
  if (step.action === 'buy') return step.model ?? step.type ?? '';
  if (step.action === 'tool') return step.type ?? '';
  return `${step.action}-${step.owned ?? ''}`;
}

/** What is left of a total after paying, never below nothing. */
function afterPaying(file: KitchenFile, price: number): KitchenFile['budget'] {
  const { budget, currency = 'EUR' } = file;
  if (typeof budget?.total !== 'number' || !isCurrency(currency)) return budget;
  return {
    ...budget,
    total: fromMinor(Math.max(0, toMinor(budget.total, currency) - toMinor(price, currency)), currency),
  };
}

/** What a thing that keeps the kit changes in the kitchen it comes to. */
function settledIn(file: KitchenFile, tool: string): KitchenFile {
  if (tool === 'board') return { ...file, board: { ...file.board, material: 'wood' } };
  const withIt = { ...file, tools: withThe(file.tools, tool, MOST.tools) };
  return tool === 'guard' ? { ...withIt, habits: { ...file.habits, storage: 'guards' } } : withIt;
}

/** A bought step moves to the drawer with its date and price, and what it cost leaves the budget. Nothing changes where the drawer is full. */
export function bought(file: KitchenFile, step: PlanStep, day: string): KitchenFile {
  const paid: KitchenFile = { ...file, budget: afterPaying(file, step.price) };
  if (step.action === 'tool') return step.type ? settledIn(paid, step.type) : file;
  if (step.action !== 'buy' || !step.model || isDrawerFull(file, piecesOf(step))) return file;
  const knife = {
    model: step.model,
    condition: 'keen' as const,
    use: 'weekly' as const,
    boughtOn: day,
    paid: priceOfOne(step),
  };
  const before = file.owned?.length ?? 0;
  const owned = [...(file.owned ?? []), ...Array.from({ length: piecesOf(step) }, () => knife)];
  let next = before;
  const storage = storageAfter(file, (at) =>
    at.model === step.model && next < owned.length ? { ...at, model: undefined, owned: next++ } : at,
  );
  return limited({ ...paid, ...storage, owned }, (limits) => ({
    ...limits,
    must: without(limits.must, step.model ?? '', step.type ?? ''),
    order: without(limits.order, stepKey(step)),
  }));
}

/** A sharpened or repaired knife is keen again; what it cost leaves the budget. */
export function putRight(file: KitchenFile, step: PlanStep, day: string): KitchenFile {
  const { owned } = step;
  if (owned === undefined || !file.owned?.[owned]) return file;
  return limited(
    {
      ...file,
      budget: afterPaying(file, step.price),
      owned: file.owned.map((knife, i) => (i === owned ? { ...knife, condition: 'keen', sharpenedOn: day } : knife)),
    },
    (limits) => ({ ...limits, order: without(limits.order, stepKey(step)) }),
  );
}

/** Edges are sharpened by a professional from now on, twice a year at least. */
export const served = (file: KitchenFile): KitchenFile => ({
  ...file,
  habits: { ...file.habits, sharpening: 'professional', visitsPerYear: file.habits?.visitsPerYear ?? 2 },
});

/** Places in the drawer once the knife at one of them has left. */
const moved = (places: readonly number[], gone: number) =>
  places.filter((place) => place !== gone).map((place) => (place > gone ? place - 1 : place));

/** Trials without those of a knife that left the drawer. */
const benchWithout = (bench: readonly BenchTrialFile[] | undefined, gone: number) =>
  bench
    ?.filter(({ knives }) => knives.every(({ owned }) => owned !== gone))
    .map((trial) => ({
      ...trial,
      knives: trial.knives.map((knife) =>
        knife.owned !== undefined && knife.owned > gone ? { ...knife, owned: knife.owned - 1 } : knife,
      ),
    }));

/** A diary without the entries of a knife that left the drawer. */
const diaryWithout = (diary: readonly DiaryEntry[], gone: number) =>
  diary
    .filter(({ knife }) => knife !== gone)
    .map((entry) => (entry.knife > gone ? { ...entry, knife: entry.knife - 1 } : entry));

type LaidFile = NonNullable<NonNullable<KitchenFile['storage']>['laid']>[number];

/** The storage with what is laid in it changed one by one, or (null) taken out. */
const storageAfter = (
  { storage }: KitchenFile,
  change: (laid: LaidFile) => LaidFile | null,
): Pick<KitchenFile, 'storage'> =>
  storage?.laid ? { storage: { ...storage, laid: storage.laid.flatMap((each) => change(each) ?? []) } } : {};

/** An owned knife leaves the drawer, and with it the trials it was in. */
export function givenAway(file: KitchenFile, owned: number): KitchenFile {
  // the places of those behind it move, so an order that speaks of owned knives no longer holds
  const left = {
    ...file,
    owned: file.owned?.filter((_, i) => i !== owned),
    cooks: file.cooks?.map((cook) => (cook.mayUse ? { ...cook, mayUse: moved(cook.mayUse, owned) } : cook)),
    ...(file.diary ? { diary: diaryWithout(file.diary, owned) } : {}),
    ...(file.trials ? { trials: { ...file.trials, bench: benchWithout(file.trials.bench, owned) } } : {}),
    ...storageAfter(file, (at) => {
      if (at.owned === owned) return null;
      return at.owned !== undefined && at.owned > owned ? { ...at, owned: at.owned - 1 } : at;
    }),
  };
  return limited(left, (limits) => ({
    ...limits,
    order: without(limits.order, ...(limits.order ?? []).filter((key) => /^(sharpen|repair)-/.test(key))),
  }));
}

/** This model, type or tool must be in the plan, or must not, or may be again. */
export const demanded = (file: KitchenFile, id: string): KitchenFile =>
  limited(file, (limits) => ({
    ...limits,
    must: withThe(limits.must, id, MOST.must),
    never: without(limits.never, id),
  }));
export const excluded = (file: KitchenFile, id: string): KitchenFile =>
  limited(file, (limits) => ({
    ...limits,
    never: withThe(limits.never, id, MOST.never),
    must: without(limits.must, id),
    order: without(limits.order, id),
  }));
export const released = (file: KitchenFile, id: string): KitchenFile =>
  limited(file, (limits) => ({ ...limits, must: without(limits.must, id), never: without(limits.never, id) }));

/** A runner-up takes a step's place: it is demanded and the one it replaces excluded. */
export const swapped = (file: KitchenFile, from: string, to: string): KitchenFile => demanded(excluded(file, from), to);

/** The steps in this order from now on; an empty order leaves it to the plan. */
export const inOrder = (file: KitchenFile, keys: readonly string[]): KitchenFile =>
  limited(file, (limits) => ({ ...limits, order: keys.length > 0 ? keys.slice(0, MOST.order) : undefined }));
