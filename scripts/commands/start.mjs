// npm start: packages, database, migrations, catalogue and samples, build, serve. Needs nothing but Node.
import { join } from 'node:path';
import getPort from 'get-port';
import { isLoopback } from '../lib/front.mjs';
import { dataFolder } from '../lib/paths.mjs';
import { prepare } from '../lib/prepare.mjs';
import { nextFree } from '../lib/ports.mjs';
import { say, Stop } from '../lib/say.mjs';
import { PortTaken, serve } from '../lib/serve.mjs';

const USUAL_PORT = 4321;
const host = process.env.HOST || '127.0.0.1';
const cluster = process.env.SCABBARD_CLUSTER ?? 'app';

/** The port asked for, once it is seen to be free; null where none is asked for. */
async function portAsked() {
  const asked = process.env.PORT;
  if (!asked) return null;
  const port = Number(asked);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT=${asked} is not a port number; use 1 to 65535.`);
  if ((await getPort({ port, host })) !== port)
    throw new PortTaken(`Port ${port} is taken. Choose another PORT, or leave it out.`);
  return port;
}

/** Serves on the port asked for, or on the next one free, should another command take it meanwhile. */
async function serveSomewhere(entry, databaseUrl, asked) {
  const log = join(dataFolder, cluster, 'log', 'server.log');
  for (;;) {
    const port = asked ?? (await nextFree(USUAL_PORT));
    try {
      return await serve(entry, { databaseUrl, port, host, log });
    } catch (error) {
      if (!(error instanceof PortTaken) || asked) throw error;
    }
  }
}

export default async function (stops, isEnding) {
  if (!isLoopback(host) && !process.env.ALLOWED_HOSTS)
    throw new Stop(
      `HOST=${host} opens this server to others. Say by which names it may be asked for: ALLOWED_HOSTS=knives.example,… npm start (see docs/operations.md).`,
    );
  const asked = await portAsked();
  const { url, entry } = await prepare({ cluster, database: 'scabbard', stops, keep: true });
  const server = await serveSomewhere(entry, url, asked);
  stops.push(server.stop);
  say(`\nScabbard is ready: ${server.address}`);
  const code = await server.ended;
  if (!isEnding()) throw new Stop(`The server ended unexpectedly (${code}).`);
}
