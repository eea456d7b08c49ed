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

interface Props {
  preview: Preview;
  /** Ids of one's own models, and of the shipped ones. */
  mine: ReadonlySet<string>;
  shipped: ReadonlySet<string>;
  onCurrency: (currency: string) => void;
  onTake: (models: BladeModel[], duplicates: Duplicates) => void;
  onLeave: () => void;
}

/** A list before it is taken over: what it brings, what of it is there already, what is left out and why. */
export function PreviewedList({ preview, mine, shipped, onCurrency, onTake, onLeave }: Props) {
  const { taken, left, currency } = preview;
  return (
    <div className={css.preview}>
      <Summary preview={preview} mine={mine} />
      {taken.some(({ told }) => told.some((each) => each.startsWith('price'))) && (
        <div className={css.row}>
          <NativeSelect
            label="Prices that name no currency are in"
            value={currency}
            data={CURRENCIES}
            onChange={(e) => onCurrency(e.currentTarget.value)}
          />
        </div>
      )}
      <ModelTable
        models={taken.slice(0, PREVIEWED).map(({ model }) => model)}
        note={(m) => (shipped.has(m.id) ? 'id of a shipped model' : mine.has(m.id) ? 'there already' : 'new')}
      />
      {taken.length > PREVIEWED && <p className="faded">…and {taken.length - PREVIEWED} more.</p>}
      {left.length > 0 && <LeftOut rows={left} />}
      <TakeOver models={taken.map(({ model }) => model)} onTake={onTake} onLeave={onLeave} />
    </div>
  );
}

function Summary({ preview: { file, taken, left }, mine }: Pick<Props, 'preview' | 'mine'>) {
  const already = taken.filter(({ model }) => mine.has(model.id)).length;
  return (
    <p>
      <b>{file}</b>: <span className="figure">{taken.length}</span> {taken.length === 1 ? 'model' : 'models'}, of which{' '}
      <span className="figure">{already}</span> {already === 1 ? 'is' : 'are'} there already
      {left.length > 0 && (
        <>
          ; <span className="figure">{left.length}</span> {left.length === 1 ? 'row' : 'rows'} left out, with the reason
          below
        </>
      )}
      . Nothing is taken over yet.
    </p>
  );
}

function TakeOver({ models, onTake, onLeave }: Pick<Props, 'onTake' | 'onLeave'> & { models: BladeModel[] }) {
  const [duplicates, setDuplicates] = useState<Duplicates>('replace');
  return (
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
      <Button className={css.first ?? ''} disabled={models.length === 0} onClick={() => onTake(models, duplicates)}>
        Take them over
      </Button>
      <Button variant="default" onClick={() => onLeave()}>
        Leave it
      </Button>
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
