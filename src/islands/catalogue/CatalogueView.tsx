import { Button } from '@mantine/core';
import { useState } from 'react';
import { Dress } from '../shared/Dress';
import { FilePicker } from '../shared/FilePicker';
import { FaultList } from '../shared/FaultList';
import { Masthead } from '../shared/Masthead';
import { BladeForm } from './BladeForm';
import { Browse } from './Browse';
import css from './CatalogueView.module.css';
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
  const { all, mine, shipped, take, remove, trouble, setTrouble, told } = models;
  const [describing, setDescribing] = useState(false);
  return (
    <main id="main" className={css.page}>
      <header className={css.intro}>
        <h1>All knives</h1>
        <p>
          The <span className="figure">{shipped.length}</span> knives that come with Scabbard are invented examples; no
          shop sells them. Import the price list of a shop near you to plan with knives you can buy. Only you see it.
        </p>
      </header>
      {trouble && <FaultList {...trouble} onClose={() => setTrouble(null)} />}
      <p role="status" className={css.told}>
        {told}
      </p>
      <BringIn models={models} />
      <section>
        <h2>Describe a knife</h2>
        <p>Enter its measurements: it is drawn and scored like any other.</p>
        {describing ? (
          <BladeForm taken={new Set(all.map(({ id }) => id))} onSave={(model) => take([model], 'skip')} />
        ) : (
          <div>
            <Button variant="default" onClick={() => setDescribing(true)}>
              Describe a knife
            </Button>
          </div>
        )}
      </section>
      <section>
        <h2>Find a knife</h2>
        <Browse models={all} own={mine} onRemove={(id) => void remove(id)} />
      </section>
    </main>
  );
}

/** A list brought in, looked at and taken over. */
function BringIn({ models }: { models: ReturnType<typeof useOwnModels> }) {
  const { mine } = models;
  const shipped = new Set(models.shipped.map(({ id }) => id));
  const { preview, read, leave, readAgain, takeOver } = usePreview(models);
  return (
    <section>
      <h2>Import a price list</h2>
      <p>
        A CSV file or spreadsheet with a name and a price in each row, in English or German. Length, weight and other
        figures are read where the list has them and estimated where it does not. To see every figure a list can have,
        download <a href="/api/catalogue/file?as=csv">all knives as CSV</a> · <a href="/api/catalogue/file">JSON</a>
        {mine.size > 0 && (
          <>
            {' '}
            · <a href="/api/catalogue/file?of=own&as=csv">yours as CSV</a> ·{' '}
            <a href="/api/catalogue/file?of=own">JSON</a>
          </>
        )}
      </p>
      <div>
        <FilePicker name="Catalogue file" accept=".csv,.tsv,.txt,.xlsx,.json" onPick={(file) => void read(file)}>
          Choose a file…
        </FilePicker>
      </div>
      {preview && (
        <PreviewedList
          preview={preview}
          {...{ mine, shipped }}
          onReadAgain={readAgain}
          onTake={(chosen, how) => void takeOver(chosen, how)}
          onLeave={leave}
        />
      )}
    </section>
  );
}
