import { createServer } from 'node:net';

/** Whether a port of this machine can be listened on. */
export function isFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen({ port, host, exclusive: true }, () => server.close(() => resolve(true)));
  });
}

/** The first free port from `from` on. */
export async function nextFree(from) {
  for (let port = from; port < from + 200; port++) if (await isFree(port)) return port;
  throw new Error(`no free port between ${from} and ${from + 200}`);
}
