import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import type { BladeModel } from '../blade/schema';
import { modelNamed } from '../testing/trade';
import { type Camera, examplePhoto, type ExamplePhoto } from './examplePhoto';
import { greyOf, refinedCorners, strongestStep } from './picture';
import { heightLost, profileOf, type Profile } from './profile';
import { cardPlane, mapped, type Spot } from './rectify';
import { inPlane, traceBlade } from './trace';

/** A hand points a pixel or two beside what it means. */
const pointedAt = ({ x, y }: Spot, i: number): Spot => ({
  x: x + ([1.6, -1.2, 0.8, -1.8][i % 4] ?? 0),
  y: y + ([-1.1, 1.5, -1.7, 0.9][i % 4] ?? 0),
});

function measured(photo: ExamplePhoto): Profile {
  const grey = greyOf(photo);
  const plane = cardPlane(refinedCorners(grey, photo.corners.map(pointedAt)));
  if (!plane) throw new Error('no plane');
  const [heel, tip, top] = [photo.heel, photo.tip, photo.spineAtHeel].map((spot, i) => pointedAt(spot, i + 1));
  if (!heel || !tip || !top) throw new Error('no points');
  return profileOf(inPlane(plane, traceBlade(grey, plane, heel, tip, top)));
}

const camera = (changes: Partial<Camera> = {}): Camera => ({
  width: 1280,
  height: 860,
  turn: 0.06,
  tilt: 0.18,
  grain: 7,
  seed: 3,
  ...changes,
});

const blades: [string, Camera, boolean][] = [
  ['oskavel-gyuto-210', camera(), true],
  ['ploverdale-chef-200', camera({ turn: -0.12, tilt: 0.25, seed: 5 }), false],
  ['lanternhill-nakiri-165', camera({ turn: 0.15, tilt: 0.1, seed: 8 }), true],
  ['quillback-paring-80', camera({ turn: 0, tilt: 0.3, grain: 10, seed: 13 }), false],
  ['oskavel-sujihiki-240', camera({ turn: 0.04, tilt: 0.2, seed: 21 }), false],
];

describe('a photo beside a bank card', () => {
  test.each(blades)('%s is measured within 2 mm of its length and 1 mm of its heel', (id, taken, tip) => {
    const blade = modelNamed(id);
    const found = measured(examplePhoto(blade, taken));
    expect(Math.abs(found.lengthMm - blade.lengthMm)).toBeLessThan(2);
    expect(Math.abs(found.heelHeightMm - blade.heelHeightMm)).toBeLessThan(1);
    expect(Math.abs(found.bellyMm - blade.bellyMm)).toBeLessThan(2);
    expect(Math.abs(found.flatShare - blade.flatShare)).toBeLessThan(0.15);
    expect(found.strayMm).toBeLessThan(0.7);
    // points are told apart where spines differ
    if (tip) expect(found.tip).toBe(blade.tip);
  });

  test('what was ground away between two photos is told along the edge', () => {
    const blade = modelNamed('ploverdale-chef-200');
    const worn: BladeModel = { ...blade, heelHeightMm: blade.heelHeightMm - 2 };
    const lost = heightLost(
      measured(examplePhoto(blade, camera({ seed: 1 }))),
      measured(examplePhoto(worn, camera({ turn: -0.1, tilt: 0.22, seed: 2 }))),
    );
    for (const { lostMm } of lost.slice(0, 8)) expect(Math.abs(lostMm - 2)).toBeLessThan(1);
  });
});

describe('the plane of the card', () => {
  test('upright or lying, any way round; crossed corners are none', () => {
    const lying = [
      { x: 0, y: 0 },
      { x: 856, y: 0 },
      { x: 856, y: 539.8 },
      { x: 0, y: 539.8 },
    ];
    const turned = [...lying.slice(1), ...lying.slice(0, 1)];
    for (const corners of [lying, turned]) {
      const plane = cardPlane(corners);
      if (!plane) throw new Error('no plane');
      const [a, b] = [mapped(plane, { x: 0, y: 0 }), mapped(plane, { x: 2100, y: 0 })];
      expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeCloseTo(210, 6);
    }
    const picked = (...at: number[]) => at.flatMap((i) => lying[i] ?? []);
    expect(cardPlane(picked(0, 2, 1, 3))).toBeNull();
    expect(cardPlane(picked(0, 0, 2, 3))).toBeNull();
  });

  test('a step of shade is found between pixels, and none where nothing stands out', () => {
    const grey = (at: (x: number) => number) => ({
      width: 60,
      height: 3,
      shades: Float32Array.from({ length: 180 }, (_, i) => at(i % 60)),
    });
    const step = (at: (x: number) => number) => strongestStep(grey(at), { x: 0, y: 1 }, { x: 59, y: 1 });
    expect((step((x) => (x < 30 ? 40 : x === 30 ? 120 : 200)) ?? 0) * 59).toBeCloseTo(30, 0);
    expect(step(() => 90)).toBeNull();
  });
});

test('every shipped model can be photographed', () => {
  for (const blade of shippedModels.filter((_, i) => i % 40 === 0))
    expect(examplePhoto(blade, camera({ width: 200, height: 140 })).corners).toHaveLength(4);
});
