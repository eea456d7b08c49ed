import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { PACKING } from '../../constants';
import type { AwayFile, KitchenFile } from '../../formats/kitchenFile';
import { thingOf } from '../../keeping/things';
import { fileOf } from '../../testing/trade';
import { preparePlanning } from '../context/planningContext';
import { KitValue } from '../search/value';
import { chooseToTake, seatsFor, type Choosing } from './choose';
import { packRoll } from './packing';

const drawer: KitchenFile['owned'] = [
  { type: 'chef', lengthMm: 210, condition: 'keen' },
  { type: 'paring', lengthMm: 80, condition: 'keen' },
  { type: 'bread', lengthMm: 250, condition: 'keen' },
  { type: 'boning-stiff', lengthMm: 150, condition: 'keen' },
  { type: 'chef', lengthMm: 180, condition: 'dull', keep: 'lend' },
  { type: 'santoku', lengthMm: 170, condition: 'keen', keep: 'keepsake' },
];
const pack = (away: AwayFile, changes: Partial<KitchenFile> = {}) => {
  const file = fileOf({ owned: drawer, ...changes });
  return packRoll(file, away, preparePlanning(file, reference, shippedModels));
};
const owned = ({ taken }: ReturnType<typeof pack>) => taken.map((each) => each.owned).sort();

describe('a roll for another kitchen', () => {
  test('takes what does the work there, leaves what does none, and keepsakes at home', () => {
    const packing = pack({ cooking: { tasks: [{ id: 'onion-dice', times: 7, per: 'week' }] } });
    expect(owned(packing)).toEqual([0]);
    expect(packing.proven).toBe(true);
    expect(packing.left.find((each) => each.owned === 5)?.why).toMatch(/keepsake/);
    expect(packing.left.find((each) => each.owned === 1)?.why).toMatch(/no work for it there|adds nothing/);
    expect(packing.home.while).toBeLessThan(packing.home.before);
    expect(packing.home.worse.length).toBeGreaterThan(0);
  });

  test('pockets and weight hold it down, and what stays says which', () => {
    const one = pack({ pockets: [{ lengthMm: 430, widthMm: 65 }] });
    expect(one.taken).toHaveLength(1);
    expect(one.left.some(({ why }) => /pockets are full/.test(why))).toBe(true);
    const light = pack({ maxWeightG: 120 });
    expect(light.weightG).toBeLessThanOrEqual(120);
    const none = pack({ pockets: [{ lengthMm: 60, widthMm: 10 }] });
    expect(none.taken).toEqual([]);
    expect(none.coverage).toBeLessThan(light.coverage + 1e-9);
    expect(none.left[0]?.why).toMatch(/No pocket/);
  });

  test('a glass board there takes the lent knife along, and asks for a board of one’s own', () => {
    const packing = pack({ board: { material: 'glass' } });
    expect(packing.taken.find((each) => each.owned === 4)).toMatchObject({ forHardBoard: true, dull: true });
    expect(packing.along.join()).toMatch(/board of your own/);
  });

  test('where nothing is lent, a hard board takes the cheapest that does general work; a knife alone is spared it', () => {
    const board = { material: 'stone' as const };
    const [good, cheap] = ['lanternhill-gyuto-210', 'quillback-chef-200'] as const;
    const knives = [good, cheap].map((model) => ({ model, condition: 'keen' as const }));
    const spoiled = ({ taken }: ReturnType<typeof pack>) => taken.filter((each) => each.forHardBoard);
    expect(spoiled(pack({ board }, { owned: knives })).map((each) => each.owned)).toEqual([1]);
    expect(spoiled(pack({ board }, { owned: [...knives].reverse() })).map((each) => each.owned)).toEqual([0]);
    // teeth are no general knife, and the only one is not thrown to the stone
    const withBread = [...knives.slice(0, 1), { type: 'bread', condition: 'keen' as const }];
    expect(spoiled(pack({ board }, { owned: withBread }))).toEqual([]);
    expect(spoiled(pack({ board: { material: 'wood' } }, { owned: knives }))).toEqual([]);
  });

  test('the cook who travels brings their own permissions', () => {
    const cooks = [{ name: 'a' }, { name: 'b', mayUse: [1, 2] }];
    expect(owned(pack({ cook: 1 }, { cooks })).every((i) => [1, 2].includes(i))).toBe(true);
  });
});

test('no choice of pieces is worth more: against every choice, one by one', () => {
  const choosing = fc
    .record({
      rows: fc.array(fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 4, maxLength: 4 }), {
        minLength: 1,
        maxLength: 7,
      }),
      from: fc.integer({ min: 0, max: 300 }),
      pockets: fc.array(
        fc.record({ lengthMm: fc.integer({ min: 150, max: 450 }), widthMm: fc.integer({ min: 20, max: 70 }) }),
        { maxLength: 4 },
      ),
      maxWeightG: fc.oneof(fc.constant(Infinity), fc.integer({ min: 50, max: 900 })),
    })
    .map(({ rows, from, pockets, maxWeightG }): Choosing => {
      const weights = new Float64Array(4).fill(0.25);
      return {
        demand: {
          columns: 4,
          states: [...weights].map((weight, column) => ({
            task: column,
            roles: [{ column, weight }],
            same: true,
            rescue: false,
          })),
          weights,
          total: 1,
        },
        given: [],
        knives: rows.map((row, i) => {
          const blade = shippedModels[(from + 31 * i) % shippedModels.length];
          if (!blade) throw new Error('no models');
          return {
            thing: thingOf(`owned-${i}`, blade.name, blade),
            usefulness: Float64Array.from(row),
            weightG: blade.weightG,
          };
        }),
        pockets,
        maxWeightG,
        fixed: [],
      };
    });
  const worth = ({ demand, knives }: Choosing, taken: readonly number[]) => {
    const kit = new KitValue(demand);
    for (const i of taken) kit.add(knives[i]?.usefulness ?? new Float64Array());
    return kit.value() - taken.length * PACKING.leastGain.value;
  };
  fc.assert(
    fc.property(choosing, (asked) => {
      const { knives, pockets, maxWeightG } = asked;
      const { taken, proven } = chooseToTake(asked);
      const allowed = (set: readonly number[]) =>
        set.reduce((sum, i) => sum + (knives[i]?.weightG ?? 0), 0) <= maxWeightG &&
        seatsFor(
          set.flatMap((i) => knives[i]?.thing ?? []),
          pockets,
        ) !== null;
      expect(allowed(taken)).toBe(true);
      expect(proven).toBe(true);
      for (let mask = 0; mask < 1 << knives.length; mask++) {
        const set = knives.map((_, i) => i).filter((i) => (mask >> i) & 1);
        if (allowed(set)) expect(worth(asked, set)).toBeLessThanOrEqual(worth(asked, taken) + 1e-6);
      }
    }),
    { numRuns: 150 },
  );
});
