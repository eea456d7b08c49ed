import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('the match: first paint, smooth scrolling, a cell, a task and a blade opened, by pointer and by keys', async () => {
  const { page, errors } = await visitor(browser);
  await openKitchen(page, 'millrace-flat', '/match');
  await page.waitForSelector('[role="grid"] button[data-shade]');
  // everything the trade does, against every model
  await (await page.waitForSelector('xpath///label[contains(., "Only what I cut")]'))?.click();
  const paint = (by: string) =>
    page.evaluate(async (by) => {
      const select = [...document.querySelectorAll('select')].find((s) =>
        s.parentElement?.parentElement?.textContent?.includes('Blades by'),
      );
      const began = performance.now();
      if (select) {
        select.value = by;
        select.dispatchEvent(new Event('change', { bubbles: true }));
      }
      await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      return performance.now() - began;
    }, by);
  const painted = Math.min(await paint('price'), await paint('length'), await paint('price'));
  const scroll = () =>
    page.evaluate(async () => {
      const long: number[] = [];
      const watch = new PerformanceObserver((list) => list.getEntries().forEach((entry) => long.push(entry.duration)));
      const region = document.querySelector('[role="grid"]');
      region?.scrollTo(0, 0);
      await new Promise((resolve) => setTimeout(resolve, 300));
      watch.observe({ entryTypes: ['longtask'] });
      let cells = 0;
      for (let i = 0; i < 90 && region; i++) {
        region.scrollTop += 37;
        region.scrollLeft += 160;
        await new Promise(requestAnimationFrame);
        cells = Math.max(cells, document.querySelectorAll('[role="grid"] button[data-shade]').length);
      }
      await new Promise((resolve) => setTimeout(resolve, 200));
      watch.disconnect();
      return { long, cells, top: region?.scrollTop ?? 0, left: region?.scrollLeft ?? 0 };
    });
  // a few scrolls, for the machine may be busy with something else; the calmest tells what the page itself costs
  const rounds = [await scroll()];
  while (rounds.length < 3 && !rounds.some((r) => r.long.length === 0)) rounds.push(await scroll());
  const scrolled = rounds.reduce((calm, each) => (each.long.length < calm.long.length ? each : calm));
  console.log(
    `match: painted in ${painted.toFixed(0)} ms, ${scrolled.cells} cells in the page at most, long tasks in 90 frames of scrolling: ${rounds.map((r) => (r.long.length > 0 ? `${r.long.length} up to ${Math.max(...r.long)} ms` : 'none')).join('; ')}`,
  );
  expect(painted).toBeLessThan(300);
  expect(scrolled.top).toBeGreaterThan(1000);
  expect(scrolled.left).toBeGreaterThan(5000);
  expect(scrolled.cells).toBeLessThan(900);
  // even on a crowded machine, where anything takes twice its time, most frames stay short
  expect(scrolled.long.length).toBeLessThan(45);

  await page.reload();
  await page.waitForSelector('[role="grid"] button[data-shade]');
  await page.focus('[role="grid"]');
  await page.keyboard.press('ArrowDown');
  await page.waitForSelector('aside ul li');
  const first = await textOf(page, 'aside');
  expect(first).toMatch(/Done (on the board|in a long draw|in the hand|with the tip|sawing)/);
  await page.keyboard.press('ArrowRight');
  await page.waitForFunction((was) => document.querySelector('aside')?.textContent !== was, {}, first);

  await (await page.waitForSelector('xpath///button[contains(., "Slice crusty bread")]'))?.click();
  await page.waitForSelector('aside ol li');
  expect(await textOf(page, 'aside ol')).toMatch(/Serrated|Bread/i);
  await (await page.waitForSelector('[role="grid"] button[data-place="kit"]'))?.click();
  await page.waitForFunction(() => document.querySelector('aside')?.textContent?.includes('Must never do'));

  // on to the sheet and the comparison
  const sheet = await page.waitForSelector('xpath///aside//a[contains(., "Blade sheet")]');
  await Promise.all([page.waitForNavigation(), sheet?.click()]);
  await page.waitForFunction(() => document.querySelectorAll('figure svg').length === 5);
  await Promise.all([
    page.waitForNavigation(),
    (await page.waitForSelector('xpath///a[contains(., "Compare it")]'))?.click(),
  ]);
  await page.waitForFunction(() => document.querySelectorAll('table').length === 2);
  expect(await page.$$eval('main select', (selects) => selects.length)).toBe(3);
  expect(errors).toEqual([]);
});
