import { Button, Switch } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import { fetchWall } from '../../client/paper';
import type { StoredKitchen } from '../../client/kitchens';
import type { WallSheet } from '../../core/formats/wallSheet';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { fileName } from '../shared/download';
import { KitchenFrame } from '../shared/KitchenFrame';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { PaperSize, usualPaper } from '../shared/PaperSize';
import { ColumnPage, PageHead } from '../shared/PageHead';
import { useAsked } from '../shared/useAsked';
import type { KitchenEdits } from '../shared/useKitchen';
import { useMakingPdf } from '../shared/useMakingPdf';
import { usePlanner } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { useOthersKept } from './useOthersKept';
import css from './WallView.module.css';

/** A sheet for the kitchen wall: what each knife is for, who may use it, and how they are treated. */
export default function WallView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="keep/wall">
      {(edits, worker) => <Wall id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Wall({ id, edits: { kitchen }, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { answer, trouble: noPlan } = usePlanner(useOthersKept(kitchen), worker, { robustness: false });
  const [bought, setBought] = useState(false);
  const ask = useMemo(() => answer && (() => worker.wall(answer.plan, bought)), [answer, bought, worker]);
  const { found: sheet, trouble: noSheet } = useAsked(ask);
  const trouble = noPlan ?? noSheet;
  return (
    <ColumnPage>
      <PageHead here="keep/wall">
        What each knife is for, who may take it and how it is treated, for everyone who picks one up here.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {!sheet && !trouble && <Working>Writing the sheet</Working>}
      {sheet && (
        <>
          <div className={css.row}>
            <Switch
              label="With what the plan buys"
              checked={bought}
              onChange={(e) => setBought(e.currentTarget.checked)}
            />
            <a href={`/kitchens/${id}/cooks`}>Who may use which</a>
            <OnPaper sheet={sheet} />
          </div>
          {sheet.knives.length === 0 ? (
            <p>No knives yet. Add yours to the drawer, or show the ones the plan buys.</p>
          ) : (
            <Preview sheet={sheet} />
          )}
        </>
      )}
    </ColumnPage>
  );
}

function OnPaper({ sheet }: { sheet: WallSheet }) {
  const [paper, setPaper] = useState(usualPaper);
  const { working, trouble, make } = useMakingPdf(fileName(sheet.title, '-wall.pdf'), () =>
    fetchWall({ sheet, paper }),
  );
  return (
    <>
      <PaperSize paper={paper} onChange={setPaper} />
      <Button loading={working} onClick={() => void make()}>
        Make the PDF
      </Button>
      {trouble && <p role="alert">{trouble}</p>}
    </>
  );
}

function Preview({ sheet: { title, knives, rules } }: { sheet: WallSheet }) {
  const longest = Math.max(1, ...knives.map(({ blade }) => placed(blade, false).width));
  return (
    <article className={css.sheet} aria-label="The sheet">
      <h2>{title}: our knives</h2>
      <ul className={css.knives}>
        {knives.map(({ name, blade, does, never, care, who }, i) => (
          <li key={i}>
            <svg viewBox={`-1 -1 ${longest + 2} ${placed(blade, false).height + 2}`} aria-hidden="true">
              <KnifeDrawing blade={blade} upright={false} owned line={1.2} />
            </svg>
            <div>
              <h3>{name}</h3>
              {does.length > 0 && <p>To {does.join(', ')}.</p>}
              {never.map((line) => (
                <p key={line}>{line}</p>
              ))}
              {care.map((line) => (
                <p key={line} className="faded">
                  {line}
                </p>
              ))}
              {who && <p className={css.who}>{who.length === 0 ? 'Nobody for now' : `Only ${who.join(', ')}`}</p>}
            </div>
          </li>
        ))}
      </ul>
      <h3>For all of them</h3>
      <ul className={css.rules}>
        {rules.map((rule) => (
          <li key={rule}>{rule}</li>
        ))}
      </ul>
    </article>
  );
}
