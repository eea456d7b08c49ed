import { connect, createServer, type Server, type Socket } from 'node:net';
import { expect, test } from 'vitest';
import { openKitchen } from './kitchens';
import { address, pressAndGo, settled, testBrowser, textOf, visitor } from './support';

const browser = await testBrowser();

/** A way to the server that can be cut, or hang, and be there again. */
async function line() {
  const { port: to } = new URL(address);
  const open = new Set<Socket>();
  let server: Server;
  let port = 0;
  let hangs = false;
  const listen = () =>
    new Promise<void>((resolve) => {
      server = createServer((from) => {
        open.add(from);
        from.on('error', () => undefined).on('close', () => open.delete(from));
        if (hangs) return;
        const there = connect(Number(to), '127.0.0.1').on('error', () => from.destroy());
        from.on('close', () => there.destroy());
        from.pipe(there).pipe(from);
      }).listen(port, '127.0.0.1', () => {
        const at = server.address();
        port = typeof at === 'object' && at ? at.port : 0;
        resolve();
      });
    });
  const cut = () =>
    new Promise<void>((resolve) => {
      server.close(() => resolve());
      for (const socket of open) socket.destroy();
    });
  await listen();
  return {
    address: `http://127.0.0.1:${port}`,
    cut,
    mend: listen,
    hang: () => {
      hangs = true;
      for (const socket of open) socket.destroy();
    },
  };
}

const nameField = 'input[aria-label="Name of this kitchen"]';

/** The notice at the foot; a part that cannot be fetched tells of itself with an alert of its own, further up. */
const notSaved = 'xpath///*[@role="alert"][contains(., "Not saved yet")]';

test('edits made while the server is away are kept through a reload, shown as not saved, and sent when it returns', async () => {
  const way = await line();
  const { page } = await visitor(browser);
  await page.goto(way.address);
  await pressAndGo(page, 'Start my kitchen');
  await settled(page);
  const url = page.url();
  await way.cut();
  await page.focus(nameField);
  await page.keyboard.type(' on the hill');
  await page.waitForSelector(notSaved);
  // it stays in sight
  await page.evaluate(() => scrollTo(0, document.body.scrollHeight));
  const top = await page.$eval(notSaved, (e) => e.getBoundingClientRect().top);
  expect(top).toBeGreaterThanOrEqual(0);
  expect(top).toBeLessThan(await page.evaluate(() => innerHeight));
  // what lies further down cannot be fetched now, and the rest of the page stands
  await page.waitForFunction(() =>
    document.querySelector('main')?.textContent?.includes('This part could not be loaded'),
  );
  expect(await page.$(nameField)).not.toBeNull();
  // leaving asks; the window is then closed all the same, and opened again when the server is back
  let asked = false;
  page.once('dialog', (dialog) => {
    asked = dialog.type() === 'beforeunload';
    void dialog.accept();
  });
  await page.goto('about:blank');
  expect(asked).toBe(true);
  await way.mend();
  await page.goto(url);
  await page.waitForSelector(nameField);
  await page.waitForFunction(
    (field) => (document.querySelector(field) as HTMLInputElement).value === 'My kitchen on the hill',
    {},
    nameField,
  );
  await settled(page);
  const stored = await page.evaluate(
    async (path) => (await (await fetch(path)).json()) as { kitchen: { name: string } },
    `/api${new URL(url).pathname}`,
  );
  expect(stored.kitchen.name).toBe('My kitchen on the hill');
  // a server that takes the save and says nothing is as good as none
  way.hang();
  await page.focus(nameField);
  await page.keyboard.type('s');
  await page.waitForSelector(notSaved);
  await way.cut();
});

test('another window’s change is shown at once, and asked about where there are edits of one’s own', async () => {
  const { page } = await visitor(browser);
  await openKitchen(page, 'nothing');
  await settled(page);
  const other = await page.browserContext().newPage();
  await other.goto(page.url());
  await settled(other);
  await other.focus(nameField);
  await other.keyboard.type(' two');
  await page.waitForFunction(
    (field) => (document.querySelector(field) as HTMLInputElement).value === 'My kitchen two',
    // a window behind another draws no frames
    { polling: 100 },
    nameField,
  );
  expect(await textOf(page, '[role="status"]')).toContain('another window');
  expect(await page.$('[role="alert"]')).toBeNull();
});
