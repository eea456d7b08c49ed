import { Button, Switch } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import { reference } from '../../../data/reference';
import { fetchLifeSize } from '../../client/paper';
import type { StoredKitchen } from '../../client/kitchens';
import { drawGrip } from '../../core/drawing/hand';
import { drawKnife } from '../../core/drawing/knife';
import { pathOfShape, upsideDown, type Drawing } from '../../core/drawing/shape';
import { bladeTraits } from '../../core/fit/traits';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Calibrate } from '../shared/Calibrate';
import { USUAL_PX_PER_MM, useScreenScale } from '../shared/calibration';
import { fileName } from '../shared/download';
import { KitchenFrame } from '../shared/KitchenFrame';
import { PaperSize, usualPaper } from '../shared/PaperSize';
import { Shapes } from '../shared/Shapes';
import { useLengths } from '../shared/units';
import { useMakingPdf } from '../shared/useMakingPdf';
import { usePlanner } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { handOf } from '../shared/hand';
import { choicesOf, Pick, type Choice } from './choices';
import { ColumnPage, PageHead } from '../shared/PageHead';
import css from './LifeSizeView.module.css';
import { figure } from '../../core/text/figure';

const MARGIN = 8;
/** Board drawn under an edge, mm. */
const BOARD = 14;

/** Knives at true size, on the calibrated screen and on paper. */
export default function LifeSizeView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try">
      {({ kitchen }, worker) => <LifeSize kitchen={kitchen} worker={worker} />}
    </KitchenFrame>
  );
}

function LifeSize({ kitchen, worker }: { kitchen: KitchenFile; worker: Remote<KitchenWorker> }) {
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const [scale, keepScale] = useScreenScale();
  const [calibrating, setCalibrating] = useState(false);
  const [picked, setPicked] = useState<[string | null, string | null]>([null, null]);
  const choices = useMemo(() => (answer ? choicesOf(answer, catalogue) : null), [answer, catalogue]);
  const all = choices ? [...choices.planned, ...choices.drawer, ...choices.models] : [];
  const first = all.find(({ ref }) => ref === picked[0]) ?? all[0];
  const second = all.find(({ ref }) => ref === picked[1]) ?? null;
  return (
    <ColumnPage>
      <PageHead here="try">
        See how large a knife is in your hand and on your board before you buy. Lay a knife you know on the screen
        beside it.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {!choices && !trouble && <Working>Loading the knives</Working>}
      {choices && first && (
        <>
          <div className={css.row}>
            <Pick label="Knife" choices={choices} value={first.ref} onPick={(ref) => setPicked([ref, picked[1]])} />
            <Pick
              label="Laid over it"
              none="nothing"
              choices={choices}
              value={second?.ref ?? ''}
              onPick={(ref) => setPicked([picked[0], ref === '' ? null : ref])}
            />
          </div>
          {scale === null || calibrating ? (
            <Calibrate
              start={scale ?? USUAL_PX_PER_MM}
              onDone={(found) => {
                keepScale(found);
                setCalibrating(false);
              }}
            />
          ) : (
            <>
              <OnScreen first={first} second={second} kitchen={kitchen} pxPerMm={scale} />
              <Button variant="default" size="sm" className={css.again ?? ''} onClick={() => setCalibrating(true)}>
                Calibrate again
              </Button>
            </>
          )}
          <OnPaper kitchen={kitchen} knives={[...choices.drawer, ...choices.planned]} />
        </>
      )}
    </ColumnPage>
  );
}

interface OnScreenProps {
  first: Choice;
  second: Choice | null;
  kitchen: KitchenFile;
  pxPerMm: number;
}

function OnScreen(props: OnScreenProps) {
  const { first, kitchen } = props;
  const [hand, setHand] = useState(true);
  const { length } = useLengths();
  const cook = kitchen.cooks?.[0];
  const { breadthMm: palm } = handOf(cook);
  const room = useMemo(
    () => bladeTraits(first.blade, reference, false).knuckleRoomMm(palm, cook?.grip ?? 'unsure'),
    [first, palm, cook?.grip],
  );
  return (
    <section className={css.screen} aria-label="At true size">
      <div className={css.row}>
        <Switch label="In your hand" checked={hand} onChange={(e) => setHand(e.currentTarget.checked)} />
        <p>
          {room > 0
            ? `About ${length(room)} of room between your knuckles and the board.`
            : 'Your knuckles meet the board: work at its edge.'}{' '}
          <span className="faded">{figure(first.blade.weightG)} g.</span>
        </p>
      </div>
      <div
        className={css.canvas}
        tabIndex={0}
        role="region"
        aria-label="The knife, to be moved sideways where the screen is narrow"
      >
        <TrueSize {...props} hand={hand} />
      </div>
    </section>
  );
}

/** The knife over the board, another one laid over it, and the hand that grips it. */
function TrueSize({ first, second, kitchen, pxPerMm, hand }: OnScreenProps & { hand: boolean }) {
  const { lengthMm: long, breadthMm: palm, grip } = handOf(kitchen.cooks?.[0]);
  const drawing = useMemo(() => drawKnife(first.blade), [first]);
  const over = useMemo(() => (second ? drawKnife(second.blade) : null), [second]);
  const gripping = useMemo(() => drawGrip(grip, first.blade, long, palm), [grip, first, long, palm]);
  const seen: Drawing[] = [drawing, ...(over ? [over] : []), ...(hand ? [gripping.behind, gripping.before] : [])];
  const left = Math.min(...seen.map((each) => each.left)) - MARGIN;
  const right = Math.max(...seen.map((each) => each.right)) + MARGIN;
  const top = Math.max(...seen.map((each) => each.top)) + MARGIN;
  const bottom = Math.min(-BOARD, ...seen.map((each) => each.bottom)) - MARGIN;
  const [wide, high] = [right - left, top - bottom];
  return (
    <svg
      width={wide * pxPerMm}
      height={high * pxPerMm}
      viewBox={`${left} ${-top} ${wide} ${high}`}
      role="img"
      aria-label={`${first.name}${second ? `, with ${second.name} laid over it` : ''}, at true size`}
      data-mm={wide.toFixed(1)}
    >
      <rect className={css.board} x={left} y={0} width={wide} height={BOARD} />
      {hand && <Shapes drawing={gripping.behind} place={upsideDown} line={0.5} />}
      <Shapes drawing={drawing} place={upsideDown} line={0.6} owned={first.ref.startsWith('owned')} />
      {hand && <Shapes drawing={gripping.before} place={upsideDown} line={0.5} />}
      {over?.shapes
        .filter(({ closed, role }) => closed && (role === 'steel' || role === 'handle'))
        .map((shape, i) => (
          <path key={i} className={css.over} d={pathOfShape(shape, upsideDown)} />
        ))}
    </svg>
  );
}

/** The drawer and the plan at true size on paper, to be cut out. */
function OnPaper({ kitchen, knives }: { kitchen: KitchenFile; knives: Choice[] }) {
  const [paper, setPaper] = useState(usualPaper);
  const { working, trouble, make } = useMakingPdf(fileName(kitchen.name, '-life-size.pdf'), () =>
    fetchLifeSize({ title: kitchen.name ?? 'My kitchen', paper, knives }),
  );
  return (
    <section className={css.paper} aria-labelledby="cut-out">
      <h2 id="cut-out">On paper, to cut out</h2>
      <p className="faded">
        Every knife of the drawer and the plan, with its weight and balance, a bar of 100 mm to check the print, and a
        rule for the hand. Long knives go over two sheets. Print at 100 %.
      </p>
      <div className={css.row}>
        <PaperSize paper={paper} onChange={setPaper} />
        <Button loading={working} disabled={knives.length === 0} onClick={() => void make()}>
          Make the PDF
        </Button>
      </div>
      {trouble && <p role="alert">{trouble}</p>}
    </section>
  );
}
