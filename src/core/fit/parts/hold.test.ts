import { describe, expect, test } from 'vitest';
import { knuckleRoomMm } from '../../blade/hold';
import { FIT } from '../../constants';
import { cookOf, modelNamed, modeOf, partValue, partWhy, taskNamed, traitsOf } from '../../testing/trade';
import { clearance, flatSide, handle, inHand, inHandLengthMm, mass, table } from './hold';

const palm = (palmBreadthMm: number) => cookOf({ cooks: [{ palmBreadthMm }] });

describe('clearance', () => {
  test('so much room is enough; below, the score falls to a floor and not to nothing', () => {
    const at = (room: number) => {
      const blade = modelNamed('ploverdale-chef-200');
      const heelHeightMm = blade.heelHeightMm + room - knuckleRoomMm(blade, 85, 'unsure');
      return partValue(clearance, traitsOf(blade.id, { heelHeightMm }), 'onion-dice', palm(85));
    };
    expect(at(FIT.clearance.enough.value)).toBe(1);
    expect(at(30)).toBe(1);
    expect(at(0)).toBeLessThan(1);
    expect(at(-40)).toBeGreaterThan(FIT.clearance.floor.value);
    expect(at(-40)).toBeLessThan(0.45);
  });

  test('the sentence gives the room under this hand, or says how far the knuckles are too low', () => {
    expect(partWhy(clearance, traitsOf('lanternhill-nakiri-165'), 'onion-dice', palm(80))).toMatch(
      /^\d+ mm under the knuckles/,
    );
    expect(partWhy(clearance, traitsOf('ploverdale-paring-90'), 'onion-dice', palm(100))).toMatch(
      /^Knuckles \d+ mm too low for the board/,
    );
  });

  test('it does not count where the hand is off the board', () => {
    expect(clearance.level(taskNamed('strawberry-hull'), modeOf('strawberry-hull', 'hand'))).toBe(0);
    expect(clearance.level(taskNamed('crusty-loaf'), modeOf('crusty-loaf'))).toBeLessThan(1);
  });
});

describe('in the hand', () => {
  test('a small knife works in the air, a chef’s knife does not, and teeth catch under skin', () => {
    const hull = (id: string) => partValue(inHand, traitsOf(id), 'strawberry-hull');
    expect(hull('ploverdale-birds-beak-70')).toBeGreaterThan(0.9);
    expect(hull('ploverdale-paring-90')).toBeGreaterThan(0.9);
    expect(hull('oskavel-petty-150')).toBeLessThan(hull('oskavel-petty-120'));
    expect(hull('ploverdale-chef-200')).toBeLessThan(0.1);
    const teeth = traitsOf('ploverdale-paring-90', { serration: 'scalloped', serrationPitchMm: 3 });
    expect(partValue(inHand, teeth, 'strawberry-hull') / hull('ploverdale-paring-90')).toBeCloseTo(
      FIT.inHand.serrated.value,
      9,
    );
  });

  test('the edge a hand guides in the air grows with the hand, and a hollow edge leads where things are turned', () => {
    const at = (handLengthMm: number, lengthMm: number) =>
      partValue(
        inHand,
        traitsOf('ploverdale-paring-90', { lengthMm }),
        'strawberry-hull',
        cookOf({ cooks: [{ handLengthMm }] }),
      );
    expect(at(160, 65)).toBeGreaterThan(at(160, 95));
    expect(at(210, 95)).toBeGreaterThan(at(210, 65));
    expect(inHandLengthMm(160)).toEqual({ fromMm: 63, toMm: 75 });
    const turned = (id: string) => partValue(inHand, traitsOf(id), 'turned-veg');
    expect(turned('ploverdale-birds-beak-70')).toBeGreaterThan(turned('oskavel-paring-70') + 0.05);
  });

  test('a sheet is rolled against a long flat side: a usuba does it, neither a paring knife nor a bellied one', () => {
    const sheet = (id: string) => partValue(inHand, traitsOf(id), 'sheet-peel');
    expect(sheet('tidewrack-usuba-195')).toBeGreaterThan(0.9);
    expect(sheet('ploverdale-paring-90')).toBeLessThan(0.4);
    expect(sheet('ploverdale-chef-200')).toBeLessThan(sheet('lanternhill-nakiri-165'));
  });
});

describe('weight', () => {
  test('dense food and blows want weight, soft food does not', () => {
    const at = (weightG: number, task: string) =>
      partValue(mass, traitsOf('ploverdale-chef-200', { weightG }), task, cookOf({ cooks: [{ strength: 'strong' }] }));
    expect(at(90, 'swede-block')).toBeLessThan(at(180, 'swede-block'));
    expect(at(90, 'tomato-slice')).toBe(at(180, 'tomato-slice'));
    expect(at(250, 'stock-bones-chop')).toBeLessThan(at(480, 'stock-bones-chop'));
    expect(partWhy(mass, traitsOf('ploverdale-chef-200', { weightG: 90 }), 'swede-block')).toContain(
      'dense food wants more',
    );
  });

  test('a heavy knife tires a light arm more than a strong one, and more over a long week', () => {
    const heavy = traitsOf('ploverdale-chef-260', { weightG: 330 });
    const arm = (strength: 'light' | 'average' | 'strong', longHours = 0) =>
      partValue(mass, heavy, 'onion-dice', { ...cookOf({ cooks: [{ strength }] }), longHours });
    expect(arm('light')).toBeLessThan(arm('average'));
    expect(arm('average')).toBeLessThan(arm('strong'));
    expect(arm('average', 4)).toBeLessThan(arm('average'));
    expect(arm('light', 57)).toBeGreaterThanOrEqual(0.5);
    expect(partWhy(mass, heavy, 'onion-dice', cookOf({ cooks: [{ strength: 'light' }] }))).toContain('light arms');
  });

  test('too heavy a blade falls where it likes on the board but not in a blow, and a chop tires no arm', () => {
    const cleaver = (weightG: number, task: string, id: 'board' | 'cleave') =>
      partValue(
        mass,
        traitsOf('hoarfen-meat-cleaver-150', { weightG }),
        task,
        cookOf({ cooks: [{ strength: 'strong', motions: { chop: 1 } }] }),
        modeOf(task, id),
      );
    expect(cleaver(430, 'fish-head-off', 'board')).toBe(1);
    expect(cleaver(530, 'fish-head-off', 'board')).toBeCloseTo(1 - 100 * FIT.mass.tooMuchScale.value, 9);
    expect(cleaver(2000, 'fish-head-off', 'board')).toBeCloseTo(1 - FIT.mass.unrulyCap.value, 9);
    expect(cleaver(900, 'ribs-chop', 'cleave')).toBe(1);
  });

  test.each([
    ['fish-head-off', { weightG: 586 }, 'so heavy that it falls where it likes'],
    ['fish-head-off', { weightG: 300, spineHeelMm: 2 }, 'a 2.0 mm spine is thin for bone and shell'],
    ['swede-block', { weightG: 100 }, 'dense food wants more'],
    ['onion-dice', { weightG: 400 }, 'tiring for light arms'],
    ['onion-dice', { weightG: 140 }, 'right for the work'],
  ])('at %s %o is told as what costs most: %s', (task, changes, told) => {
    const blade = traitsOf('ploverdale-chef-200', { spineHeelMm: 5, ...changes });
    const motions = { push: 1 };
    const strength = task === 'onion-dice' ? 'light' : 'strong';
    expect(partWhy(mass, blade, task, cookOf({ cooks: [{ strength, motions }] }))).toContain(told);
  });
});

test('a glued wooden handle suffers from the machine and from rough use, a moulded one from neither', () => {
  const use = (id: string, habits: { dishwasher?: boolean; roughUse?: boolean }) =>
    partValue(handle, traitsOf(id), 'onion-dice', cookOf({ habits }));
  const wooden = 'lanternhill-gyuto-210';
  const moulded = traitsOf('quillback-chef-200', { handleStyle: 'moulded' });
  expect(traitsOf(wooden).woodHandle).toBe(true);
  expect(use(wooden, {})).toBe(1);
  expect(use(wooden, { dishwasher: true, roughUse: true })).toBeCloseTo(
    use(wooden, { dishwasher: true }) * use(wooden, { roughUse: true }),
    9,
  );
  const worst = cookOf({ habits: { dishwasher: true, roughUse: true } });
  expect(partValue(handle, moulded, 'onion-dice', worst)).toBe(1);
  expect(partWhy(handle, traitsOf(wooden), 'onion-dice', worst)).toContain('will not last');
});

test('a broad side crushes, a narrow one does not', () => {
  const crush = (heelHeightMm: number) =>
    partValue(flatSide, traitsOf('ploverdale-chef-200', { heelHeightMm }), 'garlic-crush');
  expect(crush(FIT.flatSide.wide.value)).toBe(1);
  expect(crush(20)).toBeLessThan(0.4);
  expect(flatSide.level(taskNamed('garlic-mince'), modeOf('garlic-mince'))).toBe(0);
});

test('at the table a steak knife sits well and a kitchen knife does not', () => {
  const seat = (id: string) => partValue(table, traitsOf(id), 'steak-at-table');
  expect(seat('ploverdale-steak-115')).toBeGreaterThan(0.95);
  expect(seat('ploverdale-chef-200')).toBeLessThan(0.2);
});
