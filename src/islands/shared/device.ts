/** What is not saved yet is kept on this device, one note a window and kitchen, until the server has it. */

const PREFIX = 'scabbard.unsaved.';
const WINDOW = 'scabbard.window';

/** Name of this window, the same from page to page. */
function windowName(): string {
  const known = sessionStorage.getItem(WINDOW);
  if (known) return known;
  const fresh = crypto.randomUUID();
  sessionStorage.setItem(WINDOW, fresh);
  return fresh;
}

// a page rendered on the server stands on no device yet
const keysOf = (prefix: string) =>
  typeof localStorage === 'undefined' ? [] : Object.keys(localStorage).filter((key) => key.startsWith(prefix));
/** When a note was written, as its first characters say. */
const writtenAt = (key: string) => Number((localStorage.getItem(key) ?? '').split('\n', 1)[0]);

/** Writes the note of this window on a kitchen; false where the device keeps none. */
export function keepNote(kitchenId: string, text: string): boolean {
  try {
    localStorage.setItem(`${PREFIX}${kitchenId}.${windowName()}`, `${Date.now()}\n${text}`);
    return true;
  } catch {
    return false;
  }
}

export function dropNote(kitchenId: string): void {
  localStorage.removeItem(`${PREFIX}${kitchenId}.${windowName()}`);
}

/** Takes the note on a kitchen: this window's, or else the newest that another left behind. Empty when there is none. */
export function takeNote(kitchenId: string): string {
  const prefix = `${PREFIX}${kitchenId}.`;
  const own = `${prefix}${windowName()}`;
  const keys = keysOf(prefix).sort((a, b) => (b === own ? 1 : a === own ? -1 : writtenAt(b) - writtenAt(a)));
  const [key] = keys;
  if (!key) return '';
  const text = localStorage.getItem(key) ?? '';
  localStorage.removeItem(key);
  return text.slice(text.indexOf('\n') + 1);
}

/** Kitchens of which this device keeps a note. */
export const notedKitchens = (): ReadonlySet<string> =>
  new Set(keysOf(PREFIX).map((key) => key.slice(PREFIX.length).split('.')[0] ?? ''));

/** Forgets everything kept on this device. */
export function forgetDevice(): void {
  for (const store of [localStorage, sessionStorage])
    for (const key of Object.keys(store)) if (key.startsWith('scabbard.')) store.removeItem(key);
}
