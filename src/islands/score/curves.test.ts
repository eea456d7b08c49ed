import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { PARTS } from '../../core/fit/score';
import { bladeTraits } from '../../core/fit/traits';
import { cookOf, modeOf, taskNamed } from '../../core/testing/trade';
import { CURVES } from './curves';

test.each(CURVES)('the curve of $part over $axis moves that part, between nothing and all', (curve) => {
  const part = PARTS.find(({ id }) => id === curve.part);
  const model = shippedModels.find(({ type, handed }) => type === curve.type && handed !== 'left');
  if (!part || !model) throw new Error(`no ${curve.part} or ${curve.type}`);
  const [task, mode] = [taskNamed(curve.task), modeOf(curve.task, curve.mode)];
  const at = (x: number) => part.value(bladeTraits(curve.bend(model, x), reference), task, cookOf(), mode);
  const values = Array.from({ length: 21 }, (_, i) => at(curve.from + ((curve.to - curve.from) * i) / 20));
  for (const value of values) {
    expect(value).toBeGreaterThanOrEqual(0);
    expect(value).toBeLessThanOrEqual(1);
  }
  const spread = Math.max(...values) - Math.min(...values);
  // its caption says that length does not cure a drift
  if (curve.part === 'steer') expect([spread, values[0]]).toEqual([0, expect.closeTo(0.6, 0)]);
  else expect(spread).toBeGreaterThan(0.04);
  expect(part.level(task, mode)).toBeGreaterThan(0);
});

test('no part has two curves', () => {
  expect(new Set(CURVES.map(({ part, axis }) => `${part} ${axis}`)).size).toBe(CURVES.length);
});
