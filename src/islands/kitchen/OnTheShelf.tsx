import { Button, NativeSelect, Textarea } from '@mantine/core';
import type { Remote } from 'comlink';
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
import { Figure, LengthFigure } from '../shared/Field';
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

/** A knife on a shelf: as little as its kind, length and price, or what the label says, judged for this cook and taken into the plan. */
export function OnTheShelf({ step, plan, brief, worker, catalogue, update, onCatalogue }: Props) {
  const lengths = useLengths();
  const [type, setType] = useState(step.type ?? 'chef');
  const [lengthMm, setLengthMm] = useState<number | null>(null);
  const [price, setPrice] = useState<number | null>(null);
  const [text, setText] = useState('');
  const [verdict, setVerdict] = useState<Verdict | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const changed =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setVerdict(null);
    };
  const known = lengthMm !== null || text.trim() !== '';

  const take = async () => {
    if (!verdict) return;
    const name = `${typeNames.get(type) ?? 'Knife'} ${Math.round(verdict.blade.lengthMm)} seen in a shop`;
    const id = idFor(name, catalogue);
    const priceMinor = toMinor(price ?? verdict.goodUpTo, plan.currency);
    try {
      await addModels(
        [{ ...verdict.blade, id, name, maker: 'Seen in a shop', priceMinor, currency: plan.currency }],
        'skip',
      );
      await onCatalogue();
      update((k) => swapped(k, step.model ?? '', id));
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The knife could not be kept.');
    }
  };

  return (
    <form
      className={css.shelf}
      onSubmit={(e) => {
        e.preventDefault();
        setTrouble(null);
        worker
          .judge(plan, brief, { type, text, lengthMm, price })
          .then(setVerdict, () => setTrouble('It could not be judged: the server does not answer. Try again.'));
      }}
    >
      <h4>A knife on the shelf</h4>
      <NativeSelect
        label="Its kind"
        description={typeBlurbs.get(type)}
        value={type}
        data={types}
        onChange={(e) => changed(setType)(e.currentTarget.value)}
      />
      <div className={css.pair}>
        <LengthFigure
          label="Edge"
          bounds={BOUNDS.edgeLengthMm}
          value={lengthMm}
          onChange={changed<number | null>(setLengthMm)}
        />
        <Figure
          label={`Price, ${plan.currency}`}
          bounds={BOUNDS.money}
          step={0.01}
          value={price}
          onChange={changed<number | null>(setPrice)}
        />
      </div>
      <Textarea
        label="Or what the label says"
        placeholder="Blade 21 cm, 165 g, 60 HRC, 15° a side, stainless…"
        autosize
        minRows={2}
        maxLength={4000}
        value={text}
        onChange={(e) => changed(setText)(e.currentTarget.value)}
      />
      <div>
        <Button type="submit" size="sm" disabled={!known}>
          Judge it
        </Button>
      </div>
      {verdict && (
        <div className={css.verdict} data-word={verdict.word} role="status">
          <p>
            <b>{VERDICTS[verdict.word]}</b>
            {verdict.word === 'only below' && <b className="figure"> {money(verdict.goodUpTo, plan.currency)}</b>}.{' '}
            {verdict.why}
          </p>
          {verdict.outside.length > 0 && (
            <p>
              Outside the brief:{' '}
              {verdict.outside
                .map(({ figure, value, range }) =>
                  lengths.told(
                    `${FIGURE_WORDS[figure].the} ${value}, wanted ${range[0]}–${range[1]}${figure.endsWith('Mm') ? ' mm' : ''}`,
                  ),
                )
                .join('; ')}
              .
            </p>
          )}
          {verdict.loss && (
            <p>
              It loses most at {verdict.loss.task.toLowerCase()}: {lengths.told(verdict.loss.why)}
            </p>
          )}
          {verdict.assumed.length > 0 && (
            <p className="faded">
              Not on the label, taken as is usual for its kind:{' '}
              {verdict.assumed.map((figure) => FIGURE_WORDS[figure].the).join(', ')}. Check them in the hand.
            </p>
          )}
          {verdict.word !== 'leave' && (
            <Button size="sm" variant="default" onClick={() => void take()}>
              Take it into the plan
            </Button>
          )}
        </div>
      )}
      {trouble && <p role="alert">{trouble}</p>}
    </form>
  );
}
