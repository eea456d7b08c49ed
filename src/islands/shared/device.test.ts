import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { dropNote, forgetDevice, keepNote, notedKitchens, takeNote } from './device';

/** A store as browsers have it: its keys are its own properties. */
function store(): Storage {
  const held = new Map<string, string>();
  const methods = {
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => void held.set(key, value),
    removeItem: (key: string) => void held.delete(key),
    clear: () => held.clear(),
    key: (i: number) => [...held.keys()][i] ?? null,
    get length() {
      return held.size;
    },
  };
  return new Proxy(methods, {
    ownKeys: () => [...held.keys()],
    getOwnPropertyDescriptor: (_, key) =>
      typeof key === 'string' && held.has(key)
        ? { value: held.get(key), enumerable: true, configurable: true }
        : undefined,
  });
}

let local: Storage;
/** Another window of the same browser: the device is one, the session its own. */
const openWindow = () => {
  const session = store();
  return () => vi.stubGlobal('sessionStorage', session);
};

beforeEach(() => {
  local = store();
  vi.stubGlobal('localStorage', local);
  openWindow()();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test('a note is taken once, and a kitchen without one has none', () => {
  expect(keepNote('a', 'first\nsecond')).toBe(true);
  expect([...notedKitchens()]).toEqual(['a']);
  expect(takeNote('b')).toBe('');
  expect(takeNote('a')).toBe('first\nsecond');
  expect(takeNote('a')).toBe('');
  expect(notedKitchens().size).toBe(0);
});

test('a window takes its own note before any other, then the newest that another left behind', () => {
  vi.useFakeTimers();
  const [one, two, three] = [openWindow(), openWindow(), openWindow()];
  const at = (ms: number, window: () => void, text: string) => {
    vi.setSystemTime(ms);
    window();
    keepNote('a', text);
  };
  at(1_000, one, 'one’s own, the oldest');
  at(3_000, two, 'the newest');
  at(2_000, three, 'between');
  one();
  expect(takeNote('a')).toBe('one’s own, the oldest');
  expect(takeNote('a')).toBe('the newest');
  three();
  expect(takeNote('a')).toBe('between');
  expect(takeNote('a')).toBe('');
});

test('a note that has been saved goes, those of other windows and kitchens stay', () => {
  const [one, two] = [openWindow(), openWindow()];
  one();
  keepNote('a', 'mine');
  keepNote('b', 'of another kitchen');
  two();
  keepNote('a', 'theirs');
  dropNote('a');
  expect([...notedKitchens()].sort()).toEqual(['a', 'b']);
  expect(takeNote('a')).toBe('mine');
  expect(takeNote('b')).toBe('of another kitchen');
});

test('a full device says so, and forgetting leaves what is not ours', () => {
  keepNote('a', 'mine');
  local.setItem('of-another-application', 'kept');
  forgetDevice();
  expect(notedKitchens().size).toBe(0);
  expect(local.getItem('of-another-application')).toBe('kept');
  vi.stubGlobal('localStorage', {
    setItem: () => {
      throw new Error('full');
    },
  });
  expect(keepNote('a', 'too much')).toBe(false);
});
