import { reference } from '../data/reference';
import { shippedModels } from '../data/models';
import { preparePlanning, allTasks } from '../src/core/kit/context/planningContext';
import { kitchenFileSchema } from '../src/core/formats/kitchenFile';
import { explain } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import { edgeHere } from '../src/core/kit/candidates/scoring';
const [tasks = '', types = '', kitchen = '{}', full = ''] = process.argv.slice(2);
const file = kitchenFileSchema.parse({ format: 'scabbard.kitchen', version: 1, ...JSON.parse(kitchen) });
const ctx = preparePlanning(file, reference, shippedModels);
for (const id of tasks.split(',')) {
  const t = allTasks(ctx).find((e) => e.task.id === id)!;
  console.log('==', id);
  for (const type of types.split(',')) {
    const rows = shippedModels.filter((m) => m.type === type).map((m) => { const b = bladeTraits(m, reference, ctx.kitchen.habits.roughUse); const e = explain(b, t, ctx.cooks, edgeHere(b, ctx)); return { m, e }; }).sort((a, b) => b.e.score - a.e.score);
    for (const { m, e } of rows.slice(0, full ? 1 : 3)) console.log('  ', type, m.id, m.lengthMm, m.priceMinor / 100, Math.round(e.score), full ? JSON.stringify(e).slice(0, 1500) : '');
  }
}
