import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { drawKnife } from '../../core/drawing/knife';
import { svgOf } from '../../core/drawing/svg';
import { csvOf } from '../../core/formats/csv';
import { planTables, stepsTable, type Names } from '../../core/formats/planTable';
import { shoppingList, shoppingTable, shoppingText } from '../../core/formats/shoppingList';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { download, fileName } from '../shared/download';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner, type Answer } from '../shared/usePlanner';
import { sheetsFile } from '../shared/useSheets';
import { Working, WorkingRoom } from '../shared/Working';
import { knifeName } from '../shared/names';
import { taskName, typeName } from '../shared/words';
import { CopyText } from './CopyText';
import { LinkToShow } from './LinkToShow';
import css from './PaperView.module.css';
import { Sheets } from './Sheets';
import { useBriefs } from './useBriefs';

const NAMES: Names = { type: typeName, task: taskName };

/** What of a plan leaves the application: paper, files, a shopping list, a link to show. */
export default function PaperView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="paper">
      {(edits, worker) => <Going id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Going({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { answer, catalogue, trouble, stop } = usePlanner(edits.kitchen, worker, { robustness: false });
  const settledPlan = answer?.final ? answer.plan : null;
  const { briefs, progress, stop: stopBriefs } = useBriefs(settledPlan, worker);
  if (trouble)
    return (
      <main id="main" className={css.page}>
        <p role="alert">{trouble}</p>
      </main>
    );
  return (
    <main id="main" className={css.page}>
      <h1>Paper, files and links</h1>
      <div className={css.asking}>
        <WorkingRoom>
          {!answer?.final && <Working onStop={stop}>Checking for the best kit first</Working>}
          {progress && (
            <Working share={progress.done / progress.of} onStop={stopBriefs}>
              {`Working out what to look for in any shop: ${progress.done} of ${progress.of}`}
            </Working>
          )}
        </WorkingRoom>
      </div>
      {answer && (
        <>
          <Sheets answer={answer} briefs={briefs} worker={worker} busy={progress !== null || !answer.final} />
          <Shopping answer={answer} briefs={briefs} />
          <Files answer={answer} catalogue={catalogue} />
          <LinkToShow kitchenId={id} plan={answer.plan} ready={answer.final} />
        </>
      )}
    </main>
  );
}

function Shopping({ answer: { plan }, briefs }: { answer: Answer; briefs: Parameters<typeof shoppingList>[1] }) {
  const items = useMemo(() => shoppingList(plan, briefs, NAMES), [plan, briefs]);
  const text = shoppingText(plan, items);
  return (
    <section className={css.part} aria-labelledby="shopping">
      <h2 id="shopping">Shopping list</h2>
      {items.length === 0 ? (
        <p className="faded">Nothing to buy.</p>
      ) : (
        <>
          <pre className={css.list} tabIndex={0} aria-label="The shopping list as text">
            {text}
          </pre>
          <div className={css.row}>
            <CopyText text={text}>Copy the list</CopyText>
            <Button
              variant="default"
              onClick={() =>
                download(fileName(plan.kitchen, '-shopping.csv'), csvOf(shoppingTable(plan, items)), 'text/csv')
              }
            >
              As CSV
            </Button>
          </div>
        </>
      )}
    </section>
  );
}

interface FilesProps {
  answer: Answer;
  catalogue: ReturnType<typeof usePlanner>['catalogue'];
}

/** Every knife of the drawer and the plan at true size. */
function silhouettes({ answer: { plan, owned }, catalogue }: FilesProps): string {
  const bought = plan.steps.flatMap((step) =>
    step.action === 'buy' && step.model ? (catalogue.get(step.model) ?? []) : [],
  );
  const blades = [...owned, ...bought].map((blade) => ({ name: knifeName(blade), drawing: drawKnife(blade) }));
  return svgOf(plan.kitchen, blades);
}

function Files({ answer, catalogue }: FilesProps) {
  const { plan } = answer;
  return (
    <section className={css.part} aria-labelledby="files">
      <h2 id="files">Files</h2>
      <p className="faded">Open formats, for a spreadsheet, a script or another kitchen.</p>
      <div className={css.row}>
        <Button
          variant="default"
          onClick={() =>
            void sheetsFile(planTables(plan, NAMES)).then((blob) => download(fileName(plan.kitchen, '.xlsx'), blob))
          }
        >
          Plan as a spreadsheet
        </Button>
        <Button
          variant="default"
          onClick={() => download(fileName(plan.kitchen, '-plan.csv'), csvOf(stepsTable(plan, NAMES)), 'text/csv')}
        >
          Plan as CSV
        </Button>
        <Button
          variant="default"
          onClick={() =>
            download(
              fileName(plan.kitchen, '.scabbard-plan.json'),
              `${JSON.stringify(plan, null, 2)}\n`,
              'application/json',
            )
          }
        >
          Plan as JSON
        </Button>
        <Button
          variant="default"
          onClick={() =>
            download(fileName(plan.kitchen, '-knives.svg'), silhouettes({ answer, catalogue }), 'image/svg+xml')
          }
        >
          Knives as SVG, true size
        </Button>
      </div>
    </section>
  );
}
