import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { edgeHeightMm } from '../blade/edgeCurve';
import { spineHeightMm } from '../blade/spineLine';
import type { BladeModel } from '../blade/schema';
import { modelNamed } from '../testing/trade';
import { greyOf, refinedCorners, shadeAt, strongestStep } from './picture';
import { heightLost, profileOf, type Traced } from './profile';
import { CARD_CORNERS, CARD_MM, cardPlane, homography, mapped, solved, type Spot } from './rectify';

const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const spot = fc.record({ x: figure(-400, 400), y: figure(-400, 400) });
const turnedBy = ({ x, y }: Spot, angle: number): Spot => ({
  x: x * Math.cos(angle) - y * Math.sin(angle),
  y: x * Math.sin(angle) + y * Math.cos(angle),
});

/** A square seen from somewhere: four corners in order, none nearly in a line with two others. */
const seen = fc
  .record({
    turn: figure(-3, 3),
    size: figure(60, 900),
    lean: figure(-0.25, 0.25),
    slant: figure(-0.25, 0.25),
    at: spot,
  })
  .map(({ turn, size, lean, slant, at }) =>
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ].map(([x = 0, y = 0]) => {
      const depth = 1 + lean * x + slant * y;
      const { x: u, y: v } = turnedBy({ x: (size * x) / depth, y: (size * y) / depth }, turn);
      return { x: u + at.x, y: v + at.y };
    }),
  );

describe('a map of the plane', () => {
  test('takes four points where it was told, keeps straight lines straight, and there is one back', () => {
    fc.assert(
      fc.property(seen, seen, figure(0.1, 0.9), (from, to, share) => {
        const there = homography(from, to);
        const back = homography(to, from);
        if (!there || !back) throw new Error('no map');
        from.forEach((corner, i) => {
          expect(mapped(there, corner).x).toBeCloseTo(to[i]?.x ?? NaN, 5);
          expect(mapped(there, corner).y).toBeCloseTo(to[i]?.y ?? NaN, 5);
        });
        const [a, b] = [from[0], from[2]];
        if (!a || !b) return;
        const between = { x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) };
        const [u, v, w] = [a, between, b].map((each) => mapped(there, each));
        if (!u || !v || !w) return;
        const area = (v.x - u.x) * (w.y - u.y) - (v.y - u.y) * (w.x - u.x);
        expect(Math.abs(area) / (1 + Math.hypot(w.x - u.x, w.y - u.y) ** 2)).toBeLessThan(1e-6);
        const again = mapped(back, v);
        expect(again.x).toBeCloseTo(between.x, 4);
        expect(again.y).toBeCloseTo(between.y, 4);
      }),
    );
  });

  test('is none where three points lie in a line, or where there are too few', () => {
    const line = [0, 1, 2].map((x) => ({ x, y: x }));
    expect(homography([...line, { x: 0, y: 9 }], CARD_CORNERS)).toBeNull();
    expect(homography(CARD_CORNERS.slice(0, 3), CARD_CORNERS)).toBeNull();
  });

  test('equations are solved whatever their order, and not where they say the same twice', () => {
    expect(
      solved([
        [0, 2, 4],
        [3, 0, 9],
      ]),
    ).toEqual([3, 2]);
    expect(
      solved([
        [1, 1, 2],
        [2, 2, 4],
      ]),
    ).toBeNull();
    expect(solved([])).toEqual([]);
  });
});

describe('the card', () => {
  test('gives millimetres from wherever it is seen, along or upright', () => {
    fc.assert(
      fc.property(figure(-3, 3), figure(2, 14), fc.boolean(), spot, (turn, pxPerMm, upright, at) => {
        const lying = upright ? CARD_CORNERS.map(({ x, y }) => ({ x: CARD_MM.height - y, y: x })) : [...CARD_CORNERS];
        const pixels = lying.map((corner) => {
          const { x, y } = turnedBy(corner, turn);
          return { x: x * pxPerMm + at.x, y: y * pxPerMm + at.y };
        });
        const plane = cardPlane(pixels);
        if (!plane) throw new Error('no plane');
        const apart = (a: Spot, b: Spot) => Math.hypot(a.x - b.x, a.y - b.y);
        pixels.forEach((one, i) =>
          pixels.slice(i + 1).forEach((other) => {
            expect(apart(mapped(plane, one), mapped(plane, other))).toBeCloseTo(apart(one, other) / pxPerMm, 4);
          }),
        );
      }),
    );
  });

  test('is refused where its corners cross or go round the wrong way', () => {
    const [a, b, c, d] = CARD_CORNERS;
    if (!a || !b || !c || !d) throw new Error('no corners');
    expect(cardPlane([a, b, c, d])).not.toBeNull();
    for (const wrong of [
      [a, c, b, d],
      [d, c, b, a],
      [a, b, c],
      [a, a, c, d],
    ])
      expect(cardPlane(wrong)).toBeNull();
  });

  test('its corners are found where its sides cross, and stay as pointed at where there is no card', () => {
    const [width, height] = [300, 220];
    const corners = [
      { x: 60.4, y: 50.2 },
      { x: 230.7, y: 50.2 },
      { x: 230.7, y: 160.6 },
      { x: 60.4, y: 160.6 },
    ];
    // light card on a dark board: a pixel at its side is as light as much of it lies on the card
    const part = (at: number, from: number, to: number) =>
      Math.max(0, Math.min(at + 0.5, to) - Math.max(at - 0.5, from));
    const data = new Uint8ClampedArray(4 * width * height);
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++)
        data.fill(40 + 180 * part(x, 60.4, 230.7) * part(y, 50.2, 160.6), 4 * (y * width + x), 4 * (y * width + x) + 3);
    const grey = greyOf({ width, height, data });
    const pointed = corners.map(({ x, y }, i) => ({ x: x + (i % 2 === 0 ? 3 : -4), y: y + (i < 2 ? -3 : 4) }));
    refinedCorners(grey, pointed).forEach((found, i) => {
      expect(found.x).toBeCloseTo(corners[i]?.x ?? NaN, 0);
      expect(found.y).toBeCloseTo(corners[i]?.y ?? NaN, 0);
    });
    const bare = greyOf({ width, height, data: new Uint8ClampedArray(4 * width * height).fill(90) });
    expect(refinedCorners(bare, pointed)).toEqual(pointed);
  });
});

test('shade between pixels lies between theirs, and goes on beyond the border', () => {
  const grey = greyOf({
    width: 2,
    height: 2,
    data: [0, 0, 0, 255, 200, 200, 200, 255, 0, 0, 0, 255, 200, 200, 200, 255],
  });
  expect(shadeAt(grey, { x: 0, y: 0 })).toBeCloseTo(0, 6);
  expect(shadeAt(grey, { x: 0.5, y: 0.3 })).toBeCloseTo(100, 3);
  expect(shadeAt(grey, { x: 90, y: -7 })).toBeGreaterThan(199);
  expect(strongestStep(grey, { x: 0, y: 0 }, { x: 0.01, y: 0 })).toBeNull();
});

describe('a profile', () => {
  /** The outline of a blade as if traced without a fault, lying somewhere on the table. */
  const tracedOf = (blade: BladeModel, angle: number, at: Spot, mirrored = false): Traced => {
    const place = ({ x, y }: Spot) => {
      const turned = turnedBy({ x, y: mirrored ? -y : y }, angle);
      return { x: turned.x + at.x, y: turned.y + at.y };
    };
    const along = Array.from({ length: 24 }, (_, i) => 0.03 + (0.93 * i) / 23).map((share) => share * blade.lengthMm);
    return {
      heel: place({ x: 0, y: 0 }),
      tip: place({ x: blade.lengthMm, y: edgeHeightMm(blade, blade.lengthMm) }),
      edge: along.map((x) => place({ x, y: edgeHeightMm(blade, x) })),
      spine: along.map((x) => place({ x, y: spineHeightMm(blade, x) })),
    };
  };
  const lying = fc.record({ angle: figure(-3, 3), at: spot, mirrored: fc.boolean() });
  const blades = ['oskavel-gyuto-210', 'ploverdale-chef-200', 'lanternhill-nakiri-165', 'quillback-paring-80'].map(
    modelNamed,
  );

  test('is the blade’s own, however it lies and whichever way it is turned', () => {
    fc.assert(
      fc.property(fc.constantFrom(...blades), lying, (blade, { angle, at, mirrored }) => {
        const found = profileOf(tracedOf(blade, angle, at, mirrored));
        expect(Math.abs(found.lengthMm - blade.lengthMm)).toBeLessThan(1);
        expect(Math.abs(found.heelHeightMm - blade.heelHeightMm)).toBeLessThan(1);
        expect(Math.abs(found.bellyMm - blade.bellyMm)).toBeLessThan(1.5);
        expect(found.strayMm).toBeLessThan(0.4);
        found.edge.forEach((point, i) => expect(point.x).toBeGreaterThanOrEqual(found.edge[i - 1]?.x ?? -1));
      }),
      { numRuns: 40 },
    );
  });

  test('tells what was ground away along the edge, and nothing of a blade that was not', () => {
    const blade = modelNamed('ploverdale-chef-200');
    const at = { x: 30, y: -20 };
    const fresh = profileOf(tracedOf(blade, 0.4, at));
    const worn = profileOf(tracedOf({ ...blade, heelHeightMm: blade.heelHeightMm - 3 }, -1.1, at, true));
    for (const { lostMm } of heightLost(fresh, fresh)) expect(lostMm).toBeCloseTo(0, 9);
    const lost = heightLost(fresh, worn, 6);
    expect(lost.map(({ xMm }) => xMm)[0]).toBe(0);
    expect(lost).toHaveLength(6);
    for (const { lostMm } of lost.slice(0, 4)) expect(Math.abs(lostMm - 3)).toBeLessThan(0.6);
  });
});
