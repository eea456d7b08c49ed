import { createContext, runInContext } from 'node:vm';
import { expect, test } from 'vitest';
import { coinsByCurrency } from '../../data/coins';
import german from '../../data/languages/de.json';
import { handChecks } from '../../data/handChecks';
import { kindWords } from '../../data/kindWords';
import { shippedModels } from '../../data/models';
import { reference } from '../../data/reference';
import { completeKitchen } from './kitchen/kitchen';
import { readLanguage } from './recipe/language';
import { cookOf, fileOf, modelNamed, taskNamed, traitsOf } from './testing/trade';

/** What the examples take for granted. */
const GIVEN = {
  reference,
  models: shippedModels,
  file: fileOf(),
  kitchen: completeKitchen(fileOf(), reference, shippedModels).kitchen,
  blade: modelNamed('oskavel-gyuto-210'),
  bread: modelNamed('quillback-bread-250-offset'),
  steel: reference.steels.get('soft-stainless'),
  traits: traitsOf('oskavel-gyuto-210'),
  task: taskNamed('onion-dice'),
  cook: cookOf(),
  coins: coinsByCurrency.get('EUR'),
  checks: handChecks,
  holder: { handed: 'right', motions: { rock: 0.25, push: 0.25, pull: 0.25, chop: 0.25 } },
  german: readLanguage(german),
  words: kindWords,
  knowledge: { words: kindWords, types: reference.types },
  dishes: [...reference.dishes.values()],
};

const sources = import.meta.glob<string>(['./**/*.ts', '!./**/*.test.ts'], {
  query: '?raw',
  import: 'default',
  eager: true,
});
const modules = import.meta.glob<Record<string, unknown>>(['./**/*.ts', '!./**/*.test.ts', '!./testing/**']);

const examples = Object.entries(sources).flatMap(([path, source]) =>
  [...source.matchAll(/^ \* @example (.+) \/\/ (.+)$/gm)].map(([, does = '', gives = '']) => ({ path, does, gives })),
);

test('the public doors show how they are used', () => {
  expect(examples.length).toBeGreaterThanOrEqual(20);
  const told = Object.values(sources).reduce((sum, source) => sum + (source.match(/@example/g)?.length ?? 0), 0);
  expect(told).toBe(examples.length);
});

test.each(examples)('$path: $does', async ({ path, does, gives }) => {
  const scope = createContext({ ...GIVEN, ...(await modules[path]?.()) });
  const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value ?? null));
  expect(plain(runInContext(does, scope))).toEqual(plain(runInContext(`(${gives})`, scope)));
});
