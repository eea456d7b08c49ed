import fc from 'fast-check';
import { expect, test } from 'vitest';
import { readSheet, writeSheets } from './sheets';

const cell = fc.oneof(
  fc.string({ maxLength: 30, unit: 'grapheme-ascii' }).map((text) => text.replace(/[\r\n]/g, ' ').trim()),
  fc.constantFrom('=1+1', '+49 30', '-12', '@here', 'Größe, mm', '刃渡り', "it's"),
  fc.integer({ min: -5000, max: 5000 }),
  fc.constant(null),
);
const table = fc.integer({ min: 1, max: 5 }).chain((wide) =>
  fc.record({
    head: fc.array(fc.constantFrom('order', 'what', 'why', 'price', 'Länge'), { minLength: wide, maxLength: wide }),
    rows: fc.array(fc.array(cell, { minLength: wide, maxLength: wide }), { minLength: 1, maxLength: 6 }),
  }),
);

test('a workbook is read as it was written: texts stay texts, whatever a spreadsheet would make of them', async () => {
  await fc.assert(
    fc.asyncProperty(table, async ({ head, rows }) => {
      const read = await readSheet(
        await writeSheets([
          { name: 'First', head, rows },
          { name: 'Other', head: ['x'], rows: [] },
        ]),
      );
      expect(read[0]).toEqual(head);
      rows.forEach((row, r) => row.forEach((value, c) => expect(read[r + 1]?.[c] ?? '').toBe(String(value ?? ''))));
      expect(read.length).toBeLessThanOrEqual(rows.length + 1);
    }),
    { numRuns: 25 },
  );
});

test('bytes that are no workbook are refused', async () => {
  await expect(readSheet(new TextEncoder().encode('name,price').buffer)).rejects.toThrow();
});
