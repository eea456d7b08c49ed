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

test('of the optional classes that accept all a class does the one that accepts most is around it', () => {
  const places = [
    { fits: [1, 3], required: true },
    { fits: open, required: false },
    { fits: [4, 5], required: false },
    { fits: [4, 5], required: true },
    { fits: [1, 3], required: false },
  ];
  expect(nestOf(classesOf({ places }))).toEqual({
    around: [1, -1, -1, 2, 1],
    isAround: [false, true, true, false, false],
  });
  expect(nestOf(classesOf({ places: [{ fits: open, required: false }] }))).toEqual({ around: [-1], isAround: [false] });
});
