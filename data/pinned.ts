import { z } from '../src/core/zod';
import { edgeLife } from '../src/core/edge/keenness';
import { taskLoads } from '../src/core/load/load';
import { cookContexts } from '../src/core/fit/cook';
import { prepareTask, score } from '../src/core/fit/score';
import { bladeTraits } from '../src/core/fit/traits';
import { kitchenFileSchema, type KitchenFile } from '../src/core/formats/kitchenFile';
import type { Plan } from '../src/core/formats/planFile';
import { planKitchen } from '../src/core/kit/plan/planKitchen';
import { careOf } from '../src/core/kit/candidates/scoring';
import { completeKitchen } from '../src/core/kitchen/kitchen';
import { shippedModels } from './models';
import panel from './panel/panel.json';
import second from './panel/second.json';
import { reference } from './reference';

/**
 * Scores, edges and plans as they stand. Whatever changes a constant, a rule or a model shows here as what has moved; where that is meant, the
 * sheets are written anew with `npm run -s pin` and what moved is read.
 */
export type SheetName = 'scores' | 'edges' | 'plans';
export type Line = readonly [key: string, value: string];

const KITCHENS: Record<string, Partial<KitchenFile>> = {
  trained: {
    cooks: [
      { experience: 'trained', grip: 'pinch', handLengthMm: 200, wantsWeight: 'neutral', wantsBalance: 'handle' },
    ],
    board: { lengthMm: 420, widthMm: 300 },
    habits: { upkeep: 'wipes-after', sharpening: 'stones', carves: 'thin' },
    cooking: { mealsPerWeek: 21, portions: 10 },
  },
  new: {
    cooks: [
      {
        experience: 'new',
        grip: 'handle',
        handLengthMm: 160,
        strength: 'light',
        wantsWeight: 'light',
        wantsBalance: 'forward',
      },
    ],
    board: { lengthMm: 280, widthMm: 200, material: 'glass' },
    habits: { roughUse: true, dishwasher: true, upkeep: 'leaves-wet', lifts: 'flat', carves: 'thick' },
    cooking: { mealsPerWeek: 14 },
  },
  rocks: {
    cooks: [
      {
        experience: 'home',
        grip: 'fingertip',
        strength: 'strong',
        motions: { rock: 3, push: 1 },
        wantsWeight: 'heavy',
        wantsBalance: 'neutral',
      },
    ],
  },
  chops: { cooks: [{ experience: 'keen', grip: 'unsure', motions: { chop: 2, pull: 1 } }], habits: { lifts: 'flat' } },
};

const laidOut = (file: Partial<KitchenFile>) =>
  completeKitchen({ format: 'scabbard.kitchen', version: 1, ...file }, reference, shippedModels).kitchen;

/** A blade of every type at every task, for four very different cooks. */
function* scores(): Generator<Line> {
  const types = [...reference.types.keys()];
  const blades = types.flatMap((type) => shippedModels.filter((m) => m.type === type).slice(0, 1));
  for (const [name, file] of Object.entries(KITCHENS)) {
    const kitchen = laidOut(file);
    const cooks = cookContexts(kitchen, taskLoads(kitchen, reference));
    const tasks = [...reference.tasks.values()].map((task) => prepareTask(task));
    for (const model of blades) {
      const traits = bladeTraits(model, reference, kitchen.habits.roughUse);
      yield [`${name} ${model.id}`, tasks.map((task) => score(traits, task, cooks).toFixed(1)).join(' ')];
    }
  }
}

const HONINGS = ['none', 'steel', 'ceramic', 'strop', 'diamond'] as const;
const BOARDS = ['wood', 'rubber', 'plastic', 'bamboo', 'glass', 'stone'] as const;

/** How an edge of every family, a serrated and a single-bevelled one fare under every kind of care. */
function* edges(): Generator<Line> {
  const first = (test: (model: (typeof shippedModels)[number]) => boolean) => shippedModels.filter(test).slice(0, 1);
  const blades = [
    ...[...reference.steels.keys()].flatMap((steel) => first((m) => m.steel === steel)),
    ...first((m) => m.serration !== 'none'),
    ...first((m) => m.bevel === 'single'),
  ];
  for (const sharpening of ['none', 'pull-through', 'powered', 'professional', 'stones'] as const) {
    const cares = [
      ...HONINGS.map((honing) => ({ honing, material: 'wood' as const, minutes: 40 })),
      ...BOARDS.map((material) => ({ honing: 'none' as const, material, minutes: 200 })),
      { honing: 'none' as const, material: 'wood' as const, minutes: 420 },
    ];
    for (const { honing, material, minutes } of cares) {
      const roughUse = minutes === 200;
      const care = careOf(laidOut({ habits: { sharpening, honing, roughUse }, board: { material } }));
      const lives = blades.map((model) => {
        const { blade, steel } = bladeTraits(model, reference, roughUse);
        const life = edgeLife(blade, steel, care, minutes);
        const weeks = life.sharpenEveryWeeks?.toFixed(1) ?? 'never';
        return `${life.halfLifeMinutes.toFixed(0)}/${life.averageKeenness.toFixed(3)}/${weeks}/${life.honeEveryDays ?? '-'}/${life.angleDeg}`;
      });
      yield [`${sharpening} ${honing} ${material} ${minutes}`, lives.join(' ')];
    }
  }
}

const judged = z
  .array(z.looseObject({ id: z.string(), kitchen: z.record(z.string(), z.unknown()) }))
  .parse([...panel, ...second]);

/** The plan of every kitchen of the panel, in a line. */
function* plans(): Generator<Line> {
  for (const { id, kitchen } of judged) {
    const file = kitchenFileSchema.parse({ format: 'scabbard.kitchen', version: 1, ...kitchen });
    yield [id, planLine(planKitchen(file, reference, shippedModels, { perturbed: 0 }))];
  }
}

/** A plan in a line: what it covers and costs, its steps with what they add in points (needs with a mark), what is said beside it. */
export function planLine({ steps, coverage, costPerYear, worth, warnings, unserved, copies }: Plan): string {
  const told = steps.map(
    ({ action, model, type, price, gain, need }) =>
      `${action} ${model ?? type ?? ''} ${price} +${(100 * (gain ?? 0)).toFixed(1)}${need === 'need' ? '!' : ''}`,
  );
  const wanted = (copies ?? []).map(({ role, wanted }) => `${role}×${wanted}`).join(' ');
  const points = (share: number) => (100 * share).toFixed(1);
  return [
    `${points(coverage.now)}→${points(coverage.needs)}→${points(coverage.all)} of 100, ${costPerYear} a year, worth ${worth?.points.toFixed(1) ?? ''}`,
    ...told,
    `${warnings.length} warnings; badly served: ${unserved.map(({ task }) => task).join(' ')}; ${wanted}`,
  ].join(' | ');
}

export const SHEETS: Record<SheetName, () => Generator<Line>> = { scores, edges, plans };

/** Whether two lines say the same; figures may differ by what rounding does. */
export function agree(pinned: string, now: string): boolean {
  if (pinned === now) return true;
  const [a, b] = [pinned.split(' '), now.split(' ')];
  return a.length === b.length && a.every((word, i) => word === b[i] || Math.abs(Number(word) - Number(b[i])) < 0.101);
}

export const parseSheet = (text: string): Map<string, string> =>
  new Map(
    text
      .split('\n')
      .filter(Boolean)
      .map((line) => {
        const at = line.indexOf('\t');
        return [line.slice(0, at), line.slice(at + 1)] as const;
      }),
  );
