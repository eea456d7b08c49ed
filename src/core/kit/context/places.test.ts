import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { GUIDANCE } from '../../constants';
import type { KitchenFile, OwnedFile } from '../../formats/kitchenFile';
import { completeKitchen } from '../../kitchen/kitchen';
import { contextOf, fileOf } from '../../testing/trade';
import { planKitchen } from '../plan/planKitchen';
import { minutesServedBy, servedBy } from '../plan/assignment';
import { cutsFlesh, demandedPlaces, generalsSure, placesFor } from './places';

const kitchenOf = (file: Partial<KitchenFile>) => completeKitchen(fileOf(file), reference, shippedModels).kitchen;
const { problem } = contextOf();
const named = (id: string) => {
  const found = problem.candidates.find((c) => c.id === id);
  if (!found) throw new Error(`not offered: ${id}`);
  return found;
};

describe('places demanded by name', () => {
  test('a type takes any of its kind, a model only itself, and what is owned is not demanded again', () => {
    const [bread, model] = demandedPlaces(
      kitchenOf({ limits: { must: ['bread', 'oskavel-gyuto-210'] } }),
      shippedModels,
    );
    expect(bread?.required && model?.required).toBe(true);
    expect(bread?.accepts(named('quillback-bread-250-offset'))).toBe(true);
    expect(bread?.accepts(named('oskavel-gyuto-210'))).toBe(false);
    expect(model?.accepts(named('oskavel-gyuto-210'))).toBe(true);
    expect(model?.accepts(named('quillback-gyuto-210-mid-stainless'))).toBe(false);
    const owned: OwnedFile[] = [{ type: 'bread' }, { type: 'gyuto', model: 'oskavel-gyuto-210' }];
    expect(
      demandedPlaces(kitchenOf({ owned, limits: { must: ['bread', 'oskavel-gyuto-210'] } }), shippedModels),
    ).toEqual([]);
  });

  test('places that accept the same share one list of what fits', () => {
    const any = { required: false, accepts: () => true };
    const [a, b, c] = placesFor(
      [any, { ...any, accepts: () => true }, { ...any, accepts: (x) => x === problem.candidates[0] }],
      problem.candidates,
    );
    expect(a?.fits).toBe(b?.fits);
    expect(a?.fits).toHaveLength(problem.candidates.length);
    expect(c?.fits).toEqual([0]);
  });
});

describe('what the first knife rests on', () => {
  const generals = (file: Partial<KitchenFile>) => {
    const { kitchen, owned } = contextOf(file);
    return generalsSure(kitchen, owned, shippedModels, reference);
  };

  test('general knives that are there in any case: fit for use, or demanded by type or model', () => {
    expect(generals({})).toBe(0);
    expect(generals({ owned: [{ type: 'chef', condition: 'dull' }, { type: 'paring' }, { type: 'nakiri' }] })).toBe(2);
    expect(generals({ owned: [{ type: 'chef', condition: 'worn-out' }] })).toBe(0);
    expect(generals({ limits: { must: ['santoku', 'oskavel-gyuto-210', 'bread'] } })).toBe(2);
  });

  test('flesh decides from a share of the work on, and never where there is none', () => {
    const { loads } = contextOf({
      cooking: { tasks: ['poultry-joint', 'onion-dice'].map((id) => ({ id, times: 1, per: 'week' as const })) },
    });
    const withFlesh = (share: number) =>
      loads.map((load) => ({ ...load, weight: weights(share).get(load.task.id) ?? 0 }));
    const weights = (share: number) =>
      new Map([
        ['poultry-joint', share],
        ['onion-dice', 1 - share],
      ]);
    const from = GUIDANCE.fleshFrom.value;
    expect(cutsFlesh(withFlesh(from))).toBe(true);
    // where it is all of the work, there is none for a general knife
    expect(cutsFlesh(withFlesh(1))).toBe(false);
    expect(cutsFlesh(withFlesh(from - 0.001))).toBe(false);
    expect(cutsFlesh(withFlesh(0))).toBe(false);
    expect(cutsFlesh([])).toBe(false);
    expect(cutsFlesh(contextOf({ cooking: { cuisines: [{ id: 'raw-fish' }] } }).loads)).toBe(true);
    expect(cutsFlesh(contextOf({ avoids: ['meat', 'poultry', 'fish', 'shellfish'] }).loads)).toBe(false);
  });
});

describe('what serves a task once a plan is carried out', () => {
  const context = contextOf({ owned: [{ type: 'chef', condition: 'keen' }], tools: ['peeler'] });
  const steps = ['ploverdale-paring-90', 'quillback-bread-250-offset'].map((id) => {
    const found = context.problem.candidates.find((c) => c.id === id) ?? context.buyable.find((c) => c.id === id);
    if (!found) throw new Error(`not offered: ${id}`);
    return found;
  });

  test('shares sum to one, each task goes to what scores most, an owned one among near equals', () => {
    const served = servedBy(context, steps);
    expect(served.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
    for (const { task, by, score } of served) {
      const t = context.loads.findIndex((load) => load.task.id === task);
      const chef = context.owned[0]?.scores[t] ?? 0;
      const bought = Math.max(...steps.map(({ scores }) => scores[t] ?? 0));
      if (by && 'owned' in by) expect(chef, task).toBeGreaterThanOrEqual(bought - 0.5);
      if (by && 'step' in by) expect(score, task).toBeGreaterThan(chef);
    }
    expect(served.some(({ by }) => by && 'tool' in by && by.tool === 'peeler')).toBe(true);
  });

  test('minutes go to each once, and to a knife put right as itself', () => {
    const { steps: bySteps, owned } = minutesServedBy(context, steps);
    const served = servedBy(context, steps);
    const minutes = (test: (by: (typeof served)[number]['by']) => boolean) =>
      served.reduce((sum, { by, minutesPerWeek }) => sum + (test(by) ? minutesPerWeek : 0), 0);
    expect(owned[0]).toBeCloseTo(
      minutes((by) => by !== null && 'owned' in by),
      9,
    );
    expect(bySteps[0]).toBeCloseTo(
      minutes((by) => by !== null && 'step' in by && by.step === 0),
      9,
    );
    const dull = contextOf({ owned: [{ type: 'chef', condition: 'dull' }] });
    const put = dull.problem.candidates.filter(({ action }) => action === 'sharpen');
    const again = minutesServedBy(dull, put);
    expect(again.owned).toEqual(again.steps);
    expect(again.owned[0]).toBeGreaterThan(10);
  });
});

test('who is paid by the month is told what saving up would buy', () => {
  const said = (perMonth: number) =>
    planKitchen(fileOf({ budget: { perMonth } }), reference, shippedModels, { perturbed: 0 })
      .steps.flatMap(({ because }) => because)
      .filter((each) => each.startsWith('Buying now: yours in month '));
  expect(said(20)).toHaveLength(1);
  expect(said(20)[0]).toMatch(
    /in month \d+\. Saving up (until month \d+ would buy .+ points more|to \d+ months for a dearer one would add less than a point)/,
  );
  expect(
    planKitchen(fileOf({ budget: { total: 240 } }), reference, shippedModels, { perturbed: 0 })
      .steps.flatMap(({ because }) => because)
      .join(),
  ).not.toContain('Buying now');
});
