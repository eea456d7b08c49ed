// npm start: packages, database, migrations, catalogue and samples, build, serve. Needs nothing but Node.
import { prepare } from './lib/prepare.mjs';
import { isFree, nextFree } from './lib/ports.mjs';
import { main, say, Stop } from './lib/say.mjs';
import { serve } from './lib/serve.mjs';
import { withStops } from './lib/stops.mjs';

const USUAL_PORT = 4321;

async function choosePort() {
  const asked = process.env.PORT;
  if (!asked) return nextFree(USUAL_PORT);
  const port = Number(asked);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT=${asked} is not a port number; use 1 to 65535.`);
  if (!(await isFree(port))) throw new Stop(`Port ${port} is taken. Choose another PORT, or leave it out.`);
  return port;
}

await main(async () => {
  await withStops(async (stops, isEnding) => {
    const port = await choosePort();
    const { url, entry } = await prepare({
      cluster: process.env.SCABBARD_CLUSTER ?? 'app',
      database: 'scabbard',
      stops,
    });
    const server = await serve(entry, url, port);
    stops.push(server.stop);
    say(`\nScabbard is ready: ${server.address}`);
    const code = await server.ended;
    if (!isEnding()) throw new Stop(`The server ended unexpectedly (${code}).`);
  });
});
