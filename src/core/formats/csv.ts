import Papa from 'papaparse';
import type { Table } from './planTable';

/** What a spreadsheet would compute instead of showing: such a cell is written behind an apostrophe, and read without it. */
export const FORMULA = /^'*[=+\-@\t\r]/;

/** A table as CSV text, its headings first. Numbers stay numbers; texts that a spreadsheet would compute are put behind an apostrophe. */
export const csvOf = ({ head, rows }: Pick<Table, 'head' | 'rows'>): string =>
  `${Papa.unparse({ fields: head, data: rows }, { newline: '\n', escapeFormulae: FORMULA })}\n`;
