import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import type { Cutting, KnownDish, KnownTask } from '../../workers/stock';
import CookingQuestions from '../kitchen/questions/CookingQuestions';
import { Section } from '../shared/Section';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits } from '../shared/useKitchen';
import css from './CuttingView.module.css';
import { Dishes } from './Dishes';
import { LoadView } from './LoadView';
import { OwnDish } from './OwnDish';
import { OwnTasks } from './OwnTasks';
import { WeekMenu } from './WeekMenu';
import { RecipePanel } from './recipes/RecipePanel';

/** What gets cut: cuisines and meals become dishes, dishes become tasks, tasks become a week. */
export default function CuttingView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="cutting">
      {(edits, worker) => <CuttingPage edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

/** What the trade knows, and what this kitchen's cooking comes to; the newest question wins. */
function useCutting({ kitchen }: KitchenEdits, worker: Remote<KitchenWorker>) {
  const [known, setKnown] = useState<{ dishes: KnownDish[]; tasks: KnownTask[] }>({ dishes: [], tasks: [] });
  const [cutting, setCutting] = useState<Cutting | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [ready, setReady] = useState(false);
  const asked = useRef(0);
  useEffect(() => {
    Promise.all([worker.dishes(), worker.tasks(), worker.load()])
      .then(([dishes, tasks]) => {
        setKnown({ dishes, tasks });
        setReady(true);
      })
      .catch((error: unknown) => setTrouble(error instanceof Error ? error.message : 'The dishes could not be read.'));
  }, [worker]);
  useEffect(() => {
    if (!ready) return;
    const mine = ++asked.current;
    worker
      .cutting(kitchen)
      .then((answer) => {
        if (mine !== asked.current) return;
        setTrouble(null);
        setCutting(answer);
      })
      .catch((error: unknown) => {
        if (mine === asked.current) setTrouble(error instanceof Error ? error.message : 'This could not be counted.');
      });
  }, [kitchen, ready, worker]);
  return { known, cutting, trouble };
}

function CuttingPage({ edits, worker }: { edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { known, cutting, trouble } = useCutting(edits, worker);
  const knownIds = known.dishes.map((d) => d.id);
  return (
    <div className={css.page}>
      <main id="main" className={css.answers} data-questions>
        <h1>What gets cut</h1>
        {trouble && <p role="alert">{trouble}</p>}
        <Section title="What you cook">
          <CookingQuestions kitchen={kitchen} update={update} alone={false} />
        </Section>
        <Dishes kitchen={kitchen} update={update} known={known.dishes} />
        <OwnDish kitchen={kitchen} update={update} tasks={known.tasks} knownIds={knownIds} />
        <RecipePanel kitchen={kitchen} update={update} tasks={known.tasks} knownIds={knownIds} />
        <WeekMenu kitchen={kitchen} update={update} known={known.dishes} />
        <OwnTasks kitchen={kitchen} update={update} tasks={known.tasks} />
      </main>
      <aside className={css.side} aria-label="The week in cutting">
        {cutting ? <LoadView cutting={cutting} /> : <p className="faded">Counting…</p>}
      </aside>
    </div>
  );
}
