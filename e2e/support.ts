import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { afterAll, onTestFailed } from 'vitest';
import { z } from '../src/core/zod';
import { kitchenFileSchema } from '../src/core/formats/kitchenFile';
import type { Browser, HTTPRequest, Page } from 'puppeteer-core';
import { onceAlive, openBrowser } from '../scripts/lib/browser.mjs';

/** Address of the server that npm test started. */
export const address = process.env.SCABBARD_ADDRESS ?? '';
if (!address) throw new Error('SCABBARD_ADDRESS is not set: run the browser tests through npm test');

/** One browser for a test file, closed at its end. */
export async function testBrowser(): Promise<Browser> {
  const { browser, close } = await openBrowser();
  afterAll(close);
  return browser;
}

/**
 * A window with cookies of its own: another person. Console errors are collected. Only one that `keeps` has a service worker: it fetches the whole
 * application beside every first page.
 */
export async function visitor(
  browser: Browser,
  width = 1280,
  height = 800,
  { keeps = false } = {},
): Promise<{ page: Page; errors: string[] }> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  const errors: string[] = [];
  page.on('console', (message) => message.type() === 'error' && errors.push(message.text()));
  page.on('pageerror', (error) => errors.push(String(error)));
  await page.setViewport({ width, height });
  if (!keeps) await page.evaluateOnNewDocument(() => Reflect.deleteProperty(Navigator.prototype, 'serviceWorker'));
  onceAlive(page);
  tellWhenFailing(page, errors);
  return { page, errors };
}

/** A test that fails tells where its page stands: its address, what it waits for from the server, and what it shows, if it still answers. */
function tellWhenFailing(page: Page, errors: readonly string[]): void {
  const pending = new Set<HTTPRequest>();
  page.on('request', (request) => pending.add(request));
  for (const done of ['requestfinished', 'requestfailed'] as const) page.on(done, (request) => pending.delete(request));
  const shows = () =>
    Promise.race([
      page.evaluate(() => document.body.innerText.replace(/\s+/g, ' ').slice(0, 800)),
      new Promise<string>((resolve) => setTimeout(() => resolve('(it does not answer)'), 3000)),
    ]);
  const tell = async () => {
    const waits = [...pending].map((request) => request.url()).join(', ') || 'nothing';
    console.log(`${page.url()} waits for ${waits}; logged ${errors.join('; ') || 'nothing'}; shows: ${await shows()}`);
  };
  try {
    onTestFailed(() => tell().catch((error: unknown) => console.log(String(error))));
  } catch {
    // a page opened before the tests tells nothing by itself
  }
}

/** Presses the button whose text contains `text` and waits for the page it leads to. */
export async function pressAndGo(page: Page, text: string): Promise<void> {
  const button = await page.waitForSelector(`xpath///button[not(@disabled)][contains(., "${text}")]`);
  await Promise.all([page.waitForNavigation(), button?.click()]);
}

/** Waits for the roll to hold an answer and the save to be done. */
export async function settled(page: Page): Promise<void> {
  await page.waitForSelector('section[aria-label="Your knife roll"] li');
  await page.waitForFunction(
    () =>
      document.querySelector('[role="status"]')?.textContent === 'Saved' &&
      document.querySelector('[data-final="true"]') !== null,
  );
}

/** Waits for what was said last to be kept by the server. */
export const saved = (page: Page) =>
  page.waitForFunction(() => document.querySelector('header [role="status"]')?.textContent === 'Saved');

/** Text of the first element that matches. */
export const textOf = (page: Page, selector: string): Promise<string> =>
  page.$eval(selector, (element) => element.textContent ?? '');

/** Names of the pockets, in order. */
export const pockets = (page: Page): Promise<string[]> =>
  page.$$eval('section[aria-label="Your knife roll"] [data-pocket]', (buttons) =>
    buttons.map((b) => b.textContent ?? ''),
  );

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

const axeResult = z.object({
  violations: z.array(
    z.object({ id: z.string(), impact: z.string().nullable(), nodes: z.array(z.object({ html: z.string() })) }),
  ),
});

/** What axe finds that is serious or worse, with the place. The policy forbids injected scripts, so axe runs through the debugger. */
export async function seriousFaults(page: Page): Promise<string[]> {
  await page.evaluate(axe);
  const { violations } = axeResult.parse(await page.evaluate('axe.run(document, { resultTypes: ["violations"] })'));
  return violations
    .filter((v) => v.impact === 'serious' || v.impact === 'critical')
    .map((v) => `${v.id}: ${v.nodes[0]?.html}`);
}

/** Presses what a thumb would first scroll into the middle, clear of bars that stay in place, once it lies still. */
export async function tap(page: Page, selector: string): Promise<void> {
  for (let tries = 1; ; tries++) {
    const found = await page.waitForSelector(selector);
    await found?.evaluate(atRest);
    const landed = found?.evaluate(isClicked).catch(() => true);
    await found?.click();
    if ((await landed) || tries === TRIES) return;
  }
}

const TRIES = 3;

/** Brings an element into the window and waits until it no longer moves. */
async function atRest(e: Element): Promise<void> {
  e.scrollIntoView({ block: 'center', behavior: 'instant' });
  const where = () => JSON.stringify(e.getBoundingClientRect());
  const frame = () => new Promise((shown) => requestAnimationFrame(shown));
  for (let before = '', tries = 0; before !== where() && tries < 60; tries++) {
    before = where();
    await frame();
    await frame();
  }
}

/** Whether the next click in the window lands on an element: an answer that arrives meanwhile may have moved it away. */
const isClicked = (e: Element) =>
  new Promise<boolean>((tell) => {
    const heard = ({ target }: Event) => tell(target instanceof Node && e.contains(target));
    window.addEventListener('click', heard, { once: true, capture: true });
    setTimeout(tell, 2000, true);
  });

/** Opens whatever folds, menus too, one after another, until nothing more opens; after each round waits for the page to stand. */
export async function openAll(page: Page, stands: () => Promise<unknown>): Promise<void> {
  for (let round = 0; round < 4; round++) {
    const more = await page.$$eval(
      'button[aria-expanded="false"]:not(:disabled), details:not([open]) > summary',
      (all) => {
        const seen = all.filter(
          (each) => each instanceof HTMLElement && each.checkVisibility() && !each.dataset.pocket,
        );
        for (const each of seen) if (each instanceof HTMLElement) each.click();
        return seen.length;
      },
    );
    if (more === 0) break;
    await stands();
  }
}

/** A kitchen as the server has it, by its id or its page's address. */
export const fileOf = async (page: Page, id: string) =>
  kitchenFileSchema.parse(
    await page.evaluate(
      async (url) => (await fetch(url)).json() as Promise<unknown>,
      `/api/kitchens/${id.split('/').at(-1) ?? ''}/file`,
    ),
  );
