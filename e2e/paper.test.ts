import { expect, test } from 'vitest';
import { planFileSchema } from '../src/core/formats/planFile';
import { openKitchen } from './kitchens';
import { address, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();
const button = (name: string) => `xpath///button[.//span[contains(., "${name}")] or contains(., "${name}")]`;

test('a plan goes out: PDF, shopping list, files, and a link that shows it to a stranger and nothing else', async () => {
  const { page, errors } = await visitor(browser);
  await page.evaluateOnNewDocument(() => {
    // what is handed over to be kept, by its name
    const kept: Record<string, Blob> = {};
    Object.assign(globalThis, { kept });
    const blobs = new Map<string, Blob>();
    const make = URL.createObjectURL.bind(URL);
    URL.createObjectURL = (blob: Blob) => {
      const url = make(blob);
      blobs.set(url, blob);
      return url;
    };
    HTMLAnchorElement.prototype.click = function (this: HTMLAnchorElement) {
      const blob = blobs.get(this.href);
      if (blob) kept[this.download] = blob;
    };
  });
  const { id } = await openKitchen(page, 'millrace-flat', '/paper');
  await page.waitForFunction(
    () => /up to €\d/.test(document.querySelector('pre')?.textContent ?? '') && !document.querySelector('progress'),
    { timeout: 60_000 },
  );
  const kept = (ending: string) =>
    page
      .waitForFunction(
        async (end) => {
          const all = (globalThis as unknown as { kept: Record<string, Blob> }).kept;
          const name = Object.keys(all).find((each) => each.endsWith(end));
          return name && all[name] ? Array.from(new Uint8Array(await all[name].arrayBuffer()).slice(0, 200_000)) : null;
        },
        { timeout: 30_000 },
        ending,
      )
      .then((handle) => handle.jsonValue())
      .then((bytes) => Buffer.from(bytes ?? []).toString('latin1'));
  const press = async (name: string) => (await page.waitForSelector(button(name)))?.click();
  await press('Make the PDF');
  expect(await kept('.pdf')).toMatch(/^%PDF-1/);
  await press('Plan as a spreadsheet');
  expect((await kept('.xlsx')).slice(0, 2)).toBe('PK');
  await press('Plan as CSV');
  expect(await kept('-plan.csv')).toMatch(/^order,action,need,name/);
  await press('Plan as JSON');
  const plan = planFileSchema.parse(JSON.parse(Buffer.from(await kept('plan.json'), 'latin1').toString('utf8')));
  await press('Knives as SVG');
  expect(await kept('.svg')).toMatch(/^<svg [^>]*width="\d+\.\d\dmm"/);

  await press('Make a link');
  const link = await page.waitForSelector('input[readonly]').then((e) => e?.evaluate((i) => i.value));
  const stranger = await visitor(browser);
  const answer = await stranger.page.goto(link ?? '');
  expect(answer?.headers()['x-robots-tag']).toContain('noindex');
  expect(answer?.headers()['referrer-policy']).toBe('no-referrer');
  const shown = await textOf(stranger.page, 'main');
  expect(shown).toContain('A knife kit in buying order');
  expect(shown).not.toContain('€');
  expect(await stranger.page.$$eval('main li svg', (all) => all.length)).toBeGreaterThan(0);
  expect(await stranger.page.$$eval('script[src]:not([src*="colour"])', (all) => all.length)).toBe(0);
  expect(await stranger.page.browserContext().cookies()).toEqual([]);
  expect((await stranger.page.goto(`${address}/kitchens/${id}`))?.status()).toBe(404);
  // somebody else can neither list nor withdraw it
  const foreign = await stranger.page.evaluate(async (at) => (await fetch(at)).status, `/api/kitchens/${id}/shown`);
  expect(foreign).toBe(404);

  await press('Withdraw');
  await page.waitForFunction(() => !document.querySelector('[aria-label="Links of this kitchen"]'));
  expect((await stranger.page.goto(link ?? ''))?.status()).toBe(404);
  expect(plan.steps.length).toBeGreaterThan(2);
  expect(errors).toEqual([]);
});

test('a plan printed from the browser shows its name and every pocket whole, and nothing of the screen', async () => {
  const { page, errors } = await visitor(browser);
  await openKitchen(page, {
    format: 'scabbard.kitchen',
    version: 1,
    name: 'Weir house',
    cooks: [{}, {}],
    cooksAtOnce: 2,
    owned: [{ type: 'steak', condition: 'worn-out' }],
    cooking: { cuisines: [{ id: 'italian' }, { id: 'raw-fish' }], mealsPerWeek: 12 },
    budget: { total: 900 },
  });
  await settled(page);
  // an A4 page between its margins, in CSS pixels
  await page.setViewport({ width: 718, height: 1000 });
  await page.emulateMediaType('print');
  const printed = await page.evaluate(() => {
    const shown = (e: Element) => e.getClientRects().length > 0;
    const roll = document.querySelector('section[aria-label="Your knife roll"]');
    const bottom = roll?.getBoundingClientRect().bottom ?? 0;
    const words = [...(roll?.querySelectorAll('[data-pocket] *') ?? [])].filter(
      (e) => e.childElementCount === 0 && !e.matches('.visually-hidden'),
    );
    const boxes = words.filter(shown).map((e) => ({ e, box: e.getBoundingClientRect() }));
    return {
      title: document.querySelector('h1')?.getBoundingClientRect().height ?? 0,
      name: document.querySelector('h1')?.textContent,
      pockets: roll?.querySelectorAll('[data-pocket]').length ?? 0,
      below: boxes.filter(({ box }) => box.bottom > bottom).map(({ e }) => e.textContent),
      cut: boxes
        .filter(({ e }) => e.scrollHeight > e.clientHeight + 1 && e.clientHeight > 0)
        .map(({ e }) => e.textContent),
      priced: words.filter((e) => shown(e) && /^€/.test(e.textContent ?? '')).length,
      screen: [...document.querySelectorAll('aside, nav, main button:not([data-pocket])')].filter(shown).length,
      wide: document.documentElement.scrollWidth - document.documentElement.clientWidth,
    };
  });
  expect(printed).toMatchObject({ name: 'Your plan: Weir house', below: [], cut: [], screen: 0, wide: 0 });
  expect(printed.title).toBeGreaterThan(20);
  expect(printed.pockets).toBeGreaterThan(3);
  expect(printed.priced).toBeGreaterThanOrEqual(printed.pockets - 1);
  expect(errors).toEqual([]);
});
