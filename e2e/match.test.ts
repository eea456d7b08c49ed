import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

test('the match: scrolling, a cell, a task and a blade opened, by pointer and by keys', async () => {
  const { page, errors } = await visitor(browser);
  await openKitchen(page, 'millrace-flat', '/match');
  await page.waitForSelector('[role="grid"] button[data-shade]');
  // everything the trade does, against every model
  await (await page.waitForSelector('xpath///label[contains(., "Only what I cut")]'))?.click();
  // scrolling refills the cells in the page instead of making new ones
  const scrolled = await page.evaluate(async () => {
    const region = document.querySelector('[role="grid"]');
    if (!region) throw new Error('The page has no table.');
    const frame = () => new Promise(requestAnimationFrame);
    const inPage = () => region.querySelectorAll('button[data-shade]').length;
    const cellsOf = (node: Node) =>
      node instanceof Element
        ? [node, ...node.querySelectorAll('*')].filter((e) => e.matches('button[data-shade]'))
        : [];
    // the first frames bring the window to its full size
    for (let i = 0; i < 10; i++) {
      region.scrollTop += 37;
      region.scrollLeft += 160;
      await frame();
    }
    await frame();
    const seen = new Set<Element>(cellsOf(region));
    const before = seen.size;
    const watch = new MutationObserver((changes) =>
      changes.flatMap(({ addedNodes }) => [...addedNodes].flatMap(cellsOf)).forEach((cell) => seen.add(cell)),
    );
    watch.observe(region, { childList: true, subtree: true });
    let cells = 0;
    for (let i = 0; i < 80; i++) {
      region.scrollTop += 37;
      region.scrollLeft += 160;
      await frame();
      cells = Math.max(cells, inPage());
    }
    await frame();
    watch.disconnect();
    return { made: seen.size - before, cells, top: region.scrollTop, left: region.scrollLeft };
  });
  console.log(`match: ${scrolled.cells} cells in the page at most, ${scrolled.made} made in 80 frames of scrolling`);
  expect(scrolled.top).toBeGreaterThan(1000);
  expect(scrolled.left).toBeGreaterThan(5000);
  expect(scrolled.cells).toBeLessThan(900);
  expect(scrolled.made).toBeLessThan(scrolled.cells);

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
