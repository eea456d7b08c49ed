import { kindWords } from '../data/kindWords';
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import type { BladeModel } from '../src/core/blade/schema';
import { readCatalogue } from '../src/core/formats/catalogueFile';
import { FaultyInput, shown } from '../src/core/formats/faults';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { SCHOOL_IDS } from '../src/core/formats/kitchenWords';
import { withPrices } from '../src/core/kit/brief/brief';
import { preparePlanning } from '../src/core/kit/context/planningContext';
import { doubted, planProven } from '../src/core/kit/plan/planKitchen';
import { readModelsText } from '../src/core/kit/shop/listFile';
import { CATALOGUE_CURRENCY } from '../src/core/money/currency';
import { textOf } from '../src/core/formats/bytes';
import { readArguments, readBytes, readInput, run } from './input';

/** Perturbed plans behind each `stays`. */
const PERTURBED = 16;

/** The models of a catalogue or of a shop's list; rows of a list that cannot be used are told on standard error. */
function modelsOf(path: string): BladeModel[] {
  if (/\.json$/i.test(path)) return readCatalogue(readInput(path), 'json', reference);
  const { taken, left } = readModelsText(textOf(readBytes(path)), {
    reference,
    words: kindWords,
    models: shippedModels,
    hand: 'right',
    currency: CATALOGUE_CURRENCY,
  });
  for (const { row, why } of left) process.stderr.write(`${path} row ${row}: left out, ${why}\n`);
  if (taken.length === 0)
    throw new FaultyInput([{ path, message: 'has no knife that could be used; see the reasons above' }]);
  return taken.map(({ model }) => model);
}

const isSchool = (id: string): id is (typeof SCHOOL_IDS)[number] => SCHOOL_IDS.some((school) => school === id);

await run(() => {
  const { file, options, on } = readArguments(process.argv.slice(2), ['catalogue', 'school'], undefined, ['prices']);
  const { catalogue, school } = options;
  if (school !== undefined && !isSchool(school))
    throw new FaultyInput([{ path: '--school', message: `${shown(school)} is not one of ${SCHOOL_IDS.join(', ')}` }]);
  const models = catalogue ? modelsOf(catalogue) : shippedModels;
  const context = preparePlanning(readKitchenText(readInput(file)), reference, models, school);
  const planned = planProven(context);
  const plan = doubted(context, planned, PERTURBED);
  const told = on.has('prices') ? withPrices(context, planned, plan) : plan;
  return `${JSON.stringify(told, null, 2)}\n`;
});
