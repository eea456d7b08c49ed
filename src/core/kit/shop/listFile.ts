import Papa from 'papaparse';
import { FaultyInput } from '../../formats/faults';
import { MAX_MODELS, readCatalogue } from '../../formats/catalogueFile';
import { findColumns } from './columns';
import { readShopList, type ListKnowledge, type ShopList } from './shopList';

/** Most rows and columns of a list. */
export const MAX_ROWS = 2 * MAX_MODELS;
const MAX_CELLS = 200;

/** Whether a text is a catalogue as this application writes it, and no shop's list. */
const isOwnCsv = (text: string): boolean => {
  const [first = ''] = text.replace(/^\uFEFF/, '').split(/\r?\n/, 1);
  return first.includes('heelHeightMm') && first.includes('priceMinor');
};

/** Marks that part the cells of a list. */
const MARKS = [',', ';', '\t', '|'];
const TRIED_ROWS = 20;

/** The rows of a separated text: the mark that shows the most known headings parts its cells. */
function rowsOf(text: string): string[][] {
  const plain = text.replace(/^\uFEFF/, '');
  const rows = (delimiter: string, preview = 0) => Papa.parse<string[]>(plain, { delimiter, preview }).data;
  const known = (mark: string) => Object.keys(findColumns(rows(mark, TRIED_ROWS))?.at ?? {}).length;
  const [best = ','] = [...MARKS].sort((one, other) => known(other) - known(one));
  return rows(best);
}

/** Reads rows of cells, from a text or a spreadsheet, as a shop's list. Throws {@link FaultyInput}. */
export function readListRows(rows: readonly (readonly string[])[], knowledge: ListKnowledge): ShopList {
  if (rows.length > MAX_ROWS)
    throw new FaultyInput([
      { path: 'list', message: `has ${rows.length} rows; at most ${MAX_ROWS} are read: split it` },
    ]);
  return readShopList(
    rows.map((row) => row.slice(0, MAX_CELLS).map((cell) => cell.slice(0, 500))),
    knowledge,
  );
}

/**
 * Reads models from a text: a catalogue as this application writes it (JSON or CSV), or a shop's list with as little as name and price. Throws
 * {@link FaultyInput} with every fault; of a shop's list the rows that cannot be used are told beside those that were taken.
 */
export function readModelsText(text: string, knowledge: ListKnowledge): ShopList {
  const own = /^\s*[[{]/.test(text) ? 'json' : isOwnCsv(text) ? 'csv' : null;
  if (own === null) return readListRows(rowsOf(text), knowledge);
  const models = readCatalogue(text, own, knowledge.reference);
  return { taken: models.map((model, i) => ({ row: i + 2, model, told: [] })), left: [] };
}
