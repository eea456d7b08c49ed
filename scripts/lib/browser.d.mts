import type { Browser, Page } from 'puppeteer-core';

export function openBrowser(): Promise<{ browser: Browser; close: () => Promise<void> }>;

/** Every way to another page in this window ends when that page answers. */
export function onceAlive(page: Page): void;
