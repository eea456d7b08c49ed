import { expect, test } from 'vitest';
import { classesOf, nestOf } from './placeClasses';

const open = [0, 1, 2, 3, 4];

test('places that accept the same are one class; what must be filled is another', () => {
  const places = [
    { fits: open, required: false },
    { fits: [...open], required: false },
    { fits: open, required: true },
  ];
  expect(classesOf({ places }).map((each) => each.places)).toEqual([[0, 1], [2]]);
});

test('the optional class that accepts most is around those that accept some of the same, and around no others', () => {
  const nest = nestOf(
    classesOf({
      places: [
        { fits: [1, 3], required: true },
        { fits: open, required: false },
        { fits: [4, 5], required: false },
      ],
    }),
  );
  expect(nest).toEqual({ outer: 1, isInner: [true, false, false] });
  expect(nestOf(classesOf({ places: [{ fits: open, required: false }] })).outer).toBe(-1);
});
