import { describe, expect, test } from 'vitest';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { fileOf } from '../../core/testing/trade';
import { KitchenMast } from '../shared/KitchenMast';
import { PageHead } from '../shared/PageHead';
import { STAGES } from '../shared/stages';
import { nameless, ODD, shown } from '../testing/shown';
import { Question } from './Question';
import { type QuestionId, QUESTIONS } from './questions';

const nothing = () => undefined;
const ids = Object.keys(QUESTIONS) as QuestionId[];
const put = (id: QuestionId, kitchen: KitchenFile, compact = false) =>
  shown(<Question of={id} kitchen={kitchen} update={nothing} compact={compact} />);
/** How many answers are marked as chosen, whatever they are drawn as. */
const marked = ({ page }: ReturnType<typeof put>) =>
  page.querySelectorAll('[role=radio][aria-checked=true]').length +
  page.querySelectorAll('input[checked]').length +
  page.querySelectorAll('option[selected]').length;

describe.each(ids)('the question %s', (id) => {
  const asked = QUESTIONS[id];

  test('is put in its words, with a name for everything, in much room and in little', () => {
    for (const compact of [false, true]) {
      const view = put(id, fileOf(), compact);
      expect(view.page.text).toContain(asked.label);
      expect(view.words).not.toMatch(ODD);
      expect(nameless(view)).toEqual([]);
    }
  });

  test('shows every answer there is, and one of a few as chosen', () => {
    if (asked.kind !== 'one' && asked.kind !== 'any') return expect(asked.kind).toMatch(/number|truth/);
    const view = put(id, fileOf());
    for (const { name } of asked.answers) expect(view.words).toContain(name.replace(/\s+/g, ' '));
    if (asked.kind === 'one') expect(marked(view)).toBe(1);
    else expect(marked(view)).toBe(asked.value(fileOf()).length);
  });

  test('shows the answer that was given', () => {
    const kitchen = fileOf();
    if (asked.kind === 'one')
      for (const { value, name } of asked.answers) {
        const view = put(id, asked.answered(kitchen, 0, value), true);
        const chosen = [
          ...view.wordsOf('option[selected]'),
          ...view.page.querySelectorAll('input[checked]').map((input) => input.getAttribute('value') ?? ''),
        ];
        expect(chosen.some((each) => each === value || each === name)).toBe(true);
      }
    if (asked.kind === 'truth')
      for (const on of [true, false]) expect(marked(put(id, asked.answered(kitchen, 0, on)))).toBe(on ? 1 : 0);
    if (asked.kind === 'any')
      for (const { value } of asked.answers)
        expect(marked(put(id, asked.answered(kitchen, value, true)))).toBeGreaterThan(0);
    if (asked.kind === 'number') {
      const [least, most] = asked.bounds;
      for (const figure of [least, most])
        expect(
          put(id, asked.answered(kitchen, 0, figure))
            .page.querySelector('input')
            ?.getAttribute('value'),
        ).toBe(String(figure));
    }
  });
});

describe('the way through a kitchen', () => {
  const mast = (kitchen: KitchenFile, here: Parameters<typeof KitchenMast>[0]['here']) =>
    shown(<KitchenMast kitchenId="k" kitchen={kitchen} here={here} name="Weir" />);
  const STAGES_NAV = 'nav[aria-label="Stages of the work"] a';
  const lacking = (kitchen: KitchenFile) =>
    mast(kitchen, '')
      .wordsOf(STAGES_NAV)
      .filter((words) => words.includes('nothing said yet'))
      .map((words) => words.split(',')[0]?.trim());

  test('leads through eight stages to every page, the one that is open marked as such', () => {
    const view = mast(fileOf(), 'edge');
    const paths = STAGES.flatMap(({ pages }) => pages.map(({ path }) => path));
    expect(view.wordsOf(STAGES_NAV)).toHaveLength(8);
    expect(new Set(paths).size).toBe(paths.length);
    const more = view.page
      .querySelectorAll('nav[aria-label="At hand"] details a')
      .map((way) => way.getAttribute('href'));
    expect(more).toEqual(paths.map((path) => (path === '' ? '/kitchens/k' : `/kitchens/k/${path}`)));
    expect(view.wordsOf(`${STAGES_NAV}[aria-current]`)).toEqual(['Sharpness']);
    expect(mast(fileOf(), null).wordsOf('a[aria-current=page]')).toEqual([]);
    expect(nameless(view)).toEqual([]);
  });

  test('a phone has five ways under the thumb, the shop among them', () => {
    const bar = 'nav[aria-label="At hand"] > :is(a, details)';
    expect(mast(fileOf(), 'shop').wordsOf(bar)).toHaveLength(5);
    expect(mast(fileOf(), 'shop').wordsOf('nav[aria-label="At hand"] > a[aria-current]')).toEqual(['In a shop']);
  });

  test('marks where nothing has been said yet, and no longer once something was', () => {
    expect(lacking(fileOf())).toEqual(['Cooks', 'Cutting', 'Drawer']);
    expect(lacking(fileOf({ cooks: [{}] }))).toEqual(['Cutting', 'Drawer']);
    expect(lacking(fileOf({ cooks: [{}], tools: ['peeler'], cooking: { cuisines: [{ id: 'italian' }] } }))).toEqual([]);
  });

  test('shows the pages of the stage that is open, and none where it has one page', () => {
    const keep = mast(fileOf(), 'keep/use');
    expect(keep.wordsOf('nav[aria-label="Storage: its pages"] a[aria-current=page]')).toEqual(['Which knife now']);
    expect(keep.wordsOf(`${STAGES_NAV}[aria-current]`)).toEqual(['Storage']);
    expect(mast(fileOf(), 'edge').wordsOf('nav[aria-label$=": its pages"]')).toEqual([]);
    expect(shown(<PageHead here="try">Tape it.</PageHead>).wordsOf('h1')).toEqual(['Try at life size']);
  });
});
