// npm start: packages, database, migrations, catalogue and samples, build, serve. Needs nothing but Node.
import { join } from 'node:path';
import { isLoopback } from './lib/front.mjs';
import { dataFolder } from './lib/paths.mjs';
import { prepare } from './lib/prepare.mjs';
import { isFree, nextFree } from './lib/ports.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { PortTaken, serve } from './lib/serve.mjs';
import { withStops } from './lib/stops.mjs';

const USUAL_PORT = 4321;
const host = process.env.HOST || '127.0.0.1';
const cluster = process.env.SCABBARD_CLUSTER ?? 'app';

async function choosePort() {
  const asked = process.env.PORT;
  if (!asked) return nextFree(USUAL_PORT);
  const port = Number(asked);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT=${asked} is not a port number; use 1 to 65535.`);
  if (!(await isFree(port, host))) throw new PortTaken(`Port ${port} is taken. Choose another PORT, or leave it out.`);
  return port;
}

/** Serves on the port asked for, or on the next one free, should another command take it meanwhile. */
async function serveSomewhere(entry, databaseUrl) {
  for (;;) {
    const port = await choosePort();
    try {
      return await serve(entry, { databaseUrl, port, host, log: join(dataFolder, cluster, 'log', 'server.log') });
    } catch (error) {
      if (!(error instanceof PortTaken) || process.env.PORT) throw error;
    }
  }
}

await main(async () => {
  if (!isLoopback(host) && !process.env.ALLOWED_HOSTS)
    throw new Stop(
      `HOST=${host} opens this server to others. Say by which names it may be asked for: ALLOWED_HOSTS=knives.example,… npm start (see docs/operations.md).`,
    );
  await withStops(async (stops, isEnding) => {
    await choosePort();
    const { url, entry } = await prepare({ cluster, database: 'scabbard', stops, keep: true });
    const server = await serveSomewhere(entry, url);
    stops.push(server.stop);
    say(`\nScabbard is ready: ${server.address}`);
    const code = await server.ended;
    if (!isEnding()) throw new Stop(`The server ended unexpectedly (${code}).`);
  });
});
