import fc from 'fast-check';
import * as mupdf from 'mupdf';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';
import { PAPER_KINDS, PAPERS, type Paper, type PaperKind } from '../core/formats/paper';
import { preparePlanning } from '../core/kit/context/planningContext';
import { careOf } from '../core/kit/plan/care';
import { firstPlan } from '../core/kit/plan/planKitchen';
import { wallSheet } from '../core/kit/plan/wall';
import { STEP_WORDS } from '../core/formats/stepWords';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { wildKitchen } from '../core/testing/arbitrary';
import { fileOf } from '../core/testing/trade';
import { planSheets, type PlanPapers } from './planSheets';
import { wallPaper } from './wallPaper';

const POINTS_A_MM = 72 / 25.4;
/** Nothing is printed nearer to the edge of a sheet than printers reach, mm. */
const BORDER_MM = 5;

function papersOf(file: KitchenFile, more: Partial<PlanPapers> = {}): PlanPapers {
  const { plan, context } = firstPlan(preparePlanning(file, reference, shippedModels));
  return {
    plan,
    briefs: [],
    blades: new Map(shippedModels.map((model) => [model.id, model])),
    owned: context.owned.map(({ blade }) => blade.blade),
    care: careOf(context, plan),
    names: {
      type: (id) => reference.types.get(id)?.name ?? id,
      task: (id) => reference.tasks.get(id)?.name ?? id,
    },
    withPrices: true,
    language: 'en-GB',
    ...more,
  };
}

/** What a file says, page by page, and how near to the edges of its sheets it comes, mm. */
function printed(bytes: Buffer) {
  const document = mupdf.Document.openDocument(bytes, 'application/pdf');
  const pages = Array.from({ length: document.countPages() }, (_, i) => document.loadPage(i));
  const nearest = pages.map((page) => {
    const [left, top, right, bottom] = page.getBounds();
    let near = Infinity;
    page.toStructuredText().walk({
      onChar: (character, _origin, _font, _size, [x0, y0, , y1, x1]) => {
        if (character.trim() === '') return;
        near = Math.min(
          near,
          Math.min(x0, x1) - left,
          right - Math.max(x0, x1),
          Math.min(y0, y1) - top,
          bottom - Math.max(y0, y1),
        );
      },
    });
    return near / POINTS_A_MM;
  });
  const sizes = pages.map((page) => {
    const [left, top, right, bottom] = page.getBounds();
    return { wide: (right - left) / POINTS_A_MM, high: (bottom - top) / POINTS_A_MM };
  });
  const words = pages.map((page) => page.toStructuredText().asText().replace(/\s+/g, ' ')).join(' ');
  return { words, nearest, sizes };
}

const onPaper = async (papers: PlanPapers, kinds: readonly PaperKind[] = PAPER_KINDS, paper: Paper = 'a4') =>
  printed(await planSheets(papers, kinds, paper));

test('whatever kitchen, its papers stay on their sheets, name every step and say what can be read', async () => {
  await fc.assert(
    fc.asyncProperty(wildKitchen, fc.constantFrom<Paper>('a4', 'letter'), async (file, paper) => {
      const papers = papersOf(file);
      const { words, nearest, sizes } = await onPaper(papers, PAPER_KINDS, paper);
      for (const { wide, high } of sizes) {
        expect(wide).toBeCloseTo(PAPERS[paper].wide, 0);
        expect(high).toBeCloseTo(PAPERS[paper].high, 0);
      }
      for (const near of nearest) expect(near).toBeGreaterThan(BORDER_MM);
      expect(words).not.toMatch(/\bNaN\b|undefined|\bnull\b|\[object|\d\.\d{3,}/);
      for (const { order, action } of papers.plan.steps) expect(words).toContain(`${order} ${STEP_WORDS[action]}: `);
    }),
    { numRuns: 4 },
  );
});

describe('the papers of a plan', () => {
  const file = fileOf({
    name: 'Marsh house',
    budget: { total: 280 },
    owned: [{ type: 'chef', condition: 'dull' }],
    habits: { dishwasher: true },
  });
  const papers = papersOf(file);

  test('are those asked for, in their order, each with the kitchen’s name', async () => {
    const all = await onPaper(papers);
    const lone = await Promise.all(PAPER_KINDS.map((kind) => onPaper(papers, [kind])));
    expect(lone.reduce((sum, { sizes }) => sum + sizes.length, 0)).toBe(all.sizes.length);
    expect(lone.map(({ words }) => words).join(' ')).toBe(all.words);
    for (const { words } of lone) expect(words).toContain('Marsh house');
    expect((await onPaper(papers, ['care', 'plan'])).words).toBe((await onPaper(papers, ['plan', 'care'])).words);
  });

  test('tell money only where prices are wanted', async () => {
    expect((await onPaper(papers)).words).toContain('€');
    expect((await onPaper({ ...papers, withPrices: false })).words).not.toMatch(/€|\bEUR\b/);
  });

  test('write numbers as their reader does', async () => {
    const { words } = await onPaper({ ...papers, language: 'de' }, ['plan']);
    expect(words).toMatch(/\d\s%/);
    expect(words).toMatch(/\d\s€/);
  });

  test('carry the cautions of the plan, and care of every knife', async () => {
    const { words } = await onPaper(papers);
    const bare = (text: string) => text.replace(/[-\s]/g, '');
    for (const warning of papers.plan.warnings) expect(bare(words)).toContain(bare(warning));
    for (const { name, lines } of papers.care)
      for (const line of [name, ...lines]) expect(bare(words)).toContain(bare(line));
  });
});

test('the sheet for the wall stays on its paper however many knives there are', async () => {
  const owned = [...reference.types.keys()].slice(0, 26).map((type) => ({ type, condition: 'keen' as const }));
  const context = preparePlanning(
    fileOf({ owned, cooks: [{ name: 'Ada' }, { name: 'Bo', mayUse: [0, 3] }] }),
    reference,
    shippedModels,
  );
  const { plan } = firstPlan(context);
  const sheet = wallSheet(context, plan, true);
  const { words, nearest, sizes } = printed(await wallPaper(sheet, 'a4'));
  expect(sizes.length).toBeGreaterThan(1);
  for (const near of nearest) expect(near).toBeGreaterThan(BORDER_MM);
  for (const { name } of sheet.knives) expect(words.replace(/\s/g, '')).toContain(name.replace(/\s/g, ''));
  expect(words).toContain('Only Ada');
});
