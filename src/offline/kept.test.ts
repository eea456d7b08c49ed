import { expect, test } from 'vitest';
import { assetsIn, isKeepKitchen, isPage, kitchenIn, marked } from './kept';

const ID = '0b6f1c1e-5c0d-4a63-9b7a-3d4f0e2a9c11';

test('only pages and files of kitchens are kept', () => {
  expect(['/', `/kitchens/${ID}`, `/kitchens/${ID}/keep/use`].every(isPage)).toBe(true);
  expect(['/help', '/kitchens/nobody', '/shown/abc', `/api/kitchens/${ID}`].some(isPage)).toBe(false);
  expect(kitchenIn(`/api/kitchens/${ID}`)).toBe(ID);
  expect(kitchenIn(`/api/kitchens/${ID}/file`)).toBeNull();
  expect(kitchenIn('/api/kitchens/x')).toBeNull();
});

test('only a well-formed request keeps a kitchen', () => {
  expect(isKeepKitchen({ type: 'keep-kitchen', id: ID })).toBe(true);
  for (const message of [
    null,
    'keep-kitchen',
    { type: 'keep-kitchen' },
    { type: 'keep-kitchen', id: '../api' },
    { id: ID },
  ])
    expect(isKeepKitchen(message)).toBe(false);
});

test('a kept page is marked, and names what it is made of', () => {
  const html =
    '<!doctype html><html lang="en"><link href="/assets/page.A1.css"><script src="/first.js"></script>' +
    '<astro-island component-url="/assets/KitchenView.B2.js" renderer-url="/assets/client.C3.js?x"></astro-island></html>';
  expect(assetsIn(html + html)).toEqual(['/assets/page.A1.css', '/assets/KitchenView.B2.js', '/assets/client.C3.js']);
  expect(marked(html)).toContain('<html data-kept lang="en">');
});
