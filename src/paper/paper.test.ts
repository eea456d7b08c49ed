import * as mupdf from 'mupdf';
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
import { reach, rendered } from './rendered';

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

  test('words without an end are broken within their column, and more text than paper is for is refused in words', async () => {
    const long = 'w'.repeat(2000);
    const bytes = await planSheets(
      { ...papers, plan: { ...plan, warnings: Array<string>(23).fill(long) } },
      ['plan'],
      'a4',
    );
    const pages = mupdf.Document.openDocument(bytes, 'application/pdf');
    let letters = 0;
    for (let page = 0; page < pages.countPages(); page++)
      for (const each of pages
        .loadPage(page)
        .toStructuredText()
        .asText()
        .matchAll(/w{10,}/g))
        letters += each[0].length;
    expect(letters).toBe(23 * 2000);
    for (let page = 0; page < pages.countPages(); page++) {
      const [left, right] = reach(rendered(bytes, page), 5, 290);
      expect([left > 5, right < 205]).toEqual([true, true]);
    }
    const much = { ...plan, warnings: Array<string>(200).fill('many words '.repeat(180)) };
    await expect(planSheets({ ...papers, plan: much }, ['plan'], 'a4')).rejects.toThrow('too much text for paper');
  });
});
