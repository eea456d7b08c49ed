import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { readCatalogue, writeCatalogueCsv, writeCatalogueJson } from './catalogueFile';
import { faultLine, FaultyInput } from './faults';

const faults = (source: string, kind: 'csv' | 'json'): string => {
  try {
    readCatalogue(source, kind, reference);
  } catch (error) {
    if (error instanceof FaultyInput) return error.faults.map(faultLine).join('\n');
    throw error;
  }
  return '';
};

test('a catalogue survives CSV and JSON unchanged', () => {
  expect(readCatalogue(writeCatalogueCsv(shippedModels), 'csv', reference)).toEqual(shippedModels);
  expect(readCatalogue(writeCatalogueJson(shippedModels), 'json', reference)).toEqual(shippedModels);
});

test('no cell of a written list is computed by a spreadsheet, and it is read as it was', () => {
  const names = ['=1+1', '+1', '-1', '@x', "'=1", "''=1", "'quoted", 'plain'];
  const models = names.flatMap(
    (name, i) => ({ ...shippedModels[0], id: `m${i}`, name }) as (typeof shippedModels)[number],
  );
  const text = writeCatalogueCsv(models);
  expect(text).not.toMatch(/(?:^|,)"?[=+@]/m);
  expect(text).toContain(`"'-1"`);
  expect(readCatalogue(text, 'csv', reference).map((m) => m.name)).toEqual(names);
});

test('every fault is named by row and column, and nothing is read in part', () => {
  const lines = writeCatalogueCsv(shippedModels.slice(0, 4)).trimEnd().split('\n');
  const header = lines[0]?.split(',') ?? [];
  const spoil = (row: number, column: string, value: string) => {
    const cells = lines[row]?.split(',') ?? [];
    cells[header.indexOf(column)] = value;
    lines[row] = cells.join(',');
  };
  spoil(1, 'lengthMm', '9999');
  spoil(2, 'steel', 'pewter');
  spoil(3, 'type', 'gladius');
  spoil(4, 'id', shippedModels[2]?.id ?? '');
  const told = faults(lines.join('\n'), 'csv');
  expect(told).toContain('row 2.lengthMm');
  expect(told).toContain('row 3.steel');
  expect(told).toContain('row 4.type: "gladius" is not a known blade type');
  expect(told).toMatch(/row 5\.id: .* is already used by row 4/);
  expect(faults(`${lines[0]},colour\n${lines[1]},red`, 'csv')).toContain('row 2.colour: is not a key');
  expect(faults('', 'csv')).toContain('has no models');
});
