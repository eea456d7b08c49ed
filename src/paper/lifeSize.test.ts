import { expect, test } from 'vitest';
import { shippedModels } from '../../data/models';
import type { BladeModel } from '../core/blade/schema';
import { drawKnife } from '../core/drawing/knife';
import { lifeSizeSheets } from './lifeSize';
import { longestLine, PER_MM, reach, rendered } from './rendered';

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
