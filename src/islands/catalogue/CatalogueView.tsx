import { useEffect, useState } from 'react';
import { kindWords } from '../../../data/kindWords';
import { reference } from '../../../data/reference';
import { addModels, deleteModel, fetchCatalogue } from '../../client/catalogue';
import type { BladeModel } from '../../core/blade/schema';
import { FaultyInput, type Fault } from '../../core/formats/faults';
import { readListRows, readModelsText } from '../../core/kit/shop/listFile';
import type { ShopList } from '../../core/kit/shop/shopList';
import { textOf } from '../../core/formats/bytes';
import { Dress } from '../shared/Dress';
import { faultsIn } from '../shared/faultsIn';
import { FaultList } from '../shared/FaultList';
import { Masthead } from '../shared/Masthead';
import { readSheetFile } from '../shared/useSheets';
import { BladeForm } from './BladeForm';
import css from './CatalogueView.module.css';
import { ModelTable } from './ModelTable';
import { type Preview, PreviewedList } from './PreviewedList';

/** Largest catalogue file read, bytes. */
const MAX_BYTES = 6 * 1024 * 1024;
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
          <PreviewedList
            preview={preview}
            mine={mine}
            shipped={shipped}
            onCurrency={inCurrency}
            onTake={(models, how) => void take(models, how)}
            onLeave={() => setPreview(null)}
          />
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
