import type { MatchTable } from '../../workers/stock';

export const TASK_ORDERS = [
  { id: 'load', name: 'Minutes a week' },
  { id: 'group', name: 'Group' },
  { id: 'name', name: 'Name' },
] as const;
export const BLADE_ORDERS = [
  { id: 'worth', name: 'Use in this kitchen' },
  { id: 'price', name: 'Price' },
  { id: 'length', name: 'Length' },
  { id: 'name', name: 'Name' },
] as const;
export const ROLE_NAMES: Record<string, string> = {
  all: 'All kinds',
  general: 'General',
  vegetable: 'Vegetable',
  small: 'Small',
  serrated: 'Serrated',
  slicer: 'Slicers',
  butchery: 'Butchery',
  fish: 'Fish',
  table: 'Table',
  other: 'Other',
};

export interface Arrangement {
  tasks: (typeof TASK_ORDERS)[number]['id'];
  blades: (typeof BLADE_ORDERS)[number]['id'];
  role: string;
  search: string;
  mineOnly: boolean;
  keptOnly: boolean;
}

/** Rows and columns to show, as indices into the table, in order. */
export interface Arranged {
  rows: number[];
  columns: number[];
  /** True where a row begins a new group. */
  begins: Set<number>;
}

const PLACE_RANK = { drawer: 0, kit: 1, catalogue: 2 } as const;
const order = <T extends string | number>(a: T, b: T) => (a < b ? -1 : a > b ? 1 : 0);

/** Sorts, filters and groups a match. What is in the drawer and the kit comes before the catalogue when blades are ordered by use. */
export function arrange(table: MatchTable, how: Arrangement): Arranged {
  const words = how.search.trim().toLowerCase();
  const rowName = (i: number) => table.rows[i]?.name.toLowerCase() ?? '';
  const columnName = (i: number) => {
    const blade = table.columns[i]?.blade;
    return blade ? `${blade.name} ${blade.maker}`.toLowerCase() : '';
  };
  const rows = table.rows.map((_, i) => i);
  const columns = table.columns.map((_, i) => i);
  // the words may mean a task or a blade: they narrow whichever of the two they fit
  const fitsRows = words !== '' && rows.some((i) => rowName(i).includes(words));
  const fitsColumns = words !== '' && columns.some((i) => columnName(i).includes(words));

  const keptRows = rows
    .filter((i) => !how.mineOnly || (table.rows[i]?.minutesPerWeek ?? 0) > 0)
    .filter((i) => !fitsRows || rowName(i).includes(words))
    .sort((a, b) => {
      if (how.tasks === 'name') return order(rowName(a), rowName(b));
      if (how.tasks === 'group') return a - b;
      return (table.rows[b]?.minutesPerWeek ?? 0) - (table.rows[a]?.minutesPerWeek ?? 0) || a - b;
    });
  const keptColumns = columns
    .filter((i) => !how.keptOnly || table.columns[i]?.place !== 'catalogue')
    .filter((i) => how.role === 'all' || table.columns[i]?.role === how.role)
    .filter((i) => !fitsColumns || columnName(i).includes(words))
    .sort((a, b) => {
      const [x, y] = [table.columns[a], table.columns[b]];
      if (!x || !y) return 0;
      if (how.blades === 'name') return order(columnName(a), columnName(b)) || a - b;
      if (how.blades === 'price') return x.blade.priceMinor - y.blade.priceMinor || a - b;
      if (how.blades === 'length') return x.blade.lengthMm - y.blade.lengthMm || a - b;
      return PLACE_RANK[x.place] - PLACE_RANK[y.place] || (table.worth[b] ?? 0) - (table.worth[a] ?? 0) || a - b;
    });
  const begins = new Set<number>();
  if (how.tasks === 'group')
    keptRows.forEach((row, at) => {
      if (at === 0 || table.rows[row]?.group !== table.rows[keptRows[at - 1] ?? -1]?.group) begins.add(row);
    });
  return { rows: keptRows, columns: keptColumns, begins };
}
