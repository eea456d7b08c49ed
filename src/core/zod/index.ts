// The one door to the validation library. Pages forbid code made from text, and their policy reports even the library's attempt at it: there it
// is told beforehand to do without. Elsewhere it may compile its schemas, which reads large files faster.
import { config } from 'zod';

config({ jitless: 'location' in globalThis });

export { z } from 'zod';
