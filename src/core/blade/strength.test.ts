import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { oddBlade } from '../testing/arbitrary';
import type { BladeModel } from './schema';
import { CERAMIC_HRC, edgeStrength, hardness } from './strength';

const strength = (blade: BladeModel) => {
  const steel = reference.steels.get(blade.steel);
  if (!steel) throw new Error(blade.steel);
  return edgeStrength(blade, steel);
};
const median = (type: string) => {
  const all = shippedModels.filter((m) => m.type === type && m.steel !== 'ceramic').map(strength);
  return all.sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;
};

test('kinds of knives come in the trade’s order of sturdiness', () => {
  expect(median('meat-cleaver')).toBeGreaterThan(8);
  expect(median('meat-cleaver')).toBeGreaterThan(median('chef'));
  expect(median('chef')).toBeGreaterThan(median('gyuto'));
  expect(median('deba')).toBeGreaterThan(median('gyuto'));
  expect(median('gyuto')).toBeLessThan(4.5);
});

test('blunter, thicker, softer and micro-bevelled never weakens an edge', () => {
  fc.assert(
    fc.property(oddBlade, fc.double({ min: 1, max: 1.6, noNaN: true }), (blade, by) => {
      const plain = strength({ ...blade, microBevel: false });
      expect(strength({ ...blade, microBevel: true })).toBeGreaterThan(plain);
      for (const sturdier of [
        { edgeAngleDeg: blade.edgeAngleDeg * by },
        { behindEdgeMm: blade.behindEdgeMm * by },
        { hrc: (blade.hrc ?? 60) / by },
      ])
        expect(strength({ ...blade, microBevel: false, ...sturdier })).toBeGreaterThanOrEqual(plain - 1e-9);
    }),
  );
});

test('of an uneven edge both sides count, the front more', () => {
  const [model] = shippedModels.filter((m) => m.bevel === 'double');
  if (!model) throw new Error('no double bevel');
  const uneven = (front: number, back: number) =>
    strength({ ...model, bevel: 'uneven', edgeAngleDeg: front, edgeAngleBackDeg: back });
  expect(uneven(15, 25)).toBeGreaterThan(uneven(15, 15));
  expect(uneven(25, 15)).toBeGreaterThan(uneven(15, 25));
});

test('ceramic is harder than any steel', () => {
  expect(hardness({ hrc: null })).toBe(CERAMIC_HRC);
  for (const { hrc } of shippedModels) expect(hrc ?? 0).toBeLessThan(CERAMIC_HRC);
});
