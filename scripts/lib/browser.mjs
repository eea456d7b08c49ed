import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import { ensureChromium } from './chromium.mjs';

const FLAGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // the address bar's own pages would be made anew for every window, at several times the cost of a page of ours
  '--disable-features=WebUIOmniboxPopup,WebUIOmniboxAimPopup',
];

/** A headless browser with an empty profile of its own. `close` ends it and removes the profile. */
export async function openBrowser() {
  const executablePath = await ensureChromium();
  const profile = mkdtempSync(join(tmpdir(), 'scabbard-browser-'));
  const browser = await puppeteer.launch({ executablePath, args: FLAGS, userDataDir: profile });
  const close = async () => {
    await browser.close();
    rmSync(profile, { recursive: true, force: true, maxRetries: 5 });
  };
  return { browser, close };
}

/** What the server showed of a page has made room for the page that answers. */
const isAlive = () => document.readyState !== 'loading' && !document.querySelector('[data-first]');

/** What is worked out for a page has come; a page that goes on working is not waited for longer than this, ms. */
const AT_REST_WITHIN = 8_000;
const isAtRest = () => !document.querySelector('main progress');

/**
 * Every way to another page in this window ends when that page answers and its worker has: a browser that is being watched may hang where a page is left
 * while its worker starts. A reload waits for its navigation by itself.
 */
export function onceAlive(page) {
  // looked for with every frame, it would have the page draw frames as long as it is waited for
  const wait = page.waitForFunction.bind(page);
  page.waitForFunction = (holds, how, ...args) => wait(holds, { polling: 50, ...how }, ...args);
  const failed = [];
  page.on('requestfailed', (request) => failed.push(`${request.url()} ${request.failure()?.errorText ?? ''}`));
  page.on('response', (response) => response.status() >= 400 && failed.push(`${response.url()} ${response.status()}`));
  for (const way of ['goto', 'waitForNavigation']) {
    const go = page[way].bind(page);
    page[way] = async (...how) => {
      const response = await go(...how);
      await page.waitForFunction(isAlive).catch((error) => {
        throw new Error(`${page.url()} never answered; not fetched: ${failed.join(', ') || 'nothing'}`, {
          cause: error,
        });
      });
      await page.waitForFunction(isAtRest, { timeout: AT_REST_WITHIN }).catch(() => undefined);
      return response;
    };
  }
}
