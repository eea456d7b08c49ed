import ICAL from 'ical.js';
import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { fileOf, saved, tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('the rack tells how keen each knife is and what is due; sharpened today makes it keen and moves its dates', async () => {
  const { page, errors } = await visitor(browser);
  const { url } = await openKitchen(page, 'millrace-flat', '/edge');
  await page.waitForSelector('#rack');
  const rack = () => page.$$eval('#rack + ul > li', (all) => all.map((e) => e.textContent ?? ''));
  expect((await rack())[0]).toMatch(/dull 40%/);
  expect((await rack()).some((each) => each.includes('Not there yet'))).toBe(true);
  const before = await textOf(page, '[aria-labelledby="calendar"]');
  await (await page.waitForSelector('button[aria-label^="Sharpened today"]'))?.click();
  await page.waitForFunction(() => /keen 100%/.test(document.querySelector('#rack + ul > li')?.textContent ?? ''));
  await saved(page);
  await expect.poll(async () => (await fileOf(page, url)).owned?.[0]?.condition, { timeout: 5000 }).toBe('keen');
  expect(await textOf(page, '[aria-labelledby="calendar"]')).not.toBe(before);
  const [owned] = (await fileOf(page, url)).owned ?? [];
  expect(owned?.sharpenedOn).toMatch(/^\d{4}-\d\d-\d\d$/);
  expect(await page.$$eval('[aria-labelledby="years"] tbody tr', (rows) => rows.length)).toBe(4);
  expect(errors).toEqual([]);
});

test('by one thumb: honed in a tap, tested on the scale, found and corrected in the diary, undone', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  const { url } = await openKitchen(page, 'millrace-flat', '/edge');
  const said = (words: string) =>
    page.waitForFunction(
      (sought) => document.querySelector('main')?.textContent?.includes(sought),
      { timeout: 30_000 },
      words,
    );
  await tap(page, 'button[aria-label^="Sharpened today"]');
  await tap(page, 'button[aria-label^="Honed"]');
  await said('2 of 2 entries');
  await tap(page, 'button[aria-label^="Test it"]');
  await tap(page, 'xpath///button[contains(., "A thread over")]');
  await tap(page, 'xpath///button[contains(., "Read the simulated scale")]');
  await tap(page, 'xpath///button[starts-with(normalize-space(.), "Take ") and contains(., " g") and not(@disabled)]');
  await said('By one test it keeps its edge');
  await saved(page);
  expect((await fileOf(page, url)).diary?.map(({ did }) => did)).toEqual(['sharpened', 'honed', 'tested']);
  await page.type('input[placeholder="a knife, a deed, a month"]', 'honed');
  await said('1 of 3 entries');
  await tap(page, 'button[aria-label^="Change: Utility"]');
  await page.type('section[aria-labelledby="diary"] li input:not([type="date"])', 'after the onions');
  await said('“after the onions”');
  await tap(page, 'xpath///button[contains(., "Take it out")]');
  await said('0 of 2 entries');
  await tap(page, 'button[aria-label^="Undo"]');
  await said('1 of 3 entries');
  await saved(page);
  expect((await fileOf(page, url)).diary).toHaveLength(3);
  expect(errors).toEqual([]);
});

test('at the stone: step by step with the space bar, taken up again where it was left, and written down', async () => {
  const { page, errors } = await visitor(browser);
  const { url } = await openKitchen(page, 'millrace-flat', '/edge/0');
  const at = (title: RegExp) =>
    page.waitForFunction(
      (pattern) =>
        document.activeElement?.tagName === 'H1' && new RegExp(pattern).test(document.activeElement.textContent ?? ''),
      {},
      title.source,
    );
  await at(/Make the place ready/);
  await page.keyboard.press('Space');
  await at(/Soak the stones/);
  await tap(page, 'button[aria-label^="In the water"]');
  await page.waitForSelector('[role="timer"]');
  await page.keyboard.press('Escape');
  await page.$eval('h1', (e) => e.focus());
  await page.keyboard.press('Space');
  await at(/Flatten/);
  await page.reload();
  await at(/Flatten/);
  for (const title of [/first side/, /other side/, /burr/, /Rinse, dry/]) {
    await page.keyboard.press('Space');
    await at(title);
  }
  await tap(page, 'xpath///button[contains(., "write it down")]');
  await saved(page);
  const { diary, owned } = await fileOf(page, url);
  expect(diary?.[0]).toMatchObject({ did: 'sharpened', by: 'stones', knife: 0 });
  expect(owned?.[0]?.condition).toBe('keen');
  expect(errors).toEqual([]);
});

test('sharpening days at a private address: any calendar reads them, nobody else does, and it can be revoked', async () => {
  const { page, errors } = await visitor(browser);
  await openKitchen(page, 'millrace-flat', '/edge');
  await tap(page, 'xpath///button[contains(., "Make a private address")]');
  const shown = await page.waitForSelector('input[readonly]');
  const url = (await shown?.evaluate((e) => e.value)) ?? '';
  const answer = await fetch(url);
  expect(answer.headers.get('content-type')).toContain('text/calendar');
  const events = new ICAL.Component(ICAL.parse(await answer.text()) as unknown[]).getAllSubcomponents('vevent');
  expect(events.length).toBeGreaterThan(0);
  expect((await fetch(url.replace(/.\.ics$/, 'x.ics'))).status).toBe(404);
  await tap(page, 'xpath///button[contains(., "A new address instead")]');
  await page.waitForFunction(
    (was) => document.querySelector<HTMLInputElement>('input[readonly]')?.value !== was,
    {},
    url,
  );
  expect((await fetch(url)).status).toBe(404);
  await tap(page, 'xpath///button[contains(., "Stop sharing")]');
  await page.waitForSelector('xpath///button[contains(., "Make a private address")]');
  expect(errors).toEqual([]);
});
