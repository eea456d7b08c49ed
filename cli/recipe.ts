import { languages, lexicon } from '../data/foods';
import { reference } from '../data/reference';
import { FaultyInput, shown } from '../src/core/formats/faults';
import { textOf } from '../src/core/formats/bytes';
import { readRecipe } from '../src/core/recipe/recipe';
import { readArguments, readBytes, run } from './input';

await run(() => {
  const { file, options } = readArguments(process.argv.slice(2), ['portions'], 'RECIPE');
  const portions = options.portions === undefined ? undefined : Number(options.portions);
  if (portions !== undefined && !(portions >= 1 && portions <= 500))
    throw new FaultyInput([
      { path: '--portions', message: `${shown(options.portions)} is not a number between 1 and 500` },
    ]);
  return `${JSON.stringify(readRecipe(textOf(readBytes(file)), { lexicon, languages, tasks: reference.tasks }, portions), null, 2)}\n`;
});
