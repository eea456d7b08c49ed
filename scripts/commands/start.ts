// npm start: packages, database, migrations, catalogue and samples, build, serve.
import { join } from 'node:path';
import getPort from 'get-port';
import { dataFolder } from '../lib/paths.mjs';
import { nextFree } from '../lib/ports.mjs';
import { prepare } from '../lib/prepare';
import { say, Stop } from '../lib/say.mjs';
import type { Stops } from '../lib/stops.mjs';
import { isLoopback } from '../server/front';
import { PortTaken, serve, serversAsked, type Served } from '../server/supervise';

const USUAL_PORT = 4321;
const host = process.env.HOST || '127.0.0.1';
const cluster = process.env.SCABBARD_CLUSTER ?? 'app';

/** The port asked for, once it is seen to be free; null where none is asked for. */
async function portAsked(): Promise<number | null> {
  const asked = process.env.PORT;
  if (!asked) return null;
  const port = Number(asked);
  if (!Number.isInteger(port) || port < 1 || port > 65_535)
    throw new Stop(`PORT=${asked} is not a port number; use 1 to 65535.`);
  if ((await getPort({ port, host })) !== port)
    throw new PortTaken(`Port ${port} is taken. Choose another PORT, or leave it out.`);
  return port;
}

/** Serves on the port asked for, or on the next free one, should another command take it meanwhile. */
async function serveSomewhere(entry: string, databaseUrl: string, asked: number | null): Promise<Served> {
  const log = join(dataFolder, cluster, 'log', 'server.log');
  const servers = serversAsked();
  for (;;) {
    const port = asked ?? (await nextFree(USUAL_PORT));
    try {
      return await serve(entry, { databaseUrl, port, host, log, servers });
    } catch (error) {
      if (!(error instanceof PortTaken) || asked) throw error;
    }
  }
}

export default async function start(stops: Stops): Promise<void> {
  if (!isLoopback(host) && !process.env.ALLOWED_HOSTS)
    throw new Stop(
      `HOST=${host} opens this server to others. Say by which names it may be asked for: ALLOWED_HOSTS=knives.example,… npm start (see docs/operations.md).`,
    );
  serversAsked();
  const asked = await portAsked();
  const { url, entry } = await prepare({ cluster, database: 'scabbard', stops, keep: true });
  const server = await serveSomewhere(entry, url, asked);
  stops.push(server.stop);
  say(`\nScabbard is ready: ${server.address}`);
  await server.ended;
}
