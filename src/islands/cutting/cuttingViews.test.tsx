import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { languages, lexicon } from '../../../data/foods';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { preparePlanning } from '../../core/kit/context/planningContext';
import { readRecipe } from '../../core/recipe/recipe';
import { wildKitchen } from '../../core/testing/arbitrary';
import { contextOf, fileOf, traitsOf } from '../../core/testing/trade';
import { cuttingOf, knownDishes, knownTasks } from '../../workers/stock';
import { cutOf } from '../../workers/trying';
import { Stage, viewOf } from '../cut/Stage';
import { nameless, ODD, shown } from '../testing/shown';
import { Dishes } from './Dishes';
import { LoadView } from './LoadView';
import { Review, sorted, STANDINGS } from './recipes/Review';

const nothing = () => undefined;
const known = knownDishes();
const tasks = knownTasks();

describe('the week in cutting', () => {
  test('of any kitchen is told by kind and by task, most minutes first', () => {
    fc.assert(
      fc.property(wildKitchen, (file) => {
        const cutting = cuttingOf(preparePlanning(file, reference, shippedModels));
        const view = shown(<LoadView cutting={cutting} />);
        expect(view.words).not.toMatch(ODD);
        expect(nameless(view)).toEqual([]);
        expect(view.page.querySelectorAll('summary')).toHaveLength(cutting.loads.length);
        const told = view.wordsOf('summary .figure').map(parseFloat);
        told.forEach((minutes, i) => expect(minutes).toBeLessThanOrEqual((told[i - 1] ?? Infinity) + 0.5));
      }),
      { numRuns: 10 },
    );
  });

  test('says what is not eaten and so not cut, and nothing of it where all is eaten', () => {
    const view = (avoids: KitchenFile['avoids']) =>
      shown(<LoadView cutting={cuttingOf(contextOf({ avoids, cooking: { cuisines: [{ id: 'grill-and-roast' }] } }))} />)
        .words;
    expect(view(['meat'])).toMatch(/What is not eaten here took away \d+ dishes of the menus/);
    expect(view([])).not.toContain('took away');
  });

  test('traces each task to its dishes, a dozen at most', () => {
    const cutting = cuttingOf(contextOf());
    const view = shown(<LoadView cutting={cutting} />);
    const [most] = [...cutting.loads].sort((a, b) => b.minutesPerWeek - a.minutesPerWeek);
    const [first] = view.page.querySelectorAll('details');
    const lines = first?.querySelectorAll('li').map((line) => line.text) ?? [];
    expect(lines.length).toBe(Math.min(13, most?.from.length ?? 0));
    if ((most?.from.length ?? 0) > 12) expect(lines.at(-1)).toMatch(/^and \d+ more dishes$/);
  });
});

describe('dishes one by one', () => {
  const dish = known.find(({ contains }) => contains.includes('meat'));
  if (!dish) throw new Error('no dish with meat');
  const list = (file: Partial<KitchenFile>) => shown(<Dishes kitchen={fileOf(file)} update={nothing} known={known} />);

  test('a dish of what is not eaten here says that it does not count', () => {
    const dishes = [{ id: dish.id, times: 2, per: 'month' as const }];
    expect(list({ cooking: { dishes }, avoids: ['meat'] }).words).toContain('not counted: meat is not eaten here');
    expect(list({ cooking: { dishes } }).words).not.toContain('not counted');
  });

  test('portions are the kitchen’s until a dish has its own; a season is opened where there is one', () => {
    const dishes = [
      { id: dish.id, times: 1, per: 'week' as const, months: [5, 6] },
      { id: known[3]?.id ?? '', times: 1, per: 'week' as const, portions: 12 },
    ];
    const view = list({ cooking: { dishes, portions: 3 } });
    const portions = view.page.querySelectorAll('input').map((input) => input.getAttribute('value'));
    expect(portions).toEqual(expect.arrayContaining(['3', '12']));
    expect(view.page.querySelectorAll('[role=group]').map((group) => group.getAttribute('aria-label'))).toEqual([
      `Months in which ${dish.name} is cooked`,
    ]);
    expect(nameless(view)).toEqual([]);
  });

  test('one’s own dish can be forgotten, a shipped one only taken off the list', () => {
    const own = { id: 'own-pie', name: 'Leek pie', tasks: [{ id: 'onion-dice', amount: 2 }] };
    const dishes = [own.id, dish.id].map((id) => ({ id, times: 1, per: 'week' as const }));
    const { buttons } = list({ cooking: { dishes, ownDishes: [own] } });
    expect(buttons).toEqual(expect.arrayContaining(['Remove Leek pie', 'Forget Leek pie', `Remove ${dish.name}`]));
    expect(buttons).not.toContain(`Forget ${dish.name}`);
  });
});

describe('a recipe before it is kept', () => {
  const knowledge = { lexicon, languages, tasks: reference.tasks };
  const readingOf = (text: string, more: object = {}) => {
    const { name, portions, lines, unread } = readRecipe(text, knowledge);
    const often = { times: 1, per: 'week', instead: true };
    return { name: name ?? '', portions, lines, unread, often, ...more } as Parameters<typeof sorted>[0];
  };
  const review = (reading: Parameters<typeof sorted>[0]) =>
    shown(
      <Review
        {...{ reading, tasks }}
        onChange={nothing}
        correct={(line) => Promise.resolve(line)}
        forget={() => Promise.resolve()}
      />,
    );
  const mixed = '2 onions, diced\n900 kg carrots, sliced\n500 ml stock\nqwrt zzx\n3 kohlrabi, diced';

  test('every line stands in one group, by how far it was understood', () => {
    const reading = readingOf(mixed);
    const groups = sorted(reading);
    const all = STANDINGS.flatMap(({ id }) => groups[id].map(({ line }) => line.line));
    expect([...all].sort()).toEqual(mixed.split('\n').sort());
    expect(groups.cut.map(({ line }) => line.line)).toContain('2 onions, diced');
    expect(groups.ask.map(({ line }) => line.line)).toEqual(['900 kg carrots, sliced']);
    expect(groups.none.map(({ line }) => line.line)).toEqual(['500 ml stock']);
    expect(groups.unread.map(({ line }) => line.line)).toEqual(['qwrt zzx']);
  });

  test('groups are told with their number, empty ones left out, and each line has its task to pick', () => {
    const view = review(readingOf(mixed));
    const groups = view.page.querySelectorAll('[data-standing]').map((group) => group.getAttribute('aria-label'));
    expect(groups[0]).toBe('Not understood: 1');
    expect(groups).toContain('Is the amount right?: 1');
    for (const line of mixed.split('\n')) expect(view.page.toString()).toContain(`Task of: ${line}`);
    expect(review(readingOf('2 onions, diced')).page.querySelectorAll('[data-standing]')).toHaveLength(1);
    expect(view.words).not.toMatch(ODD);
  });

  test('another language is named, and where it is not read that is said', () => {
    expect(review(readingOf(mixed, { language: 'de' })).words).toContain('Read from German.');
    expect(review(readingOf('qwrt zzx', { language: 'sv', lines: [] })).words).toContain(
      'This is Swedish. English and German are read',
    );
    expect(review(readingOf(mixed)).words).not.toContain('Read from');
  });
});

test('a cut is drawn from beginning to end in one view that holds all of it, side by side at one scale', () => {
  const context = contextOf();
  const cuts = ['oskavel-gyuto-210', 'quillback-paring-80'].flatMap(
    (id) => cutOf(context, traitsOf(id), 'onion-dice') ?? [],
  );
  expect(cuts).toHaveLength(2);
  const view = viewOf(cuts);
  for (const cut of cuts) {
    const own = viewOf([cut]);
    expect(view.left).toBeLessThanOrEqual(own.left);
    expect(view.right).toBeGreaterThanOrEqual(own.right);
    for (const at of [0, 0.37, 1]) {
      const stage = shown(<Stage {...{ cut, view, at }} />);
      expect(stage.page.toString()).not.toMatch(/NaN|undefined|Infinity/);
      expect(stage.pictures).toEqual([`${cut.blade.name}: the cut from the side and from the front`]);
    }
  }
});
