import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';
import { edgeFileSchema } from '../src/core/formats/edgeFile';
import { keepingFileSchema } from '../src/core/formats/storageFile';
import { planFileSchema } from '../src/core/formats/planFile';
import { labelFileSchema } from '../src/core/formats/labelFile';
import { z } from '../src/core/zod';
import { shippedModels } from '../data/models';
import { reference } from '../data/reference';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const sample = (name: string) => join(root, 'data', 'kitchens', `${name}.json`);
const spawned = (file: string, args: string[], input: string) =>
  spawnSync(file, args, { cwd: root, input, encoding: 'utf8', maxBuffer: 1 << 28 });
const { scripts } = z
  .object({ scripts: z.record(z.string(), z.string()) })
  .parse(JSON.parse(readFileSync(join(root, 'package.json'), 'utf8')));
/** What `npm run -s NAME` runs, without the half second npm itself takes. */
function command(name: string, args: string[], input = '') {
  const [node = '', ...line] = scripts[name]?.split(' ') ?? [];
  expect(node).toBe('node');
  return spawned(process.execPath, [...line, ...args], input);
}
const parsed = <T extends z.ZodType>(schema: T, text: string) => schema.parse(JSON.parse(text));

test('plan prints one plan, byte for byte the same each time', () => {
  const run = spawned('npm', ['run', '-s', 'plan', '--', sample('millrace-flat')], '');
  expect(run.status).toBe(0);
  expect(command('plan', [sample('millrace-flat')]).stdout).toBe(run.stdout);
  const { steps } = parsed(planFileSchema, run.stdout);
  expect(steps.length).toBeGreaterThan(1);
  expect(steps.every((step) => step.walkAwayPrice === null)).toBe(true);
});

test('plan reads standard input, a school and a catalogue of its own', () => {
  const kitchen = JSON.stringify({ format: 'scabbard.kitchen', version: 1 });
  const plan = parsed(
    z.object({ steps: z.array(z.object({ action: z.string(), type: z.string() })) }),
    command('plan', ['-', '--school', 'line-cook'], kitchen).stdout,
  );
  expect(
    plan.steps
      .filter((s) => s.action === 'buy')
      .map((s) => s.type)
      .sort(),
  ).toEqual(['chef', 'paring']);
  const broken = command('plan', ['-', '--catalogue', sample('millrace-flat')], kitchen);
  expect(broken.status).toBe(2);
  expect(broken.stderr).toContain('format: "scabbard.kitchen" is not "scabbard.catalogue"');
});

test.each([
  [['/no/such/file.json'], '', '/no/such/file.json: there is no such file'],
  [['-'], '{', 'file: is not JSON'],
  [
    ['-'],
    '{"format":"scabbard.kitchen","version":1,"cooks":[{"handLengthMm":30}]}',
    'cooks[0].handLengthMm: 30 is not between 120 and 260',
  ],
  [['-', '--scool', 'free'], '', '--scool: is not an option'],
  [['-', '--school', 'modern'], '{}', '--school: "modern" is not one of free'],
  [[], '', 'KITCHEN.json: is missing'],
])('a wrong call %j is told on standard error alone, with exit 2', (args, input, expected) => {
  const { status, stdout, stderr } = command('plan', args, input);
  expect(status).toBe(2);
  expect(stdout).toBe('');
  expect(stderr).toContain(expected);
  expect(stderr).not.toMatch(/\n\s+at /);
});

test('label reads what a shop says and judges it for a kitchen; the same text is read the same way', () => {
  const text = 'Chef’s knife, Gesamtlänge 33 cm, blade 20 cm, €20';
  const read = command('label', ['-'], text);
  expect(read.status).toBe(0);
  expect(labelFileSchema.parse(JSON.parse(read.stdout))).toMatchObject({
    read: { type: 'chef', lengthMm: 200, price: 20 },
  });
  expect(read.stdout).not.toContain('verdict');
  expect(command('label', ['-'], text).stdout).toBe(read.stdout);
  const judged = command('label', ['-', '--kitchen', sample('millrace-flat')], text);
  expect(labelFileSchema.parse(JSON.parse(judged.stdout)).verdict?.because.length).toBeGreaterThan(1);
  const refused = command('label', ['-', '--kitchen', '/no/such/kitchen.json'], text);
  expect([refused.status, refused.stdout]).toEqual([2, '']);
  expect(refused.stderr).toContain('there is no such file');
});

test('brief prints what to look for, and refuses what it cannot read; plan --prices tells its prices', () => {
  const printed = command('brief', [sample('millrace-flat')]);
  expect(printed.status).toBe(0);
  const pair = z.tuple([z.number(), z.number()]);
  const { steps } = parsed(
    z.object({
      format: z.literal('scabbard.brief'),
      steps: z.array(
        z.object({
          pick: z.object({ lengthMm: z.number(), price: z.number() }),
          ranges: z.object({ lengthMm: pair, weightG: pair.nullable() }),
          priceUpTo: z.number(),
          ask: z.array(z.string()).length(3),
        }),
      ),
    }),
    printed.stdout,
  );
  expect(steps.length).toBeGreaterThan(0);
  for (const { pick, ranges, priceUpTo } of steps) {
    expect(priceUpTo).toBeGreaterThanOrEqual(pick.price);
    expect(ranges.lengthMm[0] <= pick.lengthMm && pick.lengthMm <= ranges.lengthMm[1]).toBe(true);
  }
  const priced = parsed(planFileSchema, command('plan', [sample('millrace-flat'), '--prices']).stdout).steps;
  expect(priced.filter(({ action }) => action === 'buy').map((step) => step.walkAwayPrice)).toEqual(
    steps.map((step) => step.priceUpTo),
  );
  expect(priced.filter(({ action }) => action !== 'buy').every((step) => step.walkAwayPrice === null)).toBe(true);
  const refused = command('brief', ['-'], '{"format":"scabbard.kitchen","version":2}');
  expect([refused.status, refused.stdout]).toEqual([2, '']);
  expect(refused.stderr).toContain('version: 2 is not 1');
});

test('fit prints scores with their parts for what was asked', () => {
  const cells = parsed(
    z.array(
      z.object({
        type: z.string(),
        task: z.string(),
        score: z.number(),
        veto: z.string().nullable(),
        parts: z.array(z.object({ id: z.string(), why: z.string() })),
      }),
    ),
    command('fit', [sample('saltstair-supper-house'), '--type', 'deba', '--task', 'fish-head-off']).stdout,
  );
  expect(cells.length).toBeGreaterThan(3);
  for (const cell of cells) {
    expect([cell.type, cell.task]).toEqual(['deba', 'fish-head-off']);
    expect(cell.veto === null ? cell.parts.length : cell.score).toBeGreaterThanOrEqual(0);
  }
  expect(cells.some((cell) => cell.score >= 70)).toBe(true);
  expect(cells.some((cell) => cell.veto?.includes('left hand'))).toBe(true);
});

test('fit prints the whole matrix, and stops quietly when nobody reads on', () => {
  const { status, stdout } = command('fit', [sample('millrace-flat')]);
  expect(status).toBe(0);
  const cells = parsed(z.array(z.object({ model: z.string(), task: z.string() })), stdout);
  expect(new Set(cells.map(({ model, task }) => `${model} ${task}`)).size).toBe(
    shippedModels.length * reference.tasks.size,
  );
  const line = `${process.execPath} scripts/run-cli.mjs fit ${sample('millrace-flat')} --type santoku | head -c 100`;
  const cut = spawnSync('sh', ['-c', line], { cwd: root, encoding: 'utf8' });
  expect(cut.stderr).not.toMatch(/\n\s+at |EPIPE/);
});

test('fit takes a blade of one’s own', () => {
  const blade = JSON.stringify({ ...shippedModels[0], id: 'my-own', lengthMm: 215 });
  const [cell] = parsed(
    z.array(z.object({ model: z.string(), lengthMm: z.number(), score: z.number() })),
    command('fit', [sample('millrace-flat'), '--blade', '-', '--task', 'onion-dice'], blade).stdout,
  );
  expect(cell).toMatchObject({ model: 'my-own', lengthMm: 215 });
  const wrong = command('fit', [sample('millrace-flat'), '--blade', '-'], JSON.stringify({ id: 'x' }));
  expect([wrong.status, wrong.stdout]).toEqual([2, '']);
  expect(wrong.stderr).toContain('lengthMm: ');
});

test('recipe reads lines from standard input and a page from a file, for as many portions as asked', () => {
  const lines = z.object({
    format: z.literal('scabbard.recipe'),
    portions: z.number(),
    lines: z.array(z.object({ food: z.string(), tasks: z.array(z.object({ id: z.string(), amount: z.number() })) })),
    unread: z.array(z.string()),
  });
  const recipe = parsed(
    lines,
    command('recipe', ['-', '--portions', '8'], '2 onions, diced\n1 l stock\nFor the top:').stdout,
  );
  expect(recipe).toMatchObject({ portions: 8, unread: ['For the top:'] });
  expect(recipe.lines.map((l) => l.tasks)).toEqual([[{ id: 'onion-dice', amount: 4 }], []]);
  for (const [args, input, fault] of [
    [['-'], '<p>nothing</p>', 'no list of ingredients was found'],
    [['-', '--portions', 'many'], '1 onion', '--portions: "many" is not a number between 1 and 500'],
    [[], '', 'RECIPE: is missing'],
  ] as const) {
    const { status, stdout, stderr } = command('recipe', [...args], input);
    expect([status, stdout]).toEqual([2, '']);
    expect(stderr).toContain(fault);
  }
});

test('lifesize writes a PDF at true size, of the knives asked for', () => {
  const out = join(mkdtempSync(join(tmpdir(), 'life-')), 'knives.pdf');
  const run = command('lifesize', [sample('millrace-flat'), '--paper', 'letter', '--out', out, '--only', 'step-1']);
  expect([run.status, run.stderr]).toEqual([0, '']);
  expect(readFileSync(out).subarray(0, 5).toString()).toBe('%PDF-');
  for (const [args, fault] of [
    [['--paper', 'a5', '--out', out], '--paper: "a5" is not one of a4, letter'],
    [[], '--out: is missing'],
    [['--out', out, '--only', 'step-99'], '--only: "step-99" is no knife of this kitchen; there are'],
  ] as const) {
    const wrong = command('lifesize', [sample('millrace-flat'), ...args]);
    expect([wrong.status, wrong.stdout]).toEqual([2, '']);
    expect(wrong.stderr).toContain(fault);
  }
});

test('plan takes a shop’s list, and tells what it left out', () => {
  const list = join(mkdtempSync(join(tmpdir(), 'list-')), 'shop.csv');
  writeFileSync(list, 'product;price\nSantoku 17 cm;89,00\nBread knife 24cm;35,50\nParing knife;12\nWhetstone;30\n');
  const run = command('plan', [sample('millrace-flat'), '--catalogue', list]);
  expect(run.stderr).toContain('row 5: left out, it is no knife');
  const plan = planFileSchema.parse(JSON.parse(run.stdout));
  expect(plan.steps.flatMap(({ model }) => model ?? []).every((id) => id.startsWith('list-'))).toBe(true);
});

test('edge prints how edges fare and what is due, from a day of one’s own', () => {
  const args = [sample('millrace-flat'), '--from', '2026-05-01', '--months', '24'];
  const report = parsed(edgeFileSchema, command('edge', args).stdout);
  expect(report.events.every(({ date }) => date >= '2026-05-01' && date < '2028-05-01')).toBe(true);
  for (const [wrong, fault] of [
    [['--from', '2026-02-30'], '--from: "2026-02-30" is no day'],
    [['--months', '0'], '--months: "0" is not a whole number between 1 and 120'],
  ] as const) {
    const run = command('edge', [sample('millrace-flat'), ...wrong]);
    expect([run.status, run.stdout]).toEqual([2, '']);
    expect(run.stderr).toContain(fault);
  }
});

test('keep places a kit into a storage file', () => {
  const storage = join(mkdtempSync(join(tmpdir(), 'keep-')), 'storage.json');
  writeFileSync(
    storage,
    '{"format":"scabbard.storage","version":1,"growth":0.1,"places":[{"kind":"strip","lengthMm":500,"belowMm":300}]}',
  );
  const keeping = parsed(keepingFileSchema, command('keep', [sample('millrace-flat'), storage]).stdout);
  expect(keeping.fits && keeping.placed.length > 1).toBe(true);
  const missing = command('keep', [sample('millrace-flat')]);
  expect([missing.status, missing.stdout]).toEqual([2, '']);
  expect(missing.stderr).toContain('STORAGE.json: is missing');
});
