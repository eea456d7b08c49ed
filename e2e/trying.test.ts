import type { Page } from 'puppeteer-core';
import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { fileOf, saved, tap, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

/** A view of trying of a sample kitchen, in a window as wide as a phone or a desk. */
async function trying(way: string, width = 1280, height = 800) {
  const { page, errors } = await visitor(browser, width, height);
  const { url: kitchen } = await openKitchen(page, 'millrace-flat', `/try/${way}`);
  return { page, errors, kitchen };
}

/** Presses the button that holds these words, and counts it. */
const press = async (page: Page, words: string) => {
  await tap(page, `xpath///main//button[contains(normalize-space(.), "${words}")]`);
};

test('by thumb, without a server once opened: a knife held in few taps is left, and the plan leaves it too', async () => {
  const { page, errors, kitchen } = await trying('hand', 390, 844);
  await page.waitForSelector('xpath///main//button[contains(., "Santoku")]');
  await page.setOfflineMode(true);
  let taps = 0;
  const thumb = async (words: string) => {
    taps++;
    await press(page, words);
  };
  await thumb('Santoku');
  expect(await textOf(page, '[role="timer"]')).toMatch(/^[12]:\d\d$/);
  for (const answer of [
    'At once',
    'It bites',
    'It fills the palm',
    'Tight',
    'Sits level',
    'Just',
    'Easily',
    'It stays',
  ])
    await thumb(answer);
  await thumb('Still pleases');
  await page.waitForFunction(() => document.querySelector('main')?.textContent?.includes('Walk away'));
  // every target is large enough for a thumb
  await page.waitForFunction(() => /In the plan: /.test(document.querySelector('main')?.textContent ?? ''), {
    timeout: 30_000,
  });
  expect(await textOf(page, 'main')).toContain('a corner bites into the first joint');
  await thumb('Done');
  expect(taps).toBeLessThanOrEqual(25);
  expect(await textOf(page, 'table')).toMatch(/Walk away[\s\S]*It bites/);
  await page.setOfflineMode(false);
  await saved(page);
  const test = (await fileOf(page, kitchen)).trials?.hand?.[0];
  expect(test).toMatchObject({ model: 'oskavel-santoku-165', answers: { bite: 'bites', after: 'pleases' } });
  await page.goto(kitchen);
  await page.waitForSelector('[data-final="true"]');
  await page.$eval('[aria-label="Beside the plan"]', (e) => e.scrollIntoView());
  await page.waitForFunction(() => document.body.textContent?.includes('Held and tried'), { timeout: 30_000 });
  expect(await textOf(page, 'main')).toMatch(/Santoku 165, Oskavel, held on .*: left, because a corner bites/);
  expect(errors.filter((error) => !error.includes('ERR_INTERNET_DISCONNECTED'))).toEqual([]);
});

test('three knives and six foods are tried without a keyboard, taken up again after a break, and count', async () => {
  const { page, errors, kitchen } = await trying('food', 390, 844);
  await page.waitForSelector('table input[type="checkbox"]');
  const third = await page.$$eval('select', (all) => {
    const found = [...(all[2]?.options ?? [])].find((o) => o.textContent?.startsWith('Nakiri'));
    return found?.value ?? '';
  });
  await page.evaluate((value) => {
    const select = document.querySelectorAll('select')[2];
    if (!select) return;
    select.value = value;
    select.dispatchEvent(new Event('change', { bubbles: true }));
  }, third);
  await press(page, 'Begin: 6 foods, 18 runs');
  const run = async () => {
    const knife = (await textOf(page, 'h1')).includes('santoku') ? 2 : 4;
    for (const mark of ['Ease', 'Control', 'Result']) await tap(page, `button[aria-label="${mark} ${knife}"]`);
    await press(page, 'Next');
  };
  for (let i = 0; i < 5; i++) await run();
  await saved(page);
  await page.reload();
  await press(page, 'Go on');
  await page.waitForFunction(() => document.querySelector('section p')?.textContent === 'Run 6 of 18');
  for (let i = 5; i < 18; i++) await run();
  await page.waitForSelector('section[aria-label="Result of the trial"]');
  const told = await textOf(page, 'section[aria-label="Result of the trial"]');
  expect(told).toMatch(/is better by 40 points over 6 foods; that is settled/);
  await page.waitForFunction(() => /now count for more than the computed ones/.test(document.body.textContent ?? ''), {
    timeout: 60_000,
  });
  await saved(page);
  expect((await fileOf(page, kitchen)).trials?.bench?.[0]?.runs).toHaveLength(18);
  // switched off, the figures count again
  await press(page, 'Done');
  await tap(page, 'xpath///label[contains(., "Use measured scores")]');
  await saved(page);
  expect((await fileOf(page, kitchen)).trials?.measuredCounts).toBe(false);
  expect(errors).toEqual([]);
});

test('a photo beside a bank card is measured on this device, corrected by keys, used, and compared with a later one', async () => {
  const { page, errors, kitchen } = await trying('measure');
  await press(page, 'Example 1');
  await page.waitForFunction(() => document.querySelector('main dl')?.textContent?.includes('Height at the heel'), {
    timeout: 30_000,
  });
  const shown = () => page.$eval('main dl', (e) => Number(/Edge(\d+(?:\.\d+)?)/.exec(e.textContent ?? '')?.[1]));
  // the knife of the drawer is 130 mm long
  expect(Math.abs((await shown()) - 130)).toBeLessThan(2);
  // a ring out of place is told, and brought back by keys
  await page.$$eval('svg circle[role="button"]', (rings) => rings[5]?.focus());
  await page.keyboard.down('Shift');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await page.keyboard.up('Shift');
  expect(Math.abs((await shown()) - 130)).toBeLessThan(2);
  await press(page, 'Use these figures');
  await saved(page);
  const [knife] = (await fileOf(page, kitchen)).owned ?? [];
  expect(Math.abs((knife?.lengthMm ?? 0) - 130)).toBeLessThan(2);
  expect(knife?.profiles).toHaveLength(1);
  await press(page, 'Example 2');
  await page.waitForFunction(
    () => [...document.querySelectorAll('button')].some((b) => b.textContent === 'Use these figures' && !b.disabled),
    { timeout: 30_000 },
  );
  await press(page, 'Use these figures');
  await expect
    .poll(() => page.$eval('section[aria-labelledby="losses"]', (e) => e.textContent).catch(() => ''), {
      timeout: 15_000,
    })
    .toMatch(/0(\.\d)? mm at the heel/);
  // what is no photo is told
  const input = await page.$('input[type="file"]');
  await (input as unknown as { uploadFile: (path: string) => Promise<void> }).uploadFile('package.json');
  await page.waitForSelector('xpath///p[@role="alert"][contains(., "no photo that can be read")]');
  expect(errors).toEqual([]);
});

test('coins, wishes and the cut seen: each answers what it is asked', async () => {
  const { page, errors, kitchen } = await trying('feel');
  await page.waitForFunction(() => /Tape \d+ × /.test(document.querySelector('main')?.textContent ?? ''));
  await page.goto(`${kitchen}/try/wishes`);
  await page.waitForSelector('main select');
  await page.select('main select', 'light');
  await page.waitForFunction(() =>
    (document.querySelector('section[aria-labelledby="found"]')?.textContent ?? '').includes('Paring'),
  );
  await page.goto(`${kitchen}/compare?blades=oskavel-santoku-165,tidewrack-deba-165`);
  await page.waitForSelector('svg[aria-label$="from the side and from the front"]');
  const turned = () =>
    page.$$eval('svg[aria-label$="from the front"] g[transform*="rotate"]', (all) =>
      all.map((g) => g.getAttribute('transform')),
    );
  const [before] = await turned();
  await page.focus('input[aria-label^="How far the stroke"]');
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowLeft');
  await page.waitForFunction(
    (was) =>
      document.querySelector('svg[aria-label$="from the front"] g[transform*="rotate"]')?.getAttribute('transform') !==
      was,
    {},
    before,
  );
  await press(page, 'Play the stroke');
  await page.waitForFunction(
    (was) =>
      document.querySelector('svg[aria-label$="from the front"] g[transform*="rotate"]')?.getAttribute('transform') ===
      was,
    { timeout: 10_000 },
    before,
  );
  expect(await textOf(page, 'section[aria-labelledby="cut-seen"] ul')).toMatch(/food \d+ mm across and \d+ mm high/);
  expect(errors).toEqual([]);
});
