import { expect, test } from 'vitest';
import { shippedModels } from '../../../../data/models';
import { reference } from '../../../../data/reference';
import { fileOf } from '../../testing/trade';
import { preparePlanning } from '../context/planningContext';
import { kitOf } from '../search/coverage';
import { proveBest } from './prove';
import { toTheEnd } from '../search/sizes';
import { offersFor, realPrice, taking } from './offers';

const PIECES = ['mossgate-serrated-allround-190', 'oskavel-petty-150'];
const set = { id: 'pair', name: 'Pair', maker: 'Mossgate', pieces: PIECES, priceMinor: 1400 };
const volume = { maker: 'Oskavel', from: 2, off: 0.18 };

const contextOf = (maxKnives: number) =>
  preparePlanning(
    fileOf({ budget: { total: 110 }, limits: { maxKnives } }),
    { ...reference, sets: new Map([[set.id, set]]), volumes: [volume] },
    shippedModels.filter(({ id, maker }) => PIECES.includes(id) || maker === 'Oskavel'),
  );

test('a set’s piece does not count among so many of a maker', () => {
  const both = (maxKnives: number) => {
    const context = contextOf(maxKnives);
    const [pair, basket] = offersFor(context);
    if (pair?.kind !== 'set' || basket?.kind !== 'volume') throw new Error('the offers are not there');
    return taking(context, basket).flatMap((on) => taking(on, pair));
  };
  // three places do not hold a set of two and two more
  expect(both(3)).toEqual([]);
  expect(both(4).length).toBeGreaterThan(0);
  for (const { problem } of both(4)) {
    const singly = problem.places.filter(({ isSingly }) => isSingly);
    expect(singly).toHaveLength(volume.from);
    for (const { fits } of singly) expect(fits.some((i) => problem.candidates[i]?.inSet)).toBe(false);
  }
});

test('what a proven kit costs is what its offers truly make of it', () => {
  for (const maxKnives of [2, 3, 4]) {
    const context = contextOf(maxKnives);
    const { proof, on } = toTheEnd(proveBest(context));
    const kit = kitOf(on.problem, proof.choice);
    const singly = kit.flatMap(({ id }) => context.problem.candidates.find((c) => c.id === id) ?? []);
    const paid = kit.reduce((sum, { priceMinor }) => sum + priceMinor, 0);
    expect(singly).toHaveLength(kit.length);
    expect(realPrice(singly, offersFor(context)).priceMinor).toBe(paid);
  }
});
