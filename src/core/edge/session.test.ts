import { describe, expect, test } from 'vitest';
import { STONES } from '../constants';
import { traitsOf } from '../testing/trade';
import { sessionFor } from './session';

const sessionOf = (id: string, stones: string[], done = 0) => {
  const { blade, steel } = traitsOf(id);
  const diary = Array.from({ length: done }, () => ({ did: 'sharpened' as const, by: 'stones' as const }));
  return sessionFor({ blade, steel, stones, diary, angleDeg: 15, spineHeightMm: 12.4 });
};
const steps = (id: string, stones: string[]) => {
  const session = sessionOf(id, stones);
  if (!session.can) throw new Error(session.why);
  return session.steps;
};

describe('a session at the stone', () => {
  test('rust off where steel rusts, stones soaked side by side, each in its order, then burr and check', () => {
    const plain = steps('ploverdale-chef-200', ['stone-medium']);
    expect(plain.map(({ id }) => id)).toEqual([
      'place',
      'soak',
      'flat',
      'stone-medium-one',
      'stone-medium-two',
      'burr',
      'check',
    ]);
    const reactive = steps('tidewrack-usuba-195', ['rust-eraser', 'stone-medium', 'stone-fine']);
    expect(reactive.map(({ id }) => id)).toContain('rust');
    expect(reactive.find(({ id }) => id === 'soak')?.soaks?.map(({ minutes }) => minutes)).toEqual([
      STONES.soak['stone-medium'].value,
      STONES.soak['stone-fine'].value,
    ]);
  });

  test('the spine’s height and the angle are said; single bevels go their own way', () => {
    expect(steps('ploverdale-chef-200', ['stone-medium']).find(({ draw }) => draw === 'angle')?.text).toMatch(
      /Gap under the spine 12\.4 mm: 15° a side/,
    );
    const single = steps('tidewrack-usuba-195', ['stone-medium']).map(({ id }) => id);
    expect(single).toContain('stone-medium-bevel');
    expect(single).toContain('stone-medium-back');
  });

  test('what is hard, long or single-bevelled waits until softer ones were done', () => {
    const caution = (id: string, done: number) => {
      const session = sessionOf(id, ['stone-medium'], done);
      return session.can ? session.caution : '';
    };
    expect(caution('ploverdale-chef-200', 0)).toBeNull();
    expect(caution('tidewrack-yanagiba-270', 0)).toMatch(/none is in the diary/);
    expect(caution('tidewrack-yanagiba-270', 9)).toBeNull();
  });

  test('serrated and ceramic are told honestly', () => {
    const why = (id: string) => {
      const session = sessionOf(id, []);
      return session.can ? '' : session.why;
    };
    expect(why('ploverdale-bread-230')).toMatch(/takes its teeth/);
    expect(why('whitquarry-utility-125-ceramic')).toMatch(/its maker/);
  });
});
