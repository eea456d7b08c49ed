import { Button } from '@mantine/core';
import { handChecks } from '../../../data/handChecks';
import type { BladeModel } from '../../core/blade/schema';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { HandTestFile } from '../../core/formats/trialsFile';
import type { HandCheck } from '../../core/trial/handCheck';
import { checksFor, consequenceOf, readHandTest } from '../../core/trial/handTest';
import { cookName } from '../shared/names';
import { useLengths } from '../shared/units';
import { day, money, typeName } from '../shared/words';
import { holderOf, nameOfTest, VERDICTS } from './handTests';
import css from './HandView.module.css';

interface Props {
  kitchen: KitchenFile;
  tests: readonly HandTestFile[];
  catalogue: ReadonlyMap<string, BladeModel>;
  onOpen: (at: number) => void;
  onRemove: (at: number) => void;
}

/** Every knife held so far, side by side: a row a check, a column a knife. */
export function HeldTable({ kitchen, tests, catalogue, onOpen, onRemove }: Props) {
  const checked = handChecks.filter(({ id }) => tests.some(({ answers }) => answers[id] !== undefined));
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
            <Row name="Verdict" {...{ kitchen, tests }} cell={VerdictCell} />
            {checked.map((check) => (
              <tr key={check.id}>
                <th scope="row">{check.title}</th>
                {tests.map((test, i) => (
                  <td key={i}>
                    <Answer {...{ kitchen, test, check }} />
                  </td>
                ))}
              </tr>
            ))}
            <Row name="Held" {...{ kitchen, tests }} cell={Circumstances} />
            <tr>
              <td />
              {tests.map((test, i) => (
                <td key={i}>
                  <Does name={nameOfTest(test, catalogue)} onOpen={() => onOpen(i)} onRemove={() => onRemove(i)} />
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  );
}

interface CellProps {
  kitchen: KitchenFile;
  test: HandTestFile;
}

function Row({
  name,
  kitchen,
  tests,
  cell: Cell,
}: Pick<Props, 'kitchen' | 'tests'> & { name: string; cell: (props: CellProps) => React.ReactNode }) {
  return (
    <tr>
      <th scope="row">{name}</th>
      {tests.map((test, i) => (
        <td key={i}>
          <Cell kitchen={kitchen} test={test} />
        </td>
      ))}
    </tr>
  );
}

function VerdictCell({ kitchen, test }: CellProps) {
  const holder = holderOf(kitchen, test);
  const { verdict } = readHandTest(checksFor(handChecks, holder, undefined), test.answers, holder);
  return <b data-verdict={verdict}>{VERDICTS[verdict]}</b>;
}

function Answer({ kitchen, test, check }: CellProps & { check: HandCheck }) {
  const answer = test.answers[check.id];
  if (answer === undefined) return '–';
  return (
    <span data-verdict={consequenceOf(check, answer, holderOf(kitchen, test))?.verdict}>
      {check.answers.find(({ id }) => id === answer)?.label}
    </span>
  );
}

/** When, where, for how much and by whom it was held. */
function Circumstances({ kitchen, test: { on, place, asked, cook, label } }: CellProps) {
  const { length } = useLengths();
  const several = (kitchen.cooks?.length ?? 1) > 1;
  return (
    <>
      {day(on)}
      {place && `, ${place}`}
      {asked !== undefined && `, ${money(asked, kitchen.currency ?? 'EUR')}`}
      {several && `, by ${cookName(kitchen.cooks?.[cook ?? 0], cook ?? 0)}`}
      {label &&
        `; ${[typeName(label.type).toLowerCase(), ...(label.lengthMm === undefined ? [] : [length(label.lengthMm)])].join(', ')} by its label`}
    </>
  );
}

function Does({ name, onOpen, onRemove }: { name: string; onOpen: () => void; onRemove: () => void }) {
  return (
    <div className={css.row}>
      <Button size="compact-md" variant="default" aria-label={`Open: ${name}`} onClick={onOpen}>
        Open
      </Button>
      <Button size="compact-md" variant="default" aria-label={`Take out: ${name}`} onClick={onRemove}>
        Take out
      </Button>
    </div>
  );
}
