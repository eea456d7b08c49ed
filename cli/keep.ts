import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import { FaultyInput } from '../src/core/formats/faults';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { readStorageText } from '../src/core/formats/storageFile';
import { storagePrices } from '../src/core/keeping/buying';
import { keepingOf } from '../src/core/keeping/keeping';
import { thingOf } from '../src/core/keeping/things';
import { preparePlanning } from '../src/core/kit/context/planningContext';
import { planProven } from '../src/core/kit/plan/planKitchen';
import { knivesOf } from '../src/core/kit/plan/refs';
import { readInput, run } from './input';

await run(() => {
  const [kitchenFile, storageFile, ...more] = process.argv.slice(2);
  if (kitchenFile === undefined || storageFile === undefined)
    throw new FaultyInput([
      {
        path: kitchenFile === undefined ? 'KITCHEN.json' : 'STORAGE.json',
        message: 'is missing; name both files, or - for one on standard input',
      },
    ]);
  if (more[0] !== undefined)
    throw new FaultyInput([{ path: more[0], message: 'is one too many; name a kitchen and a storage file' }]);
  const kitchen = readKitchenText(readInput(kitchenFile));
  const storage = readStorageText(readInput(storageFile));
  const { context, plan } = planProven(preparePlanning(kitchen, reference, shippedModels));
  const keeping = keepingOf(
    knivesOf(context, plan).map(({ ref, name, blade }) => thingOf(ref, name, blade)),
    storage,
    storagePrices(reference, context.kitchen.currency),
  );
  return `${JSON.stringify(keeping, null, 2)}\n`;
});
