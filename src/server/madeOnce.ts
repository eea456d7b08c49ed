import { LRUCache } from 'lru-cache';

/**
 * Texts that take long to make, remembered by what they are made of: made once however many ask for one at the same time, and forgotten, the
 * least used first, beyond `mostBytes`.
 */
export class MadeOnce {
  private readonly kept: LRUCache<string, string>;
  private readonly underWay = new Map<string, Promise<string>>();

  constructor(mostBytes: number) {
    this.kept = new LRUCache({ maxSize: mostBytes, sizeCalculation: (text, key) => text.length + key.length + 1 });
  }

  /** The text of a key, made by `make` where it is not remembered. A failure is not remembered. */
  async get(key: string, make: () => Promise<string>): Promise<string> {
    const kept = this.kept.get(key);
    if (kept !== undefined) return kept;
    const before = this.underWay.get(key);
    if (before) return before;
    const making = make().finally(() => this.underWay.delete(key));
    this.underWay.set(key, making);
    const text = await making;
    this.kept.set(key, text);
    return text;
  }
}
