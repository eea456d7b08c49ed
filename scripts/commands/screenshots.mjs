// npm run screenshots: takes the README's pictures from the sample kitchens into docs/screenshots.
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from '../lib/chromium.mjs';
import { dataFolder, root } from '../lib/paths.mjs';
import { nextFree } from '../lib/ports.mjs';
import { prepare } from '../lib/prepare.ts';
import { say } from '../lib/say.mjs';
import { serve } from '../server/supervise.ts';

const WIDE = { width: 1280, height: 800 };
const NARROW = { width: 390, height: 844, deviceScaleFactor: 2, isMobile: true, hasTouch: true };
const only = process.argv.slice(2);
const folder = process.env.SCREENSHOTS ?? join(root, 'docs', 'screenshots');

/** Each picture: its name, the size of the window, the sample to open (or none), and what to do before taking it. */
const PICTURES = [
  { name: 'start', view: WIDE },
  { name: 'roll', view: WIDE, sample: 'Saltstair' },
  { name: 'reason', view: WIDE, sample: 'Millrace', act: openReason },
  { name: 'shop', view: NARROW, sample: 'Millrace', act: judgeInShop },
  { name: 'cooks', view: WIDE, sample: 'Millrace', act: openPage('cooks', 'svg[aria-label^="Drawn to scale"]') },
  { name: 'cutting', view: WIDE, sample: 'Millrace', act: openPage('cutting', '#load') },
  { name: 'drawer', view: WIDE, sample: 'Millrace', act: openPage('drawer', '[aria-label="Length of the edge"]') },
  { name: 'schools', view: WIDE, sample: 'Saltstair', act: openPage('schools', '[data-taken] svg') },
  { name: 'what-if', view: WIDE, sample: 'Saltstair', act: openWhatIf },
  { name: 'match', view: WIDE, sample: 'Millrace', act: openMatch },
  { name: 'blade', view: WIDE, sample: 'Saltstair', act: openBlade },
  { name: 'compare', view: WIDE, sample: 'Saltstair', act: openCompare },
  { name: 'score', view: WIDE, path: '/score', act: scrollToParts },
  { name: 'hand', view: NARROW, sample: 'Millrace', act: openHandTest },
  { name: 'try', view: WIDE, sample: 'Millrace', act: openLifeSize },
  {
    name: 'keep',
    view: WIDE,
    sample: 'Saltstair',
    dark: true,
    act: openPage('keep', '[aria-label^="Drawer by the pass"] button'),
  },
  { name: 'edge', view: WIDE, sample: 'Millrace', act: openPage('edge', '#years') },
  { name: 'paper', view: WIDE, sample: 'Millrace', act: openPaper },
  { name: 'roll-narrow', view: NARROW, sample: 'Millrace', act: scrollToRoll },
];

async function openPaper(page) {
  await openPage('paper', 'pre')(page);
  await page.waitForFunction(
    () => /up to/.test(document.querySelector('pre')?.textContent ?? '') && !document.querySelector('progress'),
    { timeout: 60_000 },
  );
}

async function openReason(page) {
  await page.click('[data-group="Needs"] button');
  await page.waitForSelector('section[aria-labelledby="story"] li button[aria-expanded]');
  await page.click('section[aria-labelledby="story"] li button[aria-expanded]');
  await page.waitForFunction(() =>
    document.querySelector('section[aria-labelledby="story"]')?.textContent?.includes('Nothing lost'),
  );
  await page.$eval('section[aria-labelledby="story"]', (e) =>
    scrollTo(0, e.getBoundingClientRect().top + scrollY - 300),
  );
}

async function judgeInShop(page) {
  await openPage('shop', 'form[aria-labelledby="seen"]')(page);
  await page.type('form textarea', 'Santoku, blade 17 cm, 140 g, stainless, €69');
  await page.waitForSelector('form button[type="submit"]:not([data-loading])');
  await new Promise((resolve) => setTimeout(resolve, 800));
  await page.click('form button[type="submit"]');
  await page.waitForSelector('[data-word]');
  await page.$eval('form button[type="submit"]', (e) => scrollTo(0, e.getBoundingClientRect().top + scrollY - 120));
}

/** Goes to another page of the kitchen and waits for what it shows. */
function openPage(name, shows) {
  return async (page) => {
    await page.goto(`${page.url()}/${name}`, { waitUntil: 'networkidle0' });
    await page.waitForSelector(shows);
    await new Promise((resolve) => setTimeout(resolve, 1500));
  };
}

async function openLifeSize(page) {
  await openPage('try', 'svg[aria-label="Outline of a bank card"]')(page);
  await (await page.waitForSelector('xpath///button[.//span[text()="It fits"]]')).click();
  await page.waitForSelector('svg[data-mm]');
}

async function openWhatIf(page) {
  await openPage('what-if', 'section[aria-label="As it is"] svg')(page);
  await (await page.waitForSelector('xpath///aside//button[contains(., "What you cook")]')).click();
  const fish = await page.waitForSelector('xpath///aside//label[normalize-space(.)="Fish"]');
  await fish.click();
  await page.waitForSelector('[aria-label="Differences"] li');
  await new Promise((resolve) => setTimeout(resolve, 600));
  await page.evaluate(() => scrollTo(0, 0));
}

async function openMatch(page) {
  await page.goto(`${page.url()}/match`, { waitUntil: 'networkidle0' });
  await page.waitForSelector('[role="grid"] button[data-shade]');
  await page.click('[role="grid"] button[data-shade="well"]');
  await page.waitForSelector('aside ul li');
}

async function openBlade(page) {
  await page.goto(`${page.url()}/blades/lanternhill-sujihiki-270`, { waitUntil: 'networkidle0' });
  await page.waitForSelector('figure svg');
}

async function openCompare(page) {
  const blades = 'ploverdale-chef-200,oskavel-gyuto-210,lanternhill-santoku-165';
  await page.goto(`${page.url()}/compare?blades=${blades}`, { waitUntil: 'networkidle0' });
  await page.waitForSelector('svg[aria-label$="from the front"]');
  await page.focus('input[aria-label^="How far the stroke"]');
  for (let i = 0; i < 12; i++) await page.keyboard.press('ArrowLeft');
  await page.$eval('#cut-seen', (e) => scrollTo(0, e.getBoundingClientRect().top + scrollY - 20));
}

async function openHandTest(page) {
  await openPage('try/hand', 'main section button')(page);
  await page.click('main section button');
  await page.waitForSelector('[role="timer"]');
}

async function scrollToParts(page) {
  await page.$eval('article', (e) => scrollTo(0, e.getBoundingClientRect().top + scrollY - 60));
}

async function scrollToRoll(page) {
  await page.$eval('section[aria-label="Coverage and money"]', (e) => e.scrollIntoView());
}

export default async function (stops) {
  await ensureChromium();
  const { url, entry } = await prepare({ cluster: 'test', database: 'scabbard_pictures', stops });
  const { onceAlive, openBrowser } = await import('../lib/browser.mjs');
  const log = join(dataFolder, 'test', 'log', 'screenshots.log');
  const server = await serve(entry, { databaseUrl: url, port: await nextFree(4700), log });
  stops.push(server.stop);
  const { browser, close } = await openBrowser();
  stops.push(close);
  mkdirSync(folder, { recursive: true });
  for (const { name, view, sample, act, dark, path = '/' } of PICTURES) {
    if (only.length > 0 && !only.includes(name)) continue;
    const context = await browser.createBrowserContext();
    const page = await context.newPage();
    onceAlive(page);
    page.on('console', (message) => message.type() === 'error' && say(`  ${name}: ${message.text()}`));
    await page.setViewport(view);
    await page.emulateMediaFeatures([
      { name: 'prefers-color-scheme', value: dark ? 'dark' : 'light' },
      { name: 'prefers-reduced-motion', value: 'reduce' },
    ]);
    await page.goto(server.address + path, { waitUntil: 'networkidle0' });
    if (sample) {
      const button = await page.waitForSelector(`xpath///button[not(@disabled)][contains(., "${sample}")]`);
      await Promise.all([page.waitForNavigation(), button.click()]);
      await page.waitForSelector('section[aria-label="Your knife roll"] svg');
      await page.waitForNetworkIdle();
      await new Promise((resolve) => setTimeout(resolve, 2500));
    }
    await act?.(page);
    await page.evaluate(() => document.fonts.ready);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    say(`• ${name}.png`);
    await context.close();
  }
}
