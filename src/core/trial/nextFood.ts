import { TRIAL } from '../constants';
import type { Task } from '../cutting/task';

/** A task a trial may take. */
export interface Food {
  task: Task;
  /** Its weight in this kitchen's cutting. */
  weight: number;
  /** How far the model may be wrong about the difference between the knives at it, score. */
  spread: number;
}

/** How far apart two tasks are in what they ask, steps of the scales 0–3 and 0–5. */
function apart(a: Task, b: Task): number {
  const tall = Math.log2((a.heightMm + 10) / (b.heightMm + 10));
  return Math.hypot(
    a.firm - b.firm,
    a.thin - b.thin,
    a.clean - b.clean,
    a.tip - b.tip,
    (a.load - b.load) / 2,
    a.crust === b.crust ? 0 : 1.5,
    tall,
    a.motions[0] === b.motions[0] ? 0 : 1,
  );
}

/** What is not known of the difference between two knives, task by task, and what trials tell of it. */
class Unknown {
  /** Covariance of the differences, score². */
  private readonly covariance: Float64Array;

  constructor(private readonly foods: readonly Food[]) {
    const n = foods.length;
    this.covariance = new Float64Array(n * n);
    foods.forEach((a, i) => {
      foods.forEach((b, j) => {
        const near = Math.exp(-((apart(a.task, b.task) / TRIAL.bench.alike.value) ** 2) / 2);
        this.covariance[i * n + j] = a.spread * b.spread * near;
      });
    });
  }

  private noise(): number {
    return 2 * TRIAL.rating.noise.value ** 2;
  }

  /** Covariance of each difference with the difference over the whole week, score². */
  private withWeek(i: number): number {
    const n = this.foods.length;
    return this.foods.reduce((sum, { weight }, j) => sum + weight * (this.covariance[i * n + j] ?? 0), 0);
  }

  /** What one more round of task `i` tells of the difference over the week, nats. */
  information(i: number): number {
    const n = this.foods.length;
    const week = this.foods.reduce((sum, { weight }, j) => sum + weight * this.withWeek(j), 0);
    const seen = (this.covariance[i * n + i] ?? 0) + this.noise();
    const shared = this.withWeek(i) ** 2 / Math.max(1e-12, week * seen);
    return -0.5 * Math.log(1 - Math.min(0.999999, shared));
  }

  /** Task `i` was tried once with both knives. */
  tried(i: number): void {
    const n = this.foods.length;
    const row = this.covariance.slice(i * n, (i + 1) * n);
    const seen = (row[i] ?? 0) + this.noise();
    for (let a = 0; a < n; a++)
      for (let b = 0; b < n; b++)
        this.covariance[a * n + b] = (this.covariance[a * n + b] ?? 0) - ((row[a] ?? 0) * (row[b] ?? 0)) / seen;
  }
}

/**
 * Foods in the order in which they tell most about which knife is better over this kitchen's week (handbook 9.2): each next one is that of the
 * largest expected information given what the model does not know of the difference between the knives, how alike tasks are, and what has
 * been tried so far (`tried`: rounds of each task). No food comes twice.
 *
 * @example nextFoods([], new Map(), 1) // []
 */
export function nextFoods(
  foods: readonly Food[],
  tried: ReadonlyMap<string, number>,
  most: number,
): { task: Task; nats: number }[] {
  const total = foods.reduce((sum, { weight }) => sum + weight, 0) || 1;
  const weighed = foods.map((food) => ({ ...food, weight: food.weight / total }));
  const unknown = new Unknown(weighed);
  weighed.forEach(({ task }, i) => {
    for (let round = 0; round < (tried.get(task.id) ?? 0); round++) unknown.tried(i);
  });
  const left = new Set(weighed.keys());
  const chosen: { task: Task; nats: number }[] = [];
  while (chosen.length < most && left.size > 0) {
    let best = { i: -1, nats: -1 };
    for (const i of left) {
      const nats = unknown.information(i);
      if (nats > best.nats + 1e-12) best = { i, nats };
    }
    const food = weighed[best.i];
    if (!food) break;
    chosen.push({ task: food.task, nats: best.nats });
    unknown.tried(best.i);
    left.delete(best.i);
  }
  return chosen;
}
