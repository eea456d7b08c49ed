import { writeFileSync } from 'node:fs';
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';
import { FaultyInput, shown } from '../src/core/formats/faults';
import { readKitchenText } from '../src/core/formats/kitchenFile';
import { PAPERS, type Paper } from '../src/core/formats/paper';
import { preparePlanning } from '../src/core/kit/context/planningContext';
import { planProven } from '../src/core/kit/plan/planKitchen';
import { knivesOf } from '../src/core/kit/plan/refs';
import { lifeSizeSheets } from '../src/paper/lifeSize';
import { readArguments, readInput, run } from './input';

const isPaper = (name: string): name is Paper => Object.keys(PAPERS).includes(name);

await run(async () => {
  const { file, options } = readArguments(process.argv.slice(2), ['paper', 'out', 'only']);
  const { paper = 'a4', out, only } = options;
  if (!isPaper(paper))
    throw new FaultyInput([
      { path: '--paper', message: `${shown(paper)} is not one of ${Object.keys(PAPERS).join(', ')}` },
    ]);
  if (out === undefined)
    throw new FaultyInput([{ path: '--out', message: 'is missing; name the PDF that is to be written' }]);
  const kitchen = readKitchenText(readInput(file));
  const { context, plan } = planProven(preparePlanning(kitchen, reference, shippedModels));
  const knives = knivesOf(context, plan);
  const asked = only?.split(',').map((ref) => ref.trim());
  for (const ref of asked ?? [])
    if (!knives.some((knife) => knife.ref === ref))
      throw new FaultyInput([
        {
          path: '--only',
          message: `${shown(ref)} is no knife of this kitchen; there are ${knives.map((k) => k.ref).join(', ')}`,
        },
      ]);
  const { bytes, sheets } = await lifeSizeSheets(
    plan.kitchen,
    knives.filter(({ ref }) => !asked || asked.includes(ref)),
    paper,
  );
  try {
    writeFileSync(out, bytes);
  } catch (error) {
    throw new FaultyInput([
      {
        path: '--out',
        message: `cannot be written (${error instanceof Error && 'code' in error ? String(error.code) : 'unknown'})`,
      },
    ]);
  }
  return `${out}: ${sheets} sheets\n`;
});
