import { describe, expect, test } from 'vitest';
import { EDGE } from '../../constants';
import type { KitchenFile, OwnedFile } from '../../formats/kitchenFile';
import { contextOf } from '../../testing/trade';
import { retirements, serviceStep } from '../plan/furtherSteps';
import { unserved } from '../plan/unserved';
import { besideOwned, type Counts } from './besideOwned';
import type { Candidate } from './candidate';

const chef = (more: Partial<OwnedFile>): OwnedFile => ({ type: 'chef', lengthMm: 200, ...more });
const care = (file: Partial<KitchenFile>, serviced = false) => {
  const context = contextOf(file);
  const at = serviced ? context.serviced : context;
  return (at?.problem.candidates ?? []).filter(({ owned }) => owned !== null);
};

describe('putting owned knives right', () => {
  test.each([
    ['dull', 'sharpen'],
    ['serviceable', 'sharpen'],
    ['chipped', 'repair'],
  ] as const)('a %s knife: %s', (condition, action) => {
    const [step, ...others] = care({ owned: [chef({ condition })] });
    expect(others).toEqual([]);
    expect(step?.action).toBe(action);
    expect(step?.serviceMinor).toBeUndefined();
    expect(step?.priceMinor).toBeGreaterThan(0);
  });

  test('what is keen, worn out, kept for its own sake, for the table, toothed or ceramic is left alone', () => {
    const alone: OwnedFile[] = [
      chef({ condition: 'keen' }),
      chef({ condition: 'worn-out' }),
      chef({ condition: 'dull', keep: 'keepsake' }),
      chef({ condition: 'dull', keep: 'lend' }),
      { type: 'steak', condition: 'dull' },
      { type: 'bread', condition: 'dull' },
      { type: 'paring', steel: 'ceramic', condition: 'dull' },
    ];
    for (const knife of alone) expect(care({ owned: [knife] }), JSON.stringify(knife)).toEqual([]);
  });

  test('where nobody sharpens a service keeps what is sound, and is paid beside the first sharpening of what is dull', () => {
    const habits = { sharpening: 'none', sharpeningPrice: 10 } as const;
    const at = (condition: 'keen' | 'serviceable' | 'dull') => care({ habits, owned: [chef({ condition })] }, true)[0];
    const visits = EDGE.visits.service.value;
    for (const sound of ['keen', 'serviceable'] as const) {
      expect(at(sound)?.action).toBe('service');
      expect(at(sound)?.priceMinor).toBe(visits * 1000);
      expect(at(sound)?.serviceMinor).toBe(visits * 1000);
    }
    expect(at('dull')?.action).toBe('sharpen');
    expect(at('dull')?.priceMinor).toBe(visits * 1000);
    expect(at('dull')?.serviceMinor).toBe((visits - 1) * 1000);
    expect(care({ habits, owned: [chef({ condition: 'keen' })] })).toEqual([]);
  });

  test('own stones cost little, a professional the price that was told', () => {
    const price = (habits: KitchenFile['habits']) =>
      care({ habits: { ...habits }, owned: [chef({ condition: 'dull' })] })[0]?.priceMinor ?? NaN;
    expect(price({ sharpening: 'professional', sharpeningPrice: 12 })).toBe(1200);
    expect(price({ sharpening: 'stones' })).toBeLessThan(price({ sharpening: 'professional' }));
  });
});

describe('tools', () => {
  const tools = (file: Partial<KitchenFile> = {}) =>
    contextOf(file).problem.candidates.flatMap(({ tool }) => (tool ? [tool.id] : []));

  test('a tool is offered where a task may be done with it, unless it is there or refused', () => {
    expect(tools()).toContain('peeler');
    expect(tools({ tools: ['peeler'] })).not.toContain('peeler');
    expect(tools({ limits: { never: ['peeler'] } })).not.toContain('peeler');
    expect(tools({ cooking: { tasks: [{ id: 'onion-dice', times: 1, per: 'week' }] } })).not.toContain('peeler');
  });

  test('it serves every hand alike, at no edge', () => {
    const { problem, hands, loads } = contextOf({
      cooks: [{ handLengthMm: 160 }, { handLengthMm: 205 }],
      cooksAtOnce: 2,
    });
    const peeler = problem.candidates.find(({ id }) => id === 'peeler');
    const T = loads.length;
    expect(hands).toHaveLength(2);
    expect(peeler?.edge).toBeNull();
    expect([...(peeler?.usefulness.slice(0, T) ?? [])]).toEqual([...(peeler?.usefulness.slice(T, 2 * T) ?? [1])]);
  });
});

describe('beside an owned knife', () => {
  const { buyable, owned, loads, ofFace } = contextOf({ owned: [chef({ condition: 'keen' })] });
  const counted = (counts: Counts, id: string): Candidate => {
    const found = besideOwned(buyable, owned, { loads, ofFace }, counts).find((c) => c.id === id);
    if (!found) throw new Error(`not sold: ${id}`);
    return found;
  };
  const total = ({ counted: row }: Candidate) => row.reduce((a, b) => a + b, 0);

  test('its like counts less the stricter the counting, and never more than it does', () => {
    const [rescue, well, all] = (['rescue', 'done well', 'everything'] as const).map((c) =>
      total(counted(c, 'oskavel-gyuto-210')),
    );
    expect(rescue).toBeLessThan(well ?? 0);
    expect(well).toBeLessThan(all ?? 0);
    const like = counted('rescue', 'oskavel-gyuto-210');
    like.counted.forEach((value, column) => expect(value).toBeLessThanOrEqual(like.usefulness[column] ?? 0));
    expect(like.isAgain).toBe(true);
  });

  test('another kind counts wholly but at a general knife’s work', () => {
    const paring = counted('rescue', 'ploverdale-paring-90');
    expect(paring.isAgain).toBeFalsy();
    const column = (task: string) => loads.findIndex((load) => load.task.id === task);
    const hulling = column('strawberry-hull');
    expect(paring.counted[hulling]).toBe(paring.usefulness[hulling]);
    const nothingOwned = contextOf();
    expect(nothingOwned.buyable.every((c) => c.counted === c.usefulness)).toBe(true);
  });

  test('a worn-out knife, or one kept for its own sake, stands in nobody’s way', () => {
    for (const condition of [{ condition: 'worn-out' }, { condition: 'keen', keep: 'keepsake' }] as const) {
      const at = contextOf({ owned: [chef(condition)] });
      const gyuto = at.buyable.find(({ id }) => id === 'oskavel-gyuto-210');
      expect(gyuto?.counted, JSON.stringify(condition)).toEqual(gyuto?.usefulness);
    }
  });
});

describe('what else a plan tells', () => {
  test('what stands badly is told with its best cure, heaviest first, eight at most', () => {
    const context = contextOf();
    const bad = unserved(context, []);
    expect(bad).toHaveLength(8);
    const weights = bad.map(({ task }) => context.loads.find((load) => load.task.id === task)?.weight ?? 0);
    expect([...weights].sort((a, b) => b - a)).toEqual(weights);
    for (const { why, score } of bad) {
      expect(score).toBe(0);
      expect(why).toMatch(/^Nothing here may do it; .+ at €\d+(\.\d\d)? would do it at \d+[,;] .+\.$/);
    }
    const cures = bad.map(({ why }) => why).join(' ');
    expect(cures).not.toMatch(/\ba (kitchen shears|fish tweezers)/);
    const packets = contextOf({ cooking: { mealsPerWeek: 0, tasks: [{ id: 'packet-open', times: 20, per: 'week' }] } });
    expect(unserved(packets, [])[0]?.why).toContain('kitchen shears at');
    const seldom = contextOf({ cooking: { tasks: [{ id: 'ham-thin', times: 5, per: 'year', amount: 9 }] } });
    expect(unserved(seldom, []).find(({ task }) => task === 'ham-thin')?.why).toContain(
      'borrowing or a workaround may do',
    );
    const named = contextOf({
      limits: { never: ['oyster'] },
      cooking: { tasks: [{ id: 'oyster-open', times: 1, per: 'week' }] },
    });
    expect(unserved(named, [])[0]?.why).toContain('what would do it is ruled out by name');
    // what is hardly ever done is missed only where it matters
    const rare = (matters: number) =>
      contextOf({ cooking: { mealsPerWeek: 0, tasks: [{ id: 'ham-thin', times: 1, per: 'year', matters }] } });
    expect(unserved(rare(1), [])).toEqual([]);
    expect(unserved(rare(3), [])).toHaveLength(1);
  });

  test('worn out, never used, or dull and rarely used: given away where no task goes to it and nobody holds on to it', () => {
    const keen = chef({ condition: 'keen' });
    const given = (knife: Partial<OwnedFile>) =>
      retirements(contextOf({ owned: [keen, { type: 'chef', lengthMm: 180, ...knife }] }), [], 0.5).map(
        ({ owned }) => owned,
      );
    expect(given({ condition: 'worn-out' })).toEqual([1]);
    expect(given({ condition: 'dull', use: 'rarely' })).toEqual([1]);
    expect(given({ condition: 'dull', use: 'weekly' })).toEqual([]);
    expect(given({ condition: 'worn-out', keep: 'keepsake' })).toEqual([]);
    expect(given({ condition: 'worn-out', keep: 'lend' })).toEqual([]);
  });

  test('a service tells how many knives, how often, for how much, and what it gives back', () => {
    const context = contextOf({ habits: { sharpening: 'none', sharpeningPrice: 10 } });
    const knives = (context.serviced?.buyable ?? []).filter((c) => (c.serviceMinor ?? 0) > 0).slice(0, 2);
    const step = serviceStep(context, knives, 0.4, 0.65);
    expect(step.price).toBe(2 * EDGE.visits.service.value * 10);
    expect(step.gain).toBe(0.25);
    expect(step.worth).toBeCloseTo(25 - (100 * step.price) / context.problem.scale.pointMinor, 2);
    expect(step.because[0]).toContain(
      `2 knives sharpened ${EDGE.visits.service.value} times a year cost €40 a year and give back 25.0 points`,
    );
  });
});
