import { expect, test } from 'vitest';
import { address, fileOf, pressAndGo, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('the rack tells how keen each knife is and what is due; sharpened today makes it keen and moves its dates', async () => {
  const { page, errors } = await visitor(browser);
  await page.goto(address);
  await pressAndGo(page, 'Millrace');
  const url = page.url();
  await page.goto(`${url}/edge`);
  await page.waitForSelector('#rack');
  const rack = () => page.$$eval('#rack + ul > li', (all) => all.map((e) => e.textContent ?? ''));
  expect((await rack())[0]).toMatch(/dull 40%/);
  expect((await rack()).some((each) => each.includes('Not there yet'))).toBe(true);
  const before = await textOf(page, '[aria-labelledby="calendar"]');
  await (await page.waitForSelector('button[aria-label^="Sharpened today"]'))?.click();
  await page.waitForFunction(() => /keen 100%/.test(document.querySelector('#rack + ul > li')?.textContent ?? ''));
  await page.waitForFunction(() => document.querySelector('header [role="status"]')?.textContent === 'Saved');
  await expect.poll(async () => (await fileOf(page, url)).owned?.[0]?.condition, { timeout: 5000 }).toBe('keen');
  expect(await textOf(page, '[aria-labelledby="calendar"]')).not.toBe(before);
  const [owned] = (await fileOf(page, url)).owned ?? [];
  expect(owned?.sharpenedOn).toMatch(/^\d{4}-\d\d-\d\d$/);
  expect(await page.$$eval('table tbody tr', (rows) => rows.length)).toBe(4);
  expect(errors).toEqual([]);
});
