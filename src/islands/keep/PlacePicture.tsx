import { useDraggable } from '@dnd-kit/core';
import type { Placed, StoragePlace } from '../../core/formats/storageFile';
import { knifeIn, pictureOf } from '../../core/keeping/picture';
import type { Fixed } from '../../core/keeping/rectangles';
import type { KeptKnife } from '../../workers/keep';
import { Shapes } from '../shared/Shapes';
import css from './KeepView.module.css';
import type { Draft } from './useMoving';

const share = (part: number, whole: number) => `${(100 * part) / whole}%`;

interface Props {
  place: StoragePlace;
  name: string;
  knives: readonly KeptKnife[];
  /** What lies here. */
  placed: readonly Placed[];
  /** The knife that is held over it. */
  draft: Draft | null;
  /** Width of the widest place beside it, mm: all are drawn to one scale. */
  widest: number;
  onPicture: (element: HTMLElement | null) => void;
}

/** A place to scale with what is in it; knives are moved by pointer or keys. */
export function PlacePicture({ place, name, knives, placed, draft, widest, onPicture }: Props) {
  const longest = Math.max(0, ...knives.map(({ thing }) => thing.bladeMm));
  const picture = pictureOf(place, longest);
  const lying = placed.flatMap((at) => {
    const knife = knives.find(({ ref }) => ref === at.ref);
    return knife ? [{ knife, at, seen: knifeIn(knife.thing, knife.blade, at, place, longest) }] : [];
  });
  const held = knives.find(({ ref }) => ref === draft?.ref);
  const ghost = held && draft ? knifeIn(held.thing, held.blade, draft.at, place, longest) : null;
  return (
    <div className={css.picture} style={{ width: share(picture.wide, widest) }} ref={onPicture}>
      <svg viewBox={`0 0 ${picture.wide} ${picture.deep}`} role="img" aria-label={`${name}, drawn to scale`}>
        {picture.body && <rect className={css.floor} {...rectOf(picture.body)} />}
        {picture.cells.map((cell, i) => (
          <rect key={i} className={place.kind === 'strip' ? css.bar : css.cell} {...rectOf(cell)} rx={2} />
        ))}
        {lying.map(({ knife, seen }) => (
          <g key={knife.ref} data-lifted={draft?.ref === knife.ref || undefined} className={css.lying}>
            {place.kind === 'drawer' && <rect className={css.guard} {...rectOf(seen.box)} rx={4} />}
            <Shapes drawing={seen.drawing} place={seen.place} line={0.9} owned={knife.owned !== null} />
          </g>
        ))}
        {ghost && (
          <g className={css.ghost} data-bad={draft?.why !== null || undefined}>
            <rect {...rectOf(ghost.box)} />
            <Shapes drawing={ghost.drawing} place={ghost.place} line={0.9} />
          </g>
        )}
      </svg>
      {lying.map(({ knife, at, seen }) => (
        <Handle key={knife.ref} knife={knife} where={whereIn(place, at)} box={seen.box} of={picture} name={name} />
      ))}
    </div>
  );
}

const rectOf = ({ x, y, wide, deep }: Fixed) => ({ x, y, width: wide, height: deep });

/** Where a knife is in a place, in words. */
export function whereIn(place: StoragePlace, { slot = 0, xMm = 0, turned }: Placed): string {
  switch (place.kind) {
    case 'block':
      return `slot ${slot + 1}`;
    case 'roll':
      return `pocket ${slot + 1}`;
    case 'strip':
      return `${Math.round(xMm)} mm from the left`;
    case 'drawer':
      return `in guard ${slot + 1}`;
    case 'tray':
      return place.slats === null ? (turned ? 'across' : 'along') : `row ${slot + 1}`;
  }
}

/** What of a knife is taken hold of. */
function Handle({
  knife,
  where,
  name,
  box,
  of,
}: {
  knife: KeptKnife;
  where: string;
  name: string;
  box: Fixed;
  of: { wide: number; deep: number };
}) {
  const { setNodeRef, listeners, attributes } = useDraggable({ id: knife.ref });
  return (
    <button
      type="button"
      ref={setNodeRef}
      className={css.handle}
      style={{
        left: share(box.x, of.wide),
        top: share(box.y, of.deep),
        width: share(box.wide, of.wide),
        height: share(box.deep, of.deep),
      }}
      title={`${knife.name}, ${where}`}
      {...attributes}
      {...listeners}
      aria-label={`${knife.name}: ${name}, ${where}`}
    />
  );
}
