import { kindWords } from '../data/kindWords';
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import { textOf } from '../src/core/formats/bytes';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { labelFile } from '../src/core/kit/label/labelKitchen';
import { readArguments, readBytes, readInput, run } from './input';

await run(() => {
  const { file, options } = readArguments(process.argv.slice(2), ['kitchen'], 'LABEL');
  const kitchen = options.kitchen === undefined ? undefined : readKitchenText(readInput(options.kitchen));
  const knowledge = { words: kindWords, reference, models: shippedModels };
  return `${JSON.stringify(labelFile(textOf(readBytes(file)), knowledge, kitchen), null, 2)}\n`;
});
