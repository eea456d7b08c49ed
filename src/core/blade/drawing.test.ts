import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { oddBlade } from '../testing/arbitrary';
import { modelNamed } from '../testing/trade';
import { outlineOf, pathOf, spineHeightMm } from './outline';
import { sectionPoints, spineThicknessMm } from './section';
import { thicknessAtDepthMm } from './thickness';
import { handleGirthMm, handToTipMm, knuckleRoomMm } from './hold';
import type { BladeModel } from './schema';

const chef = modelNamed('ploverdale-chef-200');
const span = (values: number[]) => Math.max(...values) - Math.min(...values);

describe('side view', () => {
  test('the spine starts at the heel’s height and meets the tip of the edge where the tip is a point', () => {
    for (const model of shippedModels) {
      expect(spineHeightMm(model, 0), model.id).toBeCloseTo(model.heelHeightMm, 6);
      if (['point', 'dropped', 'clipped', 'sickle', 'upswept', 'hooked'].includes(model.tip))
        expect(spineHeightMm(model, model.lengthMm), model.id).toBeCloseTo(model.bellyMm, 6);
    }
  });

  test('a square tip keeps its height, a round one ends between', () => {
    const nakiri = modelNamed('lanternhill-nakiri-165');
    expect(spineHeightMm(nakiri, nakiri.lengthMm)).toBeGreaterThan(0.9 * nakiri.heelHeightMm);
    const round = { ...chef, tip: 'round' as const };
    expect(spineHeightMm(round, 200)).toBeGreaterThan(round.bellyMm);
    expect(spineHeightMm(round, 200)).toBeLessThan(round.heelHeightMm);
  });

  test('any blade’s outline is as long as the knife and its spine lies over its edge', () => {
    fc.assert(
      fc.property(oddBlade, (blade) => {
        const outline = outlineOf(blade);
        const xs = [...outline.blade, ...outline.handle].map((p) => p.x);
        expect(span(xs)).toBeCloseTo(outline.overallMm, 0);
        expect(outline.overallMm).toBeCloseTo(blade.lengthMm + blade.handleLengthMm, 6);
        for (const p of [...outline.blade, ...outline.handle]) expect(Number.isFinite(p.x + p.y)).toBe(true);
        for (let share = 0; share < 0.99; share += 0.1)
          expect(spineHeightMm(blade, share * blade.lengthMm)).toBeGreaterThanOrEqual(
            blade.bellyMm * Math.pow(share, 1.2) - 1e-6,
          );
      }),
      { numRuns: 200 },
    );
  });

  test('a serrated edge shows its teeth at their pitch, a plain one none', () => {
    const teeth = (blade: BladeModel) => {
      const edge = outlineOf(blade).blade.slice(0, 4 * Math.ceil(blade.lengthMm / 2));
      const rises = edge.map((p, i) => Math.sign((edge[i + 1]?.y ?? p.y) - p.y));
      return rises.filter((sign, i) => sign < 0 && (rises[i - 1] ?? 0) > 0).length;
    };
    const bread: BladeModel = { ...modelNamed('ploverdale-bread-230'), lengthMm: 230, serrationPitchMm: 10 };
    expect(teeth(bread)).toBeGreaterThanOrEqual(21);
    expect(teeth(bread)).toBeLessThanOrEqual(25);
  });

  test('handles are told apart: ferrules on wooden ones, rivets on riveted ones', () => {
    expect(outlineOf({ ...chef, handleStyle: 'western' }).rivets).toHaveLength(3);
    expect(outlineOf({ ...chef, handleStyle: 'western' }).ferrule).toBeNull();
    expect(outlineOf({ ...chef, handleStyle: 'octagon' }).ferrule).not.toBeNull();
    expect(outlineOf({ ...chef, handleStyle: 'moulded' }).rivets).toHaveLength(0);
  });

  test('a raised handle lies higher, and a path closes', () => {
    const top = (handleOffsetMm: number) => Math.max(...outlineOf({ ...chef, handleOffsetMm }).handle.map((p) => p.y));
    expect(top(15)).toBeCloseTo(top(0) + 15, 6);
    expect(
      pathOf(
        [
          { x: 0, y: 0 },
          { x: 1.234, y: 5 },
        ],
        ({ x, y }) => ({ x, y: -y }),
      ),
    ).toBe('M0.00 0.00L1.23 -5.00Z');
  });
});

describe('section and spine', () => {
  const widest = (blade: BladeModel) => {
    const points = sectionPoints(blade);
    return { right: Math.max(...points.map((p) => p.x)), left: -Math.min(...points.map((p) => p.x)) };
  };

  test('a double bevel is the same on both sides, a single one flat on one, and left mirrors right', () => {
    const double = widest({ ...chef, bevel: 'double', handed: 'either' });
    expect(double.left).toBeCloseTo(double.right, 9);
    const single: BladeModel = { ...chef, bevel: 'single', handed: 'right' };
    expect(widest(single).left).toBeCloseTo(0, 9);
    expect(widest({ ...single, handed: 'left' })).toEqual({ right: widest(single).left, left: widest(single).right });
    const uneven = widest({ ...chef, bevel: 'uneven', handed: 'right' });
    expect(uneven.right).toBeGreaterThan(uneven.left);
    expect(uneven.left).toBeGreaterThan(0);
  });

  test('the section is as thick as the blade at that height', () => {
    const { left, right } = widest(chef);
    expect(left + right).toBeCloseTo(thicknessAtDepthMm(chef, chef.heelHeightMm), 6);
  });

  test('the spine tapers from heel over middle to tip, and a hollow grind is thinner above the edge than a convex one', () => {
    const at = (x: number) => spineThicknessMm(chef, x);
    expect([at(-5), at(0), at(100), at(200), at(500)]).toEqual([
      chef.spineHeelMm,
      chef.spineHeelMm,
      chef.spineMidMm,
      chef.spineTipMm,
      chef.spineTipMm,
    ]);
    const ground = (grind: BladeModel['grind']) => thicknessAtDepthMm({ ...chef, grind }, 10);
    expect(ground('hollow')).toBeLessThan(ground('flat'));
    expect(ground('flat')).toBeLessThan(ground('convex'));
  });
});

test('grip and girth follow from the figures', () => {
  expect(handToTipMm({ lengthMm: 200 }, 'pinch') - handToTipMm({ lengthMm: 150 }, 'pinch')).toBe(50);
  // a fist round the handle is further from the tip, and hangs lower
  expect(handToTipMm({ lengthMm: 200 }, 'handle') - handToTipMm({ lengthMm: 200 }, 'pinch')).toBe(25);
  const chefs = { heelHeightMm: 47, handleOffsetMm: 0, handleHeightMm: 24 };
  expect(knuckleRoomMm(chefs, 84, 'handle')).toBe(knuckleRoomMm(chefs, 84, 'pinch') - 3);
  expect(handleGirthMm({ handleHeightMm: 25, handleThicknessMm: 20 })).toBeGreaterThan(75);
  expect(handleGirthMm({ handleHeightMm: 25, handleThicknessMm: 20 })).toBeLessThan(90);
});
