import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { DiaryEntry } from '../../core/formats/diaryFile';
import { DEEDS } from '../../core/formats/kitchenWords';
import { preparePlanning } from '../../core/kit/context/planningContext';
import { firstPlan } from '../../core/kit/plan/planKitchen';
import { fileOf } from '../../core/testing/trade';
import { edgesOf } from '../../workers/edges';
import { nameless, ODD, shown } from '../testing/shown';
import { Deeds } from './Deeds';
import { DEED_WORDS, Diary } from './Diary';
import FiveYears from './FiveYears';
import { TestEdge } from './TestEdge';
import { YearView } from './YearView';

const FROM = '2031-03-10';
const nothing = () => undefined;
const file = fileOf({
  owned: [
    { type: 'gyuto', lengthMm: 210, condition: 'keen', sharpenedOn: '2031-01-05' },
    { type: 'bread', condition: 'keen' },
    { type: 'petty', lengthMm: 140, steel: 'plain-carbon', condition: 'keen' },
  ],
  budget: { total: 0 },
  habits: { sharpening: 'stones', honing: 'ceramic' },
});
const context = preparePlanning(file, reference, shippedModels);
const edges = edgesOf(context, firstPlan(context).plan, FROM, 12);
const knives = edges.knives.map(({ ref, name }) => ({ ref, name }));

describe('the year at a glance', () => {
  const year = shown(<YearView events={edges.report.events} knives={knives} from={FROM} />);

  test('has twelve months from the first, and a mark in the month of every sharpening, oiling and replacement', () => {
    expect(year.wordsOf('thead th')).toHaveLength(13);
    const marks = year.page.querySelectorAll('td [data-action]').map((mark) => mark.getAttribute('data-action'));
    const due = edges.report.events.filter(
      ({ action, date }) => ['sharpen', 'oil', 'replace'].includes(action) && date < '2032-03',
    );
    expect(due.length).toBeGreaterThan(0);
    expect(marks).toHaveLength(due.length);
    for (const action of new Set(due.map((event) => event.action)))
      expect(marks.filter((mark) => mark === action)).toHaveLength(
        due.filter((event) => event.action === action).length,
      );
  });

  test('says each mark with its day for who does not see it', () => {
    for (const said of year.wordsOf('td .visually-hidden'))
      expect(said).toMatch(/^(sharpen|oil|replace), \d+ \w+ 203\d$/);
    expect(nameless(year)).toEqual([]);
  });

  test('leaves out knives nothing is due for, and is not there when nothing is due at all', () => {
    const rows = year.wordsOf('tbody th');
    for (const { ref, name } of knives)
      expect(rows.includes(name)).toBe(
        edges.report.events.some(
          (event) => event.ref === ref && event.action !== 'flatten' && event.action !== 'visit',
        ),
      );
    const late = [{ ref: 'owned-0', action: 'sharpen' as const, date: '2032-03-05', why: '' }];
    expect(shown(<YearView events={late} knives={knives} from={FROM} />).words).toBe('');
    expect(shown(<YearView events={[]} knives={knives} from={FROM} />).words).toBe('');
  });
});

describe('the diary', () => {
  const entry = (did: DiaryEntry['did'], more: Partial<DiaryEntry> = {}): DiaryEntry => ({
    on: FROM,
    knife: 0,
    did,
    ...more,
  });
  const said = (entries: readonly DiaryEntry[], cooks: { name?: string }[] = []) =>
    shown(<Diary diary={entries} cooks={cooks} names={knives.map(({ name }) => name)} onChange={nothing} />);

  test('has a word for every deed, and each entry can be changed', () => {
    for (const did of DEEDS) {
      const diary = said([entry(did)]);
      expect(diary.wordsOf('li')[0]).toContain(DEED_WORDS[did]);
      expect(diary.buttons[0]).toMatch(/^Change: Gyuto, 210 mm, /);
    }
  });

  test.each<[Partial<DiaryEntry> & { did: DiaryEntry['did'] }, string]>([
    [
      { did: 'sharpened', by: 'stones', stones: '1000, 4000', angleDeg: 14 },
      'sharpened, on own stones, (1000, 4000), to 14°',
    ],
    [{ did: 'sharpened', by: 'professional' }, 'sharpened, by a professional'],
    [{ did: 'chipped', task: 'squash-break' }, 'chipped, on: break down squash'],
    [{ did: 'tested', test: 'thread', grams: 140 }, 'tested, a thread over the scale: 140 g'],
    [{ did: 'tested', test: 'tomato', result: 'catches' }, 'tested, tomato skin: catches'],
    [{ did: 'measured', heelHeightMm: 47.2 }, 'measured at the heel, 47.2 mm'],
    [{ did: 'used', minutes: 12, note: 'leeks for forty' }, 'used, 12 min, “leeks for forty”'],
  ])('%o is told as %s', (told, words) => {
    expect(said([entry(told.did, told)]).wordsOf('li')[0]).toContain(words);
  });

  test('says who did it only where there are several', () => {
    const by = [entry('honed', { cook: 1 })];
    expect(said(by, [{ name: 'Orla' }, {}]).words).toContain('by Cook 2');
    expect(said([entry('honed', { cook: 0 })], [{ name: 'Orla' }]).words).not.toContain('Orla');
  });

  test('tells the newest first, of one day the one written last, thirty at a time', () => {
    const days = Array.from({ length: 40 }, (_, i) =>
      entry('used', { on: `2031-0${1 + (i % 3)}-1${i % 10}`, note: `no ${i}` }),
    );
    const diary = said(days);
    const on = diary.page.querySelectorAll('time').map((time) => time.getAttribute('datetime') ?? '');
    expect(on).toEqual([...on].sort().reverse());
    expect(on).toHaveLength(30);
    expect(diary.words).toContain('40 of 40 entries');
    expect(diary.buttons).toContain('Show older ones');
    const two = said([entry('honed', { note: 'first' }), entry('honed', { note: 'second' })]).wordsOf('li');
    expect(two[0]).toContain('second');
  });

  test('without an entry tells what it is for', () => {
    expect(said([]).words).toContain('Nothing recorded yet');
  });
});

test('five years of every way of sharpening: what it costs, eats and leaves, in the kitchen’s money', () => {
  const years = shown(<FiveYears edges={edges} currency="EUR" habits={file.habits ?? {}} onHabits={nothing} />);
  const rows = years.page
    .querySelectorAll('tbody tr')
    .map((row) => row.querySelectorAll('td').map((cell) => cell.text));
  expect(rows).toHaveLength(edges.report.fiveYears.length);
  edges.report.fiveYears.forEach(({ replaced, heightLostMm, averageKeenness }, i) => {
    expect(rows[i]?.[0]).toMatch(/^€/);
    expect(rows[i]?.[1]).toBe(replaced === 0 ? 'none' : String(replaced));
    expect(rows[i]?.[2]).toBe(`${heightLostMm.toFixed(1)} mm`);
    expect(rows[i]?.[3]).toBe(`${Math.round(100 * averageKeenness)}%`);
  });
  expect(years.words).not.toMatch(ODD);
  expect(nameless(years)).toEqual([]);
});

describe('what was done to a knife', () => {
  const deeds = (of: Partial<Parameters<typeof Deeds>[0]>) =>
    shown(<Deeds name="Gyuto" stone={null} keenness={0.7} honed sharpens by="stones" onDone={nothing} {...of} />);

  test('is one press, named with its knife; only what may be done is offered', () => {
    expect(deeds({}).buttons).toEqual(['Honed: Gyuto', 'Sharpened today: Gyuto', 'Test it: Gyuto', 'More: Gyuto']);
    expect(deeds({ honed: false, sharpens: false }).buttons).toEqual(['Test it: Gyuto', 'More: Gyuto']);
    expect(deeds({ stone: '/stone' }).page.querySelector('a')?.text).toBe('At the stone');
    expect(deeds({ stone: null }).page.querySelector('a')).toBeNull();
  });

  test('a test never is on a finger', () => {
    const edge = shown(<TestEdge keenness={0.7} onTested={nothing} />);
    expect(edge.words).toContain('never on a finger');
    expect(edge.buttons).toHaveLength(4);
    expect(edge.buttons.join()).not.toMatch(/finger|nail|hair|skin of the/i);
  });
});
