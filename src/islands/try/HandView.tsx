import { Button, NativeSelect, TextInput } from '@mantine/core';
import type { Remote } from 'comlink';
import { useEffect, useMemo, useRef, useState } from 'react';
import { handChecks } from '../../../data/handChecks';
import { typeNames } from '../../../data/names';
import { typeRoles } from '../../../data/typeFacts';
import type { StoredKitchen } from '../../client/kitchens';
import type { BladeModel } from '../../core/blade/schema';
import { TRIAL } from '../../core/constants';
import { BOUNDS, MOST } from '../../core/formats/kitchenBounds';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Plan } from '../../core/formats/planFile';
import type { HandTestFile } from '../../core/formats/trialsFile';
import { handTested } from '../../core/kitchen/deeds';
import { motionShares } from '../../core/kitchen/kitchen';
import type { HandCheck } from '../../core/trial/handCheck';
import { checksFor, consequenceOf, type Holder, readHandTest } from '../../core/trial/handTest';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { changesBetween } from '../shared/changes';
import { Figure } from '../shared/Field';
import { KitchenFrame } from '../shared/KitchenFrame';
import type { KitchenEdits } from '../shared/useKitchen';
import { usePlanner, type Answer } from '../shared/usePlanner';
import { Working } from '../shared/Working';
import { day, money, typeName } from '../shared/words';
import { CheckDrawing } from './CheckDrawing';
import { today } from '../shared/today';
import { cookName } from '../shared/names';
import { choicesOf, handOfCook, Pick, type Choices } from './choices';
import { TryMast, TryPage } from './TryMast';
import css from './HandView.module.css';

const VERDICTS = {
  'walk-away': 'Walk away',
  'only-if': 'Only if',
  good: 'A good sign',
  open: 'Not finished',
  unfinished: 'Not finished',
} as const;
const SECONDS = 60 * TRIAL.hand.minutes.value;

/** Knives held for two minutes, one check after another. */
export default function HandView({ stored }: { stored: StoredKitchen }) {
  return (
    <KitchenFrame stored={stored} here="try">
      {(edits, worker) => <InHand id={stored.id} edits={edits} worker={worker} />}
    </KitchenFrame>
  );
}

const holderOf = (kitchen: KitchenFile, test: HandTestFile): Holder => {
  const cook = kitchen.cooks?.[test.cook ?? 0];
  return { handed: cook?.handed ?? 'right', motions: motionShares(cook?.motions) };
};

const roleOf = (test: HandTestFile, catalogue: ReadonlyMap<string, BladeModel>) =>
  typeRoles.get(test.label?.type ?? catalogue.get(test.model ?? '')?.type ?? '');

const nameOfTest = (test: HandTestFile, catalogue: ReadonlyMap<string, BladeModel>) => {
  const model = catalogue.get(test.model ?? '');
  return test.label?.name ?? (model ? `${model.name}, ${model.maker}` : (test.model ?? 'Knife'));
};

function InHand({ id, edits, worker }: { id: string; edits: KitchenEdits; worker: Remote<KitchenWorker> }) {
  const { kitchen, update } = edits;
  const { answer, catalogue, trouble } = usePlanner(kitchen, worker, { robustness: false });
  const [open, setOpen] = useState<number | null>(null);
  const choices = useMemo(() => (answer ? choicesOf(answer, catalogue) : null), [answer, catalogue]);
  const tests = kitchen.trials?.hand ?? [];
  const test = open === null ? undefined : tests[open];
  const start = (knife: Pick<HandTestFile, 'model' | 'label'>, cook: number) => {
    setOpen(tests.length);
    update((file) =>
      handTested(file, tests.length, { ...knife, ...(cook > 0 ? { cook } : {}), on: today(), answers: {} }),
    );
  };
  return (
    <TryPage>
      {!test && (
        <TryMast id={id} here="try/hand" title="In the hand">
          Two minutes in a shop or on loan, before paying. Each answer says what it means; the verdict goes into the
          plan.
        </TryMast>
      )}
      {trouble && <p role="alert">{trouble}</p>}
      {!choices && !trouble && <Working>Fetching the knives</Working>}
      {choices && answer && open !== null && test && (
        <HandTest
          key={open}
          {...{ kitchen, test, catalogue, worker, answer }}
          onChange={(next) => update((file) => handTested(file, open, next))}
          onLeave={() => setOpen(null)}
        />
      )}
      {choices && (open === null || !test) && (
        <>
          {tests.length >= MOST.handTests ? (
            <p>{MOST.handTests} knives are written down; take one out to hold another.</p>
          ) : (
            <WhichKnife kitchen={kitchen} choices={choices} onStart={start} />
          )}
          {tests.length > 0 && (
            <Held
              {...{ kitchen, tests, catalogue }}
              onOpen={setOpen}
              onRemove={(at) => update((file) => handTested(file, at, null))}
            />
          )}
        </>
      )}
    </TryPage>
  );
}

function WhichKnife({
  kitchen,
  choices,
  onStart,
}: {
  kitchen: KitchenFile;
  choices: Choices;
  onStart: (knife: Pick<HandTestFile, 'model' | 'label'>, cook: number) => void;
}) {
  const [cook, setCook] = useState(0);
  const [model, setModel] = useState('');
  const [label, setLabel] = useState({ name: '', type: 'chef', lengthMm: 200 });
  const cooks = kitchen.cooks?.length ?? 1;
  const chosen = choices.models.find(({ ref }) => ref === model);
  return (
    <section className={css.which} aria-labelledby="which">
      <h2 id="which">Which knife is in the hand?</h2>
      {cooks > 1 && (
        <NativeSelect
          label="Whose hand"
          value={String(cook)}
          data={Array.from({ length: cooks }, (_, i) => ({ value: String(i), label: cookName(kitchen.cooks?.[i], i) }))}
          onChange={(e) => setCook(Number(e.currentTarget.value))}
        />
      )}
      {choices.planned.length > 0 && (
        <ul className={css.big}>
          {choices.planned.map(({ ref, name, blade }) => (
            <li key={ref}>
              <button type="button" onClick={() => onStart({ model: blade.id }, cook)}>
                <b>{name}</b>
                <span className="faded">
                  {blade.name}, {blade.maker}
                </span>
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className={css.other}>
        <Pick
          label="Another of the catalogue"
          none="choose"
          choices={{ models: choices.models }}
          value={model}
          onPick={setModel}
        />
        <Button variant="default" disabled={!chosen} onClick={() => chosen && onStart({ model: chosen.ref }, cook)}>
          Hold it
        </Button>
      </div>
      <form
        className={css.other}
        onSubmit={(e) => {
          e.preventDefault();
          if (label.name.trim()) onStart({ label: { ...label, name: label.name.trim() } }, cook);
        }}
      >
        <TextInput
          label="Or what the shop’s label says"
          placeholder="name on the label"
          maxLength={80}
          value={label.name}
          onChange={(e) => setLabel({ ...label, name: e.currentTarget.value })}
        />
        <NativeSelect
          label="Kind"
          value={label.type}
          data={[...typeNames].map(([value, name]) => ({ value, label: name }))}
          onChange={(e) => setLabel({ ...label, type: e.currentTarget.value })}
        />
        <Figure
          label="Edge, mm"
          value={label.lengthMm}
          bounds={BOUNDS.edgeLengthMm}
          onChange={(lengthMm) => setLabel({ ...label, lengthMm })}
        />
        <Button type="submit" variant="default" disabled={!label.name.trim()}>
          Hold it
        </Button>
      </form>
    </section>
  );
}

/** The blade of a test: its model, or a middling one of what the label says. */
function useTestBlade(
  { model, label }: HandTestFile,
  catalogue: ReadonlyMap<string, BladeModel>,
  worker: Remote<KitchenWorker>,
): BladeModel | null {
  const [typical, setTypical] = useState<BladeModel | null>(null);
  const { type, lengthMm } = label ?? {};
  useEffect(() => {
    if (type === undefined) return;
    let stale = false;
    worker.typical([{ type, ...(lengthMm === undefined ? {} : { lengthMm }) }]).then(
      ([blade]) => {
        if (!stale && blade) setTypical(blade);
      },
      () => undefined,
    );
    return () => {
      stale = true;
    };
  }, [type, lengthMm, worker]);
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

function HandTest({
  kitchen,
  test,
  catalogue,
  worker,
  answer,
  onChange,
  onLeave,
}: {
  kitchen: KitchenFile;
  test: HandTestFile;
  catalogue: ReadonlyMap<string, BladeModel>;
  worker: Remote<KitchenWorker>;
  answer: Answer;
  onChange: (test: HandTestFile | null) => void;
  onLeave: () => void;
}) {
  const blade = useTestBlade(test, catalogue, worker);
  const hand = handOfCook(kitchen.cooks?.[test.cook ?? 0]);
  const holder = holderOf(kitchen, test);
  const checks = checksFor(handChecks, holder, roleOf(test, catalogue));
  const unanswered = checks.findIndex(({ id }) => test.answers[id] === undefined);
  const [at, setAt] = useState(unanswered < 0 ? checks.length : unanswered);
  const left = useClock();
  const [before] = useState<Plan>(answer.plan);
  const check = checks[at];
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), [at]);
  return (
    <section className={css.test} aria-label={`Held: ${nameOfTest(test, catalogue)}`}>
      <div className={css.line}>
        <h1>{nameOfTest(test, catalogue)}</h1>
        <span className="figure" role="timer" aria-label="Time left to hold it">
          {Math.floor(left / 60)}:{String(left % 60).padStart(2, '0')}
        </span>
      </div>
      <progress className={css.bar} aria-label="Checks done" max={checks.length} value={Math.min(at, checks.length)} />
      {check ? (
        <>
          <h2 ref={heading} tabIndex={-1}>
            {check.title}
          </h2>
          {blade && <CheckDrawing check={check} blade={blade} hand={hand} />}
          <p className={css.ask}>{check.ask[hand.grip] ?? check.ask.any}</p>
          <div className={css.answers}>
            {check.answers.map(({ id, label }) => (
              <button
                key={id}
                type="button"
                aria-pressed={test.answers[check.id] === id}
                onClick={() => {
                  onChange({ ...test, answers: { ...test.answers, [check.id]: id } });
                  setAt(at + 1);
                }}
              >
                <b>{label}</b>
                <span>{meaning(check, id, holder)}</span>
              </button>
            ))}
          </div>
        </>
      ) : (
        <VerdictOf
          {...{ kitchen, test, checks, holder, heading, onChange }}
          changes={answer.final ? changesBetween(before, answer.plan) : null}
        />
      )}
      <div className={css.row}>
        {at > 0 && (
          <Button variant="default" size="md" onClick={() => setAt(at - 1)}>
            Back
          </Button>
        )}
        <Button variant={check ? 'default' : 'filled'} size="md" onClick={onLeave}>
          {check ? 'Leave off' : 'Done'}
        </Button>
      </div>
    </section>
  );
}

/** What an answer means, beside it. */
function meaning(check: HandCheck, answer: string, holder: Holder): string {
  const found = consequenceOf(check, answer, holder);
  if (!found || found.verdict === 'open') return 'leaves it open';
  if (found.verdict === 'only-if') return `only if ${found.condition ?? found.reason}`;
  return found.verdict === 'good' ? 'a good sign' : 'walk away';
}

function VerdictOf({
  kitchen,
  test,
  checks,
  holder,
  heading,
  changes,
  onChange,
}: {
  kitchen: KitchenFile;
  test: HandTestFile;
  checks: readonly HandCheck[];
  holder: Holder;
  heading: React.RefObject<HTMLHeadingElement | null>;
  changes: string[] | null;
  onChange: (test: HandTestFile) => void;
}) {
  const { verdict, against, conditions, inFavour } = readHandTest(checks, test.answers, holder);
  return (
    <div className={css.verdict} data-verdict={verdict}>
      <h2 ref={heading} tabIndex={-1}>
        {VERDICTS[verdict]}
      </h2>
      {verdict === 'only-if' ? (
        <ul>
          {conditions.map((each) => (
            <li key={each}>{each}</li>
          ))}
        </ul>
      ) : (
        <p>{(verdict === 'good' ? inFavour : against).join('; ')}.</p>
      )}
      {verdict !== 'good' && inFavour.length > 0 && <p className="faded">In its favour: {inFavour.join('; ')}.</p>}
      <p aria-live="polite">
        {test.model === undefined
          ? 'Kept here to compare with others. It is no model of the catalogue, so the plan does not know it; put it into the catalogue to have it planned with.'
          : changes === null
            ? 'Working out what it changes in the plan…'
            : changes.length === 0
              ? 'The plan stays as it was.'
              : `In the plan: ${changes.join('. ')}.`}
      </p>
      <div className={css.other}>
        <TextInput
          label="Where"
          placeholder="shop, or whose it is"
          maxLength={80}
          value={test.place ?? ''}
          onChange={(e) => {
            const place = e.currentTarget.value;
            onChange({ ...test, place: place.trim() ? place : undefined });
          }}
        />
        <Figure
          label={`Price asked, ${kitchen.currency ?? 'EUR'}`}
          value={test.asked ?? null}
          bounds={BOUNDS.money}
          step={0.01}
          unsaid={{ holds: 'not asked', onEmptied: () => onChange({ ...test, asked: undefined }) }}
          onChange={(asked) => onChange({ ...test, asked })}
        />
        <TextInput
          type="date"
          label="On"
          value={test.on}
          onChange={(e) => {
            if (/^\d{4}-\d{2}-\d{2}$/.test(e.currentTarget.value)) onChange({ ...test, on: e.currentTarget.value });
          }}
        />
      </div>
    </div>
  );
}

/** Every knife held so far, side by side: a row a check, a column a knife. */
function Held({
  kitchen,
  tests,
  catalogue,
  onOpen,
  onRemove,
}: {
  kitchen: KitchenFile;
  tests: readonly HandTestFile[];
  catalogue: ReadonlyMap<string, BladeModel>;
  onOpen: (at: number) => void;
  onRemove: (at: number) => void;
}) {
  const several = (kitchen.cooks?.length ?? 1) > 1;
  return (
    <section aria-labelledby="held" className={css.held}>
      <h2 id="held">Held so far</h2>
      <div className={css.scroll} tabIndex={0} role="region" aria-label="Knives held, side by side">
        <table>
          <thead>
            <tr>
              <th scope="col">Knife</th>
              {tests.map((test, i) => (
                <th key={i} scope="col">
                  {nameOfTest(test, catalogue)}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr>
              <th scope="row">Verdict</th>
              {tests.map((test, i) => {
                const holder = holderOf(kitchen, test);
                const { verdict } = readHandTest(checksFor(handChecks, holder, undefined), test.answers, holder);
                return (
                  <td key={i}>
                    <b data-verdict={verdict}>{VERDICTS[verdict]}</b>
                  </td>
                );
              })}
            </tr>
            {handChecks
              .filter(({ id }) => tests.some(({ answers }) => answers[id] !== undefined))
              .map((check) => (
                <tr key={check.id}>
                  <th scope="row">{check.title}</th>
                  {tests.map((test, i) => {
                    const answer = test.answers[check.id];
                    const found = answer === undefined ? null : consequenceOf(check, answer, holderOf(kitchen, test));
                    return (
                      <td key={i}>
                        {answer === undefined ? (
                          '–'
                        ) : (
                          <span data-verdict={found?.verdict}>
                            {check.answers.find(({ id }) => id === answer)?.label}
                          </span>
                        )}
                      </td>
                    );
                  })}
                </tr>
              ))}
            <tr>
              <th scope="row">Held</th>
              {tests.map(({ on, place, asked, cook, label }, i) => (
                <td key={i}>
                  {day(on)}
                  {place && `, ${place}`}
                  {asked !== undefined && `, ${money(asked, kitchen.currency ?? 'EUR')}`}
                  {several && `, by ${cookName(kitchen.cooks?.[cook ?? 0], cook ?? 0)}`}
                  {label && `; ${typeName(label.type).toLowerCase()} ${label.lengthMm ?? ''} mm by its label`}
                </td>
              ))}
            </tr>
            <tr>
              <td />
              {tests.map((test, i) => (
                <td key={i}>
                  <div className={css.row}>
                    <Button
                      size="compact-md"
                      variant="default"
                      aria-label={`Open: ${nameOfTest(test, catalogue)}`}
                      onClick={() => onOpen(i)}
                    >
                      Open
                    </Button>
                    <Button
                      size="compact-md"
                      variant="default"
                      aria-label={`Take out: ${nameOfTest(test, catalogue)}`}
                      onClick={() => onRemove(i)}
                    >
                      Take out
                    </Button>
                  </div>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  );
}
