import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { LIST_NAME_MOST } from '../../core/blade/words';
import type { ShopList } from '../../core/kit/shop/shopList';
import { plural } from '../../core/text/plural';
import css from './CatalogueView.module.css';
import { ModelTable } from './ModelTable';

const PREVIEWED = 60;

/** A list as it was read, and what to read it from again. */
export interface Preview extends ShopList {
  file: string;
  source: string | string[][];
  currency: string;
  /** What it will be called among the lists. */
  list: string;
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
  onReadAgain: (change: { currency?: string; list?: string }) => void;
  onTake: (models: BladeModel[], duplicates: Duplicates) => void;
  onLeave: () => void;
}

/** A list before it is imported: what it brings, what of it was imported before, what is left out and why. */
export function PreviewedList({ preview, mine, shipped, onReadAgain, onTake, onLeave }: Props) {
  const { taken, left, currency, list } = preview;
  const already = taken.filter(({ model }) => mine.has(model.id)).length;
  return (
    <div className={css.preview}>
      <Summary {...{ preview, already }} />
      <div className={css.row}>
        {taken.some(({ model }) => model.list) && (
          <TextInput
            key={list}
            label="Name of this list"
            description="A kitchen can be planned from it alone."
            defaultValue={list}
            maxLength={LIST_NAME_MOST}
            onBlur={(e) => {
              const name = e.currentTarget.value.trim();
              if (name !== '' && name !== list) onReadAgain({ list: name });
            }}
          />
        )}
        {taken.some(({ told }) => told.some((each) => each.startsWith('price'))) && (
          <NativeSelect
            label="Prices that name no currency are in"
            value={currency}
            data={CURRENCIES}
            onChange={(e) => onReadAgain({ currency: e.currentTarget.value })}
          />
        )}
      </div>
      <ModelTable
        models={taken.slice(0, PREVIEWED).map(({ model }) => model)}
        note={(m) => (shipped.has(m.id) ? 'id of an example' : mine.has(m.id) ? 'imported before' : 'new')}
      />
      {taken.length > PREVIEWED && <p className="faded">…and {taken.length - PREVIEWED} more.</p>}
      {left.length > 0 && <LeftOut rows={left} />}
      <Import models={taken.map(({ model }) => model)} {...{ already, onTake, onLeave }} />
    </div>
  );
}

function Summary({ preview: { file, taken, left }, already }: Pick<Props, 'preview'> & { already: number }) {
  return (
    <p>
      <b>{file}</b>: {plural(taken.length, 'knife', 'knives')} found
      {already > 0 && `, ${already} of them imported before`}
      {left.length > 0 && `; ${plural(left.length, 'row')} left out, with the reason below`}. Nothing is imported yet.
    </p>
  );
}

interface ImportProps extends Pick<Props, 'onTake' | 'onLeave'> {
  models: BladeModel[];
  already: number;
}

function Import({ models, already, onTake, onLeave }: ImportProps) {
  const [duplicates, setDuplicates] = useState<Duplicates>('replace');
  return (
    <div className={css.row}>
      {already > 0 && (
        <NativeSelect
          label="Knives imported before"
          value={duplicates}
          data={[
            { value: 'replace', label: 'Replace' },
            { value: 'skip', label: 'Keep as they are' },
          ]}
          onChange={(e) => setDuplicates(e.currentTarget.value === 'skip' ? 'skip' : 'replace')}
        />
      )}
      <Button className={css.first ?? ''} disabled={models.length === 0} onClick={() => onTake(models, duplicates)}>
        Import {plural(models.length, 'knife', 'knives')}
      </Button>
      <Button variant="default" onClick={() => onLeave()}>
        Cancel
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
