// Pages that are the same for everybody are made once and answered from memory.
import type { IncomingMessage, ServerResponse } from 'node:http';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import { LRUCache } from 'lru-cache';

/** Pages that show nothing of who asks. */
const FOR_EVERYBODY = new Set(['/help', '/glossary', '/score']);
/** Pages that show something of their own only to who has a workspace. */
const FOR_NEWCOMERS = new Set(['/', '/catalogue']);

/** Most pages kept, over all languages, and how long one is kept, ms: another release may have changed the samples. */
const MOST = 40;
const KEPT_MS = 10 * 60_000;
const BROTLI_QUALITY = 5;

const compress = {
  br: (text: Buffer) =>
    promisify(brotliCompress)(text, { params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY } }),
  gzip: promisify(gzip),
};

interface Page {
  headers: Record<string, string | string[] | number>;
  plain: Promise<Buffer>;
  br: Promise<Buffer>;
  gzip: Promise<Buffer>;
}

/** The first language a browser asks for. */
const languageOf = ({ headers }: IncomingMessage) =>
  (headers['accept-language'] ?? '').split(/[,;]/, 1)[0]?.trim().toLowerCase() ?? '';

/** Answers a request from Astro. */
export type Render = (request: IncomingMessage, response: ServerResponse) => void;

export class SharedPages {
  private readonly kept = new LRUCache<string, Page>({ max: MOST, ttl: KEPT_MS });

  /** `cookie`: the name of the cookie that opens a workspace. */
  constructor(private readonly cookie: string) {}

  /** Whether a page is the same for whoever asks for it like this. */
  private isShared({ method, url = '', headers }: IncomingMessage): boolean {
    if (method !== 'GET') return false;
    return FOR_EVERYBODY.has(url) || (FOR_NEWCOMERS.has(url) && !(headers.cookie ?? '').includes(`${this.cookie}=`));
  }

  /** Answers from memory, or has the page made and remembers it. False where the page is not a shared one. */
  answer(request: IncomingMessage, response: ServerResponse, render: Render): boolean {
    if (!this.isShared(request)) return false;
    const key = `${languageOf(request)} ${request.url ?? ''}`;
    const kept = this.kept.get(key);
    if (kept) void send(request, response, kept);
    else {
      // made for nobody: no cookie reaches the page, and whoever comes next may see it
      delete request.headers.cookie;
      this.remember(key, response);
      render(request, response);
    }
    return true;
  }

  private remember(key: string, response: ServerResponse): void {
    const parts: Buffer[] = [];
    const write = response.write.bind(response);
    const end = response.end.bind(response);
    const note = (part: unknown) => {
      if (typeof part === 'string' || part instanceof Uint8Array) parts.push(Buffer.from(part));
    };
    response.write = ((...args: Parameters<typeof write>) => {
      note(args[0]);
      return write(...args);
    }) as typeof write;
    response.end = ((...args: Parameters<typeof end>) => {
      note(args[0]);
      if (response.statusCode === 200 && !response.getHeader('set-cookie'))
        this.keep(key, Buffer.concat(parts), response.getHeaders());
      return end(...args);
    }) as typeof end;
  }

  private keep(key: string, plain: Buffer, all: NodeJS.Dict<number | string | string[]>): void {
    const headers = Object.fromEntries(
      Object.entries(all).flatMap(([name, value]) =>
        value === undefined || /^(?:x-request-id|content-length|content-encoding|date|connection)$/.test(name)
          ? []
          : [[name, value]],
      ),
    );
    this.kept.set(key, {
      headers,
      plain: Promise.resolve(plain),
      br: compress.br(plain),
      gzip: compress.gzip(plain),
    });
  }
}

async function send({ headers }: IncomingMessage, response: ServerResponse, page: Page): Promise<void> {
  const accepted = [headers['accept-encoding'] ?? ''].join();
  const encoding = /\bbr\b/.test(accepted) ? 'br' : /\bgzip\b/.test(accepted) ? 'gzip' : 'plain';
  const body = await page[encoding];
  response.writeHead(200, {
    ...page.headers,
    vary: 'accept-encoding',
    'content-length': body.length,
    ...(encoding === 'plain' ? {} : { 'content-encoding': encoding }),
  });
  response.end(body);
}
