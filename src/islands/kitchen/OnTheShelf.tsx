import { Button, NativeSelect, Textarea } from '@mantine/core';
import type { Remote } from 'comlink';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { typeNames } from '../../../data/names';
import { typeBlurbs } from '../../../data/typeFacts';
import { addModels } from '../../client/catalogue';
import type { BladeModel } from '../../core/blade/schema';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import type { StepBrief } from '../../core/formats/briefFile';
import type { Plan, PlanStep } from '../../core/formats/planFile';
import { FIGURE_WORDS } from '../../core/formats/figures';
import { swapped } from '../../core/kitchen/changes';
import { toMinor } from '../../core/money/currency';
import type { Verdict } from '../../core/kit/brief/verdict';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import type { Shelf } from '../../workers/shop';
import { LengthFigure, MoneyFigure } from '../shared/NumberField';
import { idFor } from '../shared/ownModel';
import { useLengths } from '../shared/units';
import type { Update } from '../shared/useKitchen';
import { money } from '../shared/words';
import css from './InAnyShop.module.css';

const types = [...typeNames].map(([value, label]) => ({ value, label }));
const VERDICTS: Record<Verdict['word'], string> = { buy: 'Buy', 'only below': 'Only below a price', leave: 'Leave it' };

interface Props {
  step: PlanStep;
  plan: Plan;
  brief: StepBrief;
  worker: Remote<KitchenWorker>;
  catalogue: Map<string, BladeModel>;
  update: Update;
  onCatalogue: () => Promise<void>;
}

/** What is known of the knife on the shelf, and the verdict on it; a changed answer takes the verdict back. */
function useShelf({ step, plan, brief, worker }: Props) {
  const [verdict, setVerdict] = useState<Verdict | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const form = useForm<Shelf>({
    initialValues: { type: step.type ?? 'chef', text: '', lengthMm: null, price: null },
    onValuesChange: () => setVerdict(null),
  });
  const judge = (shelf: Shelf) => {
    setTrouble(null);
    worker
      .judge(plan, brief, shelf)
      .then(setVerdict, () => setTrouble('It could not be judged: the server does not answer. Try again.'));
  };
  return { form, judge, verdict, trouble, setTrouble };
}

/** The knife of a verdict as a model of one's own. */
function modelSeen(
  verdict: Verdict,
  { type, price }: Shelf,
  currency: string,
  catalogue: Props['catalogue'],
): BladeModel {
  const name = `${typeNames.get(type) ?? 'Knife'} ${Math.round(verdict.blade.lengthMm)} seen in a shop`;
  const priceMinor = toMinor(price ?? verdict.goodUpTo, currency);
  return { ...verdict.blade, id: idFor(name, catalogue), name, maker: 'Seen in a shop', priceMinor, currency };
}

/** A knife on a shelf: as little as its kind, length and price, or what the label says, judged for this cook and taken into the plan. */
export function OnTheShelf(props: Props) {
  const { step, plan, catalogue, update, onCatalogue } = props;
  const { form, judge, verdict, trouble, setTrouble } = useShelf(props);
  const { values: shelf, setValues } = form;
  const known = shelf.lengthMm !== null || shelf.text.trim() !== '';
  const take = async (seen: BladeModel) => {
    try {
      await addModels([seen], 'skip');
      await onCatalogue();
      update((k) => swapped(k, step.model ?? '', seen.id));
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The knife could not be kept.');
    }
  };
  return (
    <form className={css.shelf} onSubmit={form.onSubmit(judge)}>
      <h4>A knife on the shelf</h4>
      <Label shelf={shelf} currency={plan.currency} onChange={setValues} />
      <div>
        <Button type="submit" size="sm" disabled={!known}>
          Judge it
        </Button>
      </div>
      {verdict && (
        <Judged
          verdict={verdict}
          currency={plan.currency}
          onTake={() => void take(modelSeen(verdict, shelf, plan.currency, catalogue))}
        />
      )}
      {trouble && <p role="alert">{trouble}</p>}
    </form>
  );
}

/** What can be read off a knife in a shop. */
function Label({
  shelf: { type, lengthMm, price, text },
  currency,
  onChange,
}: {
  shelf: Shelf;
  currency: string;
  onChange: (answer: Partial<Shelf>) => void;
}) {
  return (
    <>
      <NativeSelect
        label="Its kind"
        description={typeBlurbs.get(type)}
        value={type}
        data={types}
        onChange={(e) => onChange({ type: e.currentTarget.value })}
      />
      <div className={css.pair}>
        <LengthFigure
          label="Edge"
          bounds={BOUNDS.edgeLengthMm}
          value={lengthMm}
          onChange={(lengthMm) => onChange({ lengthMm })}
        />
        <MoneyFigure label="Price" currency={currency} value={price} onChange={(price) => onChange({ price })} />
      </div>
      <Textarea
        label="Or what the label says"
        placeholder="Blade 21 cm, 165 g, 60 HRC, 15° a side, stainless…"
        autosize
        minRows={2}
        maxLength={4000}
        value={text}
        onChange={(e) => onChange({ text: e.currentTarget.value })}
      />
    </>
  );
}

/** The verdict on a knife, and why. */
function Judged({ verdict, currency, onTake }: { verdict: Verdict; currency: string; onTake: () => void }) {
  const lengths = useLengths();
  const { word, goodUpTo, why, outside, loss, assumed } = verdict;
  return (
    <div className={css.verdict} data-word={word} role="status">
      <p>
        <b>{VERDICTS[word]}</b>
        {word === 'only below' && <b className="figure"> {money(goodUpTo, currency)}</b>}. {why}
      </p>
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
      {loss && (
        <p>
          It loses most at {loss.task.toLowerCase()}: {lengths.told(loss.why)}
        </p>
      )}
      {assumed.length > 0 && (
        <p className="faded">
          Not on the label, taken as is usual for its kind:{' '}
          {assumed.map((figure) => FIGURE_WORDS[figure].the).join(', ')}. Check them in the hand.
        </p>
      )}
      {word !== 'leave' && (
        <Button size="sm" variant="default" onClick={onTake}>
          Take it into the plan
        </Button>
      )}
    </div>
  );
}
