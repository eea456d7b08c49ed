import { NativeSelect, Slider } from '@mantine/core';
import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { useMemo, useState } from 'react';
import { Line } from 'react-chartjs-2';
import { colour } from '../shared/charts';
import { Charted } from '../shared/Charted';
import { reference } from '../../../data/reference';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { taskLoads } from '../../core/load/load';
import { FIT, PART_WEIGHTS, type Constant } from '../../core/constants';
import { cookContexts } from '../../core/fit/cook';
import { taskModes } from '../../core/fit/modes';
import { cutScene, sceneWords } from '../../core/fit/scene';
import { explain } from '../../core/fit/explain';
import { PARTS, prepareTask } from '../../core/fit/score';
import { bladeTraits } from '../../core/fit/traits';
import { DEFAULTS } from '../../core/kitchen/defaults';
import { completeKitchen } from '../../core/kitchen/kitchen';
import { Cuts } from '../cut/CutView';
import { Dress } from '../shared/Dress';
import { Masthead } from '../shared/Masthead';
import { ScoreParts } from '../shared/ScoreParts';
import { CURVES, type Curve } from './curves';
import { ScoreIntro } from './ScoreIntro';
import css from './ScoreView.module.css';

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip);
Chart.defaults.font.family = "'Red Hat Mono Variable', monospace";

/** How the score is made: every part with its curve and its constants, read from the code that computes them, and a live example. */
export default function ScoreView() {
  return (
    <Dress>
      <Masthead />
      <main id="main" className={css.page}>
        <ScoreIntro />
        <Example />
        <section>
          <h2>The parts</h2>
          <div className={css.parts}>
            {PARTS.map((part) => (
              <PartCard key={part.id} id={part.id} name={part.name} about={part.about} />
            ))}
          </div>
        </section>
        <section>
          <h2>The length wanted</h2>
          <p>
            A band round the hand’s length times a factor, moved by practice, batches, food and board, and never more
            than the board carries. What you ask for yourself overrides it.
          </p>
          <Constants of="wantedLength" />
        </section>
        <section>
          <h2>Edge strength and the hand</h2>
          <p>What an edge can meet, and how a hand meets the board.</p>
          {[
            'strength',
            'hold',
            'girth',
            'easyWeight',
            'brings',
            'suits',
            'tipShape',
            'tipPull',
            'mode',
            'condition',
          ].map((group) => (
            <Constants key={group} of={group} />
          ))}
        </section>
      </main>
    </Dress>
  );
}

/** The hand that holds the example. */
const MIDDLING = {
  grip: 'pinch' as const,
  handLengthMm: DEFAULTS.handLengthMm,
  palmBreadthMm: Math.round(DEFAULTS.handLengthMm * DEFAULTS.palmPerHand),
};
const kitchen = completeKitchen({ format: 'scabbard.kitchen', version: 1 }, reference, []).kitchen;
const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));

function CurveChart({ curve, name }: { curve: Curve; name: string }) {
  const [cook] = cooks;
  const task = reference.tasks.get(curve.task);
  const type = reference.types.get(curve.type);
  const part = PARTS.find((p) => p.id === curve.part);
  const mode = task && (taskModes(task).find((m) => m.id === curve.mode) ?? taskModes(task)[0]);
  const points = useMemo(() => {
    if (!cook || !task || !type || !part || !mode) return [];
    const base = typicalBlade(type, {}, 'right');
    const STEPS = 40;
    return Array.from({ length: STEPS + 1 }, (_, i) => {
      const x = curve.from + ((curve.to - curve.from) * i) / STEPS;
      return {
        x: Number(x.toFixed(curve.to - curve.from > 20 ? 0 : curve.to - curve.from > 3 ? 1 : 2)),
        y: part.value(bladeTraits(curve.bend(base, x), reference), task, cook, mode),
      };
    });
  }, [curve, cook, task, type, part, mode]);
  const [first, last] = [points[0], points[points.length - 1]];
  const said = `${name}, ${curve.axis}: ${first?.y.toFixed(2)} at ${first?.x}, ${last?.y.toFixed(2)} at ${last?.x}.`;
  return (
    <figure className={css.chart}>
      <Charted className={css.canvas ?? ''} name={name}>
        <Line
          aria-label={said}
          role="img"
          data={{
            labels: points.map((p) => p.x),
            datasets: [
              { data: points.map((p) => p.y), borderColor: colour('--thread'), borderWidth: 2.5, pointRadius: 0 },
            ],
          }}
          options={{
            animation: false,
            maintainAspectRatio: false,
            plugins: { legend: { display: false } },
            scales: {
              y: {
                min: 0,
                max: 1,
                ticks: { color: colour('--faded'), stepSize: 0.5 },
                grid: { color: colour('--rule') },
              },
              x: {
                ticks: { color: colour('--faded'), maxTicksLimit: 6, maxRotation: 0 },
                grid: { display: false },
                title: { display: true, text: curve.axis, color: colour('--faded') },
              },
            },
          }}
        />
      </Charted>
      <figcaption>
        {curve.caption} <span className="visually-hidden">{said}</span>
      </figcaption>
    </figure>
  );
}

/** `edge-safety` → the group of constants it uses. */
const groupOf = (id: string) => id.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());
const groups: Record<string, Record<string, Constant>> = FIT;
const spaced = (name: string) => name.replace(/([A-Z])/g, ' $1').toLowerCase();

/** A group of constants: value, unit, reason and where it comes from. */
function Constants({ of }: { of: string }) {
  const constants = Object.entries(groups[of] ?? {});
  if (constants.length === 0) return null;
  return (
    <details className={css.constants}>
      <summary>
        The <span className="figure">{constants.length}</span> {constants.length === 1 ? 'number' : 'numbers'} behind “
        {spaced(of)}”
      </summary>
      <table>
        <tbody>
          {constants.map(([key, constant]) => (
            <tr key={key}>
              <th scope="row">{spaced(key)}</th>
              <td className="figure">
                {constant.value} {constant.unit}
              </td>
              <td>
                {constant.why} <span className="faded">({constant.from})</span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}

function PartCard({ id, name, about }: { id: keyof typeof PART_WEIGHTS; name: string; about: string }) {
  const curve = CURVES.find((c) => c.part === id);
  const weight = PART_WEIGHTS[id];
  return (
    <article className={css.part} id={id}>
      <h3>{name}</h3>
      <p>{about}</p>
      {curve && <CurveChart curve={curve} name={name} />}
      <p className={css.weight}>
        Counts with {weight.unit} <b className="figure">{weight.value}</b>: {weight.why}.
      </p>
      <Constants of={groupOf(id)} />
    </article>
  );
}

function Example() {
  const [typeId, setType] = useState('gyuto');
  const [taskId, setTask] = useState('carrot-slice');
  const [length, setLength] = useState(210);
  const type = reference.types.get(typeId);
  const task = reference.tasks.get(taskId);
  if (!type || !task) return null;
  const blade = typicalBlade(type, { lengthMm: length }, 'right');
  const traits = bladeTraits(blade, reference);
  const explanation = explain(traits, prepareTask(task), cooks);
  const scene = cooks[0] ? cutScene(traits, task, cooks[0]) : null;
  return (
    <section className={css.example}>
      <h2>Try it</h2>
      <div className={css.controls}>
        <NativeSelect
          label="Blade"
          value={typeId}
          data={[...reference.types.values()].map((t) => ({ value: t.id, label: t.name }))}
          onChange={(e) => {
            const next = reference.types.get(e.currentTarget.value);
            if (!next) return;
            setType(next.id);
            setLength(next.usualLengthMm);
          }}
        />
        <NativeSelect
          label="Task"
          value={taskId}
          data={[...reference.tasks.values()].map((t) => ({ value: t.id, label: t.name }))}
          onChange={(e) => setTask(e.currentTarget.value)}
        />
        <div className={css.slide}>
          <span>
            Edge <b className="figure">{length} mm</b>
          </span>
          <Slider
            thumbLabel="Edge length in millimetres"
            label={null}
            min={type.lengthMm[0]}
            max={type.lengthMm[1]}
            value={length}
            onChange={setLength}
          />
        </div>
      </div>
      <p className={css.score}>
        <b className="figure">{Math.floor(explanation.score)}</b> {explanation.word}, for a middling hand and board
      </p>
      <ScoreParts explanation={explanation} />
      {scene && <Cuts cuts={[{ scene, words: sceneWords(scene), blade, hand: MIDDLING }]} />}
    </section>
  );
}
