import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import { coinsByCurrency } from '../../../data/coins';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import { gripMm } from '../../core/blade/hold';
import { handleTopMm } from '../../core/drawing/handle';
import { drawKnife } from '../../core/drawing/knife';
import { upsideDown } from '../../core/drawing/shape';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { feelAlike, type FeelAlike } from '../../core/trial/coins';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { KitchenFrame } from '../shared/KitchenFrame';
import { Shapes } from '../shared/Shapes';
import { useLengths } from '../shared/units';
import { usePlanner } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { choicesOf, Pick } from './choices';
import { ColumnPage, PageHead } from '../shared/PageHead';
import css from './FeelView.module.css';

/** A knife one knows made to feel like one only seen in the plan. */
export default function FeelView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try/feel">
      {({ kitchen }, worker) => <Feel kitchen={kitchen} worker={worker} />}
    </KitchenFrame>
  );
}

function Feel({ kitchen, worker }: { kitchen: KitchenFile; worker: Remote<KitchenWorker> }) {
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const [picked, setPicked] = useState<{ known: string | null; other: string | null }>({ known: null, other: null });
  const choices = useMemo(() => (answer ? choicesOf(answer, catalogue) : null), [answer, catalogue]);
  const currency = kitchen.currency ?? 'EUR';
  const coins = coinsByCurrency.get(currency) ?? coinsByCurrency.get('EUR') ?? [];
  const all = choices ? [...choices.drawer, ...choices.planned, ...choices.models] : [];
  const known = all.find(({ ref }) => ref === picked.known) ?? choices?.drawer[0] ?? all[0];
  const other = all.find(({ ref }) => ref === picked.other) ?? choices?.planned[0] ?? choices?.models[0];
  return (
    <ColumnPage>
      <PageHead here="try/feel">
        Tape coins to a knife you know to feel the weight and balance of one you have only seen.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {!choices && !trouble && <Working>Loading the knives</Working>}
      {choices && known && other && (
        <>
          <div className={css.row}>
            <Pick
              label="The knife you know"
              choices={choices}
              value={known.ref}
              onPick={(ref) => setPicked({ ...picked, known: ref })}
            />
            <Pick
              label="To feel like"
              choices={choices}
              value={other.ref}
              onPick={(ref) => setPicked({ ...picked, other: ref })}
            />
          </div>
          <Taped
            known={known.blade}
            other={other.blade}
            feel={feelAlike(known.blade, other.blade, coins)}
            grip={kitchen.cooks?.[0]?.grip ?? 'unsure'}
            foreign={coinsByCurrency.has(currency) ? null : currency}
          />
        </>
      )}
    </ColumnPage>
  );
}

const grams = (weight: number) => `${Math.round(weight)} g`;

/** What a stack of coins adds up to, in words: "2 × 2 euro and 1 × 5 cent". */
const stack = (coins: Extract<FeelAlike, { can: true }>['coins']) =>
  coins.map(({ coin, count }) => `${count} × ${coin.name}`).join(' and ');

function Taped({
  known,
  other,
  feel,
  grip,
  foreign,
}: {
  known: BladeModel;
  other: BladeModel;
  feel: FeelAlike;
  grip: Parameters<typeof gripMm>[0];
  foreign: string | null;
}) {
  const { length } = useLengths();
  const told = (mm: number) =>
    Math.abs(mm) < 3 ? 'at the heel' : `${length(Math.abs(mm))} ${mm > 0 ? 'before' : 'behind'} the heel`;
  return (
    <section className={css.taped} aria-live="polite">
      <p>
        You know {grams(known.weightG)} balanced {told(known.balanceMm)}; it should feel like {grams(other.weightG)}{' '}
        balanced {told(other.balanceMm)}.
      </p>
      {feel.can ? (
        <>
          <p className={css.answer}>
            Tape <b>{stack(feel.coins)}</b> to the side of the knife, <b>{told(feel.atMm)}</b>.
          </p>
          <p className="faded">
            That is {grams(feel.addG)}
            {Math.abs(feel.offG) >= 0.5 && `, ${Math.abs(feel.offG).toFixed(1)} g ${feel.offG > 0 ? 'over' : 'short'}`}.
            {foreign &&
              ` Euro coins are reckoned with: none of ${foreign} are known here; anything of that weight does.`}{' '}
            Figures of weight and balance that nobody measured are usual ones of the kind.
          </p>
          <p>
            Put a guard or folded card over the edge first, tape by the spine, and only hold it: do not cut with coins
            on.
          </p>
        </>
      ) : (
        <p className={css.answer}>This does not work with these two knives. {feel.why}</p>
      )}
      <Drawn known={known} other={other} feel={feel} grip={grip} />
    </section>
  );
}

/** Both knives at one scale, the coins where they belong. */
function Drawn({ known, other, feel, grip }: Omit<Parameters<typeof Taped>[0], 'foreign'>) {
  const [mine, theirs] = useMemo(() => [drawKnife(known), drawKnife(other)], [known, other]);
  const left = Math.min(mine.left, theirs.left) - 8;
  const right = Math.max(mine.right, theirs.right) + 8;
  const gap = 34;
  const top = mine.top + 8;
  const below = -mine.bottom + gap + theirs.top;
  const bottom = below - theirs.bottom + 12;
  // coins lie on the blade, or on the handle where they sit behind the heel
  const middle = (x: number, blade: BladeModel) =>
    x >= 0 ? Math.max(0.55 * blade.heelHeightMm, 0) : handleTopMm(blade) - blade.handleHeightMm / 2;
  const pile = feel.can ? feel.coins.flatMap(({ coin, count }) => Array.from({ length: count }, () => coin)) : [];
  const across = feel.can ? Math.max(...feel.coins.map(({ coin }) => coin.acrossMm)) : 0;
  return (
    <svg
      className={css.drawing}
      viewBox={`${left} ${-top - across / 2} ${right - left} ${top + across / 2 + bottom}`}
      role="img"
      aria-label={
        feel.can ? 'The coins on the knife you know, and below it the knife it will feel like' : 'Both knives'
      }
    >
      <Shapes drawing={mine} place={upsideDown} line={0.9} owned />
      <Balance x={known.balanceMm} y={3} />
      {feel.can &&
        pile.map((coin, i) => (
          <circle
            key={i}
            className={css.coin}
            cx={feel.atMm + 0.7 * (i - (pile.length - 1) / 2)}
            cy={-middle(feel.atMm, known) - 0.9 * i}
            r={coin.acrossMm / 2}
          />
        ))}
      <g transform={`translate(0 ${below})`}>
        <Shapes drawing={theirs} place={upsideDown} line={0.9} />
        <Balance x={other.balanceMm} y={3} />
      </g>
      <line className={css.grip} x1={gripMm(grip)} x2={gripMm(grip)} y1={-top} y2={bottom - 6} />
    </svg>
  );
}

/** A rest under the point of balance. */
const Balance = ({ x, y }: { x: number; y: number }) => <path className={css.rest} d={`M${x} ${y}l6 10h-12z`} />;
