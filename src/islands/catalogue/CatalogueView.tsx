import { Button, NativeSelect, SegmentedControl } from '@mantine/core';
import { useEffect, useState } from 'react';
import { kindWords } from '../../../data/kindWords';
import { reference } from '../../../data/reference';
import { addModels, deleteModel, fetchCatalogue } from '../../client/catalogue';
import type { BladeModel } from '../../core/blade/schema';
import { FaultyInput, type Fault } from '../../core/formats/faults';
import { assumedFigures } from '../../core/formats/figures';
import { readListRows, readModelsText } from '../../core/kit/shop/listFile';
import type { ShopList } from '../../core/kit/shop/shopList';
import { fromMinor } from '../../core/money/currency';
import { textOf } from '../../core/formats/bytes';
import { Dress } from '../shared/Dress';
import { faultsIn } from '../shared/faultsIn';
import { FaultList } from '../shared/FaultList';
import { Masthead } from '../shared/Masthead';
import { readSheetFile } from '../shared/useSheets';
import { money, typeName } from '../shared/words';
import { BladeForm } from './BladeForm';
import css from './CatalogueView.module.css';
import { useLengths } from '../shared/units';

/** Largest catalogue file read, bytes. */
const MAX_BYTES = 6 * 1024 * 1024;
const PREVIEWED = 60;

/** A list as it was read, and what to read it from again. */
interface Preview extends ShopList {
  file: string;
  source: string | string[][];
  currency: string;
}

const MOST_SHOWN_LEFT = 40;
/** Currencies a list without any is most likely in. */
const CURRENCIES = ['EUR', 'GBP', 'USD', 'CHF', 'CAD', 'AUD', 'SEK', 'DKK', 'NOK', 'PLN', 'JPY'];

function readSource(source: string | string[][], shipped: readonly BladeModel[], currency: string): ShopList {
  const knowledge = { reference, words: kindWords, models: shipped, hand: 'right' as const, currency };
  return typeof source === 'string' ? readModelsText(source, knowledge) : readListRows(source, knowledge);
}

async function sourceOf(file: File): Promise<string | string[][]> {
  if (file.size > MAX_BYTES) throw new FaultyInput([{ path: 'file', message: 'is larger than 6 MB; split it' }]);
  if (!/\.xlsx$/i.test(file.name)) return textOf(new Uint8Array(await file.arrayBuffer()));
  return readSheetFile(file).catch(() => {
    throw new FaultyInput([{ path: 'file', message: 'is no spreadsheet that can be read: save it as .xlsx or CSV' }]);
  });
}

/** Models of one's own beside the shipped ones: brought in from a shop's list, or described and drawn here. */
export default function CatalogueView() {
  return (
    <Dress>
      <Masthead />
      <Catalogue />
    </Dress>
  );
}

function Catalogue() {
  const [catalogue, setCatalogue] = useState<Awaited<ReturnType<typeof fetchCatalogue>>>({ models: [], own: [] });
  const [preview, setPreview] = useState<Preview | null>(null);
  const [duplicates, setDuplicates] = useState<'skip' | 'replace'>('replace');
  const [trouble, setTrouble] = useState<{ title: string; faults: Fault[] } | null>(null);
  const [told, setTold] = useState('');

  const mine = new Set(catalogue.own);
  const own = catalogue.models.filter((m) => mine.has(m.id));
  const shipped = new Set(catalogue.models.filter((m) => !mine.has(m.id)).map((m) => m.id));

  useEffect(() => {
    fetchCatalogue()
      .then(setCatalogue)
      .catch((error: unknown) =>
        setTrouble({ title: 'The catalogue could not be read', faults: faultsIn(error, 'catalogue') }),
      );
  }, []);
  const reload = async () => setCatalogue(await fetchCatalogue());

  const read = async (file: File | undefined) => {
    if (!file) return;
    setTold('');
    setPreview(null);
    setTrouble(null);
    try {
      const source = await sourceOf(file);
      const models = catalogue.models.filter((m) => shipped.has(m.id));
      setPreview({ file: file.name, source, currency: 'EUR', ...readSource(source, models, 'EUR') });
    } catch (error) {
      setTrouble({ title: `${file.name} was not read; nothing was taken over`, faults: faultsIn(error, 'catalogue') });
    }
  };
  const inCurrency = (currency: string) =>
    setPreview((now) => {
      const models = catalogue.models.filter((m) => shipped.has(m.id));
      return now && { ...now, currency, ...readSource(now.source, models, currency) };
    });

  const take = async (models: BladeModel[], how: 'skip' | 'replace') => {
    setTrouble(null);
    try {
      const { added, replaced, skipped } = await addModels(models, how);
      setTold(`${added} added, ${replaced} replaced, ${skipped} left as they were.`);
      setPreview(null);
      await reload();
      return true;
    } catch (error) {
      setTrouble({ title: 'Nothing was taken over', faults: faultsIn(error, 'catalogue') });
      return false;
    }
  };

  const remove = async (id: string) => {
    try {
      await deleteModel(id);
      await reload();
    } catch (error) {
      setTrouble({ title: 'It was not removed', faults: faultsIn(error, 'catalogue') });
    }
  };

  return (
    <main id="main" className={css.page}>
      <header className={css.intro}>
        <h1>Your own models</h1>
        <p>
          Bring in a shop’s list, or describe a blade by its numbers: it is scored and drawn like any other. They stand
          beside the <span className="figure">{shipped.size}</span> shipped models, for this browser alone.
        </p>
      </header>
      {trouble && <FaultList {...trouble} onClose={() => setTrouble(null)} />}
      <p role="status" className={css.told}>
        {told}
      </p>

      <section>
        <h2>Bring in a list</h2>
        <p>
          A shop’s list as CSV or spreadsheet: a name and a price in each row are enough, in English or German. Length,
          weight and the rest are read where they stand, and taken from the kind’s usual build where they do not. Or a
          list of this application: <a href="/api/catalogue/file?as=csv">All models as CSV</a> ·{' '}
          <a href="/api/catalogue/file">as JSON</a>
          {own.length > 0 && (
            <>
              {' '}
              · <a href="/api/catalogue/file?of=own&as=csv">your own as CSV</a> ·{' '}
              <a href="/api/catalogue/file?of=own">as JSON</a>
            </>
          )}
        </p>
        <input
          type="file"
          accept=".csv,.tsv,.txt,.xlsx,.json"
          aria-label="Catalogue file"
          className={css.file}
          onChange={(e) => {
            void read(e.currentTarget.files?.[0]);
            e.currentTarget.value = '';
          }}
        />
        {preview && (
          <div className={css.preview}>
            <p>
              <b>{preview.file}</b>: <span className="figure">{preview.taken.length}</span>{' '}
              {preview.taken.length === 1 ? 'model' : 'models'}, of which{' '}
              <span className="figure">{preview.taken.filter(({ model }) => mine.has(model.id)).length}</span> are there
              already
              {preview.left.length > 0 && (
                <>
                  ; <span className="figure">{preview.left.length}</span> {preview.left.length === 1 ? 'row' : 'rows'}{' '}
                  left out, with the reason below
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
                  onChange={(e) => inCurrency(e.currentTarget.value)}
                />
              </div>
            )}
            <ModelTable
              models={preview.taken.slice(0, PREVIEWED).map(({ model }) => model)}
              note={(m) => (shipped.has(m.id) ? 'id of a shipped model' : mine.has(m.id) ? 'there already' : 'new')}
            />
            {preview.taken.length > PREVIEWED && <p className="faded">…and {preview.taken.length - PREVIEWED} more.</p>}
            {preview.left.length > 0 && (
              <details open className={css.left}>
                <summary>Left out</summary>
                <ul>
                  {preview.left.slice(0, MOST_SHOWN_LEFT).map(({ row, text, why }) => (
                    <li key={row}>
                      <span className="figure">row {row}</span> {text} <small>{why}</small>
                    </li>
                  ))}
                </ul>
                {preview.left.length > MOST_SHOWN_LEFT && (
                  <p className="faded">…and {preview.left.length - MOST_SHOWN_LEFT} more.</p>
                )}
              </details>
            )}
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
                  void take(
                    preview.taken.map(({ model }) => model),
                    duplicates,
                  )
                }
              >
                Take them over
              </Button>
              <Button variant="default" onClick={() => setPreview(null)}>
                Leave it
              </Button>
            </div>
          </div>
        )}
      </section>

      {own.length > 0 && (
        <section>
          <h2>What you have</h2>
          <ModelTable models={own} note={() => ''} onRemove={(id) => void remove(id)} />
        </section>
      )}

      <section>
        <h2>Describe a blade</h2>
        <BladeForm taken={new Set([...mine, ...shipped])} onSave={(model) => take([model], 'skip')} />
      </section>
    </main>
  );
}

function ModelTable({
  models,
  note,
  onRemove,
}: {
  models: BladeModel[];
  note: (model: BladeModel) => string;
  onRemove?: (id: string) => void;
}) {
  const { length } = useLengths();
  return (
    <div className={css.scroll}>
      <table>
        <tbody>
          {models.map((model) => (
            <tr key={model.id}>
              <th scope="row">{model.name}</th>
              <td>{typeName(model.type)}</td>
              <td className="figure">{length(model.lengthMm)}</td>
              <td className="figure">{money(fromMinor(model.priceMinor, model.currency), model.currency)}</td>
              <td className="faded">
                {note(model)}
                {assumedFigures(model).length > 0 && (
                  <small>taken from its kind: {assumedFigures(model).join(', ')}</small>
                )}
              </td>
              {onRemove && (
                <td>
                  <Button
                    size="compact-xs"
                    variant="default"
                    aria-label={`Remove ${model.name}`}
                    onClick={() => onRemove(model.id)}
                  >
                    Remove
                  </Button>
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
