import { edgeHeightMm, edgePower } from '../blade/edgeCurve';
import type { BladeModel } from '../blade/schema';
import { spineHeightMm } from '../blade/spineLine';
import { handleShapes, handleTopMm, isJointed, NECK_MM } from './handle';
import { closed, drawingOf, open, oval, type Drawing, type Point, type Shape } from './shape';

const STEPS = 36;

/** Depth of the teeth of a serrated edge, mm. */
const toothMm = ({ serrationPitchMm }: BladeModel): number => Math.min(2.2, 0.32 * serrationPitchMm);

/** How far the edge stands back at `x` for its teeth, mm: points forward, or hollow scallops between points. */
function tooth(blade: BladeModel, x: number): number {
  if (blade.serration === 'none') return 0;
  const phase = (x % blade.serrationPitchMm) / blade.serrationPitchMm;
  // the last tooth runs out into the tip
  const left = Math.min(1, Math.max(0, (blade.lengthMm - x) / blade.serrationPitchMm));
  return (
    left * toothMm(blade) * (blade.serration === 'pointed' ? 1 - Math.abs(2 * phase - 1) : Math.sin(Math.PI * phase))
  );
}

const isRounded = ({ tip }: BladeModel) => tip === 'round' || tip === 'blunt';

/** Half an ellipse from the end of the edge to the end of the spine, its furthest point at the blade's length. */
function roundedTip(blade: BladeModel, end: number, low: number, high: number): Point[] {
  const middle = (low + high) / 2;
  const half = (high - low) / 2;
  const deep = blade.lengthMm - end;
  return Array.from({ length: 9 }, (_, i) => {
    const angle = -Math.PI / 2 + (Math.PI * (i + 1)) / 10;
    return {
      x: end + deep * Math.cos(angle),
      y: middle + half * Math.sin(angle),
    };
  });
}

/** Bare steel from the spine's end round the handle's root to the heel, with the choil. */
function neck(blade: BladeModel): Point[] {
  const { handleHeightMm: height, heelHeightMm: heel } = blade;
  const top = handleTopMm(blade);
  const share = isJointed(blade.handleStyle) ? 0.22 : 0.1;
  const low = top - (1 - share) * height;
  return [
    { x: 0, y: heel, corner: true },
    { x: -0.35 * NECK_MM, y: (heel + top - share * height) / 2 + 0.2 * (heel - top + share * height) },
    { x: -NECK_MM, y: top - share * height, corner: true },
    { x: -NECK_MM, y: low, corner: true },
    { x: -0.5 * NECK_MM, y: low },
    { x: -2.2, y: Math.max(0.2 * heel, low - 0.12 * height) },
    { x: -0.8, y: 0.12 * heel },
    { x: 0, y: 0, corner: true },
  ];
}

/** Where the edge ends and a rounded tip begins, mm from the heel. */
function edgeEndMm(blade: BladeModel): number {
  if (!isRounded(blade)) return blade.lengthMm;
  const middle = 0.9 * blade.lengthMm;
  return blade.lengthMm - 0.45 * (spineHeightMm(blade, middle) - edgeHeightMm(blade, middle));
}

function bladeShape(blade: BladeModel): Shape {
  const power = edgePower(blade);
  const steps = blade.serration === 'none' ? STEPS : Math.ceil((8 * blade.lengthMm) / blade.serrationPitchMm);
  const end = edgeEndMm(blade);
  const edge = Array.from({ length: steps }, (_, i): Point => {
    const x = (end * (i + 1)) / steps;
    return { x, y: edgeHeightMm(blade, x, power) + tooth(blade, x), corner: i === steps - 1 };
  });
  const spine = Array.from({ length: STEPS }, (_, i): Point => {
    const x = end * (1 - i / STEPS);
    return { x, y: spineHeightMm(blade, x), corner: i === 0 && !isRounded(blade) };
  });
  const tip = isRounded(blade) ? roundedTip(blade, end, edge.at(-1)?.y ?? 0, spineHeightMm(blade, end)) : [];
  return { ...closed('steel', [...edge, ...tip, ...spine, ...neck(blade)]), smooth: blade.serration === 'none' };
}

/** A line along the blade at a share of its height above the edge, from heel to tip. */
function along(blade: BladeModel, share: number, wave = 0): Point[] {
  const end = edgeEndMm(blade) * 0.985;
  return Array.from({ length: 25 }, (_, i) => {
    const x = (end * i) / 24;
    const low = edgeHeightMm(blade, x);
    const y = low + share * (spineHeightMm(blade, x) - low) + wave * Math.sin(1.9 * i) + 0.6 * wave * Math.sin(4.3 * i);
    return { x, y };
  });
}

/** The line at which a bevel or a hollow begins, the edge of the cladding, the bevel above the teeth. */
function grindLines(blade: BladeModel): Shape[] {
  const clad = blade.steel === 'clad-carbon' || blade.steel === 'semi-stainless';
  return [
    ...(blade.bevel === 'single' ? [open('line', along(blade, 0.62))] : []),
    ...(blade.grind === 'hollow' && blade.bevel !== 'single' ? [open('faint', along(blade, 0.45))] : []),
    ...(clad && blade.bevel !== 'single' ? [open('faint', along(blade, 0.24, 0.35))] : []),
    ...(blade.serration === 'none'
      ? []
      : [open('faint', along(blade, Math.min(0.5, (2.2 * toothMm(blade)) / blade.heelHeightMm)))]),
  ];
}

/** Dents of a hammer, hollows in the side, or the dark skin left by the forge. */
function surface(blade: BladeModel): Shape[] {
  const { lengthMm: length } = blade;
  const at = (x: number, share: number): Point => {
    const low = edgeHeightMm(blade, x);
    return { x, y: low + share * (spineHeightMm(blade, x) - low) };
  };
  switch (blade.surface) {
    case 'polished':
      return [];
    case 'dimpled':
      return Array.from({ length: Math.max(3, Math.floor((0.8 * length) / 14)) }, (_, i) =>
        oval('faint', at(0.06 * length + 14 * i, 0.36), 3.4, 0.17 * blade.heelHeightMm),
      );
    case 'hammered':
      return Array.from({ length: Math.max(6, Math.floor(length / 9)) }, (_, i) =>
        oval('faint', at(0.03 * length + 8.2 * i, 0.66 + 0.16 * Math.sin(2.4 * i)), 2.6, 1.9),
      ).filter(({ points }) => points.every((p) => p.x < 0.86 * length));
    case 'rough-forged':
      return [open('faint', along(blade, 0.55, 0.5)), open('faint', along(blade, 0.78, 0.3).slice(0, 20))];
  }
}

/**
 * The side view of a knife from its own numbers: blade with heel, choil, spine line and tip, grind lines, teeth and surface; handle with bolster or
 * ferrule, rivets and facets. Heel at x = 0, edge line at y = 0, tip to the right. Mm.
 *
 * @example drawKnife(blade).right // 210
 */
export const drawKnife = (blade: BladeModel): Drawing =>
  drawingOf([bladeShape(blade), ...surface(blade), ...grindLines(blade), ...handleShapes(blade)]);

/** From the butt of the handle to the tip, mm. */
export const overallMm = ({ lengthMm, handleLengthMm }: Pick<BladeModel, 'lengthMm' | 'handleLengthMm'>): number =>
  lengthMm + handleLengthMm;
