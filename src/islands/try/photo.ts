import type { OwnedFile, ProfileFile } from '../../core/formats/kitchenFile';
import { type Grey, greyOf, refinedCorners } from '../../core/measure/picture';
import { profileOf, type Profile } from '../../core/measure/profile';
import { cardPlane, type Spot } from '../../core/measure/rectify';
import { inPlane, traceBlade, type Traces } from '../../core/measure/trace';
import { today } from '../shared/today';

/** Longest side a photo is reduced to, pixels: finer than a hand points. */
const LONGEST = 1600;
const MAX_BYTES = 40 * 1024 * 1024;

/** What is pointed at, in this order. */
export const POINTS = [
  'A corner of the card, the first of four round it clockwise',
  'The next corner of the card',
  'The corner after that',
  'The last corner of the card',
  'The heel, where the edge begins',
  'The tip',
  'The spine, straight above the heel',
] as const;

/** Places to begin with: the card's corners, then heel, tip and spine, as shares of the picture. */
const BEGIN: readonly (readonly [number, number])[] = [
  [0.4, 0.6],
  [0.6, 0.6],
  [0.6, 0.8],
  [0.4, 0.8],
  [0.35, 0.4],
  [0.85, 0.4],
  [0.35, 0.3],
];

export interface Photo {
  pixels: ImageData;
  grey: Grey;
}

/** What is kept of a measured blade: its profile, and the shape it gives the owned knife. */
export interface Kept {
  profile: ProfileFile;
  shape: Pick<OwnedFile, 'bellyMm' | 'flatShare'>;
}

export const photoOf = (pixels: ImageData): Photo => ({ pixels, grey: greyOf(pixels) });

/** Where the points of a new photo begin. */
export const beginOn = ({ width, height }: ImageData): Spot[] =>
  BEGIN.map(([x, y]) => ({ x: x * width, y: y * height }));

/** A point moved, kept inside the picture. */
export const movedPoint = (points: readonly Spot[], i: number, to: Spot, { width, height }: ImageData): Spot[] =>
  points.map((point, k) =>
    k === i ? { x: Math.min(width, Math.max(0, to.x)), y: Math.min(height, Math.max(0, to.y)) } : point,
  );

/** A photo's pixels, reduced to what a hand can point at. Throws a sentence when it is none. */
export async function pixelsOf(file: File): Promise<ImageData> {
  if (file.size > MAX_BYTES) throw new Error('This photo is larger than 40 MB; take a smaller one.');
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new Error('This is no photo that can be read here; use a JPEG or PNG.');
  }
  const scale = Math.min(1, LONGEST / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const canvas = new OffscreenCanvas(width, height);
  const on = canvas.getContext('2d');
  if (!on) throw new Error('This browser cannot read photos.');
  on.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return on.getImageData(0, 0, width, height);
}

/** What the points come to: the outline found and the figures, or why there are none. */
export function measured(grey: Grey, points: readonly Spot[]): { traces: Traces; profile: Profile } | string {
  const [heel, tip, spine] = points.slice(4);
  const plane = cardPlane(refinedCorners(grey, points.slice(0, 4)));
  if (!plane || !heel || !tip || !spine) return 'The four corners go round the card, clockwise.';
  const traces = traceBlade(grey, plane, heel, tip, spine);
  if (traces.edge.length < 8 || traces.spine.length < 6)
    return 'The outline of the blade does not stand out here: move heel, tip and spine to their places, or take a photo on a darker or lighter surface.';
  const profile = profileOf(inPlane(plane, traces));
  const plausible =
    profile.lengthMm >= 40 && profile.lengthMm <= 450 && profile.heelHeightMm >= 10 && profile.heelHeightMm <= 130;
  return plausible
    ? { traces, profile }
    : `That would be a blade of ${Math.round(profile.lengthMm)} by ${Math.round(profile.heelHeightMm)} mm: look at the points once more.`;
}

export const rounded = (value: number, step: number) => Number((Math.round(value / step) * step).toFixed(2));

/** What of a profile is kept in the kitchen, to a tenth of a millimetre. */
export function kept({ lengthMm, heelHeightMm, edge, bellyMm, flatShare }: Profile): Kept {
  return {
    profile: {
      on: today(),
      lengthMm: rounded(lengthMm, 0.5),
      heelHeightMm: rounded(heelHeightMm, 0.1),
      edge: edge.map(({ x, y }) => ({ x: Math.max(0, rounded(x, 0.1)), y: rounded(y, 0.1) })),
    },
    shape: {
      bellyMm: Math.min(60, Math.max(-15, rounded(bellyMm, 0.1))),
      flatShare: rounded(Math.min(1, Math.max(0, flatShare)), 0.01),
    },
  };
}
