import { existsSync } from 'node:fs';
import { installDebian } from './debian.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];
const find = () => [process.env.CHROMIUM_PATH, ...PLACES].find((path) => path && existsSync(path));

/** Path of a Chromium for the browser tests and pictures; Debian's is installed where there is none. */
export async function ensureChromium() {
  const found = find();
  if (found) return found;
  await installDebian(['chromium'], 'Chromium');
  return find() ?? PLACES[0];
}
