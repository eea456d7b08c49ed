import { Button } from '@mantine/core';
import { useState } from 'react';
import { fetchPlaces } from '../../client/paper';
import type { Placed, Storage } from '../../core/formats/storageFile';
import type { KeptKnife } from '../../workers/keep';
import { fileName } from '../shared/download';
import { PaperSize, usualPaper } from '../shared/PaperSize';
import { useMakingPdf } from '../shared/useMakingPdf';
import css from './KeepView.module.css';

/** The places on paper: as a plan with measurements, or at true size to lay things on. */
export function PrintPlaces({
  title,
  storage: { places },
  names,
  knives,
  placed,
}: {
  title: string;
  storage: Storage;
  names: readonly string[];
  knives: readonly KeptKnife[];
  placed: readonly Placed[];
}) {
  const [paper, setPaper] = useState(usualPaper);
  const ask = (trueSize: boolean) =>
    fetchPlaces({
      title,
      paper,
      trueSize,
      places: places.map((place, i) => ({ place, name: names[i] ?? '' })),
      knives: knives.map(({ ref, name, blade }) => ({ ref, name, blade })),
      placed: [...placed],
    });
  const plan = useMakingPdf(fileName(title, '-places.pdf'), () => ask(false));
  const full = useMakingPdf(fileName(title, '-places-true-size.pdf'), () => ask(true));
  const trouble = plan.trouble ?? full.trouble;
  return (
    <section aria-labelledby="print">
      <h2 id="print">On paper</h2>
      <div className={css.row}>
        <PaperSize paper={paper} onChange={setPaper} />
        <Button
          variant="default"
          disabled={places.length === 0}
          loading={plan.working}
          onClick={() => void plan.make()}
        >
          As a plan with measurements
        </Button>
        <Button
          variant="default"
          disabled={places.length === 0}
          loading={full.working}
          onClick={() => void full.make()}
        >
          At true size
        </Button>
      </div>
      {trouble && <p role="alert">{trouble}</p>}
    </section>
  );
}
