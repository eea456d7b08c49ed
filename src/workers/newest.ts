/**
 * Of questions the newest wins: work for an older one ends at its next breath. Every question has a number; what runs for it asks whether it
 * still stands.
 */
export class Newest {
  private current = 0;

  /** @param breathe lets waiting messages in between two slices of work: a newer question comes before an older one's details. */
  constructor(private readonly breathe: () => Promise<void>) {}

  /** A new question, or none at all any more: whatever runs ends. Its number. */
  ask(): number {
    return ++this.current;
  }

  /** The number of the question that stands. */
  get id(): number {
    return this.current;
  }

  isStanding(id: number): boolean {
    return id === this.current;
  }

  /**
   * Runs slices of work for the question that stands, telling each; `breathe`: another breath between them. What they come to, or null when a newer
   * question has come.
   */
  async run<T, R>(work: Generator<T, R>, tell?: (part: T) => unknown, breathe = this.breathe): Promise<R | null> {
    const mine = this.current;
    for (;;) {
      await breathe();
      if (!this.isStanding(mine)) return null;
      const next = work.next();
      if (next.done) return next.value;
      void tell?.(next.value);
    }
  }
}
