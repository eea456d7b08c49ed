import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import { isDay } from '../src/core/calendar/day';
import { badDay } from '../src/core/formats/edgeFile';
import { FaultyInput, shown } from '../src/core/formats/faults';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { preparePlanning } from '../src/core/kit/context/planningContext';
import { edgeReport, newestDay } from '../src/core/kit/edges/edgeReport';
import { planProven } from '../src/core/kit/plan/planKitchen';
import { readArguments, readInput, run } from './input';

const MOST_MONTHS = 120;

await run(() => {
  const { file, options } = readArguments(process.argv.slice(2), ['from', 'months']);
  const kitchen = readKitchenText(readInput(file));
  const { from = newestDay(kitchen), months: said = '12' } = options;
  if (!isDay(from)) throw new FaultyInput([{ path: '--from', message: badDay(from) }]);
  const months = Number(said);
  if (!Number.isInteger(months) || months < 1 || months > MOST_MONTHS)
    throw new FaultyInput([
      { path: '--months', message: `${shown(said)} is not a whole number between 1 and ${MOST_MONTHS}` },
    ]);
  const { context, plan } = planProven(preparePlanning(kitchen, reference, shippedModels));
  return `${JSON.stringify(edgeReport(context, plan, from, months), null, 2)}\n`;
});
