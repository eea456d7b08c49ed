import Papa from 'papaparse';
import { STEEL_IDS } from '../../core/blade/words';
import { unknownId, type Fault } from '../../core/formats/faults';
import type { OwnedFile } from '../../core/formats/kitchenFile';
import { CONDITIONS, USES } from '../../core/formats/kitchenWords';

/** Columns a list of owned knives may have; only the type (or model) is needed. */
export const COLUMNS = ['type', 'model', 'lengthMm', 'steel', 'condition', 'use'] as const;
type Column = (typeof COLUMNS)[number];

/** Reads owned knives from CSV with a heading line; every fault by row and column, and nothing when there is any. */
export function readOwnedCsv(
  source: string,
  types: ReadonlyMap<string, string>,
  models: ReadonlySet<string>,
): { owned: OwnedFile[]; faults: Fault[] } {
  const { data, meta } = Papa.parse<Record<string, string>>(source.trim(), { header: true, skipEmptyLines: true });
  const faults: Fault[] = [];
  const columns = new Set<string>(COLUMNS);
  for (const name of meta.fields ?? [])
    if (!columns.has(name)) faults.push({ path: 'row 1', message: unknownId(name, COLUMNS, 'column') });
  if (data.length === 0 && faults.length === 0)
    faults.push({ path: 'row 1', message: 'has no knives below it; begin with the line: type,lengthMm,condition,use' });
  const byName = new Map([...types].map(([id, name]) => [name.toLowerCase(), id]));
  const owned = data.map((cells, i): OwnedFile => {
    const fault = (column: Column, message: string) => faults.push({ path: `row ${i + 2}.${column}`, message });
    const cell = (column: Column) => (cells[column] ?? '').trim();
    const oneOf = <T extends string>(column: Column, values: readonly T[]): T | undefined => {
      const value = cell(column);
      const known = values.find((v) => v === value.toLowerCase());
      if (value && !known) fault(column, unknownId(value, values, `word here; there are ${values.join(', ')}`));
      return known;
    };
    const knife: OwnedFile = {};
    const [type, model, length] = [cell('type').toLowerCase(), cell('model'), cell('lengthMm')];
    const id = types.has(type) ? type : byName.get(type);
    if (id) knife.type = id;
    else if (type) fault('type', unknownId(type, types.keys(), 'blade type'));
    if (model && models.has(model)) knife.model = model;
    else if (model) fault('model', unknownId(model, models, 'catalogue model'));
    if (!type && !model) fault('type', 'is empty; name the blade type, such as chef, or a catalogue model');
    const mm = Number(length);
    if (length && !(mm >= 40 && mm <= 450)) fault('lengthMm', `${length} is not between 40 and 450`);
    else if (length) knife.lengthMm = mm;
    const steel = oneOf('steel', STEEL_IDS);
    const condition = oneOf('condition', CONDITIONS);
    const use = oneOf('use', USES);
    return { ...knife, ...(steel ? { steel } : {}), ...(condition ? { condition } : {}), ...(use ? { use } : {}) };
  });
  return faults.length > 0 ? { owned: [], faults } : { owned, faults };
}
