import { describe, expect, test } from 'vitest';
import { reference } from '../../data/reference';
import { shippedModels } from '../../data/models';
import { drawKnife } from '../core/drawing/knife';
import { svgOf } from '../core/drawing/svg';
import { csvOf } from '../core/formats/csv';
import { PAPER_KINDS } from '../core/formats/paper';
import { planFileSchema } from '../core/formats/planFile';
import { careOf } from '../core/kit/plan/care';
import { planFrom } from '../core/kit/plan/plan';
import { contextOf } from '../core/testing/trade';
import { planSheets } from './planSheets';

const context = contextOf({
  name: 'Ærø ødegård',
  budget: { total: 260, perMonth: 30 },
  owned: [{ type: 'chef', condition: 'dull' }],
});
const plan = planFrom(context);
const names = {
  type: (id: string) => reference.types.get(id)?.name ?? id,
  task: (id: string) => reference.tasks.get(id)?.name ?? id,
};
const papers = {
  plan,
  briefs: [],
  blades: new Map(shippedModels.map((model) => [model.id, model])),
  owned: context.owned.map(({ blade }) => blade.blade),
  care: careOf(context, plan),
  names,
  withPrices: true,
  language: 'en-GB',
};

describe('a plan goes out', () => {
  test('what planning makes is what the format reads', () => {
    expect(planFileSchema.parse(plan)).toEqual(plan);
  });

  test('as CSV that no spreadsheet computes', () => {
    expect(csvOf({ head: ['a'], rows: [['=1+1'], [-2], ['b,c']] })).toBe('a\n"\'=1+1"\n-2\n"b,c"\n');
  });

  test('as silhouettes at true size', () => {
    const [blade] = shippedModels;
    if (!blade) throw new Error('no model');
    const svg = svgOf('a < b', [{ name: 'one', drawing: drawKnife(blade) }]);
    const { left, right } = drawKnife(blade);
    expect(svg).toContain(`width="${(right - left + 28).toFixed(2)}mm"`);
    expect(svg).toContain('<title>a &lt; b</title>');
  });

  test('on paper: the same bytes each time, whatever letters a name has', async () => {
    const [one, two] = [await planSheets(papers, PAPER_KINDS, 'a4'), await planSheets(papers, PAPER_KINDS, 'a4')];
    expect(one.subarray(0, 5).toString()).toBe('%PDF-');
    expect(one.equals(two)).toBe(true);
    expect(one.equals(await planSheets(papers, ['plan'], 'letter'))).toBe(false);
    expect(one.equals(await planSheets({ ...papers, language: 'de' }, PAPER_KINDS, 'a4'))).toBe(false);
  });

  test('the care sheet names every knife that stays or is bought, with when it is due', () => {
    expect(papers.care).toHaveLength(1 + plan.steps.filter(({ action }) => action === 'buy').length);
    expect(papers.care[0]?.lines[0]).toMatch(/Due for sharpening about every/);
  });
});
