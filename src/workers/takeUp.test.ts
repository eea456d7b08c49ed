import { expect, test } from 'vitest';
import type { KitchenFile } from '../core/formats/kitchenFile';
import { standing, takeUp } from './takeUp';

const kitchen = (name: string): KitchenFile => ({ format: 'scabbard.kitchen', version: 1, name });
const left = JSON.stringify({ version: 4, kitchen: kitchen('third'), sent: kitchen('second'), cutOff: false });

test.each([
  ['same', 6, 'third'],
  ['behind', 4, 'first'],
  ['behind', 5, 'second'],
  ['foreign', 5, 'another window’s'],
])('what a page left unsaved: %s where the server has version %i, “%s”', (how, version, name) => {
  const stored = { version, kitchen: kitchen(name) };
  expect(standing(left, stored)).toBe(how);
  expect(takeUp(stored, '', left).kitchen?.name).toBe(how === 'behind' ? 'third' : undefined);
});

test('the history goes on where it ended with the kitchen gone on from, and nowhere else', () => {
  const history = JSON.stringify({ past: [kitchen('first')], present: kitchen('third'), future: [] });
  expect(takeUp({ version: 4, kitchen: kitchen('first') }, history, left).history?.past).toHaveLength(1);
  expect(takeUp({ version: 4, kitchen: kitchen('third') }, history, '').history?.past).toHaveLength(1);
  expect(takeUp({ version: 9, kitchen: kitchen('another') }, history, left)).toEqual({
    kitchen: null,
    conflict: false,
    history: null,
  });
  expect(takeUp({ version: 9, kitchen: kitchen('another') }, 'no { json', 'nor this')).toEqual({
    kitchen: null,
    conflict: false,
    history: null,
  });
});

test('what was cut off from the server is asked about where someone else has written, and goes on where nobody has', () => {
  const cut = JSON.stringify({ version: 4, kitchen: kitchen('third'), sent: null, cutOff: true });
  const from = (version: number, name: string) => {
    const { kitchen: taken, conflict } = takeUp({ version, kitchen: kitchen(name) }, '', cut);
    return [taken?.name, conflict];
  };
  expect(from(5, 'another window’s')).toEqual(['third', true]);
  expect(from(4, 'first')).toEqual(['third', false]);
  expect(from(5, 'third')).toEqual([undefined, false]);
});
