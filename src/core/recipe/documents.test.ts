import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { languages, lexicon } from '../../../data/foods';
import { reference } from '../../../data/reference';
import { FaultyInput } from '../formats/faults';
import { readDocument, recipeNodes } from './document';
import { orderedIn } from './method';
import { readRecipe } from './recipe';

const asItIs = () => (line: string) => line;
const read = (source: string) => readDocument(source, asItIs);
const page = (recipe: object, around = '') =>
  `<html><head>${around}<script type="application/ld+json">${JSON.stringify(recipe)}</script></head><body></body></html>`;
const recipe = (more: object = {}) => ({
  '@type': 'Recipe',
  name: 'Leek soup',
  recipeIngredient: ['3 leeks, sliced'],
  ...more,
});

describe('a recipe document', () => {
  test.each<[string, unknown]>([
    ['alone', recipe()],
    ['in a list', [{ '@type': 'WebSite' }, recipe()]],
    ['in a graph', { '@context': 'https://schema.org', '@graph': [{ '@type': 'Person' }, recipe()] }],
    ['as the thing a page is about', { '@type': 'WebPage', mainEntity: recipe() }],
    ['with a type in full', recipe({ '@type': 'http://schema.org/Recipe' })],
    ['with several types', recipe({ '@type': ['NewsArticle', 'Recipe'] })],
  ])('is found %s, as JSON and in a page', (_, value) => {
    for (const source of [
      JSON.stringify(value),
      page(value as object),
      page(value as object, '<script>var a = "</div>";</script>'),
    ])
      expect(read(source)).toMatchObject({ name: 'Leek soup', lines: ['3 leeks, sliced'] });
  });

  test('nested without end it is not looked for without end', () => {
    const deep = (levels: number): object => (levels === 0 ? recipe() : { part: deep(levels - 1) });
    expect(recipeNodes(deep(5))).toHaveLength(1);
    expect(recipeNodes(deep(20))).toEqual([]);
    expect(recipeNodes(null)).toEqual([]);
  });

  test.each<[unknown, number | null]>([
    [4, 4],
    ['4', 4],
    [['', '6 servings'], 6],
    ['Serves 4–6', 4],
    [{ '@type': 'QuantitativeValue', value: 8 }, 8],
    [{ minValue: '2', maxValue: 4 }, 2],
    ['one large tart', null],
    [0, null],
    [9000, null],
    [null, null],
  ])('a yield of %o is %o portions', (recipeYield, portions) => {
    expect(read(JSON.stringify(recipe({ recipeYield }))).portions).toBe(portions);
  });

  test.each<[string, unknown, string[]]>([
    ['a text', 'Slice the leeks.\nBoil them.', ['Slice the leeks.', 'Boil them.']],
    ['a text with marks', '<p>Slice the leeks.</p><p>Boil&nbsp;them.</p>', ['Slice the leeks.', 'Boil them.']],
    ['a list of texts', ['Slice.', 'Boil.'], ['Slice.', 'Boil.']],
    [
      'steps',
      [
        { '@type': 'HowToStep', text: 'Slice.' },
        { '@type': 'HowToStep', name: 'Boil.' },
      ],
      ['Slice.', 'Boil.'],
    ],
    [
      'sections',
      [{ '@type': 'HowToSection', itemListElement: [{ text: 'Slice.' }, { text: 'Boil.' }] }],
      ['Slice.', 'Boil.'],
    ],
    ['nothing that is one', [7, null, {}], []],
  ])('a method told as %s is read step by step', (_, recipeInstructions, steps) => {
    expect(read(JSON.stringify(recipe({ recipeInstructions }))).steps).toEqual(steps);
  });

  test.each([
    [
      'a name, talk and headings',
      'The Best Chili\n\nI first made this in college, and you can slice the recipe in half if you like.\nServings: 6\n\nWhat You’ll Need:\n• 2 onions (diced)\n• 4 cloves garlic\n\nDirections:\nStep 1: Mince the garlic.\n\nNotes\nChop 10 more onions on Sunday.',
      {
        name: 'The Best Chili',
        portions: 6,
        lines: ['• 2 onions (diced)', '• 4 cloves garlic'],
        steps: ['Mince the garlic.'],
      },
    ],
    [
      'no headings at all',
      'Pepper Tray Bake\nFor 4\n2 red peppers\nsalt\nCut the peppers into strips.\n2. Roast them for 20 minutes.',
      {
        name: 'Pepper Tray Bake',
        portions: 4,
        lines: ['2 red peppers', 'salt'],
        steps: ['Cut the peppers into strips.', 'Roast them for 20 minutes.'],
      },
    ],
    [
      'ingredients and nothing else',
      'salt\nolive oil\n2 onions, diced\n1. garlic',
      { name: null, portions: null, lines: ['salt', 'olive oil', '2 onions, diced', '1. garlic'], steps: [] },
    ],
  ])('a text of %s is taken apart', (_, text, expected) => expect(read(text)).toEqual(expected));

  test('a page without marked-up data is read as the text it shows, without what is said about the site', () => {
    const page =
      '<html><head><title>Diary</title></head><body><nav>2 onions</nav><main><h1>Roast squash</h1><p>Last year I carved ten pumpkins with the children here.</p><h2>Ingredients</h2><ul><li>1 squash, cubed</li><li>2 red onions, in wedges</li><li>50 g nuts, chopped</li><li>oil</li></ul><h2>Method</h2><ol><li>Heat the oven.</li></ol><h3>Comments</h3><p>I chop 10 onions!</p></main><footer>2 carrots</footer></body></html>';
    expect(read(page)).toEqual({
      name: 'Roast squash',
      portions: null,
      lines: ['1 squash, cubed', '2 red onions, in wedges', '50 g nuts, chopped', 'oil'],
      steps: ['Heat the oven.'],
    });
  });

  test('plain lines have their name, their portions and their method apart', () => {
    const text = '# Leek soup\nServes 6\n\n3 leeks, sliced\n1 onion\n\nMethod\nDice the onion.\nBoil.';
    expect(read(text)).toEqual({
      name: 'Leek soup',
      portions: 6,
      lines: ['3 leeks, sliced', '1 onion'],
      steps: ['Dice the onion.', 'Boil.'],
    });
    expect(read('3 leeks\nMakes 12')).toMatchObject({ portions: 12 });
    for (const made of ['Makes 2 loaves', 'Makes 12 rolls', 'Yields 7 cups'])
      expect(read(`3 leeks\n${made}`).portions).toBeNull();
  });

  test.each<[string, RegExp]>([
    ['', /is empty/],
    ['  \n ', /is empty/],
    ['{"@type": "Person"}', /without a schema.org Recipe/],
    ['<html><body>Leek soup</body></html>', /no list of ingredients/],
    [JSON.stringify(recipe({ recipeIngredient: [] })), /at least one ingredient/],
    [
      JSON.stringify(recipe({ recipeIngredient: Array.from({ length: 401 }, (_, i) => `${i} leeks`) })),
      /401 lines; at most 400/,
    ],
    ['{"@type": "Recipe"', /is not JSON/],
    ['x'.repeat(2 * 1024 * 1024 + 1), /larger than 2 MB/],
  ])('%s cannot be read, and why is told', (source, why) => {
    expect(() => read(source)).toThrow(FaultyInput);
    expect(() => read(source)).toThrow(why);
  });

  test('of whatever is pasted every line is read or unread, none twice and none lost', () => {
    const line = fc.constantFrom(
      '3 leeks, sliced',
      '500 g stewing beef in cubes',
      'a pinch of salt',
      '2 EL Öl',
      'qwrt zzx',
      '½ squash',
      '1 onion, finely chopped',
      '– for the sauce –',
    );
    fc.assert(
      fc.property(
        fc.array(line, { minLength: 1, maxLength: 12 }),
        fc.integer({ min: 1, max: 40 }),
        (lines, portions) => {
          const read = readRecipe(lines.join('\n'), { lexicon, languages, tasks: reference.tasks }, portions);
          const told = [
            ...(read.name === null ? [] : [read.name]),
            ...read.lines.map((each) => each.line),
            ...read.unread,
          ];
          expect([...told].sort()).toEqual([...lines].sort());
          for (const { tasks } of read.lines)
            for (const { id, amount } of tasks) {
              expect(reference.tasks.has(id)).toBe(true);
              expect(amount).toBeGreaterThan(0);
            }
        },
      ),
    );
  });
});

describe('cuts a method orders', () => {
  const ordered = (...steps: string[]) => orderedIn(steps, lexicon).map(({ step, name, cut }) => [step, name, cut]);

  test.each<[string, [string, string][]]>([
    [
      'Finely chop the onion and mince the garlic.',
      [
        ['onion', 'finely chopped'],
        ['garlic', 'minced'],
      ],
    ],
    [
      'Peel and dice the potatoes, then slice the leeks.',
      [
        ['potato', 'peeled'],
        ['potato', 'diced'],
        ['leek', 'sliced'],
      ],
    ],
    ['Cut the carrots into sticks.', [['carrot', 'in sticks']]],
    ['Cut the lamb into 3 cm cubes.', [['lamb', 'cubed']]],
    [
      'Halve the lemons; quarter the tomatoes.',
      [
        ['lemon', 'halved'],
        ['tomato', 'quartered'],
      ],
    ],
  ])('%s', (step, cuts) => {
    expect(ordered(step)).toEqual(cuts.map(([name, cut]) => [1, name, cut]));
  });

  test('a cut without an object is of the food last named, and of nothing where there was none', () => {
    expect(ordered('Take the beef out and slice it across the grain.')).toEqual([[1, 'beef', 'sliced']]);
    expect(ordered('Slice thinly.')).toEqual([]);
  });

  test('heat that is cut, dice that are none and what is only cooked are no cutting', () => {
    expect(ordered('Cut the heat and stir the onions.', 'Boil the potatoes until soft.')).toEqual([]);
  });

  test('each cut is told with the step it stands in', () => {
    expect(ordered('Boil water.', 'Slice the leeks.', 'Dice the carrots.')).toEqual([
      [2, 'leek', 'sliced'],
      [3, 'carrot', 'diced'],
    ]);
  });

  test('whatever the words, only foods that are known come out', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.constantFrom(
            'slice',
            'the',
            'onion',
            'and',
            'then',
            ',',
            'leeks',
            'into',
            'cubes',
            'peel',
            'it',
            '.',
            'with',
            'salt',
          ),
          { maxLength: 14 },
        ),
        (words) => {
          for (const { food, cut, text } of orderedIn([words.join(' ')], lexicon)) {
            expect(food).toBeDefined();
            expect(cut.length).toBeGreaterThan(2);
            expect(words.join(' ')).toContain(text);
          }
        },
      ),
    );
  });
});
