/** What a column of a shop's list tells. */
export type Column =
  | 'id'
  | 'name'
  | 'kind'
  | 'maker'
  | 'price'
  | 'currency'
  | 'length'
  | 'height'
  | 'weight'
  | 'hardness'
  | 'thickness'
  | 'angle'
  | 'steel'
  | 'handle'
  | 'bevel';

/** Usual headings in English and German, the most telling first: a heading belongs to the first whose words it holds. */
const HEADINGS: readonly [Column, RegExp][] = [
  ['currency', /\b(currency|waehrung|wahrung)\b/],
  ['price', /\b(price|prices|preis|verkaufspreis|vk|uvp|rrp|msrp|cost|betrag|brutto)\b/],
  ['hardness', /\b(hardness|harte|haerte|hrc|rockwell)\b/],
  ['angle', /\b(angle|winkel|schleifwinkel|schneidenwinkel)\b/],
  ['thickness', /\b(thickness|spine|dicke|klingenstarke|ruckenstarke|starke)\b/],
  ['height', /\b(height|heel|klingenhohe|hohe|blade width|klingenbreite)\b/],
  ['weight', /\b(weight|gewicht)\b/],
  ['length', /\b(length|lange|klingenlange|laenge|edge|size|grosse|blade)\b/],
  ['maker', /\b(maker|brand|manufacturer|hersteller|marke|make|schmied)\b/],
  ['steel', /\b(steel|stahl|stahlsorte|material|klingenmaterial)\b/],
  ['handle', /\b(handle|griff|griffform|griffmaterial)\b/],
  ['bevel', /\b(bevel|schliff|anschliff|grind)\b/],
  ['kind', /\b(type|kind|category|art|messerart|typ|kategorie|messertyp|form)\b/],
  [
    'name',
    /\b(name|product|title|description|article|item|bezeichnung|produkt|artikel|titel|beschreibung|artikelbezeichnung|modell|model|text)\b/,
  ],
  ['id', /\b(id|sku|ean|gtin|code|nummer|number|nr|no|artikelnummer|bestellnummer)\b/],
];

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/ß/g, 'ss')
    .replace(/[^a-z0-9]+/g, ' ')
    .trim();

/** Which column tells what, and the heading's own words for units. */
export interface Columns {
  at: Partial<Record<Column, number>>;
  headings: readonly string[];
  /** Index of the row of headings. */
  row: number;
}

/** Rows looked at for headings. */
const MOST_ROWS = 12;

function columnsOf(headings: readonly string[]): Columns['at'] {
  const at: Columns['at'] = {};
  headings.forEach((heading, i) => {
    const words = plain(heading);
    const isNumber = /\b(number|nummer|nr|no|sku|ean)\b/.test(words);
    const column = isNumber ? 'id' : HEADINGS.find(([, pattern]) => pattern.test(words))?.[0];
    if (column && at[column] === undefined) at[column] = i;
  });
  return at;
}

/** The row of headings of a list: the first that names a product and its price; null where there is none. */
export function findColumns(rows: readonly (readonly string[])[]): Columns | null {
  for (const [row, headings] of rows.slice(0, MOST_ROWS).entries()) {
    const at = columnsOf(headings);
    if (at.price === undefined) continue;
    const named = at.name ?? at.kind;
    if (named !== undefined) return { at: { ...at, name: named }, headings, row };
  }
  return null;
}
