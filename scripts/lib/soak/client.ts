// One user of the storm: a workspace, one connection, and a memory of what the server said it had stored.
import { Agent, request } from 'node:http';
import { setTimeout as pause } from 'node:timers/promises';
import { z } from '../../../src/core/zod';

/** An answer: status 0 where there was none. */
export interface Answer {
  status: number;
  text: string;
  cookie: string | undefined;
  retryAfter: string | undefined;
  ms: number;
}

export interface Asking {
  port: number;
  /** Address that the request is said to come from, as a proxy would write it. */
  client: string;
  cookie?: string | undefined;
  agent?: Agent | undefined;
}

/** A connection unused for longer is not used again, ms: the server closes it after 75 s. */
const IDLE = 30_000;

/** A request that takes longer is given up, ms. */
const GIVES_UP_AFTER = 30_000;

/** Sends one request. Never throws: a request without an answer has the status 0. */
export function ask(
  { port, client, cookie, agent }: Asking,
  method: string,
  path: string,
  body?: string,
): Promise<Answer> {
  const began = performance.now();
  return new Promise((resolve) => {
    const end = (status: number, text = '', headers: NodeJS.Dict<string | string[]> = {}) =>
      resolve({
        status,
        text,
        cookie: [headers['set-cookie'] ?? []].flat()[0]?.split(';')[0],
        retryAfter: [headers['retry-after'] ?? []].flat()[0],
        ms: performance.now() - began,
      });
    const headers = {
      'x-forwarded-for': client,
      ...(cookie ? { cookie } : {}),
      ...(method === 'GET' ? {} : { origin: `http://127.0.0.1:${port}`, 'content-type': 'application/json' }),
    };
    const sent = request({ agent, host: '127.0.0.1', port, method, path, headers }, (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.on('error', () => end(0));
      response.on('end', () => end(response.statusCode ?? 0, Buffer.concat(parts).toString(), response.headers));
    });
    sent.once('error', () => end(0));
    sent.setTimeout(GIVES_UP_AFTER, () => sent.destroy());
    sent.end(body);
  });
}

const madeSchema = z.object({ id: z.string() });
const storedSchema = z.object({ version: z.number(), kitchen: z.object({ name: z.string() }) });
const versionSchema = z.object({ version: z.number() });

/** What a look at the server's copy tells of a user's writes. */
export interface Look {
  answered: boolean;
  /** An acknowledged write is gone, or something stands there that nobody sent. */
  lost: boolean;
  /** Writes that got no answer and are stored all the same. */
  unconfirmed: number;
}

export class User {
  private readonly agent = new Agent({ keepAlive: true, maxSockets: 1 });
  private askedAt = 0;
  private readonly client: string;
  cookie: string | undefined;
  /** Address of the kitchen that this user edits, and of another one for whatever else is tried. */
  path = '';
  sparePath = '';
  /** Writes sent. */
  edits = 0;
  private acknowledged = { version: 1, name: 'Storm' };
  /** Names sent since the last acknowledged write that got no answer. */
  private readonly unclear = new Set<string>();

  constructor(
    private readonly port: number,
    private readonly number: number,
    /** Users made after another one share no address with those of before. */
    net = 0,
  ) {
    this.client = `10.${net}.${Math.floor(number / 250)}.${(number % 250) + 1}`;
  }

  ask(method: string, path: string, body?: string): Promise<Answer> {
    // a browser, too, sends nothing on a connection that the server is about to close for having been idle
    if (performance.now() - this.askedAt > IDLE) this.agent.destroy();
    this.askedAt = performance.now();
    return ask({ port: this.port, client: this.client, cookie: this.cookie, agent: this.agent }, method, path, body);
  }

  async begin(): Promise<void> {
    this.path = await this.newKitchen('Storm');
    this.sparePath = await this.newKitchen('Spare');
  }

  private async newKitchen(name: string): Promise<string> {
    const body = JSON.stringify({ from: 'nothing', name });
    let made = await this.ask('POST', '/api/kitchens', body);
    for (let tries = 0; made.status !== 201 && tries < 100; tries++) {
      await pause(200);
      made = await this.ask('POST', '/api/kitchens', body);
    }
    if (made.status !== 201) throw new Error(`no kitchen for a user: ${made.status} ${made.text}`);
    this.cookie ??= made.cookie;
    return `/kitchens/${madeSchema.parse(JSON.parse(made.text)).id}`;
  }

  /** Saves an edit, as a page does: on the version it knows, asking for the present one after no answer. */
  async save(): Promise<Answer> {
    if (this.unclear.size > 0) {
      const look = await this.look();
      if (!look.answered) return { status: 503, text: '', cookie: undefined, retryAfter: '1', ms: 0 };
    }
    const name = `Storm ${this.number}, edit ${++this.edits}`;
    const kitchen = { format: 'scabbard.kitchen', version: 1, name, cooking: { mealsPerWeek: 1 + (this.edits % 14) } };
    this.unclear.add(name);
    const { version } = this.acknowledged;
    const saved = await this.ask('PUT', `/api${this.path}`, JSON.stringify({ version, kitchen }));
    if (saved.status === 200) {
      this.acknowledged = { version: versionSchema.parse(JSON.parse(saved.text)).version, name };
      this.unclear.clear();
    }
    return saved;
  }

  /** Compares what the server has with what it acknowledged. */
  async look(): Promise<Look> {
    const now = await this.ask('GET', `/api${this.path}`);
    if (now.status !== 200) return { answered: false, lost: false, unconfirmed: 0 };
    const { version, kitchen } = storedSchema.parse(JSON.parse(now.text));
    const { acknowledged } = this;
    const isNewer = version > acknowledged.version;
    const lost = isNewer
      ? !this.unclear.has(kitchen.name)
      : version < acknowledged.version || kitchen.name !== acknowledged.name;
    const unconfirmed = isNewer && !lost ? 1 : 0;
    this.acknowledged = { version, name: kitchen.name };
    this.unclear.clear();
    return { answered: true, lost, unconfirmed };
  }
}
