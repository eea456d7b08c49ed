import type { Browser } from 'puppeteer-core';

export function openBrowser(): Promise<{ browser: Browser; close: () => Promise<void> }>;
