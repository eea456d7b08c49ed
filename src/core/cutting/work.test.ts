import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { anyTask, oddBlade } from '../testing/arbitrary';
import { modelNamed, taskNamed } from '../testing/trade';
import { bestContact } from '../blade/contact';
import { edgeHeightMm } from '../blade/edgeCurve';
import { handleGirthMm, handToTipMm, knuckleRoomMm } from '../blade/hold';
import { rockAngleRad, rockingRadiusMm } from '../blade/rocking';
import { isEaten, isFlesh, isRawFlesh } from './eaten';
import { FOODS_AVOIDED } from './words';
import { biteLost, keennessNeed, keptByKeenness, workKind } from './work';

const share = fc.double({ min: 0, max: 1, noNaN: true });
const avoided = fc.uniqueArray(fc.constantFrom(...FOODS_AVOIDED));

describe('what is eaten', () => {
  test('the more is avoided the less is done, and who avoids nothing does everything', () => {
    fc.assert(
      fc.property(anyTask, avoided, fc.constantFrom(...FOODS_AVOIDED), (task, avoids, more) => {
        expect(isEaten(task, [])).toBe(true);
        if (!isEaten(task, avoids)) expect(isEaten(task, [...avoids, more])).toBe(false);
      }),
    );
  });

  test('what can be done to one of several is left only where all of them are avoided', () => {
    const either = [...reference.tasks.values()].find(
      ({ eitherOf, contains }) => eitherOf.length > 1 && contains.length === 0,
    );
    if (!either) throw new Error('no such task');
    expect(isEaten(either, either.eitherOf.slice(1))).toBe(true);
    expect(isEaten(either, either.eitherOf)).toBe(false);
  });

  test('raw flesh is flesh, and cooked meat is not raw', () => {
    for (const task of reference.tasks.values()) if (isRawFlesh(task)) expect(isFlesh(task)).toBe(true);
    const cooked = [...reference.tasks.values()].filter(({ group }) => group === 'Cooked meat');
    expect(cooked.length).toBeGreaterThan(3);
    expect(cooked.some(isRawFlesh)).toBe(false);
  });
});

describe('kinds of work', () => {
  test.each([
    ['onion-dice', 'board'],
    ['crusty-loaf', 'bread'],
    ['ribs-chop', 'blow'],
    ['oyster-open', 'blow'],
    ['root-peel', 'small'],
    ['soft-fruit-with-child', 'child'],
    ['steak-at-table', 'table'],
  ])('%s is %s', (id, kind) => {
    expect(workKind(taskNamed(id))).toBe(kind);
  });

  test('every kind has tasks, and what no knife should do is a tool’s', () => {
    const kinds = new Set([...reference.tasks.values()].map(workKind));
    for (const kind of ['board', 'small', 'bread', 'slicing', 'joints', 'blow', 'table'] as const)
      expect(kinds).toContain(kind);
    for (const task of reference.tasks.values()) if (task.instead) expect(workKind(task)).toBe('tool');
  });
});

describe('what keenness leaves', () => {
  test('lies between nothing and all, falls with keenness, and a keen edge leaves all', () => {
    fc.assert(
      fc.property(anyTask, share, share, (task, a, b) => {
        const [dull, keen] = [Math.min(a, b), Math.max(a, b)];
        expect(keptByKeenness(task, 1)).toBe(1);
        expect(keptByKeenness(task, dull)).toBeLessThanOrEqual(keptByKeenness(task, keen) + 1e-12);
        expect(keptByKeenness(task, dull)).toBeGreaterThanOrEqual(0);
        expect(keennessNeed(task)).toBeGreaterThanOrEqual(0);
        expect(keennessNeed(task)).toBeLessThanOrEqual(1);
        expect(biteLost(dull)).toBeGreaterThanOrEqual(biteLost(keen));
      }),
    );
  });

  test('a blow asks nothing of the edge, a clean thin slice of soft food most', () => {
    expect(keennessNeed(taskNamed('ribs-chop'))).toBe(0);
    expect(keptByKeenness(taskNamed('ribs-chop'), 0.3)).toBe(1);
    expect(keennessNeed(taskNamed('tomato-slice'))).toBeGreaterThan(keennessNeed(taskNamed('onion-dice')));
    expect(keennessNeed(taskNamed('tomato-slice'))).toBeGreaterThan(0.6);
  });
});

describe('a blade on the board and in the hand', () => {
  test('touches over a stretch of its own edge, within half a millimetre all along it', () => {
    fc.assert(
      fc.property(oddBlade, (blade) => {
        const { fromMm, toMm, share: touched, tiltRad } = bestContact(blade);
        expect(fromMm).toBeGreaterThanOrEqual(-1e-6);
        expect(toMm).toBeLessThanOrEqual(blade.lengthMm + 1e-6);
        expect(touched).toBeCloseTo((toMm - fromMm) / blade.lengthMm, 9);
        const line = (x: number) => edgeHeightMm(blade, x) - Math.tan(tiltRad) * x;
        const heights = Array.from({ length: 21 }, (_, i) => line(fromMm + ((toMm - fromMm) * i) / 20));
        expect(Math.max(...heights) - Math.min(...heights)).toBeLessThan(0.8);
      }),
    );
  });

  test('the flatter the edge the wider it rolls, and a dead flat one does not roll', () => {
    fc.assert(
      fc.property(oddBlade, (blade) => {
        const flat = { ...blade, bellyMm: 0 };
        expect(rockAngleRad(flat)).toBe(0);
        expect(rockingRadiusMm(flat)).toBe(20_000);
        expect(rockingRadiusMm(blade)).toBeLessThanOrEqual(20_000);
        expect(rockAngleRad({ ...blade, bellyMm: blade.bellyMm / 2 })).toBeLessThanOrEqual(rockAngleRad(blade) + 1e-12);
      }),
    );
  });

  test('a pinch leaves more room and is nearer to the tip than a hand round the handle; girth grows with the handle', () => {
    fc.assert(
      fc.property(oddBlade, fc.integer({ min: 60, max: 110 }), (blade, palm) => {
        expect(knuckleRoomMm(blade, palm, 'pinch')).toBeGreaterThan(knuckleRoomMm(blade, palm, 'handle'));
        const unsure = knuckleRoomMm(blade, palm, 'unsure');
        expect(unsure).toBeCloseTo((knuckleRoomMm(blade, palm, 'pinch') + knuckleRoomMm(blade, palm, 'handle')) / 2, 9);
        expect(knuckleRoomMm(blade, palm + 5)).toBeLessThan(knuckleRoomMm(blade, palm));
        expect(handToTipMm(blade, 'pinch')).toBeLessThan(handToTipMm(blade, 'handle'));
      }),
    );
    const gyuto = modelNamed('oskavel-gyuto-210');
    expect(handleGirthMm({ ...gyuto, handleHeightMm: gyuto.handleHeightMm + 2 })).toBeGreaterThan(handleGirthMm(gyuto));
  });
});
