import loadHighs from 'highs';
import type { Problem } from '../kit/choose';

const highs = await loadHighs();

/** The choice of a kit as a mixed-integer program in LP format: the same problem, said in another way than the planner's. */
export function asProgram(problem: Problem): string {
  const { demand, candidates, owned, given, places } = problem;
  const tasks = [...demand.weights].flatMap((w, t) => (w > 0 ? [t] : []));
  const aim: string[] = [];
  const rules: string[] = [];
  const columns = new Map<number, { best: string[]; second: string[] }>(
    tasks.map((t) => [t, { best: [], second: [] }]),
  );
  /** One server: its worth at each task, and how often it is there (an expression on the left, a number on the right). */
  const server = (name: string, row: Float64Array, minus: string, there: number) => {
    for (const t of tasks) {
      const f = ((row[t] ?? 0) * (demand.weights[t] ?? 0)) / demand.total;
      if (f <= 0) continue;
      const c = demand.shared[t] ?? 0;
      const [x, y] = [`x_${name}_${t}`, `y_${name}_${t}`];
      aim.push(`${(1 - c) * f} ${x}`, `${c * f} ${y}`);
      columns.get(t)?.best.push(x);
      columns.get(t)?.second.push(y);
      rules.push(`${x} + ${y}${minus} <= ${there}`);
    }
  };
  const taken = new Map<number, string[]>();
  const kinds = new Map<string, { fits: readonly number[]; required: boolean; count: number }>();
  for (const place of places) {
    const key = `${place.required} ${place.fits.join()}`;
    const kind = kinds.get(key) ?? { ...place, count: 0 };
    kind.count++;
    kinds.set(key, kind);
  }
  const bounds: string[] = [];
  [...kinds.values()].forEach(({ fits, required, count }, k) => {
    const names = fits.map((i) => {
      const name = `z_${k}_${i}`;
      taken.set(i, [...(taken.get(i) ?? []), name]);
      bounds.push(`0 <= ${name} <= ${count}`);
      return name;
    });
    if (names.length > 0) rules.push(`${names.join(' + ')} ${required ? '=' : '<='} ${count}`);
  });
  candidates.forEach((c, i) => server(`c${i}`, c.rows, (taken.get(i) ?? []).map((z) => ` - ${z}`).join(''), 0));
  owned.forEach((o, i) => {
    const care = candidates.flatMap((c, j) => (c.owned === i ? (taken.get(j) ?? []) : []));
    server(`o${i}`, o.rows, care.map((z) => ` + ${z}`).join(''), 1);
  });
  given.forEach((row, i) => server(`g${i}`, row, '', 1));
  for (const { best, second } of columns.values())
    if (best.length > 0) rules.push(`${best.join(' + ')} <= 1`, `${second.join(' + ')} <= 1`);
  const zs = [...taken.values()].flat();
  if (Number.isFinite(problem.budgetMinor)) {
    const prices = [...taken].flatMap(([i, names]) => names.map((z) => `${candidates[i]?.priceMinor ?? 0} ${z}`));
    if (prices.length > 0) rules.push(`${prices.join(' + ')} <= ${problem.budgetMinor}`);
  }
  return `Maximize\n obj: ${aim.join('\n + ')}\nSubject To\n${rules.map((r, i) => ` r${i}: ${r}`).join('\n')}\nBounds\n${bounds
    .map((b) => ` ${b}`)
    .join('\n')}\nGeneral\n ${zs.join(' ')}\nEnd\n`;
}

/** The highest value by the general solver, or null when no choice keeps the rules. */
export function bestByProgram(program: string): number | null {
  const solved = highs.solve(program, { mip_rel_gap: 0, mip_abs_gap: 1e-9, mip_feasibility_tolerance: 1e-9 });
  if (solved.Status === 'Infeasible') return null;
  if (solved.Status !== 'Optimal') throw new Error(`the general solver says ${solved.Status}`);
  return solved.ObjectiveValue;
}
