/** Tokens that refill steadily: each thing done takes one, and who has none left waits. */
export class TokenBuckets {
  private readonly buckets = new Map<string, { tokens: number; at: number }>();

  /** `burst` tokens at most in each bucket, `perSecond` of them back each second; the oldest of more than `most` buckets are forgotten. */
  constructor(
    private readonly burst: number,
    private readonly perSecond: number,
    private readonly most = 20_000,
  ) {}

  /** Takes `cost` tokens at the time `now`, ms; returns how many seconds to wait where there are too few, else 0. */
  take(key: string, now: number, cost = 1): number {
    const before = this.buckets.get(key);
    const tokens = before
      ? Math.min(this.burst, before.tokens + ((now - before.at) / 1000) * this.perSecond)
      : this.burst;
    this.buckets.delete(key);
    this.buckets.set(key, { tokens: tokens >= cost ? tokens - cost : tokens, at: now });
    const [oldest] = this.buckets.keys();
    if (this.buckets.size > this.most && oldest !== undefined) this.buckets.delete(oldest);
    return tokens >= cost ? 0 : Math.ceil((cost - tokens) / this.perSecond);
  }
}
