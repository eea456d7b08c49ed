import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { kindWords } from '../../../data/kindWords';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import { readShopList, type ShopList } from '../../core/kit/shop/shopList';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { oddBlade, wildKitchen } from '../../core/testing/arbitrary';
import { fileOf } from '../../core/testing/trade';
import { BoardView, KnuckleView, SectionView, SideView, SpineView } from '../blade/Drawings';
import { BladeForm } from '../catalogue/BladeForm';
import { ModelTable } from '../catalogue/ModelTable';
import { type Preview, PreviewedList } from '../catalogue/PreviewedList';
import { CookForm } from '../cooks/CookForm';
import { LengthDrawing } from '../cooks/LengthDrawing';
import { MotionPicker } from '../cooks/MotionPicker';
import { PlaceForm } from '../cooks/PlaceForm';
import { LengthSlider } from '../drawer/LengthSlider';
import { GlossaryView } from '../glossary/GlossaryView';
import { FiveSteps } from '../help/FiveSteps';
import { cookingSaid, cookSaid, drawerSaid, moneySaid } from '../kitchen/questions/said';
import MoneyQuestions from '../kitchen/questions/MoneyQuestions';
import { nameless, ODD, shown } from '../testing/shown';
import { FaultList } from './FaultList';

const nothing = () => undefined;
const blades = ['gyuto', 'chef', 'santoku', 'nakiri'].flatMap((id) => {
  const type = reference.types.get(id);
  return type ? [typicalBlade(type, {}, 'right')] : [];
});
const [gyuto] = blades;
if (!gyuto) throw new Error('no gyuto');

const cookForm = (kitchen: KitchenFile, at = 0, owned: string[] = []) =>
  shown(
    <CookForm
      {...{ kitchen, at, owned }}
      update={nothing}
      name={`Cook ${at + 1}`}
      motionBlades={blades}
      onRemove={null}
    />,
  );

test('whatever a kitchen says, its forms put every question with a name and every answer in words', () => {
  fc.assert(
    fc.property(wildKitchen, (kitchen) => {
      const owned = (kitchen.owned ?? []).map(({ type }) => type ?? 'knife');
      const forms = [
        ...(kitchen.cooks ?? [{}]).map((_, at) => cookForm(kitchen, at, owned)),
        shown(<PlaceForm kitchen={kitchen} update={nothing} />),
        shown(
          <MoneyQuestions kitchen={kitchen} update={nothing} point={{ points: 50, pointPrice: 12.5 }} lists={[]} />,
        ),
      ];
      for (const form of forms) {
        expect(form.words).not.toMatch(ODD);
        expect(nameless(form)).toEqual([]);
      }
      for (const said of [cookingSaid, cookSaid, moneySaid, drawerSaid]) {
        expect(said(kitchen)).not.toMatch(ODD);
        expect(said(kitchen)).toMatch(/^[A-Z0-9€£$¥].*\.$/);
      }
    }),
    { numRuns: 10 },
  );
});

describe('one cook', () => {
  test('has a hand measured, a grip drawn and motions counted', () => {
    const form = cookForm(fileOf({ cooks: [{ handLengthMm: 171, motions: { chop: 3 } }] }));
    expect(form.words).toContain('How do you cut?');
    expect(form.words).toContain('Weighted by how much you do of each.');
    expect(form.words).toContain('I am not sure');
    expect(cookForm(fileOf()).words).toContain('no blade shape is preferred');
  });

  test('is asked which knives are theirs only where there are some, and what is barred is told', () => {
    expect(cookForm(fileOf()).words).not.toContain('May use');
    const drawer = ['Chef’s knife, 200 mm', 'Bread knife, 240 mm'];
    expect(cookForm(fileOf(), 0, drawer).words).toContain('Everything. Tap a knife to rule it out.');
    const barred = cookForm(fileOf({ cooks: [{ mayUse: [1] }] }), 0, drawer);
    expect(barred.words).toContain('Knives ruled out here still count for the other cooks.');
    expect(barred.page.querySelectorAll('input[type=checkbox][checked]')).toHaveLength(1);
  });

  test('motions are shown by how much: none, some or mostly', () => {
    const picker = shown(
      <MotionPicker motions={{ rock: 0, push: 1, pull: 2, chop: 3 }} blades={blades} onChange={nothing} />,
    );
    const chosen = picker.page
      .querySelectorAll('li [role=radiogroup]')
      .map((group) => group.querySelectorAll('input').findIndex((input) => input.hasAttribute('checked')));
    expect(chosen).toEqual([0, 1, 2, 2]);
  });
});

test('a sharpening is priced where others do it, and how often is asked of a professional alone', () => {
  const form = (sharpening: NonNullable<KitchenFile['habits']>['sharpening']) =>
    shown(<PlaceForm kitchen={fileOf({ habits: { sharpening } })} update={nothing} />).words;
  expect(form('professional')).toMatch(/One sharpening costs.*Times a year/);
  expect(form('none')).toContain('One sharpening costs');
  expect(form('none')).not.toContain('Times a year');
  expect(form('stones')).not.toContain('One sharpening costs');
});

test('a budget without a ceiling has no slider; a price of a point set by hand can be worked out again', () => {
  const money = (budget: KitchenFile['budget'], point: { points: number; pointPrice: number } | null = null) =>
    shown(<MoneyQuestions kitchen={fileOf({ budget })} update={nothing} point={point} lists={[]} />);
  expect(money({ total: 300 }).page.querySelectorAll('input[type=range]')).toHaveLength(1);
  expect(money({ total: null }).page.querySelectorAll('input[type=range]')).toHaveLength(0);
  const point = { points: 60, pointPrice: 20 };
  expect(money({ total: 300 }, point).words).toContain('We pay up to €20 for each 1% of your cutting');
  expect(money({ total: 300 }, point).buttons).not.toContain('Work it out from the money');
  expect(money({ total: 300, pointPrice: 20 }, point).buttons).toContain('Work it out from the money');
});

describe('a blade', () => {
  test('of any build is drawn from five sides with its figures, none beyond what is measured', () => {
    fc.assert(
      fc.property(oddBlade, fc.integer({ min: 60, max: 110 }), (blade, palm) => {
        const views = [
          shown(<SideView blade={blade} />),
          shown(<SpineView blade={blade} />),
          shown(<SectionView blade={blade} />),
          shown(<BoardView blade={blade} />),
          shown(<KnuckleView blade={blade} palmBreadthMm={palm} roomMm={blade.heelHeightMm - 20} />),
        ];
        for (const view of views) {
          expect(view.words).not.toMatch(ODD);
          expect(view.pictures.join(' ')).not.toMatch(ODD);
          expect(view.page.toString()).not.toContain('NaN');
          expect(nameless(view)).toEqual([]);
        }
      }),
      { numRuns: 60 },
    );
  });

  test('of one’s own begins as its kind is usually built, and can be kept as it is', () => {
    const form = shown(<BladeForm taken={new Set()} onSave={() => Promise.resolve(true)} />);
    expect(form.page.querySelector('input[value="My gyuto"]')).not.toBeNull();
    expect(form.page.querySelector('button[type=submit]')?.hasAttribute('disabled')).toBe(false);
    expect(nameless(form)).toEqual([]);
    expect(form.pictures).toHaveLength(3);
  });

  test('is drawn true beside a ruler, and its tip moves by keys unless its length is known', () => {
    const slider = shown(<LengthSlider blade={gyuto} fixed={false} lengthMm={214.6} onChange={nothing} />);
    const knob = slider.page.querySelector('[role=slider]');
    expect(knob?.getAttribute('aria-valuenow')).toBe('215');
    expect(knob?.getAttribute('aria-valuetext')).toBe('215 millimetres, 8.4 in');
    expect(slider.wordsOf('text')).toEqual(expect.arrayContaining(['0', '50', '100', '150', '200']));
    expect(
      shown(<LengthSlider blade={gyuto} fixed lengthMm={210} onChange={nothing} />).page.querySelector('[role=slider]'),
    ).toBeNull();
  });

  test('the wanted length is told over the board and in the hand it is for', () => {
    const { pictures } = shown(
      <LengthDrawing
        band={{ fromMm: 180, toMm: 215, why: [] }}
        short={{ ...gyuto, lengthMm: 180 }}
        long={{ ...gyuto, lengthMm: 215 }}
        hand={{ lengthMm: 182, breadthMm: 83 }}
        board={{ lengthMm: 400, widthMm: 300 }}
      />,
    );
    expect(pictures).toEqual([
      'Drawn to scale: a board of 400 by 300 mm, and on it a general knife of 180 to 215 mm in a hand of 182 mm',
    ]);
  });
});

describe('a list before it is imported', () => {
  const list = readShopList(
    [
      ['name', 'price'],
      ['Gyuto 210 mm', '120'],
      ['Santoku 165', '€ 79.50'],
      ['Cutting board', '35'],
      ['Paring knife 80', ''],
    ],
    { reference, words: kindWords, models: shippedModels, hand: 'right', currency: 'EUR' },
  );
  const preview = (of: ShopList, mine: ReadonlySet<string> = new Set()) => {
    const read: Preview = { ...of, file: 'list.csv', source: '', currency: 'EUR', list: 'list' };
    return shown(
      <PreviewedList
        preview={read}
        {...{ mine }}
        shipped={new Set()}
        onReadAgain={nothing}
        onTake={nothing}
        onLeave={nothing}
      />,
    );
  };

  test('tells what it brings, what is there already, and why the rest is left out', () => {
    const [first] = list.taken;
    if (!first) throw new Error('nothing was read');
    const view = preview(list, new Set([first.model.id]));
    expect(view.words).toContain(`list.csv: ${list.taken.length} knives found, 1 of them imported before`);
    expect(view.words).toContain('Nothing is imported yet.');
    for (const { row, why } of list.left) {
      expect(view.words).toContain(`row ${row}`);
      expect(view.words).toContain(why);
    }
    expect(view.words).toContain('imported before');
    expect(view.words).not.toMatch(ODD);
    expect(nameless(view)).toEqual([]);
  });

  test('with nothing to take there is nothing to press but leaving it', () => {
    const view = preview({ ...list, taken: [] });
    const take = view.page.querySelectorAll('button').find((button) => button.text === 'Import 0 knives');
    expect(take?.hasAttribute('disabled')).toBe(true);
    expect(view.buttons).toContain('Cancel');
  });

  test('every model stands with its kind, its edge and its price, and is taken out by name', () => {
    const models = shippedModels.slice(0, 5);
    const [first, ...others] = models.map(({ id }) => id);
    const table = shown(<ModelTable models={models} note={() => ''} removable={new Set(others)} onRemove={nothing} />);
    expect(table.wordsOf('tbody th')).toEqual(models.map(({ name, maker }) => `${name} ${maker}`));
    expect(table.buttons).toEqual(models.filter(({ id }) => id !== first).map(({ name }) => `Remove ${name}`));
    for (const { lengthMm } of models) expect(table.words).toContain(`${Math.round(lengthMm)} mm`);
  });
});

test('the trade’s words and the five steps draw every kind and say nothing odd', () => {
  const words = shown(<GlossaryView />);
  for (const { name } of [...reference.types.values(), ...reference.steels.values()])
    expect(words.words).toContain(name);
  for (const view of [words, shown(<FiveSteps />)]) {
    expect(view.words).not.toMatch(ODD);
    expect(view.page.toString()).not.toContain('NaN');
    expect(nameless(view)).toEqual([]);
  }
});

test('faults of a file stand each beside its field, as an alert', () => {
  const faults = [
    { path: 'cooks[0].handLengthMm', message: '30 is not between 120 and 260' },
    { path: 'budget', message: 'is not known' },
  ];
  const view = shown(<FaultList title="This file cannot be read" faults={faults} onClose={nothing} />);
  expect(view.wordsOf('dt')).toEqual(faults.map(({ path }) => path));
  expect(view.wordsOf('dd')).toEqual(faults.map(({ message }) => message));
  expect(view.page.querySelector('[role=alert]')?.getAttribute('aria-label')).toBe('This file cannot be read');
});
