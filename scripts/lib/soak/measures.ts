// Times and statuses of many requests, and how busy the machine was meanwhile.
import { say } from '../say.mjs';
import type { Answer } from './client';
import type { Use } from './processors';

/** The value below which a share of sorted numbers lies; NaN where there are none. */
export const quantile = (numbers: readonly number[], share: number): number => {
  const sorted = [...numbers].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};

export type Kind = 'reads' | 'saves';

export class Measures {
  private readonly answers: { kind: Kind; status: number; ms: number }[] = [];

  constructor(readonly use: Use) {}

  note(kind: Kind, { status, ms }: Pick<Answer, 'status' | 'ms'>): void {
    this.answers.push({ kind, status, ms });
  }

  get count(): number {
    return this.answers.length;
  }

  /** How many answers have a status; 0 counts those that got none. */
  countOf(holds: (status: number) => boolean): number {
    return this.answers.filter(({ status }) => holds(status)).length;
  }

  /** Times of the answers whose status holds, ms. */
  times(holds: (status: number) => boolean, kind?: Kind): number[] {
    return this.answers.filter((each) => holds(each.status) && (!kind || each.kind === kind)).map(({ ms }) => ms);
  }

  /** Prints the times of served requests by kind, of refused ones, and the load of the machine. */
  tell(name: string): void {
    const machine = this.use.told();
    const told = (what: string, times: number[]) => {
      if (times.length === 0) return;
      const figures = [0.5, 0.95, 0.99].map((share) => `p${100 * share} ${quantile(times, share).toFixed(0)}`);
      say(`  ${name}, ${what}: ${times.length}, ${figures.join(', ')} ms (${machine})`);
    };
    for (const kind of ['reads', 'saves'] as const)
      told(
        kind,
        this.times((status) => isServed(status), kind),
      );
    told('refused', this.times(isRefused));
    const statuses = new Map<number, number>();
    for (const { status } of this.answers) statuses.set(status, (statuses.get(status) ?? 0) + 1);
    say(`  ${name}, answers: ${[...statuses].map(([status, n]) => `${n} × ${status || 'none'}`).join(', ')}`);
  }
}

export const isServed = (status: number): boolean => status >= 200 && status < 500;
export const isRefused = (status: number): boolean => status === 503;
/** No answer, or a server error other than a refusal. */
export const isBroken = (status: number): boolean =>
  status === 0 || (status >= 500 && status !== 503 && status !== 507);

/** What must hold; what does not is told at the end. */
export class Bars {
  readonly missed: string[] = [];
  readonly unjudged: string[] = [];

  must(holds: boolean, what: string): void {
    if (holds) return;
    this.missed.push(what);
    say(`  MISSED: ${what}`);
  }

  /** A bar on times: held only while the machine does hardly anything else. */
  mustInTime(holds: boolean, what: string, use: Use): void {
    if (holds || use.isQuiet()) this.must(holds, what);
    else {
      this.unjudged.push(what);
      say(`  not judged, the machine was not quiet: ${what}`);
    }
  }
}
