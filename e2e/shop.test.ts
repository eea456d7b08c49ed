import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { settled, tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('in a shop, by thumb: a step’s brief opens, a knife on the shelf is judged by its label, and taken into the plan', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  await openKitchen(page, 'millrace-flat');
  await settled(page);
  await tap(page, '[data-pocket="1"]');
  await tap(page, 'xpath///button[.//span[text()="What to look for"]]');
  await page.waitForFunction(() => document.querySelector('[aria-labelledby="shop"] h4')?.textContent === 'It has');
  const brief = await textOf(page, '[aria-labelledby="shop"]');
  expect(brief).toMatch(/of \d+–\d+ mm/);
  expect(brief).toMatch(/Up to €\d/);
  expect(brief).toContain('Ask the seller');

  // kind and length are enough; what the label leaves out is marked
  const shelf = 'xpath///form[.//h4[text()="A knife on the shelf"]]';
  const field = async (label: string) =>
    (await page.waitForSelector(`${shelf}//label[starts-with(., "${label}")]/following::input[1]`))?.toElement('input');
  const valueIn = async (label: string) => (await field(label))?.evaluate((e) => e.value);
  await page.type(`${shelf}//textarea`, 'Total length 46 cm, blade 33 cm, 420 g, €20');
  await expect.poll(() => valueIn('Edge length')).toBe('330');
  expect(await valueIn('Price')).toBe('20');
  await tap(page, 'xpath///button[.//span[text()="Judge it"]]');
  await page.waitForSelector('[data-word="wrong"]');
  const long = await textOf(page, '[data-word]');
  expect(long).toContain('Outside the brief: the length 330');
  expect(long).toContain('Not on the label');
  await page.$eval(`${shelf}//textarea`, (e) => e instanceof HTMLTextAreaElement && e.select());
  await page.type(`${shelf}//textarea`, 'Blade 18 cm, €15');
  await page.waitForFunction(() => document.querySelector('[data-word]') === null);
  // what was read is put right by hand
  await expect.poll(() => valueIn('Edge length')).toBe('180');
  const edge = await field('Edge length');
  await edge?.evaluate((e) => e.select());
  await edge?.type('170\n');
  await tap(page, 'xpath///button[.//span[text()="Judge it"]]');
  await page.waitForSelector('[data-word="buy"]');
  await tap(page, 'xpath///button[.//span[text()="Take it into the plan"]]');
  await page.waitForFunction(() =>
    document.querySelector('section[aria-label="Your knife roll"]')?.textContent?.includes('Seen in a shop'),
  );
  await settled(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBeLessThanOrEqual(0);
  expect(errors).toEqual([]);
});
