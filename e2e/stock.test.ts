import type { Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { DEFAULTS } from '../src/core/kitchen/defaults';
import { openKitchen, ownKitchen } from './kitchens';
import { address, fileOf, saved, settled, tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

/** A cook at the keyboard: every key is counted. */
class Keys {
  count = 0;
  constructor(private readonly page: Page) {}
  async press(key: Parameters<Page['keyboard']['press']>[0]) {
    this.count++;
    await this.page.keyboard.press(key);
  }
  async type(text: string) {
    this.count += text.length;
    await this.page.keyboard.type(text);
  }
  /** Tabs on until what has the focus has this name. */
  async tabTo(name: RegExp, most = 120) {
    const met: string[] = [];
    for (let i = 0; i < most; i++) {
      await this.press('Tab');
      const here = await this.page.evaluate(() => {
        const e = document.activeElement;
        if (!(e instanceof HTMLElement || e instanceof SVGElement) || e === document.body) return '';
        const labelled = e instanceof HTMLInputElement || e instanceof HTMLSelectElement;
        const label = labelled ? (e.labels?.[0]?.textContent ?? '') : '';
        return `${e.getAttribute('aria-label') ?? ''} ${label} ${e.textContent ?? ''}`;
      });
      if (name.test(here)) return;
      met.push(here.trim().slice(0, 40));
    }
    throw new Error(`no ${String(name)} by Tab, only ${met.join(' | ')}`);
  }
}

test('from nothing to a plan that knows the cook, eight dishes and five knives, by keyboard alone', async () => {
  const { page, errors } = await visitor(browser);
  const { url, id } = await openKitchen(page, 'nothing', '/cooks');
  const keys = new Keys(page);
  await page.waitForSelector('svg[aria-label^="Drawn to scale"]');
  await keys.tabTo(/^ ?Wrist crease/);
  await page.keyboard.down('Control');
  await keys.press('a');
  await page.keyboard.up('Control');
  await keys.type('165');
  await keys.press('Enter');
  await page.waitForFunction(() =>
    /Shorter: \d+–\d+ mm → \d+–\d+ mm/.test(
      document.querySelector('[aria-label="What your last answer changed"]')?.textContent ?? '',
    ),
  );
  await keys.tabTo(/Home cook/);
  await keys.press('ArrowRight');
  await saved(page);

  await page.goto(`${url}/cutting`);
  await page.waitForSelector('#load');
  await keys.tabTo(/Find a dish/);
  for (const dish of [
    'minestone',
    'aubergine bake',
    'hunters chiken',
    'mushroom risoto',
    'raw fish plate',
    'shepherds pie',
    'ratatouile',
    'onion tart',
  ]) {
    await keys.type(dish);
    await page.waitForSelector('ul button[aria-label^="Add "]:not([disabled])');
    await keys.press('Enter');
    await page.waitForFunction(
      () => document.querySelector<HTMLInputElement>('input[placeholder="a name, roughly spelt"]')?.value === '',
    );
  }
  await saved(page);

  await page.goto(`${url}/drawer`);
  await page.waitForSelector('[aria-label="Length of the edge"]');
  await keys.tabTo(/Kind of knife/);
  for (const kind of ['Chef', 'Paring', 'Bread', 'Santoku', 'Fillet']) {
    await keys.type(kind);
    const before = await page.$$eval('main li', (all) => all.length);
    await keys.tabTo(/Add to the drawer/, 20);
    await keys.press('Enter');
    await page.waitForFunction((n) => document.querySelectorAll('main li').length > n, {}, before);
    await page.focus('xpath///label[contains(., "Kind of knife")]/following::select[1]');
  }
  await saved(page);

  await page.goto(url);
  await settled(page);
  const kitchen = await fileOf(page, id);
  expect(kitchen.cooks?.[0]).toMatchObject({ handLengthMm: 165, experience: 'keen' });
  expect(kitchen.cooking?.dishes).toHaveLength(8);
  expect(kitchen.owned?.map((o) => o.type)).toEqual(['chef', 'paring', 'bread', 'santoku', 'fillet']);
  console.log(`a whole kitchen by keyboard: ${keys.count} keys`);
  // at three keys a second a practised hand is done in under three minutes
  expect(keys.count).toBeLessThan(540);
  expect(errors).toEqual([]);
});

test('every edit is undone and done again, by keys and buttons, also from the next page', async () => {
  const { page, errors } = await visitor(browser);
  const { url, id } = await openKitchen(page, 'nothing', '/cooks');
  await page.waitForSelector('svg[aria-label^="Drawn to scale"]');
  const pick = async (name: string) =>
    (await page.waitForSelector(`xpath///button[@role="radio"][.//b[text()="${name}"]]`))?.click();
  await pick('Trained');
  await saved(page);
  await new Promise((resolve) => setTimeout(resolve, 800));
  await pick('Glass');
  await saved(page);
  expect((await fileOf(page, id)).board?.material).toBe('glass');
  await page.keyboard.down('Control');
  await page.keyboard.press('z');
  await page.keyboard.up('Control');
  await page
    .waitForFunction(() => document.querySelector('header [role="status"]')?.textContent !== 'Saved')
    .catch(() => undefined);
  await saved(page);
  expect((await fileOf(page, id)).board?.material).toBeUndefined();
  await page.click('[aria-label^="Redo"]');
  await page.waitForFunction(() => document.querySelector<HTMLButtonElement>('[aria-label^="Redo"]')?.disabled);
  await saved(page);
  expect((await fileOf(page, id)).board?.material).toBe('glass');
  // on another page the steps are still there
  await page.goto(`${url}/drawer`);
  await page.waitForFunction(
    () => document.querySelector<HTMLButtonElement>('[aria-label^="Undo"]')?.disabled === false,
  );
  await page.click('[aria-label^="Undo"]');
  await page.click('[aria-label^="Undo"]');
  await page.waitForFunction(() => document.querySelector<HTMLButtonElement>('[aria-label^="Undo"]')?.disabled);
  await saved(page);
  const back = await fileOf(page, id);
  expect([back.board?.material, back.cooks?.[0]?.experience]).toEqual([undefined, undefined]);
  expect(errors).toEqual([]);
});

test('a recipe is pasted, corrected by picking, kept as a dish, and its minutes are traced to it', async () => {
  const { page, errors } = await visitor(browser);
  const { id } = await openKitchen(page, 'nothing', '/cutting');
  await page.waitForSelector('#load');
  await (await page.waitForSelector('xpath///summary[contains(., "Bring in recipes")]'))?.click();
  await page.type(
    'textarea',
    'Serves 2\n3 leeks, sliced\n1 kg potatoes, peeled and diced\n1 l stock\nsome zorbleberries, sliced',
  );
  await (await page.waitForSelector('xpath///button[text()="Read it" or .//span[text()="Read it"]]'))?.click();
  await page.waitForSelector('select[aria-label="Task of: 3 leeks, sliced"]');
  expect(
    await page.$eval('select[aria-label="Task of: 3 leeks, sliced"]', (e) =>
      e instanceof HTMLSelectElement ? e.value : '',
    ),
  ).toBe('scallion-slice');
  expect(
    await page.$eval('select[aria-label="Task of: 1 l stock"]', (e) =>
      e instanceof HTMLSelectElement ? e.value : 'x',
    ),
  ).toBe('');
  await page.select('select[aria-label="Task of: 3 leeks, sliced"]', 'onion-slice');
  await page.select('select[aria-label="Task of: some zorbleberries, sliced"]', 'strawberry-hull');
  await page.waitForFunction(() => !document.querySelector('[data-standing="unread"]'));
  await page.type('input[placeholder="A dish"]', 'Leek soup');
  const times = await page.waitForSelector('xpath///label[contains(., "Cooked, times")]/following::input[1]');
  await times?.click({ count: 3 });
  await times?.type('2\n');
  await (await page.waitForSelector('xpath///button[.//span[text()="Keep as a dish"]]'))?.click();
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('Leek soup is kept'));
  await saved(page);
  const kitchen = await fileOf(page, id);
  expect(kitchen.cooking?.dishes?.[0]).toMatchObject({ id: 'own-leek-soup', times: 2, per: 'week' });
  expect(kitchen.cooking?.mealsPerWeek).toBe(DEFAULTS.mealsPerWeek - 2);
  expect(kitchen.cooking?.ownDishes?.[0]).toMatchObject({
    id: 'own-leek-soup',
    portions: 2,
    tasks: [
      { id: 'onion-slice', amount: 3 },
      { id: 'potato-dice', amount: 5.88 },
      { id: 'root-peel', amount: 1.96 },
      { id: 'strawberry-hull', amount: 1 },
    ],
  });
  // the correction is remembered for this workspace, for another amount
  await page.type('textarea', '5 leeks, sliced\n---\n2 Zwiebeln, fein gehackt\n500 g Kartoffeln\n1 EL Öl');
  await (await page.waitForSelector('xpath///button[.//span[text()="Read it"]]'))?.click();
  await page.waitForFunction(() => document.querySelectorAll('ol > li > button[aria-expanded]').length === 2);
  await page.waitForSelector('select[aria-label="Task of: 5 leeks, sliced"]');
  expect(await textOf(page, 'main')).toContain('as you corrected it before');
  await (await page.$$('ol > li > button[aria-expanded]'))[1]?.click();
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('Read from German'));
  await (await page.waitForSelector('xpath///button[.//span[text()="Keep 2 dishes"]]'))?.click();
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('2 dishes are kept'));
  await (await page.waitForSelector('xpath///aside//summary[contains(., "Dice potatoes")]'))?.click();
  await expect.poll(() => textOf(page, 'aside'), { timeout: 15_000 }).toContain('Leek soup');
  // nonsense is refused with the way out, and nothing is lost
  await page.type('textarea', '<html>no recipe</html>');
  await (await page.waitForSelector('xpath///button[.//span[text()="Read it"]]'))?.click();
  await page.waitForFunction(() =>
    document.querySelector('main')?.textContent?.includes('no list of ingredients was found'),
  );
  expect(await page.$eval('textarea', (e) => e.value)).toContain('no recipe');
  expect(errors).toEqual([]);
});

test('on a phone the palm is measured against the calibrated screen, and a knife put in the drawer', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  const { url, id } = await openKitchen(page, 'nothing', '/cooks');
  await tap(page, 'xpath///button[.//span[text()="Lay the hand on the screen"]]');
  await page.focus('[aria-label="Size of the card’s outline"]');
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await tap(page, 'xpath///button[.//span[text()="It fits"]]');
  const palm = await page.waitForSelector('[role="slider"][aria-label="Sides of the palm"]');
  const before = Number(await palm?.evaluate((e) => e.getAttribute('aria-valuenow')));
  await palm?.evaluate((e) => e instanceof SVGElement && e.focus());
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowUp');
  await page.waitForFunction(
    (was) =>
      Number(document.querySelector('[aria-label="Sides of the palm"]')?.getAttribute('aria-valuenow')) === was + 6,
    {},
    before,
  );
  await saved(page);
  const cook = (await fileOf(page, id)).cooks?.[0];
  expect(cook?.palmBreadthMm).toBe(before + 6);
  expect(cook?.handLengthMm).toBe(Math.round((before + 6) / 0.455));
  expect(await page.evaluate(() => Number(localStorage.getItem('scabbard.px-per-mm')?.split(' ')[0]))).toBeCloseTo(
    96 / 25.4 + 0.05,
    1,
  );

  await page.goto(`${url}/drawer`);
  const tip = await page.waitForSelector('[aria-label="Length of the edge"]');
  const box = await tip?.boundingBox();
  if (!box) throw new Error('no slider');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 - 40, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await tap(page, 'xpath///button[@role="radio"][.//b[text()="Dull"]]');
  await tap(page, 'xpath///button[.//span[text()="Add to the drawer"]]');
  await page.waitForFunction(() =>
    document.querySelector('main li')?.textContent?.includes('It only needs sharpening'),
  );
  await saved(page);
  const knife = (await fileOf(page, id)).owned?.[0];
  expect(knife).toMatchObject({ type: 'chef', condition: 'dull' });
  expect(knife?.lengthMm).toBeLessThan(190);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  expect(errors).toEqual([]);
});

test('a list of knives is refused with its faults and taken over whole', async () => {
  const { page } = await visitor(browser);
  const { id } = await openKitchen(page, 'nothing', '/drawer');
  const many = await page.waitForSelector('xpath///summary[contains(., "Add many from a list")]');
  // pressed with the keyboard: the page may still be settling under a pointer
  await many?.focus();
  await page.keyboard.press('Enter');
  await page.waitForSelector('details[open] textarea');
  const put = async (text: string) => {
    await page.$eval('textarea', (e) => e.select());
    await page.type('textarea', text);
    await (await page.waitForSelector('xpath///button[.//span[text()="Put them in"]]'))?.click();
  };
  await put('type,lengthMm\ncheff,200');
  await page.waitForFunction(() => document.body.textContent?.includes('did you mean chef?'));
  expect((await fileOf(page, id)).owned).toBeUndefined();
  await put('type,lengthMm,condition\nchef,200,dull\nparing,90,keen');
  await page.waitForFunction(() => document.querySelectorAll('main li').length === 2);
  await saved(page);
  expect((await fileOf(page, id)).owned).toHaveLength(2);
});

test('kitchens are copied, renamed, deleted and had back from the first page', async () => {
  const { page, errors } = await visitor(browser);
  const { id } = await ownKitchen(page, 'nothing');
  await page.goto(address);
  const names = () => page.$$eval('section[aria-labelledby="mine"] li strong', (all) => all.map((e) => e.textContent));
  await page.waitForSelector('[aria-label="Copy My kitchen"]');
  await page.click('[aria-label="Copy My kitchen"]');
  await page.waitForFunction(() => document.querySelectorAll('section[aria-labelledby="mine"] li').length === 2);
  expect(await names()).toEqual(['My kitchen, copy', 'My kitchen']);
  await page.click('[aria-label="Rename My kitchen, copy"]');
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await page.keyboard.type('Holiday let');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[aria-label="Delete Holiday let"]');
  await page.click('[aria-label="Delete My kitchen"]');
  await page.waitForFunction(() => document.querySelectorAll('section[aria-labelledby="mine"] li').length === 1);
  expect(await page.evaluate(async (url) => (await fetch(url)).status, `/api/kitchens/${id}`)).toBe(404);
  await (
    await page.waitForSelector('xpath///section[@aria-labelledby="mine"]//button[.//span[text()="Undo"]]')
  )?.click();
  await page.waitForFunction(() => document.querySelectorAll('section[aria-labelledby="mine"] li').length === 2);
  await page.reload();
  await page.waitForSelector('section[aria-labelledby="mine"] li');
  expect((await names()).sort()).toEqual(['Holiday let', 'My kitchen']);
  // the 404 above is logged by the browser
  expect(errors.filter((e) => !e.includes('404'))).toEqual([]);
});
