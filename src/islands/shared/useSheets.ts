import { wrap, type Remote } from 'comlink';
import type { Sheet } from '../../client/sheets';
import type { SheetWorker } from '../../workers/sheet.worker';

/** Longest wait for a spreadsheet, ms: a file made to be endless is given up. */
const MOST_MS = 20_000;

async function withWorker<T>(work: (sheets: Remote<SheetWorker>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('../../workers/sheet.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, fail) => {
    timer = setTimeout(() => fail(new Error('The spreadsheet took too long to read.')), MOST_MS);
  });
  try {
    return await Promise.race([work(wrap<SheetWorker>(worker)), late]);
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}

/** The cells of a spreadsheet's first sheet as texts. */
export const readSheetFile = async (file: Blob): Promise<string[][]> => {
  const bytes = await file.arrayBuffer();
  return withWorker((sheets) => sheets.read(bytes));
};

/** A workbook of these sheets. */
export const sheetsFile = async (sheets: Sheet[]): Promise<Blob> =>
  new Blob([await withWorker((worker) => worker.write(sheets))], {
    type: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
  });
