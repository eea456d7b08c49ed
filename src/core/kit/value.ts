/** Below this score a knife is no help; from {@link EXCELLENT} on, more polish adds nothing (handbook 5.1). */
export const USELESS = 0.35;
export const EXCELLENT = 0.92;

/** Worth of a score (0–100) to a kit, 0–1: nothing while it is a struggle, all of it once excellent. */
export function usefulness(score: number): number {
  return Math.min(1, Math.max(0, (score / 100 - USELESS) / (EXCELLENT - USELESS)));
}

/** What a kit is measured against: a weight and a shared share per task. */
export interface Demand {
  /** Weight of each task; sums to `total`. */
  weights: Float64Array;
  /** Share of each task done while another knife is wanted at once, 0–0.5. */
  shared: Float64Array;
  total: number;
}

/**
 * Best and second-best usefulness per task as knives are added: value = Σ w·[(1 − c)·f1 + c·f2] / Σ w (handbook 5.1).
 * Monotone and submodular in the set of rows added.
 */
export class KitValue {
  readonly best: Float64Array;
  readonly second: Float64Array;

  constructor(private readonly demand: Demand) {
    this.best = new Float64Array(demand.weights.length);
    this.second = new Float64Array(demand.weights.length);
  }

  clear(): this {
    this.best.fill(0);
    this.second.fill(0);
    return this;
  }

  add(row: Float64Array): this {
    const { best, second } = this;
    for (let t = 0; t < best.length; t++) {
      const f = row[t] ?? 0;
      if (f > (best[t] ?? 0)) {
        second[t] = best[t] ?? 0;
        best[t] = f;
      } else if (f > (second[t] ?? 0)) second[t] = f;
    }
    return this;
  }

  /** Coverage of the rows added so far, 0–1. */
  value(): number {
    const { weights, shared, total } = this.demand;
    let sum = 0;
    for (let t = 0; t < weights.length; t++) {
      const c = shared[t] ?? 0;
      sum += (weights[t] ?? 0) * ((1 - c) * (this.best[t] ?? 0) + c * (this.second[t] ?? 0));
    }
    return total > 0 ? sum / total : 0;
  }

  /** How much coverage one more row would add. */
  gain(row: Float64Array): number {
    const { weights, shared, total } = this.demand;
    let sum = 0;
    for (let t = 0; t < weights.length; t++) {
      const f = row[t] ?? 0;
      const second = this.second[t] ?? 0;
      if (f <= second) continue;
      const best = this.best[t] ?? 0;
      const c = shared[t] ?? 0;
      sum += (weights[t] ?? 0) * (f > best ? (1 - c) * (f - best) + c * (best - second) : c * (f - second));
    }
    return total > 0 ? sum / total : 0;
  }
}
