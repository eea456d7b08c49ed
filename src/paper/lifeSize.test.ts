import * as mupdf from 'mupdf';
import { expect, test } from 'vitest';
import { shippedModels } from '../../data/models';
import type { BladeModel } from '../core/blade/schema';
import { drawKnife } from '../core/drawing/knife';
import { lifeSizeSheets } from './lifeSize';

/** Dots of a rendered page in a millimetre. */
const PER_MM = 10;

/** A page as rendered, and whether a dot of it is dark. */
function rendered(bytes: Buffer, page: number) {
  const document = mupdf.Document.openDocument(bytes, 'application/pdf');
  const scale = (25.4 / 72) * PER_MM;
  const pixels = document
    .loadPage(page)
    .toPixmap(mupdf.Matrix.scale(scale, scale), mupdf.ColorSpace.DeviceGray, false, true);
  const [data, wide, high] = [pixels.getPixels(), pixels.getWidth(), pixels.getHeight()];
  return {
    pages: document.countPages(),
    wide,
    high,
    isDark: (x: number, y: number) => (data[y * wide + x] ?? 255) < 140,
  };
}
type Page = ReturnType<typeof rendered>;

/** The longest dark line across a page between two heights, mm. */
function longestLine({ wide, isDark }: Page, fromMm: number, toMm: number): number {
  let longest = 0;
  for (let y = Math.round(fromMm * PER_MM); y < toMm * PER_MM; y++)
    for (let x = 0, run = 0; x < wide; x++) longest = Math.max(longest, (run = isDark(x, y) ? run + 1 : 0));
  return longest / PER_MM;
}

/** How far the dark dots between two heights reach across, mm. */
function reach({ wide, isDark }: Page, fromMm: number, toMm: number): [number, number] {
  let [left, right] = [wide, 0];
  for (let y = Math.round(fromMm * PER_MM); y < toMm * PER_MM; y++)
    for (let x = 0; x < wide; x++) if (isDark(x, y)) [left, right] = [Math.min(left, x), Math.max(right, x)];
  return [left / PER_MM, right / PER_MM];
}

const knife = (blade: BladeModel | undefined, ref: string) => {
  if (!blade) throw new Error('no such model');
  return { ref, name: blade.name, blade };
};
const short = knife(
  shippedModels.find(({ lengthMm }) => lengthMm <= 80),
  'owned-0',
);
const long = knife(
  shippedModels.find(({ lengthMm }) => lengthMm >= 240 && lengthMm <= 270),
  'step-1',
);

test.each(['a4', 'letter'] as const)(
  'on %s every sheet is at true size: the bar is 100 mm, an outline as long as its knife',
  async (paper) => {
    const { bytes, sheets } = await lifeSizeSheets('Test', [short, long], paper);
    expect(sheets).toBe(4);
    for (let page = 0; page < sheets; page++) {
      const seen = rendered(bytes, page);
      expect(seen.pages).toBe(sheets);
      const foot = seen.high / PER_MM;
      expect(Math.abs(longestLine(seen, foot - 14, foot - 8) - 100)).toBeLessThan(0.5);
    }
    const drawing = drawKnife(short.blade);
    const overall = drawing.right - drawing.left;
    const [left, right] = reach(rendered(bytes, 0), 23, 23 + drawing.top - drawing.bottom);
    expect(Math.abs(right - left - overall)).toBeLessThan((0.5 * overall) / 100 + 0.3);
  },
);

test('a long knife goes over two sheets whose parts, joined at their marks, are the knife', async () => {
  const { bytes } = await lifeSizeSheets('Test', [long], 'a4');
  const drawing = drawKnife(long.blade);
  const overall = drawing.right - drawing.left;
  const rows: [number, number] = [20.5, 22 + drawing.top - drawing.bottom];
  const [start, end] = reach(rendered(bytes, 0), ...rows);
  const [from, tip] = reach(rendered(bytes, 1), ...rows);
  // each part shows 8 mm beyond the joint
  expect(Math.abs(end - start - 8 + (tip - from - 8) - overall)).toBeLessThan(0.01 * overall);
});

test('the same knives give the same file', async () => {
  const [one, two] = [await lifeSizeSheets('Test', [short], 'a4'), await lifeSizeSheets('Test', [short], 'a4')];
  expect(one.bytes.equals(two.bytes)).toBe(true);
});
