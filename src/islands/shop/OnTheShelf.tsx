import { Button, Textarea } from '@mantine/core';
import { useDebouncedCallback } from '@mantine/hooks';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { typeNames } from '../../../data/names';
import { addModels } from '../../client/catalogue';
import type { BladeModel } from '../../core/blade/schema';
import type { StepBrief } from '../../core/formats/briefFile';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { FIGURE_WORDS } from '../../core/formats/figures';
import { swapped } from '../../core/kitchen/changes';
import { handTested } from '../../core/kitchen/deeds';
import { toMinor } from '../../core/money/currency';
import { type Label, type LabelRead, NOTHING_READ } from '../../core/kit/label/label';
import type { Verdict } from '../../core/kit/label/verdict';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { lazily } from '../shared/lazily';
import { idFor } from '../shared/ownModel';
import { today } from '../shared/today';
import { useLengths } from '../shared/units';
import type { Update } from '../shared/useKitchen';
import { useTrying } from '../shared/useTrying';
import { useTypical } from '../shared/useTypical';
import { money } from '../shared/words';
import css from './Shop.module.css';
import { LabelFields } from './LabelFields';

const PhotoMeasure = lazily(() => import('../try/PhotoMeasure'));

const VERDICTS: Record<Verdict['word'], string> = {
  buy: 'Buy',
  dear: 'Too dear',
  wrong: 'The wrong knife for this',
  leave: 'Leave it',
};
/** A label is read once typing pauses, ms. */
const PAUSE = 250;

interface Props {
  plan: Plan;
  /** The step one came for, whose kind is taken where the label names none. */
  step: PlanStep | null;
  brief: StepBrief | null;
  /** The plan stands, so that a verdict does too. */
  ready: boolean;
  worker: Remote<KitchenWorker>;
  catalogue: Map<string, BladeModel>;
  kitchen: KitchenFile;
  update: Update;
  onCatalogue: () => Promise<void>;
  onJudged: () => void;
  /** The hand test at this place of the kitchen’s begins. */
  onHold: (at: number) => void;
}

const NOT_READ: LabelRead = { knife: true, read: NOTHING_READ, asks: [], unread: [] };

/** A label as it is typed, what was read of it and put right by hand, and the verdict; a changed answer takes the verdict back. */
function useShelf({ step, plan, brief, worker, onJudged }: Props) {
  const [text, setText] = useState('');
  const [read, setRead] = useState(NOT_READ);
  const [said, setSaid] = useState<Partial<Label>>({});
  const [verdict, setVerdict] = useState<Verdict | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const label: Label = { ...read.read, type: read.read.type ?? step?.type ?? 'chef', ...said };
  const readText = useDebouncedCallback((typed: string) => {
    worker.label(typed).then(setRead, () => setTrouble('The label could not be read. Reload the page and try again.'));
  }, PAUSE);
  const write = (typed: string) => {
    setText(typed);
    setVerdict(null);
    readText(typed);
  };
  const putRight = (answer: Partial<Label>) => {
    setSaid((now) => ({ ...now, ...answer }));
    setVerdict(null);
  };
  const judge = () => {
    setTrouble(
      label.lengthMm === null ? 'Type the length of the edge first: it decides more than anything else.' : null,
    );
    if (label.lengthMm === null) return;
    worker
      .judge({ plan, label, ...(brief ? { brief } : {}) })
      .then(setVerdict, () => setTrouble('The knife could not be judged: the server does not answer. Try again.'))
      .finally(onJudged);
  };
  return { text, write, read, label, putRight, judge, verdict, trouble, setTrouble };
}

/** The knife of a verdict as a model of one's own. */
function modelSeen(verdict: Verdict, label: Label, currency: string, catalogue: Props['catalogue']): BladeModel {
  const name = `${typeNames.get(label.type ?? '') ?? 'Knife'} ${Math.round(verdict.blade.lengthMm)} seen in a shop`;
  const paid = label.currency ?? currency;
  const priceMinor = label.price === null ? toMinor(verdict.priceUpTo, currency) : toMinor(label.price, paid);
  return {
    ...verdict.blade,
    id: idFor(name, catalogue),
    name,
    maker: 'Seen in a shop',
    priceMinor,
    currency: label.price === null ? currency : paid,
  };
}

/** A knife seen in a shop, kept as a model of one's own: in the place of a step of the plan, or to be held. */
function useSeen({ plan, catalogue, kitchen, update, onCatalogue, onHold }: Props) {
  const { trouble, working, trying } = useTrying('The knife could not be kept.');
  const [taken, setTaken] = useState<string | null>(null);
  const keep = async (verdict: Verdict, label: Label) => {
    const seen = modelSeen(verdict, label, plan.currency, catalogue);
    await addModels([seen], 'skip');
    await onCatalogue();
    return seen;
  };
  return {
    trouble,
    working,
    taken,
    take: (verdict: Verdict, label: Label) =>
      void trying(async () => {
        const seen = await keep(verdict, label);
        update((k) => swapped(k, plan.steps.find(({ order }) => order === verdict.step)?.model ?? '', seen.id));
        setTaken(seen.name);
      }),
    hold: (verdict: Verdict, label: Label) =>
      void trying(async () => {
        const { id } = await keep(verdict, label);
        const at = kitchen.trials?.hand?.length ?? 0;
        const asked = label.price === null ? {} : { asked: label.price };
        update((k) => handTested(k, at, { model: id, on: today(), ...asked, answers: {} }));
        onHold(at);
      }),
  };
}

/** A knife in a shop: what its label says, read figure by figure, measured from a photo where one likes, and judged for this cook. */
export function OnTheShelf(props: Props) {
  const { plan, ready, worker } = props;
  const { text, write, read, label, putRight, judge, verdict, trouble } = useShelf(props);
  const seen = useSeen(props);
  return (
    <form
      className={css.shelf}
      aria-labelledby="seen"
      onSubmit={(e) => {
        e.preventDefault();
        judge();
      }}
    >
      <h2 id="seen">The knife you see</h2>
      <Textarea
        label="What the label or the seller says"
        placeholder="Chef’s knife, blade 21 cm, 165 g, 60 HRC, stainless, €59"
        autosize
        minRows={2}
        maxLength={4000}
        value={text}
        onChange={(e) => write(e.currentTarget.value)}
      />
      {read.knife ? (
        <LabelFields {...{ label, asks: read.asks, currency: plan.currency }} onChange={putRight} />
      ) : (
        <p role="status">This is no single knife, so there is nothing to judge.</p>
      )}
      {read.unread.length > 0 && <p className="faded">Not understood: {read.unread.join('; ')}.</p>}
      <FromPhoto worker={worker} label={label} onMeasured={putRight} />
      <div>
        <Button type="submit" size="md" disabled={!read.knife} loading={!ready}>
          Judge it
        </Button>
      </div>
      {verdict && (
        <Judged verdict={verdict} currency={plan.currency}>
          {verdict.word !== 'leave' && (
            <div className={css.row}>
              {verdict.word !== 'wrong' && (
                <Button variant="default" disabled={seen.working} onClick={() => seen.take(verdict, label)}>
                  Take it into the plan
                </Button>
              )}
              <Button variant="default" disabled={seen.working} onClick={() => seen.hold(verdict, label)}>
                Hold it for two minutes
              </Button>
            </div>
          )}
        </Judged>
      )}
      {seen.taken && <p role="status">{seen.taken}: it is in your plan now. Undo, at the top, takes it out again.</p>}
      {(trouble ?? seen.trouble) && <p role="alert">{trouble ?? seen.trouble}</p>}
    </form>
  );
}

/** Length and height measured from a photo beside a bank card. */
function FromPhoto({
  worker,
  label,
  onMeasured,
}: {
  worker: Remote<KitchenWorker>;
  label: Label;
  onMeasured: (figures: Partial<Label>) => void;
}) {
  const [open, setOpen] = useState(false);
  const blade = useTypical(worker, open ? (label.type ?? undefined) : undefined);
  return (
    <details className={css.more} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary>No length on it? Measure it from a photo</summary>
      {open && blade && (
        <PhotoMeasure
          worker={worker}
          blade={blade}
          onUse={({ profile }) =>
            onMeasured({
              lengthMm: Math.round(profile.lengthMm),
              heelHeightMm: Math.round(10 * profile.heelHeightMm) / 10,
            })
          }
        />
      )}
    </details>
  );
}

/** What one says across a counter: no small change. */
const offered = (price: number) => (price < 10 ? price : Math.floor(price));

/** The verdict on a knife, and why. */
function Judged({ verdict, currency, children }: { verdict: Verdict; currency: string; children: ReactNode }) {
  const lengths = useLengths();
  const top = useRef<HTMLDivElement>(null);
  // on a phone it comes below what is seen
  useEffect(() => {
    top.current?.scrollIntoView({ block: 'nearest' });
  }, [verdict]);
  const { word, priceUpTo, because, outside, assumed } = verdict;
  return (
    <div ref={top} className={css.verdict} data-word={word} role="status">
      <p className={css.word}>
        {VERDICTS[word]}
        {word === 'dear' && (
          <>
            : offer <b className="figure">{money(offered(priceUpTo), currency)}</b>
          </>
        )}
        .
      </p>
      <ul>
        {because.map((reason) => (
          <li key={reason}>{lengths.told(reason)}</li>
        ))}
      </ul>
      {outside.length > 0 && (
        <p>
          Outside the brief:{' '}
          {outside
            .map(({ figure, value, range }) =>
              lengths.told(
                `${FIGURE_WORDS[figure].the} ${value}, wanted ${range[0]}–${range[1]}${figure.endsWith('Mm') ? ' mm' : ''}`,
              ),
            )
            .join('; ')}
          .
        </p>
      )}
      {assumed.length > 0 && (
        <p className="faded">
          Not on the label, so the usual value is assumed:{' '}
          {assumed.map((figure) => FIGURE_WORDS[figure].the).join(', ')}. Check them in the hand.
        </p>
      )}
      {children}
    </div>
  );
}
