import { TargetType, type CDPSession, type Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { address, fileOf, saved, settled, tap, testBrowser, visitor } from './support';

const browser = await testBrowser();

const CUT = { offline: true, latency: 0, downloadThroughput: -1, uploadThroughput: -1 };
const ON = { ...CUT, offline: false };

/** Waits until the device keeps this kitchen's pages. */
const kept = (page: Page) =>
  page.waitForFunction(
    async () => {
      const cache = await caches.open('scabbard-pages');
      return (await cache.keys()).filter(({ url }) => url.includes('/kitchens/')).length >= 6;
    },
    { timeout: 60_000, polling: 500 },
  );

/** What cuts page, workers and service worker off the network, and joins them to it again. */
async function networkOf(page: Page): Promise<(how: typeof CUT) => Promise<void>> {
  const service = await page
    .browserContext()
    .waitForTarget((target) => target.type() === TargetType.SERVICE_WORKER, { timeout: 20_000 });
  // a session keeps its last setting: the same sessions switch the network off and on
  const sessions: CDPSession[] = [await service.createCDPSession(), await page.createCDPSession()];
  for (const session of sessions) await session.send('Network.enable');
  return async (how) => {
    for (const session of sessions) await session.send('Network.emulateNetworkConditions', how);
  };
}

test('without a network a kitchen opens, plans, judges in a shop and keeps what is changed until it can be sent', async () => {
  const { page } = await visitor(browser, 390, 844, { keeps: true });
  await openKitchen(page, 'millrace-flat');
  await settled(page);
  const kitchen = page.url();
  await kept(page);
  const network = await networkOf(page);
  await network(CUT);

  await page.goto(`${kitchen}/keep/wall`);
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('knife'));
  await page.goto(`${kitchen}/schools`);
  await page.waitForFunction(() => document.querySelector('h1')?.textContent === 'No network');
  await page.goto(`${kitchen}/shop`);
  const label = 'form[aria-labelledby="seen"] textarea';
  await page.waitForSelector(label);
  await page.type(label, 'Santoku, blade 17 cm, €15');
  await page.waitForSelector('form button[type="submit"]:not([data-loading])');
  await page.waitForFunction(() =>
    [...document.querySelectorAll('form input')].some((e) => e instanceof HTMLInputElement && e.value === '170'),
  );
  await tap(page, 'form button[type="submit"]');
  await page.waitForSelector('[data-word="buy"]');

  // an edit on one page stands on the next, and is sent once there is a network again
  await page.goto(kitchen);
  await page.waitForSelector('[data-final="true"]');
  const name = await page.waitForSelector('input[aria-label="Name of this kitchen"]');
  await name?.evaluate((e) => e instanceof HTMLInputElement && e.select());
  await name?.type('Out of reach');
  await page.waitForFunction(() => document.querySelector('header [role="status"]')?.textContent === 'Not saved yet');
  await network(ON);
  await page.evaluate(() => dispatchEvent(new Event('online')));
  await saved(page);
  expect((await fileOf(page, kitchen)).name).toBe('Out of reach');

  // what was saved since the page was kept is what opens
  await network(CUT);
  await page.goto(`${kitchen}/keep/use`);
  await page.waitForFunction(
    () =>
      document.querySelector<HTMLInputElement>('input[aria-label="Name of this kitchen"]')?.value === 'Out of reach',
  );
});

test('when everything is forgotten, nothing of the workspace stays on the device', async () => {
  const { page, errors } = await visitor(browser, 1280, 800, { keeps: true });
  await openKitchen(page, 'millrace-flat');
  await kept(page);
  await page.goto(address);
  await tap(page, 'xpath///button[.//span[text()="Forget everything about me"]]');
  const forget = 'xpath///dialog[@open]//button[.//span[text()="Forget everything"]]';
  await Promise.all([page.waitForNavigation(), tap(page, forget)]);
  const held = await page.evaluate(async () => {
    const names = (await caches.keys()).filter((name) => name.startsWith('scabbard-'));
    const requests = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
    return requests.flat().map(({ url }) => url);
  });
  expect(held.filter((url) => /kitchens|catalogue/.test(url))).toEqual([]);
  expect(await page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('scabbard.')))).toEqual([]);
  expect(errors).toEqual([]);
});
