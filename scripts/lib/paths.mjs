import { createHash } from 'node:crypto';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout, and the folder where everything made at run time lives. */
export const root = join(dirname(fileURLToPath(import.meta.url)), '..', '..');
export const dataFolder = join(root, '.data');
/** Short name of this checkout, for places outside it. */
export const checkoutName = createHash('sha256').update(root).digest('hex').slice(0, 12);
