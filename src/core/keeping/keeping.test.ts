import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { KEEPING } from '../constants';
import { keepingFileSchema, readStorageText, type StorageFile, type StoragePlace } from '../formats/storageFile';
import { arrange } from './arrange';
import { leastLeft } from './bound';
import { byColumns } from './columns';
import { keepingOf } from './keeping';
import { whyNotThere } from './misplaced';
import { fitting } from './places';
import { thingOf, type Thing } from './things';
import { layOut } from './tray';

const things = (many: number, from = 0): Thing[] =>
  Array.from({ length: many }, (_, i) => {
    const blade = shippedModels[(from + 37 * i) % shippedModels.length];
    if (!blade) throw new Error('no models');
    return thingOf(`owned-${i}`, blade.name, blade);
  });
const PRICES = { guard: 5, strip: 35, roll: 45 };
const storage = (places: StoragePlace[], growth = 0): StorageFile => ({
  format: 'scabbard.storage',
  version: 1,
  growth,
  places,
});

const place = fc.oneof(
  fc.record({
    kind: fc.constant('block' as const),
    slots: fc.array(
      fc.record({
        lengthMm: fc.integer({ min: 80, max: 300 }),
        heightMm: fc.integer({ min: 15, max: 60 }),
        thicknessMm: fc.integer({ min: 1, max: 6 }),
      }),
      { minLength: 1, maxLength: 5 },
    ),
  }),
  fc.record({
    kind: fc.constant('tray' as const),
    lengthMm: fc.integer({ min: 150, max: 500 }),
    widthMm: fc.integer({ min: 40, max: 300 }),
    heightMm: fc.integer({ min: 15, max: 80 }),
    slats: fc.option(fc.integer({ min: 1, max: 6 })),
  }),
  fc.record({
    kind: fc.constant('drawer' as const),
    lengthMm: fc.integer({ min: 150, max: 500 }),
    widthMm: fc.integer({ min: 60, max: 300 }),
    heightMm: fc.integer({ min: 15, max: 80 }),
    guards: fc.array(
      fc.record({ lengthMm: fc.integer({ min: 80, max: 300 }), heightMm: fc.integer({ min: 20, max: 70 }) }),
      { maxLength: 4 },
    ),
  }),
  fc.record({
    kind: fc.constant('strip' as const),
    lengthMm: fc.integer({ min: 40, max: 500 }),
    belowMm: fc.integer({ min: 50, max: 400 }),
  }),
  fc.record({
    kind: fc.constant('roll' as const),
    pockets: fc.array(
      fc.record({ lengthMm: fc.integer({ min: 150, max: 480 }), widthMm: fc.integer({ min: 20, max: 70 }) }),
      { minLength: 1, maxLength: 4 },
    ),
  }),
);
const some = fc.record({
  many: fc.integer({ min: 0, max: 6 }),
  from: fc.integer({ min: 0, max: 200 }),
  places: fc.array(place, { maxLength: 3 }),
});

describe('a tray', () => {
  test('takes what just fits, turned where that helps, and nothing more', () => {
    const flat = { long: 300, high: 50 };
    expect(layOut([flat, flat], 300, 100).laid).toHaveLength(2);
    expect(layOut([flat, flat, flat], 300, 149).laid).toBeNull();
    expect(layOut([flat], 60, 310).laid).toEqual([{ x: 0, y: 0, turned: true }]);
    // two along, one across beside them
    expect(layOut([flat, flat, { long: 100, high: 40 }], 340, 100).laid?.map(({ turned }) => turned)).toEqual([
      false,
      false,
      true,
    ]);
    // a pinwheel: no cut from side to side parts it
    const bar = { long: 60, high: 40 };
    expect(layOut([bar, bar, bar, bar], 100, 100).laid).toHaveLength(4);
  });
});

describe('packing', () => {
  const size = fc.record({ long: fc.integer({ min: 1, max: 8 }), high: fc.integer({ min: 1, max: 5 }) });
  /** Whether pieces of whole sizes fit, every whole place and way of lying tried. */
  const fitsByTrying = (pieces: readonly { long: number; high: number }[], wide: number, deep: number): boolean => {
    const laid: { x: number; y: number; w: number; d: number }[] = [];
    const put = (i: number): boolean => {
      const piece = pieces[i];
      if (!piece) return true;
      for (const [w, d] of [
        [piece.long, piece.high],
        [piece.high, piece.long],
      ] as const)
        for (let x = 0; x + w <= wide; x++)
          for (let y = 0; y + d <= deep; y++) {
            if (laid.some((o) => x < o.x + o.w && o.x < x + w && y < o.y + o.d && o.y < y + d)) continue;
            laid.push({ x, y, w, d });
            if (put(i + 1)) return true;
            laid.pop();
          }
      return false;
    };
    return put(0);
  };
  const asked = fc.record({
    pieces: fc.array(size, { minLength: 1, maxLength: 5 }),
    wide: fc.integer({ min: 2, max: 9 }),
    deep: fc.integer({ min: 2, max: 7 }),
  });

  test('tells what fits and what does not as trying every place does, by columns alone too', () => {
    fc.assert(
      fc.property(asked, ({ pieces, wide, deep }) => {
        const truth = fitsByTrying(pieces, wide, deep);
        const found = layOut(pieces, wide, deep);
        const columns = byColumns(pieces, wide, deep, [], 1e6);
        expect([found.laid !== null, columns.laid !== null, found.known, columns.known]).toEqual([
          truth,
          truth,
          true,
          true,
        ]);
      }),
      { numRuns: 400 },
    );
  });

  test('goes round what is fixed', () => {
    const fixed = [{ x: 100, y: 0, wide: 50, deep: 100 }];
    expect(layOut([{ long: 100, high: 100 }], 300, 100, fixed).laid?.[0]?.x).toBe(0);
    expect(layOut([{ long: 160, high: 100 }], 300, 100, fixed)).toEqual({ laid: null, known: true });
    expect(layOut([{ long: 150, high: 90 }], 300, 100, fixed).laid?.[0]?.x).toBe(150);
  });
});

test('a knife laid by hand stays where it may, goes elsewhere where it may not, and is told why', () => {
  const [one, two] = things(2);
  if (!one || !two) throw new Error('no things');
  const tray = { kind: 'tray' as const, lengthMm: 500, widthMm: 300, heightMm: 60, slats: null };
  const at = { place: 0, xMm: 40, yMm: 180, turned: false };
  const laid = (more: object) => keepingOf([one, two], storage([tray]), PRICES, [{ ref: one.ref, ...at, ...more }]);
  expect(laid({}).placed[0]).toEqual({ ref: one.ref, ...at });
  expect(laid({}).fits).toBe(true);
  expect(laid({ xMm: 450 }).placed[0]).not.toMatchObject({ xMm: 450 });
  expect(whyNotThere(one, { ...at, xMm: 450 }, tray, [])).toMatch(/sticks out/);
  expect(whyNotThere(one, at, tray, [{ thing: two, at }])).toContain(two.name);
  expect(whyNotThere(one, at, { ...tray, heightMm: 5 }, [])).toMatch(/too thick/);
  const drawer = { kind: 'drawer' as const, lengthMm: 500, widthMm: 300, heightMm: 60, guards: [] };
  expect(whyNotThere(one, at, drawer, [])).toMatch(/No guard/);
  expect(keepingOf([one], storage([drawer]), PRICES)).toMatchObject({ fits: false, buy: [{ price: 5 }] });
  const strip = { kind: 'strip' as const, lengthMm: 200, belowMm: 300 };
  const beside = (xMm: number) =>
    whyNotThere(two, { xMm, turned: false }, strip, [{ thing: one, at: { xMm: 0, turned: false } }]);
  expect(beside(one.highMm + KEEPING.gap.value - 1)).toContain(one.name);
  expect(beside(one.highMm + KEEPING.gap.value)).toBeNull();
});

test('nothing overlaps, nothing sticks out, and everything is placed or left with its reason', () => {
  fc.assert(
    fc.property(some, ({ many, from, places }) => {
      const all = things(many, from);
      const keeping = keepingOf(all, storage(places), PRICES);
      expect(keepingFileSchema.parse(keeping)).toEqual(keeping);
      expect(keeping.fits).toBe(keeping.left.length === 0);
      expect([...keeping.placed, ...keeping.left].map(({ ref }) => ref).sort()).toEqual(
        all.map(({ ref }) => ref).sort(),
      );
      const room = keeping.placed.map((at) => {
        const it = all.find(({ ref }) => ref === at.ref);
        const where = places[at.place];
        if (!it || !where) throw new Error('placed nowhere');
        if (where.kind === 'block' || where.kind === 'roll') return { ...at, x: 0, y: 0, wide: 1, deep: 1, it, where };
        const strip = where.kind === 'strip';
        const lying = strip || at.turned;
        const rows = where.kind === 'tray' && where.slats !== null;
        const [wide, deep] = lying ? [it.highMm, strip ? 1 : it.longMm] : [it.longMm, rows ? 1 : it.highMm];
        return { ...at, x: at.xMm ?? 0, y: at.yMm ?? 0, wide, deep, it, where };
      });
      for (const one of room) {
        const others = keeping.placed.flatMap(({ ref, place: p, ...at }) => {
          const thing = p === one.place && ref !== one.ref ? all.find((each) => each.ref === ref) : undefined;
          return thing ? [{ thing, at }] : [];
        });
        expect(whyNotThere(one.it, one, one.where, others)).toBeNull();
        if (one.where.kind === 'block')
          expect(one.it.bladeMm).toBeLessThanOrEqual(one.where.slots[one.slot ?? -1]?.lengthMm ?? 0);
        if (one.where.kind === 'roll')
          expect(one.it.longMm).toBeLessThanOrEqual(one.where.pockets[one.slot ?? -1]?.lengthMm ?? 0);
        if (one.where.kind === 'drawer')
          expect(one.it.heelMm).toBeLessThanOrEqual(one.where.guards[one.slot ?? -1]?.heightMm ?? 0);
        if (one.where.kind === 'strip' || one.where.kind === 'tray' || one.where.kind === 'drawer') {
          expect(one.x + one.wide).toBeLessThanOrEqual(one.where.lengthMm + 0.01);
          if (one.where.kind === 'tray' && one.where.slats === null)
            expect(one.y + one.deep).toBeLessThanOrEqual(one.where.widthMm + 0.01);
        }
        for (const other of room) {
          const apartAnyway = one.slot !== other.slot && one.where.kind !== 'drawer';
          if (one === other || one.place !== other.place || apartAnyway) continue;
          const apart =
            one.x + one.wide <= other.x + 0.01 ||
            other.x + other.wide <= one.x + 0.01 ||
            one.y + one.deep <= other.y + 0.01 ||
            other.y + other.deep <= one.y + 0.01;
          expect(apart && one.where.kind !== 'block' && one.where.kind !== 'roll').toBe(true);
        }
      }
    }),
    { numRuns: 120 },
  );
});

test('as few are left as any sharing leaves: against every sharing tried one by one', () => {
  const fewest = (all: readonly Thing[], places: readonly StoragePlace[]): number => {
    let best = all.length;
    const held: Thing[][] = places.map(() => []);
    const go = (i: number, left: number): void => {
      if (left >= best) return;
      const thing = all[i];
      if (!thing) {
        best = left;
        return;
      }
      places.forEach((where, p) => {
        const inside = [...(held[p] ?? []), thing];
        if (fitting(inside, where).where === null) return;
        held[p]?.push(thing);
        go(i + 1, left);
        held[p]?.pop();
      });
      go(i + 1, left + 1);
    };
    go(0, 0);
    return best;
  };
  fc.assert(
    fc.property(some, ({ many, from, places }) => {
      const all = things(Math.min(5, many), from);
      const least = fewest(all, places);
      expect(arrange(all, places).left).toHaveLength(least);
      expect(leastLeft(all, places, [])).toBeLessThanOrEqual(least);
    }),
    { numRuns: 60 },
  );
});

test('what is left is told why, and the least to buy; room for growth is asked for', () => {
  const [one] = things(1, 5);
  if (!one) throw new Error('no thing');
  const short = keepingOf(
    [one],
    storage([{ kind: 'block', slots: [{ lengthMm: 40, heightMm: 60, thicknessMm: 9 }] }]),
    PRICES,
  );
  expect(short.left[0]?.why).toContain('longer than every slot of the block (40 mm at most)');
  expect(short.buy[0]).toMatchObject({ price: 5 });
  // more than are searched for: how many at least are left is told
  const crowd = keepingOf(things(20), storage([{ kind: 'roll', pockets: [{ lengthMm: 600, widthMm: 150 }] }]), PRICES);
  expect(crowd).toMatchObject({ proven: false, leftAtLeast: 19 });
  const many = keepingOf(things(9), storage([]), PRICES);
  expect(many.buy[0]).toMatchObject({ what: expect.stringContaining('magnetic strip') as string, price: 35 });
  const full = storage([{ kind: 'roll', pockets: [{ lengthMm: 600, widthMm: 150 }] }], 0.5);
  expect(keepingOf([one], full, PRICES)).toMatchObject({ fits: true, growthLeft: 0, buy: [{ price: 35 }] });
  expect(
    fitting([one], { kind: 'strip', lengthMm: 500, belowMm: one.handleMm + KEEPING.gripAboveHeel.value - 1 }).where,
  ).toBeNull();
});

test('a storage file is read with every fault told', () => {
  expect(() =>
    readStorageText('{"format":"scabbard.storage","version":1,"places":[{"kind":"strip","lengthMm":"x","belowMm":1}]}'),
  ).toThrow(/places\[0\]\.lengthMm/);
  expect(() => readStorageText('{"format":"scabbard.storage","version":1,"places":[],"shelf":1}')).toThrow(/shelf/);
  expect(readStorageText('{"format":"scabbard.storage","version":1,"places":[]}').growth).toBe(0);
});
