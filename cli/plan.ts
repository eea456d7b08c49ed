import { reference } from '../data/reference';
import { shippedModels } from '../data/models';
import { readCatalogue } from '../src/core/formats/catalogueFile';
import { FaultyInput, shown } from '../src/core/formats/faults';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { SCHOOL_IDS } from '../src/core/formats/kitchenWords';
import { withPrices } from '../src/core/kit/brief/brief';
import { preparePlanning } from '../src/core/kit/context/planningContext';
import { doubted, planProven } from '../src/core/kit/plan/planKitchen';
import { readArguments, readInput, run } from './input';

/** Perturbed plans behind each `stays`. */
const PERTURBED = 16;

const isSchool = (id: string): id is (typeof SCHOOL_IDS)[number] => SCHOOL_IDS.some((school) => school === id);

run(() => {
  const { file, options, on } = readArguments(process.argv.slice(2), ['catalogue', 'school'], undefined, ['prices']);
  const { catalogue, school } = options;
  if (school !== undefined && !isSchool(school))
    throw new FaultyInput([{ path: '--school', message: `${shown(school)} is not one of ${SCHOOL_IDS.join(', ')}` }]);
  const models = catalogue
    ? readCatalogue(readInput(catalogue), catalogue.toLowerCase().endsWith('.csv') ? 'csv' : 'json', reference)
    : shippedModels;
  const context = preparePlanning(readKitchenText(readInput(file)), reference, models, school);
  const planned = planProven(context);
  const plan = doubted(context, planned, PERTURBED);
  const told = on.has('prices') ? withPrices(context, planned, plan) : plan;
  return `${JSON.stringify(told, null, 2)}\n`;
});
