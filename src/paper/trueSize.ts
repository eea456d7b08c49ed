import { FADED, INK, type Sheets } from './sheet';

/** What sheets at true size have in common: their margin, marks where they join, a bar to check the print, mm. */
export const MARGIN = 10;
const BAR = 100;

/** A small cross: the centre of a thing, or one of the marks by which sheets are laid over one another. */
export function cross(page: Sheets, { x, y }: { x: number; y: number }): void {
  for (const [dx, dy] of [
    [3, 0],
    [0, 3],
  ] as const)
    page.line({ x: x - dx, y: y - dy }, { x: x + dx, y: y + dy }, { color: INK, width: 0.3 });
}

/** The line on which two sheets meet: laid one over the other until the marks cover. */
export function joint(page: Sheets, x: number, top: number, high: number, number: number): void {
  page.line({ x, y: top - 2 }, { x, y: top + high + 2 }, { color: FADED, width: 0.2, dash: 2 });
  for (const y of [top, top + high]) cross(page, { x, y });
  page.text(`joint ${number}`, x + 1.5, top + high - 1, { size: 7, color: FADED, wide: 20 });
}

/** A bar of exactly 100 mm, ticked in centimetres. */
export function checkBar(page: Sheets): void {
  const y = page.high - 11;
  page.line({ x: MARGIN, y }, { x: MARGIN + BAR, y }, { color: INK, width: 0.3 });
  for (let mm = 0; mm <= BAR; mm += 10) {
    const tall = mm % 50 === 0 ? 4 : 2.5;
    page.line({ x: MARGIN + mm, y }, { x: MARGIN + mm, y: y - tall }, { color: INK, width: 0.3 });
  }
  page.text('This bar is 100 mm long. If it is not, print again at 100 %, “actual size”.', MARGIN + BAR + 5, y - 4, {
    size: 9,
    color: FADED,
    wide: page.wide - 2 * MARGIN - BAR - 5,
  });
}
