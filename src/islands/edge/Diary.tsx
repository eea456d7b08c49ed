import { Button, NativeSelect, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { DiaryEntry } from '../../core/formats/diaryFile';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import { SHARPENERS, type DEEDS } from '../../core/formats/kitchenWords';
import type { CookFile } from '../../core/formats/kitchenFile';
import { Figure } from '../shared/NumberField';
import { cookName } from '../shared/names';
import { day, taskName } from '../shared/words';
import css from './EdgeView.module.css';
import { RESULT_WORDS, TEST_WORDS } from './TestEdge';

export const DEED_WORDS: Record<(typeof DEEDS)[number], string> = {
  honed: 'honed',
  sharpened: 'sharpened',
  tested: 'tested',
  used: 'used',
  oiled: 'oiled',
  dropped: 'dropped',
  chipped: 'chipped',
  machine: 'washed in the machine',
  measured: 'measured at the heel',
};
const SHARPENER_WORDS: Record<(typeof SHARPENERS)[number], string> = {
  stones: 'on own stones',
  professional: 'by a professional',
  'pull-through': 'in a pull-through sharpener',
  powered: 'on a machine',
};
const STEP = 30;

/** An entry in words. */
function told(entry: DiaryEntry, cooks: readonly CookFile[]): string {
  const { did, by, angleDeg, stones, cook, minutes, task, test, result, grams, heelHeightMm, note } = entry;
  return [
    DEED_WORDS[did],
    by && SHARPENER_WORDS[by],
    stones && `(${stones})`,
    angleDeg !== undefined && `to ${angleDeg}°`,
    minutes !== undefined && `${minutes} min`,
    task && `${did === 'chipped' ? 'on' : 'at'}: ${taskName(task).toLowerCase()}`,
    test &&
      `${TEST_WORDS[test].toLowerCase()}: ${grams === undefined ? (result ? RESULT_WORDS[result].toLowerCase() : '') : `${grams} g`}`,
    heelHeightMm !== undefined && `${heelHeightMm} mm`,
    cook !== undefined && cooks.length > 1 && `by ${cookName(cooks[cook], cook)}`,
    note && `“${note}”`,
  ]
    .filter(Boolean)
    .join(', ');
}

interface Props {
  diary: readonly DiaryEntry[];
  cooks: readonly CookFile[];
  /** Names of the owned knives, in their order. */
  names: readonly string[];
  onChange: (at: number, entry: DiaryEntry | null) => void;
}

/** The entries that hold some words, newest first, each with its place in the diary. */
function entriesWith(words: string, { diary, cooks, names }: Props) {
  const sought = words.trim().toLowerCase();
  return diary
    .map((entry, at) => ({ entry, at, name: names[entry.knife] ?? 'Knife' }))
    .filter(
      ({ entry, name }) =>
        sought === '' || `${name} ${told(entry, cooks)} ${day(entry.on)} ${entry.on}`.toLowerCase().includes(sought),
    )
    .sort((a, b) => (a.entry.on < b.entry.on ? 1 : a.entry.on > b.entry.on ? -1 : b.at - a.at));
}

/** What was done to which knife, newest first: found by any word, corrected, taken out. */
export function Diary(props: Props) {
  const { diary, cooks, onChange } = props;
  const [words, setWords] = useState('');
  const [shown, setShown] = useState(STEP);
  const [open, setOpen] = useState<number | null>(null);
  const found = entriesWith(words, props);
  return (
    <section aria-labelledby="diary">
      <h2 id="diary">Diary</h2>
      {diary.length === 0 ? (
        <p className="faded">
          Nothing recorded yet. Every use, hone and sharpening you tap in goes here, and the dates are worked out from
          it.
        </p>
      ) : (
        <>
          <TextInput
            label="Find"
            placeholder="a knife, a deed, a month"
            value={words}
            onChange={(e) => setWords(e.currentTarget.value)}
          />
          <p className="faded" role="status">
            {found.length} of {diary.length} entries
          </p>
          <ol className={css.entries}>
            {found.slice(0, shown).map(({ entry, at, name }) => (
              <Entry
                key={at}
                {...{ entry, cooks, name }}
                open={open === at}
                onOpen={(opened) => setOpen(opened ? at : null)}
                onChange={(next) => onChange(at, next)}
              />
            ))}
          </ol>
          {found.length > shown && (
            <Button variant="default" onClick={() => setShown(shown + 5 * STEP)}>
              Show older ones
            </Button>
          )}
        </>
      )}
    </section>
  );
}

interface EntryProps {
  entry: DiaryEntry;
  cooks: readonly CookFile[];
  name: string;
  open: boolean;
  onOpen: (open: boolean) => void;
  onChange: (entry: DiaryEntry | null) => void;
}

function Entry({ entry, cooks, name, open, onOpen, onChange }: EntryProps) {
  return (
    <li>
      <div className={css.entry}>
        <span>
          <time dateTime={entry.on} className="figure">
            {day(entry.on)}
          </time>{' '}
          <b>{name}</b> {told(entry, cooks)}
        </span>
        <Button
          size="compact-md"
          variant="default"
          aria-expanded={open}
          aria-label={`Change: ${name}, ${told(entry, cooks)}, ${day(entry.on)}`}
          onClick={() => onOpen(!open)}
        >
          {open ? 'Done' : 'Change'}
        </Button>
      </div>
      {open && (
        <EntryForm
          {...{ entry, cooks, onChange }}
          onRemove={() => {
            onOpen(false);
            onChange(null);
          }}
        />
      )}
    </li>
  );
}

interface FormProps {
  entry: DiaryEntry;
  onChange: (entry: DiaryEntry) => void;
}

function EntryForm({
  entry,
  cooks,
  onChange,
  onRemove,
}: FormProps & { cooks: readonly CookFile[]; onRemove: () => void }) {
  const { did } = entry;
  return (
    <div className={css.entryForm}>
      <TextInput
        type="date"
        label="On"
        value={entry.on}
        onChange={(e) => {
          if (/^\d{4}-\d{2}-\d{2}$/.test(e.currentTarget.value)) onChange({ ...entry, on: e.currentTarget.value });
        }}
      />
      {did === 'sharpened' && <HowSharpened entry={entry} onChange={onChange} />}
      {(did === 'sharpened' || did === 'used') && (
        <Figure
          label="Minutes"
          value={entry.minutes ?? null}
          bounds={BOUNDS.diaryMinutes}
          unsaid={{ holds: 'not said', onEmptied: () => onChange({ ...entry, minutes: undefined }) }}
          onChange={(minutes) => onChange({ ...entry, minutes })}
        />
      )}
      {cooks.length > 1 && (
        <NativeSelect
          label="Who did it"
          value={String(entry.cook ?? '')}
          data={[
            { value: '', label: 'not said' },
            ...cooks.map((cook, i) => ({ value: String(i), label: cookName(cook, i) })),
          ]}
          onChange={(e) => {
            const who = e.currentTarget.value;
            onChange({ ...entry, cook: who === '' ? undefined : Number(who) });
          }}
        />
      )}
      <TextInput
        label="Note"
        maxLength={200}
        value={entry.note ?? ''}
        onChange={(e) => {
          const note = e.currentTarget.value;
          onChange({ ...entry, note: note.trim() ? note : undefined });
        }}
      />
      <Button variant="default" onClick={onRemove}>
        Take it out
      </Button>
    </div>
  );
}

/** By whom, to which angle and on which stones. */
function HowSharpened({ entry, onChange }: FormProps) {
  return (
    <>
      <NativeSelect
        label="By"
        value={entry.by ?? ''}
        data={[
          { value: '', label: 'not said' },
          ...SHARPENERS.map((by) => ({ value: by, label: SHARPENER_WORDS[by] })),
        ]}
        onChange={(e) => onChange({ ...entry, by: SHARPENERS.find((by) => by === e.currentTarget.value) })}
      />
      <Figure
        label="Degrees a side"
        value={entry.angleDeg ?? null}
        bounds={[5, 50]}
        step={0.5}
        unsaid={{ holds: 'not said', onEmptied: () => onChange({ ...entry, angleDeg: undefined }) }}
        onChange={(angleDeg) => onChange({ ...entry, angleDeg })}
      />
      <TextInput
        label="Stones"
        placeholder="such as 1000, 3000"
        maxLength={80}
        value={entry.stones ?? ''}
        onChange={(e) => {
          const stones = e.currentTarget.value;
          onChange({ ...entry, stones: stones.trim() ? stones : undefined });
        }}
      />
    </>
  );
}
