import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('by thumb: the screen is calibrated once, a knife lies on it at true size, another over it, and the calibration is asked again at another zoom', async () => {
  const { page, errors } = await visitor(browser, 390, 844);
  await openKitchen(page, 'millrace-flat', '/try');
  await tap(page, 'xpath///button[.//span[text()="It fits"]]');
  const drawn = () =>
    page.$eval('svg[data-mm]', (e) => e.getBoundingClientRect().width / Number(e.getAttribute('data-mm')));
  await page.waitForSelector('svg[data-mm]');
  expect(await drawn()).toBeCloseTo(96 / 25.4, 2);
  const label = () => page.$eval('svg[data-mm]', (e) => e.getAttribute('aria-label') ?? '');
  expect(await label()).toMatch(/^Santoku.*at true size$/);
  const other = await page.$$eval('select option', (all) =>
    all.find((o) => o.textContent?.startsWith('Utility'))?.getAttribute('value'),
  );
  await page.select('select:has(option[value=""])', other ?? '');
  await page.waitForFunction(() =>
    document.querySelector('svg[data-mm]')?.getAttribute('aria-label')?.includes('laid over it'),
  );
  expect(await textOf(page, 'main')).toMatch(/room between your knuckles|meet the board/);
  // zooming changes how many pixels a millimetre has
  await page.setViewport({ width: 390, height: 840, deviceScaleFactor: 1.5 });
  await page.waitForSelector('svg[aria-label="Outline of a bank card"]');
  expect(errors).toEqual([]);
});
