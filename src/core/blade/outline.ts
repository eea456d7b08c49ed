import type { BladeModel } from './schema';
import { edgeHeightMm, edgePower } from './edgeCurve';

/** A point in the side view: x mm forward of the heel, y mm above the flat line of the edge. */
export interface Point {
  x: number;
  y: number;
}

/** The side view of a knife in mm, ready to be scaled: closed outlines as point lists and the small things drawn on them. */
export interface Outline {
  blade: Point[];
  handle: Point[];
  /** Where the handle meets the blade: a ferrule or bolster line, x and its two y. */
  ferrule: { x: number; from: number; to: number } | null;
  rivets: Point[];
  /** From the butt of the handle to the furthest point of the blade, mm. */
  overallMm: number;
  topMm: number;
  bottomMm: number;
}

const STEPS = 36;
/** Bare steel between heel and handle, mm. */
const NECK_MM = 12;

/** Height of the spine above the flat line at `x`, mm. */
export function spineHeightMm(blade: BladeModel, x: number): number {
  const { lengthMm: length, heelHeightMm: heel, bellyMm: tip } = blade;
  const after = (share: number) => Math.max(0, (x / length - share) / (1 - share));
  switch (blade.tip) {
    case 'point':
      return heel - (heel - tip) * Math.pow(after(0.25), 2.1);
    case 'dropped':
      return heel - (heel - tip) * Math.pow(after(0.55), 2.2);
    case 'clipped':
      return heel - (heel - tip) * after(0.8);
    case 'sickle':
      return heel - (heel - tip) * Math.pow(after(0.82), 1.8);
    case 'round':
    case 'blunt':
      return heel - (heel - (heel + tip) / 2) * Math.pow(after(0.82), 3);
    case 'upswept':
      return heel - (heel - tip) * Math.pow(x / length, 0.9);
    case 'hooked':
      return heel - (heel - tip) * Math.pow(after(0.15), 1.7);
    case 'square':
      return heel - 0.04 * heel * (x / length);
  }
}

/** Depth of teeth drawn on a serrated edge, mm. */
function tooth(blade: BladeModel, x: number): number {
  if (blade.serration === 'none') return 0;
  const phase = (x % blade.serrationPitchMm) / blade.serrationPitchMm;
  const depth = Math.min(1.6, 0.3 * blade.serrationPitchMm);
  return blade.serration === 'pointed' ? depth * (1 - Math.abs(2 * phase - 1)) : depth * Math.sin(Math.PI * phase);
}

function roundedTip(blade: BladeModel, from: Point, to: Point): Point[] {
  if (blade.tip !== 'round' && blade.tip !== 'blunt') return [];
  const middle = (from.y + to.y) / 2;
  const half = (to.y - from.y) / 2;
  return Array.from({ length: 9 }, (_, i) => {
    const angle = -Math.PI / 2 + (Math.PI * (i + 1)) / 10;
    return { x: from.x + half * 0.9 * Math.cos(angle) - half * 0.9, y: middle + half * Math.sin(angle) };
  });
}

function bladePoints(blade: BladeModel): Point[] {
  const power = edgePower(blade);
  const steps = blade.serration === 'none' ? STEPS : Math.ceil((4 * blade.lengthMm) / blade.serrationPitchMm);
  const rounded = blade.tip === 'round' || blade.tip === 'blunt';
  const back = rounded
    ? 0.9 * (spineHeightMm(blade, blade.lengthMm) - edgeHeightMm(blade, blade.lengthMm, power)) * 0.5
    : 0;
  const end = blade.lengthMm - back;
  const edge = Array.from({ length: steps + 1 }, (_, i) => {
    const x = (end * i) / steps;
    return { x, y: edgeHeightMm(blade, x, power) + tooth(blade, x) };
  });
  const spine = Array.from({ length: STEPS + 1 }, (_, i) => {
    const x = end * (1 - i / STEPS);
    return { x, y: spineHeightMm(blade, x) };
  });
  const lastEdge = edge[edge.length - 1] ?? { x: end, y: 0 };
  const firstSpine = spine[0] ?? { x: end, y: 0 };
  const tip = rounded
    ? roundedTip(blade, { x: blade.lengthMm, y: lastEdge.y }, { x: blade.lengthMm, y: firstSpine.y })
    : [];
  // the neck: bare steel that runs into the handle
  const top = handleTopMm(blade);
  const neck = [
    { x: 0, y: blade.heelHeightMm },
    { x: -NECK_MM, y: top - 0.12 * blade.handleHeightMm },
    { x: -NECK_MM, y: top - 0.88 * blade.handleHeightMm },
    { x: -1.5, y: Math.max(0.25 * blade.heelHeightMm, top - 0.92 * blade.handleHeightMm) },
  ];
  return [...edge, ...tip, ...spine, ...neck];
}

/** Top of the handle: level with the spine, raised by its offset; on tall cleavers a little below the spine. */
function handleTopMm(blade: BladeModel): number {
  return blade.heelHeightMm + blade.handleOffsetMm - Math.max(0, (blade.heelHeightMm - 60) * 0.3);
}

/** Half-height of each handle style along its length: share of the handle's height at shares of its length from the blade. */
const SHAPES: Record<BladeModel['handleStyle'], [number, number, number][]> = {
  // [along, above the middle, below the middle], each a share
  western: [
    [0, 0.42, 0.42],
    [0.2, 0.48, 0.4],
    [0.55, 0.5, 0.44],
    [0.82, 0.46, 0.5],
    [0.97, 0.36, 0.62],
    [1, 0.2, 0.58],
  ],
  moulded: [
    [0, 0.4, 0.62],
    [0.1, 0.46, 0.44],
    [0.5, 0.5, 0.46],
    [0.85, 0.46, 0.48],
    [0.98, 0.34, 0.64],
    [1, 0.1, 0.5],
  ],
  octagon: [
    [0, 0.42, 0.42],
    [1, 0.5, 0.5],
  ],
  oval: [
    [0, 0.4, 0.4],
    [0.6, 0.48, 0.48],
    [0.96, 0.5, 0.5],
    [1, 0.36, 0.36],
  ],
  'd-shape': [
    [0, 0.42, 0.42],
    [0.95, 0.5, 0.48],
    [1, 0.42, 0.4],
  ],
  metal: [
    [0, 0.38, 0.38],
    [0.5, 0.5, 0.46],
    [1, 0.4, 0.48],
  ],
  folding: [
    [0, 0.5, 0.5],
    [0.7, 0.5, 0.42],
    [1, 0.3, 0.5],
  ],
};

/** The side view of a knife from its own numbers. Pure geometry; every drawing of a blade starts here. */
export function outlineOf(blade: BladeModel): Outline {
  const top = handleTopMm(blade);
  const middle = top - blade.handleHeightMm / 2;
  const profile = SHAPES[blade.handleStyle];
  const at = (along: number, share: number) => ({
    x: -NECK_MM - along * (blade.handleLengthMm - NECK_MM),
    y: middle + share * blade.handleHeightMm,
  });
  const handle = [
    ...profile.map(([along, above]) => at(along, above)),
    ...[...profile].reverse().map(([along, , below]) => at(along, -below)),
  ];
  const points = bladePoints(blade);
  const ys = [...points, ...handle].map((p) => p.y);
  const jointed = blade.handleStyle === 'octagon' || blade.handleStyle === 'oval' || blade.handleStyle === 'd-shape';
  return {
    blade: points,
    handle,
    ferrule: jointed
      ? { x: at(0.16, 0).x, from: middle - 0.44 * blade.handleHeightMm, to: middle + 0.44 * blade.handleHeightMm }
      : null,
    rivets: blade.handleStyle === 'western' ? [0.18, 0.5, 0.82].map((along) => at(along, 0.02)) : [],
    overallMm: blade.lengthMm + blade.handleLengthMm,
    topMm: Math.max(...ys),
    bottomMm: Math.min(...ys),
  };
}

/** Joins points into an SVG path, after moving each with `place`. Coordinates to a hundredth of a millimetre. */
export function pathOf(points: readonly Point[], place: (p: Point) => Point = (p) => p): string {
  return `M${points
    .map(place)
    .map(({ x, y }) => `${x.toFixed(2)} ${y.toFixed(2)}`)
    .join('L')}Z`;
}
