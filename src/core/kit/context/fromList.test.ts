import { expect, test } from 'vitest';
import { kindWords } from '../../../../data/kindWords';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { emptyKitchen, type KitchenFile } from '../../formats/kitchenFile';
import { planFrom, stepsOf } from '../plan/plan';
import { planProven } from '../plan/planKitchen';
import { readModelsText } from '../shop/listFile';
import { preparePlanning } from './planningContext';

const text = 'name,price\nGyuto 210 mm,120\nParing knife 80 mm,18\nBread knife 25 cm,40\nNakiri 165,90\n';
const harbour = readModelsText(text, {
  reference,
  words: kindWords,
  models: shippedModels,
  hand: 'right',
  currency: 'EUR',
  list: 'Harbour autumn',
}).taken.map(({ model }) => model);
const models = [...shippedModels, ...harbour];
const kitchen = (limits: KitchenFile['limits']): KitchenFile => ({
  ...emptyKitchen('Quay'),
  cooking: { cuisines: [{ id: 'italian' }], mealsPerWeek: 7 },
  budget: { total: 400 },
  limits,
});

test('a kitchen is planned from one list alone, and says what the list has nothing for', () => {
  const { plan, context } = planProven(preparePlanning(kitchen({ list: 'Harbour autumn' }), reference, models));
  const bought = stepsOf(context, plan).filter(({ action }) => action === 'buy');
  expect(bought.length).toBeGreaterThan(1);
  expect(bought.every(({ id }) => id.startsWith('list-harbour-autumn-'))).toBe(true);
  expect(bought.map(({ blade }) => blade?.blade.list)).toEqual(bought.map(() => 'Harbour autumn'));

  const fish = preparePlanning(
    { ...kitchen({ list: 'Harbour autumn' }), cooking: { cuisines: [{ id: 'raw-fish' }], mealsPerWeek: 7 } },
    reference,
    models,
  );
  expect(
    planFrom(fish)
      .unserved.map(({ why }) => why)
      .join(' '),
  ).toContain('nothing in the list Harbour autumn');
});

test('a missing list is reported, and the kitchen is planned from every model', () => {
  const lost = preparePlanning(kitchen({ list: 'Hill Street' }), reference, models);
  expect(lost.assumed).toContain('The list Hill Street is not here: planned from every model.');
  expect(lost.buyable.map(({ id }) => id)).toEqual(
    preparePlanning(kitchen(undefined), reference, models).buyable.map(({ id }) => id),
  );
});
