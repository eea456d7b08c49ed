import { describe, expect, test } from 'vitest';
import type { Remote } from 'comlink';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { planFrom } from '../../core/kit/plan/plan';
import { contextOf, fileOf, modelNamed, traitsOf } from '../../core/testing/trade';
import { explain } from '../../core/fit/explain';
import { prepareTask } from '../../core/fit/score';
import { taskNamed } from '../../core/testing/trade';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { matchOf } from '../../workers/stock';
import Arrange from '../kitchen/Arrange';
import Locks from '../kitchen/Locks';
import { MatchStory } from '../match/MatchStory';
import { Hero, Samples } from '../start/Hero';
import { nameless, ODD, shown } from '../testing/shown';
import { GripDrawing, GRIPS } from './GripDrawing';
import { MotionDrawing, MOTIONS } from './MotionDrawing';
import { Picks } from './Picks';
import { ScoreParts } from './ScoreParts';
import { ToolChips } from './ToolChips';
import { WhatChanged } from './WhatChanged';

const nothing = () => undefined;
const catalogue = new Map(shippedModels.map((model) => [model.id, model]));
const gyuto = modelNamed('oskavel-gyuto-210');

describe('a score taken apart', () => {
  const partsOf = (id: string, task: string) =>
    shown(<ScoreParts explanation={explain(traitsOf(id), prepareTask(taskNamed(task)), contextOf().cooks)} />);

  test('lists what takes something away, the most first, and counts the rest', () => {
    const view = partsOf('quillback-paring-80', 'squash-break');
    const kept = view.wordsOf('li .figure').map((said) => parseInt(said, 10));
    expect(kept.length).toBeGreaterThan(2);
    expect(kept).toEqual([...kept].sort((a, b) => a - b));
    expect(Math.max(...kept)).toBeLessThanOrEqual(99);
    const { parts } = explain(
      traitsOf('quillback-paring-80'),
      prepareTask(taskNamed('squash-break')),
      contextOf().cooks,
    );
    const others = parts.length - kept.length;
    expect(view.words).toContain(others === 1 ? 'Nothing lost on one other part' : `Nothing lost on ${others} others`);
    expect(view.words).not.toMatch(ODD);
  });

  test('says no more than why where it must not be done', () => {
    const view = partsOf('quillback-paring-80', 'ribs-chop');
    expect(view.words).toMatch(/^Do not: /);
    expect(view.wordsOf('li')).toEqual([]);
  });
});

describe('what was decided by hand', () => {
  const view = (limits: KitchenFile['limits'], orderCosts?: number) => {
    const kitchen = fileOf({ limits, budget: { total: 200 } });
    const plan = {
      ...planFrom(contextOf({ budget: { total: 200 } })),
      ...(orderCosts === undefined ? {} : { orderCosts }),
    };
    return shown(<Locks {...{ kitchen, plan, catalogue }} update={nothing} />);
  };

  test('is let go piece by piece, by name and not by id', () => {
    const { buttons } = view({ must: ['gyuto', 'oskavel-gyuto-210'], never: ['serrated-utility'] });
    expect(buttons).toHaveLength(3);
    expect(buttons[0]).toBe('Let go: Must have: Gyuto');
    expect(buttons[1]).toBe(`Let go: Must have: ${gyuto.name}`);
    expect(buttons[2]).toMatch(/^Let go: Never: (?!serrated-utility)/);
    expect(view({}).buttons).toEqual([]);
  });

  test('an order of one’s own says what it gives up on the way', () => {
    expect(view({ order: ['oskavel-gyuto-210'] }, 0).words).toContain('It costs nothing.');
    expect(view({ order: ['oskavel-gyuto-210'] }, 0.0214).words).toContain('costs 2.1 points');
  });
});

test('steps are put in order by keys as well: each has its moves and its lock, and the ends have no further to go', () => {
  const plan = planFrom(contextOf({ budget: { total: 260 } }));
  const [first] = plan.steps.flatMap(({ model }) => model ?? []);
  const view = shown(<Arrange plan={plan} must={[first ?? '']} update={nothing} />);
  expect(view.page.querySelectorAll('li').length).toBe(plan.steps.length);
  expect(nameless(view)).toEqual([]);
  const disabled = view.page
    .querySelectorAll('button[disabled]')
    .map((button) => button.getAttribute('aria-label') ?? '');
  expect(disabled.filter((name) => /earlier|up/i.test(name))).toHaveLength(1);
  expect(disabled.filter((name) => /later|down/i.test(name))).toHaveLength(1);
  expect(view.words).not.toMatch(ODD);
});

describe('beside the match', () => {
  const context = contextOf({ owned: [{ type: 'chef', condition: 'keen' }] });
  const table = matchOf(context);
  const story = (picked: Parameters<typeof MatchStory>[0]['picked']) => {
    const asked: string[] = [];
    // an answer that never comes: what is told at once is read
    const worker = new Proxy(
      {},
      { get: (_, name) => () => (asked.push(String(name)), new Promise(nothing)) },
    ) as Remote<KitchenWorker>;
    return shown(<MatchStory {...{ table, picked, worker }} kitchenId="k" onPick={nothing} />);
  };
  const row = table.rows.findIndex(({ id }) => id === 'onion-dice');
  const column = table.columns.findIndex(({ blade }) => blade.id === gyuto.id);

  test('a cell names blade, task and score before its parts are there', () => {
    const view = story({ row, column });
    expect(view.wordsOf('h2')).toEqual([`${gyuto.name}, ${gyuto.maker}`]);
    expect(view.words).toContain(`Dice onions: ${Math.floor(table.scores[column * table.tasks + row] ?? 0)}`);
    expect(view.words).toContain('Working it out…');
    expect(view.page.querySelectorAll('a').map((a) => a.getAttribute('href'))).toEqual([
      `/kitchens/k/blades/${gyuto.id}`,
      `/kitchens/k/compare?blades=${gyuto.id}`,
    ]);
  });

  test('one’s own knife is called that, without a price or a sheet', () => {
    const view = story({ row: null, column: 0 });
    expect(view.wordsOf('h2')).toEqual(["Your chef's knife"]);
    expect(view.page.querySelectorAll('a')).toEqual([]);
    expect(view.words).toMatch(/Alone it would cover \d+% of this kitchen’s cutting/);
  });

  test('a task tells its minutes here, or that it is not cut here', () => {
    expect(story({ row, column: null }).words).toMatch(/min a week here/);
    const idle = table.rows.findIndex(({ minutesPerWeek }) => minutesPerWeek === 0);
    expect(story({ row: idle, column: null }).words).toContain('Not cut in this kitchen.');
  });
});

describe('pieces that are drawn everywhere', () => {
  test('grips and motions of any hand are finite, and all have words', () => {
    for (const grip of GRIPS)
      for (const hand of [
        { lengthMm: 140, breadthMm: 60 },
        { lengthMm: 230, breadthMm: 110 },
      ]) {
        const view = shown(<GripDrawing {...{ grip, hand }} blade={gyuto} />);
        expect(view.page.toString()).not.toMatch(/NaN|Infinity/);
        expect(grip.about.length).toBeGreaterThan(20);
      }
    for (const motion of MOTIONS)
      expect(shown(<MotionDrawing motion={motion} blade={gyuto} />).page.toString()).not.toMatch(/NaN|Infinity/);
  });

  test('one of a few is a group of radio cards, one chosen', () => {
    const options = [
      { value: 'a', name: 'One', about: 'first' },
      { value: 'b', name: 'Other' },
    ];
    const view = shown(<Picks label="Which?" value="b" options={options} onChange={nothing} />);
    const cards = view.page.querySelectorAll('[role=radio]');
    expect(cards.map((card) => card.getAttribute('aria-checked'))).toEqual(['false', 'true']);
    expect(view.page.querySelector('[role=radiogroup]')).not.toBeNull();
  });

  test('tools are chips by their names, those that are there pressed', () => {
    const tools = [...reference.tools.keys()].slice(0, 4);
    const view = shown(
      <ToolChips kitchen={fileOf({ tools: tools.slice(0, 1) })} update={nothing} tools={tools} className="" />,
    );
    expect(view.page.querySelectorAll('input[checked]')).toHaveLength(1);
    for (const id of tools) expect(view.words).toContain(reference.tools.get(id)?.name);
  });

  test('the first page says what it is for, and opens a sample by its name unless it is busy', () => {
    const hero = shown(<Hero shown={[gyuto]}>start</Hero>);
    expect(hero.wordsOf('h1')).toHaveLength(1);
    expect(hero.pictures).toHaveLength(1);
    expect(shown(<Hero shown={[]}>start</Hero>).pictures).toEqual([]);
    const samples = (busy: boolean) =>
      shown(<Samples samples={[{ id: 's', name: 'Mill flat', about: 'two who rock' }]} busy={busy} />);
    expect(samples(false).buttons).toEqual(['Mill flat two who rock']);
    expect(samples(true).page.querySelector('button')?.hasAttribute('disabled')).toBe(true);
  });

  test('nothing is called an answer before there was one', () => {
    expect(shown(<WhatChanged plan={null} />).words).toContain('Change an answer');
    expect(shown(<WhatChanged plan={planFrom(contextOf())} />).words).toContain('Change an answer');
  });
});
