import { describe, expect, test } from 'vitest';
import { FIT } from '../../constants';
import { cookOf, modeOf, partValue, partWhy, taskNamed, traitsOf } from '../../testing/trade';
import type { Part } from '../part';
import { tip } from './edge';
import { clearance } from './hold';
import { contact, motion, motionWeight } from './motion';

const habit = (motions: { rock?: number; push?: number; pull?: number; chop?: number }) =>
  cookOf({ cooks: [{ motions }] });
const rocks = habit({ rock: 1 });
const chops = habit({ chop: 1 });
const DEEP = traitsOf('ploverdale-chef-200', { flatShare: 0.25, bellyMm: 24 });
const FLAT = traitsOf('lanternhill-nakiri-165', { flatShare: 0.95, bellyMm: 1 });

describe('how a cook cuts', () => {
  test('habit leads, and the food’s own order bends it', () => {
    const mode = modeOf('herb-mince');
    expect(mode.motions[0]).toBe('rock');
    expect(motionWeight('rock', rocks, mode)).toBeGreaterThan(motionWeight('push', rocks, mode));
    expect(motionWeight('chop', chops, mode)).toBeGreaterThan(motionWeight('rock', chops, mode));
    // herbs are not chopped by choice: the same habit counts for less on them than on celery
    expect(motionWeight('chop', chops, mode)).toBeLessThan(motionWeight('chop', chops, modeOf('celery-slice')));
  });

  test('a deep belly carries a rock, a flat edge a chop', () => {
    expect(partValue(motion, DEEP, 'herb-mince', rocks)).toBeGreaterThan(partValue(motion, FLAT, 'herb-mince', rocks));
    expect(partValue(motion, FLAT, 'celery-slice', chops)).toBeGreaterThan(
      partValue(motion, DEEP, 'celery-slice', chops),
    );
    expect(partWhy(motion, DEEP, 'herb-mince', rocks)).toMatch(
      /^Mostly rocking here; this profile carries it well, \d+ of 100/,
    );
  });

  test('in a long draw only the pull matters, whatever the habit', () => {
    const slicer = traitsOf('ploverdale-slicer-300');
    expect(partValue(motion, slicer, 'roast-carve', rocks)).toBe(partValue(motion, slicer, 'roast-carve', chops));
  });

  test('serrated and limp blades are poor on the board', () => {
    const firm = traitsOf('ploverdale-chef-200', { flex: 0 });
    const on = (blade: typeof firm) => partValue(motion, blade, 'onion-dice', rocks);
    expect(on(traitsOf('ploverdale-chef-200', { flex: 0.8 }))).toBeLessThan(on(firm));
    expect(on(traitsOf('ploverdale-bread-230'))).toBeLessThan(0.6);
  });
});

describe('contact', () => {
  test('straight chops with a belly leave strips hanging; a flat edge parts them', () => {
    expect(partValue(contact, DEEP, 'pepper-strips', chops)).toBeLessThan(0.75);
    expect(partValue(contact, FLAT, 'pepper-strips', chops)).toBeGreaterThan(0.95);
    expect(partWhy(contact, DEEP, 'pepper-strips', chops)).toMatch(/^\d+% of the edge meets the board/);
  });

  test('a flat edge that is rocked ends in a hard stop, and the sentence says so', () => {
    expect(partValue(contact, FLAT, 'herb-mince', rocks)).toBeLessThan(partValue(contact, DEEP, 'herb-mince', rocks));
    expect(partWhy(contact, FLAT, 'herb-mince', rocks)).toContain('hard stop');
  });

  test('it counts as much as the cut wants pieces apart, and never falls below its floor', () => {
    const level = (task: string) => contact.level(taskNamed(task), modeOf(task));
    expect(level('veg-julienne')).toBeGreaterThan(level('onion-dice'));
    expect([level('aubergine-score'), level('squash-break')]).toEqual([0, 0]);
    const hooked = traitsOf('ploverdale-birds-beak-70');
    expect(partValue(contact, hooked, 'veg-julienne', chops)).toBeGreaterThanOrEqual(FIT.contact.floor.value);
  });
});

describe('fine dice', () => {
  const brunoise = (part: Part, id: string) => partValue(part, traitsOf(id), 'shallot-brunoise');

  test('the edge behind the tip meets the board too', () => {
    expect(contact.level(taskNamed('shallot-brunoise'), modeOf('shallot-brunoise'))).toBeGreaterThan(0);
    expect(motion.level(taskNamed('aubergine-score'), modeOf('aubergine-score'))).toBe(0);
    expect(brunoise(motion, 'ploverdale-birds-beak-70')).toBeLessThan(0.4);
    expect(brunoise(clearance, 'oskavel-petty-150')).toBeGreaterThan(brunoise(clearance, 'hoarfen-boning-stiff-150'));
  });

  test('a square corner does nearly the work of a point, in fine dice alone', () => {
    expect(brunoise(tip, 'oskavel-nakiri-140')).toBeGreaterThan(
      1.5 * partValue(tip, traitsOf('oskavel-nakiri-140'), 'aubergine-score'),
    );
  });
});
