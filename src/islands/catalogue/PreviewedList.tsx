import { Button, NativeSelect, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { ShopList } from '../../core/kit/shop/shopList';
import css from './CatalogueView.module.css';
import { ModelTable } from './ModelTable';

const PREVIEWED = 60;

/** A list as it was read, and what to read it from again. */
export interface Preview extends ShopList {
  file: string;
  source: string | string[][];
  currency: string;
}

const MOST_SHOWN_LEFT = 40;
/** Currencies a list without any is most likely in. */
const CURRENCIES = ['EUR', 'GBP', 'USD', 'CHF', 'CAD', 'AUD', 'SEK', 'DKK', 'NOK', 'PLN', 'JPY'];

type Duplicates = 'skip' | 'replace';

/** A list before it is taken over: what it brings, what of it is there already, what is left out and why. */
export function PreviewedList({
  preview,
  mine,
  shipped,
  onCurrency,
  onTake,
  onLeave,
}: {
  preview: Preview;
  /** Ids of one's own models, and of the shipped ones. */
  mine: ReadonlySet<string>;
  shipped: ReadonlySet<string>;
  onCurrency: (currency: string) => void;
  onTake: (models: BladeModel[], duplicates: Duplicates) => void;
  onLeave: () => void;
}) {
  const [duplicates, setDuplicates] = useState<Duplicates>('replace');
  return (
    <div className={css.preview}>
      <p>
        <b>{preview.file}</b>: <span className="figure">{preview.taken.length}</span>{' '}
        {preview.taken.length === 1 ? 'model' : 'models'}, of which{' '}
        <span className="figure">{preview.taken.filter(({ model }) => mine.has(model.id)).length}</span> are there
        already
        {preview.left.length > 0 && (
          <>
            ; <span className="figure">{preview.left.length}</span> {preview.left.length === 1 ? 'row' : 'rows'} left
            out, with the reason below
          </>
        )}
        . Nothing is taken over yet.
      </p>
      {preview.taken.some(({ told }) => told.some((each) => each.startsWith('price'))) && (
        <div className={css.row}>
          <NativeSelect
            label="Prices that name no currency are in"
            value={preview.currency}
            data={CURRENCIES}
            onChange={(e) => onCurrency(e.currentTarget.value)}
          />
        </div>
      )}
      <ModelTable
        models={preview.taken.slice(0, PREVIEWED).map(({ model }) => model)}
        note={(m) => (shipped.has(m.id) ? 'id of a shipped model' : mine.has(m.id) ? 'there already' : 'new')}
      />
      {preview.taken.length > PREVIEWED && <p className="faded">…and {preview.taken.length - PREVIEWED} more.</p>}
      {preview.left.length > 0 && <LeftOut rows={preview.left} />}
      <div className={css.row}>
        <span>What is there already is</span>
        <SegmentedControl
          aria-label="What is there already is"
          value={duplicates}
          data={[
            { value: 'replace', label: 'replaced' },
            { value: 'skip', label: 'left' },
          ]}
          onChange={(value) => setDuplicates(value === 'skip' ? 'skip' : 'replace')}
        />
        <Button
          className={css.first ?? ''}
          disabled={preview.taken.length === 0}
          onClick={() =>
            onTake(
              preview.taken.map(({ model }) => model),
              duplicates,
            )
          }
        >
          Take them over
        </Button>
        <Button variant="default" onClick={() => onLeave()}>
          Leave it
        </Button>
      </div>
    </div>
  );
}

/** Rows that cannot be used, each with its reason. */
function LeftOut({ rows }: { rows: Preview['left'] }) {
  return (
    <details open className={css.left}>
      <summary>Left out</summary>
      <ul>
        {rows.slice(0, MOST_SHOWN_LEFT).map(({ row, text, why }) => (
          <li key={row}>
            <span className="figure">row {row}</span> {text} <small>{why}</small>
          </li>
        ))}
      </ul>
      {rows.length > MOST_SHOWN_LEFT && <p className="faded">…and {rows.length - MOST_SHOWN_LEFT} more.</p>}
    </details>
  );
}
