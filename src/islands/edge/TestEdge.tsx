import { Button } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { simulatedScale } from '../../client/scale';
import { gramsAt } from '../../core/edge/learned';
import { peakOf, type Reading } from '../../core/edge/meter';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import type { DiaryEntry } from '../../core/formats/diaryFile';
import type { CUT_TESTS, TEST_RESULTS } from '../../core/formats/kitchenWords';
import { Figure } from '../shared/NumberField';
import css from './EdgeView.module.css';

type Test = (typeof CUT_TESTS)[number];
type Result = (typeof TEST_RESULTS)[number];
export const TEST_WORDS: Record<Test, string> = {
  paper: 'A sheet of paper',
  tomato: 'Tomato skin',
  onion: 'An onion',
  thread: 'A thread over the scale',
};
export const RESULT_WORDS: Record<Result, string> = { clean: 'Cuts cleanly', catches: 'Catches', fails: 'Does not' };

/** A test of keenness: on what, and how it went; or grams on a scale. Never on a finger. */
export function TestEdge({
  keenness,
  onTested,
}: {
  /** What the edge should have today, 0–1: the simulated scale is pressed accordingly. */
  keenness: number;
  onTested: (tested: Pick<DiaryEntry, 'test' | 'result' | 'grams'>) => void;
}) {
  const [test, setTest] = useState<Test | null>(null);
  return (
    <div className={css.test}>
      <p>Try it on food or paper, never on a finger. On what?</p>
      <div className={css.deeds}>
        {(Object.keys(TEST_WORDS) as Test[]).map((each) => (
          <Button key={each} size="md" variant="default" aria-pressed={test === each} onClick={() => setTest(each)}>
            {TEST_WORDS[each]}
          </Button>
        ))}
      </div>
      {test !== null && test !== 'thread' && (
        <div className={css.deeds}>
          {(Object.keys(RESULT_WORDS) as Result[]).map((result) => (
            <Button key={result} size="md" variant="default" onClick={() => onTested({ test, result })}>
              {RESULT_WORDS[result]}
            </Button>
          ))}
        </div>
      )}
      {test === 'thread' && <OnScale keenness={keenness} onPeak={(grams) => onTested({ test, grams })} />}
    </div>
  );
}

/** Grams to sever a stretched thread: read live from a scale, or typed. */
function OnScale({ keenness, onPeak }: { keenness: number; onPeak: (grams: number) => void }) {
  const [readings, setReadings] = useState<Reading[]>([]);
  const [running, setRunning] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [typed, setTyped] = useState<number | null>(null);
  const [missing, setMissing] = useState(false);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const read = async () => {
    stop.current?.abort();
    const control = (stop.current = new AbortController());
    setReadings([]);
    setTrouble(null);
    setRunning(true);
    try {
      const scale = simulatedScale(gramsAt(keenness), Math.floor(Math.random() * 1e6));
      await scale.read((reading) => setReadings((before) => [...before, reading]), control.signal);
    } catch (error) {
      setTrouble(error instanceof Error ? error.message : 'The scale does not answer.');
    } finally {
      setRunning(false);
    }
  };
  const { peakGrams, tareGrams, parted } = peakOf(readings);
  const grams = typed ?? (parted && peakGrams !== null ? Math.round(peakGrams) : null);
  return (
    <div className={css.test}>
      <p>
        Stretch a sewing thread over a frame on the scale, press the edge straight down until it parts. The peak counts.
      </p>
      <Curve readings={readings} tareGrams={tareGrams} peakGrams={peakGrams} />
      {trouble && <p role="alert">{trouble}</p>}
      <div className={css.deeds}>
        <Button size="md" variant="default" onClick={() => (running ? stop.current?.abort() : void read())}>
          {running ? 'Stop' : 'Read the simulated scale'}
        </Button>
        <Figure
          label="Grams, as read"
          value={grams}
          bounds={BOUNDS.grams}
          error={missing && grams === null && 'Type the grams first, or read the scale.'}
          onChange={setTyped}
        />
        <Button
          size="md"
          onClick={() => {
            setMissing(true);
            if (grams !== null) onPeak(grams);
          }}
        >
          {grams === null ? 'Take the peak' : `Take ${grams} g`}
        </Button>
      </div>
    </div>
  );
}

/** The load over time, the peak marked. */
function Curve({
  readings,
  tareGrams,
  peakGrams,
}: {
  readings: readonly Reading[];
  tareGrams: number;
  peakGrams: number | null;
}) {
  const most = Math.max(200, (peakGrams ?? 0) * 1.2);
  const long = Math.max(5000, readings.at(-1)?.ms ?? 0);
  const x = (ms: number) => (300 * ms) / long;
  const y = (grams: number) => 90 - (80 * Math.max(0, grams - tareGrams)) / most;
  const points = readings.flatMap(({ ms, grams }) =>
    grams === null ? [] : [`${x(ms).toFixed(1)},${y(grams).toFixed(1)}`],
  );
  return (
    <svg
      className={css.curve}
      viewBox="0 0 300 100"
      role="img"
      aria-label={
        peakGrams === null
          ? 'Load on the scale: nothing pressed yet'
          : `Load on the scale: peak ${Math.round(peakGrams)} grams`
      }
    >
      <line x1={0} x2={300} y1={90} y2={90} />
      {peakGrams !== null && (
        <>
          <line className={css.peak} x1={0} x2={300} y1={y(tareGrams + peakGrams)} y2={y(tareGrams + peakGrams)} />
          <text x={296} y={y(tareGrams + peakGrams) - 3} textAnchor="end">
            {Math.round(peakGrams)} g
          </text>
        </>
      )}
      <polyline points={points.join(' ')} />
    </svg>
  );
}
