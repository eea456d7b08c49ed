import getPort, { portNumbers } from 'get-port';

/** The first free port of this machine from `from` on, on loopback. */
export const nextFree = (from) => getPort({ port: portNumbers(from, from + 200), host: '127.0.0.1' });
