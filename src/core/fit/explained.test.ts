import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { PART_WEIGHTS } from '../constants';
import { edgeHere } from '../kit/candidates/scoring';
import { keptByKeenness } from '../cutting/work';
import { anyTask, oddBlade, wildKitchen } from '../testing/arbitrary';
import { contextOf, cooksOf, taskNamed, traitsOf } from '../testing/trade';
import { explain } from './explain';
import { PARTS, prepareTask, score, scoreFor } from './score';
import { bladeTraits } from './traits';
import { whatMakesWorse } from './whatMakesWorse';
import { scoreWord } from './words';

const kitchens = wildKitchen.map((file) => ({ cooks: cooksOf(file) }));

describe('a score explained', () => {
  test('is the score itself, and the product of its parts, for any blade, task and cooks', () => {
    fc.assert(
      fc.property(oddBlade, anyTask, kitchens, (odd, task, { cooks }) => {
        const blade = bladeTraits(odd, reference);
        const ready = prepareTask(task);
        const told = explain(blade, ready, cooks);
        expect(told.score).toBeCloseTo(score(blade, ready, cooks), 9);
        if (told.veto !== null) {
          expect(told).toMatchObject({ score: 0, parts: [], mode: null });
          return;
        }
        const factor = ready.modes.find(({ mode }) => mode.id === told.mode)?.mode.factor ?? 0;
        const product = told.parts.reduce((left, { value, weight }) => left * Math.pow(value, weight), 100 * factor);
        // what is not told, as a part that says nothing of this blade, leaves all
        expect(told.score).toBeLessThanOrEqual(product + 1e-6);
        for (const { id, value, weight } of told.parts) {
          expect(PARTS.some((part) => part.id === id)).toBe(true);
          expect(value).toBeGreaterThanOrEqual(0);
          expect(value).toBeLessThanOrEqual(1);
          expect(weight).toBeGreaterThan(0);
        }
      }),
      { numRuns: 200 },
    );
  });

  test('of several cooks is that of the one whom the blade suits best, and a veto stands only when all have one', () => {
    fc.assert(
      fc.property(oddBlade, anyTask, kitchens, (odd, task, { cooks }) => {
        const blade = bladeTraits(odd, reference);
        const ready = prepareTask(task);
        const each = cooks.map((cook) => explain(blade, ready, [cook]));
        const all = explain(blade, ready, cooks);
        expect(all.score).toBeCloseTo(Math.max(...cooks.map((cook) => scoreFor(blade, ready, cook))), 9);
        expect(all.veto === null).toBe(each.some(({ veto }) => veto === null));
        expect(all.word).toBe(scoreWord(all.score, all.veto));
      }),
      { numRuns: 100 },
    );
  });

  test('on an average day has its keenness among the parts, and takes off what that takes', () => {
    const context = contextOf({ habits: { sharpening: 'none' } });
    const blade = traitsOf('ploverdale-chef-200');
    const ready = prepareTask(taskNamed('tomato-slice'));
    const edge = edgeHere(blade, context);
    const [sharp, usual] = [explain(blade, ready, context.cooks), explain(blade, ready, context.cooks, edge)];
    const left = keptByKeenness(taskNamed('tomato-slice'), edge.averageKeenness);
    expect(usual.score).toBeCloseTo(sharp.score * left, 9);
    expect(left).toBeLessThan(0.97);
    const keenness = usual.parts.find(({ id }) => id === 'keenness');
    expect(keenness?.value).toBeCloseTo(left, 9);
    expect(keenness?.why).toMatch(/never sharpened it averages \d+ of 100: too dull|a little is lost/);
  });

  test('every part has a weight of its own and is told under its name', () => {
    for (const part of PARTS) {
      expect(PART_WEIGHTS[part.id].value).toBeGreaterThan(0);
      expect(part.name).toMatch(/^[A-Z]/);
    }
    expect(new Set(PARTS.map(({ name }) => name)).size).toBe(PARTS.length);
  });
});

describe('what makes one blade worse than another', () => {
  const { cooks } = contextOf();
  const at = (id: string, task: string) => explain(traitsOf(id), prepareTask(taskNamed(task)), cooks);

  test('is the part that keeps least of what the better one keeps', () => {
    fc.assert(
      fc.property(oddBlade, oddBlade, anyTask, (a, b, task) => {
        const [one, other] = [a, b].map((blade) => explain(bladeTraits(blade, reference), prepareTask(task), cooks));
        if (!one || !other) return;
        const [better, worse] = one.score >= other.score ? [one, other] : [other, one];
        const found = whatMakesWorse(better, worse);
        if (found === null || worse.veto !== null) return;
        expect(found.keeps).toBeLessThan(found.than);
        const ratio = found.keeps / found.than;
        for (const { id, value, weight } of worse.parts) {
          const than = better.parts.find((part) => part.id === id);
          expect(Math.pow(value, weight) / (than ? Math.pow(than.value, than.weight) : 1)).toBeGreaterThanOrEqual(
            ratio - 1e-9,
          );
        }
      }),
      { numRuns: 150 },
    );
  });

  test('is the veto where the worse one has one, and nothing where they are the same', () => {
    expect(whatMakesWorse(at('oskavel-gyuto-210', 'onion-dice'), at('oskavel-gyuto-210', 'onion-dice'))).toBeNull();
    const refused = whatMakesWorse(at('oskavel-gyuto-210', 'ribs-chop'), at('quillback-paring-80', 'ribs-chop'));
    expect(refused).toMatchObject({ part: 'Do not', keeps: 0 });
    const short = whatMakesWorse(at('oskavel-gyuto-210', 'cabbage-shred'), at('quillback-paring-80', 'cabbage-shred'));
    expect(short?.why).not.toBe(short?.insteadOf);
  });
});
