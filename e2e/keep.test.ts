import { readFileSync } from 'node:fs';
import type { Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { fileOf, saved, tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

/** A kitchen of those who own these knives, opened at a view of keeping: its address. */
async function keeping(page: Page, view: string, owned: readonly object[], more: object = {}): Promise<string> {
  const kitchen = {
    ...JSON.parse(readFileSync('data/kitchens/millrace-flat.json', 'utf8')),
    budget: { total: 0 },
    owned,
    ...more,
  } as object;
  return (await openKitchen(page, kitchen, `/keep${view}`)).url;
}
const said = (page: Page, words: string) =>
  page
    .waitForFunction(
      (sought) => document.querySelector('main')?.textContent?.includes(sought),
      { timeout: 15_000 },
      words,
    )
    .catch(async () => {
      throw new Error(`never said “${words}”: ${await textOf(page, 'main')}`);
    });

const CHEF = { type: 'chef', lengthMm: 200, condition: 'keen' };
const PARING = { type: 'paring', lengthMm: 80, condition: 'keen' };
const BREAD = { type: 'bread', lengthMm: 250, condition: 'keen' };

test('places hold the knives to scale; moved by keys and by mouse, refused where one does not fit, undone, printed', async () => {
  const { page, errors } = await visitor(browser, 1280, 1500);
  const url = await keeping(page, '', [CHEF, PARING, BREAD]);
  await said(page, 'They have no place yet.');
  await tap(page, 'xpath///button[starts-with(normalize-space(.), "Block")]');
  await said(page, 'One finds no place.');
  expect(await textOf(page, '[aria-labelledby="left"]')).toMatch(
    /Bread knife.*longer than every slot of the block \(240 mm at most\)/,
  );
  await tap(page, 'xpath///button[starts-with(normalize-space(.), "Drawer tray")]');
  await said(page, 'All 3 have their place.');

  // by keys: the lowest slot is too short for it
  const chef = 'button[aria-label^="Chef\'s knife, 200 mm: Block"]';
  const at = async () => (await page.waitForSelector(chef))?.evaluate((e) => e.getAttribute('aria-label'));
  const before = await at();
  await page.focus(chef);
  await page.keyboard.press('Space');
  await said(page, 'let go, or press Space');
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowDown');
  await said(page, 'longer than the slot');
  await page.keyboard.press('Space');
  await said(page, 'stays where it was');
  expect(await at()).toBe(before);

  // by mouse, from the block into the tray
  const from = await (await page.waitForSelector(chef))?.boundingBox();
  const tray = await (await page.waitForSelector('svg[aria-label^="Drawer tray"]'))?.boundingBox();
  if (!from || !tray) throw new Error('nothing to drag');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(tray.x + 200, tray.y + tray.height - 60, { steps: 8 });
  await said(page, 'It fits here');
  await page.mouse.up();
  await page.waitForSelector('button[aria-label^="Chef\'s knife, 200 mm: Drawer tray"]');
  await saved(page);
  const laid = (await fileOf(page, url)).storage?.laid;
  expect(laid?.find(({ owned }) => owned === 0)).toMatchObject({ place: 1 });
  await tap(page, 'button[aria-label^="Undo"]');
  await page.waitForSelector(chef);

  // measured anew, the block takes the bread knife's length too
  await tap(page, 'section[aria-label="Block"] button');
  const deep = await page.waitForSelector('[role="group"][aria-label="Slot 1"] input');
  await deep?.click({ count: 3 });
  await deep?.type('260\n');
  await saved(page);
  expect((await fileOf(page, url)).storage?.places[0]).toMatchObject({ slots: [{ lengthMm: 260 }, {}, {}, {}, {}] });

  const pdf = (trueSize: boolean) =>
    page.evaluate(
      async (asked) => {
        const answer = await fetch('/api/places', {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(asked),
        });
        return `${answer.status} ${answer.headers.get('content-type') ?? ''} ${(await answer.text()).slice(0, 200)}`;
      },
      {
        title: 'A',
        paper: 'a4',
        trueSize,
        knives: [],
        placed: [],
        places: [{ name: 'Tray', place: { kind: 'tray', lengthMm: 1900, widthMm: 1900, heightMm: 60, slats: null } }],
      },
    );
  expect(await pdf(false)).toMatch(/^200 application\/pdf %PDF/);
  expect(await pdf(true)).toMatch(/^422 .*print it as a plan/);
  expect(errors.filter((each) => !each.includes('422'))).toEqual([]);
});

test('a roll is packed for another kitchen, and changes with its board, its pockets and what it may weigh', async () => {
  const { page, errors } = await visitor(browser);
  const url = await keeping(page, '/away', [
    CHEF,
    PARING,
    BREAD,
    { ...CHEF, lengthMm: 180, condition: 'dull', keep: 'lend' },
  ]);
  await tap(page, 'xpath///button[contains(., "Pack a roll")]');
  await said(page, 'Packing list for Elsewhere 1');
  await said(page, 'Without it');
  await page.select('xpath///label[contains(., "Its board")]/following::select[1]', 'glass');
  await said(page, 'For their hard board');
  await said(page, 'A board of your own');
  const weight = await page.waitForSelector('xpath///label[contains(., "Most it may weigh")]/following::input[1]');
  await weight?.type('250\n');
  await page.waitForFunction(
    () => Number(/kni(?:fe|ves), (\d+) g/.exec(document.querySelector('main')?.textContent ?? '')?.[1]) <= 250,
  );
  await saved(page);
  expect((await fileOf(page, url)).away).toEqual([
    { name: 'Elsewhere 1', board: { material: 'glass' }, maxWeightG: 250 },
  ]);
  expect(errors).toEqual([]);
});

test('by one thumb: a knife is drawn by a tap, taken back, and weeks of it teach the plan and name what is hoarded', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  const diary = Array.from({ length: 30 }, (_, i) => ({
    on: `2026-0${1 + Math.floor(i / 28)}-${String(1 + (i % 28)).padStart(2, '0')}`,
    knife: 0,
    did: 'used',
  }));
  const url = await keeping(page, '/use', [CHEF, PARING, BREAD], { diary });
  await said(page, '30 uses in 33 days');
  await said(page, 'What it changed in the plan');
  await said(page, 'something else is taken');
  await tap(page, 'xpath///button[contains(., "Bread knife")]');
  await said(page, '31 uses');
  await tap(page, 'xpath///button[contains(., "Take it back")]');
  await said(page, '30 uses');
  await page.click('input[role="switch"]');
  await page.waitForFunction(() => !document.querySelector('main')?.textContent?.includes('What it changed'));
  await saved(page);
  expect(await fileOf(page, url)).toMatchObject({ learnsFromUse: false, diary: { length: 30 } });
  expect(errors).toEqual([]);
});

test('the sheet for the wall says what each knife is for, who may use it, and how it is treated', async () => {
  const { page, errors } = await visitor(browser);
  await keeping(page, '/wall', [CHEF, BREAD], { cooks: [{ name: 'Ilka' }, { name: 'Bo', mayUse: [1] }] });
  await said(page, 'For all of them');
  const knives = await page.$$eval('article li', (all) => all.map((e) => e.textContent ?? ''));
  expect(knives[0]).toMatch(/Chef's knife, 200 mmTo .*no twisting.*Only Ilka/);
  expect(knives[1]).toMatch(/Bread knife/);
  expect(knives[1]).not.toMatch(/Only/);
  expect(knives.at(-1)).toMatch(/A dull knife slips/);
  expect(errors).toEqual([]);
});
