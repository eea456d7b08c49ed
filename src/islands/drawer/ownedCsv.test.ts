import { expect, test } from 'vitest';
import { typeNames } from '../../../data/names';
import { faultLine } from '../../core/formats/faults';
import { readOwnedCsv } from './ownedCsv';

const read = (text: string) => readOwnedCsv(text, typeNames, new Set(['ploverdale-chef-200']));

test('knives are read by type, by its plain name or by model, with what else is said', () => {
  const { owned, faults } = read(
    'type,lengthMm,condition,use,model\nchef,200,dull,daily,\nParing knife,,keen,,\n,,,,ploverdale-chef-200\n',
  );
  expect(faults).toEqual([]);
  expect(owned).toEqual([
    { type: 'chef', lengthMm: 200, condition: 'dull', use: 'daily' },
    { type: 'paring', condition: 'keen' },
    { model: 'ploverdale-chef-200' },
  ]);
});

test('every fault is named by row and column, and nothing is taken over in part', () => {
  const { owned, faults } = read('type,lengthMm,condition,colour\ncheff,20,blunt,red\n,,keen,\nchef,200,keen,\n');
  expect(owned).toEqual([]);
  const told = faults.map(faultLine).join('\n');
  expect(told).toMatch(/row 1: "colour" is not a known column/);
  expect(told).toMatch(/row 2\.type: "cheff" is not a known blade type; did you mean chef/);
  expect(told).toMatch(/row 2\.lengthMm: 20 is not between 40 and 450/);
  expect(told).toMatch(/row 2\.condition: "blunt"/);
  expect(told).toMatch(/row 3\.type: is empty/);
  expect(read('').faults[0]?.message).toContain('has no knives');
});
