import fc from 'fast-check';
import Papa from 'papaparse';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { Plan } from './planFile';
import { contextOf } from '../testing/trade';
import { wildKitchen } from '../testing/arbitrary';
import { preparePlanning } from '../kit/context/planningContext';
import { firstPlan } from '../kit/plan/planKitchen';
import { csvOf, FORMULA } from './csv';
import { planTables, stepsTable, type Names } from './planTable';
import { shoppingList, shoppingTable, shoppingText } from './shoppingList';
import { shownPlanOf, withoutMoney, withoutPrices } from './shownPlan';
import type { StepBrief } from './briefFile';

const names: Names = {
  type: (id) => reference.types.get(id)?.name ?? id,
  task: (id) => reference.tasks.get(id)?.name ?? id,
};
const plans = wildKitchen.map((file) => firstPlan(preparePlanning(file, reference, shippedModels)).plan);
const planOf = (...file: Parameters<typeof contextOf>) => firstPlan(contextOf(...file)).plan;
const monthly = planOf({ budget: { perMonth: 40 }, currency: 'EUR' });

describe('a plan as tables', () => {
  test('has a cell under every heading, whatever the plan, and goes through CSV unchanged', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        for (const { head, rows } of [...planTables(plan, names), shoppingTable(plan, shoppingList(plan, [], names))]) {
          for (const row of rows) expect(row).toHaveLength(head.length);
          const back = Papa.parse<string[]>(csvOf({ head, rows }).trimEnd()).data;
          expect(back[0]).toEqual(head);
          expect(back).toHaveLength(rows.length + 1);
          rows.forEach((row, i) =>
            row.forEach((cell, c) => {
              const text = back[i + 1]?.[c] ?? '';
              const plain = String(cell ?? '');
              expect(FORMULA.test(plain) && typeof cell === 'string' ? text.slice(1) : text).toBe(plain);
            }),
          );
        }
      }),
      { numRuns: 12 },
    );
  });

  test('its steps stand in order with their money, and name kinds and not ids', () => {
    const { head, rows } = stepsTable(monthly, names);
    const column = (name: string) => rows.map((row) => row[head.indexOf(name)]);
    expect(column('order')).toEqual(monthly.steps.map(({ order }) => order));
    expect(column('price').reduce<number>((sum, price) => sum + Number(price), 0)).toBeCloseTo(monthly.spent, 6);
    expect(new Set(column('currency'))).toEqual(new Set(['EUR']));
    for (const type of column('type')) expect(reference.types.has(String(type))).toBe(false);
  });

  test('work taken over and work badly served name tasks, with minutes and scores', () => {
    const sheets = new Map(planTables(monthly, names).map((sheet) => [sheet.name, sheet]));
    const taken = sheets.get('Work taken over')?.rows ?? [];
    expect(taken).toHaveLength(monthly.steps.reduce((sum, { takesOver }) => sum + takesOver.length, 0));
    for (const [order, , task, minutes, score] of taken) {
      expect(monthly.steps.some((step) => step.order === order)).toBe(true);
      expect(reference.tasks.has(String(task))).toBe(false);
      expect(Number(minutes)).toBeGreaterThanOrEqual(0);
      expect(Number(score)).toBeLessThanOrEqual(100);
    }
    expect(sheets.get('Badly served')?.rows).toHaveLength(monthly.unserved.length);
    expect(sheets.get('Plan')?.rows).toContainEqual(['cost', monthly.spent]);
  });
});

describe('a shopping list', () => {
  const brief = (order: number, priceUpTo: number): StepBrief =>
    ({ order, inWords: 'A gyuto of 200–215 mm. About €90 is fair.', priceUpTo }) as StepBrief;

  test('has all that is bought or brought away, and nothing that is given away', () => {
    const plan = planOf({
      budget: { total: 260 },
      owned: [
        { type: 'chef', condition: 'dull' },
        { type: 'steak', condition: 'worn-out', use: 'never' },
      ],
    });
    const items = shoppingList(plan, [], names);
    expect(items.map(({ order }) => order)).toEqual(
      plan.steps.filter(({ action }) => action !== 'retire').map(({ order }) => order),
    );
    expect(items.find(({ does }) => /sharpen/i.test(does))?.lookFor).toBeNull();
    for (const { lookFor, does } of items) if (/^buy/i.test(does)) expect(lookFor).toMatch(/^such as /);
  });

  test('with a brief it says what to look for and the most it may cost', () => {
    const [step] = monthly.steps.filter(({ action }) => action === 'buy');
    const items = shoppingList(monthly, [brief(step?.order ?? 0, 99.5)], names);
    const item = items.find(({ order }) => order === step?.order);
    expect(item).toMatchObject({ lookFor: brief(0, 0).inWords, priceUpTo: 99.5 });
    const text = shoppingText(monthly, items);
    expect(text).toContain('up to €99.50');
    expect(text).toContain('    A gyuto of 200–215 mm.\n');
    expect(text).not.toContain('is fair');
  });

  test('names months only where there is more than one, each once and in order', () => {
    const months = [...shoppingText(monthly, shoppingList(monthly, [], names)).matchAll(/^Month (\d+)$/gm)].map(
      ([, month]) => Number(month),
    );
    expect(months.length).toBeGreaterThan(1);
    expect(months).toEqual([...new Set(months)].sort((a, b) => a - b));
    const once = planOf({ budget: { total: 200 } });
    expect(shoppingText(once, shoppingList(once, [], names))).not.toContain('Month');
  });

  test('without prices names none', () => {
    const text = shoppingText(monthly, shoppingList(monthly, [brief(1, 50)], names), false);
    expect(text).not.toMatch(/€|about/);
    expect(text.match(/\[ \]/g)).toHaveLength(monthly.steps.filter(({ action }) => action !== 'retire').length);
  });
});

describe('a plan that is shown to others', () => {
  const amounts = (plan: Plan) => JSON.stringify(plan).match(/[€£¥$]|\bEUR\b|\bCHF\b|\bUSD\b/g) ?? [];

  test('without prices names no amount anywhere, whatever the kitchen and its money', () => {
    fc.assert(
      fc.property(plans, (plan) => {
        const { plan: quiet, blades } = shownPlanOf(plan, shippedModels, false);
        expect(amounts({ ...quiet, currency: '' }).length).toBe(0);
        expect(quiet.steps.every(({ price, costPerYear, worth }) => price + costPerYear + worth === 0)).toBe(true);
        expect(quiet.steps.flatMap(({ runnersUp }) => runnersUp).every(({ price }) => price === 0)).toBe(true);
        expect(blades.every(({ priceMinor }) => priceMinor === 0)).toBe(true);
      }),
      { numRuns: 12 },
    );
  });

  test('says nothing of the people it is for, and draws what it names alone', () => {
    const plan = planOf({ cooks: [{ name: 'Maren', handLengthMm: 201 }], budget: { total: 200 } });
    const { plan: open, blades } = shownPlanOf(plan, shippedModels, true);
    expect(open.assumed).toEqual([]);
    expect(open.lengthWanted.why).toEqual([]);
    expect(open.steps).toEqual(plan.steps);
    expect(blades.map(({ id }) => id).sort()).toEqual(
      [...new Set(plan.steps.flatMap(({ model }) => model ?? []))].sort(),
    );
  });

  test('a sentence with an amount goes, the others of a text stay', () => {
    expect(withoutMoney('Look for 210 mm. About €90 is fair. Wood to hold.', 'EUR')).toBe(
      'Look for 210 mm. Wood to hold.',
    );
    expect(withoutMoney('Some 12 000 JPY. Fine.', 'JPY')).toBe('Fine.');
    expect(withoutMoney('Nothing about money here', 'EUR')).toBe('Nothing about money here');
    expect(withoutPrices(monthly).spent).toBe(0);
  });
});
