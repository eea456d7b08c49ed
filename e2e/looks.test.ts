import { z } from '../src/core/zod';
import { beforeAll, describe, expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { address, openAll, pressAndGo, seriousFaults, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

/** Pages of one kitchen by their last part, and pages that belong to none. */
const OF_A_KITCHEN = [
  '',
  '/cooks',
  '/cutting',
  '/try',
  '/try/hand',
  '/try/feel',
  '/try/food',
  '/try/measure',
  '/try/wishes',
  '/keep',
  '/keep/away',
  '/keep/use',
  '/keep/wall',
  '/edge',
  '/edge/0',
  '/paper',
  '/drawer',
  '/schools',
  '/what-if',
  '/match',
  '/blades/tidewrack-deba-165',
  '/compare',
  '/compare?blades=oskavel-gyuto-210,oskavel-nakiri-165',
];
const OF_ANYONE = ['/', '/glossary', '/score', '/catalogue', '/help'];

/** The smallest phone, and a usual window at twice its size. */
const TIGHT = [
  { width: 320, height: 568 },
  { width: 640, height: 400 },
];

interface Shift {
  hadRecentInput: boolean;
  value: number;
  sources: { node: Element | null; previousRect: DOMRect; currentRect: DOMRect }[];
}

/** How each page is looked at: as it comes, by day in a wide window, then narrowed to a phone's width at night. */
const LOOKS = [
  { width: 1280, height: 800, scheme: 'light' },
  { width: 390, height: 844, scheme: 'dark' },
] as const;

describe('a wide window by day, narrowed to a phone’s at night', () => {
  let page: Awaited<ReturnType<typeof visitor>>['page'];
  let errors: string[];
  let kitchen = '';
  const turnTo = async ({ width, height, scheme }: (typeof LOOKS)[number]) => {
    await page.setViewport({ width, height });
    await page.emulateMediaFeatures([{ name: 'prefers-color-scheme', value: scheme }]);
  };
  beforeAll(async () => {
    ({ page, errors } = await visitor(browser));
    // what the policy reports is no console message: it is collected from the first script on
    await page.evaluateOnNewDocument(() => {
      const found: string[] = [];
      const what: string[] = [];
      Object.assign(globalThis, { policyFaults: found, moved: 0, what });
      addEventListener('securitypolicyviolation', ({ violatedDirective, blockedURI }) =>
        found.push(`${violatedDirective} ${blockedURI}`),
      );
      // a shift counts by its share of the window; what follows a press is left out
      new PerformanceObserver((list) => {
        for (const { hadRecentInput, value, sources } of list.getEntries() as (PerformanceEntry & Shift)[]) {
          if (hadRecentInput) continue;
          (globalThis as unknown as { moved: number }).moved += value;
          for (const { node, previousRect, currentRect } of sources)
            what.push(`${node?.textContent?.slice(0, 30) ?? 'gone'}: ${previousRect.y} to ${currentRect.y}`);
        }
      }).observe({ type: 'layout-shift', buffered: true });
    });
    await page.goto(address);
    await pressAndGo(page, 'Saltstair');
    await settled(page);
    kitchen = page.url();
    expect(await page.evaluate('policyFaults')).toEqual([]);
  });

  // what is still being worked out fades in, what was turned slides to its place: it is judged when it stands
  const stands = () =>
    page
      .waitForFunction(
        () =>
          !document.querySelector('progress') &&
          document.getAnimations().every(({ playState }) => playState !== 'running'),
        { timeout: 60_000 },
      )
      .catch(async () => {
        throw new Error(`still at work after a minute: ${await textOf(page, 'main')} ${errors.join('; ')}`);
      });
  /** Nothing runs off the side; drawings shrink when they hear of it. */
  const holds = async (width: number) => {
    const over = () => page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
    await expect.poll(over, { message: `off the side at ${width}`, timeout: 5_000 }).toBeLessThanOrEqual(0);
  };
  const looksRight = async ({ scheme, width }: (typeof LOOKS)[number]) => {
    await stands();
    await openAll(page, stands);
    await page.waitForFunction((wanted) => document.documentElement.dataset.mantineColorScheme === wanted, {}, scheme);
    await stands();
    await holds(width);
    expect(await page.$$eval('h1', (all) => all.length)).toBe(1);
    expect(await seriousFaults(page), scheme).toEqual([]);
    expect(errors.splice(0)).toEqual([]);
    expect(await page.evaluate('policyFaults')).toEqual([]);
  };
  const looksRightEverywhere = async () => {
    for (const look of LOOKS) {
      await turnTo(look);
      await looksRight(look);
    }
    for (const size of TIGHT) {
      await page.setViewport(size);
      await holds(size.width);
      const bars = await page.$$eval('[data-bar]', (all) => all.map((bar) => bar.getBoundingClientRect().height));
      for (const bar of bars) expect(bar, 'the bar at the bottom').toBeLessThanOrEqual(size.height / 8);
    }
    await turnTo(LOOKS[0]);
  };

  test.each(OF_ANYONE)('%s: nothing runs off its side, axe finds nothing serious, nothing is logged', async (path) => {
    await page.goto(`${address}${path}`);
    await looksRightEverywhere();
  });

  /** Opens a page of the kitchen: nothing moves while what it waits for comes. */
  const openStill = async (path: string) => {
    await page.goto(`${kitchen}${path}`, { waitUntil: 'networkidle2' });
    await page.waitForSelector('main h1, main h2');
    await page.waitForFunction(() => !document.querySelector('progress') && !document.querySelector('[data-first]'), {
      timeout: 60_000,
    });
    const moved = z.number().parse(await page.evaluate('moved'));
    expect(moved, `${path}: ${String(await page.evaluate(`what.join('; ')`))}`).toBeLessThan(0.1);
  };

  test.each(OF_A_KITCHEN)('a kitchen’s %s too, and nothing moves while it comes', async (path) => {
    await openStill(path);
    if (path === '') {
      await settled(page);
      await page.click('section[aria-label="Your knife roll"] [data-pocket]');
      await page.waitForSelector('section[aria-labelledby="story"]');
    }
    await looksRightEverywhere();
  });

  test('nor does anything move on a phone', async () => {
    await turnTo(LOOKS[1]);
    for (const path of ['', '/cooks', '/drawer', '/schools', '/what-if', '/compare', '/paper']) await openStill(path);
  });
});

test('blades are laid over one another at heel, tip or pinch; more are added and taken away by keys', async () => {
  const { page, errors } = await visitor(browser);
  await openKitchen(page, 'millrace-flat', '/compare?blades=ploverdale-paring-90,ploverdale-chef-260');
  await page.waitForSelector('svg[aria-label^="Overlay of"] g');
  /** How far apart heels and tips lie in the drawing, px. */
  const apart = () =>
    page.$$eval('svg[aria-label^="Overlay of"] > g > path:first-child', (paths) => {
      const boxes = paths.slice(0, 2).map((path) => path.getBoundingClientRect());
      const between = (of: (box: DOMRect) => number) =>
        Math.abs(of(boxes[0] ?? new DOMRect()) - of(boxes[1] ?? new DOMRect()));
      return { heels: Math.round(between((box) => box.left)), tips: Math.round(between((box) => box.right)) };
    });
  const layAt = async (name: string) => {
    await (await page.waitForSelector(`xpath///label[normalize-space(.)="${name}"]`))?.click();
    await page.waitForSelector(`input[type="radio"][value="${name.toLowerCase()}"]:checked`);
    return apart();
  };
  const [heel, tip, pinch] = [await layAt('Heel'), await layAt('Tip'), await layAt('Pinch')];
  expect(heel.heels).toBeLessThan(3);
  expect(heel.tips).toBeGreaterThan(100);
  expect(tip.tips).toBeLessThan(3);
  expect(tip.heels).toBeGreaterThan(100);
  expect(pinch.heels).toBeLessThan(3);
  const blades = () => page.$$eval('select[aria-label^="Blade "]', (all) => all.length);
  expect(await blades()).toBe(2);
  await page.focus('xpath///button[contains(., "Add a blade")]');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelectorAll('select[aria-label^="Blade "]').length === 3);
  await page.focus('[aria-label="Remove blade 1"]');
  await page.keyboard.press('Enter');
  await page.waitForFunction(() => document.querySelectorAll('select[aria-label^="Blade "]').length === 2);
  expect(errors).toEqual([]);
});

test('? lists the keys anywhere but where one types, and Escape closes the list', async () => {
  const { page, errors } = await visitor(browser);
  await openKitchen(page, 'nothing');
  await settled(page);
  const name = 'input[aria-label="Name of this kitchen"]';
  await page.focus(name);
  // the field that has the focus shows it
  expect(await page.$eval(name, (e) => getComputedStyle(e).outlineStyle)).toBe('solid');
  await page.keyboard.type('?');
  expect(await page.$('dialog[open]')).toBeNull();
  await page.focus('[aria-label^="Use dark"]');
  await page.keyboard.type('?');
  await page.waitForSelector('dialog[open]');
  expect(await textOf(page, 'dialog[open]')).toMatch(/Ctrl Z.*undo/);
  expect(await seriousFaults(page)).toEqual([]);
  await page.keyboard.press('Escape');
  await page.waitForFunction(() => !document.querySelector('dialog[open]'));
  expect(errors).toEqual([]);
});

test('the glossary draws every type, motion and grip and names every family of steel', async () => {
  const { page } = await visitor(browser);
  await page.goto(`${address}/glossary`, { waitUntil: 'networkidle0' });
  const drawings = await page.$$eval('svg[role="img"]', (all) =>
    all.map((svg) => svg.getAttribute('aria-label') ?? ''),
  );
  expect(drawings.filter((name) => /drawn at \d+ mm/.test(name)).length).toBeGreaterThanOrEqual(30);
  expect(drawings.filter((name) => name.endsWith(' grip')).length).toBe(3);
  for (const word of ['Deba', 'Nakiri', 'Oyster knife', 'Rock', 'Push', 'Pull', 'Chop', 'Powder stainless', 'Ceramic'])
    expect((await textOf(page, 'main')).toLowerCase()).toContain(word.toLowerCase());
  // drawn to one scale: the longest slicer is at least three times a paring knife
  const widthOf = (name: string) =>
    page.$eval(`svg[aria-label^="${name}, drawn at"]`, (svg) => {
      const path = svg.querySelector('path');
      return path ? path.getBoundingClientRect().width : 0;
    });
  expect(await widthOf('Yanagiba')).toBeGreaterThan(2.4 * (await widthOf('Paring knife')));
});
