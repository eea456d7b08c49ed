import { bladeModelSchema, type BladeModel } from '../core/blade/schema';
import { stepBriefSchema } from '../core/formats/briefFile';
import { careSchema } from '../core/formats/care';
import { MAX_MODELS } from '../core/formats/catalogueFile';
import { PAPER_KINDS } from '../core/formats/paper';
import { Faults, faultsOf, FaultyInput } from '../core/formats/faults';
import { parseJson } from '../core/formats/json';
import { planFileSchema } from '../core/formats/planFile';
import { MAX_SHARPENING_DAYS, sharpeningDaysSchema } from '../core/formats/sharpeningDays';
import { placedSchema, placeSchema } from '../core/formats/storageFile';
import { MAX_SHOWN_DAYS } from '../core/formats/shownPlan';
import { kitchenFileSchema, MAX_FILE_BYTES, MAX_VALUES, type KitchenFile } from '../core/formats/kitchenFile';
import { correctionsSchema, keptSchema, MAX_CORRECTIONS, MAX_WORDS } from '../core/formats/workspaceFile';
import { wallSheetSchema } from '../core/formats/wallSheet';
import { checkIds, knownModels } from '../core/kitchen/ids';
import { z } from '../core/zod';
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';

/** What tells the models of a workspace from unknown ones. */
export type OwnNames = readonly Pick<BladeModel, 'id' | 'maker'>[];

/** What a body brings that names other things. */
interface Brought {
  kitchens?: readonly { path: string; kitchen: KitchenFile }[];
  models?: readonly BladeModel[];
}

export interface Reader<T> {
  /** Most bytes a body may have. */
  bytes: number;
  /** Reads the text of a body. Throws FaultyInput with every fault. */
  read: (text: string, own: OwnNames) => T;
}

const shipped = knownModels(shippedModels);

/** Adds the faults of models for a workspace, one after the other: an unknown type, an id used twice or by a shipped model. */
function modelChecker(faults: Faults): (model: BladeModel, i: number) => void {
  const seen = new Map<string, number>();
  return ({ id, type }, i) => {
    faults.check(`models[${i}].type`, type, reference.types, 'blade type');
    const before = seen.get(id);
    if (before !== undefined)
      faults.add(`models[${i}].id`, () => `${id} is already the id of models[${before}]; give it another`);
    if (shipped.ids.has(id))
      faults.add(`models[${i}].id`, () => `${id} is a model of the shipped catalogue; give yours an id of its own`);
    seen.set(id, i);
  };
}

/** Models as they come in: read one by one, and no further than there are faults to tell. */
function readModels(rows: readonly unknown[], faults: Faults): BladeModel[] {
  const models: BladeModel[] = [];
  const check = modelChecker(faults);
  for (const [i, row] of rows.entries()) {
    const parsed = bladeModelSchema.safeParse(row);
    if (parsed.success) {
      models.push(parsed.data);
      check(parsed.data, i);
    } else for (const fault of faultsOf(parsed.error)) faults.add(`models[${i}].${fault.path}`, () => fault.message);
    if (faults.isFull) break;
  }
  return models;
}

const reader = <S extends z.ZodType>(
  schema: S,
  { bytes, values }: { bytes: number; values: number },
  brought: (body: z.infer<S>) => Brought = () => ({}),
): Reader<z.infer<S>> => ({
  bytes,
  read: (text, own) => {
    const parsed = schema.safeParse(parseJson(text, values));
    if (!parsed.success) throw new FaultyInput(faultsOf(parsed.error));
    const { kitchens = [], models = [] } = brought(parsed.data);
    const faults = new Faults();
    models.forEach(modelChecker(faults));
    const known = own.length + models.length > 0 ? knownModels([...shippedModels, ...own, ...models]) : shipped;
    for (const { path, kitchen } of kitchens) checkIds(kitchen, reference, known, faults, path);
    faults.throwAny();
    return parsed.data;
  },
});

const name = z.string().trim().min(1).max(80);
const id = z.string().max(80);
/** PostgreSQL counts versions in four bytes. */
const version = z.number().int().positive().max(2_147_483_646);
const kitchenRoom = { bytes: MAX_FILE_BYTES + 1024, values: MAX_VALUES };
const importRoom = { bytes: 0, values: MAX_VALUES + 10 };
const little = { bytes: 4096, values: 100 };
const theKitchen = ({ kitchen }: { kitchen: KitchenFile }): Brought => ({ kitchens: [{ path: 'kitchen', kitchen }] });

const words = z.string().trim().min(1).max(MAX_WORDS);
const correctionBody = reader(z.strictObject({ words, task: z.string().max(80).nullable() }), little);

const listOfModels = reader(
  z.strictObject({ models: z.array(z.unknown()).min(1).max(MAX_MODELS), duplicates: z.enum(['skip', 'replace']) }),
  { bytes: 0, values: 40 * MAX_MODELS },
);

/** Everything a request may carry. */
export const BODIES = {
  calendar: reader(sharpeningDaysSchema, { bytes: 512 * 1024, values: 4 * MAX_SHARPENING_DAYS + 10 }),
  newKitchen: reader(
    z.discriminatedUnion('from', [
      z.strictObject({ from: z.literal('nothing'), name: name.optional() }),
      z.strictObject({ from: z.literal('sample'), sample: id }),
      z.strictObject({ from: z.literal('copy'), of: id }),
      z.strictObject({ from: z.literal('file'), kitchen: kitchenFileSchema }),
    ]),
    kitchenRoom,
    (body) => (body.from === 'file' ? theKitchen(body) : {}),
  ),
  save: reader(z.strictObject({ version, kitchen: kitchenFileSchema }), kitchenRoom, theKitchen),
  snapshot: reader(
    z.strictObject({ kind: z.enum(['snapshot', 'scenario']), name, kitchen: kitchenFileSchema }),
    kitchenRoom,
    theKitchen,
  ),
  change: reader(z.union([z.strictObject({ name }), z.strictObject({ deleted: z.literal(false) })]), little),
  models: {
    bytes: 6 * 1024 * 1024,
    read: (text) => {
      const { models: rows, duplicates } = listOfModels.read(text, []);
      const faults = new Faults();
      const models = readModels(rows, faults);
      faults.throwAny();
      return { models, duplicates };
    },
  } satisfies Reader<{ models: BladeModel[]; duplicates: 'skip' | 'replace' }>,
  /** Parts of a workspace file, read one by one. */
  importedModels: {
    bytes: 0,
    read: (text) => {
      const faults = new Faults();
      const models = readModels(
        z
          .array(z.unknown())
          .max(MAX_MODELS)
          .parse(parseJson(text, 40 * MAX_MODELS)),
        faults,
      );
      faults.throwAny();
      return models;
    },
  } satisfies Reader<BladeModel[]>,
  importedKitchen: reader(kitchenFileSchema, importRoom, (kitchen) => ({ kitchens: [{ path: '', kitchen }] })),
  importedKept: reader(keptSchema, importRoom, theKitchen),
  /** The same where the models that kitchens may name are not known yet. */
  importedKitchenShape: reader(kitchenFileSchema, importRoom),
  importedKeptShape: reader(keptSchema, importRoom),
  importedCorrections: {
    bytes: 0,
    read: (text) => {
      const parsed = correctionsSchema.safeParse(parseJson(text, 5 * MAX_CORRECTIONS));
      if (!parsed.success) throw new FaultyInput(faultsOf(parsed.error));
      const faults = new Faults();
      const seen = new Set<string>();
      parsed.data.forEach(({ words, task }, i) => {
        if (task !== null) faults.check(`[${i}].task`, task, reference.tasks, 'task');
        if (seen.has(words)) faults.add(`[${i}].words`, () => `${words} is listed twice; keep one of the two`);
        seen.add(words);
      });
      faults.throwAny();
      return parsed.data;
    },
  } satisfies Reader<{ words: string; task: string | null }[]>,
  correction: {
    bytes: 2048,
    read: (text) => {
      const body = correctionBody.read(text, []);
      const faults = new Faults();
      if (body.task !== null) faults.check('task', body.task, reference.tasks, 'task');
      faults.throwAny();
      return body;
    },
  } satisfies Reader<{ words: string; task: string | null }>,
  words: reader(z.strictObject({ words }), little),
  show: reader(
    z.strictObject({
      plan: planFileSchema,
      withPrices: z.boolean(),
      days: z.number().int().min(1).max(MAX_SHOWN_DAYS),
    }),
    {
      bytes: 1024 * 1024,
      values: 50_000,
    },
  ),
  paper: reader(
    z.strictObject({
      plan: planFileSchema,
      briefs: z.array(stepBriefSchema).max(60),
      owned: z.array(bladeModelSchema).max(100),
      care: z.array(careSchema).max(160),
      kinds: z.array(z.enum(PAPER_KINDS)).min(1),
      paper: z.enum(['a4', 'letter']),
      withPrices: z.boolean(),
    }),
    { bytes: 2 * 1024 * 1024, values: 100_000 },
  ),
  lifeSize: reader(
    z.strictObject({
      title: z.string().max(200),
      paper: z.enum(['a4', 'letter']),
      knives: z
        .array(z.strictObject({ ref: z.string().max(80), name: z.string().max(200), blade: bladeModelSchema }))
        .min(1)
        .max(100),
    }),
    { bytes: 512 * 1024, values: 20_000 },
  ),
  places: reader(
    z.strictObject({
      title: z.string().max(200),
      paper: z.enum(['a4', 'letter']),
      trueSize: z.boolean(),
      places: z
        .array(z.strictObject({ name: z.string().max(80), place: placeSchema }))
        .min(1)
        .max(40),
      knives: z
        .array(z.strictObject({ ref: z.string().max(80), name: z.string().max(200), blade: bladeModelSchema }))
        .max(100),
      placed: z.array(placedSchema).max(100),
    }),
    { bytes: 512 * 1024, values: 40_000 },
  ),
  wall: reader(z.strictObject({ paper: z.enum(['a4', 'letter']), sheet: wallSheetSchema }), {
    bytes: 512 * 1024,
    values: 20_000,
  }),
  open: reader(z.strictObject({ code: z.string().max(80), leave: z.boolean().optional() }), little),
  nothing: reader(z.strictObject({}), little),
};
export type BodyName = keyof typeof BODIES;
export type Body<N extends BodyName> = ReturnType<(typeof BODIES)[N]['read']>;
