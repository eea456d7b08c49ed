import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { handChecks } from '../../../data/handChecks';
import type { BladeModel } from '../../core/blade/schema';
import { TRIAL } from '../../core/constants';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Plan } from '../../core/formats/planFile';
import type { HandTestFile } from '../../core/formats/trialsFile';
import type { HandCheck } from '../../core/trial/handCheck';
import { checksFor, consequenceOf, type Holder } from '../../core/trial/handTest';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { changesBetween } from '../shared/changes';
import { handOf } from '../shared/hand';
import type { Answer } from '../shared/usePlanner';
import { asClock } from '../shared/words';
import { CheckDrawing } from './CheckDrawing';
import { holderOf, nameOfTest, roleOf } from './handTests';
import { HandVerdict, inThePlan } from './HandVerdict';
import { useTypical } from '../shared/useTypical';
import css from './HandView.module.css';

const SECONDS = 60 * TRIAL.hand.minutes.value;

/** The blade of a test: its model, or a middling one of what the label says. */
function useTestBlade(
  { model, label }: HandTestFile,
  catalogue: ReadonlyMap<string, BladeModel>,
  worker: Remote<KitchenWorker>,
): BladeModel | null {
  const typical = useTypical(worker, label?.type, label?.lengthMm);
  return catalogue.get(model ?? '') ?? typical;
}

/** Seconds left of two minutes, counted from when the knife was taken. */
function useClock(): number {
  const began = useRef(0);
  const [left, setLeft] = useState(SECONDS);
  useEffect(() => {
    began.current = Date.now();
    const every = setInterval(
      () => setLeft(Math.max(0, SECONDS - Math.round((Date.now() - began.current) / 1000))),
      500,
    );
    return () => clearInterval(every);
  }, []);
  return left;
}

interface Props {
  kitchen: KitchenFile;
  test: HandTestFile;
  catalogue: ReadonlyMap<string, BladeModel>;
  worker: Remote<KitchenWorker>;
  answer: Answer;
  onChange: (test: HandTestFile | null) => void;
  onLeave: () => void;
}

/** One knife held for two minutes: check after check, then the verdict. */
export default function HandTest({ kitchen, test, catalogue, worker, answer, onChange, onLeave }: Props) {
  const blade = useTestBlade(test, catalogue, worker);
  const holder = holderOf(kitchen, test);
  const checks = checksFor(handChecks, holder, roleOf(test, catalogue));
  const unanswered = checks.findIndex(({ id }) => test.answers[id] === undefined);
  const [at, setAt] = useState(unanswered < 0 ? checks.length : unanswered);
  const changes = useChanges(answer);
  const check = checks[at];
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), [at]);
  return (
    <section className={css.test} aria-label={`Held: ${nameOfTest(test, catalogue)}`}>
      <div className={css.line}>
        <h1>{nameOfTest(test, catalogue)}</h1>
        <Clock />
      </div>
      <progress className={css.bar} aria-label="Checks done" max={checks.length} value={Math.min(at, checks.length)} />
      {check ? (
        <Check
          {...{ kitchen, test, check, blade, holder, heading }}
          onAnswer={(id) => {
            onChange({ ...test, answers: { ...test.answers, [check.id]: id } });
            setAt(at + 1);
          }}
        />
      ) : (
        <HandVerdict {...{ kitchen, test, checks, holder, heading, onChange }} />
      )}
      <div className={css.row}>
        {at > 0 && (
          <Button variant="default" size="md" onClick={() => setAt(at - 1)}>
            Back
          </Button>
        )}
        <Button {...(check ? { variant: 'default' } : {})} size="md" onClick={onLeave}>
          {check ? 'Stop for now' : 'Done'}
        </Button>
      </div>
      {/* last, so that nothing moves under the thumb when it comes */}
      {!check && (
        <p aria-live="polite" className={answer.final ? undefined : 'faded'}>
          {inThePlan(test, changes)}
        </p>
      )}
    </section>
  );
}

/** What has changed in the plan since this was opened, as it was last known; null before that. */
function useChanges({ plan, final }: Answer): string[] | null {
  const [before] = useState<Plan>(plan);
  const [proven, setProven] = useState<Plan | null>(null);
  if (final && proven !== plan) setProven(plan);
  return proven && changesBetween(before, proven);
}

function Clock() {
  const left = useClock();
  return (
    <span className="figure" role="timer" aria-label="Time left to hold it">
      {asClock(left)}
    </span>
  );
}

interface CheckProps {
  kitchen: KitchenFile;
  test: HandTestFile;
  check: HandCheck;
  blade: BladeModel | null;
  holder: Holder;
  heading: React.RefObject<HTMLHeadingElement | null>;
  onAnswer: (id: string) => void;
}

/** What to look for, drawn, and the answers; what one means stands under it only once it was given, so that it does not lead. */
function Check({ kitchen, test, check, blade, holder, heading, onAnswer }: CheckProps) {
  const hand = handOf(kitchen.cooks?.[test.cook ?? 0]);
  return (
    <>
      <h2 ref={heading} tabIndex={-1}>
        {check.title}
      </h2>
      {blade && <CheckDrawing check={check} blade={blade} hand={hand} />}
      <p className={css.ask}>{check.ask[hand.grip] ?? check.ask.any}</p>
      <div className={css.answers}>
        {check.answers.map(({ id, label }) => (
          <button key={id} type="button" aria-pressed={test.answers[check.id] === id} onClick={() => onAnswer(id)}>
            <b>{label}</b>
            {test.answers[check.id] === id && <span>{meaning(check, id, holder)}</span>}
          </button>
        ))}
      </div>
    </>
  );
}

/** What an answer means. */
function meaning(check: HandCheck, answer: string, holder: Holder): string {
  const found = consequenceOf(check, answer, holder);
  if (!found || found.verdict === 'open') return 'leaves it open';
  if (found.verdict === 'only-if') return `only if ${found.condition ?? found.reason}`;
  return found.verdict === 'good' ? 'a good sign' : 'walk away';
}
