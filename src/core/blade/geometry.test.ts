import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { oddBlade } from '../testing/arbitrary';
import { bestContact } from './contact';
import { edgeHeightMm, FLAT_WITHIN_MM } from './edgeCurve';
import { knuckleRoomMm } from './hold';
import { rockAngleRad } from './rocking';
import { thicknessAtDepthMm } from './thickness';

const find = (type: string) => {
  const model = shippedModels.find((m) => m.type === type);
  if (!model) throw new Error(`no ${type}`);
  return model;
};

test('the edge leaves the flat line by half a millimetre exactly at its flat share', () => {
  for (const model of shippedModels.filter((m) => m.bellyMm > 1 && m.flatShare > 0.1 && m.flatShare < 0.95))
    expect(edgeHeightMm(model, model.flatShare * model.lengthMm)).toBeCloseTo(FLAT_WITHIN_MM, 6);
});

test('a dead flat edge touches everywhere, and contact lies on the edge', () => {
  expect(bestContact({ lengthMm: 200, bellyMm: 0, flatShare: 1 }).share).toBeCloseTo(1, 6);
  fc.assert(
    fc.property(oddBlade, (blade) => {
      const { fromMm, toMm, share } = bestContact(blade);
      expect(fromMm).toBeGreaterThanOrEqual(0);
      expect(toMm).toBeLessThanOrEqual(blade.lengthMm + 1e-9);
      expect(share).toBeGreaterThan(0);
    }),
  );
});

test('more of a nakiri than of a santoku than of a chef’s knife meets the board, and they rock in the other order', () => {
  const order = ['nakiri', 'santoku', 'chef'].map(find);
  const contact = order.map((m) => bestContact(m).share);
  const rock = order.map(rockAngleRad);
  expect(contact).toEqual([...contact].sort((a, b) => b - a));
  expect(rock).toEqual([...rock].sort((a, b) => a - b));
});

test('thickness grows from edge to spine and stops there', () => {
  fc.assert(
    fc.property(oddBlade, fc.double({ min: 0, max: 1, noNaN: true }), (blade, share) => {
      const at = (depth: number) => thicknessAtDepthMm(blade, depth);
      expect(at(share * blade.heelHeightMm)).toBeLessThanOrEqual(at(blade.heelHeightMm) + 1e-9);
      expect(at(blade.heelHeightMm * 3)).toBe(at(blade.heelHeightMm));
    }),
  );
});

test('a bigger palm leaves less knuckle room, a raised handle more', () => {
  const bread = find('bread');
  expect(knuckleRoomMm(bread, 95)).toBeLessThan(knuckleRoomMm(bread, 80));
  expect(knuckleRoomMm({ ...bread, handleOffsetMm: bread.handleOffsetMm + 20 }, 80) - knuckleRoomMm(bread, 80)).toBe(
    20,
  );
});
