import type { Page } from 'puppeteer-core';
import { cookieOf, send, storedSchema } from './asking';
import { address } from './support';

/**
 * A kitchen of this window's own, opened at `part` of its pages without a way over the first page: an empty one, a sample by its id, or
 * what a file holds. Gives its address and id.
 */
export async function openKitchen(
  page: Page,
  from: 'nothing' | 'millrace-flat' | 'saltstair-supper-house' | object,
  part = '',
): Promise<{ url: string; id: string }> {
  const file = typeof from === 'object' ? { from: 'file', kitchen: from } : { from: 'sample', sample: from };
  const made = await send('/api/kitchens', 'POST', from === 'nothing' ? { from } : file);
  const { id } = storedSchema.parse(await made.json());
  const [name = '', value = ''] = cookieOf(made)?.split('=') ?? [];
  await page.browserContext().setCookie({ name, value, domain: new URL(address).hostname, path: '/', httpOnly: true });
  const url = `${address}/kitchens/${id}`;
  await page.goto(`${url}${part}`);
  return { url, id };
}
