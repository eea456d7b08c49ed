import { edgeHeightMm, edgePower } from '../blade/edgeCurve';
import type { BladeModel } from '../blade/schema';
import { spineHeightMm } from '../blade/spineLine';
import { CARD_MM, type Homography, homography, mapped, type Spot } from './rectify';

/** A picture of red, green, blue and opacity, row by row, with where the card's corners, heel, tip and spine came to lie, pixels. */
export interface ExamplePhoto {
  width: number;
  height: number;
  data: Uint8ClampedArray<ArrayBuffer>;
  corners: Spot[];
  heel: Spot;
  tip: Spot;
  spineAtHeel: Spot;
}

/** How an example is photographed. */
export interface Camera {
  width: number;
  height: number;
  /** Turned in the picture, radians. */
  turn: number;
  /** Tilted away, 0 straight from above – 0.35 very slanted. */
  tilt: number;
  /** Grain, shades. */
  grain: number;
  seed: number;
}

/** The card lies below the edge, its lower left corner at this place, mm. */
const CARD_AT = { x: 40, y: -92 };

/** Noise of a normal kind from a small generator. */
function grains(seed: number): () => number {
  let state = seed >>> 0 || 1;
  const next = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32;
  return () => next() + next() + next() + next() - 2;
}

/** The map from pixels to the table, mm: the scene fills the picture, turned and tilted. */
function looking(blade: BladeModel, { width, height, turn, tilt }: Camera): Homography {
  const [left, right, low, high] = [
    -blade.handleLengthMm - 20,
    blade.lengthMm + 20,
    CARD_AT.y - 16,
    blade.heelHeightMm + 26,
  ];
  const middle = { x: (left + right) / 2, y: (low + high) / 2 };
  const px = Math.min(width / (right - left), height / (high - low)) * (1 - tilt) * (Math.abs(turn) > 0.02 ? 0.9 : 1);
  const onPicture = (mm: Spot): Spot => {
    const [x, y] = [(mm.x - middle.x) * px, -(mm.y - middle.y) * px];
    const [u, v] = [x * Math.cos(turn) - y * Math.sin(turn), x * Math.sin(turn) + y * Math.cos(turn)];
    const depth = 1 - (tilt * v) / height - (0.4 * tilt * u) / width;
    return { x: width / 2 + u / depth, y: height / 2 + v / depth };
  };
  const corners = [
    { x: left, y: low },
    { x: right, y: low },
    { x: right, y: high },
    { x: left, y: high },
  ];
  const map = homography(corners.map(onPicture), corners);
  if (!map) throw new Error('this camera sees nothing');
  return map;
}

/** Millimetres between the places at which the outline is looked up. */
const STEP_MM = 0.2;

/** Edge and spine of a blade along its length, mm. */
function outline(blade: BladeModel): { edge: Float32Array; spine: Float32Array } {
  const power = edgePower(blade);
  const places = Array.from({ length: Math.ceil(blade.lengthMm / STEP_MM) + 1 }, (_, i) => i * STEP_MM);
  return {
    edge: Float32Array.from(places, (x) => edgeHeightMm(blade, x, power)),
    spine: Float32Array.from(places, (x) => spineHeightMm(blade, Math.min(x, blade.lengthMm))),
  };
}

/** Shade of the card at a place of its own, 0–255; null beside it and its rounded corners. */
function cardShade(x: number, y: number): number | null {
  if (x < 0 || y < 0 || x > CARD_MM.width || y > CARD_MM.height) return null;
  const round = 3.2;
  const [dx, dy] = [
    Math.max(round - x, x - CARD_MM.width + round, 0),
    Math.max(round - y, y - CARD_MM.height + round, 0),
  ];
  if (Math.hypot(dx, dy) > round) return null;
  return y > 34 && y < 44 ? 90 : 232;
}

/** Shade of the table, the knife and the card at a place, 0–255, before light and grain. */
function shadeOf(blade: BladeModel, { edge, spine }: ReturnType<typeof outline>, { x, y }: Spot): number {
  const card = cardShade(x - CARD_AT.x, y - CARD_AT.y);
  if (card !== null) return card;
  if (x >= 0 && x <= blade.lengthMm) {
    const at = Math.round(x / STEP_MM);
    const low = edge[at] ?? 0;
    if (y >= low && y <= (spine[at] ?? 0)) return y - low < 5 ? 205 : 188;
  }
  const half = blade.handleHeightMm / 2;
  const middle = blade.heelHeightMm - half - 2;
  if (x < 0 && x >= -blade.handleLengthMm && Math.abs(y - middle) <= half * (0.86 + 0.14 * Math.cos(x / 14))) return 42;
  // a wooden board with its grain
  return 118 + 9 * Math.sin(y / 3.1 + 1.7 * Math.sin(x / 70)) + 4 * Math.sin(y / 0.9);
}

/**
 * A photograph of a knife beside a bank card as a camera might take it, made from the blade's own geometry: turned, tilted, unevenly lit, a
 * little blurred and grainy. The same camera gives the same picture.
 */
export function examplePhoto(blade: BladeModel, camera: Camera): ExamplePhoto {
  const { width, height } = camera;
  const toTable = looking(blade, camera);
  const drawn = outline(blade);
  const grain = grains(camera.seed);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let j = 0; j < height; j++)
    for (let i = 0; i < width; i++) {
      let shade = 0;
      // two looks a pixel, spread a little wider than it: a soft lens
      for (const [dx, dy] of [
        [-0.4, -0.4],
        [0.4, 0.4],
      ] as const)
        shade += shadeOf(blade, drawn, mapped(toTable, { x: i + dx, y: j + dy })) / 2;
      const light = 0.82 + (0.3 * i) / width - (0.12 * j) / height;
      const value = shade * light + camera.grain * grain();
      const at = 4 * (j * width + i);
      data[at] = value * 1.03;
      data[at + 1] = value;
      data[at + 2] = value * 0.93;
      data[at + 3] = 255;
    }
  const corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  const toPicture = homography(
    corners.map((corner) => mapped(toTable, corner)),
    corners,
  );
  if (!toPicture) throw new Error('this camera sees nothing');
  const [x, y] = [CARD_AT.x, CARD_AT.y];
  const { width: w, height: h } = CARD_MM;
  return {
    width,
    height,
    data,
    corners: [
      { x, y: y + h },
      { x: x + w, y: y + h },
      { x: x + w, y },
      { x, y },
    ].map((corner) => mapped(toPicture, corner)),
    heel: mapped(toPicture, { x: 0, y: 0 }),
    tip: mapped(toPicture, { x: blade.lengthMm, y: edgeHeightMm(blade, blade.lengthMm) }),
    spineAtHeel: mapped(toPicture, { x: 0, y: blade.heelHeightMm }),
  };
}
