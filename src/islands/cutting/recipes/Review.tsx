import { Button, Switch, TextInput } from '@mantine/core';
import {
  IconAlertTriangle,
  IconArrowsExchange,
  IconHelp,
  IconToolsKitchen2,
  IconMinus,
  type Icon,
} from '@tabler/icons-react';
import { asSaid } from '../../../core/recipe/corrections';
import type { RecipeLine } from '../../../core/formats/recipeFile';
import type { KnownTask } from '../../../workers/stock';
import { Figure } from '../../shared/NumberField';
import type { HowOften } from '../dishEdits';
import { TaskSelect } from '../TaskSelect';
import { TimesPer } from '../TimesPer';
import css from './Recipes.module.css';
import type { Reading } from './useRecipes';

/** How far a line was understood. */
export type Standing = 'unread' | 'ask' | 'stands' | 'cut' | 'none';

export const STANDINGS: readonly { id: Standing; title: string; about: string; short: string; icon: Icon }[] = [
  {
    id: 'unread',
    title: 'Not understood',
    about: 'Pick a task for each, or skip it.',
    short: 'not understood',
    icon: IconHelp,
  },
  {
    id: 'ask',
    title: 'Is the amount right?',
    about: 'More than a kitchen has.',
    short: 'to check',
    icon: IconAlertTriangle,
  },
  { id: 'cut', title: 'Cut', about: '', short: 'cut', icon: IconToolsKitchen2 },
  {
    id: 'stands',
    title: 'Counted as the nearest task',
    about: 'There is no task for these yet, so the nearest one is counted.',
    short: 'as the nearest task',
    icon: IconArrowsExchange,
  },
  { id: 'none', title: 'Nothing to cut', about: 'Pick a task where that is wrong.', short: 'not cut', icon: IconMinus },
];

const standingOf = (line: RecipeLine): Standing =>
  line.ask ? 'ask' : line.tasks.some((task) => task.standsFor) ? 'stands' : line.tasks.length > 0 ? 'cut' : 'none';

/** Lines by how far they were understood, each with where it stands in its reading. */
export function sorted({ lines, unread }: Reading): Record<Standing, { line: RecipeLine; at: number | null }[]> {
  const of = (standing: Standing) => lines.flatMap((line, at) => (standingOf(line) === standing ? [{ line, at }] : []));
  const unknown = (line: string): RecipeLine => ({
    line,
    quantity: null,
    unit: null,
    food: null,
    cut: null,
    tasks: [],
  });
  return {
    unread: unread.map((line) => ({ line: unknown(line), at: null })),
    ask: of('ask'),
    stands: of('stands'),
    cut: of('cut'),
    none: of('none'),
  };
}

/** A list without the first of what equals a line: the same line may stand in it again. */
const withoutOne = (lines: readonly string[], line: string): string[] => {
  const at = lines.indexOf(line);
  return lines.filter((_, i) => i !== at);
};

const LANGUAGES = new Intl.DisplayNames('en', { type: 'language' });

interface Props {
  reading: Reading;
  tasks: KnownTask[];
  onChange: (change: (reading: Reading) => Reading) => void;
  correct: (line: RecipeLine, task: string | null) => Promise<RecipeLine>;
  forget: (line: RecipeLine) => Promise<void>;
}

/** A recipe line by line, sorted by how far it was understood; corrected by picking. */
export function Review({ reading, tasks, onChange, correct, forget }: Props) {
  const groups = sorted(reading);
  const set = (line: RecipeLine, at: number | null) =>
    onChange((now) =>
      at === null
        ? { ...now, unread: withoutOne(now.unread, line.line), lines: [...now.lines, line] }
        : { ...now, lines: now.lines.map((each, i) => (i === at ? line : each)) },
    );
  return (
    <div className={css.review}>
      <Language reading={reading} />
      <NameAndPortions reading={reading} onChange={onChange} />
      <Often often={reading.often} onChange={(often) => onChange((now) => ({ ...now, often }))} />
      {STANDINGS.map(({ id, title, about, icon: Sign }) =>
        groups[id].length === 0 ? null : (
          <section key={id} className={css.group} data-standing={id} aria-label={`${title}: ${groups[id].length}`}>
            <h4>
              <Sign size={17} aria-hidden="true" />
              {title} <span>{groups[id].length}</span>
              {about && <small>{about}</small>}
            </h4>
            <ol className={css.lines}>
              {groups[id].map(({ line, at }, i) => (
                <Line
                  key={`${i}-${line.line}`}
                  line={line}
                  tasks={tasks}
                  none={at === null ? 'leave it' : 'no cutting'}
                  onPick={(task) => void correct(line, task).then((mended) => set(mended, at))}
                  onAmount={(amount) =>
                    set(
                      asSaid(
                        line,
                        line.tasks.map((t, k) => (k === 0 ? { ...t, amount } : t)),
                      ),
                      at,
                    )
                  }
                  onForget={() => void forget(line).then(() => set(asSaid(line, line.tasks), at))}
                />
              ))}
            </ol>
          </section>
        ),
      )}
    </div>
  );
}

function Language({ reading: { language, lines } }: Pick<Props, 'reading'>) {
  if (!language) return null;
  const name = LANGUAGES.of(language) ?? language;
  return (
    <p className={css.language} role="note">
      {lines.length > 0
        ? `Read from ${name}.`
        : `This is ${name}. English and German are read: pick the tasks below, or paste a translation.`}
    </p>
  );
}

function NameAndPortions({ reading, onChange }: Pick<Props, 'reading' | 'onChange'>) {
  return (
    <div className={css.pair}>
      <TextInput
        label="Name of the dish"
        value={reading.name}
        placeholder="A dish"
        maxLength={80}
        onChange={(e) => {
          const name = e.currentTarget.value;
          onChange((now) => ({ ...now, name }));
        }}
      />
      <Figure
        label="Portions"
        bounds={[1, 500]}
        value={reading.portions}
        onChange={(portions) => onChange((now) => ({ ...now, portions }))}
      />
    </div>
  );
}

/** How often the dish is cooked, and whether it is one of the everyday meals. */
function Often({ often, onChange }: { often: HowOften; onChange: (often: HowOften) => void }) {
  return (
    <>
      <div className={css.pair}>
        <TimesPer label="Cooked, times" {...{ often }} onChange={(change) => onChange({ ...often, ...change })} />
      </div>
      <Switch
        label="Instead of one of the meals you cook anyway"
        checked={often.instead}
        onChange={(e) => onChange({ ...often, instead: e.currentTarget.checked })}
      />
    </>
  );
}

function Line({
  line,
  tasks,
  none,
  onPick,
  onAmount,
  onForget,
}: {
  line: RecipeLine;
  tasks: KnownTask[];
  none: string;
  onPick: (task: string | null) => void;
  onAmount: (amount: number) => void;
  onForget: () => void;
}) {
  const [first, ...others] = line.tasks;
  const named = (id: string) => tasks.find((task) => task.id === id)?.name.toLowerCase() ?? id;
  const told = [
    [line.quantity, line.unit, line.food, line.cut].filter((part) => part !== null).join(' · '),
    line.ask ?? '',
    others.length > 0 ? `also ${others.map(({ id }) => named(id)).join(', ')}` : '',
  ].filter(Boolean);
  return (
    <li>
      <span>
        {line.line}
        <small>{told.join(' · ')}</small>
        {line.corrected && (
          <small>
            as you corrected it before{' '}
            <Button size="compact-xs" variant="default" onClick={onForget}>
              Forget that
            </Button>
          </small>
        )}
      </span>
      <TaskSelect
        label={`Task of: ${line.line}`}
        hideLabel
        none={none}
        tasks={tasks}
        value={first?.id ?? ''}
        onChange={(id) => onPick(id === '' ? null : id)}
      />
      {first ? (
        <Figure
          label={`How many (${tasks.find((task) => task.id === first.id)?.unit ?? ''})`}
          bounds={[0.01, 10000]}
          step={0.01}
          value={first.amount}
          onChange={onAmount}
        />
      ) : (
        <span />
      )}
    </li>
  );
}
