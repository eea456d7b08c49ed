import * as mupdf from 'mupdf';
import { expect, test } from 'vitest';
import { shippedModels } from '../../data/models';
import { keepingOf } from '../core/keeping/keeping';
import { thingOf } from '../core/keeping/things';
import { placesAtTrueSize, placesPlan, type PlacesPaper } from './placeSheets';
import { longestLine, rendered } from './rendered';
import { Unprintable } from './sheet';
import { wallPaper } from './wallPaper';

const knives = shippedModels.slice(0, 8).map((blade, i) => ({ ref: `owned-${i}`, name: `Knife ${i}`, blade }));
const tray = { kind: 'tray' as const, lengthMm: 240, widthMm: 420, heightMm: 60, slats: null };
const asked = (place: PlacesPaper['places'][number]['place']): PlacesPaper => ({
  title: 'Test',
  places: [{ name: 'Left drawer', place }],
  knives,
  placed: keepingOf(
    knives.map(({ ref, name, blade }) => thingOf(ref, name, blade)),
    { places: [place] },
    { guard: 1, strip: 1, roll: 1 },
  ).placed,
});
const wordsOf = (bytes: Buffer) => {
  const document = mupdf.Document.openDocument(bytes, 'application/pdf');
  return Array.from({ length: document.countPages() }, (_, i) =>
    document.loadPage(i).toStructuredText().asText().replace(/\s+/g, ' '),
  ).join(' ');
};

test.each(['a4', 'letter'] as const)(
  'on %s a place at true size is as wide as it is, over sheets that say which they are',
  async (paper) => {
    const bytes = await placesAtTrueSize(asked(tray), paper);
    const page = rendered(bytes, 0);
    expect(page.pages).toBe(3);
    // the edge of the tray at the back, and the check bar at the foot
    expect(longestLine(page, 18.5, 19.5)).toBeGreaterThan(239.5);
    expect(longestLine(page, 18.5, 19.5)).toBeLessThan(240.7);
    const bar = longestLine(page, page.high / 10 - 12, page.high / 10 - 10);
    expect(Math.abs(bar - 100)).toBeLessThan(0.5);
    expect(wordsOf(bytes)).toContain('Left drawer, sheet 3 of 3: row 3, column 1');
  },
);

test('a place too large for two dozen sheets is refused, and printed as a plan with every knife’s measurements', async () => {
  const hall = asked({ ...tray, lengthMm: 1900, widthMm: 1900 });
  await expect(placesAtTrueSize(hall, 'a4')).rejects.toThrow(Unprintable);
  const words = wordsOf(await placesPlan(hall, 'a4'));
  expect(words).toContain('1900 × 1900 mm as drawn');
  for (const { name } of knives) expect(words).toMatch(new RegExp(`${name}: from \\d+ to \\d+ mm across`));
});

test('the sheet for the wall says of each knife what it does, what it must not, and who may use it', async () => {
  const [one] = knives;
  if (!one) throw new Error('no models');
  const words = wordsOf(
    await wallPaper(
      {
        title: 'Test',
        knives: [
          {
            name: one.name,
            blade: one.blade,
            does: ['dice onions'],
            never: ['No bone.'],
            care: ['Dry it.'],
            who: ['Ilka'],
          },
        ],
        rules: ['A dull knife slips.'],
      },
      'letter',
    ),
  );
  expect(words).toMatch(/Knife 0 To dice onions\. No bone\. Dry it\. Only Ilka .*A dull knife slips\./);
});
