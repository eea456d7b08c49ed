import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { KitchenFile } from '../../formats/kitchenFile';
import { anyKitchen } from '../../testing/arbitrary';
import { contextOf } from '../../testing/trade';
import { planProven } from './planKitchen';
import { wallSheet } from './wall';

const planned = (file: Partial<KitchenFile>) => {
  const context = contextOf(file);
  return { context, plan: planProven(context).plan };
};

describe('what becomes of each owned knife', () => {
  test('is said once in the plan: put right with its step, taken out, kept apart', () => {
    const { plan } = planned({
      budget: { total: 150 },
      owned: [
        { type: 'chef', lengthMm: 200, condition: 'dull', use: 'daily' },
        { type: 'nakiri', condition: 'worn-out', use: 'never' },
        { type: 'petty', condition: 'keen', keep: 'keepsake' },
      ],
    });
    const [chef, nakiri, petty] = plan.drawer ?? [];
    const step = plan.steps.find(({ owned }) => owned === 0);
    expect(chef).toMatchObject({ fate: 'put-right' });
    expect(chef?.why).toContain(`sharpened, step ${step?.order}: ${(100 * (step?.gain ?? 0)).toFixed(1)} points`);
    expect(nakiri?.fate).toBe('retired');
    expect(petty?.fate).toBe('apart');
    expect(planned({ budget: { total: 150 } }).plan.drawer).toBeUndefined();
  });

  test('in any kitchen agrees with the steps, and the wall says the same', () => {
    fc.assert(
      fc.property(anyKitchen, (file) => {
        const { context, plan } = planned(file);
        const sheet = JSON.stringify(wallSheet(context, plan, true));
        expect(plan.drawer?.length ?? 0).toBe(context.owned.length);
        for (const { owned, fate, why } of plan.drawer ?? []) {
          const step = plan.steps.find((each) => each.owned === owned);
          if (fate !== 'apart') expect(step !== undefined).toBe(fate === 'put-right' || fate === 'retired');
          if (fate === 'unused' || fate === 'kept-dull' || fate === 'apart') expect(sheet).toContain(why);
        }
      }),
      { numRuns: 12 },
    );
  });
});
