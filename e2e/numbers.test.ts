import type { ElementHandle, Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { address, fileOf, openAll, pressAndGo, saved, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

/** Pages of a kitchen on which numbers are asked for, and how many fields each shows at least once all is open. */
const PAGES = { '': 6, '/cooks': 8, '/cutting': 8, '/edge': 4, '/keep': 6, '/try/hand': 1 };

const NUMBER = 'input[inputmode="numeric"]:not(:disabled), input[inputmode="decimal"]:not(:disabled)';

const valueOf = (field: ElementHandle<HTMLInputElement>) => field.evaluate(({ value }) => value);
const saidBelow = (field: ElementHandle<HTMLInputElement>) =>
  field.evaluate((e) => document.getElementById(e.getAttribute('aria-describedby') ?? '')?.textContent ?? '');
const clear = async (page: Page, field: ElementHandle<HTMLInputElement>) => {
  await field.focus();
  await field.evaluate((e) => e.select());
  await page.keyboard.press('Backspace');
};
const fieldCalled = async (page: Page, label: string) => {
  const field = await page.waitForSelector(`xpath///label[starts-with(., "${label}")]/following::input[1]`);
  if (!field) throw new Error(`no field ${label}`);
  return field.toElement('input');
};

const openFields = async (page: Page) => {
  await openAll(page, () => saved(page));
  const fields = await Promise.all((await page.$$(NUMBER)).map((found) => found.toElement('input')));
  const visible = await Promise.all(fields.map((field) => field.evaluate((e) => e.checkVisibility())));
  return fields.filter((_, at) => visible[at]);
};

test('every number field keeps what is typed until it is left, tells its bounds, and gives the number back on Escape', async () => {
  const { page, errors } = await visitor(browser);
  await page.goto(address);
  await pressAndGo(page, 'Saltstair');
  await settled(page);
  const kitchen = page.url();
  for (const [part, least] of Object.entries(PAGES)) {
    await page.goto(`${kitchen}${part}`);
    await page.waitForSelector('main h1');
    await saved(page);
    let fields: ElementHandle<HTMLInputElement>[] = [];
    await expect
      .poll(async () => (fields = await openFields(page)).length, { message: part, timeout: 20_000 })
      .toBeGreaterThanOrEqual(least);
    for (const field of fields) {
      const name = `${part} ${await field.evaluate((e) => e.labels?.[0]?.textContent ?? '')}`;
      const before = await valueOf(field);
      await clear(page, field);
      expect(await valueOf(field), name).toBe('');
      await page.keyboard.type('ten');
      await page.keyboard.press('Enter');
      expect(await valueOf(field), name).toBe('ten');
      const [, least = '', most = ''] = /from ([-\d.,]+) to ([\d.,]+)\./.exec(await saidBelow(field)) ?? [];
      expect(most, `${name}: ${await saidBelow(field)}`).not.toBe('');
      // one key after another, no prefix is taken for the number
      await clear(page, field);
      const beyond = `${most.replace(/\D/g, '')}00`;
      for (let keys = 1; keys <= beyond.length; keys++) {
        await page.keyboard.type(beyond.charAt(keys - 1));
        expect(await valueOf(field), name).toBe(beyond.slice(0, keys));
      }
      await page.keyboard.press('Enter');
      expect(await valueOf(field), name).toBe(beyond);
      expect(await saidBelow(field), name).toContain(`from ${least} to ${most}.`);
      await page.keyboard.press('Escape');
      expect(await valueOf(field), name).toBe(before);
    }
  }
  expect(errors).toEqual([]);
});

test('numbers are typed, pasted and deleted without a prefix being taken for them', async () => {
  const { page, errors } = await visitor(browser);
  await page.goto(address);
  await pressAndGo(page, 'Millrace');
  await settled(page);
  await openAll(page, () => saved(page));
  const budget = await fieldCalled(page, 'In all');
  const total = async () => (await fileOf(page, page.url())).budget?.total;
  const first = await total();

  // nothing is taken over key by key
  await clear(page, budget);
  await page.keyboard.type('1,50');
  expect(await total()).toBe(first);
  await clear(page, budget);
  await page.keyboard.sendCharacter('1,500');
  await page.keyboard.press('Tab');
  await expect.poll(total).toBe(1500);
  await clear(page, budget);
  await page.keyboard.sendCharacter('1.500');
  await page.keyboard.press('Enter');
  expect(await saidBelow(budget)).toContain('Which one?');
  await (await page.waitForSelector('xpath///button[.="1.5"]'))?.click();
  await expect.poll(total).toBe(1.5);
  await clear(page, budget);
  await page.keyboard.press('Enter');
  await expect.poll(total).toBe(null);

  const knives = await fieldCalled(page, 'At most this many knives');
  const most = async () => (await fileOf(page, page.url())).limits?.maxKnives;
  const before = await most();
  await clear(page, knives);
  await page.keyboard.type('40\n');
  expect(await saidBelow(knives)).toContain('whole number from 1 to 12');
  expect(await valueOf(knives)).toBe('40');
  expect(await most()).toBe(before);
  await clear(page, knives);
  await page.keyboard.type('6');
  await page.keyboard.press('Tab');
  await expect.poll(most).toBe(6);
  expect(await textOf(page, 'main')).not.toContain('whole number');
  expect(errors).toEqual([]);
});
