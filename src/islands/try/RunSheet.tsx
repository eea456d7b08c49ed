import { Button, Switch, TextInput } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { BenchRun, BenchTrialFile } from '../../core/formats/trialsFile';
import { turnsOf } from '../../core/trial/runOrder';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { asClock, taskName } from '../shared/words';
import css from './FoodView.module.css';

const MARKS = [
  { id: 'effort', name: 'Ease', low: 'hard work', high: 'effortless' },
  { id: 'control', name: 'Control', low: 'it wanders', high: 'exact' },
  { id: 'result', name: 'Result', low: 'bruised, uneven', high: 'clean' },
] as const;
type Marks = Partial<Record<(typeof MARKS)[number]['id'], number | undefined>>;

/** The next run, large enough for wet hands at the counter: which knife, which food, the clock, and three marks. */
export function RunSheet({
  trial,
  names,
  blades,
  onChange,
  onLeave,
}: {
  trial: BenchTrialFile;
  names: readonly string[];
  blades: readonly (BladeModel | null)[];
  onChange: (trial: BenchTrialFile) => void;
  onLeave: () => void;
}) {
  const full = trial.tasks.length * trial.knives.length;
  const at = trial.runs.length;
  const turn = turnsOf(trial, Math.floor(at / full))[at % full];
  if (!turn) return null;
  return (
    <>
      <Run
        key={at}
        {...{ names, blades, turn }}
        where={`Run ${(at % full) + 1} of ${full}`}
        onDone={(run) => onChange({ ...trial, runs: [...trial.runs, run] })}
      />
      <div className={css.row} data-screen-only>
        {at > 0 && (
          <Button variant="default" size="md" onClick={() => onChange({ ...trial, runs: trial.runs.slice(0, -1) })}>
            Undo the last run
          </Button>
        )}
        <Button variant="default" size="md" onClick={onLeave}>
          Stop for now
        </Button>
        <Button variant="default" size="md" onClick={() => print()}>
          Print the run sheet
        </Button>
      </div>
      <PaperRuns trial={trial} names={names} round={Math.floor(at / full)} />
    </>
  );
}

/** Seconds on a stopwatch that is started and stopped. */
function useStopwatch() {
  const began = useRef(0);
  const [seconds, setSeconds] = useState(0);
  const [running, setRunning] = useState(false);
  useEffect(() => {
    if (!running) return;
    const every = setInterval(() => setSeconds(Math.round((Date.now() - began.current) / 1000)), 250);
    return () => clearInterval(every);
  }, [running]);
  const turn = () => {
    if (!running) began.current = Date.now() - 1000 * seconds;
    setRunning(!running);
  };
  return { seconds, running, turn };
}

interface RunProps {
  names: readonly string[];
  blades: readonly (BladeModel | null)[];
  turn: { task: string; knife: number };
  where: string;
  onDone: (run: BenchRun) => void;
}

const inSentence = (name: string) => name.replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase());

function Run({ names, blades, turn, where, onDone }: RunProps) {
  const [{ effort, control, result }, setMarks] = useState<Marks>({});
  const [unsafe, setUnsafe] = useState(false);
  const [note, setNote] = useState('');
  const watch = useStopwatch();
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), []);
  const blade = blades[turn.knife];
  const marked = effort !== undefined && control !== undefined && result !== undefined;
  return (
    <section className={css.run} data-screen-only aria-label={where}>
      <p className="faded">{where}</p>
      <h1 ref={heading} tabIndex={-1}>
        {taskName(turn.task)}, with the {inSentence(names[turn.knife] ?? 'knife')}
      </h1>
      {blade && <Silhouette blade={blade} />}
      <p>Fingers curled, food flat-side down, a damp cloth under the board. Stop when it feels unsafe.</p>
      <Clock {...watch} />
      <MarksOf marks={{ effort, control, result }} onChange={setMarks} />
      <Switch
        size="md"
        label="There was an unsafe moment"
        checked={unsafe}
        onChange={(e) => setUnsafe(e.currentTarget.checked)}
      />
      <Button
        size="lg"
        disabled={!marked}
        onClick={() => {
          if (!marked) return;
          onDone({
            ...turn,
            effort,
            control,
            result,
            ...(watch.seconds > 0 ? { seconds: watch.seconds } : {}),
            ...(unsafe ? { unsafe } : {}),
            ...(note.trim() ? { note: note.trim() } : {}),
          });
        }}
      >
        Next
      </Button>
      <details>
        <summary>Note, if you like</summary>
        <TextInput aria-label="Note" maxLength={200} value={note} onChange={(e) => setNote(e.currentTarget.value)} />
      </details>
    </section>
  );
}

function Clock({ seconds, running, turn }: ReturnType<typeof useStopwatch>) {
  return (
    <div className={css.row}>
      <Button size="lg" variant="default" aria-pressed={running} onClick={turn}>
        {running ? 'Stop the clock' : seconds > 0 ? 'Go on' : 'Start the clock'}
      </Button>
      <span className={css.clock} role="timer">
        {asClock(seconds)}
      </span>
    </div>
  );
}

/** The three marks of a run, each from 1 to 5. */
function MarksOf({ marks, onChange }: { marks: Marks; onChange: (marks: Marks) => void }) {
  return MARKS.map(({ id, name, low, high }) => (
    <fieldset key={id} className={css.marks}>
      <legend>
        {name}{' '}
        <span className="faded">
          1 {low}, 5 {high}
        </span>
      </legend>
      {[1, 2, 3, 4, 5].map((mark) => (
        <button
          key={mark}
          type="button"
          aria-label={`${name} ${mark}`}
          aria-pressed={marks[id] === mark}
          onClick={() => onChange({ ...marks, [id]: mark })}
        >
          {mark}
        </button>
      ))}
    </fieldset>
  ));
}

function Silhouette({ blade }: { blade: BladeModel }) {
  const { width, height } = placed(blade, false);
  return (
    <svg className={css.silhouette} viewBox={`-2 -2 ${width + 4} ${height + 4}`} aria-hidden="true">
      <KnifeDrawing blade={blade} upright={false} owned line={1.4} />
    </svg>
  );
}

/** Every run of the round with room to write, for the counter: printed only. */
function PaperRuns({ trial, names, round }: { trial: BenchTrialFile; names: readonly string[]; round: number }) {
  return (
    <table className={css.paper}>
      <caption>Run sheet: equally sharp knives, in this order; marks from 1 (bad) to 5 (good).</caption>
      <thead>
        <tr>
          {['', 'Food', 'Knife', 'Ease', 'Control', 'Result', 'Seconds', 'Unsafe', 'Note'].map((head) => (
            <th key={head} scope="col">
              {head}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {turnsOf(trial, round).map(({ task, knife }, i) => (
          <tr key={i}>
            <td>{i + 1}</td>
            <td>{taskName(task)}</td>
            <td>{names[knife]}</td>
            <td />
            <td />
            <td />
            <td />
            <td />
            <td />
          </tr>
        ))}
      </tbody>
    </table>
  );
}
