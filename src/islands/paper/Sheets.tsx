import { Button, Checkbox } from '@mantine/core';
import type { Remote } from 'comlink';
import { useState } from 'react';
import { fetchPaper } from '../../client/paper';
import type { StepBrief } from '../../core/formats/briefFile';
import { PAPER_KINDS, type Paper, type PaperKind } from '../../core/formats/paper';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { fileName } from '../shared/download';
import { PaperSize, usualPaper } from '../shared/PaperSize';
import { useMakingPdf } from '../shared/useMakingPdf';
import type { Answer } from '../shared/usePlanner';
import css from './PaperView.module.css';

const KINDS: Record<PaperKind, string> = {
  plan: 'The plan: roll to scale, order, what to look for, what it does not cover',
  shopping: 'The shopping list',
  care: 'The care sheet: when to hone and sharpen, what each steel wants',
};
/** The sheets of a plan, as one PDF. */
export function Sheets({
  answer: { plan, owned },
  briefs,
  worker,
  busy,
}: {
  answer: Answer;
  briefs: StepBrief[];
  worker: Remote<KitchenWorker>;
  busy: boolean;
}) {
  const [kinds, setKinds] = useState<PaperKind[]>([...PAPER_KINDS]);
  const [paper, setPaper] = useState<Paper>(usualPaper);
  const [withPrices, setWithPrices] = useState(true);
  const { working, trouble, make } = useMakingPdf(fileName(plan.kitchen, '.pdf'), async () =>
    fetchPaper({ plan, briefs, owned, care: await worker.care(plan), kinds, paper, withPrices }),
  );
  return (
    <section className={css.part} aria-labelledby="paper">
      <h2 id="paper">On paper</h2>
      <div className={css.choices} role="group" aria-label="Sheets">
        {PAPER_KINDS.map((kind) => (
          <Checkbox
            key={kind}
            label={KINDS[kind]}
            checked={kinds.includes(kind)}
            onChange={(e) => {
              const on = e.currentTarget.checked;
              setKinds(PAPER_KINDS.filter((each) => (each === kind ? on : kinds.includes(each))));
            }}
          />
        ))}
        <Checkbox label="With prices" checked={withPrices} onChange={(e) => setWithPrices(e.currentTarget.checked)} />
      </div>
      <div className={css.row}>
        <PaperSize paper={paper} onChange={setPaper} />
        <Button loading={working} disabled={kinds.length === 0 || busy} onClick={() => void make()}>
          Make the PDF
        </Button>
      </div>
      {trouble && <p role="alert">{trouble}</p>}
    </section>
  );
}
