import { Button, Textarea } from '@mantine/core';
import { useRef, useState, type DragEvent } from 'react';
import { FaultyInput } from '../../../core/formats/faults';
import { textOf } from '../../../core/formats/bytes';
import type { KnownTask } from '../../../workers/stock';
import type { QuestionProps } from '../../shared/useKitchen';
import { Working } from '../../shared/Working';
import { dishId, keepDish, tasksOf } from '../dishEdits';
import css from './Recipes.module.css';
import { Review, sorted, STANDINGS } from './Review';
import { useRecipes, type Reading, type Source } from './useRecipes';

const MOST_BYTES = 2 * 1024 * 1024;
const MOST_FILES = 500;

/** The texts of files, and why some are none. */
async function sourcesOf(files: readonly File[]): Promise<{ sources: Source[]; faults: string[] }> {
  const sources: Source[] = [];
  const faults: string[] = [];
  if (files.length > MOST_FILES) return { sources, faults: [`More than ${MOST_FILES} files: take them in parts.`] };
  for (const file of files) {
    if (file.size > MOST_BYTES) faults.push(`${file.name} is larger than 2 MB; a recipe is smaller than that`);
    else
      try {
        sources.push({
          name: file.name.replace(/\.[^.]*$/, ''),
          text: textOf(new Uint8Array(await file.arrayBuffer())),
        });
      } catch (error) {
        if (!(error instanceof FaultyInput)) throw error;
        faults.push(`${file.name} ${error.faults[0]?.message ?? 'could not be read'}`);
      }
  }
  return { sources, faults };
}

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
  const [over, setOver] = useState(false);
  const [open, setOpen] = useState(0);
  const [kept, setKept] = useState<string | null>(null);

  const take = async (files: readonly File[]) => {
    if (files.length === 0) return;
    const { sources, faults: wrong } = await sourcesOf(files);
    setKept(null);
    setOpen(0);
    const [only] = sources;
    if (only && sources.length === 1) setText(only.text);
    if (sources.length > 0) await recipes.read(sources);
    if (wrong.length > 0) setFaults((told) => [...told, ...wrong]);
  };
  const keepAll = () => {
    const named = readings.filter((reading) => tasksOf(reading.lines).length > 0);
    const used = new Set([...knownIds, ...(kitchen.cooking?.ownDishes ?? []).map((d) => d.id)]);
    const dishes = named.map((reading) => {
      const name = reading.name.trim() || 'A dish';
      const id = dishId(name, used);
      used.add(id);
      return { id, name, portions: reading.portions, tasks: tasksOf(reading.lines) };
    });
    update((before) => dishes.reduce((now, dish) => keepDish(dish)(now), before));
    setReadings([]);
    setText('');
    setKept(
      dishes.length === 1
        ? `${dishes[0]?.name ?? ''} is kept and stands on your list, once a week.`
        : `${dishes.length} dishes are kept and stand on your list, each once a week.`,
    );
  };
  const useful = readings.filter((reading) => tasksOf(reading.lines).length > 0).length;
  const set = (at: number, change: (reading: Reading) => Reading) =>
    setReadings((now) => now.map((each, i) => (i === at ? change(each) : each)));

  return (
    <details className={css.make}>
      <summary>Bring in recipes</summary>
      <div
        data-over={over || undefined}
        className={css.drop}
        onDragOver={(e: DragEvent) => {
          e.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={(e: DragEvent) => {
          e.preventDefault();
          setOver(false);
          void take([...e.dataTransfer.files]);
        }}
      >
        <Textarea
          label="Ingredient lines, a recipe’s JSON-LD, or a whole page"
          description="Paste them, or drop files here. A line of three dashes parts one recipe from the next, a line “# Name” names one. English and German are read."
          autosize
          minRows={4}
          maxRows={12}
          value={text}
          error={faults.length === 1 ? faults[0] : undefined}
          onChange={(e) => setText(e.currentTarget.value)}
        />
      </div>
      <div className={css.buttons}>
        <Button
          variant="default"
          disabled={text.trim() === '' || progress !== null}
          onClick={() => {
            setKept(null);
            setOpen(0);
            void recipes.read([{ name: '', text }]);
          }}
        >
          Read it
        </Button>
        <FilesButton label="Choose files" onPick={take} />
        <FilesButton label="Choose a folder" folder onPick={take} />
      </div>
      {progress && (
        <Working share={progress.done / progress.all} onStop={recipes.stop}>
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
      <p role="status" className={kept || recipes.told ? css.told : 'visually-hidden'}>
        {kept ?? recipes.told}
      </p>
      {readings.length > 0 && (
        <>
          <ol className={css.readings}>
            {readings.map((reading, i) => (
              <li key={i} data-open={open === i || undefined}>
                {readings.length > 1 && (
                  <button type="button" aria-expanded={open === i} onClick={() => setOpen(open === i ? -1 : i)}>
                    <b>{reading.name || 'A dish'}</b>
                    <Tally reading={reading} />
                  </button>
                )}
                {open === i && (
                  <Review
                    reading={reading}
                    tasks={tasks}
                    correct={recipes.correct}
                    forget={recipes.forget}
                    onChange={(change) => set(i, change)}
                  />
                )}
              </li>
            ))}
          </ol>
          <div className={css.buttons}>
            <Button disabled={useful === 0} onClick={keepAll}>
              {readings.length === 1 ? 'Keep as a dish' : `Keep ${useful} dishes`}
            </Button>
            {useful < readings.length && <span className="faded">What cuts nothing is left out.</span>}
          </div>
        </>
      )}
    </details>
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

function FilesButton({
  label,
  folder = false,
  onPick,
}: {
  label: string;
  folder?: boolean;
  onPick: (files: readonly File[]) => Promise<void>;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="default" onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={(element) => {
          input.current = element;
          if (folder) element?.setAttribute('webkitdirectory', '');
        }}
        type="file"
        multiple
        className="visually-hidden"
        tabIndex={-1}
        aria-label={`${label} of recipes`}
        onChange={(e) => {
          const files = [...(e.currentTarget.files ?? [])];
          e.currentTarget.value = '';
          void onPick(files);
        }}
      />
    </>
  );
}
