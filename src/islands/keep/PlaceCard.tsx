import { Button, TextInput } from '@mantine/core';
import { useState } from 'react';
import type { Placed, StoragePlace } from '../../core/formats/storageFile';
import type { KeptKnife } from '../../workers/keep';
import css from './KeepView.module.css';
import { PlaceMeasures } from './PlaceMeasures';
import { PlacePicture, whereIn } from './PlacePicture';
import type { Draft } from './useMoving';
import { KIND_NOTES } from './kinds';

interface Props {
  place: StoragePlace;
  name: string;
  knives: readonly KeptKnife[];
  placed: readonly Placed[];
  draft: Draft | null;
  lifted: string | null;
  widest: number;
  onPicture: (element: HTMLElement | null) => void;
  onChange: (place: StoragePlace) => void;
  onRemove: () => void;
  onTurn: (at: Placed) => void;
}

/** A place: its picture, what is in it by name, and its measurements. */
export function PlaceCard(props: Props) {
  const { place, name, knives, placed, draft, lifted, widest, onPicture, onChange, onRemove, onTurn } = props;
  const [open, setOpen] = useState(false);
  const turns = place.kind === 'drawer' || (place.kind === 'tray' && place.slats === null);
  return (
    <section className={css.place} aria-label={name} data-lifted={lifted !== null || undefined}>
      <div className={css.title}>
        <h2>{name}</h2>
        <Button variant="default" size="compact-md" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Done' : 'Measure it'}
        </Button>
      </div>
      {open && <Measures {...{ place, onChange, onRemove }} />}
      <PlacePicture {...{ place, name, knives, placed, draft, widest, onPicture }} />
      <ul className={css.legend}>
        {placed.map((at) => {
          const knife = knives.find(({ ref }) => ref === at.ref);
          return (
            knife && (
              <li key={at.ref}>
                <b>{knife.name}</b>{' '}
                <span className="faded">
                  {whereIn(place, at)}
                  {knife.owned === null && ', planned'}
                </span>
                {turns && (
                  <Button
                    variant="default"
                    size="compact-xs"
                    aria-label={`Turn ${knife.name}`}
                    onClick={() => onTurn(at)}
                  >
                    turn
                  </Button>
                )}
              </li>
            )
          );
        })}
        {placed.length === 0 && <li className="faded">Empty.</li>}
      </ul>
    </section>
  );
}

function Measures({ place, onChange, onRemove }: Pick<Props, 'place' | 'onChange' | 'onRemove'>) {
  return (
    <div className={css.measures}>
      <p className="faded">{KIND_NOTES[place.kind]}</p>
      <TextInput
        label="Name"
        maxLength={60}
        placeholder="such as: left drawer"
        value={place.name ?? ''}
        onChange={(e) => {
          const typed = e.currentTarget.value;
          onChange({ ...place, name: typed.trim() ? typed : undefined });
        }}
      />
      <PlaceMeasures place={place} onChange={onChange} />
      <Button variant="default" onClick={onRemove}>
        Remove this place
      </Button>
    </div>
  );
}
