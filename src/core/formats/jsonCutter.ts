import { FaultyInput } from './faults';
import { NotJson } from './json';

/** A value cut out of a long JSON text: where it stands, and its text; of a container that is entered just that it begins. */
export type Cut = { path: (string | number)[] } & ({ text: string } | { opened: 'object' | 'list' });

interface Container {
  isObject: boolean;
  /** Key or index of the value that comes next or came last. */
  at: string | number;
}

const notJson = (why: string) => new NotJson([{ path: 'file', message: `is not JSON (${why}); check the last edit` }]);
const SPACE = /[ \t\r\n]/;

/**
 * Cuts a JSON text that arrives in parts into its values, so that a file larger than memory allows is read one value at a time. Containers that
 * `opens` names are entered; every other value is handed out whole, unparsed, and may have so many characters at most. The time is in
 * proportion to the text, whatever it holds.
 */
export class JsonCutter {
  private rest = '';
  private readonly stack: Container[] = [];
  private expects: 'value' | 'valueOrEnd' | 'key' | 'keyOrEnd' | 'colon' | 'comma' | 'nothing' = 'value';
  /** How far the value that is being cut was scanned, and what was open there. */
  private scan = { at: 0, depth: 0, inString: false, isEscaped: false };

  constructor(
    private readonly opens: (path: readonly (string | number)[]) => boolean,
    private readonly longest: number,
  ) {}

  /** Takes more text; gives the values that are whole now. Throws {@link NotJson} or {@link FaultyInput}. */
  *feed(text: string): Generator<Cut, void> {
    this.rest += text;
    for (let cut = this.step(); cut !== 'more'; cut = this.step()) if (cut !== null) yield cut;
    if (this.rest.length > this.longest)
      throw new FaultyInput([{ path: this.path().join('.') || 'file', message: 'is larger than anything of ours' }]);
  }

  /** The text has ended; gives the value that ended with it. Throws {@link NotJson} where something is missing. */
  *end(): Generator<Cut, void> {
    // a number ends where something else begins
    yield* this.feed(' ');
    if (this.expects !== 'nothing') throw notJson('it ends too early');
  }

  private path(): (string | number)[] {
    return this.stack.map(({ at }) => at);
  }

  /** Does one thing: a value that was cut, null where it was something else, `more` where more text is needed. */
  private step(): Cut | null | 'more' {
    let from = 0;
    if (this.scan.at === 0) {
      while (from < this.rest.length && SPACE.test(this.rest.charAt(from))) from++;
      this.rest = this.rest.slice(from);
    }
    if (this.rest === '') return 'more';
    const sign = this.rest.charAt(0);
    const { expects } = this;
    if (expects === 'nothing') throw notJson('something follows its end');
    if (expects === 'comma') return this.afterValue(sign);
    if (expects === 'colon') {
      if (sign !== ':') throw notJson('a colon is missing');
      return this.consume(1, 'value');
    }
    if ((expects === 'keyOrEnd' && sign === '}') || (expects === 'valueOrEnd' && sign === ']')) return this.close();
    if (expects === 'key' || expects === 'keyOrEnd') return this.key(sign);
    return this.value(sign);
  }

  private consume(length: number, next: JsonCutter['expects']): null {
    this.rest = this.rest.slice(length);
    this.expects = next;
    return null;
  }

  private close(): null {
    this.stack.pop();
    return this.consume(1, this.stack.length === 0 ? 'nothing' : 'comma');
  }

  private afterValue(sign: string): null {
    const inside = this.stack.at(-1);
    if (!inside) throw notJson('something follows its end');
    if (sign === (inside.isObject ? '}' : ']')) return this.close();
    if (sign !== ',') throw notJson('a comma is missing');
    if (!inside.isObject) inside.at = Number(inside.at) + 1;
    return this.consume(1, inside.isObject ? 'key' : 'value');
  }

  private key(sign: string): null | 'more' {
    if (sign !== '"') throw notJson('a key is missing');
    const text = this.whole();
    if (text === null) return 'more';
    const inside = this.stack.at(-1);
    if (inside) inside.at = parsedKey(text);
    return this.consume(text.length, 'colon');
  }

  private value(sign: string): Cut | null | 'more' {
    const path = this.path();
    const opened = sign === '{' || sign === '[';
    if (this.scan.at === 0 && opened && this.opens(path)) {
      const isObject = sign === '{';
      this.stack.push({ isObject, at: isObject ? '' : 0 });
      this.consume(1, isObject ? 'keyOrEnd' : 'valueOrEnd');
      return { path, opened: isObject ? 'object' : 'list' };
    }
    const text = this.whole();
    if (text === null) return 'more';
    this.consume(text.length, this.stack.length === 0 ? 'nothing' : 'comma');
    return { path, text };
  }

  /** The text of the value that begins here; null where its end has not come. What was scanned is not scanned again. */
  private whole(): string | null {
    const { scan, rest } = this;
    const isBare = !/["[{]/.test(rest.charAt(0));
    for (; scan.at < rest.length; scan.at++) {
      const sign = rest.charAt(scan.at);
      if (isBare) {
        if (/[\s,\]}]/.test(sign)) return this.scanned(scan.at);
      } else if (scan.inString) {
        if (scan.isEscaped) scan.isEscaped = false;
        else if (sign === '\\') scan.isEscaped = true;
        else if (sign === '"') {
          scan.inString = false;
          if (scan.depth === 0) return this.scanned(scan.at + 1);
        }
      } else if (sign === '"') scan.inString = true;
      else if (sign === '{' || sign === '[') scan.depth++;
      else if ((sign === '}' || sign === ']') && --scan.depth === 0) return this.scanned(scan.at + 1);
    }
    return null;
  }

  private scanned(to: number): string {
    this.scan = { at: 0, depth: 0, inString: false, isEscaped: false };
    const text = this.rest.slice(0, to);
    if (text === '') throw notJson('a value is missing');
    return text;
  }
}

function parsedKey(text: string): string {
  try {
    return String(JSON.parse(text));
  } catch {
    throw notJson('a key cannot be read');
  }
}
