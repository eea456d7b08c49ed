import type { BladeModel } from '../blade/schema';
import { KEEPING } from '../constants';
import { drawKnife } from '../drawing/knife';
import { closed, drawingOf, type Drawing, type Point } from '../drawing/shape';
import type { StoragePlace } from '../formats/storageFile';
import { covered, type Spot } from './places';
import type { Fixed } from './rectangles';
import type { Thing } from './things';

/** A slot, pocket, row or floor of a place as it is drawn: corner from the top left, mm. */
export interface Cell extends Fixed {
  /** Its number in words; empty where there is only one. */
  name: string;
}

/** A place to scale, mm, from its top left corner. */
export interface PlacePicture {
  wide: number;
  deep: number;
  /** The thing itself: a block without the handles before it; null for a strip, which is its bar. */
  body: Fixed | null;
  cells: Cell[];
}

/** A knife in a place: its drawing, where each of its points lies, and the box round it. */
export interface KnifePicture {
  drawing: Drawing;
  place: (p: Point) => Point;
  box: Fixed;
}

/** Room for handles in front of a block, between rows, over the knives of a strip and below it, mm of the picture. */
const BLOCK = { handles: 150, row: 34, between: 8 } as const;
const STRIP = { over: 300, bar: 36, mostBelow: 170 } as const;

/** Where the rows of a block begin, from the top. */
function blockRows(slots: readonly { heightMm: number }[]): { y: number; high: number }[] {
  let y = BLOCK.between;
  return slots.map(({ heightMm }) => {
    const row = { y: y + Math.max(0, BLOCK.row - heightMm), high: heightMm };
    y = row.y + heightMm + BLOCK.between;
    return row;
  });
}

const pocketRows = (pockets: readonly { widthMm: number }[]): number[] => {
  let y = 0;
  return pockets.map(({ widthMm }) => {
    const at = y;
    y += widthMm;
    return at;
  });
};

/** How a place looks, to scale; `longest`: the longest blade a strip has to show, mm. */
export function pictureOf(place: StoragePlace, longest = 0): PlacePicture {
  switch (place.kind) {
    case 'block': {
      const rows = blockRows(place.slots);
      const last = rows.at(-1);
      const inside = Math.max(...place.slots.map(({ lengthMm }) => lengthMm)) + BLOCK.between;
      const deep = (last ? last.y + last.high : 0) + BLOCK.between;
      return {
        wide: BLOCK.handles + inside,
        deep,
        body: { x: BLOCK.handles, y: 0, wide: inside, deep },
        cells: place.slots.map(({ lengthMm }, i) => ({
          name: `slot ${i + 1}`,
          x: BLOCK.handles,
          y: rows[i]?.y ?? 0,
          wide: lengthMm,
          deep: rows[i]?.high ?? 0,
        })),
      };
    }
    case 'roll': {
      const tops = pocketRows(place.pockets);
      const wide = Math.max(...place.pockets.map(({ lengthMm }) => lengthMm));
      const deep = place.pockets.reduce((sum, { widthMm }) => sum + widthMm, 0);
      return {
        wide,
        deep,
        body: { x: 0, y: 0, wide, deep },
        cells: place.pockets.map(({ lengthMm, widthMm }, i) => ({
          name: `pocket ${i + 1}`,
          x: 0,
          y: tops[i] ?? 0,
          wide: lengthMm,
          deep: widthMm,
        })),
      };
    }
    case 'strip': {
      const over = overStrip(longest);
      return {
        wide: place.lengthMm,
        deep: over + Math.min(STRIP.mostBelow, place.belowMm),
        body: null,
        cells: [{ name: '', x: 0, y: over - STRIP.bar / 2, wide: place.lengthMm, deep: STRIP.bar }],
      };
    }
    case 'drawer':
      return floor(place, 1);
    case 'tray':
      return floor(place, place.slats ?? 1);
  }
}

const floor = ({ lengthMm, widthMm }: { lengthMm: number; widthMm: number }, rows: number): PlacePicture => ({
  wide: lengthMm,
  deep: widthMm,
  body: { x: 0, y: 0, wide: lengthMm, deep: widthMm },
  cells: Array.from({ length: rows }, (_, i) => ({
    name: rows === 1 ? '' : `row ${i + 1}`,
    x: 0,
    y: (i * widthMm) / rows,
    wide: lengthMm,
    deep: widthMm / rows,
  })),
});

/** From the top of a strip's picture to the middle of the strip, mm. */
const overStrip = (longest: number): number => Math.max(120, Math.min(STRIP.over, longest)) + STRIP.bar / 2;

/** A knife seen from above as it stands between slats, its handle to the left. */
function fromAbove({ longMm, handleMm, thickMm, spineMm }: Thing): Drawing {
  const half = spineMm / 2;
  const round = thickMm / 2;
  return drawingOf([
    closed('steel', [
      { x: handleMm, y: -half, corner: true },
      { x: longMm, y: 0, corner: true },
      { x: handleMm, y: half, corner: true },
    ]),
    closed('handle', [
      { x: 0, y: -0.7 * round },
      { x: 0.5 * handleMm, y: -round },
      { x: handleMm, y: -0.8 * round, corner: true },
      { x: handleMm, y: 0.8 * round, corner: true },
      { x: 0.5 * handleMm, y: round },
      { x: 0, y: 0.7 * round },
    ]),
  ]);
}

/** A knife where it lies, stands or hangs in a place. */
export function knifeIn(thing: Thing, blade: BladeModel, at: Spot, place: StoragePlace, longest = 0): KnifePicture {
  const drawing = drawKnife(blade);
  const { left, top, bottom } = drawing;
  const { slot = 0, xMm = 0, turned } = at;
  const cell = pictureOf(place, longest).cells[slot] ?? { x: 0, y: 0, wide: 0, deep: 0 };
  switch (place.kind) {
    case 'block':
      return {
        drawing,
        place: (p) => ({ x: cell.x + p.x, y: cell.y + cell.deep - p.y }),
        box: { x: cell.x + left, y: cell.y + cell.deep - top, wide: thing.longMm, deep: thing.highMm },
      };
    case 'roll': {
      const y = cell.y + (cell.deep - thing.highMm) / 2;
      return {
        drawing,
        place: (p) => ({ x: p.x - left, y: y + top - p.y }),
        box: { x: 0, y, wide: thing.longMm, deep: thing.highMm },
      };
    }
    case 'strip': {
      const heel = overStrip(longest) + KEEPING.gripAboveHeel.value;
      return {
        drawing,
        // edge to the left, tip up
        place: (p) => ({ x: xMm + p.y - bottom, y: heel - p.x }),
        box: { x: xMm, y: heel - (left + thing.longMm), wide: thing.highMm, deep: thing.longMm },
      };
    }
    case 'drawer':
    case 'tray': {
      if (place.kind === 'tray' && place.slats !== null) {
        const y = cell.y + cell.deep / 2;
        return {
          drawing: fromAbove(thing),
          place: (p) => ({ x: xMm + p.x, y: y + p.y }),
          box: { x: xMm, y: y - thing.thickMm / 2, wide: thing.longMm, deep: thing.thickMm },
        };
      }
      const box = covered(thing, at, place.kind === 'drawer');
      const [dx, dy] = [
        (box.wide - (turned ? thing.highMm : thing.longMm)) / 2,
        (box.deep - (turned ? thing.longMm : thing.highMm)) / 2,
      ];
      return {
        drawing,
        place: turned
          ? (p) => ({ x: box.x + dx + p.y - bottom, y: box.y + dy + p.x - left })
          : (p) => ({ x: box.x + dx + p.x - left, y: box.y + dy + top - p.y }),
        box,
      };
    }
  }
}

/** The cell at a height or nearest to it, of a place whose things have cells of their own. */
function nearestCell(cells: readonly Cell[], y: number): number {
  const far = ({ y: from, deep }: Cell) => Math.max(0, from - y, y - from - deep);
  return cells.reduce((best, cell, i) => (far(cell) < far(cells[best] ?? cell) ? i : best), 0);
}

/**
 * Where a thing would be when the middle of its box is held over a point of a place's picture: in the nearest slot, or with its corner on the nearest
 * millimetre, drawn to the wall when it is closer than 5 mm.
 */
export function spotUnder(thing: Thing, place: StoragePlace, middle: Point, turned: boolean): Spot {
  const { cells, wide, deep } = pictureOf(place);
  const along = (at: number, long: number, end: number): number => {
    const from = Math.round(at - long / 2);
    return Math.abs(from) < 5 ? 0 : Math.abs(end - from - long) < 5 ? Math.max(0, end - long) : Math.max(0, from);
  };
  switch (place.kind) {
    case 'block':
    case 'roll':
      return { slot: nearestCell(cells, middle.y), turned: false };
    case 'strip':
      return { xMm: along(middle.x, thing.highMm, wide), yMm: 0, turned: false };
    case 'drawer':
    case 'tray': {
      if (place.kind === 'tray' && place.slats !== null)
        return { slot: nearestCell(cells, middle.y), xMm: along(middle.x, thing.longMm, wide), turned: false };
      const box = covered(thing, { turned }, place.kind === 'drawer');
      return { xMm: along(middle.x, box.wide, wide), yMm: along(middle.y, box.deep, deep), turned };
    }
  }
}
