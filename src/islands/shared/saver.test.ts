import { expect, test } from 'vitest';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { Saved } from '../../workers/session';
import { Saver, type SaveState, type Unsaved } from './saver';

const named = (name: string): KitchenFile => ({ format: 'scabbard.kitchen', version: 1, name });

/** A saver on a server that answers when the test says so. */
function setUp() {
  const server = { version: 1, kitchen: named('first') };
  const seen = {
    states: [] as SaveState[],
    note: null as Unsaved | null,
    shown: 'first',
    announced: [] as number[],
    sent: [] as string[],
    left: [] as string[],
  };
  const waiting: { work: () => void; ms: number }[] = [];
  let answer: (saved: Saved) => void = () => undefined;
  const saver = new Saver(
    { version: 1, kitchen: server.kitchen },
    {
      save: (version, kitchen, left) => {
        seen.left.push(left);
        seen.sent.push(`${version} ${kitchen.name ?? ''}`);
        return new Promise((resolve) => {
          answer = resolve;
        });
      },
      fetch: () => Promise.resolve(server),
      note: (unsaved) => (seen.note = unsaved),
      announce: (version) => seen.announced.push(version),
      tell: (state) => seen.states.push(state),
      took: (kitchen) => (seen.shown = kitchen.name ?? ''),
      later: (work, ms) => {
        const entry = { work, ms };
        waiting.push(entry);
        return () => void waiting.splice(waiting.indexOf(entry), 1);
      },
    },
  );
  const settle = () => new Promise((resolve) => setTimeout(resolve));
  return {
    saver,
    server,
    seen,
    /** Lets the next timer run out; returns how long it would have been. */
    tick: async () => {
      const next = waiting.shift();
      next?.work();
      await settle();
      return next?.ms;
    },
    reply: async (saved: Saved) => {
      answer(saved);
      await settle();
    },
  };
}

test('one save at a time: what is edited meanwhile goes after it, on the version it brought', async () => {
  const { saver, seen, tick, reply } = setUp();
  saver.edit(named('second'));
  saver.edit(named('third'));
  await tick();
  expect(seen.sent).toEqual(['1 third']);
  saver.edit(named('fourth'));
  await tick();
  expect(seen.sent).toHaveLength(1);
  await reply({ version: 2 });
  await tick();
  expect(seen.sent).toEqual(['1 third', '2 fourth']);
  await reply({ version: 3 });
  expect(seen.states.at(-1)).toBe('saved');
  expect(seen.announced).toEqual([2, 3]);
  expect(seen.note).toBeNull();
});

test('while the server is away the edit is kept on the device, leaving asks, and it is sent when the server returns', async () => {
  const { saver, seen, tick, reply } = setUp();
  saver.edit(named('second'));
  expect(saver.asksBeforeLeaving).toBe(false);
  await tick();
  await reply({ refused: 0, why: 'away' });
  expect(seen.states.at(-1)).toBe('unsaved');
  saver.edit(named('third'));
  expect(seen.note).toMatchObject({ version: 1, kitchen: { name: 'third' }, cutOff: true });
  expect(saver.asksBeforeLeaving).toBe(true);
  expect(saver.leave()).toBeNull();
  await tick();
  await reply({ version: 2 });
  expect(seen.sent).toEqual(['1 second', '1 third']);
  expect([seen.states.at(-1), seen.note, saver.asksBeforeLeaving]).toEqual(['saved', null, false]);
});

test('leaving in mid-save sends the newer edit on the version the save will bring', async () => {
  const { saver, seen, tick } = setUp();
  saver.edit(named('second'));
  expect(saver.leave()).toMatchObject({ version: 1, kitchen: { name: 'second' } });
  await tick();
  expect(saver.leave()).toBeNull();
  saver.edit(named('third'));
  expect(saver.leave()).toMatchObject({ version: 2, kitchen: { name: 'third' } });
  expect(seen.note).toMatchObject({ sent: { name: 'second' }, cutOff: false });
});

test('another window’s save is shown at once, or asked about where there are edits of one’s own', async () => {
  const { saver, server, seen, tick, reply } = setUp();
  Object.assign(server, { version: 2, kitchen: named('theirs') });
  await saver.heard(2);
  expect([seen.shown, seen.states.at(-1)]).toEqual(['theirs', 'saved']);
  await saver.heard(2);
  saver.edit(named('mine'));
  Object.assign(server, { version: 3, kitchen: named('theirs again') });
  await saver.heard(3);
  expect(seen.states.at(-1)).toBe('stale');
  saver.edit(named('mine still'));
  expect(await tick()).toBeUndefined();
  const settled = saver.settle('mine');
  await tick();
  await reply({ version: 4 });
  await settled;
  expect(seen.sent).toEqual(['3 mine still']);
  expect(seen.states.at(-1)).toBe('saved');
});

test('a conflict settled for the other window drops what was here', async () => {
  const { saver, server, seen, tick, reply } = setUp();
  saver.edit(named('mine'));
  await tick();
  Object.assign(server, { version: 5, kitchen: named('theirs') });
  await reply({ refused: 409, why: 'changed elsewhere' });
  expect(seen.states.at(-1)).toBe('stale');
  await saver.settle('theirs');
  expect([seen.shown, seen.note, seen.states.at(-1)]).toEqual(['theirs', null, 'saved']);
});

test('what the page before was cut off with goes on being saved, or is asked about', async () => {
  const { saver, seen, reply } = setUp();
  saver.takeUp(named('left'), false);
  await reply({ version: 2 });
  expect([seen.sent, seen.states.at(-1)]).toEqual([['1 left'], 'saved']);
  const other = setUp();
  other.saver.takeUp(named('left'), true);
  expect(other.seen.states).toEqual(['stale']);
  expect(other.seen.note).toMatchObject({ kitchen: { name: 'left' }, cutOff: true });
});

test('a save that may have been stored without an answer is no conflict: the next one tells what was sent', async () => {
  const { saver, seen, tick, reply } = setUp();
  saver.edit(named('second'));
  await tick();
  await reply({ refused: 503, why: 'busy' });
  await tick();
  expect(JSON.parse(seen.left.at(-1) ?? '')).toMatchObject({ version: 1, kitchen: { name: 'second' } });
  saver.edit(named('third'));
  await reply({ refused: 503, why: 'busy' });
  await tick();
  expect(JSON.parse(seen.left.at(-1) ?? '')).toMatchObject({ kitchen: { name: 'second' }, sent: { name: 'second' } });
  await reply({ version: 3 });
  expect(seen.sent).toEqual(['1 second', '1 second', '1 third']);
});
