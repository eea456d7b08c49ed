import type { BladeModel } from '../core/blade/schema';
import { drawKnife } from '../core/drawing/knife';
import type { Drawing } from '../core/drawing/shape';
import type { Paper } from '../core/formats/paper';
import { FADED, INK, Sheets } from './sheet';
import { checkBar, cross, joint, MARGIN } from './trueSize';

/** A knife to be drawn at true size. */
export interface LifeSizeKnife {
  ref: string;
  /** What it is, in words. */
  name: string;
  blade: BladeModel;
}

/** Height of the words over a drawing, and of the check bar at the foot, mm. */
const WORDS = 11;
const FOOT = 20;
/** What a knife over several sheets shows on both sides of a joint, mm. */
const OVERLAP = 16;

/** How a knife is told to the hand: weight, and where it balances. */
function heft({ weightG, balanceMm }: BladeModel): string {
  const at = Math.round(Math.abs(balanceMm));
  const where = at === 0 ? 'at the heel' : `${at} mm ${balanceMm > 0 ? 'in front of' : 'behind'} the heel`;
  return `${Math.round(weightG)} g, balance ${where} (the cross)`;
}

/** A knife over one sheet or several: what of its length each shows, mm. */
interface Spread {
  knife: LifeSizeKnife;
  drawing: Drawing;
  parts: number;
  /** Length shown on each sheet. */
  wide: number;
  high: number;
}

function spreadOf(knife: LifeSizeKnife, room: number): Spread {
  const drawing = drawKnife(knife.blade);
  const long = drawing.right - drawing.left;
  const parts = long <= room ? 1 : Math.ceil((long - OVERLAP) / (room - OVERLAP));
  const wide = (long + (parts - 1) * OVERLAP) / parts;
  return { knife, drawing, parts, wide, high: WORDS + drawing.top - drawing.bottom + 8 };
}

/** Knives that lie on as many sheets, laid below one another as far as a sheet reaches. */
function laidOut(spreads: readonly Spread[], reach: number): Spread[][] {
  const groups: Spread[][] = [];
  for (const parts of [...new Set(spreads.map((each) => each.parts))].sort((a, b) => a - b)) {
    let left = 0;
    for (const spread of spreads.filter((each) => each.parts === parts)) {
      const last = groups.at(-1);
      if (last && left >= spread.high) last.push(spread);
      else {
        groups.push([spread]);
        left = reach;
      }
      left -= spread.high;
    }
  }
  return groups;
}

/**
 * Knives at true size, lying on sheets turned sideways: outlines to cut out, a check bar of 100 mm on every sheet, long ones over several sheets with
 * marks where they join, last a rule for the hand. Returns the file and how many sheets it has.
 */
export async function lifeSizeSheets(
  title: string,
  knives: readonly LifeSizeKnife[],
  paper: Paper,
): Promise<{ bytes: Buffer; sheets: number }> {
  const page = new Sheets(paper, `${title}: at life size`, { landscape: true });
  const room = page.wide - 2 * MARGIN;
  let sheets = 0;
  const turn = () => {
    page.page();
    sheets++;
    checkBar(page);
  };
  const spreads = knives.map((knife) => spreadOf(knife, room));
  for (const group of laidOut(spreads, page.high - MARGIN - FOOT))
    for (let part = 0; part < (group[0]?.parts ?? 0); part++) {
      turn();
      let y = MARGIN;
      for (const spread of group) {
        paint(page, spread, part, y);
        y += spread.high;
      }
    }
  turn();
  handRule(page);
  return { bytes: await page.bytes(), sheets };
}

function paint(page: Sheets, { knife, drawing, parts, wide }: Spread, part: number, y: number): void {
  const { name, ref, blade } = knife;
  const sheet = parts === 1 ? '' : ` · part ${part + 1} of ${parts}`;
  const column = page.wide - 2 * MARGIN;
  page.text(`${name} (${ref})${sheet}`, MARGIN, y, { size: 11, bold: true, wide: column });
  page.text(`${heft(blade)}. Cut along the outline.`, MARGIN, y + 5, { size: 9, color: FADED, wide: column });
  const top = y + WORDS;
  const high = drawing.top - drawing.bottom;
  const from = drawing.left + part * (wide - OVERLAP);
  const place = (p: { x: number; y: number }) => ({ x: MARGIN + p.x - from, y: top + drawing.top - p.y });
  page.within(MARGIN - 0.5, top - 0.5, wide + 1, high + 1, () => {
    page.drawing(drawing, place, { line: 0.3, outline: true });
    cross(page, place({ x: blade.balanceMm, y: blade.heelHeightMm / 2 }));
  });
  if (part > 0) joint(page, MARGIN + OVERLAP / 2, top, high, part);
  if (part < parts - 1) joint(page, MARGIN + wide - OVERLAP / 2, top, high, part + 1);
}

/** A rule to lay the hand on, with what to measure. */
function handRule(page: Sheets): void {
  const wide = page.wide - 2 * MARGIN;
  page.text('A rule for the hand', MARGIN, MARGIN, { size: 14, bold: true, wide });
  page.text(
    'Length: from the wrist crease to the tip of the middle finger, the hand flat. Breadth: across the palm at the knuckles, without the thumb.',
    MARGIN,
    MARGIN + 8,
    { size: 10, color: FADED, wide },
  );
  const y = MARGIN + 34;
  const long = Math.floor(wide / 10) * 10;
  page.line({ x: MARGIN, y }, { x: MARGIN + long, y }, { color: INK, width: 0.3 });
  for (let mm = 0; mm <= long; mm++) {
    const tall = mm % 10 === 0 ? 9 : mm % 5 === 0 ? 6 : 3.5;
    page.line({ x: MARGIN + mm, y }, { x: MARGIN + mm, y: y - tall }, { color: INK, width: 0.15 });
    if (mm % 10 === 0)
      page.text(String(mm), MARGIN + mm - 6, y + 1.5, { size: 7.5, color: INK, wide: 12, align: 'center' });
  }
}
