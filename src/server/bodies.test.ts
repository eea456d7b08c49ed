import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../data/models';
import { FaultyInput } from '../core/formats/faults';
import { fileOf, modelNamed } from '../core/testing/trade';
import { BODIES, type BodyName, type OwnNames } from './bodies';

/** What is told of a body that is refused, one line a fault; nothing where it is taken. */
function faults(name: BodyName, body: unknown, own: OwnNames = []): string[] {
  try {
    BODIES[name].read(typeof body === 'string' ? body : JSON.stringify(body), own);
    return [];
  } catch (error) {
    if (!(error instanceof FaultyInput)) throw error;
    return error.faults.map(({ path, message }) => `${path}: ${message}`);
  }
}
const own = (id: string, more = {}) => ({ ...modelNamed('oskavel-gyuto-210'), id, ...more });

describe('kitchens', () => {
  test('a kitchen is taken as it stands, and its version may not outgrow the column that counts it', () => {
    const kitchen = fileOf({ name: 'Weir cottage', owned: [{ type: 'chef', model: 'ploverdale-chef-200' }] });
    expect(BODIES.save.read(JSON.stringify({ version: 3, kitchen }), [])).toEqual({ version: 3, kitchen });
    for (const version of [0, -1, 1.5, 2_147_483_647])
      expect(faults('save', { version, kitchen })[0]).toMatch(/^version: /);
  });

  test('unknown names are told with their path, and a model of the workspace is none of them', () => {
    const kitchen = fileOf({ owned: [{ type: 'chef', model: 'my-own-chef' }, { type: 'cheff' }] });
    const told = faults('save', { version: 1, kitchen });
    expect(told).toHaveLength(2);
    expect(told.join('\n')).toMatch(/kitchen\.owned\[0\]\.model: .*my-own-chef/);
    expect(told.join('\n')).toMatch(/kitchen\.owned\[1\]\.type: .*cheff.*chef/);
    const known = faults('save', { version: 1, kitchen }, [{ id: 'my-own-chef', maker: 'Home' }]);
    expect(known).toHaveLength(1);
  });

  test('a new kitchen comes from nothing, a sample, a copy or a file, and from nowhere else', () => {
    expect(faults('newKitchen', { from: 'nothing', name: 'Loft' })).toEqual([]);
    expect(faults('newKitchen', { from: 'sample', sample: 'millrace-flat' })).toEqual([]);
    expect(faults('newKitchen', { from: 'thin air' })).toHaveLength(1);
    expect(faults('newKitchen', { from: 'nothing', name: '   ' })[0]).toMatch(/^name: /);
    expect(faults('newKitchen', { from: 'nothing', nmae: 'Loft' }).join()).toContain('nmae');
    expect(faults('newKitchen', { from: 'file', kitchen: fileOf({ limits: { must: ['sword'] } }) })[0]).toMatch(
      /must\[0\]/,
    );
  });

  test('what is no JSON, or has too many values for its kind, is refused before it is read', () => {
    expect(faults('save', '{"version": 1,')).toHaveLength(1);
    expect(faults('words', { words: 'a'.repeat(100_000) })[0]).toMatch(/^words: /);
    expect(faults('change', { name: Array.from({ length: 200 }, () => 1) })).toHaveLength(1);
    expect(faults('nothing', { anything: true }).join()).toContain('anything');
  });
});

describe('own models', () => {
  const send = (models: unknown[], duplicates = 'skip') => faults('models', { models, duplicates });

  test('models are taken with figures of their own', () => {
    expect(send([own('loft-gyuto'), own('loft-santoku', { type: 'santoku' })])).toEqual([]);
    expect(send([own('loft-gyuto')], 'replace')).toEqual([]);
    expect(send([own('loft-gyuto')], 'merge')[0]).toMatch(/^duplicates: /);
    expect(send([])[0]).toMatch(/^models: /);
  });

  test('an unknown type, an id used twice and one of the shipped catalogue are told where they stand', () => {
    expect(send([own('a', { type: 'gyutoo' })])[0]).toMatch(/^models\[0\]\.type: .*gyutoo/);
    expect(send([own('a'), own('b'), own('a')])).toEqual([
      'models[2].id: a is already the id of models[0]; give it another',
    ]);
    expect(send([own('oskavel-gyuto-210')])[0]).toMatch(/^models\[0\]\.id: .* shipped catalogue/);
    expect(send([own('a'), { id: 'b' }])[0]).toMatch(/^models\[1\]\./);
  });

  test('of a hopeless list no more is read than can be told', () => {
    const told = send(Array.from({ length: 500 }, () => ({ id: 5 })));
    expect(told.length).toBeLessThanOrEqual(101);
    expect(shippedModels.length).toBeLessThan(500);
  });
});

describe('words and papers', () => {
  test('a correction names a task there is, or none', () => {
    expect(faults('correction', { words: 'two onions, diced', task: 'onion-dice' })).toEqual([]);
    expect(faults('correction', { words: 'two onions, diced', task: null })).toEqual([]);
    expect(faults('correction', { words: 'two onions', task: 'onion-dise' })[0]).toMatch(/^task: .*onion-dice/);
    expect(faults('correction', { words: '  ', task: null })[0]).toMatch(/^words: /);
  });

  test('sheets of true size hold at least one knife and are printed on paper there is', () => {
    const knife = { ref: 'owned-0', name: 'Gyuto', blade: modelNamed('oskavel-gyuto-210') };
    expect(faults('lifeSize', { title: 'Mine', paper: 'a4', knives: [knife] })).toEqual([]);
    expect(faults('lifeSize', { title: 'Mine', paper: 'a4', knives: [] })[0]).toMatch(/^knives: /);
    expect(faults('lifeSize', { title: 'Mine', paper: 'a3', knives: [knife] })[0]).toMatch(/^paper: /);
    const thick = { ...knife, blade: { ...knife.blade, lengthMm: -5 } };
    expect(faults('lifeSize', { title: 'Mine', paper: 'a4', knives: [thick] })[0]).toMatch(
      /^knives\[0\]\.blade\.lengthMm: /,
    );
  });
});
