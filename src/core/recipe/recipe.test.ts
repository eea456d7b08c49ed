import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { languages, lexicon } from '../../../data/foods';
import { reference } from '../../../data/reference';
import { FaultyInput } from '../formats/faults';
import { textOf } from '../formats/bytes';
import { wordsOf } from './corrections';
import { findFood } from './foods';
import { readLine } from './line';
import { readRecipe } from './recipe';
import { translated } from './language';
import { recipesIn } from './split';
import { singular, tokens } from './text';

const knowledge = { lexicon, languages, tasks: reference.tasks };
const read = (line: string) => readLine(line, lexicon, reference.tasks);
const taskOf = (line: string) => read(line)?.tasks[0]?.id ?? '-';
const amountOf = (line: string) => read(line)?.tasks[0]?.amount ?? 0;

const rows = readFileSync(fileURLToPath(new URL('../../../data/recipeLines.tsv', import.meta.url)), 'utf8')
  .trimEnd()
  .split('\n')
  .map((row) => row.split('\t'))
  .map(([line = '', quantity = '', food = '', task = '']) => ({ line, quantity, food, task }));

test('three hundred lines as people write them: quantity and food in 98 of 100, the task right or none in 95, wrong in 3 at most', () => {
  expect(rows.length).toBeGreaterThanOrEqual(300);
  const judged = rows.map((row) => {
    const got = read(row.line);
    const quantity =
      row.quantity === '-' ? got?.quantity === null : Math.abs((got?.quantity ?? NaN) - Number(row.quantity)) < 0.01;
    const food = tokens(got?.food ?? '').join(' ') === tokens(row.food).join(' ');
    return { ...row, got, quantity, named: quantity && food, cut: (got?.tasks[0]?.id ?? '-') === row.task };
  });
  const named = judged.filter((row) => row.named).length / rows.length;
  const cut = judged.filter((row) => row.cut).length / rows.length;
  const wrong = judged.filter((row) => !row.named || !row.cut);
  console.log(
    `${rows.length} lines: quantity and food ${(100 * named).toFixed(1)} %, task ${(100 * cut).toFixed(1)} %; ` +
      wrong
        .map(({ line, got }) => `${line} → ${got?.quantity ?? '-'} ${got?.food ?? '?'}, ${got?.tasks[0]?.id ?? '-'}`)
        .join('; '),
  );
  expect(named).toBeGreaterThanOrEqual(0.98);
  expect(cut).toBeGreaterThanOrEqual(0.95);
  const astray = judged.filter(({ got, cut }) => !cut && got?.tasks.length).length / rows.length;
  expect(astray).toBeLessThanOrEqual(0.03);
});

describe('amounts come in the task’s own unit', () => {
  test.each([
    ['3 onions, diced', 3],
    ['300 g onions, diced', 2],
    ['200 g mushrooms, sliced', 2],
    ['half a cabbage, shredded', 1],
    ['1 kg stewing beef, cubed', 2],
    ['6 carrots, peeled and sliced', 6],
    ['1 head garlic, minced', 10],
    ['2 bunches of parsley, chopped', 6],
    ['6 cm ginger, julienned', 2],
    ['1 inch piece of ginger, sliced', 0.85],
    ['1 dozen oysters', 1],
    ['8 slices sourdough', 1.33],
    ['2 aubergines, halved and scored', 4],
    ['1 lb mushrooms, sliced', 4.54],
    ['4 to 6 tomatoes, sliced', 5],
  ])('%s: %f', (line, amount) => {
    expect(amountOf(line)).toBeCloseTo(amount, 1);
  });

  test('peeling is work of its own beside a cut', () => {
    expect(read('6 potatoes, peeled and diced')?.tasks).toEqual([
      { id: 'potato-dice', amount: 6 },
      { id: 'root-peel', amount: 2 },
    ]);
    expect(read('6 potatoes, peeled')?.tasks).toEqual([{ id: 'root-peel', amount: 2 }]);
  });
});

describe('words on both sides of the ocean, and their plurals', () => {
  test.each([
    ['1 aubergine, diced', '1 eggplant, diced'],
    ['2 courgettes, sliced', '2 zucchini, sliced'],
    ['1 bunch coriander, chopped', '1 bunch cilantro, chopped'],
    ['4 spring onions, sliced', '4 scallions, sliced'],
    ['1 swede, diced', '1 rutabaga, diced'],
    ['200 g prawns, deveined', '200 g shrimp, deveined'],
    ['3 beetroots, sliced', '3 beets, sliced'],
    ['1 red pepper, in strips', '1 red bell pepper, in strips'],
  ])('%s as %s', (british, american) => {
    const work = (line: string) => read(line)?.tasks.map(({ id, amount }) => ({ id, amount }));
    expect(work(british)).toEqual(work(american));
    expect(taskOf(british)).not.toBe('-');
  });

  test('words are made singular alike on both sides', () => {
    for (const [many, one] of [
      ['tomatoes', 'tomato'],
      ['leaves', 'leaf'],
      ['radishes', 'radish'],
      ['strawberries', 'strawberry'],
      ['peaches', 'peach'],
      ['chillies', 'chilli'],
      ['asparagus', 'asparagus'],
      ['loaves', 'loaf'],
      ['onions', 'onion'],
    ])
      expect(tokens(many ?? '')).toEqual(tokens(one ?? ''));
    expect(singular('couscous')).toBe('couscous');
  });

  test('of several names the longest is meant', () => {
    const name = (text: string) => findFood(tokens(text), lexicon)?.name;
    expect(name('chicken stock')).toBe('chicken stock');
    expect(name('lemon juice')).toBe('lemon juice');
    expect(name('sweet potatoes')).toBe('sweet potato');
    expect(name('butternut squash')).toBe('butternut squash');
    expect(name('nothing known here')).toBeUndefined();
  });
});

describe('figures as people write them', () => {
  test.each<[string, number | null, string | null]>([
    ['1,5 kg potatoes', 1.5, 'kilogram'],
    ['0,25 l cream', 0.25, 'liter'],
    ['1,000 g potatoes', 1000, 'gram'],
    ['1.000 g flour', 1000, 'gram'],
    ['1\u202f000 g flour', 1000, 'gram'],
    ['three-quarters of a cup chopped parsley', 0.75, 'cup'],
    ['two-thirds cup diced onion', 0.67, 'cup'],
    ['2 cups + 2 tablespoons flour', 2.125, 'cup'],
    ['1 kg plus 200 g carrots', 1.2, 'kilogram'],
    ['1. 2 onions, sliced', 2, null],
    ['12) 3 carrots, diced', 3, null],
    ['🧅 2 onions', 2, null],
    ['1.5 onions', 1.5, null],
  ])('%s', (line, quantity, unit) => {
    expect(read(line)?.quantity).toBeCloseTo(quantity ?? NaN, 2);
    expect(read(line)?.unit).toBe(unit);
  });
});

describe('cut or not', () => {
  test.each([
    '10 mint leaves',
    '1 cup grape tomatoes',
    '500 g new potatoes',
    '1/2 cup sliced almonds',
    '1 cup pitted sliced olives',
    '1 bag shredded cabbage',
    '500 g minced beef',
    '1 strip steak',
    '100 g sourdough starter',
    '2 tbsp corn relish',
    '1 clove-studded onion',
    '1 cup shredded mozzarella',
    '150 g diced pancetta',
    '100 g lardons',
    '1 tsp garlic powder',
    '1 (14-oz) can diced tomatoes',
  ])('nothing is cut for %s', (line) => expect(taskOf(line)).toBe('-'));

  test.each([
    ['12 cherry tomatoes, halved', 'tomato-slice'],
    ['500 g new potatoes, sliced', 'potato-slice-thin'],
    ['10 mint leaves, shredded', 'herb-ribbon'],
    ['6 slices bacon, chopped', 'lardons'],
    ['100 g chopped walnuts', 'nuts-chop'],
    ['1 cup chopped onion', 'onion-dice'],
    ['1 cabbage, shredded', 'cabbage-shred'],
  ])('%s is: %s', (line, task) => expect(taskOf(line)).toBe(task));

  test('what has no task of its own is told by its stand-in, counted by size and not by pieces', () => {
    expect(read('2 bananas, sliced')?.tasks).toEqual([{ id: 'cucumber-slice', amount: 0.8, standsFor: 'banana' }]);
    expect(read('2 cucumbers, sliced')?.tasks).toEqual([{ id: 'cucumber-slice', amount: 2 }]);
    expect(readRecipe('2 bananas, sliced', knowledge, 8).lines[0]?.tasks[0]).toMatchObject({
      amount: 1.6,
      standsFor: 'banana',
    });
  });
});

describe('the method', () => {
  const recipe = (ingredients: string[], steps: unknown) =>
    readRecipe(
      JSON.stringify({ '@type': 'Recipe', recipeYield: 4, recipeIngredient: ingredients, recipeInstructions: steps }),
      knowledge,
    );
  const work = (ingredients: string[], steps: unknown) =>
    recipe(ingredients, steps).lines.map(({ tasks: [first] }) => (first ? `${first.id} ${first.amount}` : '-'));

  test('cuts that the ingredients leave out are taken from the steps, for their amount', () => {
    expect(
      work(
        ['3 onions', '1 kg lamb shoulder', '4 cloves garlic'],
        'Slice the onions. Cut the lamb into 3 cm cubes and mince the garlic.',
      ),
    ).toEqual(['onion-slice 3', 'meat-cube 2', 'garlic-mince 4']);
    expect(work(['2 carrots'], [{ '@type': 'HowToStep', text: 'Peel the carrots and dice them.' }])).toEqual([
      'carrot-slice 2',
    ]);
    expect(
      work(
        ['2 onions'],
        [
          {
            '@type': 'HowToSection',
            itemListElement: [{ '@type': 'HowToStep', text: '<p>Finely chop the onions</p>' }],
          },
        ],
      ),
    ).toEqual(['onion-dice 2']);
  });

  test('a line that names its cut keeps it, and what is merely cooked is not cut', () => {
    expect(work(['3 onions, diced'], 'Slice the onions thinly.')).toEqual(['onion-dice 3']);
    expect(work(['10 mint leaves'], 'Cut the heat and scatter the mint over.')).toEqual(['-']);
    expect(recipe(['3 onions'], 'Slice the onions.').method).toBeUndefined();
  });

  test('a cut without an object means the food last named; one of no line stands by itself', () => {
    expect(work(['800 g flank steak'], ['Grill the flank steak. Rest it, then slice across the grain.'])).toEqual([
      'steak-slice 3.64',
    ]);
    expect(recipe(['1 l stock'], ['Bring to the boil.', 'Chop a cucumber and add it.']).method).toMatchObject([
      { step: 2, tasks: [{ id: 'cucumber-slice' }] },
    ]);
  });

  test('plain text has its method under a heading', () => {
    const plainText = readRecipe('2 onions\n1 l stock\nMethod:\nThinly slice the onions.', knowledge);
    expect(plainText.lines).toHaveLength(2);
    expect(plainText.lines[0]?.tasks).toEqual([{ id: 'onion-slice', amount: 2 }]);
  });
});

describe('languages', () => {
  const [german] = languages;
  test.each([
    ['2 große Zwiebeln, fein gewürfelt', 2, 'onion', 'onion-dice'],
    ['1 Pfund Möhren, in Scheiben geschnitten', 500, 'carrot', 'carrot-slice'],
    ['3 Zehen Knoblauch, gepresst', 3, 'garlic', 'garlic-crush'],
    ['1/2 Weißkohl, in feine Streifen geschnitten', 0.5, 'white cabbage', 'cabbage-shred'],
    ['2 Hähnchenbrustfilets à 180 g, in Würfel geschnitten', 2, 'chicken breast fillet', 'meat-cube'],
    ['1 Gemüsezwiebel, in Ringen', 1, 'onion', 'onion-slice'],
    ['4 EL Olivenöl', 4, 'olive oil', '-'],
    ['etwas Muskatnuss', null, 'nutmeg', '-'],
  ])('German: %s', (line, quantity, food, task) => {
    const [got] = readRecipe(`Für 4 Personen\n${line}\nSalz und Pfeffer`, knowledge).lines;
    expect(got).toMatchObject({ line, quantity, food });
    expect(got?.tasks[0]?.id ?? '-').toBe(task);
  });

  test('the verb stands last, compounds mean their last part, and the language is told', () => {
    const recipe = readRecipe(
      'Für 2 Personen\n3 Kartoffeln\n2 Zwiebeln\nZubereitung:\nDie Kartoffeln schälen und in dünne Scheiben schneiden.\nZwiebeln fein hacken.',
      knowledge,
    );
    expect(recipe).toMatchObject({ language: 'de', portions: 2, unread: [] });
    expect(recipe.lines.map(({ tasks }) => tasks.map(({ id }) => id))).toEqual([
      ['potato-slice-thin', 'root-peel'],
      ['onion-dice'],
    ]);
    expect(german && translated('1 Gartenmöhre', german)).toBe('1 carrot');
  });

  test('a language without a file is told, and its lines are unread rather than empty', () => {
    const french =
      '2 oignons émincés\n3 gousses d’ail hachées\n500 g de bœuf coupé en cubes\n1 cuillère à soupe de farine';
    expect(readRecipe(french, knowledge)).toMatchObject({ language: 'fr', lines: [], unread: french.split('\n') });
    expect(readRecipe('2 onions, diced\n1 baguette\n300 g dark chocolate', knowledge).language).toBeUndefined();
  });
});

describe('corrections', () => {
  test('a corrected line is read so again, for another amount, and the task is measured', () => {
    const corrections = new Map([
      [wordsOf('2 onions, chopped'), 'onion-slice'],
      [wordsOf('1 glorb, sliced'), 'carrot-slice'],
      [wordsOf('1 carrot, diced'), null],
    ]);
    const { lines, unread } = readRecipe('300 g onions, chopped\n3 glorbs, sliced\n4 carrots, diced\n1 frob, cut', {
      ...knowledge,
      corrections,
    });
    expect(lines.map(({ tasks, corrected }) => [tasks[0]?.id, tasks[0]?.amount, corrected])).toEqual([
      ['onion-slice', 2, true],
      ['carrot-slice', 1, true],
      [undefined, undefined, true],
      [undefined, undefined, undefined],
    ]);
    expect(unread).toEqual([]);
  });
});

describe('many recipes in one source', () => {
  test('a JSON list, a pasted list parted by dashes, one text', () => {
    const node = (name: string) => ({ '@type': 'Recipe', name, recipeIngredient: ['1 onion, diced'] });
    const names = (source: string) => recipesIn(source).map((each) => readRecipe(each, knowledge).name);
    expect(names(JSON.stringify([node('A'), { '@graph': [node('B')] }]))).toEqual(['A', 'B']);
    expect(recipesIn('1 onion\n---\n2 carrots\n\n=====\n')).toEqual(['1 onion', '2 carrots']);
    expect(recipesIn('1 onion\n2 carrots')).toHaveLength(1);
    expect(names('# Leek soup\n3 leeks\n---\n# Slaw\n1 cabbage')).toEqual(['Leek soup', 'Slaw']);
    expect(() => recipesIn(JSON.stringify(Array.from({ length: 201 }, () => node('A'))))).toThrow('201 recipes');
  });
});

test('an amount no kitchen has is asked about', () => {
  const ask = (text: string) => readRecipe(`Serves 4\n${text}`, knowledge).lines[0]?.ask;
  expect(ask('1000 kg potatoes')).toContain('is that right');
  expect(ask('400 onions')).toContain('is that right');
  expect(ask('1 kg potatoes')).toBeUndefined();
  expect(ask('200 g peppercorns')).toBeUndefined();
});

describe('bytes', () => {
  const words = 'Zwei Äpfel, geschält\n1 onion, diced';
  const utf16 = (swap: boolean, mark: boolean) => {
    const units = Array.from(`${mark ? '\uFEFF' : ''}${words}`, (c) => c.charCodeAt(0));
    return new Uint8Array(units.flatMap((unit) => (swap ? [unit >> 8, unit & 255] : [unit & 255, unit >> 8])));
  };
  test('UTF-8, UTF-16 with and without its mark, and Latin-1 are the same text; what is no text is refused', () => {
    expect(textOf(new TextEncoder().encode(words))).toBe(words);
    for (const swap of [false, true]) for (const mark of [false, true]) expect(textOf(utf16(swap, mark))).toBe(words);
    expect(textOf(new Uint8Array(Array.from(words, (c) => c.charCodeAt(0))))).toBe(words);
    expect(() => textOf(new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 13, 1, 2, 3, 4]))).toThrow(FaultyInput);
  });
});

describe('documents', () => {
  const page = (inside: string) => readRecipe(`<!doctype html><html><body>${inside}</body></html>`, knowledge);
  const lines = (inside: string) => page(inside).lines.map(({ line }) => line);

  test('yields come as number, text or object', () => {
    const yields = (recipeYield: unknown) =>
      readRecipe(JSON.stringify({ '@type': 'Recipe', recipeYield, recipeIngredient: ['1 onion, diced'] }), knowledge)
        .portions;
    expect(
      [6, '6', '6 servings', { '@type': 'QuantitativeValue', value: 6 }, { value: '6' }, ['6', 'six']].map(yields),
    ).toEqual([6, 6, 6, 6, 6, 6]);
  });

  test('recipes marked up in the page are read, as microdata and as RDFa', () => {
    expect(
      page(
        '<div itemscope itemtype="https://schema.org/Recipe"><h1 itemprop="name">Soup</h1><span itemprop="recipeYield">Serves 2</span><ul><li itemprop="recipeIngredient">2 onions, <b>diced</b></li><li itemprop="recipeIngredient">1 l stock</li></ul></div>',
      ),
    ).toMatchObject({ name: 'Soup', portions: 2, lines: [{ food: 'onion', tasks: [{ id: 'onion-dice' }] }, {}] });
    expect(
      lines(
        '<div vocab="https://schema.org/" typeof="Recipe"><p property="recipeIngredient">3 carrots, sliced</p></div>',
      ),
    ).toEqual(['3 carrots, sliced']);
  });

  test('linked data is found beside broken scripts, and with the faults pages make', () => {
    const json = '{"@type":"Recipe","name":"A\nB","recipeIngredient":["2 onions, diced",],}';
    expect(
      lines(
        `<script>if (a < b { </script><script type="application/ld+json">{broken</script><script type="application/ld+json">${json}</script>`,
      ),
    ).toEqual(['2 onions, diced']);
    expect(lines(`<p>unclosed <div><script type='application/ld+json'><!-- ${json} --></script>`)).toEqual([
      '2 onions, diced',
    ]);
  });

  const node = {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Harbour soup &amp; bread',
    recipeYield: ['4', '4 servings'],
    recipeIngredient: ['2 onions, chopped', '1 kg potatoes, peeled and diced', '1 l water'],
  };
  const ids = (source: string, portions?: number) =>
    readRecipe(source, knowledge, portions).lines.map((l) => l.tasks[0]?.id ?? '-');

  test.each<[string, string]>([
    ['a lone object', JSON.stringify(node)],
    ['an array', JSON.stringify([{ '@type': 'WebSite' }, node])],
    [
      'a graph',
      JSON.stringify({
        '@context': 'x',
        '@graph': [{ '@type': ['Thing', 'Person'] }, { ...node, '@type': ['Recipe', 'Thing'] }],
      }),
    ],
    [
      'a page',
      `<!doctype html><html><head><script type="application/ld+json">{"@type":"WebPage"}</script><script type="application/ld+json">${JSON.stringify(node)}</script></head><body>…</body></html>`,
    ],
    ['plain lines', '2 onions, chopped\n1 kg potatoes, peeled and diced\n\n1 l water\n'],
    ['lines with bullets', 'Serves 4\n• 2 onions, chopped\n- 1 kg potatoes, peeled and diced\n* 1 l water'],
  ])('%s', (_kind, source) => {
    expect(ids(source)).toEqual(['onion-dice', 'potato-dice', '-']);
    expect(readRecipe(source, knowledge).portions).toBe(4);
  });

  test('name and portions are read, and other portions scale quantities and tasks', () => {
    const recipe = readRecipe(JSON.stringify(node), knowledge, 8);
    expect(recipe.name).toBe('Harbour soup & bread');
    expect(recipe.portions).toBe(8);
    expect(recipe.lines[0]).toMatchObject({ quantity: 4, tasks: [{ id: 'onion-dice', amount: 4 }] });
  });

  test.each([
    ['', 'is empty; paste'],
    ['{', 'is not JSON'],
    ['{"@type":"Person"}', 'without a schema.org Recipe'],
    ['<html><body>no recipe</body></html>', 'no list of ingredients was found'],
    [JSON.stringify({ '@type': 'Recipe', recipeIngredient: [] }), 'at least one ingredient line'],
  ])('what holds no recipe is refused with the way out: %s', (source, words) => {
    expect(() => readRecipe(source, knowledge)).toThrow(words);
  });

  test('nothing is dropped: every line is read or listed as unread', () => {
    const source = 'For the sauce:\n2 onions, chopped\n???\nsome zorbleberries, finely sliced';
    const { lines, unread } = readRecipe(source, knowledge);
    expect(lines.map((l) => l.line)).toEqual(['2 onions, chopped']);
    expect(unread).toEqual(['For the sauce:', '???', 'some zorbleberries, finely sliced']);
    fc.assert(
      fc.property(fc.array(fc.string({ minLength: 1, maxLength: 60 }), { minLength: 1, maxLength: 12 }), (words) => {
        const wanted = words
          .map((w) =>
            w
              .replace(/[\r\n<>{}[\]]/g, ' ')
              .replace(/\s+/g, ' ')
              .trim(),
          )
          .filter(Boolean);
        if (wanted.length === 0) return;
        try {
          const got = readRecipe(wanted.join('\n'), knowledge);
          for (const { tasks } of got.lines)
            for (const { id, amount } of tasks) expect(reference.tasks.has(id) && amount > 0).toBe(true);
        } catch (error) {
          if (!(error instanceof FaultyInput)) throw error;
        }
      }),
      { numRuns: 300 },
    );
  });
});

test('the lexicon names only tasks there are, no food twice, and every class is used', () => {
  for (const [id, kind] of lexicon.classes) {
    for (const task of [kind.default, ...Object.values(kind.cuts)])
      if (task !== null) expect(reference.tasks.has(task), `${id}: ${task}`).toBe(true);
  }
  const used = new Set([...lexicon.names.values()].map(({ food }) => food.class));
  for (const id of lexicon.classes.keys()) expect(used.has(id), id).toBe(true);
});

test('forty lines are read in a blink', () => {
  const forty = rows
    .slice(0, 40)
    .map((row) => row.line)
    .join('\n');
  readRecipe(forty, knowledge);
  const began = performance.now();
  readRecipe(forty, knowledge);
  const took = performance.now() - began;
  console.log(`a recipe of 40 lines: ${took.toFixed(1)} ms`);
  expect(took).toBeLessThan(1000);
});

describe('what is cut, and how much of it', () => {
  const tasksOf = (text: string) =>
    Object.fromEntries(
      readRecipe(text, knowledge).lines.flatMap(({ tasks }) => tasks.map(({ id, amount }) => [id, amount])),
    );

  test('parts of one line cut in different ways are counted apart, and no more than there is', () => {
    expect(tasksOf('2 onions: slice one, dice the other')).toEqual({ 'onion-slice': 1, 'onion-dice': 1 });
    expect(tasksOf('3 onions, 1 sliced and the rest finely chopped')).toEqual({ 'onion-slice': 1, 'onion-dice': 2 });
    expect(tasksOf('2 onions, 3 sliced, 2 diced')).toEqual({ 'onion-dice': 2 });
  });

  test('small ones of a kind count by their weight', () => {
    const [cherry, whole] = [tasksOf('12 cherry tomatoes, halved'), tasksOf('12 tomatoes, halved')];
    expect(cherry['tomato-slice']).toBeLessThan(0.2 * (whole['tomato-slice'] ?? 0));
    expect(tasksOf('100 g cherry tomatoes, halved')['tomato-slice']).toBeCloseTo(100 / 110, 2);
  });

  test('what the method does with it wins over its usual work: grated, mashed and torn is no knife work', () => {
    const text =
      '2 carrots\n1 avocado\n1 onion\n2 courgettes\nMethod\nGrate the carrots. Mash the avocado.\nSlice the courgettes and 3 peppers.';
    expect(tasksOf(text)).toEqual({ 'onion-dice': 1, 'cucumber-slice': 2 });
    expect(readRecipe(text, knowledge).method).toEqual([
      { step: 2, text: expect.stringContaining('Slice') as string, tasks: [{ id: 'pepper-strips', amount: 3 }] },
    ]);
  });

  test('a fish of a stated weight is taken apart; a strip steak is no strips; an inch of ginger is no count', () => {
    expect(tasksOf('1 whole sea bream (about 500 g)')).toEqual({ 'fish-fillet-round': 1 });
    expect(tasksOf('1 salmon of 3 kg')).toEqual({ 'fish-fillet-round': 1 });
    expect(tasksOf('1 salmon fillet of 800 g')).toEqual({});
    expect(tasksOf('1 New York strip, about 300 g')).toEqual({});
    expect(tasksOf('2-inch piece of ginger, minced')['ginger-julienne']).toBeLessThan(2);
  });

  test('a first line that names no food is the name', () => {
    expect(readRecipe('Fattoush\n2 cucumbers\n1 tomato', knowledge)).toMatchObject({ name: 'Fattoush', unread: [] });
  });
});
