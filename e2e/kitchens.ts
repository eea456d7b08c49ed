import type { Page } from 'puppeteer-core';
import { somebody } from './asking';
import { address } from './support';

/** What a kitchen is made from: nothing, a sample by its id, or what a file holds. */
export type Origin = 'nothing' | 'millrace-flat' | 'saltstair-supper-house' | object;

/** A kitchen of this window's own, made without a way over the first page. Gives its address and id. */
export async function ownKitchen(page: Page, origin: Origin): Promise<{ url: string; id: string }> {
  const file = typeof origin === 'object' ? { from: 'file', kitchen: origin } : { from: 'sample', sample: origin };
  const { cookie, id } = await somebody(origin === 'nothing' ? { from: origin } : file);
  const [name = '', value = ''] = cookie.split('=');
  await page.browserContext().setCookie({ name, value, domain: new URL(address).hostname, path: '/', httpOnly: true });
  return { url: `${address}/kitchens/${id}`, id };
}

/** {@link ownKitchen}, opened at `part` of its pages; at its plan where none is named. */
export async function openKitchen(page: Page, origin: Origin, part = ''): Promise<{ url: string; id: string }> {
  const made = await ownKitchen(page, origin);
  await page.goto(`${made.url}${part}`);
  return made;
}
