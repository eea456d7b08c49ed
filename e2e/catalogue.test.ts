import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { writeSheets } from '../src/client/sheets';
import { address, pressAndGo, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('a list is previewed, refused with row and column, taken over whole, and its models are planned with; one’s own blade is drawn and kept', async () => {
  const { page, errors } = await visitor(browser);
  await page.goto(`${address}/catalogue`);
  await page.waitForFunction(() => Number(document.querySelector('header .figure')?.textContent) > 100);
  const folder = mkdtempSync(join(tmpdir(), 'scabbard-e2e-'));
  const csv = await page.evaluate(async () => (await fetch('/api/catalogue/file?as=csv')).text());
  const [header = '', ...rows] = csv.trim().split('\n');
  const mine = rows.filter((row) => row.includes(',bread,') || row.includes(',santoku,')).map((row) => `shop-${row}`);
  const pick = async (name: string, text: string) => {
    writeFileSync(join(folder, name), text);
    const input = await page.waitForSelector('input[type="file"]');
    await (input as ElementHandle<HTMLInputElement>).uploadFile(join(folder, name));
  };
  await pick('broken.csv', [header, ...mine, (mine[0] ?? '').replace(/,bread,|,santoku,/, ',sabre,')].join('\n'));
  const told = await page.waitForSelector('[role="alert"]');
  expect(await told?.evaluate((e) => e.textContent)).toContain(`row ${mine.length + 2}.type`);
  expect(await page.$$eval('xpath///button[contains(., "Import ")]', (b) => b.length)).toBe(0);

  await pick('shop.csv', [header, ...mine].join('\n'));
  await (await page.waitForSelector('xpath///button[contains(., "Import ")]'))?.click();
  await page.waitForFunction(
    (count) =>
      document.querySelector('[role="status"]')?.textContent === `${count} added, 0 replaced, 0 kept as they were.`,
    {},
    mine.length,
  );
  await pick('shop.csv', [header, ...mine].join('\n'));
  await (await page.waitForSelector('xpath///button[contains(., "Import ")]'))?.click();
  await page.waitForFunction(
    (count) =>
      document.querySelector('[role="status"]')?.textContent === `0 added, ${count} replaced, 0 kept as they were.`,
    {},
    mine.length,
  );

  await (await page.waitForSelector('xpath///button[contains(., "Describe a knife")]'))?.click();
  const name = await page.waitForSelector('form input[maxlength="120"]');
  await name?.click({ count: 3 });
  await name?.type('Ferry Lane shed blade');
  await (await page.waitForSelector('xpath///button[contains(., "Add this knife")]'))?.click();
  await page.waitForFunction(() => document.querySelector('[role="status"]')?.textContent?.startsWith('1 added'));
  await page.type('input[placeholder="name, maker or kind"]', 'ferry shed');
  await page.waitForFunction(() =>
    /^.{0,9}Ferry Lane shed blade/.test(document.querySelector('tbody')?.textContent ?? ''),
  );

  await page.goto(address);
  await pressAndGo(page, 'Start my kitchen');
  await settled(page);
  const models = await page.evaluate(
    async () => ((await (await fetch('/api/catalogue')).json()) as { own: string[] }).own,
  );
  expect(models).toContain('own-ferry-lane-shed-blade');
  expect(models.length).toBe(mine.length + 1);
  const stranger = await visitor(browser);
  await stranger.page.goto(address);
  expect(
    await stranger.page.evaluate(async () => ((await (await fetch('/api/catalogue')).json()) as { own: string[] }).own),
  ).toEqual([]);
  expect(errors).toEqual([]);
});

test('a shop’s list comes in as CSV or spreadsheet: kinds and lengths recognised, the rest marked as assumed, what is unusable told', async () => {
  const { page, errors } = await visitor(browser);
  await page.goto(`${address}/catalogue`);
  const picker = await page.waitForSelector('input[aria-label="Catalogue file"]');
  const folder = mkdtempSync(join(tmpdir(), 'lists-'));
  const csv = join(folder, 'autumn.csv');
  writeFileSync(csv, 'Bezeichnung;Preis\nKochmesser 21 cm;"1.089,50"\nSchleifstein;39,00\n');
  await picker?.uploadFile(csv);
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('1 row left out'));
  expect(await textOf(page, 'main')).toMatch(/estimated: height at the heel, weight/);
  expect(await textOf(page, 'main')).toContain('it is no knife (schleifstein)');
  await page.select('select:has(option[value="CHF"])', 'CHF');
  await page.waitForFunction(() => document.querySelector('table')?.textContent?.includes('CHF'));

  const sheet = join(folder, 'spring.xlsx');
  const bytes = await writeSheets([
    {
      name: 'Prices',
      head: ['product', 'price', 'currency'],
      rows: [
        ['8" bread knife', 64.5, 'EUR'],
        ['Nakiri 165mm', 120, 'EUR'],
      ],
    },
  ]);
  writeFileSync(sheet, new Uint8Array(bytes));
  await picker?.uploadFile(sheet);
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('Nakiri 165mm'));
  await (await page.waitForSelector('xpath///button[starts-with(normalize-space(.), "Import ")]'))?.click();
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('2 added'));
  const own = await page.evaluate(
    async () => ((await (await fetch('/api/catalogue')).json()) as { own: string[] }).own,
  );
  expect(own).toEqual(['list-spring-8-bread-knife', 'list-spring-nakiri-165mm']);

  // found among all knives, and planned from alone
  await page.select('select:has(option[value="examples"])', 'list spring');
  await page.waitForFunction(() => document.querySelectorAll('tbody tr').length === 2);
  expect(await textOf(page, 'tbody')).toMatch(/8" bread knife.*Nakiri 165mm/);
  await page.type('input[placeholder="name, maker or kind"]', 'nakiri');
  await page.waitForFunction(() => document.querySelectorAll('tbody tr').length === 1);
  await page.goto(address);
  await pressAndGo(page, 'Start my kitchen');
  await settled(page);
  await page.waitForSelector('select:has(option[value="spring"])');
  await page.select('select:has(option[value="spring"])', 'spring');
  await page.waitForFunction(() => document.querySelector('[data-pocket]')?.textContent?.includes('€120'));
  await settled(page);
  const bought = await page.$$eval('[data-pocket]', (all) =>
    all.flatMap(({ textContent }) => (textContent?.includes('Buy') ? [textContent] : [])),
  );
  expect(bought.length).toBeGreaterThan(0);
  for (const pocket of bought) expect(pocket).toMatch(/Nakiri.*€120|Bread knife.*€64\.50/);
  expect(errors).toEqual([]);
});
