import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useDeferredValue, useMemo, useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { listsOf } from '../../core/catalogue/lists';
import { typeName } from '../shared/words';
import { browsed, DESCRIBED, EVERYTHING, EXAMPLES, listKey, originOf, type Browsing } from './browse';
import css from './CatalogueView.module.css';
import { ModelTable } from './ModelTable';

/** Rows shown at first, and more with every press. */
const ROWS = 40;

const ORDERS: { value: Browsing['order']; label: string }[] = [
  { value: 'name', label: 'Name' },
  { value: 'price', label: 'Price, lowest first' },
  { value: 'length', label: 'Length, shortest first' },
];

interface Props {
  models: readonly BladeModel[];
  own: ReadonlySet<string>;
  onRemove: (id: string) => void;
}

/** Every model there is, searched and filtered: the examples and each list brought in. */
export function Browse({ models, own, onRemove }: Props) {
  const [how, setHow] = useState(EVERYTHING);
  const [rows, setRows] = useState(ROWS);
  const asked = useDeferredValue(how);
  const found = useMemo(() => browsed(models, own, asked), [models, own, asked]);
  const change = (part: Partial<Browsing>) => {
    setHow((now) => ({ ...now, ...part }));
    setRows(ROWS);
  };
  const lists = useMemo(() => listsOf(models), [models]);
  const names = new Map([
    ['', 'Everywhere'],
    [EXAMPLES, 'Examples'],
    ...lists.map((list) => [listKey(list), list] as const),
    ...(own.size > 0 ? [[DESCRIBED, 'Described here'] as const] : []),
  ]);
  return (
    <>
      <Controls {...{ how, models, names, change }} found={found.length} />
      {found.length === 0 && models.length > 0 && (
        <p>
          No knife fits.{' '}
          <Button size="compact-sm" variant="default" onClick={() => change(EVERYTHING)}>
            Show all knives
          </Button>
        </p>
      )}
      <ModelTable
        models={found.slice(0, rows)}
        note={(model) => names.get(originOf(model, own)) ?? ''}
        removable={own}
        onRemove={onRemove}
      />
      {found.length > rows && (
        <div>
          <Button variant="default" onClick={() => setRows(rows + ROWS)}>
            Show {Math.min(ROWS, found.length - rows)} more
          </Button>
        </div>
      )}
    </>
  );
}

interface ControlsProps {
  how: Browsing;
  models: readonly BladeModel[];
  /** What each place a model comes from is called. */
  names: ReadonlyMap<string, string>;
  found: number;
  change: (part: Partial<Browsing>) => void;
}

function Controls({ how, models, names, found, change }: ControlsProps) {
  const kinds = useMemo(() => kindsOf(models), [models]);
  return (
    <div className={css.row} role="group" aria-label="Search and filter">
      <TextInput
        label="Find"
        placeholder="name, maker or kind"
        value={how.search}
        onChange={(e) => change({ search: e.currentTarget.value })}
      />
      <NativeSelect
        label="Kind"
        value={how.type}
        data={[{ value: '', label: 'All kinds' }, ...kinds]}
        onChange={(e) => change({ type: e.currentTarget.value })}
      />
      <NativeSelect
        label="From"
        value={how.from}
        data={[...names].map(([value, label]) => ({ value, label }))}
        onChange={(e) => change({ from: e.currentTarget.value })}
      />
      <NativeSelect
        label="Sorted by"
        value={how.order}
        data={ORDERS}
        onChange={(e) => change({ order: ORDERS.find((o) => o.value === e.currentTarget.value)?.value ?? 'name' })}
      />
      <p role="status" className={css.count}>
        <span className="figure">{found}</span> of <span className="figure">{models.length}</span> knives
      </p>
    </div>
  );
}

const kindsOf = (models: readonly BladeModel[]) =>
  [...new Set(models.map(({ type }) => type))]
    .map((value) => ({ value, label: typeName(value) }))
    .sort((a, b) => a.label.localeCompare(b.label));
