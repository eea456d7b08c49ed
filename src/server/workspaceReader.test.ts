import { expect, test } from 'vitest';
import { FaultyInput } from '../core/formats/faults';
import { MAX_KITCHENS, MAX_SNAPSHOTS } from '../core/formats/workspaceFile';
import { fileOf, modelNamed } from '../core/testing/trade';
import { WorkspaceReader, type KitchenPart } from './workspaceReader';

const head = { format: 'scabbard.workspace', version: 1 };
const own = { ...modelNamed('oskavel-gyuto-210'), id: 'own-heron' };

/** The parts of a file, or the faults it is refused with, one line each. */
async function read(file: object | string): Promise<{ parts: KitchenPart[]; reader: WorkspaceReader } | string[]> {
  const bytes = Buffer.from(typeof file === 'string' ? file : JSON.stringify(file));
  const parts: KitchenPart[] = [];
  const reader = new WorkspaceReader([], (part) => Promise.resolve(void parts.push(part)));
  try {
    for (let at = 0; at < bytes.length; at += 101) await reader.feed(bytes.subarray(at, at + 101));
    await reader.end();
    if (reader.isUnchecked) for (const part of parts) await reader.check(part);
  } catch (error) {
    if (!(error instanceof FaultyInput)) throw error;
    return error.faults.map(({ path, message }) => `${path}: ${message}`);
  }
  return { parts, reader };
}
const faults = async (file: object | string) => {
  const told = await read(file);
  return Array.isArray(told) ? told : [];
};
const kitchens = [
  { kitchen: fileOf({ name: 'Weir', owned: [{ model: 'own-heron' }] }), changedAt: '2026-02-03T04:05:06Z', kept: [] },
  {
    kitchen: fileOf({}),
    kept: [{ kind: 'scenario', name: 'more money', at: '2026-01-01T00:00:00Z', kitchen: fileOf({ name: 'Rich' }) }],
  },
];

test('a file is read part by part, wherever its bytes are cut and in whatever order its lists come', async () => {
  for (const file of [
    { ...head, models: [own], kitchens, corrections: [{ words: 'ramps', task: null }] },
    { corrections: [{ words: 'ramps', task: null }], kitchens, ...head, models: [own] },
  ]) {
    const told = await read(file);
    if (Array.isArray(told)) throw new Error(told.join('\n'));
    const { parts, reader } = told;
    expect(parts.map(({ position, beside, kind, name }) => [position, beside, kind, name])).toEqual([
      [0, 0, 'kitchen', 'Weir'],
      [1, 0, 'kitchen', 'My kitchen'],
      [1, 1, 'scenario', 'more money'],
    ]);
    expect(JSON.parse(parts[0]?.text ?? '')).toEqual(kitchens[0]?.kitchen);
    expect(reader.models.map(({ id }) => id)).toEqual(['own-heron']);
    expect(reader.changed.get(0)).toEqual(new Date('2026-02-03T04:05:06Z'));
    expect(reader.corrections).toEqual([{ words: 'ramps', task: null }]);
  }
});

test('every fault is told with its place, also of what stands deep inside', async () => {
  const odd = {
    ...head,
    models: [own, { ...own, type: 'gladius' }],
    kitchens: [
      { kitchen: fileOf({ owned: [{ type: 'cheff' }] }), kept: [], extra: 1 },
      { kept: [{ kind: 'scenario', name: 'x', kitchen: { format: 'other' } }] },
    ],
    corrections: [
      { words: 'a', task: 'no-task' },
      { words: 'a', task: null },
    ],
    nane: 1,
  };
  const told = (await faults(odd)).join('\n');
  for (const line of [
    /^models\[1\]\.type: "gladius"/m,
    /^kitchens\[0\]\.kitchen\.owned\[0\]\.type: "cheff"/m,
    /^kitchens\[0\]\.extra: is not a key/m,
    /^kitchens\[1\]\.kitchen: is missing/m,
    /^kitchens\[1\]\.kept\[0\]\.kitchen\.format: /m,
    /^corrections\[0\]\.task: "no-task"/m,
    /^corrections\[1\]\.words: a is listed twice/m,
    /^nane: is not a key/m,
  ])
    expect(told).toMatch(line);
});

test('what no workspace file is, is refused at once and in words', async () => {
  const kitchen = { kitchen: fileOf({}), kept: [] };
  for (const [file, why] of [
    ['7', /file: is not an object/],
    ['{"format":"scabbard.kitchen"}', /format: .*is not "scabbard.workspace"/],
    [{ ...head, version: 2, models: [], kitchens: [] }, /version: 2 is not 1/],
    [{ ...head, kitchens: [] }, /models: is missing/],
    [{ ...head, models: {}, kitchens: [] }, /models: is not a list/],
    [{ ...head, models: [], kitchens: 7 }, /kitchens: is not a list/],
    [{ ...head, models: [], kitchens: [7] }, /kitchens\[0\]: is not an object/],
    [{ ...head, models: [], kitchens: Array(MAX_KITCHENS + 1).fill(kitchen) }, /more than 200 entries/],
    [
      {
        ...head,
        models: [],
        kitchens: [
          { ...kitchen, kept: Array(MAX_SNAPSHOTS + 1).fill({ kind: 'snapshot', name: 'x', kitchen: fileOf({}) }) },
        ],
      },
      /is one too many/,
    ],
    [{ ...head, models: [], kitchens: [{ ...kitchen, changedAt: '0000-01-01T00:00:00Z' }] }, /changedAt: .*not a time/],
    [`${JSON.stringify({ ...head, models: [] }).slice(0, -1)},"models":[],"kitchens":[]}`, /models: is there twice/],
    [{ ...head, models: [], kitchens: [], corrections: 'none' }, /^corrections: /m],
    ['{"format":"scabbard.workspace"', /file: is not JSON/],
    ['\ufffe{', /file: is not/],
  ] as const)
    expect((await faults(file)).join('\n')).toMatch(why);
});
