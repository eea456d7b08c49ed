import {
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragMoveEvent,
  type DragStartEvent,
  type KeyboardCoordinateGetter,
} from '@dnd-kit/core';
import { useHotkeys } from '@mantine/hooks';
import { useEffect, useRef, useState, type RefObject } from 'react';
import type { Placed, StoragePlace } from '../../core/formats/storageFile';
import { whyNotThere } from '../../core/keeping/misplaced';
import { pictureOf, spotUnder } from '../../core/keeping/picture';
import type { Held, Spot } from '../../core/keeping/places';
import { ARROWS } from '../shared/keySteps';
import type { KeptKnife } from '../../workers/keep';

/** A knife being moved: where it would lie, and why it may not; `place` is null while it is over none. */
export interface Draft {
  ref: string;
  place: number | null;
  at: Spot;
  why: string | null;
}

/** Pixels a press of an arrow key moves. */
const STEP = { usual: 8, fine: 1 } as const;

interface Point {
  x: number;
  y: number;
}
type Pictures = Map<number, HTMLElement>;

const middleOf = ({ left, top, width, height }: Pick<DOMRect, 'left' | 'top' | 'width' | 'height'>): Point => ({
  x: left + width / 2,
  y: top + height / 2,
});

interface Layout {
  places: readonly StoragePlace[];
  knives: readonly KeptKnife[];
  placed: readonly Placed[];
}

const OVER_NOTHING = 'Hold it over a place.';

/** Why a knife may not lie somewhere; null where it may. */
function whyNot({ places, knives, placed }: Layout, ref: string, p: number, at: Spot): string | null {
  const thingOf = (of: string) => knives.find((each) => each.ref === of)?.thing;
  const [thing, place] = [thingOf(ref), places[p]];
  if (!thing || !place) return OVER_NOTHING;
  const others = placed.flatMap(({ ref: other, place: there, ...spot }): Held[] => {
    const it = there === p && other !== ref ? thingOf(other) : undefined;
    return it ? [{ thing: it, at: spot }] : [];
  });
  return whyNotThere(thing, at, place, others);
}

/** The place a point of the window lies over, with its picture's box. */
function placeUnder({ x, y }: Point, pictures: Pictures, places: readonly StoragePlace[]) {
  for (const [p, picture] of pictures) {
    const box = picture.getBoundingClientRect();
    const place = places[p];
    if (place && x >= box.left && x <= box.right && y >= box.top && y <= box.bottom) return { p, place, box };
  }
  return null;
}

/** The picture a knife is taken to from one place, forwards or back. */
const nextPicture = (pictures: Pictures, from: number | undefined, by: 1 | -1, count: number) =>
  pictures.get(((from ?? (by > 0 ? -1 : 0)) + by + count) % count);

/** Where keys take what is moved: arrows by steps, page keys from place to place. */
function useKeys(
  { places, placed }: Layout,
  draft: Draft | null,
  pictures: RefObject<Pictures>,
  middle: RefObject<Point>,
): KeyboardCoordinateGetter {
  return (event, { currentCoordinates, active }) => {
    const arrow = ARROWS[event.code];
    if (arrow) {
      event.preventDefault();
      const step = event.shiftKey ? STEP.fine : STEP.usual;
      return { x: currentCoordinates.x + step * arrow[0], y: currentCoordinates.y + step * arrow[1] };
    }
    if (event.code !== 'PageDown' && event.code !== 'PageUp') return undefined;
    event.preventDefault();
    const from = draft?.place ?? placed.find(({ ref }) => ref === active)?.place;
    const next = nextPicture(pictures.current, from, event.code === 'PageDown' ? 1 : -1, places.length);
    if (!next) return undefined;
    next.scrollIntoView({ block: 'nearest' });
    const { x, y } = middleOf(next.getBoundingClientRect());
    return { x: currentCoordinates.x + x - middle.current.x, y: currentCoordinates.y + y - middle.current.y };
  };
}

/** What is being moved: where it would lie as it moves, turned by a key. */
function useDraft(layout: Layout, pictures: RefObject<Pictures>, middle: RefObject<Point>) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const turned = useRef(false);
  const moving = useRef<string | null>(null);
  const look = () => {
    const knife = layout.knives.find(({ ref }) => ref === moving.current);
    if (!knife) return;
    const { ref, thing } = knife;
    const over = placeUnder(middle.current, pictures.current, layout.places);
    if (!over) {
      setDraft({ ref, place: null, at: { turned: false }, why: OVER_NOTHING });
      return;
    }
    const { p, place, box } = over;
    const scale = box.width / pictureOf(place).wide;
    const spot = { x: (middle.current.x - box.left) / scale, y: (middle.current.y - box.top) / scale };
    const at = spotUnder(thing, place, spot, turned.current);
    setDraft({ ref, place: p, at, why: whyNot(layout, ref, p, at) });
  };
  const lookAgain = useRef(look);
  useEffect(() => {
    lookAgain.current = look;
  });
  const isMoving = draft !== null;
  const turn = () => {
    if (!isMoving) return;
    turned.current = !turned.current;
    lookAgain.current();
  };
  useHotkeys([['T', turn, { preventDefault: false }]]);
  return {
    draft,
    look,
    take: (ref: string) => {
      moving.current = ref;
      turned.current = layout.placed.find((each) => each.ref === ref)?.turned ?? false;
    },
    leave: () => {
      moving.current = null;
      setDraft(null);
    },
  };
}

/** Moving knives by pointer or keys among places that are drawn to one scale; whether each may lie there is checked as it moves. */
export function useMoving(layout: Layout, onMoved: (ref: string, place: number, at: Spot) => void) {
  const [refused, setRefused] = useState<string | null>(null);
  const pictures = useRef<Pictures>(new Map());
  /** The middle of what is moved, in the window. */
  const middle = useRef<Point>({ x: 0, y: 0 });
  const { draft, look, take, leave } = useDraft(layout, pictures, middle);
  const coordinateGetter = useKeys(layout, draft, pictures, middle);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter }),
  );

  /** Puts a knife where it may lie, or tells why it may not. */
  const put = (ref: string, place: number, at: Spot, why = whyNot(layout, ref, place, at)) => {
    if (why === null) onMoved(ref, place, at);
    setRefused(why && `${layout.knives.find((each) => each.ref === ref)?.name ?? 'It'} stays where it was. ${why}`);
  };
  const begin = ({ active: { id }, activatorEvent: { target } }: DragStartEvent) => {
    take(String(id));
    setRefused(null);
    if (target instanceof Element) middle.current = middleOf(target.getBoundingClientRect());
    look();
  };

  return {
    draft,
    /** Why the last move came to nothing. */
    refused,
    put,
    picture: (place: number) => (element: HTMLElement | null) => {
      if (element) pictures.current.set(place, element);
      else pictures.current.delete(place);
    },
    context: {
      sensors,
      onDragStart: begin,
      onDragMove: ({ active }: DragMoveEvent) => {
        const box = active.rect.current.translated;
        if (box) middle.current = middleOf(box);
        look();
      },
      onDragEnd: () => {
        leave();
        if (draft) put(draft.ref, draft.place ?? -1, draft.at, draft.why);
      },
      onDragCancel: leave,
    },
  };
}
