import { Dress } from '../shared/Dress';
import { FaultList } from '../shared/FaultList';
import { Masthead } from '../shared/Masthead';
import { BladeForm } from './BladeForm';
import css from './CatalogueView.module.css';
import { ModelTable } from './ModelTable';
import { PreviewedList } from './PreviewedList';
import { useOwnModels, usePreview } from './useOwnModels';

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
  const models = useOwnModels();
  const { own, shipped, take, remove, trouble, setTrouble, told } = models;
  const mine = new Set(own.map(({ id }) => id));
  const theirs = new Set(shipped.map(({ id }) => id));
  return (
    <main id="main" className={css.page}>
      <header className={css.intro}>
        <h1>Your own models</h1>
        <p>
          Bring in a shop’s list, or describe a blade by its numbers: it is scored and drawn like any other, for this
          browser alone. The <span className="figure">{shipped.length}</span> models that come with Scabbard are
          invented: they are examples to plan with, and no shop sells them.
        </p>
      </header>
      {trouble && <FaultList {...trouble} onClose={() => setTrouble(null)} />}
      <p role="status" className={css.told}>
        {told}
      </p>
      <BringIn models={models} mine={mine} shipped={theirs} />
      {own.length > 0 && (
        <section>
          <h2>What you have</h2>
          <ModelTable models={own} note={() => ''} onRemove={(id) => void remove(id)} />
        </section>
      )}
      <section>
        <h2>Describe a blade</h2>
        <BladeForm taken={new Set([...mine, ...theirs])} onSave={(model) => take([model], 'skip')} />
      </section>
    </main>
  );
}

/** A list brought in, looked at and taken over. */
function BringIn({
  models,
  mine,
  shipped,
}: {
  models: ReturnType<typeof useOwnModels>;
  mine: Set<string>;
  shipped: Set<string>;
}) {
  const { preview, read, leave, inCurrency, takeOver } = usePreview(models);
  return (
    <section>
      <h2>Bring in a list</h2>
      <p>
        A shop’s list as CSV or spreadsheet: a name and a price in each row are enough, in English or German. Length,
        weight and the rest are read where they stand, and taken from the kind’s usual build where they do not. Or a
        list of this application: <a href="/api/catalogue/file?as=csv">All models as CSV</a> ·{' '}
        <a href="/api/catalogue/file">as JSON</a>
        {mine.size > 0 && (
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
          const file = e.currentTarget.files?.[0];
          if (file) void read(file);
          e.currentTarget.value = '';
        }}
      />
      {preview && (
        <PreviewedList
          preview={preview}
          mine={mine}
          shipped={shipped}
          onCurrency={inCurrency}
          onTake={(chosen, how) => void takeOver(chosen, how)}
          onLeave={leave}
        />
      )}
    </section>
  );
}
