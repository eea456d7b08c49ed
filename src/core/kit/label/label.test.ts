import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import saltstair from '../../../../data/kitchens/saltstair-supper-house.json';
import { kindWords } from '../../../../data/kindWords';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { kitchenFileSchema } from '../../formats/kitchenFile';
import { labelFileSchema } from '../../formats/labelFile';
import type { StepBrief } from '../../formats/briefFile';
import { fileOf } from '../../testing/trade';
import type { Label } from './label';
import { labelFile } from './labelKitchen';
import { labelledBlade, outsideOf } from './labelledBlade';
import { readLabel } from './readLabel';

const knowledge = { words: kindWords, types: reference.types };
const read = (text: string) => readLabel(text, knowledge);

describe('what a label says', () => {
  test.each<[string, Partial<Label>]>([
    [
      'Gyuto 21 cm, 60 HRC, 165 g, €89',
      { type: 'gyuto', lengthMm: 210, hrc: 60, weightG: 165, price: 89, currency: 'EUR' },
    ],
    ['Total length 33 cm, blade length 20 cm. Chef’s knife', { type: 'chef', lengthMm: 200 }],
    [
      '33 cm overall, 20 cm blade, 46 mm tall, 2.2 mm spine at the heel, gyuto',
      { lengthMm: 200, heelHeightMm: 46, spineHeelMm: 2.2 },
    ],
    [
      'Kochmesser, Gesamtlänge 33,5 cm, Klingenlänge: 20 cm, 0,21 kg, Härte 58–60 HRC',
      { type: 'chef', lengthMm: 200, weightG: 210, hrc: 59 },
    ],
    ['Klinge 20 cm lang 33 cm gesamt Kochmesser', { lengthMm: 200 }],
    ['Steel handle chef knife 20cm blade 33cm long', { lengthMm: 200 }],
    ['Nakiri 165 x 50 x 2.1 mm', { lengthMm: 165, heelHeightMm: 50, spineHeelMm: 2.1 }],
    ['8" chef’s knife (20 cm), riveted handle', { lengthMm: 200, handleStyle: 'western' }],
    ['Chef’s knife, blade 8½ in, 8.2 oz', { lengthMm: 215.9, weightG: 232 }],
    ['Petty 135, walnut handle', { lengthMm: 135 }],
    [
      'Nakiri, blade length 165, height 52, thickness 1.9, weight 165',
      { lengthMm: 165, heelHeightMm: 52, spineHeelMm: 1.9, weightG: 165 },
    ],
    ['Santokumesser 16,5 cm Klinge, 14 cm Griff, 58+-1 HRC', { type: 'santoku', lengthMm: 165, hrc: 58 }],
    ['Usuba, 195mm edge length, handle length 140 mm', { lengthMm: 195 }],
    [
      'Filetiermesser 18 cm, Klingenstärke 1,5 mm, Klingenbreite 25 mm, CHF 39.-',
      { type: 'fillet', spineHeelMm: 1.5, heelHeightMm: 25, price: 39, currency: 'CHF' },
    ],
    ['Blade length: 165 mm · Height 48mm · Weight: 5.6 oz', { lengthMm: 165, heelHeightMm: 48, weightG: 159 }],
    ['Spine 2,2 mm, edge 15° per side, HRC 60±1', { spineHeelMm: 2.2, edgeAngleDeg: 15, hrc: 60 }],
    ['sharpened to 30° inclusive', { edgeAngleDeg: 15 }],
    ['Gyuto 24cm, statt 199 € jetzt nur 149 €', { price: 149 }],
    [
      'Bread knife, 10 inch, serrated, RRP £45, £29.99 + £3.95 postage',
      { type: 'bread', serrated: true, price: 29.99, currency: 'GBP' },
    ],
    [
      'Yanagiba 27 cm, einseitig geschliffen, für Linkshänder, ¥32,000',
      { bevel: 'single', handed: 'left', price: 32_000, currency: 'JPY' },
    ],
    ['Boning knife, flexible, 6 in. blade', { type: 'boning-flexible', lengthMm: 152.4 }],
    ['Gyuto, a Japanese chef’s knife', { type: 'gyuto' }],
    ['a fine knife', { type: null, lengthMm: null, hrc: null, price: null, steel: null, weightG: null }],
  ])('%s', (text, expected) => {
    expect(read(text)).toMatchObject({ knife: true, read: expected, asks: [] });
  });

  test.each([
    ['high carbon stainless steel', true],
    ['rostfrei', true],
    ['never rusts', true],
    ['stainless steel handle, carbon blade', false],
    ['carbon fibre handle, stainless blade', true],
    ['not stainless', false],
    ['nicht rostfrei', false],
    ['wipe it dry or it will rust', false],
    ['develops a patina', false],
    ['carbon steel core, stainless cladding', false],
    ['semi-stainless', false],
    ['steel blade', null],
  ])('steel by its kind: %s', (text, stainless) => {
    expect(read(`Santoku 18 cm, ${text}`).read.stainless).toBe(stainless);
  });

  test('a steel known by its name alone is asked about, never taken for stainless', () => {
    for (const text of ['Stahl: Kestrel 3', 'core steel: VX-11, stainless clad', 'blade of QR10 steel', 'Damast'])
      expect(read(`Santoku 18 cm, ${text}`), text).toMatchObject({
        read: { steel: null, stainless: null },
        asks: ['steel'],
      });
    expect(read('Santoku 18 cm, Stahl: Kestrel 3, rostfrei').asks).toEqual([]);
  });

  test('what can be read two ways is asked; the length of the whole knife is never the edge’s', () => {
    expect(read('Chef’s knife length 30 cm')).toMatchObject({ read: { lengthMm: null }, asks: ['lengthMm'] });
    expect(read('Chef’s knife length 20 cm')).toMatchObject({ read: { lengthMm: 200 }, asks: [] });
    expect(read('Chef’s knife, 33 cm overall')).toMatchObject({ read: { lengthMm: null }, asks: [] });
    expect(read('Gyuto €89, 210 mm, €99').asks).toEqual(['price']);
  });

  test('a board, a block, a rod, a guard and a set are no knife; a knife with a sheath is one', () => {
    for (const text of [
      'Chopping board 40 x 30 cm',
      'Messerblock für 6 Messer, 89 €',
      'Honing rod for chef’s knives',
      'Knife guard up to 21 cm',
      'Knife set, 5 pieces',
    ])
      expect(read(text), text).toMatchObject({ knife: false, read: { type: null, lengthMm: null }, asks: [] });
    expect(read('Chef’s knife with sheath, 21 cm').knife).toBe(true);
  });

  test('text of any kind is read without a fault, and what is read lies within what knives are', () => {
    const piece = fc.constantFrom(
      'blade ',
      '20 cm',
      '8"',
      ' €',
      '1.234,5',
      '°',
      ' HRC',
      '\n',
      ', ',
      'Länge ',
      '½',
      'x',
      'kg',
      '𝟘',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string({ unit: 'grapheme', maxLength: 200 }),
          fc.array(piece, { maxLength: 30 }).map((all) => all.join('')),
        ),
        (text) => {
          expect(labelFileSchema.safeParse(labelFile(text, { words: kindWords, reference, models: [] })).success).toBe(
            true,
          );
          const { lengthMm, weightG, hrc } = read(text).read;
          if (lengthMm !== null) expect(lengthMm >= 40 && lengthMm <= 450).toBe(true);
          if (weightG !== null) expect(weightG >= 15 && weightG <= 1500).toBe(true);
          if (hrc !== null) expect(hrc >= 48 && hrc <= 69).toBe(true);
        },
      ),
    );
  });
});

describe('a knife in a shop', () => {
  const empty = fileOf();
  const judged = (text: string, kitchen = empty) =>
    labelFile(text, { words: kindWords, reference, models: shippedModels }, kitchen).verdict;

  test('in an empty kitchen a plain chef’s knife at a low price is bought, at a high one it is too dear', () => {
    const fair = judged('Chef’s knife 200 mm, €20');
    expect(fair).toMatchObject({ word: 'buy', step: 1 });
    expect(fair?.because.join(' ')).toMatch(/Compared with having neither, it adds \d\d/);
    expect(judged('Chef’s knife 200 mm')).toMatchObject({ word: 'buy', priceUpTo: fair?.priceUpTo });
    const dear = judged(`Chef’s knife 200 mm, €${Math.ceil(fair?.priceUpTo ?? 0) + 1}`);
    expect(dear).toMatchObject({ word: 'dear', priceUpTo: fair?.priceUpTo });
    expect(dear?.because.join(' ')).toContain('wait for a better price');
  });

  test('a wrong knife is explained by the part that fails, and has no price', () => {
    const long = judged('Chef’s knife 260 mm, €20');
    expect(long).toMatchObject({ word: 'wrong', priceUpTo: 0 });
    expect(long?.because.join(' ')).toContain('longer than the wanted');
    expect(judged('Chef’s knife 200 mm, serrated, €20')?.word).toBe('wrong');
    expect(
      judged('Yanagiba 270 mm, single bevel, left-handed, €90', kitchenFileSchema.parse(saltstair))?.because.join(' '),
    ).toContain('left hand');
  });

  test('what nothing here needs is left: other work, or work an owned knife does', () => {
    expect(judged('Oyster knife 7 cm, €9')).toMatchObject({ word: 'leave', step: null, priceUpTo: 0 });
    const owned = [{ type: 'chef', lengthMm: 200, condition: 'keen', use: 'daily' } as const];
    expect(judged('Santoku 170 mm, €20', fileOf({ owned }))?.word).toBe('leave');
  });

  test('without a kind or a length there is no verdict', () => {
    expect(judged('blade 20 cm, €20')).toBeNull();
    expect(judged('Chef’s knife, €20')).toBeNull();
    expect(judged('Chopping board 40 cm')).toBeNull();
  });

  test('a price in another currency is judged in the kitchen’s', () => {
    expect(judged('Chef’s knife 200 mm, ¥2000')?.word).toBe('buy');
    expect(judged('Chef’s knife 200 mm, ¥20000')?.word).toBe('dear');
  });
});

test('figures that are only assumed are not held against a knife', () => {
  const chef = reference.types.get('chef');
  if (!chef) throw new Error('no chef’s knife');
  const ranges: StepBrief['ranges'] = {
    lengthMm: [190, 210],
    heelHeightMm: [1, 2],
    weightG: [1, 2],
    hrc: null,
    spineHeelMm: null,
    behindEdgeMm: [5, 6],
    edgeAngleDeg: null,
  };
  const outside = (text: string) =>
    outsideOf(labelledBlade(chef, read(text).read, 'right'), { ranges }).map(({ figure }) => figure);
  expect(outside('Chef’s knife 200 mm')).toEqual([]);
  expect(outside('Chef’s knife 220 mm, 180 g')).toEqual(['lengthMm', 'weightG']);
});
