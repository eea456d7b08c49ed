import { proofWords } from './proofWords';
import { Button } from '@mantine/core';
import { IconDownload } from '@tabler/icons-react';
import type { Remote } from 'comlink';
import { useHotkeys, useMediaQuery } from '@mantine/hooks';
import { memo, useCallback, useMemo, useState, type ReactNode } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { isKept } from '../../client/offline';
import type { KitchenFile, OwnedFile } from '../../core/formats/kitchenFile';
import { listsOf } from '../../core/catalogue/lists';
import { isDrawerFull } from '../../core/kitchen/drawerRoom';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import type { SentAnswer } from '../../core/kit/plan/answered';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits, QuestionProps } from '../shared/useKitchen';
import { usePlanner, type Answer } from '../shared/usePlanner';
import { lazily } from '../shared/lazily';
import { addressOf, titleOf } from '../shared/stages';
import { Working } from '../shared/Working';
import { CoverageBar } from './CoverageBar';
import layout from '../shared/AsideLayout.module.css';
import css from './KitchenView.module.css';
import { kitInWords } from './kitInWords';
import { Next } from './Next';
import { Questions } from './questions/Questions';
import { QUICK, QuickQuestions } from './QuickQuestions';
import { Roll } from './Roll';
import { WhenSeen } from './WhenSeen';

const CoverageStrip = lazily(() => import('./CoverageStrip'));
const StepStory = lazily(() => import('./StepStory'));
const BesidesThePlan = lazily(() => import('./BesidesThePlan'));
const Locks = lazily(() => import('./Locks'));
const Arrange = lazily(() => import('./Arrange'), <p className="faded">One moment…</p>);
const MoneyPanel = lazily(() => import('./MoneyPanel'), <p className="faded">One moment…</p>);

/** One kitchen: the questions on the left, the roll that answers them on the right. */
export default function KitchenView({ stored, sent }: { stored: StoredKitchen; sent: SentAnswer | null }) {
  return (
    <KitchenFrame
      stored={stored}
      here=""
      tools={
        <Button
          component="a"
          href={`/api/kitchens/${stored.id}/file`}
          variant="default"
          size="xs"
          aria-label="Kitchen file"
        >
          <IconDownload size={16} aria-hidden="true" />
          <span className={css.fileWord}>Kitchen file</span>
        </Button>
      }
    >
      {(edits, worker) => <Kitchen id={stored.id} {...{ edits, worker }} sent={isKept() ? null : sent} />}
    </KitchenFrame>
  );
}

/** How certain the answer is, in a quiet word: being checked, checked, or as far as the search went; and what checking changed. */
const Proof = memo(function Proof({
  answer: { final, stopped, plan, proofChanged },
  gap,
  onStop,
}: {
  answer: Answer;
  gap: number | null;
  onStop: () => void;
}) {
  if (!final)
    return (
      <div className={css.proof} data-final={false}>
        <Working onStop={onStop}>
          {gap !== null && Number.isFinite(gap)
            ? `Provisional: a better kit may be worth up to ${(100 * gap).toFixed(1)} points more. Looking.`
            : 'Provisional: a better kit is still being looked for.'}
        </Working>
      </div>
    );
  const words = stopped ? 'Stopped: this is the first answer, and a better kit may exist.' : proofWords(plan.proof);
  return (
    <p className={css.proof} role="status" data-final={final}>
      {words}
      {proofChanged.length > 0 && ` Looking closer changed the first answer: ${proofChanged.join('; ')}.`}
    </p>
  );
});

/** How many of each kind are wanted where several work at once. */
function Copies({ plan }: { plan: Plan }) {
  if (!plan.copies) return null;
  return (
    <ul className={css.copies} aria-label="How many of each kind">
      {plan.copies.map(({ role, wanted, have, why }) => (
        <li key={role}>
          <b className="figure">{have}</b> {COPIES[role]?.[have === 1 ? 0 : 1] ?? role} planned:{' '}
          {have < wanted ? `your people could use up to ${wanted}` : 'enough for everyone'}.{' '}
          <span className="faded">{why}</span>
        </li>
      ))}
    </ul>
  );
}

const COPIES: Record<string, readonly [one: string, several: string]> = {
  general: ['general knife', 'general knives'],
  small: ['small knife', 'small knives'],
  serrated: ['serrated knife', 'serrated knives'],
  slicer: ['slicer', 'slicers'],
};

/** Whether anything was decided by hand. */
function isArgued({ limits }: KitchenFile): boolean {
  const { must = [], never = [], order = [] } = limits ?? {};
  return must.length + never.length + order.length > 0;
}

/** What tells a step from the others wherever it stands: what is done with what, and the how-many-th of its like. */
function keyOf(step: PlanStep, at: number, all: readonly PlanStep[]): string {
  const what = ({ action, model, type, owned }: PlanStep) => [action, model ?? type, owned].join(' ');
  const before = all.slice(0, at).filter((each) => what(each) === what(step)).length;
  return `${what(step)} ${before}`;
}

/** The step whose reasons are open; it stays the same step when the plan changes around it. Escape closes it. */
function useOpenStep(steps: readonly PlanStep[]) {
  const [open, setOpen] = useState<string | null>(null);
  const step = steps.find((each, i, all) => keyOf(each, i, all) === open) ?? null;
  const openAt = useCallback(
    (order: number) => {
      const at = steps.findIndex((each) => each.order === order);
      const pressed = steps[at];
      const key = pressed ? keyOf(pressed, at, steps) : null;
      setOpen((now) => (key === now ? null : key));
    },
    [steps],
  );
  const close = useCallback(() => {
    const order = step?.order;
    setOpen(null);
    // back to the pocket it was opened from
    if (order !== undefined) document.querySelector<HTMLElement>(`[data-pocket="${order}"]`)?.focus();
  }, [step?.order]);
  useHotkeys([['Escape', (event) => step && !event.defaultPrevented && close(), { preventDefault: false }]], []);
  return { open, step, openAt, close };
}

const NO_STEPS: readonly PlanStep[] = [];
const NO_KNIVES: OwnedFile[] = [];

interface KitchenProps {
  id: string;
  edits: KitchenEdits;
  worker: Remote<KitchenWorker>;
  /** What the page came with. */
  sent: SentAnswer | null;
}

function Kitchen({ id, edits, worker, sent }: KitchenProps) {
  const { kitchen, update } = edits;
  const planner = usePlanner(kitchen, worker, { sent });
  const { answer, sure, catalogue, trouble } = planner;
  const lists = useMemo(() => listsOf(catalogue.values()), [catalogue]);
  const opened = useOpenStep(answer?.plan.steps ?? NO_STEPS);
  const { step, open, close } = opened;
  const beside = useMediaQuery('(min-width: 861px)', true, { getInitialValueInEffect: false });
  const story = answer && step && (
    <StepStory
      key={open}
      {...{ step, sure, catalogue, worker, update }}
      currency={answer.plan.currency}
      plan={answer.plan}
      ready={answer.final}
      isDrawerFull={isDrawerFull(kitchen)}
      shop={addressOf(id, 'shop')}
      onDone={(name) => void worker.addSnapshot(id, { kind: 'snapshot', name, kitchen }).catch(() => undefined)}
      onClose={close}
    />
  );
  return (
    <div className={layout.page}>
      <aside className={css.questions} data-screen-only aria-label={beside && story ? 'Reasons' : 'Questions'}>
        {beside && story}
        <div hidden={beside && story !== null}>
          <Questions
            {...{ kitchen, update }}
            folded={!beside}
            length={answer?.plan.lengthWanted ?? null}
            point={answer?.plan.worth ?? null}
            lists={lists}
          />
        </div>
      </aside>
      <main id="main" className={css.answer}>
        <h1 className="visually-hidden">{kitchen.name ? `${titleOf('')}: ${kitchen.name}` : titleOf('')}</h1>
        {!beside && <QuickQuestions {...{ kitchen, update }} />}
        {trouble && (
          <p className={css.notice} role="alert">
            {trouble}
          </p>
        )}
        {answer && (
          <Answered
            {...{ id, kitchen, update, worker, answer, planner, opened }}
            story={beside ? null : story}
            isNarrow={!beside}
          />
        )}
        {!answer && !trouble && (
          <div className={css.loading}>
            <Working>Trying every blade on your cooking</Working>
          </div>
        )}
      </main>
    </div>
  );
}

interface AnsweredProps extends QuestionProps {
  id: string;
  worker: Remote<KitchenWorker>;
  answer: Answer;
  planner: ReturnType<typeof usePlanner>;
  opened: ReturnType<typeof useOpenStep>;
  /** Reasons of the open step, where there is no room beside the roll. */
  story: ReactNode;
  /** The first questions stand above the roll. */
  isNarrow: boolean;
}

/** The answer to a kitchen: how good, in words, the roll, and what stands behind it. */
function Answered({ id, kitchen, update, worker, answer, planner, opened, story, isNarrow }: AnsweredProps) {
  const { plan, owned, served, final } = answer;
  const { catalogue, gap, stop, sure } = planner;
  const ownedFile = kitchen.owned ?? NO_KNIVES;
  const [arranging, setArranging] = useState(false);
  return (
    <>
      <CoverageBar plan={plan} budget={kitchen.budget?.total} answer={answer} />
      <div className={css.tools}>
        <div className={css.summary}>
          <p>
            <b>{kitInWords(plan)}</b>
          </p>
          <Proof answer={answer} gap={gap} onStop={stop} />
          <Next {...{ id, kitchen, update }} except={isNarrow ? QUICK : []} />
        </div>
        {isArgued(kitchen) && <Locks {...{ kitchen, update, plan, catalogue }} />}
        <Button size="xs" variant="default" aria-expanded={arranging} onClick={() => setArranging((on) => !on)}>
          {arranging ? 'Done arranging' : 'Order and locks'}
        </Button>
      </div>
      {arranging && <Arrange plan={plan} must={kitchen.limits?.must ?? []} update={update} />}
      <Roll
        {...{ plan, owned, ownedFile, catalogue }}
        inDoubt={sure?.steps.map((step) => step?.inDoubt ?? false) ?? null}
        open={opened.step?.order ?? null}
        onOpen={opened.openAt}
      />
      <Copies plan={plan} />
      {story}
      <WhenSeen label="What each knife serves" least={190} ready={final}>
        <CoverageStrip {...{ served, plan, ownedFile }} models={catalogue} onOpen={opened.openAt} />
      </WhenSeen>
      <WhenSeen label="Beside the plan" least={320} ready={final}>
        <BesidesThePlan plan={plan} />
      </WhenSeen>
      <WhenSeen label="What other money would buy" least={360} ready={final}>
        <h2>What other money would buy</h2>
        <MoneyPanel {...{ plan, final, worker }} />
      </WhenSeen>
    </>
  );
}
