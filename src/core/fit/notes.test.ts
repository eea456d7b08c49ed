import { expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { shippedModels } from '../../../data/models';
import { completeKitchen } from '../kitchen/kitchen';
import { fileOf, traitsOf } from '../testing/trade';
import { bladeNotes } from './notes';
import { bladeTraits } from './traits';
import { scoreWord } from './words';
import { fallOff, ramp } from './curves';

const { kitchen } = completeKitchen(fileOf(), reference, shippedModels);
const notes = (id: string, changes: Parameters<typeof traitsOf>[1] = {}, at = kitchen) =>
  bladeNotes(traitsOf(id, changes), at).join(' ');

test('a blade’s notes fit its geometry: who it suits, upkeep, cautions, the edge to open up', () => {
  expect(notes('lanternhill-nakiri-165', { flatShare: 0.95, bellyMm: 1 })).toContain('chop or push straight down');
  expect(notes('ploverdale-chef-200', { flatShare: 0.2, bellyMm: 30 })).toMatch(
    /radius of \d+0 mm: for hands that rock/,
  );
  expect(notes('tidewrack-yanagiba-270')).toContain('Ground on one side for the right hand');
  expect(notes('ploverdale-boning-flexible-150', { flex: 0.7 })).toContain('skids off joints');
  expect(notes('ploverdale-bread-230')).toContain('replaced, not sharpened');
  expect(notes('whitquarry-utility-125-ceramic')).toContain('Never twist or pry');
  expect(notes('ploverdale-chef-200', { easedSpine: false })).toContain('hold it for two minutes');
  expect(notes('ploverdale-chef-200', { bolster: 'full' })).toContain('full bolster');
});

test('an edge more acute than its steel carries is to be opened first, one that is carried is not', () => {
  const least = reference.steels.get('soft-stainless')?.leastAngleDeg ?? 0;
  const blade = (edgeAngleDeg: number) => notes('ploverdale-chef-200', { steel: 'soft-stainless', edgeAngleDeg });
  expect(blade(least - 3)).toContain(`open it to ${least}° before first use`);
  expect(blade(least)).not.toContain('before first use');
});

test('reactive steel is to be wiped, and a wooden handle is not for the machine', () => {
  expect(notes('oskavel-gyuto-210', { steel: 'plain-carbon' })).toContain('grey patina is normal');
  expect(notes('oskavel-gyuto-210', { steel: 'soft-stainless' })).toContain('not proof');
  const machine = { ...kitchen, habits: { ...kitchen.habits, dishwasher: true } };
  expect(notes('lanternhill-gyuto-210', {}, machine)).toContain('will not stand your dishwasher');
  expect(notes('lanternhill-gyuto-210')).not.toContain('dishwasher');
});

test('every shipped model has notes, each a whole sentence, none twice', () => {
  for (const model of shippedModels) {
    const all = bladeNotes(bladeTraits(model, reference), kitchen);
    expect(all.length, model.id).toBeGreaterThanOrEqual(2);
    expect(new Set(all).size, model.id).toBe(all.length);
    for (const note of all) expect(note, model.id).toMatch(/^[A-Z].*\.$/s);
  }
});

test('words for scores change at the steps the trade uses', () => {
  const words = [0, 34.9, 35, 55, 70, 84.9, 85, 100].map((score) => scoreWord(score, null));
  expect(words).toEqual([
    'wrong tool',
    'wrong tool',
    'a struggle',
    'manages',
    'does it well',
    'does it well',
    'made for it',
    'made for it',
  ]);
  expect(scoreWord(99, 'it will chip')).toBe('do not');
});

test('curves are full before their fall, half at one scale, and never a step', () => {
  expect([fallOff(-5, 10), fallOff(0, 10), fallOff(10, 10)]).toEqual([1, 1, 0.5]);
  expect([ramp(1, 2, 4), ramp(3, 2, 4), ramp(9, 2, 4)]).toEqual([0, 0.5, 1]);
  for (let x = -20; x < 60; x += 0.5) expect(fallOff(x, 10) - fallOff(x + 0.5, 10)).toBeLessThan(0.04);
});
