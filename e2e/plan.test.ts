import type { Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { openKitchen, type Origin } from './kitchens';
import { fileOf, pockets, saved, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();
const button = (page: Page, name: string) => page.waitForSelector(`xpath///button[normalize-space(.)="${name}"]`);
const openPlan = async (page: Page, origin: Origin) => {
  const opened = await openKitchen(page, origin);
  await settled(page);
  return opened;
};
const openStep = async (page: Page, order: number) => {
  // a step left open by what was done before stays open
  if (!(await page.$('section[aria-labelledby="story"]'))) {
    const all = await page.$$('section[aria-label="Your knife roll"] [data-pocket]');
    await all[order - 1]?.click();
  }
  await page.waitForSelector('section[aria-labelledby="story"]');
};

test('a step is swapped, excluded, put in another order with its cost told, bought, and the plan goes on from there', async () => {
  const { page, errors } = await visitor(browser);
  const { url, id } = await openPlan(page, 'millrace-flat');
  const first = (await pockets(page))[0];

  // a runner-up takes the first step's place
  await openStep(page, 1);
  await (await page.waitForSelector('section[aria-labelledby="story"] [aria-label^="Take "]'))?.click();
  await page.waitForSelector('[aria-label^="Let go: Must have"]');
  await settled(page);
  const swappedIn = (await fileOf(page, id)).limits;
  expect([swappedIn?.must?.length, swappedIn?.never?.length]).toEqual([1, 1]);
  expect((await pockets(page))[0]).not.toBe(first);
  await page.click('[aria-label^="Let go: Must have"]');
  await page.waitForSelector('[aria-label^="Let go: Never"]');
  await page.click('[aria-label^="Let go: Never"]');
  await page.waitForFunction(() => !document.querySelector('[aria-label^="Let go"]'));
  await settled(page);
  expect((await pockets(page))[0]).toBe(first);

  // the order by keys, and what it costs
  await (await button(page, 'Order and locks'))?.click();
  const later = await page.waitForSelector('ol[aria-label="Order of the steps"] li:first-child [aria-label$=" later"]');
  await later?.focus();
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('The order is yours'));
  await settled(page);
  expect(await textOf(page, 'main')).toMatch(/costs \d+\.\d points|It costs nothing/);
  expect((await pockets(page))[0]).not.toBe(first);
  // dragged onto the lock it stays; by key it is let go
  const middle = async (selector: string) => {
    const box = await (await page.waitForSelector(selector))?.boundingBox();
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 };
  };
  await page.$eval('ol[aria-label="Order of the steps"]', (list) => list.scrollIntoView({ block: 'center' }));
  const grip = await middle(
    'ol[aria-label="Order of the steps"] li:has([aria-label^="Lock "]:enabled) [aria-label^="Drag "]',
  );
  const lock = await middle('xpath///p[contains(., "Drop a knife here")]');
  await page.mouse.move(grip.x, grip.y);
  await page.mouse.down();
  await page.mouse.move(grip.x, grip.y - 12, { steps: 4 });
  await page.mouse.move(lock.x, lock.y, { steps: 8 });
  await page.mouse.up();
  await page.waitForSelector('[aria-label^="Let go: Must have"]');
  // the list is laid out anew with the answer: what has the focus stays after that
  await settled(page);
  await page.waitForSelector('[aria-label^="Unlock "]');
  await page.focus('[aria-label^="Unlock "]');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => !document.querySelector('[aria-label^="Let go: Must have"]'));
  await (await button(page, 'Let the plan decide'))?.click();
  await page.waitForFunction(() => !document.querySelector('main')?.textContent?.includes('The order is yours'));
  await settled(page);

  // bought: in the drawer with its day and price, the money is less, a snapshot is kept
  const money = (await fileOf(page, id)).budget?.total ?? 0;
  await openStep(page, 1);
  await (await button(page, 'I bought it'))?.click();
  await page.waitForFunction(() => !document.querySelector('section[aria-labelledby="story"]'));
  await settled(page);
  const after = await fileOf(page, id);
  const knife = after.owned?.at(-1);
  expect(knife?.boughtOn).toMatch(/^\d{4}-\d\d-\d\d$/);
  expect((after.budget?.total ?? 0) + (knife?.paid ?? 0)).toBeCloseTo(money, 2);
  expect(await textOf(page, 'section[aria-label="Your knife roll"]')).toContain('Keep, keen');
  await page.goto(`${url}/what-if`);
  await page.waitForSelector('[aria-label^="Compare with Before: bought"]');
  await page.click('[aria-label^="Compare with Before: bought"]');
  await page.waitForFunction(() => document.querySelector('[aria-label="Differences"] li') !== null);
  expect(errors).toEqual([]);
});

test('a roll of many pockets shows them all within the window, and one of few uses its whole width', async () => {
  const { page, errors } = await visitor(browser);
  const owned = ['gyuto', 'nakiri', 'petty', 'paring', 'bread', 'carving', 'fillet', 'deba', 'utility', 'slicer'];
  await openPlan(page, {
    format: 'scabbard.kitchen',
    version: 1,
    owned: owned.map((type) => ({ type, condition: 'keen', use: 'daily' })),
    cooking: { mealsPerWeek: 7, tasks: [{ id: 'roast-carve', times: 1, per: 'week' }] },
  });
  /** How far the pockets reach within the roll: the share of its width, and how many stick out. */
  const reach = () =>
    page.$eval('section[aria-label="Your knife roll"]', (roll) => {
      const { left, right, width } = roll.getBoundingClientRect();
      const boxes = [...roll.querySelectorAll('li')].map((pocket) => pocket.getBoundingClientRect());
      return {
        pockets: boxes.length,
        out: boxes.filter((box) => box.right > right || box.left < left).length,
        share: (Math.max(...boxes.map((box) => box.right)) - left) / width,
      };
    });
  expect(await reach()).toMatchObject({ out: 0 });
  expect((await reach()).pockets).toBeGreaterThanOrEqual(owned.length);
  await openPlan(page, 'saltstair-supper-house');
  expect(await reach()).toMatchObject({ out: 0 });
  expect((await reach()).share).toBeGreaterThan(0.9);
  expect(errors).toEqual([]);
});

test('what each serves and what other money would buy come when scrolled to, with every size proven and the doubt counted', async () => {
  const { page, errors } = await visitor(browser);
  await openPlan(page, 'saltstair-supper-house');
  await page.evaluate(() => document.querySelector('section[aria-label="What each knife serves"]')?.scrollIntoView());
  await page.waitForSelector('section[aria-labelledby="strip"] rect');
  expect(await page.$$eval('section[aria-labelledby="strip"] details li', (all) => all.length)).toBeGreaterThan(20);
  await page.evaluate(() =>
    document.querySelector('section[aria-label="What other money would buy"]')?.scrollIntoView(),
  );
  await page.waitForFunction(
    () => document.querySelectorAll('section[aria-label="What other money would buy"] tbody tr').length >= 7,
  );
  await page.waitForFunction(() =>
    [...document.querySelectorAll('section[aria-label="What other money would buy"] tbody tr')].every((r) =>
      r.textContent?.includes('proven best'),
    ),
  );
  expect(await textOf(page, 'section[aria-label="What other money would buy"]')).toMatch(
    /Up to €[\d.,]+ the money does most/,
  );
  await openStep(page, 1);
  await page.waitForFunction(() =>
    /\d+ of 100/.test(document.querySelector('section[aria-labelledby="story"]')?.textContent ?? ''),
  );
  expect(errors).toEqual([]);
});

test('ten schools side by side, one taken over with a click; a disagreement taken; a set judged', async () => {
  const { page, errors } = await visitor(browser);
  const { id } = await openKitchen(page, 'saltstair-supper-house', '/schools');
  await page.waitForFunction(() => document.querySelectorAll('main ul:first-of-type > li h2').length === 10);
  expect(await page.$$eval('main li svg', (all) => all.length)).toBeGreaterThanOrEqual(9);
  await page.click('[aria-label="Plan by this: The classic three"]');
  await page.waitForFunction(() => document.querySelector('[data-taken] h2')?.textContent === 'The classic three');
  await (await page.waitForSelector('xpath///button[.//b[text()="Petty"]]'))?.click();
  await page.waitForSelector('xpath///button[@aria-pressed="true"][.//b[text()="Petty"]]');
  await saved(page);
  expect((await fileOf(page, id)).limits).toMatchObject({
    school: 'classic-three',
    never: ['paring', 'birds-beak', 'folding'],
  });
  await page.waitForFunction(() => /the set wins|singles win/.test(document.querySelector('table')?.textContent ?? ''));
  expect(errors).toEqual([]);
});

test('what if: a scratch copy beside the kitchen, kept as a scenario, thrown away, taken up again and kept', async () => {
  const { page, errors } = await visitor(browser);
  const { id } = await openKitchen(page, 'saltstair-supper-house', '/what-if');
  await page.waitForSelector('section[aria-label="As it is"] svg');
  await (await page.waitForSelector('xpath///aside//button[contains(., "What you cook")]'))?.click();
  await (await page.waitForSelector('xpath///aside//label[normalize-space(.)="Fish"]'))?.click();
  await page.waitForSelector('section[aria-label="As it would be"]');
  await page.waitForFunction(() => document.querySelectorAll('[aria-label="Differences"] li').length > 0);
  expect((await fileOf(page, id)).avoids).not.toContain('fish');
  await page.type('input[placeholder="if we ate no meat"]', 'Without fish');
  await (await button(page, 'Keep the scenario'))?.click();
  await page.waitForSelector('[aria-label="Compare with Without fish"]');
  await (await button(page, 'Discard changes'))?.click();
  await page.waitForSelector('section[aria-label="The same, so far"]');
  await page.click('[aria-label="Compare with Without fish"]');
  await page.waitForSelector('section[aria-label="As it would be"]');
  await (await button(page, 'Keep these changes'))?.click();
  await saved(page);
  await page.waitForFunction(
    () => document.querySelector<HTMLButtonElement>('[aria-label^="Undo"]')?.disabled === false,
  );
  expect((await fileOf(page, id)).avoids).toContain('fish');
  await page.click('[aria-label="Delete Without fish"]');
  await page.waitForFunction(() => !document.querySelector('[aria-label="Delete Without fish"]'));
  expect(errors).toEqual([]);
});

test('the questions fold into sentences; reasons open beside the roll, follow their step, and close with Escape', async () => {
  const { page, errors } = await visitor(browser);
  await openPlan(page, 'saltstair-supper-house');
  const said = await textOf(page, 'aside');
  expect(said).toContain('Raw fish and Mediterranean fish');
  expect(said).toContain('€650 in all, €120 a month');
  expect(await page.$('aside input')).toBeNull();
  // whole in the window: every pocket’s drawing, name, length, price and what it adds
  const below = await page.$$eval(
    '[data-pocket]',
    (all) =>
      all.filter((pocket) => {
        const price = [...pocket.querySelectorAll('span')].find((e) => /points?$/.test(e.textContent ?? ''));
        return (price?.getBoundingClientRect().bottom ?? Infinity) > innerHeight;
      }).length,
  );
  expect(below).toBe(0);
  await page.focus('[data-pocket="2"]');
  await page.keyboard.press('Enter');
  await page.waitForSelector('aside section[aria-labelledby="story"]');
  const name = await textOf(page, '#story');
  const beside = await page.$eval('aside section[aria-labelledby="story"]', (e) => e.getBoundingClientRect().top);
  expect(beside).toBeLessThan(400);
  // another order: the reasons stay with their step
  await (await button(page, 'Order and locks'))?.click();
  const earlier = await page.waitForSelector(
    'ol[aria-label="Order of the steps"] li:nth-child(2) [aria-label$=" earlier"]',
  );
  await earlier?.focus();
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    (was) => document.querySelector('#story')?.textContent?.startsWith('1.') && !was.startsWith('1.'),
    {},
    name,
  );
  expect((await textOf(page, '#story')).replace(/^\d+/, '')).toBe(name.replace(/^\d+/, ''));
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('#story'));
  expect(await page.evaluate(() => document.activeElement?.getAttribute('data-pocket'))).toBe('1');
  expect(errors).toEqual([]);
});
