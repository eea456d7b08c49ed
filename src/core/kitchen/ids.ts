import type { BladeModel } from '../blade/schema';
import type { Faults, FaultSink } from '../formats/faults';
import type { KitchenFile } from '../formats/kitchenFile';
import type { Reference } from '../reference';

/** Ids and makers of the models a kitchen may name. */
export interface KnownModels {
  ids: ReadonlySet<string>;
  makers: ReadonlySet<string>;
}
export const knownModels = (models: readonly Pick<BladeModel, 'id' | 'maker'>[]): KnownModels => ({
  ids: new Set(models.map((m) => m.id)),
  makers: new Set(models.map((m) => m.maker)),
});

/** The models and the maker that a kitchen file names; among the models also blade types and tools, where it may name either. */
export function namedModels({ owned = [], trials = {}, limits = {} }: KitchenFile): {
  models: string[];
  maker: string | null;
} {
  const models = [
    ...owned.map(({ model }) => model),
    ...(trials.hand ?? []).map(({ model }) => model),
    ...(trials.bench ?? []).flatMap(({ knives }) => knives.map(({ model }) => model)),
    ...(limits.must ?? []),
    ...(limits.never ?? []),
  ].filter((id) => id !== null && id !== undefined);
  return { models: [...new Set(models)], maker: limits.maker ?? null };
}

/** Several sets of ids as one to look in. */
const eitherOf = (...sets: readonly { has(id: string): boolean; keys(): Iterable<string> }[]) => ({
  has: (id: string) => sets.some((set) => set.has(id)),
  keys: () => sets.flatMap((set) => [...set.keys()]),
});

function checkCooking(cooking: NonNullable<KitchenFile['cooking']>, reference: Reference, faults: FaultSink): void {
  const { ownDishes = [] } = cooking;
  const own = new Map(ownDishes.map(({ id }, i) => [id, i] as const).reverse());
  const dishes = eitherOf(reference.dishes, own);
  cooking.cuisines?.forEach((c, i) => faults.check(`cooking.cuisines[${i}].id`, c.id, reference.cuisines, 'cuisine'));
  cooking.dishes?.forEach((d, i) => faults.check(`cooking.dishes[${i}].id`, d.id, dishes, 'dish'));
  ownDishes.forEach(({ id, tasks }, i) => {
    const path = `cooking.ownDishes[${i}]`;
    if (reference.dishes.has(id) || own.get(id) !== i)
      faults.add(`${path}.id`, () => `${id} is already the id of a dish; choose another`);
    tasks.forEach((t, j) => faults.check(`${path}.tasks[${j}].id`, t.id, reference.tasks, 'task'));
  });
  cooking.tasks?.forEach((t, i) => faults.check(`cooking.tasks[${i}].id`, t.id, reference.tasks, 'task'));
  cooking.sizes?.forEach((t, i) => faults.check(`cooking.sizes[${i}].id`, t.id, reference.tasks, 'task'));
}

function checkLimits(
  limits: NonNullable<KitchenFile['limits']>,
  reference: Reference,
  known: KnownModels,
  faults: FaultSink,
) {
  const { must = [], never = [], maker } = limits;
  const kinds = eitherOf(reference.types, known.ids);
  const refusable = eitherOf(reference.types, known.ids, reference.tools);
  const refused = new Set(never);
  must.forEach((id, i) => faults.check(`limits.must[${i}]`, id, kinds, 'blade type or model'));
  never.forEach((id, i) => faults.check(`limits.never[${i}]`, id, refusable, 'blade type, model or tool'));
  must.forEach((id, i) => {
    if (refused.has(id)) faults.add(`limits.must[${i}]`, () => `${id} is also under limits.never; keep one of the two`);
  });
  if (maker) faults.check('limits.maker', maker, known.makers, 'maker');
}

function checkTrials(
  { hand = [], bench = [] }: NonNullable<KitchenFile['trials']>,
  file: KitchenFile,
  reference: Reference,
  known: KnownModels,
  faults: FaultSink,
) {
  const [cooks, owned] = [file.cooks?.length ?? 1, file.owned?.length ?? 0];
  const checkCook = (path: string, cook: number | undefined) => {
    if (cook !== undefined && cook >= cooks) faults.add(path, () => `${cook} is no cook; use 0 to ${cooks - 1}`);
  };
  const checks = new Map(reference.handChecks.map((check) => [check.id, check]));
  hand.forEach((test, i) => {
    const path = `trials.hand[${i}]`;
    checkCook(`${path}.cook`, test.cook);
    if (test.model) faults.check(`${path}.model`, test.model, known.ids, 'catalogue model');
    if (test.label) faults.check(`${path}.label.type`, test.label.type, reference.types, 'blade type');
    for (const [id, answer] of Object.entries(test.answers)) {
      faults.check(`${path}.answers.${id}`, id, checks, 'check of the hand test');
      const answers = new Set(checks.get(id)?.answers.map((each) => each.id));
      if (checks.has(id)) faults.check(`${path}.answers.${id}`, answer, answers, 'answer');
    }
  });
  bench.forEach((trial, i) => {
    const path = `trials.bench[${i}]`;
    checkCook(`${path}.cook`, trial.cook);
    trial.knives.forEach((knife, k) => {
      if (knife.model) faults.check(`${path}.knives[${k}].model`, knife.model, known.ids, 'catalogue model');
      if (knife.owned !== undefined && knife.owned >= owned)
        faults.add(`${path}.knives[${k}].owned`, () => `${knife.owned} is no owned knife`);
    });
    trial.tasks.forEach((id, t) => faults.check(`${path}.tasks[${t}]`, id, reference.tasks, 'task'));
    trial.runs.forEach(({ task, knife }, r) => {
      faults.check(`${path}.runs[${r}].task`, task, reference.tasks, 'task');
      if (knife >= trial.knives.length)
        faults.add(`${path}.runs[${r}].knife`, () => `${knife} is no knife of this trial`);
    });
  });
}

/**
 * Adds to `faults` every id of a kitchen file that names no cuisine, dish, task, tool, type or model; `path` is where the file stands in
 * what is read. The time it takes is in proportion to the length of the file.
 */
export function checkIds(file: KitchenFile, reference: Reference, known: KnownModels, faults: Faults, path = ''): void {
  const at = path ? faults.within(`${path}.`) : faults;
  if (file.cooking) checkCooking(file.cooking, reference, at);
  const owned = file.owned ?? [];
  file.cooks?.forEach((cook, i) =>
    cook.mayUse?.forEach((index, j) => {
      if (index >= owned.length)
        at.add(
          `cooks[${i}].mayUse[${j}]`,
          () =>
            `${index} is no owned knife; ${owned.length === 0 ? 'none is listed under owned' : `use 0 to ${owned.length - 1}`}`,
        );
    }),
  );
  file.tools?.forEach((t, i) => at.check(`tools[${i}]`, t, reference.tools, 'tool'));
  owned.forEach((o, i) => {
    if (o.type) at.check(`owned[${i}].type`, o.type, reference.types, 'blade type');
    if (o.model) at.check(`owned[${i}].model`, o.model, known.ids, 'catalogue model');
  });
  file.diary?.forEach(({ knife, task, cook }, i) => {
    if (knife >= owned.length) at.add(`diary[${i}].knife`, () => `${knife} is no owned knife`);
    if (cook !== undefined && cook >= (file.cooks?.length ?? 1)) at.add(`diary[${i}].cook`, () => `${cook} is no cook`);
    if (task) at.check(`diary[${i}].task`, task, reference.tasks, 'task');
  });
  if (file.trials) checkTrials(file.trials, file, reference, known, at);
  if (file.limits) checkLimits(file.limits, reference, known, at);
}
