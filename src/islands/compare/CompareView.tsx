import { Button, NativeSelect, SegmentedControl } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import type { StoredKitchen } from '../../client/kitchens';
import { bestContact } from '../../core/blade/contact';
import { rockingRadiusMm } from '../../core/blade/rocking';
import type { BladeModel } from '../../core/blade/schema';
import { drawKnife } from '../../core/drawing/knife';
import { pathOfShape, upsideDown } from '../../core/drawing/shape';
import { fromMinor } from '../../core/money/currency';
import type { Character } from '../../workers/stock';
import CutPicker from '../cut/CutPicker';
import { Dress } from '../shared/Dress';
import { KitchenMast } from '../shared/KitchenMast';
import { useKitchenWorker } from '../shared/useKitchenWorker';
import { money, taskName } from '../shared/words';
import css from './CompareView.module.css';
import { useLengths } from '../shared/units';
import { figure } from '../../core/text/figure';

const MOST_BLADES = 4;
const MOST_TASKS = 14;
/** Told apart by dash as well as by colour. */
const STYLES = [
  { colour: '#eef3ec', dash: '', name: 'unbroken' },
  { colour: '#e9b64d', dash: '7 3', name: 'long dashes' },
  { colour: '#8fd0b4', dash: '2 2.500', name: 'dots' },
  { colour: '#f0a3c2', dash: '9 3 2 3', name: 'dash and dot' },
] as const;
const REFERENCES = [
  { value: 'heel', label: 'Heel' },
  { value: 'tip', label: 'Tip' },
  { value: 'pinch', label: 'Pinch' },
] as const;
type Reference = (typeof REFERENCES)[number]['value'];

/** Two to four blades laid over one another at one scale, with their differences in figures and in this kitchen's work. */
export default function CompareView({ stored, asked }: { stored: StoredKitchen; asked: string[] }) {
  return (
    <Dress>
      <Compare stored={stored} asked={asked} />
    </Dress>
  );
}

/** The blades compared: those asked for, or the first two knives of the plan; each with what it does in this kitchen. */
function useCompared(stored: StoredKitchen, asked: string[]) {
  const { worker } = useKitchenWorker();
  const [models, setModels] = useState<BladeModel[]>([]);
  const [chosen, setChosen] = useState(asked);
  const [found, setFound] = useState<Character[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);

  useEffect(() => {
    worker
      .load()
      .then(async (catalogue) => {
        const { plan } = await worker.quick(stored.kitchen);
        setModels(catalogue);
        // with nothing asked for, the plan’s first knife and the one that comes closest to it
        const planned = plan.steps
          .filter(({ action }) => action === 'buy')
          .flatMap(({ model, runnersUp }) => [model, runnersUp[0]?.model].flatMap((id) => id ?? []));
        setChosen((now) => (now.length >= 2 ? now : [...new Set([...now, ...planned])].slice(0, 2)));
      })
      .catch((error: unknown) =>
        setTrouble(error instanceof Error ? error.message : 'The catalogue could not be read.'),
      );
  }, [worker, stored.kitchen]);

  useEffect(() => {
    if (models.length === 0) return;
    let live = true;
    void Promise.all(chosen.map((model) => worker.character({ model }))).then((all) => {
      if (live) setFound(all.flatMap((c) => c ?? []));
    });
    history.replaceState(null, '', `?blades=${chosen.join(',')}`);
    return () => {
      live = false;
    };
  }, [worker, chosen, models]);
  return { worker, models, chosen, setChosen, found, trouble };
}

function Compare({ stored, asked }: { stored: StoredKitchen; asked: string[] }) {
  const { worker, models, chosen, setChosen, found, trouble } = useCompared(stored, asked);
  const [reference, setReference] = useState<Reference>('heel');
  // two in step: more would be too small to see
  const targets = useMemo(() => found.slice(0, 2).map(({ blade }) => ({ model: blade.id })), [found]);
  return (
    <>
      <KitchenMast
        kitchenId={stored.id}
        kitchen={stored.kitchen}
        name={stored.kitchen.name ?? 'My kitchen'}
        here="compare"
      />
      <main id="main" className={css.page}>
        <h1 className="visually-hidden">Compare blades</h1>
        {trouble && <p role="alert">{trouble}</p>}
        <ChooseBlades models={models} chosen={chosen} onChoose={setChosen} />
        {found.length > 0 && (
          <>
            <div className={css.bar}>
              <span>Laid over one another at the</span>
              <SegmentedControl
                size="xs"
                aria-label="Where the blades are laid over one another"
                value={reference}
                data={[...REFERENCES]}
                onChange={(value) => setReference(REFERENCES.find((r) => r.value === value)?.value ?? 'heel')}
              />
            </div>
            <Overlay blades={found.map((f) => f.blade)} reference={reference} />
            <CutPicker worker={worker} targets={targets} tasks={foodsOf(found)} />
            <Figures found={found} />
            <Work found={found} />
          </>
        )}
      </main>
    </>
  );
}

/** Two to four blades picked from the catalogue, each with the line it is drawn in. */
function ChooseBlades({
  models,
  chosen,
  onChoose,
}: {
  models: readonly BladeModel[];
  chosen: readonly string[];
  onChoose: (chosen: string[]) => void;
}) {
  const options = useMemo(
    () =>
      [...models]
        .sort((a, b) => (`${a.name} ${a.maker}` < `${b.name} ${b.maker}` ? -1 : 1))
        .map((m) => ({ value: m.id, label: `${m.name}, ${m.maker}` })),
    [models],
  );
  const another = options.find((o) => !chosen.includes(o.value))?.value ?? chosen[0];
  return (
    <div className={css.choose}>
      {chosen.map((id, i) => (
        <div key={`${i}-${id}`} className={css.slot}>
          <svg width="44" height="8" aria-hidden="true" className={css.key}>
            <path d="M0 4H44" stroke={STYLES[i]?.colour} strokeWidth="3" strokeDasharray={STYLES[i]?.dash} />
          </svg>
          <NativeSelect
            aria-label={`Blade ${i + 1}, drawn ${STYLES[i]?.name}`}
            value={id}
            data={options}
            onChange={(e) => onChoose(chosen.map((old, at) => (at === i ? e.currentTarget.value : old)))}
          />
          {chosen.length > 2 && (
            <Button
              size="compact-sm"
              variant="default"
              aria-label={`Remove blade ${i + 1}`}
              onClick={() => onChoose(chosen.filter((_, at) => at !== i))}
            >
              Remove
            </Button>
          )}
        </div>
      ))}
      {chosen.length < MOST_BLADES && another !== undefined && options.length > 0 && (
        <Button variant="default" onClick={() => onChoose([...chosen, another])}>
          Add a blade
        </Button>
      )}
    </div>
  );
}

/** Tasks of this kitchen that some of the blades may do, those that weigh most first. */
const foodsOf = (found: readonly Character[]): string[] =>
  (found[0]?.scores ?? [])
    .filter(
      ({ task, weight }) => weight > 0 && found.some((c) => (c.scores.find((s) => s.task === task)?.score ?? 0) > 0),
    )
    .sort((a, b) => b.weight - a.weight)
    .map(({ task }) => task);

function Overlay({ blades, reference }: { blades: BladeModel[]; reference: Reference }) {
  const shift = (b: BladeModel) => (reference === 'tip' ? -b.lengthMm : reference === 'pinch' ? 10 : 0);
  const outlines = blades.map((blade) => ({ blade, drawing: drawKnife(blade), dx: shift(blade) }));
  const left = Math.min(...outlines.map(({ blade, dx }) => dx - blade.handleLengthMm)) - 8;
  const right = Math.max(...outlines.map(({ blade, dx }) => dx + blade.lengthMm)) + 8;
  const top = Math.max(...outlines.map(({ drawing }) => drawing.top)) + 8;
  const marks = Array.from(
    { length: Math.floor((right - left) / 10) + 1 },
    (_, i) => Math.ceil(left / 10) * 10 + i * 10,
  );
  return (
    <svg
      className={css.overlay}
      viewBox={`${left} ${-top} ${right - left} ${top + 26}`}
      role="img"
      aria-label={`Overlay of ${blades.map((b) => b.name).join(', ')} at one scale`}
    >
      {outlines.map(({ blade, drawing, dx }, i) => (
        <g
          key={i}
          transform={`translate(${dx} 0)`}
          fill="none"
          stroke={STYLES[i]?.colour}
          strokeWidth={1}
          strokeDasharray={STYLES[i]?.dash}
        >
          {drawing.shapes
            .filter(({ role }) => role === 'steel' || role === 'handle')
            .map((shape, k) => (
              <path key={k} d={pathOfShape(shape, upsideDown)} />
            ))}
          <title>{blade.name}</title>
        </g>
      ))}
      <g className={css.rule}>
        {marks.map((x) => (
          <g key={x}>
            <path d={`M${x} 9v${x % 50 === 0 ? 6 : 3}`} strokeWidth={0.5} />
            {x % 50 === 0 && (
              <text x={x} y={22} fontSize={6} textAnchor="middle">
                {x}
              </text>
            )}
          </g>
        ))}
      </g>
    </svg>
  );
}

function Figures({ found }: { found: Character[] }) {
  const { length, told } = useLengths();
  const rows: [string, (c: Character) => string][] = [
    ['Price', ({ blade }) => money(fromMinor(blade.priceMinor, blade.currency), blade.currency)],
    ['Edge', ({ blade }) => length(blade.lengthMm)],
    ['Heel', ({ blade }) => length(blade.heelHeightMm)],
    ['Spine, heel to tip', ({ blade }) => told(`${blade.spineHeelMm.toFixed(1)}–${blade.spineTipMm.toFixed(1)} mm`)],
    ['Behind the edge', ({ blade }) => length(blade.behindEdgeMm, 2)],
    ['Edge angle', ({ blade }) => `${figure(blade.edgeAngleDeg)}°`],
    ['Weight', ({ blade }) => `${blade.weightG.toFixed(0)} g`],
    ['Balance', ({ blade }) => `${blade.balanceMm > 0 ? '+' : ''}${length(blade.balanceMm)}`],
    ['Hardness', ({ blade }) => (blade.hrc === null ? 'ceramic' : `${figure(blade.hrc)} HRC`)],
    ['Edge on the board', ({ blade }) => `${Math.round(bestContact(blade).share * 100)}%`],
    ['Rocking radius', ({ blade }) => length(Math.round(rockingRadiusMm(blade) / 10) * 10)],
    ['Room for your knuckles', ({ knuckleRoomMm }) => length(knuckleRoomMm)],
  ];
  return (
    <section className={css.scroll}>
      <h2>In figures</h2>
      <table>
        <thead>
          <tr>
            <td />
            {found.map(({ blade }, i) => (
              <th key={i} scope="col">
                {blade.name}
                <span className="faded">{blade.maker}</span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, figure]) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              {found.map((c, i) => (
                <td key={i} className="figure">
                  {figure(c)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Work({ found }: { found: Character[] }) {
  const [first] = found;
  const tasks = (first?.scores ?? [])
    .filter(({ weight }) => weight > 0)
    .map(({ task, weight }) => {
      const scores = found.map((c) => c.scores.find((s) => s.task === task)?.score ?? 0);
      return { task, scores, matters: weight * (Math.max(...scores) - Math.min(...scores)) };
    })
    .sort((a, b) => b.matters - a.matters)
    .slice(0, MOST_TASKS);
  return (
    <section className={css.scroll}>
      <h2>In this kitchen’s work</h2>
      <p className="faded">Where they differ most, weighed by how much of it you do.</p>
      <table>
        <thead>
          <tr>
            <td />
            {found.map(({ blade }, i) => (
              <th key={i} scope="col">
                {blade.name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {tasks.map(({ task, scores }) => (
            <tr key={task}>
              <th scope="row">{taskName(task)}</th>
              {scores.map((score, i) => (
                <td key={i} className="figure" data-best={score === Math.max(...scores) || undefined}>
                  {Math.floor(score)}
                  {score === Math.max(...scores) && <span className={css.best}> best</span>}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
