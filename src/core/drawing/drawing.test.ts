import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { oddBlade } from '../testing/arbitrary';
import { modelNamed } from '../testing/trade';
import { edgeHeightMm } from '../blade/edgeCurve';
import { handleGirthMm, handToTipMm, knuckleRoomMm } from '../blade/hold';
import type { BladeModel } from '../blade/schema';
import { spineThicknessMm, thicknessAtDepthMm } from '../blade/thickness';
import { drawGrip, drawHand } from './hand';
import { spineHeightMm } from '../blade/spineLine';
import { drawKnife, overallMm } from './knife';
import { sectionPoints } from './section';
import { pathOf, pathOfShape, type Role } from './shape';
import { drawTool } from './tool';

const chef = modelNamed('ploverdale-chef-200');

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

  test('any blade is drawn as long as it is, in finite figures, with its spine over its edge and its edge on its curve', () => {
    fc.assert(
      fc.property(oddBlade, (blade) => {
        const { left, right, shapes } = drawKnife(blade);
        expect(right).toBeCloseTo(blade.lengthMm, 0);
        expect(right - left).toBeCloseTo(overallMm(blade), 0);
        for (const { points } of shapes) for (const p of points) expect(Number.isFinite(p.x + p.y)).toBe(true);
        for (let share = 0; share < 0.99; share += 0.1)
          expect(spineHeightMm(blade, share * blade.lengthMm)).toBeGreaterThanOrEqual(
            edgeHeightMm(blade, share * blade.lengthMm) - 1e-6 - 0.03 * blade.heelHeightMm,
          );
        const [steel] = shapes;
        if (blade.serration === 'none' && blade.tip === 'point')
          for (const p of steel?.points.slice(0, 36) ?? []) expect(p.y).toBeCloseTo(edgeHeightMm(blade, p.x), 6);
      }),
      { numRuns: 200 },
    );
  });

  test('a spine line lies higher where it rises and lower where it falls, halfway and not at its ends', () => {
    const at = (spineLine: BladeModel['spineLine'], x: number) => spineHeightMm({ ...chef, spineLine }, x);
    expect(at('rising', 100)).toBeGreaterThan(at('straight', 100) + 0.5);
    expect(at('falling', 100)).toBeLessThan(at('straight', 100) - 0.5);
    for (const x of [0, chef.lengthMm]) expect(at('falling', x)).toBeCloseTo(at('rising', x), 6);
  });

  test('a serrated edge shows its teeth at their pitch, pointed ones straight and scalloped ones round; a plain one none', () => {
    const edge = (serration: BladeModel['serration']) => {
      const blade = { ...modelNamed('ploverdale-bread-230'), lengthMm: 230, serrationPitchMm: 10, serration };
      return drawKnife(blade).shapes[0]?.points.slice(0, 184) ?? [];
    };
    const teeth = (points: { y: number }[]) => {
      const rises = points.map((p, i) => Math.sign((points[i + 1]?.y ?? p.y) - p.y));
      return rises.filter((sign, i) => sign < 0 && (rises[i - 1] ?? 0) > 0).length;
    };
    for (const serration of ['pointed', 'scalloped'] as const) {
      expect(teeth(edge(serration))).toBeGreaterThanOrEqual(21);
      expect(teeth(edge(serration))).toBeLessThanOrEqual(24);
    }
    // halfway up a tooth a scallop has gone further than a straight flank
    expect(edge('scalloped')[1]?.y ?? 0).toBeGreaterThan((edge('pointed')[1]?.y ?? 0) * 1.2);
    expect(teeth(drawKnife({ ...chef }).shapes[0]?.points.slice(0, 36) ?? [])).toBe(0);
  });

  const count = (changes: Partial<BladeModel>, role: Role) =>
    drawKnife({ ...chef, bolster: 'none', surface: 'polished', ...changes }).shapes.filter((s) => s.role === role)
      .length;

  test('handles are told apart: three rivets, a ferrule, facets, a bolster', () => {
    expect(count({ handleStyle: 'western' }, 'fitting')).toBe(3);
    expect(count({ handleStyle: 'western', bolster: 'half' }, 'fitting')).toBe(4);
    expect(count({ handleStyle: 'octagon' }, 'fitting')).toBe(1);
    expect(count({ handleStyle: 'octagon' }, 'faint')).toBe(2);
    expect(count({ handleStyle: 'd-shape' }, 'faint')).toBe(1);
    expect(count({ handleStyle: 'moulded' }, 'fitting')).toBe(0);
    const foot = (bolster: BladeModel['bolster']) =>
      Math.min(
        ...drawKnife({ ...chef, handleStyle: 'western', bolster })
          .shapes.filter((s) => s.role === 'fitting')
          .flatMap((s) => s.points.map((p) => p.y)),
      );
    expect(foot('full')).toBeLessThan(1);
    expect(foot('half')).toBeGreaterThan(10);
  });

  test('what is ground or hammered into a side is seen on it', () => {
    const marks = (changes: Partial<BladeModel>) => count({ handleStyle: 'oval', ...changes }, 'faint');
    expect(marks({})).toBe(0);
    expect(marks({ surface: 'dimpled' })).toBeGreaterThan(5);
    expect(marks({ surface: 'hammered' })).toBeGreaterThan(10);
    expect(marks({ surface: 'rough-forged' })).toBe(2);
    expect(marks({ grind: 'hollow' })).toBe(1);
    expect(marks({ steel: 'clad-carbon' })).toBe(1);
    expect(count({ bevel: 'single', handed: 'right' }, 'line')).toBe(1);
  });

  test('a raised handle lies higher', () => {
    const top = (handleOffsetMm: number) => {
      const handle = drawKnife({ ...chef, handleOffsetMm }).shapes.find((s) => s.role === 'handle');
      return Math.max(...(handle?.points.map((p) => p.y) ?? []));
    };
    expect(top(15)).toBeCloseTo(top(0) + 15, 6);
  });
});

describe('shapes', () => {
  const square = [
    { x: 0, y: 0 },
    { x: 1.234, y: 5 },
  ];
  const upsideDown = ({ x, y }: { x: number; y: number }) => ({ x, y: -y });

  test('a path of points closes; a curve goes through its points and turns sharply at a corner', () => {
    expect(pathOf(square, upsideDown)).toBe('M0.00 0.00L1.23 -5.00Z');
    const bend = (corner: boolean) =>
      pathOfShape({
        role: 'line',
        closed: false,
        smooth: true,
        points: [
          { x: 0, y: 0 },
          { x: 6, y: 0, corner },
          { x: 6, y: 6 },
        ],
      });
    expect(bend(true)).toMatch(/ 6\.00 0\.00C6\.00 1\.00/);
    expect(bend(false)).toMatch(/ 6\.00 0\.00C7\.00 1\.00/);
  });

  test('every tool that may be bought is drawn, the small ones at a size that fits a hand', () => {
    for (const { id } of reference.tools.values()) {
      const tool = drawTool(id);
      expect(tool, id).not.toBeNull();
      if (!tool) continue;
      const [long, across] = [tool.right - tool.left, tool.top - tool.bottom];
      expect(long, id).toBeGreaterThan(60);
      if (!tool.isLarge) expect(Math.max(long, across), id).toBeLessThan(400);
    }
  });

  test('a hand is as long as it was measured, and grips where the grip says', () => {
    fc.assert(
      fc.property(fc.integer({ min: 140, max: 230 }), fc.integer({ min: 60, max: 110 }), (long, broad) => {
        const hand = drawHand(long, broad);
        expect(hand.right).toBeCloseTo(long, 6);
        expect(hand.left).toBe(0);
        // without the thumb about as broad as the palm
        expect(hand.top).toBeGreaterThan(0.48 * broad);
        expect(hand.top).toBeLessThan(0.7 * broad);
      }),
    );
    const reach = (grip: 'pinch' | 'handle' | 'fingertip') => drawGrip(grip, chef, 185, 84).before.right;
    expect(reach('handle')).toBeLessThan(0);
    expect(reach('pinch')).toBeGreaterThan(10);
    expect(reach('fingertip')).toBeGreaterThan(reach('pinch') + 20);
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
