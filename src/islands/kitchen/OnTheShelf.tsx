import { Button, Textarea } from '@mantine/core';
import { useDebouncedCallback } from '@mantine/hooks';
import type { Remote } from 'comlink';
import { useState } from 'react';
import { typeNames } from '../../../data/names';
import { addModels } from '../../client/catalogue';
import type { BladeModel } from '../../core/blade/schema';
import type { StepBrief } from '../../core/formats/briefFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { FIGURE_WORDS } from '../../core/formats/figures';
import { swapped } from '../../core/kitchen/changes';
import { toMinor } from '../../core/money/currency';
import { type Label, type LabelRead, NOTHING_READ } from '../../core/kit/label/label';
import type { Verdict } from '../../core/kit/label/verdict';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { idFor } from '../shared/ownModel';
import { useLengths } from '../shared/units';
import type { Update } from '../shared/useKitchen';
import { money } from '../shared/words';
import css from './InAnyShop.module.css';
import { LabelFields } from './LabelFields';

const VERDICTS: Record<Verdict['word'], string> = {
  buy: 'Buy',
  dear: 'Too dear',
  wrong: 'The wrong knife for this',
  leave: 'Leave it',
};
/** A label is read once typing pauses, ms. */
const PAUSE = 250;

interface Props {
  step: PlanStep;
  plan: Plan;
  brief: StepBrief;
  worker: Remote<KitchenWorker>;
  catalogue: Map<string, BladeModel>;
  update: Update;
  onCatalogue: () => Promise<void>;
}

const NOT_READ: LabelRead = { knife: true, read: NOTHING_READ, asks: [], unread: [] };

/** A label as it is typed, what was read of it and put right by hand, and the verdict; a changed answer takes the verdict back. */
function useShelf({ step, plan, brief, worker }: Props) {
  const [text, setText] = useState('');
  const [read, setRead] = useState(NOT_READ);
  const [said, setSaid] = useState<Partial<Label>>({});
  const [verdict, setVerdict] = useState<Verdict | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const label: Label = { ...read.read, type: read.read.type ?? step.type ?? 'chef', ...said };
  const readText = useDebouncedCallback((typed: string) => {
    worker
      .label(typed)
      .then(setRead, () => setTrouble('The label could not be read: the page has lost its helper. Load it again.'));
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
      .judge({ plan, brief, label })
      .then(setVerdict, () => setTrouble('It could not be judged: the server does not answer. Try again.'));
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

/** A knife in a shop: what its label says, read figure by figure, judged for this cook and taken into the plan. */
export function OnTheShelf(props: Props) {
  const { plan, catalogue, update, onCatalogue } = props;
  const { text, write, read, label, putRight, judge, verdict, trouble, setTrouble } = useShelf(props);
  const take = async (seen: BladeModel, step: number | null) => {
    try {
      await addModels([seen], 'skip');
      await onCatalogue();
      update((k) => swapped(k, plan.steps.find(({ order }) => order === step)?.model ?? '', seen.id));
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The knife could not be kept.');
    }
  };
  return (
    <form
      className={css.shelf}
      onSubmit={(e) => {
        e.preventDefault();
        judge();
      }}
    >
      <h4>A knife on the shelf</h4>
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
      <div>
        <Button type="submit" size="sm" disabled={!read.knife}>
          Judge it
        </Button>
      </div>
      {verdict && (
        <Judged
          verdict={verdict}
          currency={plan.currency}
          onTake={() => void take(modelSeen(verdict, label, plan.currency, catalogue), verdict.step)}
        />
      )}
      {trouble && <p role="alert">{trouble}</p>}
    </form>
  );
}

/** The verdict on a knife, and why. */
function Judged({ verdict, currency, onTake }: { verdict: Verdict; currency: string; onTake: () => void }) {
  const lengths = useLengths();
  const { word, priceUpTo, because, outside, assumed } = verdict;
  return (
    <div className={css.verdict} data-word={word} role="status">
      <p>
        <b>{VERDICTS[word]}</b>
        {word === 'dear' && (
          <>
            : offer <b className="figure">{money(priceUpTo, currency)}</b>
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
          Not on the label, taken as is usual for its kind:{' '}
          {assumed.map((figure) => FIGURE_WORDS[figure].the).join(', ')}. Check them in the hand.
        </p>
      )}
      {(word === 'buy' || word === 'dear') && (
        <Button size="sm" variant="default" onClick={onTake}>
          Take it into the plan
        </Button>
      )}
    </div>
  );
}
