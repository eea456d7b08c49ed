import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import type { MatchTable } from '../../workers/stock';
import { arrange, type Arrangement } from './arrange';

const model = (id: string) => {
  const found = shippedModels.find((m) => m.id === id);
  if (!found) throw new Error(id);
  return found;
};

/** Three tasks and four blades, one of them in the drawer and one in the kit. */
const table: MatchTable = {
  blades: 4,
  tasks: 3,
  scores: new Float32Array(12),
  refused: new Uint8Array(12),
  measured: new Uint8Array(12),
  worth: Float32Array.from([0.2, 0.9, 0.5, 0.7]),
  rows: [
    { id: 'onion-dice', name: 'Dice onions', group: 'Aromatics and herbs', minutesPerWeek: 2 },
    { id: 'carrot-slice', name: 'Slice carrots', group: 'Dense produce', minutesPerWeek: 9 },
    { id: 'oyster-open', name: 'Open oysters', group: 'Fish and shellfish', minutesPerWeek: 0 },
  ],
  columns: [
    { blade: model('ploverdale-chef-200'), owned: 0, place: 'drawer', role: 'general' },
    { blade: model('oskavel-gyuto-210'), owned: null, place: 'catalogue', role: 'general' },
    { blade: model('quillback-paring-80'), owned: null, place: 'kit', role: 'small' },
    { blade: model('lanternhill-santoku-165'), owned: null, place: 'catalogue', role: 'general' },
  ],
};
const all: Arrangement = { tasks: 'load', blades: 'worth', role: 'all', search: '', mineOnly: false, keptOnly: false };

test('tasks come by minutes, and blades by use with the drawer and the kit before the catalogue', () => {
  const { rows, columns } = arrange(table, all);
  expect(rows).toEqual([1, 0, 2]);
  expect(columns).toEqual([0, 2, 1, 3]);
});

test('filters leave what they should', () => {
  expect(arrange(table, { ...all, mineOnly: true }).rows).toEqual([1, 0]);
  expect(arrange(table, { ...all, keptOnly: true }).columns).toEqual([0, 2]);
  expect(arrange(table, { ...all, role: 'small' }).columns).toEqual([2]);
});

test('the words narrow tasks or blades, whichever they fit', () => {
  const carrots = arrange(table, { ...all, search: ' carrot ' });
  expect([carrots.rows, carrots.columns.length]).toEqual([[1], 4]);
  const maker = arrange(table, { ...all, search: 'lantern' });
  expect([maker.rows.length, maker.columns]).toEqual([3, [3]]);
});

test('other orders, and where groups begin', () => {
  expect(arrange(table, { ...all, blades: 'price' }).columns[0]).toBe(2);
  expect(arrange(table, { ...all, blades: 'length' }).columns).toEqual([2, 3, 0, 1]);
  expect(arrange(table, { ...all, tasks: 'name' }).rows).toEqual([0, 2, 1]);
  expect([...arrange(table, { ...all, tasks: 'group' }).begins]).toEqual([0, 1, 2]);
});
