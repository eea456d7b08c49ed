// The tables of docs/formats.md: keys and values read from the schemas, what they mean from data/formatKeys.json.
import keys from '../data/formatKeys.json';
import { DEFAULTS } from '../src/core/kitchen/defaults';
import { jsonSchemaOf, SCHEMA_NAMES } from '../src/core/formats/jsonSchemas';
import { z } from '../src/core/zod';

/** As much of a JSON Schema as a table tells. */
const nodeSchema = z.object({
  type: z.union([z.string(), z.array(z.string())]).optional(),
  const: z.union([z.string(), z.number(), z.boolean()]).optional(),
  enum: z.array(z.union([z.string(), z.number(), z.null()])).optional(),
  format: z.string().optional(),
  minimum: z.number().optional(),
  maximum: z.number().optional(),
  maxLength: z.number().optional(),
  maxItems: z.number().optional(),
  prefixItems: z.array(z.unknown()).optional(),
  items: z.unknown().optional(),
  properties: z.record(z.string(), z.unknown()).optional(),
  anyOf: z.array(z.unknown()).optional(),
  oneOf: z.array(z.unknown()).optional(),
});
type Node = z.infer<typeof nodeSchema>;

const aboutSchema = z.record(z.string(), z.union([z.string(), z.tuple([z.string(), z.string()])]));
const ABOUT = z.record(z.string(), aboutSchema).parse(keys);
export const FORMATS_WITH_TABLES = SCHEMA_NAMES.filter((name) => name in ABOUT);
export type TableName = (typeof FORMATS_WITH_TABLES)[number];

interface Row {
  key: string;
  values: string;
}

const alternatives = (node: Node): Node[] => (node.anyOf ?? node.oneOf ?? []).map((each) => nodeSchema.parse(each));

/** What a value may be, in a few words. */
function valuesOf(node: Node): string {
  const others = alternatives(node);
  if (others.length > 0) return [...new Set(others.map(valuesOf))].join(' or ');
  if (node.const !== undefined) return `\`${String(node.const)}\``;
  if (node.enum) return node.enum.map(String).join(', ');
  const { minimum, maximum } = node;
  switch (node.type) {
    case 'null':
      return 'null';
    case 'boolean':
      return 'true, false';
    case 'string':
      return node.format === 'date' ? 'a date' : node.maxLength ? `text, at most ${node.maxLength}` : 'text';
    case 'integer':
    case 'number': {
      const kind = node.type === 'integer' ? 'whole number' : 'number';
      if (minimum === undefined && maximum === undefined) return kind;
      const whole = node.type === 'integer' ? ', whole' : '';
      if (maximum === undefined || maximum >= Number.MAX_SAFE_INTEGER) return `${minimum ?? 0} or more${whole}`;
      return `${minimum ?? 0}–${maximum}${whole}`;
    }
    case 'array':
      return node.prefixItems
        ? `[${node.prefixItems.map((each) => valuesOf(nodeSchema.parse(each))).join(', ')}]`
        : 'list';
    case 'object':
      return 'object';
    default:
      return 'anything';
  }
}

/** Every key of a schema in its order, lists as `key[]`; parts told elsewhere are not opened. */
export function rowsOf(name: TableName): Row[] {
  const rows: Row[] = [];
  const told = ABOUT[name] ?? {};
  const isElsewhere = (key: string) => /(^|, )as `/.test(meaning(told[key]));
  const add = (row: Row) => rows.every(({ key }) => key !== row.key) && rows.push(row);
  const walk = (raw: unknown, key: string) => {
    const node = nodeSchema.parse(raw);
    const parts = alternatives(node).filter(({ type }) => type === 'object' || type === 'array');
    const of = parts.length === 1 && parts[0] ? parts[0] : node;
    if (parts.length > 1)
      for (const part of parts) {
        const kind = nodeSchema.parse(part.properties?.kind ?? {}).const;
        if (kind !== undefined) add({ key: `${key} of kind ${String(kind)}`, values: 'object' });
        walk(part, key);
      }
    else if (of.properties && !isElsewhere(key)) {
      if (key && told[key] !== undefined) add({ key, values: `object${of === node ? '' : ' or null'}` });
      for (const [part, inside] of Object.entries(of.properties)) {
        const at = key ? `${key}.${part}` : part;
        if (part !== 'kind') walk(inside, at);
      }
    } else if (of.items !== undefined && !of.prefixItems) {
      const item = nodeSchema.parse(of.items);
      const most = of.maxItems ? `, at most ${of.maxItems}` : '';
      const isPlain = !item.properties && alternatives(item).length === 0;
      const list = told[key] === undefined ? `${key}[]` : key;
      if (isPlain || told[list] !== undefined)
        add({
          key: list,
          values: `list${isPlain ? ` of ${valuesOf(item)}` : ''}${most}${of === node ? '' : ' or null'}`,
        });
      if (!isPlain && !isElsewhere(list)) walk(item, list);
    } else add({ key, values: valuesOf(node) });
  };
  walk(jsonSchemaOf(name), '');
  return rows;
}

const meaning = (about: string | [string, string] | undefined): string =>
  about === undefined ? '' : typeof about === 'string' ? about : about[0];

/** `$board.lengthMm` to what is taken for granted of it. */
const withDefaults = (text: string): string =>
  text.replace(/\$([a-zA-Z]+(?:\.[a-zA-Z]+)?)/g, (_, path: string) => {
    const value = path
      .split('.')
      .reduce<unknown>((at, key) => z.record(z.string(), z.unknown()).parse(at)[key], DEFAULTS);
    return z.union([z.string(), z.number(), z.boolean()]).parse(value).toString();
  });

/** Keys that are told and not there, and keys that are there and not told. */
export function untold(name: TableName): { missing: string[]; needless: string[] } {
  const about = ABOUT[name] ?? {};
  const rows = rowsOf(name).map(({ key }) => key);
  return {
    missing: rows.filter((key) => !(key in about)),
    needless: Object.keys(about).filter((key) => !rows.includes(key)),
  };
}

/** The table of a format, in Markdown. */
export function tableOf(name: TableName): string {
  const about = ABOUT[name] ?? {};
  const hasUnsaid = Object.values(about).some((each) => typeof each !== 'string');
  const lines = rowsOf(name).map(({ key, values }) => {
    const told = about[key];
    const unsaid = Array.isArray(told) ? withDefaults(told[1]) : '';
    const cells = [`\`${key}\``, values, withDefaults(meaning(told)), ...(hasUnsaid ? [unsaid] : [])];
    return `| ${cells.join(' | ')} |`;
  });
  const head = ['key', 'values', 'meaning', ...(hasUnsaid ? ['when not said'] : [])];
  return [`| ${head.join(' | ')} |`, `|${head.map(() => '---|').join('')}`, ...lines].join('\n');
}

/** The page with every table, between its marks, as the schemas are now. */
export const withTables = (page: string): string =>
  page.replace(/<!-- table: (\w+) -->[^]*?<!-- end -->/g, (whole, name: string) => {
    const known = FORMATS_WITH_TABLES.find((each) => each === name);
    return known ? `<!-- table: ${name} -->\n\n${tableOf(known)}\n\n<!-- end -->` : whole;
  });
