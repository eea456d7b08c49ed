import { expect, test } from 'vitest';
import schools from '../../../data/schools.json';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { type KitchenFile, readKitchenFile } from '../../core/formats/kitchenFile';
import { SCHOOL_IDS } from '../../core/formats/kitchenWords';
import { completeKitchen } from '../../core/kitchen/kitchen';
import { DISAGREEMENTS, isTaken, takeSide } from './disagreements';

const empty: KitchenFile = { format: 'scabbard.kitchen', version: 1 };

test('every side can be taken, is then the only one taken, and leaves a kitchen that can be read', () => {
  for (const each of DISAGREEMENTS)
    for (const side of each.sides) {
      const from = side === each.sides[0] ? empty : takeSide(each, each.sides[0], empty);
      const file = takeSide(each, side, from);
      completeKitchen(readKitchenFile(JSON.parse(JSON.stringify(file))), reference, shippedModels);
      for (const other of each.sides)
        if (other !== side)
          expect(isTaken(other, takeSide(each, side, empty)), `${each.question}: ${other.name}`).toBe(false);
      if (side.set) expect([isTaken(side, file), isTaken(side, takeSide(each, side, file))]).toEqual([true, false]);
      else if ((side.never ?? []).length > 0) expect(isTaken(side, takeSide(each, side, empty))).toBe(true);
    }
});

test('taking a side twice lets it go, and what was excluded for other reasons stays', () => {
  const [peeler] = DISAGREEMENTS;
  if (!peeler) throw new Error('no disagreement');
  const before: KitchenFile = { ...empty, limits: { never: ['nakiri'], must: ['paring'] } };
  const taken = takeSide(peeler, peeler.sides[0], before);
  expect(taken.limits?.never).toEqual(['nakiri', ...(peeler.sides[0].never ?? [])]);
  expect(taken.limits?.must).toEqual([]);
  expect(takeSide(peeler, peeler.sides[0], taken).limits?.never).toEqual(['nakiri']);
});

test('every school has its words', () => {
  expect(schools.map((s) => s.id)).toEqual([...SCHOOL_IDS]);
});
