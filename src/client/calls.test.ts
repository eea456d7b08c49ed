import { afterEach, describe, expect, test, vi } from 'vitest';
import { shippedModels } from '../../data/models';
import type { Reading } from '../core/edge/meter';
import { planFrom } from '../core/kit/plan/plan';
import { contextOf, fileOf } from '../core/testing/trade';
import { addModels, deleteModel, fetchCatalogue, readModels } from './catalogue';
import { fetchCorrections, forgetCorrection, rememberCorrection } from './corrections';
import { Refused, refusal, versionIn } from './http';
import { createKitchen, deleteKitchen, fetchKitchen, renameKitchen, restoreKitchen } from './kitchens';
import { fetchPaper, fetchWall } from './paper';
import { simulatedScale } from './scale';
import { fetchDeleted, forgetEverything, newRecoveryCode, openWithCode, importWorkspace } from './workspace';

/** What pages ask of the server: where, how, and what they make of its answers. */

const sent: { url: string; method: string; body: unknown }[] = [];
function answering(answer: unknown, status = 200) {
  sent.length = 0;
  vi.stubGlobal('fetch', (url: string, { method = 'GET', body }: { method?: string; body?: string } = {}) => {
    sent.push({ url, method, body: body === undefined ? undefined : JSON.parse(body) });
    if (answer instanceof Error) return Promise.reject(answer);
    const text = answer instanceof Uint8Array ? Buffer.from(answer) : JSON.stringify(answer);
    return Promise.resolve(new Response(status === 204 ? null : text, { status }));
  });
}
afterEach(() => vi.unstubAllGlobals());

describe('kitchens', () => {
  const stored = { id: 'k', version: 3, kitchen: fileOf({ name: 'Weir' }) };

  test('are made, fetched, renamed, put away and had back at one address', async () => {
    answering(stored, 201);
    expect(await createKitchen({ from: 'copy', of: 'k' })).toEqual(stored);
    expect(sent).toEqual([{ url: '/api/kitchens', method: 'POST', body: { from: 'copy', of: 'k' } }]);
    answering(stored);
    expect(await fetchKitchen('k')).toEqual(stored);
    answering({ version: 4 });
    expect(await renameKitchen('k', 'Mill')).toBe(4);
    expect(sent[0]).toEqual({ url: '/api/kitchens/k', method: 'PATCH', body: { name: 'Mill' } });
    answering(null, 204);
    await deleteKitchen('k');
    await restoreKitchen('k');
    expect(sent.map(({ method, body }) => [method, body])).toEqual([
      ['DELETE', undefined],
      ['PATCH', { deleted: false }],
    ]);
  });

  test('an answer of another shape is not taken for a kitchen', async () => {
    for (const odd of [
      { ...stored, version: 'three' },
      { id: 'k' },
      null,
      [stored],
      { ...stored, kitchen: { format: 'other' } },
    ]) {
      answering(odd);
      await expect(fetchKitchen('k')).rejects.toThrow();
    }
    expect(() => versionIn({ version: '4' })).toThrow(TypeError);
    expect(versionIn({ version: 4, more: 1 })).toBe(4);
  });
});

describe('models', () => {
  const models = shippedModels.slice(0, 2);

  test('come with the ids of one’s own, and go out with what is to be done with those that are there', async () => {
    answering({ models, own: ['own-a'] });
    expect(await fetchCatalogue()).toEqual({ models, own: ['own-a'] });
    answering({ added: 1, replaced: 1, skipped: 0 });
    expect(await addModels(models, 'replace')).toEqual({ added: 1, replaced: 1, skipped: 0 });
    expect(sent[0]?.body).toEqual({ models, duplicates: 'replace' });
    answering(null, 204);
    await deleteModel('own-a');
    expect(sent[0]).toMatchObject({ url: '/api/catalogue/own-a', method: 'DELETE' });
    expect(() => readModels([{ id: 'x' }])).toThrow();
    expect(readModels(models)).toEqual(models);
  });
});

describe('a workspace', () => {
  test('is opened, forgotten, taken in and told its code', async () => {
    answering({ code: 'ABCDE-FGHJK' });
    expect(await newRecoveryCode()).toBe('ABCDE-FGHJK');
    answering({});
    await openWithCode('ABCDE', true);
    expect(sent[0]?.body).toEqual({ code: 'ABCDE', leave: true });
    await forgetEverything();
    expect(sent[1]).toMatchObject({ url: '/api/workspace', method: 'DELETE' });
    answering({ kitchens: [{ id: 'k', name: 'Weir', deletedAt: '2031-01-01T00:00:00Z' }] });
    expect((await fetchDeleted()).map(({ name }) => name)).toEqual(['Weir']);
  });

  test('is imported from its file, however long that takes, with how much was sent; it can be stopped', async () => {
    const begun: FakeUpload[] = [];
    /** As much of XMLHttpRequest as an upload needs; the test says what comes back. */
    class FakeUpload {
      upload: { onprogress?: (sent: { loaded: number; total: number }) => void } = {};
      status = 0;
      responseText = '';
      onload = () => undefined as unknown;
      onabort = () => undefined as unknown;
      open = vi.fn();
      setRequestHeader = vi.fn();
      send = vi.fn(() => begun.push(this));
      abort = () => this.onabort();
      answer(status: number, body: unknown) {
        this.status = status;
        this.responseText = JSON.stringify(body);
        this.onload();
      }
    }
    vi.stubGlobal('XMLHttpRequest', FakeUpload);
    const shares: number[] = [];
    const stop = new AbortController();
    const send = () => importWorkspace(new Blob(['{}']), { onProgress: (s) => shares.push(s), signal: stop.signal });
    const done = send();
    begun[0]?.upload.onprogress?.({ loaded: 1, total: 4 });
    begun[0]?.answer(201, { kitchens: 2, already: 1, models: { added: 1, replaced: 0, skipped: 3 } });
    expect(await done).toMatchObject({ kitchens: 2, already: 1 });
    expect(begun[0]?.open).toHaveBeenCalledWith('POST', '/api/workspace');
    expect(shares).toEqual([0.25]);
    const refused = send();
    begun[1]?.answer(422, { detail: 'One thing is wrong', faults: [{ path: 'kitchens[0]', message: 'is odd' }] });
    await expect(refused).rejects.toMatchObject({ status: 422, faults: [{ path: 'kitchens[0]', message: 'is odd' }] });
    const stopped = send();
    stop.abort();
    await expect(stopped).rejects.toThrow('Nothing was changed');
  });

  test('remembers how lines of recipes are read, by their words', async () => {
    answering({
      corrections: [
        { words: 'ramps', task: null },
        { words: 'leek', task: 'onion-slice' },
      ],
    });
    expect([...(await fetchCorrections())]).toEqual([
      ['ramps', null],
      ['leek', 'onion-slice'],
    ]);
    answering(null, 204);
    await rememberCorrection('ramps', null);
    await forgetCorrection('ramps');
    expect(sent.map(({ method, body }) => [method, body])).toEqual([
      ['PUT', { words: 'ramps', task: null }],
      ['DELETE', { words: 'ramps' }],
    ]);
  });
});

describe('paper', () => {
  const asked = {
    plan: planFrom(contextOf()),
    briefs: [],
    owned: [],
    care: [],
    kinds: ['plan' as const],
    paper: 'a4' as const,
    withPrices: true,
  };

  test('comes as it is; a refusal in the server’s words, and silence in ours', async () => {
    answering(new Uint8Array([37, 80, 68, 70]));
    expect(Buffer.from(await (await fetchPaper(asked)).arrayBuffer()).toString()).toBe('%PDF');
    expect(sent[0]).toMatchObject({ url: '/api/paper', method: 'POST', body: { paper: 'a4' } });
    answering({ detail: 'Too many changes at once. Try again in 2 seconds.' }, 429);
    await expect(fetchWall({ sheet: { title: 't', knives: [], rules: [] }, paper: 'a4' })).rejects.toThrow(
      /in 2 seconds/,
    );
    answering(new TypeError('failed'));
    await expect(fetchPaper(asked)).rejects.toThrow(/nothing is lost on this page/);
  });
});

test('a refusal keeps faults that are faults, and says something where the server said nothing', () => {
  const told = refusal(422, {
    detail: 'Two things are wrong',
    faults: [{ path: 'a', message: 'b' }, 7, { path: 'c' }],
  });
  expect(told).toBeInstanceOf(Refused);
  expect(told).toMatchObject({ status: 422, message: 'Two things are wrong', faults: [{ path: 'a', message: 'b' }] });
  for (const odd of [null, 'gone', { detail: 5 }, []])
    expect(refusal(500, odd).message).toBe('The server answered 500. Try again.');
  expect(refusal(409, { detail: 'Full', faults: 'none' }).faults).toEqual([]);
});

describe('the scale', () => {
  const streaming = (chunks: string[], status = 200) =>
    vi.stubGlobal('fetch', () => {
      const body = new ReadableStream<Uint8Array>({
        start: (to) => {
          for (const chunk of chunks) to.enqueue(new TextEncoder().encode(chunk));
          to.close();
        },
      });
      return Promise.resolve(new Response(body, { status }));
    });
  const read = async (stop = new AbortController().signal) => {
    const readings: Reading[] = [];
    await simulatedScale(140, 1).read((reading) => readings.push(reading), stop);
    return readings;
  };

  test('tells its readings wherever the stream is cut, and passes over what came through broken', async () => {
    streaming([
      '{"ms":0,"grams":36}\n{"ms":10,"gr',
      'ams":48}\n',
      '\n{"ms":20,"grams":nonsense}\n{"ms":30}\n{"ms":40,"grams":null}\n',
    ]);
    expect(await read()).toEqual([
      { ms: 0, grams: 36 },
      { ms: 10, grams: 48 },
      { ms: 40, grams: null },
    ]);
  });

  test('that does not answer is told with the way round; one that was stopped is no fault', async () => {
    streaming([], 503);
    await expect(read()).rejects.toThrow('The scale does not answer. Type the grams instead.');
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed')));
    await expect(read()).rejects.toThrow(Refused);
    expect(await read(AbortSignal.abort())).toEqual([]);
  });
});
