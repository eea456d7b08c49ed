import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../../data/reference';
import { TIPS } from '../../blade/words';
import { FIT } from '../../constants';
import { anyTask, oddBlade } from '../../testing/arbitrary';
import { cookOf, modeOf, partValue, partWhy, taskNamed, traitsOf } from '../../testing/trade';
import { taskModes } from '../modes';
import { bladeTraits } from '../traits';
import { crust, face, tip } from './edge';

describe('tip', () => {
  test('the further the tip from the fingers, the more it wanders, most where precision is wanted', () => {
    const petty = (lengthMm: number, task: string) => partValue(tip, traitsOf('oskavel-petty-120', { lengthMm }), task);
    expect(petty(90, 'shallot-brunoise')).toBeGreaterThan(petty(200, 'shallot-brunoise'));
    const loss = (task: string) => 1 - petty(240, task) / petty(120, task);
    expect(loss('garnish-carve')).toBeGreaterThan(loss('onion-dice'));
  });

  test('points are ranked as the trade ranks them, and thick ones split small food', () => {
    const shape = (each: (typeof TIPS)[number]) =>
      partValue(tip, traitsOf('oskavel-petty-120', { tip: each }), 'onion-dice');
    expect(shape('point')).toBe(shape('clipped'));
    expect(shape('point')).toBeGreaterThan(shape('dropped'));
    expect(shape('sickle')).toBeGreaterThan(shape('square'));
    expect(shape('round')).toBeGreaterThan(shape('blunt'));
    const thin = (spineTipMm: number) => partValue(tip, traitsOf('oskavel-petty-120', { spineTipMm }), 'onion-dice');
    expect(thin(0.5)).toBe(thin(FIT.tip.thin.value));
    expect(thin(2.4)).toBeLessThan(thin(0.8));
  });

  test('round a joint a low blade turns and a tall one gets stuck', () => {
    const joint = (heelHeightMm: number) =>
      partValue(
        tip,
        traitsOf('ploverdale-boning-stiff-150', { heelHeightMm }),
        'poultry-bone-out',
        cookOf(),
        modeOf('poultry-bone-out', 'tip'),
      );
    expect(joint(22)).toBe(joint(FIT.tip.turnHeight.value));
    expect(joint(60)).toBeLessThan(0.7 * joint(30));
  });
});

describe('clean face', () => {
  test('thin and acute leaves a better face, and teeth tear less when sawn than when drawn', () => {
    const slice = (changes: Parameters<typeof traitsOf>[1]) =>
      partValue(face, traitsOf('ploverdale-chef-200', changes), 'tomato-slice');
    expect(slice({ behindEdgeMm: 0.2 })).toBeGreaterThan(slice({ behindEdgeMm: 0.6 }));
    expect(slice({ edgeAngleDeg: 11 })).toBeGreaterThan(slice({ edgeAngleDeg: 20 }));
    const bread = traitsOf('ploverdale-bread-230');
    const by = (id: 'slice' | 'saw') => partValue(face, bread, 'tomato-slice', cookOf(), modeOf('tomato-slice', id));
    expect(by('saw')).toBeGreaterThan(by('slice'));
    expect(partWhy(face, bread, 'tomato-slice')).toMatch(/teeth, \d+(\.\d)? mm apart, tear the face/);
  });

  test('a single bevel is favoured in soft flesh and along bone, not in firm roots', () => {
    const gain = (task: string) => {
      const blade = { behindEdgeMm: 0.5, edgeAngleDeg: 18 };
      const one = traitsOf('tidewrack-yanagiba-270', blade);
      const two = traitsOf('tidewrack-yanagiba-270', { ...blade, bevel: 'double', handed: 'either' });
      return partValue(face, one, task) / partValue(face, two, task);
    };
    expect(gain('raw-fish-slice')).toBeGreaterThan(1.02);
    expect(gain('fish-fillet-round')).toBeGreaterThan(1.02);
    expect(gain('carrot-slice')).toBeCloseTo(1, 9);
  });

  test('a tall side drags through a clean draw', () => {
    const draw = (heelHeightMm: number) =>
      partValue(face, traitsOf('oskavel-sujihiki-240', { heelHeightMm }), 'roast-carve');
    expect(draw(36)).toBe(draw(FIT.face.low.value));
    expect(draw(48)).toBeLessThan(draw(38));
  });

  test('in raw fish a double bevel rubs by its angle: a blunt one most, up to a limit', () => {
    const left = (angle: number) => {
      const two = { edgeAngleDeg: angle, edgeAngleBackDeg: angle };
      const blade = traitsOf('oskavel-slicer-270', two);
      return partValue(face, blade, 'raw-fish-slice', cookOf(), modeOf('raw-fish-slice', 'slice')) / blade.faceQuality;
    };
    const rubs = 1 - FIT.face.double.value;
    const round = FIT.face.roundDrag.value;
    expect(left(FIT.face.rubsAngle.value * 1.5)).toBeCloseTo(round * (1 - 1.5 ** 2 * rubs), 6);
    expect(left(25)).toBeCloseTo(round * (1 - FIT.face.rubsMost.value * rubs), 6);
  });
});

describe('crust', () => {
  test('teeth bite; a plain edge does better the keener, harder and longer it is, and never as well', () => {
    const loaf = (changes: Parameters<typeof traitsOf>[1]) =>
      partValue(
        crust,
        traitsOf('oskavel-gyuto-240', { edgeAngleDeg: 18, hrc: 56, lengthMm: 180, ...changes }),
        'crusty-loaf',
      );
    expect(partValue(crust, traitsOf('ploverdale-bread-230'), 'crusty-loaf')).toBeGreaterThan(0.95);
    expect(loaf({})).toBeLessThan(loaf({ lengthMm: 260 }));
    expect(loaf({})).toBe(loaf({ hrc: 62 }));
    expect(loaf({ edgeAngleDeg: 10 })).toBe(loaf({}));
    expect(loaf({ edgeAngleDeg: 10, hrc: 63 })).toBeGreaterThan(loaf({}));
    expect(loaf({ edgeAngleDeg: 8, hrc: 66, lengthMm: 300 })).toBeLessThan(0.6);
  });

  test('it counts for crust alone, a little wherever one saws, and not elsewhere', () => {
    const level = (task: string, mode = modeOf(task)) => crust.level(taskNamed(task), mode);
    expect([level('crusty-loaf'), level('roll-or-bagel')]).toEqual([1, 1]);
    expect(level('soft-loaf')).toBeGreaterThan(0);
    expect(level('soft-loaf')).toBeLessThan(1);
    expect(level('onion-dice')).toBe(0);
  });
});

test('for any blade: a thinner edge never lowers the face, a shorter blade never lowers the tip, and values stay in 0–1', () => {
  const cook = cookOf();
  fc.assert(
    fc.property(oddBlade, anyTask, (blade, task) => {
      const before = bladeTraits(blade, reference);
      const thinner = bladeTraits({ ...blade, behindEdgeMm: blade.behindEdgeMm * 0.7 }, reference);
      const shorter = bladeTraits({ ...blade, lengthMm: Math.max(40, blade.lengthMm * 0.8) }, reference);
      for (const mode of taskModes(task)) {
        const [was, thin] = [before, thinner].map((b) => face.value(b, task, cook, mode));
        expect(thin).toBeGreaterThanOrEqual((was ?? 0) - 1e-12);
        expect(tip.value(shorter, task, cook, mode)).toBeGreaterThanOrEqual(
          tip.value(before, task, cook, mode) - 1e-12,
        );
        for (const part of [face, tip, crust]) {
          expect(part.value(before, task, cook, mode)).toBeGreaterThanOrEqual(0);
          expect(part.value(before, task, cook, mode)).toBeLessThanOrEqual(1);
        }
      }
    }),
  );
});
