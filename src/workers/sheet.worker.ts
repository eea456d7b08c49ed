import { expose } from 'comlink';
import { readSheet, writeSheets, type Sheet } from '../client/sheets';

/** Reads and writes spreadsheets away from the page: the package is large and only wanted here. */
const sheetWorker = {
  read: (bytes: ArrayBuffer): Promise<string[][]> => readSheet(bytes),
  write: (sheets: Sheet[]): Promise<ArrayBuffer> => writeSheets(sheets),
};
export type SheetWorker = typeof sheetWorker;

expose(sheetWorker);
