import Papa from 'papaparse';
import { z } from '../zod';
import { bladeModelSchema, type BladeModel } from '../blade/schema';
import type { Reference } from '../reference';
import { FORMULA } from './csv';
import { Faults, faultsOf, FaultyInput, shown } from './faults';
import { parseJson } from './json';

/** Most models one catalogue may hold. */
export const MAX_MODELS = 5000;

const envelope = z.strictObject({
  format: z.literal('scabbard.catalogue', { error: (i) => `${shown(i.input)} is not "scabbard.catalogue"` }),
  version: z.literal(1, { error: (i) => `${shown(i.input)} is not 1, the version this release reads` }),
  models: z.array(z.unknown()).max(MAX_MODELS, { error: `has too many models; at most ${MAX_MODELS} fit` }),
});

/** A catalogue as it is written; its models are read one by one, so that every fault is told. */
export const catalogueFileSchema = envelope.extend({ models: z.array(bladeModelSchema).max(MAX_MODELS) });

/**
 * Reads a catalogue from JSON (`scabbard.catalogue`) or CSV (one model a row, columns named as the model's keys).
 * Throws {@link FaultyInput} with row and column of every fault; nothing is taken over in part.
 */
export function readCatalogue(source: string, kind: 'json' | 'csv', reference: Reference): BladeModel[] {
  const rows = kind === 'csv' ? csvRows(source) : jsonRows(source);
  const faults = new Faults();
  const models: BladeModel[] = [];
  const seen = new Map<string, string>();
  rows.forEach(({ path, row }) => {
    const result = bladeModelSchema.safeParse(row);
    if (!result.success) {
      for (const fault of faultsOf(result.error)) faults.add(`${path}.${fault.path}`, () => fault.message);
      return;
    }
    const model = result.data;
    faults.check(`${path}.type`, model.type, reference.types, 'blade type');
    const before = seen.get(model.id);
    if (before) faults.add(`${path}.id`, () => `${model.id} is already used by ${before}`);
    seen.set(model.id, path);
    models.push(model);
  });
  faults.throwAny();
  if (models.length === 0) throw new FaultyInput([{ path: 'catalogue', message: 'has no models; give at least one' }]);
  return models;
}

/** A catalogue as JSON text. */
export function writeCatalogueJson(models: readonly BladeModel[]): string {
  return `${JSON.stringify({ format: 'scabbard.catalogue', version: 1, models }, null, 1)}\n`;
}

/** A catalogue as CSV text: one model a row, columns named as the model's keys; a missing hardness is an empty cell, assumed figures stand in one. */
export function writeCatalogueCsv(models: readonly BladeModel[]): string {
  return `${Papa.unparse(
    models.map((model) => ({ ...model, hrc: model.hrc ?? '', assumed: model.assumed?.join(' ') ?? '' })),
    { columns: Object.keys(bladeModelSchema.shape), newline: '\n', escapeFormulae: FORMULA },
  )}\n`;
}

function jsonRows(source: string): { path: string; row: unknown }[] {
  const parsed = envelope.safeParse(parseJson(source));
  if (!parsed.success) throw new FaultyInput(faultsOf(parsed.error));
  return parsed.data.models.map((row, i) => ({ path: `models[${i}]`, row }));
}

function csvRows(source: string): { path: string; row: unknown }[] {
  const parsed = Papa.parse<Record<string, string>>(source.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transform: (cell) => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell),
  });
  // one column has no delimiter to find; that alone is no fault
  const broken = parsed.errors
    .filter((e) => e.type !== 'Delimiter')
    .map((e) => ({
      path: `row ${(e.row ?? 0) + 2}`,
      message: `${e.message}; check commas and quotes`,
    }));
  if (broken.length > 0) throw new FaultyInput(broken);
  if (parsed.data.length > MAX_MODELS)
    throw new FaultyInput([{ path: 'catalogue', message: `has too many models; at most ${MAX_MODELS} fit` }]);
  return parsed.data.map((row, i) => ({ path: `row ${i + 2}`, row }));
}
