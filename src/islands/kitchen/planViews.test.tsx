import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { PlanStep } from '../../core/formats/planFile';
import { shownPlanOf } from '../../core/formats/shownPlan';
import { preparePlanning } from '../../core/kit/context/planningContext';
import { servedBy } from '../../core/kit/plan/assignment';
import { stepsOf } from '../../core/kit/plan/plan';
import { firstPlan } from '../../core/kit/plan/planKitchen';
import { wildKitchen } from '../../core/testing/arbitrary';
import { fileOf } from '../../core/testing/trade';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import type { Remote } from 'comlink';
import { MiniRoll } from '../shared/MiniRoll';
import type { Answer, Sure } from '../shared/usePlanner';
import { shownPlanParts } from '../shown/shownPlanHtml';
import { nameless, ODD, shown } from '../testing/shown';
import BesidesThePlan from './BesidesThePlan';
import { CoverageBar } from './CoverageBar';
import CoverageStrip from './CoverageStrip';
import { kitInWords } from './kitInWords';
import { Next } from './Next';
import { Roll } from './Roll';
import StepStory from './StepStory';

const catalogue = new Map(shippedModels.map((model) => [model.id, model]));
// only what is pressed asks the worker
const worker = {} as Remote<KitchenWorker>;
const update = () => undefined;

/** The first answer of a kitchen, as its page has it. */
function answerOf(file: KitchenFile): Answer {
  const { plan, context } = firstPlan(preparePlanning(file, reference, shippedModels));
  return {
    plan,
    served: servedBy(context, stepsOf(context, plan)),
    owned: context.owned.map(({ blade }) => blade.blade),
    milliseconds: 1,
    final: false,
    stopped: false,
    proofChanged: [],
  };
}

const story = (answer: Answer, step: PlanStep, sure: Sure | null = null) =>
  shown(
    <StepStory
      {...{ step, sure, catalogue, worker, update }}
      currency={answer.plan.currency}
      plan={answer.plan}
      ready={false}
      isDrawerFull={false}
      shop="/kitchens/k/shop"
      onDone={update}
      onClose={update}
    />,
  );

const rollOf = ({ plan, owned }: Answer, file: KitchenFile) =>
  shown(
    <Roll
      {...{ plan, owned, catalogue }}
      ownedFile={file.owned ?? []}
      inDoubt={null}
      open={null}
      onOpen={() => undefined}
    />,
  );

const linked = ({ plan }: Answer, withPrices: boolean, language = 'en-GB') =>
  shown(
    <div
      dangerouslySetInnerHTML={{
        __html: [
          ...shownPlanParts({
            shown: shownPlanOf(plan, shippedModels, withPrices),
            on: new Date('2031-05-04'),
            until: new Date('2031-06-03'),
            language,
          }),
        ].join(''),
      }}
    />,
  );

test('whatever kitchen, no view of its plan says what nobody can read, and everything in it has a name', () => {
  fc.assert(
    fc.property(wildKitchen, (file) => {
      const answer = answerOf(file);
      const { plan, served, owned } = answer;
      const views = [
        rollOf(answer, file),
        shown(<CoverageBar plan={plan} budget={file.budget?.total} answer={answer} />),
        shown(
          <CoverageStrip
            {...{ served, plan }}
            ownedFile={file.owned ?? []}
            models={catalogue}
            onOpen={() => undefined}
          />,
        ),
        shown(<BesidesThePlan plan={plan} />),
        shown(<MiniRoll {...{ plan, owned, catalogue }} />),
        shown(<Next id="k" kitchen={file} update={update} />),
        linked(answer, true),
        ...plan.steps.map((step) => story(answer, step)),
      ];
      for (const view of views) {
        for (const said of [view.words, ...view.wordsOf('p')]) expect(said).not.toMatch(ODD);
        expect(nameless(view)).toEqual([]);
      }
      expect(kitInWords(plan)).not.toMatch(ODD);
    }),
    { numRuns: 10 },
  );
});

describe('the roll', () => {
  const file = fileOf({
    owned: [
      { type: 'bread', condition: 'keen' },
      { type: 'chef', condition: 'dull' },
    ],
    budget: { total: 260 },
  });
  const answer = answerOf(file);

  test('lays out what is kept, needed and wanted, every step once and in order', () => {
    const roll = rollOf(answer, file);
    const groups = roll.page.querySelectorAll('[data-group]').map((group) => group.getAttribute('data-group'));
    expect(groups[0]).toBe('Yours already');
    expect(roll.words).toMatch(/Keep, keen Bread knife/);
    const orders = roll.page
      .querySelectorAll('[data-pocket]')
      .map((pocket) => Number(pocket.getAttribute('data-pocket')));
    expect([...orders].sort((a, b) => a - b)).toEqual(answer.plan.steps.map(({ order }) => order));
    expect(roll.words).toMatch(/1 Sharpen Chef.s knife/);
  });

  test('draws every knife to one scale, what is owned filled', () => {
    const roll = rollOf(answer, file);
    const scales = roll.page
      .querySelectorAll('svg g[transform*=scale]')
      .map((g) => /scale\(([^)]+)\)/.exec(g.getAttribute('transform') ?? '')?.[1]);
    const knives = answer.plan.steps.filter(({ lengthMm }) => lengthMm !== null).length + 1;
    const [most] = [...new Set(scales)]
      .map((scale) => scales.filter((each) => each === scale).length)
      .sort((a, b) => b - a);
    expect(most).toBeGreaterThanOrEqual(knives);
    expect(roll.page.querySelectorAll('[data-owned]').length).toBeGreaterThanOrEqual(2);
  });

  test('with nothing to buy and nothing owned says so', () => {
    const bare = fileOf({ budget: { total: 0 } });
    expect(rollOf(answerOf(bare), bare).words).toMatch(/Nothing to buy/);
  });

  test('calls shipped models examples, names the offers of a shop, and keeps what is given away apart', () => {
    const [step] = answer.plan.steps.filter(({ action }) => action === 'buy');
    const model = step && catalogue.get(step.model ?? '');
    if (!step || !model) throw new Error('nothing is bought');
    expect(rollOf(answer, file).words).toContain(`e.g. ${model.maker}`);
    const offered = new Map([[model.id, { ...model, maker: 'Corner shop' }]]);
    const roll = shown(
      <Roll
        plan={{ ...answer.plan, steps: [step, { ...step, order: 2, need: 'want', action: 'retire', model: null }] }}
        {...{ owned: [], ownedFile: [], catalogue: offered, inDoubt: null, open: null, onOpen: () => undefined }}
      />,
    );
    expect(roll.words).toContain('Corner shop');
    expect(roll.words).not.toContain('e.g.');
    const groups = roll.page.querySelectorAll('[data-group]').map((group) => group.getAttribute('data-group'));
    expect(groups).toEqual(['Needs', 'Give away']);
  });
});

describe('a step opened', () => {
  const answer = answerOf(fileOf({ budget: { total: 320 }, owned: [{ type: 'chef', condition: 'dull' }] }));
  const bought = answer.plan.steps.find(({ action, model }) => action === 'buy' && model !== null);
  const sharpened = answer.plan.steps.find(({ action }) => action === 'sharpen');

  test('tells its reasons, its figures, who comes close and what it takes over', () => {
    if (!bought) throw new Error('nothing is bought');
    const { words, wordsOf, buttons } = story(answer, bought);
    for (const reason of bought.because) expect(words).toContain(reason.replace(/\s+/g, ' '));
    expect(wordsOf('dt')).toContain('Edge');
    expect(words).toContain(`${Math.round(bought.lengthMm ?? 0)} mm`);
    expect(buttons.filter((name) => name.startsWith('Take it: '))).toHaveLength(bought.runnersUp.length);
    for (const { score } of bought.takesOver) expect(words).toContain(String(score));
    expect(buttons).toEqual(expect.arrayContaining(['I bought it', 'Must have', 'Not this one']));
  });

  test('what is put right is neither demanded nor refused', () => {
    if (!sharpened) throw new Error('nothing is sharpened');
    const { buttons } = story(answer, sharpened);
    expect(buttons).toContain('It is sharp now');
    expect(buttons).not.toContain('Must have');
    expect(buttons).not.toContain('Not this one');
  });

  test('how sure it is: what the worker says of it, and how many plans were tried', () => {
    if (!bought) throw new Error('nothing is bought');
    const said = 'A general knife of about 210 mm is right in 96 of 100 plans.';
    const steps = answer.plan.steps.map(() => ({ inDoubt: false, words: [said, 'Which model hardly matters.'] }));
    const sure = { done: 50, of: 200, steps };
    const { words } = story(answer, bought, sure);
    expect(words).toContain(`${said} Which model hardly matters.`);
    expect(words).toContain('(50 of 200 plans tried)');
    expect(story(answer, bought, { ...sure, done: 200 }).words).not.toContain('plans tried');
  });

  test('until that is known it says so', () => {
    if (!bought) throw new Error('nothing is bought');
    expect(story(answer, bought).words).toContain('Checking how sure this step is');
  });
});

describe('a plan for whoever has its link', () => {
  const answer = answerOf(fileOf({ name: 'Reed house', budget: { total: 250 }, currency: 'EUR' }));

  test('tells amounts only where it is shown with prices', () => {
    expect(linked(answer, true).words).toContain('€');
    expect(linked(answer, false).words).not.toMatch(/€|EUR/);
    for (const withPrices of [true, false]) expect(linked(answer, withPrices).words).toContain('Reed house');
  });

  test('is written as its reader writes', () => {
    const { words } = linked(answer, true, 'de-DE');
    expect(words).toContain('04.05.2031');
    expect(words).toMatch(/\d\s%/);
    expect(linked(answer, true, 'en-GB').words).toContain('4 May 2031');
  });
});

test('the kit in a sentence names every action in its order, and counts knives where they are many', () => {
  const { plan } = answerOf(fileOf({ budget: { total: 250 } }));
  const [buy] = plan.steps.filter(({ action }) => action === 'buy');
  if (!buy) throw new Error('nothing is bought');
  const step = (action: PlanStep['action'], type: string) => ({ ...buy, action, type });
  const said = (...steps: PlanStep[]) => kitInWords({ ...plan, spent: 80, steps });
  const result = /: \d+\s?% of your cutting done well for €80\.$/;
  expect(said(step('sharpen', 'chef'), step('buy', 'bread'))).toMatch(
    /^Sharpen the chef.s knife, then buy a bread knife: /,
  );
  expect(said(step('buy', 'santoku'), step('buy', 'bread'), step('retire', 'cleaver'))).toMatch(
    /^Buy a santoku and a bread knife, then give away the .*cleaver: /,
  );
  const four = ['santoku', 'bread', 'paring', 'boning'].map((type) => step('buy', type));
  expect(said(...four)).toMatch(/^Buy four knives, the santoku first: /);
  expect(said(...four)).toMatch(result);
  expect(said({ ...step('buy', 'santoku'), quantity: 2 })).toMatch(/^Buy 2 × santoku: /);
  expect(said({ ...step('buy', 'santoku'), quantity: 7 })).toMatch(/^Buy seven knives, the santoku first: /);
  expect(said(step('service', 'chef'))).toMatch(/^Arrange for sharpening: /);
  expect(kitInWords({ ...plan, spent: 0, steps: [step('sharpen', 'chef')] })).not.toContain(' for ');
  expect(said()).toBe('Nothing to buy: what you have does it.');
});

test('the next question is about money until that is said, in round amounts of the kitchen’s money', () => {
  const asked = shown(<Next id="k" kitchen={fileOf({ currency: 'JPY' })} update={update} />);
  expect(asked.words).toContain('What may the kit cost?');
  for (const amount of asked.wordsOf('button').slice(0, 4)) expect(amount).toMatch(/[1-9]\d?(?:,?0)+$/);
  const then = shown(<Next id="k" kitchen={fileOf({ budget: { total: 200 } })} update={update} />);
  expect(then.words).toContain('What do you cook most?');
  expect(then.page.querySelector('a')?.getAttribute('href')).toBe('/kitchens/k/cutting');
});
