import type { BladeModel } from '../blade/schema';
import { closed, open, oval, type Point, type Shape } from './shape';

/** Bare steel between heel and handle, mm. */
export const NECK_MM = 12;

/** Top of the handle, mm over the edge line: level with the spine, raised by its offset; on tall blades a little below the spine. */
export function handleTopMm(blade: BladeModel): number {
  return blade.heelHeightMm + blade.handleOffsetMm - Math.max(0, (blade.heelHeightMm - 60) * 0.3);
}

type Style = BladeModel['handleStyle'];

/** Outline of each handle style from the blade to the butt: share of its length, then shares of its height above and below the middle. */
const PROFILES: Record<Style, readonly (readonly [number, number, number])[]> = {
  // a swell for the palm and a hooked butt for the little finger
  western: [
    [0, 0.4, 0.42],
    [0.16, 0.44, 0.36],
    [0.4, 0.49, 0.42],
    [0.62, 0.5, 0.45],
    [0.82, 0.44, 0.4],
    [0.94, 0.36, 0.46],
  ],
  moulded: [
    [0, 0.42, 0.6],
    [0.1, 0.46, 0.42],
    [0.35, 0.5, 0.46],
    [0.62, 0.49, 0.42],
    [0.85, 0.42, 0.46],
    [0.94, 0.34, 0.54],
  ],
  octagon: [
    [0, 0.41, 0.41],
    [1, 0.5, 0.5],
  ],
  oval: [
    [0, 0.4, 0.4],
    [0.3, 0.43, 0.43],
    [0.65, 0.48, 0.48],
    [0.93, 0.5, 0.5],
  ],
  'd-shape': [
    [0, 0.41, 0.41],
    [1, 0.5, 0.49],
  ],
  metal: [
    [0, 0.36, 0.4],
    [0.25, 0.45, 0.38],
    [0.55, 0.5, 0.46],
    [0.8, 0.45, 0.42],
    [0.95, 0.36, 0.5],
  ],
  folding: [
    [0, 0.5, 0.48],
    [0.3, 0.5, 0.5],
    [0.65, 0.49, 0.42],
    [0.93, 0.34, 0.46],
  ],
};

/** The point furthest back, between top and bottom: share of the height above the middle. Flat butts have none. */
const BUTTS: Partial<Record<Style, number>> = { western: -0.12, moulded: -0.2, oval: 0, metal: -0.1, folding: -0.1 };

/** A handle with its fittings, from the neck to the butt. */
export function handleShapes(blade: BladeModel): Shape[] {
  const { handleStyle: style, handleHeightMm: height, handleLengthMm } = blade;
  const middle = handleTopMm(blade) - height / 2;
  const at = (along: number, share: number): Point => ({
    x: -NECK_MM - along * (handleLengthMm - NECK_MM),
    y: middle + share * height,
  });
  const profile = PROFILES[style];
  const butt = BUTTS[style];
  const isFlat = butt === undefined;
  const ends = (point: Point, i: number, of: number): Point =>
    i === 0 || (isFlat && i === of - 1) ? { ...point, corner: true } : point;
  const outline = [
    ...profile.map(([along, above], i) => ends(at(along, above), i, profile.length)),
    ...(isFlat ? [] : [at(1, butt)]),
    ...[...profile].map(([along, , below], i) => ends(at(along, -below), i, profile.length)).reverse(),
  ];
  return [closed('handle', outline), ...fittings(blade, at), ...details(style, at)];
}

type At = (along: number, share: number) => Point;

/** Ferrule or bolster: what stands between blade and handle. */
function fittings(blade: BladeModel, at: At): Shape[] {
  if (isJointed(blade.handleStyle)) {
    const edge = 0.42;
    return [closed('fitting', [at(0, edge), at(0.15, edge + 0.012), at(0.15, -edge - 0.012), at(0, -edge)], false)];
  }
  if (blade.bolster === 'none') return [];
  const back = 0.03;
  const { heelHeightMm: heel } = blade;
  const top = Math.min(heel, at(0, 0.4).y);
  const foot =
    blade.bolster === 'full'
      ? [
          { x: 0, y: 0.4, corner: true },
          { x: -4, y: 0, corner: true },
          { x: -5, y: 0.4 * heel },
        ]
      : [{ x: -2, y: at(0, -0.36).y, corner: true }];
  return [
    closed('fitting', [
      { x: blade.bolster === 'full' ? 1.5 : -1, y: top, corner: true },
      ...foot,
      { ...at(0, -0.42), corner: true },
      { ...at(back, -0.43), corner: true },
      { ...at(back, 0.43), corner: true },
      { ...at(0, 0.4), corner: true },
    ]),
  ];
}

/** Handles of turned or carved wood that take a ferrule and no rivets. */
export const isJointed = (style: Style): boolean => style === 'octagon' || style === 'oval' || style === 'd-shape';

/** Rivets, facets, ridge and grip lines. */
function details(style: Style, at: At): Shape[] {
  switch (style) {
    case 'western':
      return [0.16, 0.48, 0.78].map((along) => oval('fitting', at(along, 0.02), 2.1, 2.1));
    case 'octagon':
      return [0.22, -0.22].map((share) => open('faint', [at(0.15, 0.88 * share), at(1, share)], false));
    case 'd-shape':
      return [open('faint', [at(0.15, -0.12), at(1, -0.16)], false)];
    case 'moulded':
      return [0.26, 0.34, 0.42].map((along) => open('faint', [at(along, 0.3), at(along + 0.02, -0.26)], false));
    case 'metal':
      return [0.3, 0.42, 0.54, 0.66].flatMap((along) =>
        [0.2, -0.12].map((share) => oval('faint', at(along, share), 1.2, 1.2)),
      );
    case 'folding':
      return [oval('fitting', at(0.05, 0), 2.4, 2.4), open('faint', [at(0.12, 0.38), at(0.9, 0.24)])];
    case 'oval':
      return [];
  }
}
