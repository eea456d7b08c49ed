import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kindWords } from '../../../../data/kindWords';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { bladeModelSchema } from '../../blade/schema';
import { readCatalogue, writeCatalogueCsv } from '../../formats/catalogueFile';
import { FaultyInput } from '../../formats/faults';
import { amountIn, currencyIn } from '../label/amounts';
import { kindIn } from '../label/kinds';
import { readModelsText } from './listFile';
import { readShopList } from './shopList';

const knowledge = { reference, words: kindWords, models: shippedModels, hand: 'right' as const, currency: 'EUR' };
const list = (csv: string) => readModelsText(csv.trim(), knowledge);

test.each<[string, number | null]>([
  ['1.234,50', 1234.5],
  ['1,234.50', 1234.5],
  ['1.299', 1299],
  ['1,299', 1299],
  ['89,90 €', 89.9],
  ['EUR 89.9', 89.9],
  ['89,-', 89],
  ["1'250.00", 1250],
  ['1 250,00', 1250],
  ['0,125', 0.125],
  ['on request', null],
])('the amount in %s', (text, value) => expect(amountIn(text)).toBe(value));

test('currencies by sign and code', () => {
  expect(['€ 5', '£5', '5 CHF', 'US$ 5', '¥900', '5'].map(currencyIn)).toEqual([
    'EUR',
    'GBP',
    'CHF',
    'USD',
    'JPY',
    null,
  ]);
});

test.each<[string, string]>([
  ['8" Chef’s Knife, forged', 'chef'],
  ['Gyuto 21cm', 'gyuto'],
  ['Kochmesser 20 cm', 'chef'],
  ['Brotmesser Welle', 'bread'],
  ['Schälmesser gebogen', 'paring'],
  ['Flexible boning knife 6 inch', 'boning-flexible'],
  ['Chinese cleaver no. 3', 'veg-cleaver'],
  ['Tranchiermesser', 'carving'],
  ['Chef knife with sheath', 'chef'],
  ['Paring Knife', 'paring'],
])('%s is a %s', (text, kind) => expect(kindIn(text, kindWords)).toEqual({ kind }));

test.each(['Sheath for chef’s knife', 'Messerblock leer', 'Knife set, 5 pieces', 'Whetstone 1000', 'Gift voucher'])(
  '%s is no knife',
  (text) => expect('no' in kindIn(text, kindWords)).toBe(true),
);

describe('a shop’s list', () => {
  test('as little as name, price and currency; lengths from the name in any unit', () => {
    const { taken, left } = list(`
Name,Price,Currency
"8"" chef's knife",89.00,EUR
Gyuto 21cm,"1,149.00",USD
Santoku 170 mm,129,GBP
Paring knife,12.50,EUR
Gyuto 240,210,EUR`);
    expect(left).toEqual([]);
    expect(taken.map(({ model }) => [model.type, model.lengthMm, model.priceMinor, model.currency])).toEqual([
      ['chef', 203.2, 8900, 'EUR'],
      ['gyuto', 210, 114900, 'USD'],
      ['santoku', 170, 12900, 'GBP'],
      ['paring', reference.types.get('paring')?.usualLengthMm, 1250, 'EUR'],
      ['gyuto', 240, 21000, 'EUR'],
    ]);
    const paring = taken[3]?.model;
    expect(paring?.assumed).toEqual(expect.arrayContaining(['lengthMm', 'weightG', 'heelHeightMm', 'edgeAngleDeg']));
    expect(taken[0]?.model.assumed).not.toContain('lengthMm');
  });

  test('German headings, decimal commas, semicolons, units from headings, figures of its own', () => {
    const { taken, left } = list(`
Preisliste Herbst;;;;
Artikel-Nr.;Bezeichnung;Klingenlänge (cm);Gewicht (g);Härte HRC;Preis (€)
K-20;Kochmesser geschmiedet;20;245;58;129,90
B-23;Brotmesser;23;160;56;1.049,00
T-01;Messertasche;;;;39,00
X-02;Schälmesser;80;30;;9,90`);
    expect(
      taken.map(({ row, model }) => [
        row,
        model.id,
        model.type,
        model.lengthMm,
        model.weightG,
        model.hrc,
        model.priceMinor,
      ]),
    ).toEqual([
      [3, 'list-k-20', 'chef', 200, 245, 58, 12990],
      [4, 'list-b-23', 'bread', 230, 160, 56, 104900],
    ]);
    expect(list('Bezeichnung;Preis\nKochmesser 21 cm;1.089,50\nSchleifstein;39,00').taken).toHaveLength(1);
    expect(left).toMatchObject([
      { row: 5, why: expect.stringContaining('no knife') as string },
      { row: 6, why: expect.stringContaining('800 mm') as string },
    ]);
  });

  test('every line that cannot be used is told with its reason; the same name twice is two models', () => {
    const { taken, left } = list(`
product,price
Nakiri 165mm,
Mystery thing,12
Knife set of 6,99
,5
Nakiri 165mm,80
Nakiri 165mm,85`);
    expect(left.map(({ row, why }) => [row, why.split(':')[0]])).toEqual([
      [2, 'it has no price'],
      [3, 'no kind of knife is named in it'],
      [4, 'it is a set'],
      [5, 'it has no name'],
    ]);
    expect(taken.map(({ model, told }) => [model.id, told[0]])).toEqual([
      ['list-nakiri-165mm', 'price taken for EUR'],
      ['list-nakiri-165mm-2', 'price taken for EUR'],
    ]);
  });

  test('without headings that are known it is refused with the way out', () => {
    expect(() => list('foo,bar\n1,2')).toThrow(FaultyInput);
  });

  test('what is taken over is a model and goes out and in again as CSV', () => {
    const { taken } = list('name,price\nGyuto 21cm 61 HRC,99\nDeba 165,120');
    const models = taken.map(({ model }) => model);
    expect(readCatalogue(writeCatalogueCsv(models), 'csv', reference)).toEqual(models);
  });

  test('whatever stands in the cells, every row is taken or told, and what is taken is valid', () => {
    const cell = fc.oneof(
      fc.string({ maxLength: 30 }),
      fc.constantFrom('Gyuto 21cm', 'bread knife', '1.234,50', '€ 9', '-', '8"', 'kg', '500 cm', '0', '999999999999'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { minLength: 4, maxLength: 4 }), { maxLength: 12 }), (rows) => {
        const { taken, left } = readShopList([['name', 'price', 'length', 'weight'], ...rows], knowledge);
        const filled = rows.filter((row) => row.some((each) => each.trim() !== '')).length;
        expect(taken.length + left.length).toBe(filled);
        for (const { model } of taken) expect(bladeModelSchema.safeParse(model).success).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
});
