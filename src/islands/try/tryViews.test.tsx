import { createRef } from 'react';
import type { Remote } from 'comlink';
import { describe, expect, test } from 'vitest';
import { handChecks } from '../../../data/handChecks';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { BenchTrialFile, HandTestFile } from '../../core/formats/trialsFile';
import { preparePlanning } from '../../core/kit/context/planningContext';
import { firstPlan } from '../../core/kit/plan/planKitchen';
import { checksFor } from '../../core/trial/handTest';
import { fileOf } from '../../core/testing/trade';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { foodsFor } from '../../workers/trying';
import { nameless, ODD, shown } from '../testing/shown';
import { FoodResult } from './FoodResult';
import { FoodsToTry } from './FoodsToTry';
import { HandVerdict, inThePlan } from './HandVerdict';
import { holderOf } from './handTests';
import { HeldTable } from './HeldTable';

const nothing = () => undefined;
const catalogue = new Map(shippedModels.map((model) => [model.id, model]));
const [some] = shippedModels;
const good = {
  settle: 'at-once',
  bite: 'nothing',
  fill: 'fills',
  built: 'tight',
  balance: 'forward',
  knuckles: 'clear',
  reach: 'easily',
  after: 'pleases',
};
const held = (answers: Record<string, string>, more: Partial<HandTestFile> = {}): HandTestFile => ({
  on: '2031-04-02',
  model: some?.id,
  answers,
  ...more,
});

describe('a knife held', () => {
  const verdictOf = (test: HandTestFile, kitchen: KitchenFile = fileOf()) => {
    const holder = holderOf(kitchen, test);
    return shown(
      <HandVerdict
        {...{ kitchen, test, holder }}
        checks={checksFor(handChecks, holder, undefined)}
        heading={createRef<HTMLHeadingElement>()}
        onChange={nothing}
      />,
    );
  };

  test('one thing that rules it out is the verdict, whatever else pleases', () => {
    const view = verdictOf(held({ ...good, bite: 'bites' }));
    expect(view.wordsOf('h2')).toEqual(['Walk away']);
    expect(view.words).toContain('In its favour');
    expect(nameless(view)).toEqual([]);
  });

  test('conditions are listed, one a line', () => {
    const view = verdictOf(held({ ...good, fill: 'gap', wet: 'slides' }));
    expect(view.wordsOf('h2')).toEqual(['Only if']);
    expect(view.wordsOf('li').length).toBeGreaterThanOrEqual(2);
    for (const line of view.wordsOf('li')) expect(line.length).toBeGreaterThan(10);
  });

  test('nothing against it is a good sign; too few answers are not finished', () => {
    expect(verdictOf(held(good)).wordsOf('h2')).toEqual(['A good sign']);
    expect(verdictOf(held({ settle: 'at-once' })).wordsOf('h2')).toEqual(['Not finished']);
  });

  test('a left hand is asked whom it is ground for', () => {
    const left = fileOf({ cooks: [{ handed: 'left' }] });
    expect(verdictOf(held({ ...good, left: 'right' }), left).wordsOf('h2')).toEqual(['Walk away']);
    expect(verdictOf(held({ ...good, left: 'right' })).wordsOf('h2')).toEqual(['A good sign']);
  });

  test('what it changes in the plan is told, or why it changes nothing', () => {
    expect(inThePlan(held(good, { model: undefined }), null)).toMatch(/add it under All knives/);
    expect(inThePlan(held(good), null)).toMatch(/Working out/);
    expect(inThePlan(held(good), [])).toBe('The plan stays as it was.');
    expect(inThePlan(held(good), ['Longer', 'New: buy'])).toBe('In the plan: Longer. New: buy.');
  });
});

describe('knives held, side by side', () => {
  const label = { name: 'Nameless from the fair', type: 'gyuto' };
  const table = (tests: HandTestFile[], kitchen: KitchenFile = fileOf({ currency: 'GBP' })) =>
    shown(<HeldTable {...{ kitchen, tests, catalogue }} onOpen={nothing} onRemove={nothing} />);

  test('a column a knife and a row a check that was answered for any', () => {
    const view = table([held({ bite: 'bites' }), held({ settle: 'at-once' }, { model: undefined, label })]);
    expect(view.wordsOf('thead th')).toHaveLength(3);
    expect(view.wordsOf('tbody th')).toEqual(['Verdict', 'Take it', 'Does it bite?', 'Held']);
    expect(view.wordsOf('tbody tr:nth-child(3) td')).toContain('–');
    expect(view.buttons).toContain('Take out: Nameless from the fair');
    expect(view.words).not.toMatch(ODD);
  });

  test('where, for how much and by whom stands with it; a length only where the label says one', () => {
    const two = fileOf({ currency: 'GBP', cooks: [{ name: 'Wren' }, {}] });
    const view = table([held(good, { place: 'the quay shop', asked: 85.5, cook: 1 })], two);
    expect(view.words).toContain('2 Apr 2031, the quay shop, £85.50, by Cook 2');
    const short = table([held(good, { model: undefined, label })]).words;
    expect(short).toContain('gyuto by its label');
    const long = table([held(good, { model: undefined, label: { ...label, lengthMm: 210 } })]).words;
    expect(long).toContain('gyuto, 210 mm by its label');
  });
});

describe('a trial on food', () => {
  const tasks = ['onion-dice', 'carrot-slice', 'tomato-slice', 'herb-mince', 'potato-dice', 'squash-break'];
  const rated = (task: string, knife: number, mark: number) => ({
    task,
    knife,
    effort: mark,
    control: mark,
    result: mark,
  });
  const trial = (marks: readonly [number, number], more: Partial<BenchTrialFile> = {}): BenchTrialFile => ({
    on: '2031-05-01',
    knives: [{ model: some?.id }, { owned: 0 }],
    tasks,
    runs: tasks.flatMap((task) => marks.map((mark, knife) => rated(task, knife, mark))),
    ...more,
  });
  const file = fileOf({ owned: [{ type: 'chef', condition: 'keen' }] });
  const context = preparePlanning(file, reference, shippedModels);
  const answer = {
    ...firstPlan(context),
    served: [],
    owned: [],
    milliseconds: 1,
    final: false,
    stopped: false,
    proofChanged: [],
  };
  const result = (of: BenchTrialFile, kitchen: KitchenFile = file) =>
    shown(
      <FoodResult
        {...{ kitchen, answer }}
        trial={of}
        names={['Heron gyuto', 'Your chef’s knife']}
        worker={{} as Remote<KitchenWorker>}
        onAgain={null}
        onUndo={nothing}
        onLeave={nothing}
      />,
    );

  test('says which is better and by how much, food by food', () => {
    const view = result(trial([5, 2]));
    expect(view.words).toMatch(/Heron gyuto is better by \d+ points? over \d foods/);
    expect(view.wordsOf('tbody th')).toHaveLength(tasks.length);
    for (const winner of view.wordsOf('tbody td:last-child')) expect(winner).toBe('Heron gyuto');
    expect(view.pictures[0]).toMatch(/^Between -?\d+ and -?\d+ points$/);
    expect(result(trial([2, 5])).words).toMatch(/Your chef’s knife is better by/);
    expect(view.words).not.toMatch(ODD);
  });

  test('alike is told as alike, and what was not tried as a dash', () => {
    const view = result(trial([4, 4]));
    expect(view.words).toContain('they are alike');
    expect(view.wordsOf('tbody td:last-child')).toContain('alike');
    const half = trial([4, 4]);
    expect(result({ ...half, runs: half.runs.slice(0, 3) }).wordsOf('tbody td')).toContain('–');
  });

  test('an unsafe moment is told first of all, and no score makes up for it', () => {
    const of = trial([5, 3]);
    const runs = of.runs.map((run, i) => (i < 3 ? { ...run, unsafe: true } : run));
    const alert = result({ ...of, runs }).wordsOf('[role=alert]');
    expect(alert[0]).toMatch(/^Unsafe moments: Heron gyuto 2, Your chef’s knife 1\. No score makes up for that\.$/);
    expect(result(of).wordsOf('[role=alert]')).toEqual([]);
  });

  test('where measured scores are switched off it says that nothing counts', () => {
    expect(result(trial([5, 2]), { ...file, trials: { measuredCounts: false } }).words).toContain('switched off');
  });

  test('six of the foods that tell most are taken in, and nothing is said of what the figures expect', () => {
    const foods = foodsFor(context, 0, [{ model: some?.id }, { owned: 0 }], []);
    const view = shown(<FoodsToTry foods={foods} names={['One', 'Other']} onBegin={nothing} />);
    expect(view.buttons).toEqual(['Begin: 6 foods, 12 runs']);
    expect(view.wordsOf('td.figure')).toEqual([]);
    expect(view.words).not.toContain('expected');
    const meters = view.page
      .querySelectorAll('[role=meter]')
      .map((meter) => Number(meter.getAttribute('aria-valuenow')));
    expect(meters[0]).toBe(100);
    // each is what it tells beside those before it, so a later one may tell a little more than its neighbour
    expect(meters.every((value, i) => value <= (meters[i - 1] ?? 100) + 5)).toBe(true);
    expect(view.page.querySelectorAll('input[checked]')).toHaveLength(6);
    expect(nameless(view)).toEqual([]);
  });
});
