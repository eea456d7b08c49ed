import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { anyTask, oddBlade } from '../testing/arbitrary';
import { cookOf, modeOf, taskNamed, traitsOf } from '../testing/trade';
import type { KitchenFile } from '../formats/kitchenFile';
import { taskModes, type ModeId } from './modes';
import { bladeTraits } from './traits';
import { vetoOf } from './vetoes';

type Changes = Parameters<typeof traitsOf>[1];
const veto = (id: string, task: string, file: Partial<KitchenFile> = {}, changes: Changes = {}, mode?: ModeId) =>
  vetoOf(traitsOf(id, changes), taskNamed(task), cookOf(file), modeOf(task, mode));
const by = (experience: 'new' | 'trained', handed: 'left' | 'right' = 'right'): Partial<KitchenFile> => ({
  cooks: [{ experience, handed }],
});

test.each([
  ['lanternhill-gyuto-210', 'stock-bones-chop', 'too thin to be swung at bone'],
  ['tidewrack-deba-165', 'ribs-chop', 'never swung at bone'],
  ['ploverdale-chef-200', 'ribs-chop', 'too thin to be swung at bone'],
  ['hoarfen-deba-160-mid-stainless', 'ribs-chop', 'will chip'],
  ['whitquarry-utility-125-ceramic', 'squash-break', 'Ceramic breaks'],
  ['whitquarry-utility-125-ceramic', 'avocado-halve', 'Ceramic breaks'],
  ['quillback-oyster-70', 'onion-dice', 'cuts nothing'],
  ['ploverdale-paring-90', 'oyster-open', 'Only an oyster knife'],
  ['ploverdale-paring-90', 'soft-fruit-with-child', 'pointed knife is not for a child'],
])('%s at %s: %s', (model, task, reason) => {
  expect(veto(model, task, by('trained'))).toContain(reason);
});

test('the named tool for each of these may do it', () => {
  expect(veto('ploverdale-meat-cleaver-180', 'stock-bones-chop')).toBeNull();
  expect(veto('quillback-oyster-70', 'oyster-open')).toBeNull();
  expect(veto('whitquarry-child-100', 'soft-fruit-with-child')).toBeNull();
  expect(veto('whitquarry-utility-125-ceramic', 'tomato-slice')).toBeNull();
});

describe('a child', () => {
  const child = (changes: Changes) => veto('whitquarry-child-100', 'soft-fruit-with-child', {}, changes);
  test('gets neither a point, nor a long blade, nor a keen edge', () => {
    expect(child({ tip: 'point' })).toContain('pointed');
    expect(child({ lengthMm: 150 })).toContain('Too long');
    expect(child({ edgeAngleDeg: 15 })).toContain('keen edge');
    expect(child({ tip: 'round', lengthMm: 100, edgeAngleDeg: 30 })).toBeNull();
  });
});

describe('the wrong hand', () => {
  test('a single bevel and a shaped handle serve one hand, a double bevel both', () => {
    expect(veto('tidewrack-yanagiba-270', 'raw-fish-slice', by('trained', 'left'))).toBe(
      'A single bevel ground for the right hand.',
    );
    expect(veto('tidewrack-yanagiba-270-left', 'raw-fish-slice', by('trained', 'left'))).toBeNull();
    expect(veto('tidewrack-yanagiba-270-left', 'raw-fish-slice', by('trained'))).toContain('left hand');
    expect(veto('oskavel-gyuto-210', 'onion-dice', by('trained', 'left'), { handleHanded: 'right' })).toBe(
      'A handle shaped for the right hand.',
    );
    expect(veto('oskavel-gyuto-210', 'onion-dice', by('trained', 'left'), { handleHanded: 'either' })).toBeNull();
  });
});

describe('a new cook', () => {
  test('is not sold a single bevel or a very long board knife, unless it is asked for by name', () => {
    expect(veto('tidewrack-usuba-195', 'cucumber-slice', by('new'))).toBe('A single bevel is not a first knife.');
    expect(veto('ploverdale-chef-260', 'onion-dice', by('new'))).toContain('too long for a first board knife');
    for (const must of ['usuba', 'tidewrack-usuba-195'])
      expect(veto('tidewrack-usuba-195', 'cucumber-slice', { ...by('new'), limits: { must: [must] } })).toBeNull();
    const wish: Partial<KitchenFile> = { cooks: [{ experience: 'new', wantsLengthMm: 260 }] };
    expect(veto('ploverdale-chef-260', 'onion-dice', wish)).toBeNull();
  });

  test('is sold no ceramic either: what is not yet kept from twisting breaks it', () => {
    expect(veto('whitquarry-utility-125-ceramic', 'tomato-slice', by('new'))).toContain('not a first knife');
    const asked = { ...by('new'), limits: { must: ['whitquarry-utility-125-ceramic'] } };
    expect(veto('whitquarry-utility-125-ceramic', 'tomato-slice', asked)).toBeNull();
    expect(veto('whitquarry-utility-125-ceramic', 'tomato-slice', by('trained'))).toBeNull();
  });

  test('may use a long blade where it is drawn, and a trained one may use both', () => {
    expect(veto('ploverdale-slicer-300', 'roast-carve', by('new'))).toBeNull();
    expect(veto('ploverdale-chef-260', 'onion-dice', by('trained'))).toBeNull();
    expect(veto('tidewrack-usuba-195', 'cucumber-slice', by('trained'))).toBeNull();
  });
});

test('for any blade: no steel of 60 HRC or more is ever swung at bone, and mirroring hand and blade mirrors the veto', () => {
  fc.assert(
    fc.property(oddBlade, anyTask, fc.constantFrom('new' as const, 'trained' as const), (blade, task, experience) => {
      const traits = bladeTraits(blade, reference);
      const flip = { right: 'left', left: 'right', either: 'either' } as const;
      const mirrored = bladeTraits(
        { ...blade, handed: flip[blade.handed], handleHanded: flip[blade.handleHanded] },
        reference,
      );
      const [right, left] = [cookOf(by(experience)), cookOf(by(experience, 'left'))];
      for (const mode of taskModes(task)) {
        if (mode.id === 'cleave' && task.load >= 6 && traits.hardness >= 60)
          expect(vetoOf(traits, task, right, mode)).not.toBeNull();
        expect(vetoOf(mirrored, task, left, mode) === null).toBe(vetoOf(traits, task, right, mode) === null);
      }
    }),
    { numRuns: 300 },
  );
});

test.each([
  ['shared by three', { cooksAtOnce: 3 }],
  ['dropped and twisted', { habits: { roughUse: true } }],
  ['loose in a drawer', { habits: { storage: 'loose' } }],
  ['carried in a roll', { habits: { storage: 'roll' } }],
] satisfies [string, Partial<KitchenFile>][])('ceramic is not for knives %s', (_, file) => {
  expect(veto('whitquarry-utility-125-ceramic', 'tomato-slice', file)).toContain('Ceramic breaks where knives are');
  expect(veto('quillback-utility-150', 'tomato-slice', file)).toBeNull();
});
