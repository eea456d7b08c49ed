// Values made from a JSON Schema: mostly what it allows, at its bounds as often as within, and now and then something odd.
import { z } from '../../../src/core/zod';

/** As much of JSON Schema as ours use. */
interface Schema {
  const?: unknown;
  enum?: unknown[] | undefined;
  type?: string | string[] | undefined;
  anyOf?: Schema[] | undefined;
  properties?: Record<string, Schema> | undefined;
  required?: string[] | undefined;
  additionalProperties?: Schema | boolean | undefined;
  items?: Schema | undefined;
  minItems?: number | undefined;
  maxItems?: number | undefined;
  minimum?: number | undefined;
  maximum?: number | undefined;
  minLength?: number | undefined;
  maxLength?: number | undefined;
  format?: string | undefined;
  $ref?: string | undefined;
  $defs?: Record<string, Schema> | undefined;
}
const schemaSchema: z.ZodType<Schema> = z.lazy(() =>
  z.looseObject({
    enum: z.array(z.unknown()).optional(),
    type: z.union([z.string(), z.array(z.string())]).optional(),
    anyOf: z.array(schemaSchema).optional(),
    properties: z.record(z.string(), schemaSchema).optional(),
    required: z.array(z.string()).optional(),
    additionalProperties: z.union([z.boolean(), schemaSchema]).optional(),
    items: schemaSchema.optional(),
    minItems: z.number().optional(),
    maxItems: z.number().optional(),
    minimum: z.number().optional(),
    maximum: z.number().optional(),
    minLength: z.number().optional(),
    maxLength: z.number().optional(),
    format: z.string().optional(),
    $ref: z.string().optional(),
    $defs: z.record(z.string(), schemaSchema).optional(),
  }),
);

export type Random = () => number;
export const pick = <T>(list: readonly T[], random: Random): T => {
  const found = list[Math.floor(random() * list.length)];
  if (found === undefined) throw new Error('nothing to pick from');
  return found;
};

/** What no page would send, of every kind of value. */
const ODD: readonly unknown[] = [
  null,
  true,
  0,
  -1,
  1e308,
  1e-300,
  2 ** 31,
  0.1,
  '',
  ' ',
  'x'.repeat(5000),
  'a\u0000b',
  '\ud800',
  '🔪',
  '=1+1',
  '0000-01-01',
  '9999-12-31',
  '0000-01-01T00:00:00Z',
  "'; drop table kitchen; --",
  '../../etc',
  [],
  {},
  [[]],
  { a: {} },
  Array.from({ length: 500 }, () => 0),
];
const ODD_KEYS = ['__proto__', 'constructor', '', 'nane', '\u0000'];
/** Share of values that are odd, and of objects with an odd key. */
const ODD_SHARE = 0.004;
const DATES = ['2025-01-31', '2026-02-28', '2024-02-29', '1900-01-01', '2999-12-31'];
const TEXTS = ['a', 'Crab “shack” \\ 7', 'ÄÖÜ ß', 'x'.repeat(60), ' spaced ', '🔪 knife', 'line\nbreak', 'tab\there'];
/** Longest list that is made, and deepest nesting. */
const LONGEST = 4;
const DEEPEST = 12;

/** Ids that text may be, by the name of its key: what the rest of the kitchen knows. */
export type Ids = Readonly<Record<string, readonly string[]>>;

export class Maker {
  private readonly root: Schema;

  constructor(
    schema: z.ZodType,
    private readonly ids: Ids,
    private readonly random: Random,
  ) {
    this.root = schemaSchema.parse(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));
  }

  make(): unknown {
    return this.value(this.root, '', 0);
  }

  private value(schema: Schema, key: string, depth: number): unknown {
    const { random } = this;
    if (random() < ODD_SHARE) return pick(ODD, random);
    if (schema.$ref) return this.value(this.referenced(schema.$ref), key, depth);
    if ('const' in schema) return schema.const;
    if (schema.enum) return pick(schema.enum, random);
    if (Array.isArray(schema.type)) return this.value({ ...schema, type: pick(schema.type, random) }, key, depth);
    if (schema.anyOf) return this.value(pick(schema.anyOf, random), key, depth);
    if (schema.type === 'object' || schema.properties) return this.object(schema, depth);
    if (schema.type === 'array') return this.list(schema, key, depth);
    if (schema.type === 'number' || schema.type === 'integer') return this.number(schema);
    if (schema.type === 'boolean') return random() < 0.5;
    if (schema.type === 'null') return null;
    return this.text(schema, key);
  }

  private referenced(ref: string): Schema {
    const name = ref.split('/').at(-1) ?? '';
    return ref === '#' ? this.root : (this.root.$defs?.[name] ?? {});
  }

  private object({ properties = {}, required = [], additionalProperties }: Schema, depth: number): unknown {
    const { random } = this;
    const chance = depth < 2 ? 0.4 : depth > DEEPEST ? 0 : 0.3;
    const made: Record<string, unknown> = {};
    for (const [name, schema] of Object.entries(properties))
      if (required.includes(name) || random() < chance) made[name] = this.value(schema, name, depth + 1);
    if (typeof additionalProperties === 'object')
      for (let n = Math.floor(random() * 3); n > 0; n--)
        made[this.text({}, 'key')] = this.value(additionalProperties, 'value', depth + 1);
    if (random() < ODD_SHARE) made[pick(ODD_KEYS, random)] = 1;
    return made;
  }

  private list({ items = {}, minItems = 0, maxItems = LONGEST }: Schema, key: string, depth: number): unknown[] {
    const most = Math.max(minItems, Math.min(maxItems, depth > DEEPEST ? 0 : LONGEST));
    const length = minItems + Math.floor(this.random() * (most - minItems + 1));
    return Array.from({ length }, () => this.value(items, key.replace(/(?:es|s)$/, ''), depth + 1));
  }

  private number({ type, minimum = 0, maximum = 1000 }: Schema): number {
    const { random } = this;
    const value = pick([minimum, maximum, minimum + random() * (maximum - minimum), Math.ceil(minimum)], random);
    return type === 'integer' ? Math.round(value) : value;
  }

  private text({ format, minLength = 0, maxLength = 80 }: Schema, key: string): string {
    const { random, ids } = this;
    if (format === 'date') return pick(DATES, random);
    if (format === 'date-time') return `${pick(DATES, random)}T12:00:00Z`;
    const known = ids[key];
    if (known && random() < 0.97) return pick(known, random);
    const text = pick(TEXTS, random).slice(0, maxLength);
    return text.length < minLength ? 'x'.repeat(minLength) : text;
  }
}
