import { describe, expect, test } from 'vitest';
import { STEEL_IDS } from '../../blade/words';
import { FIT } from '../../constants';
import { cookOf, modeOf, partValue, partWhy, taskNamed, traitsOf } from '../../testing/trade';
import { corrosion, edgeSafety, loadMet, practice, taskLoadMet } from './care';

describe('what an edge meets', () => {
  test('a swung blow meets more than the load, a draw much less, and rough use sets a floor', () => {
    const bones = taskNamed('stock-bones-chop');
    expect(taskLoadMet(bones, modeOf('stock-bones-chop'))).toBeGreaterThan(bones.load);
    const fillet = taskNamed('fish-fillet-round');
    expect(taskLoadMet(fillet, modeOf('fish-fillet-round', 'slice'))).toBeLessThan(fillet.load * 0.6);
    const rough = cookOf({ habits: { roughUse: true } });
    expect(loadMet(taskNamed('onion-dice'), rough, modeOf('onion-dice'))).toBe(FIT.edgeSafety.rough.value);
    expect(loadMet(bones, rough, modeOf('stock-bones-chop'))).toBeGreaterThan(bones.load);
  });

  test('an edge strong enough is safe; each point missing costs the same, down to a floor', () => {
    const at = (strength: number) =>
      partValue(edgeSafety, { ...traitsOf('ploverdale-chef-200'), strength }, 'squash-break');
    const met = taskLoadMet(taskNamed('squash-break'), modeOf('squash-break'));
    expect(at(met)).toBe(1);
    expect(at(met + 4)).toBe(1);
    expect(at(met - 1)).toBeCloseTo(1 - FIT.edgeSafety.fall.value, 9);
    expect(at(met - 2)).toBeCloseTo(1 - 2 * FIT.edgeSafety.fall.value, 9);
    expect(at(met - 9)).toBe(0.2);
  });

  test('the sentence sets strength against load', () => {
    expect(partWhy(edgeSafety, traitsOf('ploverdale-meat-cleaver-180'), 'stock-bones-chop')).toMatch(
      /^Edge strength \d+\.\d against 8\.\d it may meet: safe\.$/,
    );
  });
});

describe('rust', () => {
  const wet = { upkeep: 'leaves-wet' } as const;
  const kept = (steel: (typeof STEEL_IDS)[number], task: string, habits: Parameters<typeof cookOf>[0]) =>
    partValue(corrosion, traitsOf('oskavel-gyuto-210', { steel }), task, cookOf(habits));

  test('rust-proof families are never touched; carbon left wet is ruined', () => {
    for (const steel of ['soft-stainless', 'ceramic'] as const)
      expect(kept(steel, 'citrus-segment', { habits: { ...wet, dishwasher: true } })).toBe(1);
    expect(kept('plain-carbon', 'citrus-segment', { habits: wet })).toBeLessThan(0.2);
    expect(kept('plain-carbon', 'onion-dice', { habits: { upkeep: 'wipes-during' } })).toBeGreaterThan(0.97);
  });

  test('better habits never do worse, and acid never does better', () => {
    const habits = ['leaves-wet', 'wipes-after', 'wipes-during'] as const;
    for (const steel of STEEL_IDS)
      for (const task of ['onion-dice', 'citrus-segment']) {
        const by = habits.map((upkeep) => kept(steel, task, { habits: { upkeep } }));
        expect(
          [...by].sort((a, b) => a - b),
          `${steel} ${task}`,
        ).toEqual(by);
        for (const upkeep of habits)
          expect(kept(steel, 'citrus-segment', { habits: { upkeep } })).toBeLessThanOrEqual(
            kept(steel, 'onion-dice', { habits: { upkeep } }),
          );
      }
  });

  test('the sentence names steel, acid and habit', () => {
    const why = (task: string) =>
      partWhy(corrosion, traitsOf('oskavel-gyuto-210', { steel: 'plain-carbon' }), task, cookOf({ habits: wet }));
    expect(why('citrus-segment')).toMatch(/acid food, leaves wet: it will rust/);
    expect(why('onion-dice')).toMatch(/leaves wet: it will/);
  });
});

describe('practice', () => {
  const asks = (id: string, experience: 'new' | 'home' | 'keen' | 'trained', task = 'scallion-slice') =>
    partValue(practice, traitsOf(id), task, cookOf({ cooks: [{ experience }] }));

  test('a trained hand is asked too much by nothing of ordinary length, and more practice never hurts', () => {
    for (const id of ['tidewrack-yanagiba-240', 'lanternhill-gyuto-270', 'ploverdale-chef-200']) {
      const rising = (['new', 'home', 'keen', 'trained'] as const).map((experience) => asks(id, experience));
      expect([...rising].sort((a, b) => a - b)).toEqual(rising);
      expect(rising[3]).toBe(1);
    }
  });

  test('single bevels and long board knives ask for it, plain ones do not', () => {
    expect(asks('tidewrack-usuba-195', 'home')).toBeLessThan(0.95);
    expect(asks('ploverdale-chef-200', 'new')).toBe(1);
    expect(asks('lanternhill-gyuto-270', 'new', 'onion-dice')).toBeLessThan(
      asks('lanternhill-gyuto-210', 'new', 'onion-dice'),
    );
    expect(
      partWhy(practice, traitsOf('tidewrack-usuba-195'), 'onion-dice', cookOf({ cooks: [{ experience: 'new' }] })),
    ).toBe('Asks more practice than a new cook brings.');
  });

  test('a tall blade asks a hand that seldom chops, most a new one, and only on the board', () => {
    const tall = (experience: 'new' | 'home' | 'keen' | 'trained', chop: number, task = 'cabbage-shred') =>
      partValue(
        practice,
        traitsOf('quillback-veg-cleaver-210'),
        task,
        cookOf({ cooks: [{ experience, motions: { chop, push: 1 - chop } }] }),
      );
    const costs = (experience: 'new' | 'home' | 'keen' | 'trained') =>
      FIT.practice.tall.value * (1 - FIT.brings[experience].value);
    expect(costs('new')).toBeGreaterThan(0.1);
    expect(tall('new', 0)).toBeCloseTo(1 - costs('new'), 9);
    expect(tall('home', 0.2)).toBeCloseTo(1 - costs('home'), 9);
    expect(tall('home', 0.5)).toBe(1);
    expect(tall('keen', 0.1)).toBeCloseTo(1 - costs('keen'), 9);
    expect(tall('trained', 0)).toBe(1);
    expect(asks('oskavel-nakiri-165', 'new', 'cabbage-shred')).toBe(1);
    expect(tall('new', 0, 'roast-carve')).toBe(1);
  });
});
