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
import { useEffect, useRef, useState } from 'react';
import type { Placed, StoragePlace } from '../../core/formats/storageFile';
import { whyNotThere } from '../../core/keeping/misplaced';
import { pictureOf, spotUnder } from '../../core/keeping/picture';
import type { Held, Spot } from '../../core/keeping/places';
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
const ARROWS: Record<string, readonly [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

const middleOf = ({ left, top, width, height }: { left: number; top: number; width: number; height: number }) => ({
  x: left + width / 2,
  y: top + height / 2,
});

/** Moving knives by pointer or keys among places that are drawn to one scale; whether each may lie there is checked as it moves. */
export function useMoving(
  places: readonly StoragePlace[],
  knives: readonly KeptKnife[],
  placed: readonly Placed[],
  onMoved: (ref: string, place: number, at: Spot) => void,
) {
  const [draft, setDraft] = useState<Draft | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const pictures = useRef(new Map<number, HTMLElement>());
  const turned = useRef(false);
  /** The middle of what is moved, in the window. */
  const middle = useRef({ x: 0, y: 0 });
  const moving = useRef<string | null>(null);

  const thingOf = (of: string) => knives.find(({ ref }) => ref === of)?.thing;
  const whyNot = (ref: string, p: number, at: Spot): string | null => {
    const [thing, place] = [thingOf(ref), places[p]];
    if (!thing || !place) return 'Hold it over a place.';
    const others = placed.flatMap(({ ref: other, place: there, ...spot }): Held[] => {
      const it = there === p && other !== ref ? thingOf(other) : undefined;
      return it ? [{ thing: it, at: spot }] : [];
    });
    return whyNotThere(thing, at, place, others);
  };

  const look = () => {
    const knife = knives.find(({ ref }) => ref === moving.current);
    if (!knife) return;
    const { x, y } = middle.current;
    const over = [...pictures.current].find(([, picture]) => {
      const box = picture.getBoundingClientRect();
      return x >= box.left && x <= box.right && y >= box.top && y <= box.bottom;
    });
    const place = over && places[over[0]];
    if (!over || !place) {
      setDraft({ ref: knife.ref, place: null, at: { turned: false }, why: 'Hold it over a place.' });
      return;
    }
    const box = over[1].getBoundingClientRect();
    const scale = box.width / pictureOf(place).wide;
    const at = spotUnder(knife.thing, place, { x: (x - box.left) / scale, y: (y - box.top) / scale }, turned.current);
    setDraft({ ref: knife.ref, place: over[0], at, why: whyNot(knife.ref, over[0], at) });
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

  const byKeys: KeyboardCoordinateGetter = (event, { currentCoordinates, active }) => {
    const arrow = ARROWS[event.code];
    if (arrow) {
      event.preventDefault();
      const step = event.shiftKey ? STEP.fine : STEP.usual;
      return { x: currentCoordinates.x + step * arrow[0], y: currentCoordinates.y + step * arrow[1] };
    }
    if (event.code !== 'PageDown' && event.code !== 'PageUp') return undefined;
    event.preventDefault();
    const by = event.code === 'PageDown' ? 1 : -1;
    const from = draft?.place ?? placed.find(({ ref }) => ref === active)?.place ?? (by > 0 ? -1 : 0);
    const next = pictures.current.get((from + by + places.length) % places.length);
    if (!next) return undefined;
    next.scrollIntoView({ block: 'nearest' });
    const { x, y } = middleOf(next.getBoundingClientRect());
    return {
      x: currentCoordinates.x + x - middle.current.x,
      y: currentCoordinates.y + y - middle.current.y,
    };
  };

  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: byKeys }),
  );

  /** Puts a knife where it may lie, or tells why it may not. */
  const put = (ref: string, place: number, at: Spot, why = whyNot(ref, place, at)) => {
    if (why === null) onMoved(ref, place, at);
    setRefused(why && `${knives.find((each) => each.ref === ref)?.name ?? 'It'} stays where it was. ${why}`);
  };

  const end = (drop: boolean) => {
    const done = draft;
    moving.current = null;
    setDraft(null);
    if (done && drop) put(done.ref, done.place ?? -1, done.at, done.why);
  };

  const begin = ({ active: { id }, activatorEvent: { target } }: DragStartEvent) => {
    moving.current = String(id);
    turned.current = placed.find(({ ref }) => ref === moving.current)?.turned ?? false;
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
      onDragEnd: () => end(true),
      onDragCancel: () => end(false),
    },
  };
}
