import ExcelJS from 'exceljs';

/** One sheet of a workbook: headings and rows of texts and numbers. */
export interface Sheet {
  name: string;
  head: string[];
  rows: (string | number | null)[][];
}

/** The cells of a workbook's first sheet as texts. Throws where the bytes are no workbook. */
export async function readSheet(bytes: ArrayBuffer): Promise<string[][]> {
  const book = new ExcelJS.Workbook();
  await book.xlsx.load(bytes);
  const [sheet] = book.worksheets;
  const rows: string[][] = [];
  sheet?.eachRow({ includeEmpty: true }, (row) => {
    const cells: string[] = [];
    row.eachCell({ includeEmpty: true }, (cell) => cells.push(cell.text));
    rows.push(cells);
  });
  return rows;
}

/** Widest column, characters. */
const WIDEST = 60;

/** A workbook with the first row of each sheet standing still. */
export async function writeSheets(sheets: readonly Sheet[]): Promise<ArrayBuffer> {
  const book = new ExcelJS.Workbook();
  for (const { name, head, rows } of sheets) {
    const sheet = book.addWorksheet(name, { views: [{ state: 'frozen', ySplit: 1 }] });
    sheet.addRow(head).font = { bold: true };
    for (const row of rows) sheet.addRow(row);
    head.forEach((title, i) => {
      const longest = Math.max(title.length, ...rows.map((row) => String(row[i] ?? '').length));
      sheet.getColumn(i + 1).width = Math.min(WIDEST, longest + 2);
    });
  }
  const written = await book.xlsx.writeBuffer();
  return new Uint8Array(written).slice().buffer;
}
