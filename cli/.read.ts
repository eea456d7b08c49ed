import { readFileSync } from 'node:fs';
import { reference } from '../data/reference';
import { shippedModels } from '../data/models';
import { planKitchen } from '../src/core/kit/plan/planKitchen';
import { kitchenFileSchema } from '../src/core/formats/kitchenFile';
const list = JSON.parse(readFileSync(process.argv[2] ?? '', 'utf8')) as { who: string; kitchen: object }[];
const only = process.argv[3];
for (const [i, { who, kitchen }] of list.entries()) {
  if (only && !only.split(',').includes(String(i))) continue;
  const file = kitchenFileSchema.parse({ format: 'scabbard.kitchen', version: 1, ...kitchen });
  const t = performance.now();
  const plan = planKitchen(file, reference, shippedModels, { perturbed: 0 });
  console.log(`\n#${i} ${who}  [cov ${[plan.coverage.now, plan.coverage.needs, plan.coverage.all].map((x) => Math.round(100 * x)).join('/')} spent ${plan.spent} ${plan.currency} pt ${plan.worth.pointPrice.toFixed(2)} L ${plan.lengthWanted.fromMm}-${plan.lengthWanted.toMm} ${plan.proof.best ? '' : 'UNPROVEN'} ${Math.round(performance.now() - t)} ms]`);
  for (const s of plan.steps)
    console.log(`  ${s.order}. ${s.need} ${s.action} ${s.type ?? ''} ${s.name} ${s.lengthMm ?? ''} €${s.price} m${s.month} +${(100 * s.gain).toFixed(1)} ${s.steel ?? ''} | ${s.takesOver.slice(0, 4).map((t) => `${t.task} ${Math.round(t.minutesPerWeek)}m ${Math.round(t.score)}`).join(', ')}`);
  if (plan.unserved.length) console.log('  UNSERVED', plan.unserved.slice(0, 4).map((u) => `${u.task} ${Math.round(u.minutesPerWeek)}m ${Math.round(u.score)}`).join(', '));
  for (const w of plan.warnings.slice(0, 4)) console.log('  !', w.slice(0, 160));
}
