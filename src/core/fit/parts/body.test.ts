import { describe, expect, test } from 'vitest';
import { thicknessAtDepthMm } from '../../blade/thickness';
import { FIT } from '../../constants';
import { cookOf, modelNamed, modeOf, partValue, partWhy, taskNamed, traitsOf } from '../../testing/trade';
import { flex, joint, release, steer, wedge } from './body';

describe('wedge', () => {
  test('thin blades wedge in firm food only, thick ones in any on the board, and none where bone breaks', () => {
    const level = (task: string) => wedge.level(taskNamed(task), modeOf(task));
    expect([level('carrot-slice'), level('swede-block')]).toEqual([1, 1]);
    expect([level('onion-dice'), level('fish-head-off'), level('crusty-loaf')]).toEqual([1, 0, 0]);
    const onion = (id: string) => partValue(wedge, traitsOf(id), 'onion-dice');
    expect(onion('oskavel-gyuto-210')).toBeGreaterThan(0.98);
    expect(onion('tidewrack-deba-180')).toBeLessThan(0.9);
  });

  test('a blade thin at depth passes unnoticed; doubling the excess squares what is left', () => {
    const thick = (spine: number) =>
      traitsOf('ploverdale-chef-200', { spineHeelMm: spine, spineMidMm: spine, behindEdgeMm: 0.2, grind: 'flat' });
    const through = (spine: number) => partValue(wedge, thick(spine), 'beetroot-slice');
    expect(through(FIT.wedge.free.value)).toBe(1);
    const [one, two] = [through(FIT.wedge.free.value + 0.8), through(FIT.wedge.free.value + 1.6)];
    expect(two).toBeCloseTo(one * one, 9);
  });

  test('the same blade wedges more the firmer the food, up to where food cracks anyway', () => {
    const cleaver = traitsOf('ploverdale-meat-cleaver-180');
    expect(partValue(wedge, cleaver, 'beetroot-slice')).toBeLessThan(partValue(wedge, cleaver, 'potato-dice'));
  });

  test('thick near the edge cracks firm food, however low the blade is', () => {
    const near = (behindEdgeMm: number) =>
      partValue(wedge, traitsOf('ploverdale-boning-stiff-150', { behindEdgeMm }), 'potato-dice');
    expect(near(0.6)).toBeLessThan(near(0.2));
  });

  test('hard rind is split by a stout spine: a slight one gives, a very thick one bursts it', () => {
    const split = (spine: number) =>
      partValue(wedge, traitsOf('ploverdale-chef-230', { spineHeelMm: spine, spineMidMm: spine }), 'squash-break');
    expect(split(3)).toBe(1);
    expect(split(1.6)).toBeLessThan(0.85);
    expect(split(6)).toBeLessThan(0.75);
  });

  test('the sentence gives the thickness at the depth of the food, or of the blade where that is lower', () => {
    const petty = modelNamed('oskavel-petty-120');
    const why = partWhy(wedge, traitsOf(petty.id), 'cabbage-wedge');
    expect(why).toContain(`${Math.round(petty.heelHeightMm)} mm up`);
    expect(why).toContain(`${thicknessAtDepthMm(petty, 999).toFixed(1)} mm thick`);
  });
});

describe('steering', () => {
  test('double bevels never drift; single ones drift in tall dense food and not in soft', () => {
    for (const task of ['squash-break', 'tomato-slice'])
      expect(partValue(steer, traitsOf('ploverdale-chef-200'), task)).toBe(1);
    const usuba = traitsOf('tidewrack-usuba-195');
    expect(partValue(steer, usuba, 'squash-break')).toBeLessThan(0.6);
    expect(partValue(steer, usuba, 'scallion-slice')).toBe(1);
    expect(partWhy(steer, usuba, 'squash-break')).toContain('drifts to one side');
  });

  test('a sheet is peeled evenly by a flat back only', () => {
    const hand = modeOf('sheet-peel', 'hand');
    expect(steer.level(taskNamed('sheet-peel'), hand)).toBe(1);
    const sheet = (id: string) => partValue(steer, traitsOf(id), 'sheet-peel', undefined, hand);
    expect([sheet('tidewrack-usuba-195'), sheet('ploverdale-chef-200')]).toEqual([1, FIT.steer.sheet.value]);
    expect(steer.level(taskNamed('root-peel'), modeOf('root-peel', 'hand'))).toBe(0);
  });

  test('an uneven bevel drifts less than a single one', () => {
    const bevel = (kind: 'uneven' | 'single') =>
      partValue(steer, traitsOf('tidewrack-usuba-195', { bevel: kind }), 'swede-block');
    expect(bevel('uneven')).toBeGreaterThan(bevel('single'));
    expect(bevel('uneven')).toBeLessThan(1);
  });
});

describe('release', () => {
  test('starch clings to tall polished sides, less to hammered ones, and not to low ones', () => {
    const slice = (changes: Parameters<typeof traitsOf>[1]) =>
      partValue(release, traitsOf('lanternhill-nakiri-165', changes), 'potato-slice-thin');
    const polished = slice({ surface: 'polished' });
    expect(polished).toBeLessThan(slice({ surface: 'hammered' }));
    expect(slice({ surface: 'hammered' })).toBe(slice({ surface: 'dimpled' }));
    expect(slice({ surface: 'polished', heelHeightMm: 18 })).toBeGreaterThan(polished);
  });

  test('dry food does not cling, nor does food held in the hand', () => {
    expect(release.level(taskNamed('carrot-slice'), modeOf('carrot-slice'))).toBe(0);
    expect(release.level(taskNamed('floret-pull'), modeOf('floret-pull'))).toBe(0);
    expect(release.level(taskNamed('potato-dice'), modeOf('potato-dice'))).toBe(1);
  });
});

describe('flex', () => {
  const bend = (value: number, task: string) =>
    partValue(flex, traitsOf('ploverdale-fillet-180', { flex: value }), task);

  test('bend is wanted under skin and along flat frames, unwanted round joints', () => {
    expect(bend(0.6, 'fish-skin')).toBe(1);
    expect(bend(0, 'fish-skin')).toBe(FIT.flex.stiffWhereWanted.value);
    expect(bend(0, 'joint-bone-out')).toBe(1);
    expect(bend(0.8, 'joint-bone-out')).toBe(FIT.flex.limpWhereUnwanted.value);
  });

  test('a long clean draw minds a little, board work not at all', () => {
    const level = (task: string) => flex.level(taskNamed(task), modeOf(task));
    expect(level('raw-fish-slice')).toBeGreaterThan(0);
    expect(level('raw-fish-slice')).toBeLessThan(level('fish-skin'));
    expect(level('onion-dice')).toBe(0);
  });

  test('the sentence says what it does and what it should do', () => {
    const why = (value: number, task: string) =>
      partWhy(flex, traitsOf('ploverdale-fillet-180', { flex: value }), task, cookOf());
    expect(why(0.6, 'fish-skin')).toBe('The blade bends freely; it should follow skin and bone.');
    expect(why(0.02, 'joint-bone-out')).toBe('The blade is stiff; it should stay in its plane.');
  });
});

describe('at the bone', () => {
  const at = (id: string, task: string, change: Parameters<typeof traitsOf>[1] = {}) =>
    partValue(joint, traitsOf(id, change), task);

  test('boning out turns round bone: a wide tip end, a bellied edge and a thick spine each cost, and force does not help', () => {
    const bone = (change: Parameters<typeof traitsOf>[1]) => at('hoarfen-boning-stiff-150', 'joint-bone-out', change);
    const narrow = bone({});
    expect(bone({ heelHeightMm: 60 })).toBeLessThan(narrow * 0.9);
    expect(bone({ bellyMm: FIT.joint.belly.value })).toBeGreaterThanOrEqual(narrow);
    expect(bone({ bellyMm: 22 })).toBeLessThan(narrow * 0.8);
    expect(bone({ spineHeelMm: FIT.joint.wedge.value })).toBeGreaterThanOrEqual(narrow);
    expect(bone({ spineHeelMm: 7.4 })).toBeLessThan(narrow * 0.7);
    // the width counts where the blade turns, not at a heel that guards the hand
    expect(traitsOf('oskavel-honesuki-150').turningMm).toBeLessThan(FIT.joint.wide.value + 2);
    expect(at('oskavel-honesuki-150', 'poultry-bone-out')).toBeGreaterThan(0.9);
  });

  test('a joint that may be chopped through yields to a stout blade', () => {
    expect(at('hoarfen-deba-160-mid-stainless', 'poultry-joint')).toBeGreaterThan(0.85);
    expect(at('hoarfen-deba-160-mid-stainless', 'poultry-bone-out')).toBeLessThan(0.6);
    expect(at('oskavel-gyuto-210', 'poultry-joint')).toBeLessThan(0.65);
  });
});
