import { onceAlive, openBrowser } from './lib/browser.mjs';
const { browser, close } = await openBrowser();
const page = await browser.newPage();
onceAlive(page);
await page.setViewport({ width: 1280, height: 800 });
await page.goto('http://127.0.0.1:4321');
await page.waitForSelector('xpath///button[contains(., "Millrace")]');
const b = await page.$('xpath///button[contains(., "Millrace")]');
await Promise.all([page.waitForNavigation(), b.click()]);
const k = page.url();
await page.waitForSelector('[data-final="true"]');
await page.emulateCPUThrottling(4);
const rolls = [];
for (let i = 0; i < 6; i++) {
  await page.evaluateOnNewDocument(() => {
    const o = new MutationObserver(() => {
      if (!window.__roll && document.querySelector('section[aria-label="Your knife roll"] li'))
        window.__roll = performance.now();
      if (
        !window.__alive &&
        document.readyState !== 'loading' &&
        document.querySelector('header') &&
        !document.querySelector('[data-first]')
      )
        window.__alive = performance.now();
    });
    o.observe(document, { childList: true, subtree: true });
  });
  await page.reload();
  await page.waitForFunction(() => window.__roll);
  rolls.push(
    await page.evaluate(() => [
      Math.round(window.__alive),
      Math.round(window.__roll),
      Math.round(performance.getEntriesByName('first-contentful-paint')[0]?.startTime ?? 0),
    ]),
  );
}
console.log('alive/roll/fcp', JSON.stringify(rolls));
// cuisine clicks
const change = await page.$('xpath///aside//button[contains(., "Change")]');
await change?.click();
await page.waitForSelector('xpath///aside//label[normalize-space(.)="French"]');
await page.waitForSelector('[data-final="true"]');
await new Promise((r) => setTimeout(r, 3000));
const times = [];
for (const name of ['French', 'Korean', 'Mexican', 'French', 'Korean', 'Mexican', 'Baking', 'Baking']) {
  const t = await page.evaluate(async (name) => {
    const label = [...document.querySelectorAll('aside label')].find((l) => l.textContent.trim() === name);
    const main = document.querySelector('main');
    const began = performance.now();
    const done = new Promise((res) => {
      const o = new MutationObserver(() => {
        if (document.querySelector('[data-final="false"]')) {
          o.disconnect();
          requestAnimationFrame(() => setTimeout(() => res(performance.now()), 0));
        }
      });
      o.observe(main, { childList: true, subtree: true, attributes: true, characterData: true });
    });
    label.click();
    return (await done) - began;
  }, name);
  times.push(Math.round(t) + '(' + (await page.$eval('[data-answer-ms]', (e) => e.dataset.answerMs)) + ')');
  await page.waitForSelector('[data-final="true"]');
  await new Promise((r) => setTimeout(r, 2500));
}
console.log('clicks', times.join(' '));
await close();
