import { expect, test } from 'vitest';
import { address, fileOf, pressAndGo, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('the first minute: a kit in a sentence, the money asked, one question more; inches chosen, shown and typed', async () => {
  const { page, errors } = await visitor(browser);
  await page.goto(address);
  await pressAndGo(page, 'Start my kitchen');
  await settled(page);
  const url = page.url();
  expect(await textOf(page, 'main')).toMatch(/Buy a[^:]*: \d+% of your cutting done well for €\d/);
  await (
    await page.waitForSelector('xpath///*[@aria-label="What may the kit cost?"]//button[contains(., "€120")]')
  )?.click();
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('What do you cook most?'));
  await settled(page);
  expect((await fileOf(page, url)).budget?.total).toBe(120);

  await page.click('[aria-label^="mm: show inches"]');
  await page.waitForFunction(() => / in\b/.test(document.querySelector('[data-pocket="1"]')?.textContent ?? ''));
  await page.goto(`${url}/cooks`);
  const field = await page.waitForSelector(
    'xpath///label[contains(., "Wrist crease to middle fingertip, inches")]/following::input[1]',
  );
  await field?.click({ count: 3 });
  await page.keyboard.type('7.5\n');
  await page.waitForFunction(() => document.body.textContent?.includes('A hand of 7.5 in'));
  // 7.5 inches are 190.5 mm
  await expect
    .poll(async () => (await fileOf(page, url)).cooks?.[0]?.handLengthMm, { timeout: 5000 })
    .toSatisfy((mm: number) => mm === 190 || mm === 191);

  await page.goto(`${address}/help`);
  await page.waitForSelector('[role="search"] input');
  const topics = () => page.$$eval('main [data-topic]', (all) => all.filter((e) => e.checkVisibility()).length);
  const all = await topics();
  await page.type('[role="search"] input', 'recovery code');
  expect(await topics()).toBe(1);
  await page.$eval('[role="search"] input', (e) => e instanceof HTMLInputElement && e.select());
  await page.keyboard.press('Backspace');
  expect(await topics()).toBe(all);
  expect(errors).toEqual([]);
});

test('a page whose script cannot be fetched says so, and how to go on', async () => {
  const page = await browser.newPage();
  await page.setRequestInterception(true);
  page.on('request', (request) => void (/StartView/.test(request.url()) ? request.abort() : request.continue()));
  await page.goto(address);
  const told = await page.waitForSelector('[role="alert"]', { timeout: 25_000 });
  expect(await told?.evaluate((e) => e.textContent)).toMatch(/did not start.*Nothing is lost.*Load it again/);
  // what the server showed is still there
  expect(await page.$$eval('h1', (all) => all.length)).toBe(1);
});
