import { drawKnife } from '../core/drawing/knife';
import type { Paper } from '../core/formats/paper';
import type { WallSheet } from '../core/formats/wallSheet';
import { Flow } from './flow';
import { ACCENT, FADED, Sheets } from './sheet';

/** Room for a drawing, mm of paper. */
const DRAWN = { wide: 78, most: 24 };

const whoWords = (who: readonly string[]): string => (who.length === 0 ? 'Nobody for now' : `Only ${who.join(', ')}`);

/** A sheet for the kitchen wall, large enough to be read from the board. */
export async function wallPaper({ title, knives, rules }: WallSheet, paper: Paper): Promise<Buffer> {
  const sheets = new Sheets(paper, `${title}: our knives`);
  const flow = new Flow(sheets, `${title} · Scabbard`);
  flow.text(`${title}: our knives`, { size: 24, bold: true, after: 4 });
  const drawings = knives.map(({ blade }) => drawKnife(blade));
  const longest = Math.max(1, ...drawings.map(({ left, right }) => right - left));
  knives.forEach(({ name, does, never, care, who }, i) => {
    const drawing = drawings[i];
    if (!drawing) return;
    const high = drawing.top - drawing.bottom;
    const scale = Math.min(DRAWN.wide / longest, DRAWN.most / high);
    const column = { wide: flow.wide - DRAWN.wide - 8 };
    const lines = [
      { words: name, size: 14, bold: true },
      ...(does.length > 0 ? [{ words: `To ${does.join(', ')}.`, size: 11 }] : []),
      ...never.map((words) => ({ words, size: 11 })),
      ...care.map((words) => ({ words, size: 10, color: FADED })),
      ...(who ? [{ words: whoWords(who), size: 11, bold: true, color: ACCENT }] : []),
    ];
    const told = lines.reduce(
      (sum, { words, ...style }) => sum + sheets.height(words, { ...style, ...column }) + 0.6,
      0,
    );
    flow.room(Math.max(told, high * scale) + 6);
    flow.rule();
    const { left, y } = flow;
    sheets.drawing(drawing, (p) => ({ x: left + (p.x - drawing.left) * scale, y: y + (drawing.top - p.y) * scale }), {
      line: 0.25,
    });
    let at = y;
    for (const { words, ...style } of lines)
      at += sheets.text(words, left + DRAWN.wide + 8, at, { ...style, ...column }) + 0.6;
    flow.y = Math.max(at, y + high * scale) + 3;
  });
  flow.heading('For all of them');
  for (const rule of rules) flow.item(rule, { size: 11.5 });
  return sheets.bytes();
}
