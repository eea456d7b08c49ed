import fc from 'fast-check';
import { expect, test } from 'vitest';
import { freeSegments, intoSegments, type Segment } from './segments';

const taken = fc.array(
  fc.record({ row: fc.nat(2), from: fc.integer({ min: 0, max: 90 }), long: fc.integer({ min: 1, max: 40 }) }),
  {
    maxLength: 6,
  },
);

test('what is free and what is taken make up each row, and never overlap', () => {
  fc.assert(
    fc.property(taken, (all) => {
      const free = freeSegments(3, 100, all);
      for (let row = 0; row < 3; row++)
        for (let mm = 0.5; mm < 100; mm++) {
          const covers = ({ row: r, from, long }: Segment) => r === row && from <= mm && mm < from + long;
          expect(free.filter(covers).length, `row ${row} at ${mm}`).toBe(all.some(covers) ? 0 : 1);
        }
    }),
    { numRuns: 100 },
  );
});

/** Whether some pieces can be laid into some rooms at all, by trying every way. */
const canLay = (lengths: readonly number[], rooms: readonly number[]): boolean => {
  const [first, ...rest] = lengths;
  if (first === undefined) return true;
  return rooms.some((room, r) => room >= first && canLay(rest, rooms.with(r, room - first)));
};

test('pieces go in exactly when some way of laying them does: none sticks out, none overlap', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 5, max: 60 }), { maxLength: 5 }),
      fc.array(fc.integer({ min: 5, max: 100 }), { maxLength: 4 }),
      (lengths, rooms) => {
        const segments = rooms.map((long, row) => ({ row, from: 10 * row, long }));
        const where = intoSegments(lengths, segments);
        expect(where !== null).toBe(canLay(lengths, rooms));
        if (!where) return;
        expect(where).toHaveLength(lengths.length);
        const ends = where.map(({ row, x }, i) => ({ row, from: x, to: x + (lengths[i] ?? 0) }));
        for (const { row, from, to } of ends) {
          const segment = segments[row];
          expect(from).toBeGreaterThanOrEqual(segment?.from ?? Infinity);
          expect(to).toBeLessThanOrEqual((segment?.from ?? 0) + (segment?.long ?? 0));
        }
        for (const [i, a] of ends.entries())
          for (const b of ends.slice(i + 1)) expect(a.row !== b.row || a.to <= b.from || b.to <= a.from).toBe(true);
      },
    ),
    { numRuns: 200 },
  );
});
