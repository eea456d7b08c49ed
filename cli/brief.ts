import { reference } from '../data/reference';
import { shippedModels } from '../data/models';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { briefKitchen } from '../src/core/kit/brief/brief';
import { readArguments, readInput, run } from './input';

await run(() => {
  const { file } = readArguments(process.argv.slice(2), []);
  return `${JSON.stringify(briefKitchen(readKitchenText(readInput(file)), reference, shippedModels), null, 2)}\n`;
});
