import { Button, Textarea } from '@mantine/core';
import { useState } from 'react';
import type { KnownTask } from '../../../workers/stock';
import { DropHere } from '../../shared/DropHere';
import type { QuestionProps } from '../../shared/useKitchen';
import { Working } from '../../shared/Working';
import { dishId, keepDish, tasksOf } from '../dishEdits';
import { FilesButton } from './FilesButton';
import css from './Recipes.module.css';
import { Review, sorted, STANDINGS } from './Review';
import { sourcesOf } from './sources';
import { useRecipes, type Reading, type Source } from './useRecipes';

const isUseful = (reading: Reading) => tasksOf(reading.lines).length > 0;

/** Recipes pasted, dropped or picked as files or a folder: shown line by line as they were understood, corrected by picking, kept as dishes. */
export function RecipePanel({
  kitchen,
  update,
  tasks,
  knownIds,
}: QuestionProps & { tasks: KnownTask[]; knownIds: string[] }) {
  const recipes = useRecipes();
  const { readings, setReadings, faults, setFaults, progress } = recipes;
  const [text, setText] = useState('');
  const [open, setOpen] = useState(0);
  const [kept, setKept] = useState<string | null>(null);

  const read = async (sources: Source[]) => {
    setKept(null);
    setOpen(0);
    if (sources.length > 0) await recipes.read(sources);
  };
  const take = async (files: readonly File[]) => {
    if (files.length === 0) return;
    const { sources, faults: wrong } = await sourcesOf(files);
    const [only] = sources;
    if (only && sources.length === 1) setText(only.text);
    await read(sources);
    if (wrong.length > 0) setFaults((told) => [...told, ...wrong]);
  };
  const keepAll = () => {
    const dishes = dishesOf(readings, [...knownIds, ...(kitchen.cooking?.ownDishes ?? []).map((d) => d.id)]);
    update((before) => dishes.reduce((now, { dish, often }) => keepDish(dish, often)(now), before));
    setReadings([]);
    setText('');
    setKept(areKept(dishes.map(({ dish }) => dish.name)));
  };

  return (
    <details className={css.make}>
      <summary>Bring in recipes</summary>
      <Lines
        text={text}
        fault={faults.length === 1 ? faults[0] : undefined}
        onText={setText}
        onFiles={(files) => void take(files)}
      />
      <div className={css.buttons}>
        <Button
          variant="default"
          disabled={text.trim() === '' || progress !== null}
          onClick={() => void read([{ name: '', text }])}
        >
          Read it
        </Button>
        <FilesButton label="Choose files" onPick={take} />
        <FilesButton label="Choose a folder" folder onPick={take} />
      </div>
      <HowItWent {...recipes} kept={kept} />
      {readings.length > 0 && <Readings {...{ recipes, tasks, open }} onOpen={setOpen} onKeep={keepAll} />}
    </details>
  );
}

interface LinesProps {
  text: string;
  fault: string | undefined;
  onText: (text: string) => void;
  onFiles: (files: File[]) => void;
}

/** What is pasted, or dropped as files. */
function Lines({ text, fault, onText, onFiles }: LinesProps) {
  return (
    <DropHere className={css.drop} onDrop={onFiles}>
      <Textarea
        label="Ingredient lines, a recipe’s JSON-LD, or a whole page"
        description="Paste recipes or drop files here, in English or German. Put a line of three dashes between recipes; a line “# Name” gives one its name."
        autosize
        minRows={4}
        maxRows={12}
        value={text}
        error={fault}
        onChange={(e) => onText(e.currentTarget.value)}
      />
    </DropHere>
  );
}

const areKept = (names: readonly string[]) =>
  names.length === 1
    ? `${names[0] ?? ''} is kept and stands on your list.`
    : `${names.length} dishes are kept and stand on your list.`;

/** The dishes that recipes come to, each under an id of its own. */
function dishesOf(readings: readonly Reading[], ids: readonly string[]) {
  const used = new Set(ids);
  return readings.filter(isUseful).map((reading) => {
    const name = reading.name.trim() || 'A dish';
    const id = dishId(name, used);
    used.add(id);
    return { dish: { id, name, portions: reading.portions, tasks: tasksOf(reading.lines) }, often: reading.often };
  });
}

/** How far the reading has come, what went wrong, and what was kept. */
function HowItWent({ progress, faults, told, stop, kept }: ReturnType<typeof useRecipes> & { kept: string | null }) {
  return (
    <>
      {progress && (
        <Working share={progress.done / progress.all} onStop={stop}>
          {`Reading recipes: ${progress.done} of ${progress.all}`}
        </Working>
      )}
      {faults.length > 1 && (
        <ul role="alert" className={css.faults}>
          {faults.map((fault) => (
            <li key={fault}>{fault}</li>
          ))}
        </ul>
      )}
      <p role="status" className={kept || told ? css.told : 'visually-hidden'}>
        {kept ?? told}
      </p>
    </>
  );
}

interface ReadingsProps {
  recipes: ReturnType<typeof useRecipes>;
  tasks: KnownTask[];
  /** Which of them is open; less than nought: none. */
  open: number;
  onOpen: (at: number) => void;
  onKeep: () => void;
}

/** What was understood, recipe by recipe, one of them open to be corrected. */
function Readings({ recipes: { readings, setReadings, correct, forget }, tasks, open, onOpen, onKeep }: ReadingsProps) {
  const useful = readings.filter(isUseful).length;
  return (
    <>
      <ol className={css.readings}>
        {readings.map((reading, i) => (
          <li key={i} data-open={open === i || undefined}>
            {readings.length > 1 && (
              <button type="button" aria-expanded={open === i} onClick={() => onOpen(open === i ? -1 : i)}>
                <b>{reading.name || 'A dish'}</b>
                <Tally reading={reading} />
              </button>
            )}
            {open === i && (
              <Review
                {...{ reading, tasks, correct, forget }}
                onChange={(change) => setReadings((now) => now.map((each, k) => (k === i ? change(each) : each)))}
              />
            )}
          </li>
        ))}
      </ol>
      <div className={css.buttons}>
        <Button disabled={useful === 0} onClick={onKeep}>
          {readings.length === 1 ? 'Keep as a dish' : `Keep ${useful} dishes`}
        </Button>
        {useful < readings.length && <span className="faded">Ingredients you do not cut are left out.</span>}
      </div>
    </>
  );
}

/** How a recipe was understood, at a glance. */
function Tally({ reading }: { reading: Reading }) {
  const groups = sorted(reading);
  return (
    <span className={css.tally}>
      {STANDINGS.filter(({ id }) => groups[id].length > 0).map(({ id, short }) => (
        <span key={id} data-standing={id}>
          {groups[id].length} {short}
        </span>
      ))}
    </span>
  );
}
