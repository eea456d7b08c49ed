import { Button, NativeSelect } from '@mantine/core';
import type { Remote } from 'comlink';
import { useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import type { OwnedFile, ProfileFile } from '../../core/formats/kitchenFile';
import { measuredOwned, profileTraced } from '../../core/kitchen/deeds';
import { heightLost } from '../../core/measure/profile';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { Figure, LengthFigure } from '../shared/NumberField';
import { KitchenFrame } from '../shared/KitchenFrame';
import { useLengths } from '../shared/units';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { day } from '../shared/words';
import { choicesOf } from './choices';
import { GuideDrawing, type Guide } from './GuideDrawing';
import PhotoMeasure from './PhotoMeasure';
import { ColumnPage, PageHead } from '../shared/PageHead';
import css from './MeasureView.module.css';

/** An owned knife measured with ruler, scale and callipers, or from a photo beside a bank card. */
export default function MeasureView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try/measure">
      {(edits, worker) => <Measure id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

function Measure({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const drawer = useMemo(() => (answer ? choicesOf(answer, catalogue).drawer : null), [answer, catalogue]);
  const [at, setAt] = useState(0);
  const knife = kitchen.owned?.[at];
  const blade = drawer?.[at]?.blade;
  return (
    <ColumnPage>
      <PageHead here="try/measure">
        Until you measure a knife, the usual build of its kind is assumed. What you measure is used everywhere instead.
      </PageHead>
      {trouble && <p role="alert">{trouble}</p>}
      {!drawer && !trouble && <Working>Loading your drawer</Working>}
      {drawer?.length === 0 && (
        <p>
          Nothing in the drawer yet: <a href={`/kitchens/${id}/drawer`}>put in what you own</a> first.
        </p>
      )}
      {drawer && drawer.length > 0 && (
        <NativeSelect
          label="Knife"
          className={css.which ?? ''}
          value={String(at)}
          data={drawer.map(({ name }, i) => ({ value: String(i), label: name }))}
          onChange={(e) => setAt(Number(e.currentTarget.value))}
        />
      )}
      {knife && blade && (
        <>
          <Figures
            key={at}
            {...{ knife, blade }}
            onChange={(figures) => update((file) => measuredOwned(file, at, figures))}
          />
          <PhotoMeasure
            key={`photo-${at}`}
            worker={worker}
            blade={blade}
            onUse={({ profile, shape }) => update((file) => profileTraced(file, at, profile, shape))}
          />
          <Losses profiles={knife.profiles ?? []} />
        </>
      )}
    </ColumnPage>
  );
}

type Measured = 'heelHeightMm' | 'weightG' | 'balanceMm' | 'spineMm' | 'behindEdgeMm';
const FIGURES: readonly {
  key: Measured;
  guide: Guide;
  label: string;
  unit: 'mm' | 'g';
  how: string;
  bounds: readonly [number, number];
  step: number;
  usual: (blade: BladeModel) => number;
}[] = [
  {
    key: 'heelHeightMm',
    guide: 'heel',
    label: 'Height at the heel',
    unit: 'mm',
    how: 'Lay it flat on paper, a ruler upright from the edge to the spine, at the heel.',
    bounds: [10, 130],
    step: 0.5,
    usual: (blade) => blade.heelHeightMm,
  },
  {
    key: 'weightG',
    guide: 'weight',
    label: 'Weight',
    unit: 'g',
    how: 'On a kitchen scale, edge away from you.',
    bounds: [15, 1500],
    step: 1,
    usual: (blade) => blade.weightG,
  },
  {
    key: 'balanceMm',
    guide: 'balance',
    label: 'Balance, before the heel',
    unit: 'mm',
    how: 'Balance its side on one finger; measure from the heel. Below zero means towards the handle.',
    bounds: [-80, 120],
    step: 1,
    usual: (blade) => blade.balanceMm,
  },
  {
    key: 'spineMm',
    guide: 'spine',
    label: 'Spine above the heel',
    unit: 'mm',
    how: 'Callipers across the spine. Never towards the edge with your fingers.',
    bounds: [0.8, 12],
    step: 0.1,
    usual: (blade) => blade.spineHeelMm,
  },
  {
    key: 'behindEdgeMm',
    guide: 'edge',
    label: 'Behind the edge',
    unit: 'mm',
    how: 'Callipers a millimetre above the edge. Skip this if you are unsure: it is the hardest to measure.',
    bounds: [0.05, 3],
    step: 0.01,
    usual: (blade) => blade.behindEdgeMm,
  },
];

const FLEXES = [
  { value: '', label: 'as is usual for its kind' },
  { value: '0', label: 'not at all' },
  { value: '0.15', label: 'a finger’s breadth' },
  { value: '0.45', label: 'easily, half a hand' },
  { value: '0.8', label: 'into a curve' },
];

interface FiguresProps {
  knife: OwnedFile;
  blade: BladeModel;
  onChange: (figures: Partial<OwnedFile>) => void;
}

function Figures(props: FiguresProps) {
  return (
    <section aria-labelledby="figures" className={css.part}>
      <h2 id="figures">With ruler, scale and callipers</h2>
      <ul className={css.figures}>
        {FIGURES.map((asked) => (
          <MeasuredFigure key={asked.key} asked={asked} {...props} />
        ))}
        <Bend {...props} />
      </ul>
    </section>
  );
}

/** One figure to measure: how, what is taken without it, and the way back to that. */
function MeasuredFigure({
  asked: { key, guide, label, unit, how, bounds, step, usual },
  knife,
  blade,
  onChange,
}: FiguresProps & { asked: (typeof FIGURES)[number] }) {
  const shared = {
    label,
    value: knife[key] ?? null,
    bounds,
    step,
    onChange: (value: number) => onChange({ [key]: value }),
  };
  return (
    <li>
      <GuideDrawing guide={guide} blade={blade} />
      {unit === 'mm' ? <LengthFigure {...shared} /> : <Figure {...shared} label={`${label}, g`} />}
      <p className="faded">{how}</p>
      {knife[key] === undefined ? (
        <p className="faded">
          Taken as <span className="figure">{Number((Math.round(usual(blade) / step) * step).toFixed(2))}</span> {unit}.
        </p>
      ) : (
        <Button
          size="compact-md"
          variant="default"
          aria-label={`Remove this measurement: ${label}`}
          onClick={() => onChange({ [key]: undefined })}
        >
          Remove this measurement
        </Button>
      )}
    </li>
  );
}

function Bend({ knife, blade, onChange }: FiguresProps) {
  return (
    <li>
      <GuideDrawing guide="flex" blade={blade} />
      <NativeSelect
        label="Bends under a light press"
        value={knife.flex === undefined ? '' : String(knife.flex)}
        data={
          FLEXES.some(({ value }) => value === String(knife.flex ?? ''))
            ? FLEXES
            : [...FLEXES, { value: String(knife.flex), label: `${knife.flex ?? ''} of 1` }]
        }
        onChange={(e) => {
          const { value } = e.currentTarget;
          onChange({ flex: value === '' ? undefined : Number(value) });
        }}
      />
      <p className="faded">
        Tip on a folded cloth, press lightly on the handle, edge away from you. Stop at the first resistance; never bend
        ceramic.
      </p>
    </li>
  );
}

/** What was ground away between the oldest photo and the latest. */
function Losses({ profiles }: { profiles: readonly ProfileFile[] }) {
  const { length } = useLengths();
  const [older, setOlder] = useState(0);
  const last = profiles.at(-1);
  const before = profiles[older] ?? profiles[0];
  if (!last || !before || profiles.length < 2) return null;
  const lost = heightLost(before, last);
  const most = lost.reduce((a, b) => (b.lostMm > a.lostMm ? b : a));
  const wide = Math.max(before.lengthMm, last.lengthMm);
  const high = Math.max(before.heelHeightMm, last.heelHeightMm);
  // the spine stays where it was: edges hang down from it
  const line = ({ heelHeightMm, edge }: ProfileFile) =>
    edge.map(({ x, y }) => `${x.toFixed(1)},${(heelHeightMm - y).toFixed(1)}`).join(' ');
  return (
    <section aria-labelledby="losses" className={css.part}>
      <h2 id="losses">What was ground away</h2>
      <NativeSelect
        label="Since the photo of"
        className={css.which ?? ''}
        value={String(older)}
        data={profiles.slice(0, -1).map(({ on }, i) => ({ value: String(i), label: day(on) }))}
        onChange={(e) => setOlder(Number(e.currentTarget.value))}
      />
      <svg
        className={css.losses}
        viewBox={`-4 -4 ${wide + 8} ${high + 10}`}
        role="img"
        aria-label="Both edges, hung from the same spine"
      >
        <line x1={0} x2={wide} y1={0} y2={0} />
        <polyline className={css.older} points={line(before)} />
        <polyline points={line(last)} />
      </svg>
      <p>
        From {day(before.on)} to {day(last.on)}: <b className="figure">{length(Math.max(0, lost[0]?.lostMm ?? 0))}</b>{' '}
        at the heel, most <b className="figure">{length(Math.max(0, most.lostMm))}</b> at {length(most.xMm)} from it.
        Photos tell to about a millimetre.
      </p>
    </section>
  );
}
