// One user of the storm: a workspace, one connection, and a memory of what the server said it had stored.
import { Agent, request } from 'node:http';

/** Sends one request; resolves with its status, body and how long it took, ms. Status 0: no answer. */
function ask(agent, { port, client }, method, path, body, cookie) {
  const began = performance.now();
  return new Promise((resolve) => {
    const headers = { 'x-forwarded-for': client, ...(cookie ? { cookie } : {}) };
    if (method !== 'GET')
      Object.assign(headers, { origin: `http://127.0.0.1:${port}`, 'content-type': 'application/json' });
    const sent = request({ agent, host: '127.0.0.1', port, method, path, headers }, (response) => {
      const parts = [];
      response.on('data', (part) => parts.push(part));
      response.on('error', () => end(0));
      response.on('end', () =>
        end(response.statusCode, Buffer.concat(parts).toString(), response.headers['set-cookie']?.[0]),
      );
    });
    const end = (status, text = '', set) => resolve({ status, text, set, ms: performance.now() - began });
    sent.once('error', () => end(0));
    sent.setTimeout(20_000, () => sent.destroy());
    sent.end(body);
  });
}

export class User {
  constructor(server, number) {
    this.server = { ...server, client: `10.0.${Math.floor(number / 250)}.${(number % 250) + 1}` };
    this.agent = new Agent({ keepAlive: true, maxSockets: 1 });
    this.number = number;
    this.edits = 0;
    /** What the server has acknowledged, and what was sent last: one of the two must stand there. */
    this.acknowledged = { version: 1, name: 'Storm' };
    this.sent = null;
  }

  ask(method, path, body) {
    return ask(this.agent, this.server, method, path, body, this.cookie);
  }

  async begin() {
    const made = await this.ask('POST', '/api/kitchens', JSON.stringify({ from: 'nothing', name: 'Storm' }));
    if (made.status !== 201) throw new Error(`no kitchen for a user: ${made.status} ${made.text}`);
    this.cookie = made.set.split(';')[0];
    this.path = `/kitchens/${JSON.parse(made.text).id}`;
  }

  /** Saves an edit, as a page does: on the version it knows, asking for the present one after a conflict or no answer. */
  async save() {
    if (this.sent) await this.lookAgain();
    const { version } = this.acknowledged;
    const name = `Storm ${this.number}, edit ${++this.edits}`;
    const kitchen = { format: 'scabbard.kitchen', version: 1, name, cooking: { mealsPerWeek: 1 + (this.edits % 14) } };
    this.sent = { version: version + 1, name };
    const saved = await this.ask('PUT', `/api${this.path}`, JSON.stringify({ version, kitchen }));
    if (saved.status === 200) {
      this.acknowledged = { version: JSON.parse(saved.text).version, name };
      this.sent = null;
    }
    return saved;
  }

  /** What stands on the server now; whether an acknowledged write is gone. */
  async lookAgain() {
    const now = await this.ask('GET', `/api${this.path}`);
    if (now.status !== 200) return { answered: false, lost: false };
    const { version, kitchen } = JSON.parse(now.text);
    const lost =
      version < this.acknowledged.version ||
      (version === this.acknowledged.version && kitchen.name !== this.acknowledged.name) ||
      (version > this.acknowledged.version && kitchen.name !== this.sent?.name);
    if (!lost) this.acknowledged = { version, name: kitchen.name };
    this.sent = null;
    return { answered: true, lost };
  }
}
