import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, test } from 'vitest';
import { z } from '../../src/core/zod';
import { kitchenFileSchema } from '../../src/core/formats/kitchenFile';
import { planKitchen } from '../../src/core/kit/plan/planKitchen';
import { shippedModels } from '../models';
import { reference } from '../reference';
import { agree, parseSheet, planLine } from '../pinned';
import { expectationSchema, missed } from './expectations';
import panel from './panel.json';
import second from './second.json';

/**
 * Very different kitchens, each plan read as that person's adviser would: signed, or signed with a remark. Beside the verdict stands what of it a
 * machine can check: what the first knife bought or put right may be, what must and must not be among the steps, how many knives, how much is covered.
 */

const rows = z
  .array(
    z.strictObject({
      id: z.string(),
      who: z.string(),
      kitchen: z.record(z.string(), z.unknown()),
      verdict: z.enum(['signed', 'remark', 'refused']),
      because: z.string().min(10),
      expect: expectationSchema,
    }),
  )
  .parse([...panel, ...second]);

/** What a proven plan gives up of its worth at most, so that a dearer point never covers less and near ties are settled by coverage. */
const MOST_GIVEN_UP = 0.01;

/** The plans as they were read when their verdicts were written: `npm run -s pin` writes them anew, to be read again. */
const read = parseSheet(readFileSync(join(import.meta.dirname, '..', 'pinned', 'plans.tsv'), 'utf8'));

test('more than 130 kitchens, at least nine of ten signed, none refused', () => {
  expect(rows.length).toBeGreaterThanOrEqual(130);
  expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
  expect(rows.filter((r) => r.verdict === 'signed').length / rows.length).toBeGreaterThanOrEqual(0.9);
  expect(rows.filter((r) => r.verdict === 'refused')).toEqual([]);
});

describe('what was signed is what is planned', () => {
  test.each(rows)('$who', ({ id, kitchen, expect: wanted }) => {
    const file = kitchenFileSchema.parse({ format: 'scabbard.kitchen', version: 1, ...kitchen });
    const plan = planKitchen(file, reference, shippedModels, { perturbed: 0 });
    expect(missed(plan, wanted)).toEqual([]);
    const { spent, proof } = plan;
    if (file.budget?.total != null) expect(spent).toBeLessThanOrEqual(file.budget.total);
    if (proof.best) expect(proof.gap).toBeLessThanOrEqual(MOST_GIVEN_UP);
    const was = read.get(id) ?? '';
    const now = planLine(plan);
    expect(agree(was, now), `another plan than the one that was read:\n${was}\n${now}`).toBe(true);
  });
});
