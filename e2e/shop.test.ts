import type { Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { fileOf, saved, settled, tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

const LABEL = 'form[aria-labelledby="seen"] textarea';
const field = async (page: Page, label: string) => {
  const found = await page.waitForSelector(`xpath///form//label[starts-with(., "${label}")]/following::input[1]`);
  if (!found) throw new Error(`no field ${label}`);
  return found.toElement('input');
};
const valueIn = async (page: Page, label: string) => (await field(page, label)).evaluate((e) => e.value);
const button = (words: string) => `xpath///button[.//span[text()="${words}"]]`;
/** Replaces what is typed as the label. */
const typeLabel = async (page: Page, text: string) => {
  await page.$eval(LABEL, (e) => e instanceof HTMLTextAreaElement && e.select());
  await page.type(LABEL, text);
};
const judge = async (page: Page) => {
  await page.waitForSelector('form button[type="submit"]:not([data-loading])');
  await tap(page, 'form button[type="submit"]');
};

test('in a shop, by thumb: one tap from any page, a knife is judged by its label, held, and taken into the plan', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  await openKitchen(page, 'millrace-flat');
  await settled(page);
  const kitchen = page.url();
  await page.goto(`${kitchen}/edge`);
  await page.waitForSelector('#years');
  await tap(page, 'xpath///nav[@aria-label="At hand"]/a[.="In a shop"]');
  await page.waitForFunction(() =>
    /\d+–\d+ mm, up to €\d/.test(document.querySelector('#want')?.parentElement?.textContent ?? ''),
  );

  // kind and length are enough; what the label leaves out is marked
  await typeLabel(page, 'Total length 46 cm, blade 33 cm, 420 g, €20');
  await expect.poll(() => valueIn(page, 'Edge length')).toBe('330');
  await expect.poll(() => valueIn(page, 'Price')).toBe('20');
  await judge(page);
  await page.waitForSelector('[data-word="wrong"]');
  const long = await textOf(page, '[data-word]');
  expect(long).toContain('Outside the brief: the length 330');
  expect(long).toContain('Not on the label');
  await typeLabel(page, 'Blade 18 cm, €15');
  await page.waitForFunction(() => document.querySelector('[data-word]') === null);
  // what was read is put right by hand
  await expect.poll(() => valueIn(page, 'Edge length')).toBe('180');
  const edge = await field(page, 'Edge length');
  await edge.evaluate((e) => e.select());
  await edge.type('170\n');
  await judge(page);
  await page.waitForSelector('[data-word="buy"]');

  // held: nothing hints at what an answer means before it is given
  await tap(page, button('Hold it for two minutes'));
  await page.waitForSelector('[role="timer"]');
  expect(await textOf(page, 'main')).not.toMatch(/a good sign|walk away|only if/);
  await tap(page, button('Stop for now'));
  await page.waitForSelector(LABEL);
  await saved(page);
  expect((await fileOf(page, kitchen)).trials?.hand?.at(-1)).toMatchObject({ asked: 15, answers: {} });

  await typeLabel(page, 'Santoku, blade 17 cm, €15');
  await expect.poll(() => valueIn(page, 'Price')).toBe('15');
  await judge(page);
  await page.waitForSelector('[data-word="buy"]');
  await tap(page, button('Take it into the plan'));
  await page.waitForFunction(() => document.querySelector('form')?.textContent?.includes('it is in your plan now'));
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  await saved(page);
  await page.goto(kitchen);
  await settled(page);
  expect(await textOf(page, 'section[aria-label="Your knife roll"]')).toContain('Seen in a shop');
  expect(errors).toEqual([]);
});

test('the brief of a step leads to the counter, where a knife without a length is measured from a photo', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  await openKitchen(page, 'millrace-flat');
  await settled(page);
  await tap(page, '[data-pocket="1"]');
  await tap(page, button('What to look for'));
  await page.waitForFunction(() => document.querySelector('[aria-labelledby="shop"] h4')?.textContent === 'It has');
  const brief = await textOf(page, '[aria-labelledby="shop"]');
  expect(brief).toMatch(/of \d+–\d+ mm/);
  expect(brief).toMatch(/Up to €\d/);
  expect(brief).toContain('Ask the seller');
  await tap(page, 'xpath///a[.="Judge a knife you see in a shop"]');
  await page.waitForSelector(LABEL);
  expect(page.url()).toMatch(/shop\?step=1$/);
  await judge(page);
  await page.waitForFunction(() =>
    document.querySelector('form')?.textContent?.includes('Type the length of the edge first'),
  );

  await tap(page, 'xpath///summary[contains(., "Measure it from a photo")]');
  await tap(page, 'xpath///button[contains(., "Example 1")]');
  await tap(page, button('Use these figures'));
  await expect.poll(async () => Number(await valueIn(page, 'Edge length'))).toBeGreaterThan(100);
  await judge(page);
  await page.waitForSelector('[data-word]');
  expect(errors).toEqual([]);
});
