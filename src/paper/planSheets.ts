import { counted } from '../core/formats/planSteps';
import type { BladeModel } from '../core/blade/schema';
import { drawKnife, overallMm } from '../core/drawing/knife';
import { drawTool } from '../core/drawing/tool';
import type { Drawing } from '../core/drawing/shape';
import type { StepBrief } from '../core/formats/briefFile';
import type { Care } from '../core/formats/care';
import { PAPER_KINDS, type Paper, type PaperKind } from '../core/formats/paper';
import type { Plan, PlanStep } from '../core/formats/planFile';
import type { Names } from '../core/formats/planTable';
import { shoppingList } from '../core/formats/shoppingList';
import { withoutMoney, withoutPrices } from '../core/formats/shownPlan';
import { lowerFirst } from '../core/text/case';
import { STEP_WORDS } from '../core/formats/stepWords';
import { showMoney, toMinor } from '../core/money/currency';
import { Flow } from './flow';
import { ACCENT, FADED, Sheets } from './sheet';

/** What goes onto paper of one plan. */
export interface PlanPapers {
  plan: Plan;
  briefs: readonly StepBrief[];
  /** Blades by model. */
  blades: ReadonlyMap<string, BladeModel>;
  /** Drawings of what is owned, in the kitchen's order. */
  owned: readonly BladeModel[];
  care: readonly Care[];
  names: Names;
  withPrices: boolean;
  /** How numbers and money are written, a BCP 47 tag. */
  language: string;
}

/** Room for a drawing in the roll, mm of paper, and the least and greatest height of its row. */
const ROLL = { wide: 88, least: 12, most: 24 };
/** A tool is drawn no larger than this, mm of paper. */
const TOOL = 22;

const percentIn = (language: string) => (share: number) =>
  new Intl.NumberFormat(language, { style: 'percent' }).format(share);

/** The sheets asked for, in one file. */
export async function planSheets(papers: PlanPapers, kinds: readonly PaperKind[], paper: Paper): Promise<Buffer> {
  const { plan } = papers;
  const shown = papers.withPrices ? papers : { ...papers, plan: withoutPrices(plan) };
  const sheets = new Sheets(paper, `${plan.kitchen}: a knife kit`);
  for (const kind of PAPER_KINDS) {
    if (!kinds.includes(kind)) continue;
    const flow = new Flow(sheets, `${plan.kitchen} · Scabbard · estimates: judge each knife in the hand`);
    if (kind === 'plan') planPages(flow, shown);
    else if (kind === 'shopping') shoppingPage(flow, shown);
    else carePage(flow, shown);
  }
  return sheets.bytes();
}

function planPages(flow: Flow, papers: PlanPapers): void {
  const { plan, withPrices } = papers;
  const money = moneyOf(papers);
  const percent = percentIn(papers.language);
  flow.text(plan.kitchen, { size: 22, bold: true, after: 1 });
  const { now, needs, all } = plan.coverage;
  flow.text(
    `Of the cutting done here, ${percent(now)} is done well today, ${percent(needs)} with the needs, ${percent(all)} with everything.` +
      (withPrices ? ` It costs ${money(plan.spent)}, and about ${money(plan.costPerYear)} a year to keep.` : ''),
    { color: FADED, after: 4 },
  );
  roll(flow, papers);
  briefBlocks(flow, papers);
  list(
    flow,
    'Still badly served',
    plan.unserved.map(({ task, why }) => `${papers.names.task(task)}: ${why}`),
  );
  list(flow, 'Take care', plan.warnings);
  list(flow, 'Taken for granted until you say otherwise', plan.assumed);
}

const moneyOf =
  ({ plan: { currency }, language }: PlanPapers) =>
  (amount: number): string =>
    showMoney(toMinor(amount, currency), currency, language);

function list(flow: Flow, title: string, items: readonly string[]): void {
  if (items.length === 0) return;
  flow.heading(title);
  for (const each of items) flow.item(each, { size: 9 });
}

/** Every pocket of the roll to one scale, in buying order, the wants below a seam. */
function roll(flow: Flow, papers: PlanPapers): void {
  const { plan, blades, owned } = papers;
  const bladeOf = (step: PlanStep) =>
    step.owned !== undefined ? owned[step.owned] : step.model ? blades.get(step.model) : undefined;
  const longest = Math.max(
    200,
    ...plan.steps.map((step) => bladeOf(step)).map((blade) => (blade ? overallMm(blade) : 0)),
  );
  const scale = ROLL.wide / longest;
  flow.text(`The roll, 1 : ${(1 / scale).toFixed(1)}; tools smaller.`, { size: 8, color: FADED, after: 1.5 });
  let sewn = false;
  for (const step of plan.steps) {
    const blade = bladeOf(step);
    const drawing = blade ? drawKnife(blade) : drawTool(step.type ?? '');
    const size =
      drawing && !blade
        ? Math.min(scale, TOOL / (drawing.right - drawing.left), TOOL / (drawing.top - drawing.bottom))
        : scale;
    const words = wordsOf(step, papers);
    const column = { size: 8.5, wide: flow.wide - ROLL.wide - 18 };
    const told = 5 + flow.sheets.height(words.below, column);
    const high = Math.max(
      ROLL.least,
      told + 3,
      drawing ? Math.min(ROLL.most, (drawing.top - drawing.bottom) * size + 4) : 0,
    );
    flow.room(high);
    if (step.need === 'want' && !sewn) {
      sewn = true;
      flow.text('Wants', { size: 9, color: ACCENT, bold: true, after: 0.5 });
      flow.rule(1.4);
    }
    pocket(flow, step, { drawing, scale: size, long: longest * scale, high, words, column });
  }
}

function wordsOf(step: PlanStep, papers: PlanPapers): { title: string; below: string } {
  const { names, plan, withPrices } = papers;
  const kind = step.type && step.lengthMm !== null ? names.type(step.type) : step.name;
  const long = step.lengthMm === null ? '' : `, ${Math.round(step.lengthMm)} mm`;
  const points = `adds ${(100 * step.gain).toFixed(step.gain >= 0.02 ? 0 : 1)} points`;
  const sums = [
    ...(withPrices && step.action !== 'retire' ? [moneyOf(papers)(step.price)] : []),
    ...(step.upkeep ? ['keeps the kit'] : step.action === 'retire' ? [] : [points]),
    ...(plan.steps.some(({ month }) => month > 1) ? [`month ${step.month}`] : []),
  ].join(' · ');
  return {
    title: `${STEP_WORDS[step.action]}: ${counted(step, kind)}${long}`,
    below: [sums, ...step.because.slice(0, 1)].filter(Boolean).join('\n'),
  };
}

/** What a pocket on paper holds: its drawing, the column it ends in, and its words beside it, mm. */
interface PocketOnPaper {
  drawing: Drawing | null;
  scale: number;
  long: number;
  high: number;
  words: { title: string; below: string };
  column: { size: number; wide: number };
}

function pocket(flow: Flow, step: PlanStep, { drawing, scale, long, high, words, column }: PocketOnPaper): void {
  const { sheets, left, y } = flow;
  sheets.text(String(step.order), left, y + 0.5, { size: 12, bold: true, wide: 9 });
  if (drawing) {
    const above = drawing.top * scale;
    // the end of each handle lies on one line
    const shift = left + 10 - drawing.left * scale;
    const base = y + 1 + Math.max(above, (high - 3 - (drawing.top - drawing.bottom) * scale) / 2 + above);
    sheets.drawing(drawing, (p) => ({ x: shift + p.x * scale, y: base - p.y * scale }), { line: 0.2 });
  }
  const x = left + 14 + long;
  const top = sheets.text(words.title, x, y, { size: 11, bold: true, wide: column.wide });
  sheets.text(words.below, x, y + top + 0.5, { ...column, color: FADED });
  flow.y += high + 1.5;
}

/** A reason without what stands in brackets behind it. */
const inShort = (words: string): string => words.replace(/\s*\([^()]*(?:\([^()]*\)[^()]*)*\)/g, '');

/** Figures out of range: the ranges stand in the words of the brief. */
const BEYOND = /: (?:less|more) than /;

const SMALL = { size: 8.5, indent: 5, after: 0.4 };

/** What is told of a knife to be bought, in the order in which it is told. */
const BRIEF_PARTS = [
  ['must', 'Must have', '; ', '.'],
  ['avoid', 'Leave it with', '; ', '.'],
  ['ask', 'Ask', ' ', ''],
  ['inTheHand', 'In the hand', ' ', ''],
] as const;

function part(flow: Flow, [, title, between, end]: (typeof BRIEF_PARTS)[number], items: readonly string[]): void {
  if (items.length > 0) flow.text(`${title}: ${items.join(between)}${end}`, SMALL);
}

/** The briefs of a plan; what holds for every knife of it is told once. */
function briefBlocks(flow: Flow, { plan, briefs: all, withPrices }: PlanPapers): void {
  const briefs = all
    .filter(({ order }) => plan.steps.some((step) => step.order === order))
    .map((brief) => ({ ...brief, avoid: [...new Set(brief.avoid.map(inShort))].filter((each) => !BEYOND.test(each)) }));
  if (briefs.length === 0) return;
  flow.heading('In any shop');
  const shared = (key: (typeof BRIEF_PARTS)[number][0]) =>
    briefs.length < 2
      ? []
      : (briefs[0]?.[key] ?? []).filter((each) => briefs.every((brief) => brief[key].includes(each)));
  for (const { inWords, instead, order, ...brief } of briefs) {
    flow.room(20);
    const words = withPrices ? inWords : withoutMoney(inWords, plan.currency);
    flow.text(`${order}. ${words}`, { size: 9.5, bold: true, after: 0.6 });
    if (withPrices && instead) flow.text(`Dearer than that, take ${lowerFirst(instead)} instead.`, SMALL);
    for (const each of BRIEF_PARTS)
      part(
        flow,
        each,
        brief[each[0]].filter((item) => !shared(each[0]).includes(item)),
      );
    flow.y += 1.6;
  }
  const common = BRIEF_PARTS.filter(([key]) => shared(key).length > 0);
  if (common.length === 0) return;
  flow.text('Every one of them', { size: 9.5, bold: true, after: 0.6 });
  for (const each of common) part(flow, each, shared(each[0]));
}

function shoppingPage(flow: Flow, papers: PlanPapers): void {
  const { plan, withPrices } = papers;
  const items = shoppingList(plan, papers.briefs, papers.names);
  flow.text(`Shopping list: ${plan.kitchen}`, { size: 18, bold: true, after: 4 });
  for (const item of items) {
    const { does, what, need, lookFor } = item;
    const words = `${does}: ${what}${need === 'want' ? ' (a want)' : ''}`;
    flow.room(14);
    flow.sheets.box(flow.left, flow.y + 0.6, 3.6, 3.6);
    if (withPrices)
      flow.sheets.text(
        item.priceUpTo === null ? moneyOf(papers)(item.price) : `up to ${moneyOf(papers)(item.priceUpTo)}`,
        flow.left + flow.wide - 34,
        flow.y,
        { size: 10.5, wide: 34, align: 'right' },
      );
    flow.text(words, { size: 11, bold: true, indent: 7, wide: flow.wide - 44, after: 0.6 });
    if (lookFor)
      flow.text(withoutMoney(lookFor, plan.currency), {
        size: 9,
        color: FADED,
        indent: 7,
        after: 1,
      });
    flow.y += 1.5;
  }
  if (items.length === 0) flow.text('Nothing to buy.');
}

function carePage(flow: Flow, { plan, care }: PlanPapers): void {
  flow.text(`Keeping the edges: ${plan.kitchen}`, { size: 18, bold: true, after: 4 });
  for (const { name, lines } of care) {
    flow.room(16);
    flow.text(name, { size: 11, bold: true, after: 0.8 });
    for (const each of lines) flow.item(each, { size: 9 });
    flow.y += 2;
  }
  flow.heading('For every knife');
  for (const each of [
    'By hand, with a soft sponge, dried at once; never loose in a drawer, never in the machine.',
    'A board of wood or plastic, never glass or stone. Scrape with the spine, not with the edge.',
    'Cut away from the hand, fingertips curled back; a falling knife has no handle: step back.',
    'A dull knife slips: hone or have it sharpened before it needs force.',
  ])
    flow.item(each, { size: 9 });
}
