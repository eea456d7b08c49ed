import loadHighs from 'highs';
import type { Candidate } from '../kit/candidates';
import { takesKnives, type Problem } from '../kit/choose';
import type { Offer } from '../kit/offers';

const highs = await loadHighs();

/**
 * The choice of a kit as a mixed-integer program in LP format: the same problem, said in another way than the planner's. Offers are
 * switches: a set's pieces come with its switch, a volume price's knives are bought beside the plain ones while its switch is on. With a value
 * to be reached the least outlay is asked for instead of the highest value.
 */
export function asProgram(problem: Problem, offers: readonly Offer[] = [], reaching?: number): string {
  const { demand, owned, given, places } = problem;
  const candidates = [...problem.candidates];
  const indexOf = (piece: Candidate) => {
    const known = candidates.findIndex((c) => c.id === piece.id);
    return known >= 0 ? known : candidates.push(piece) - 1;
  };
  const sets = offers.flatMap((o) => (o.kind === 'set' ? [{ ...o, pieces: o.pieces.map(indexOf) }] : []));
  const volumes = offers.flatMap((o) => (o.kind === 'volume' ? [o] : []));
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
  const prices: string[] = [];
  const had = (i: number, name: string, most: number) => {
    taken.set(i, [...(taken.get(i) ?? []), name]);
    bounds.push(`0 <= ${name} <= ${most}`);
  };
  const placed = sets.map(({ pieces }) => pieces.map((): string[] => []));
  const baskets = volumes.map((): string[] => []);
  [...kinds.values()].forEach(({ fits, required, count }, k) => {
    const open = !required && takesKnives({ fits, required }, problem.candidates);
    const names = fits.map((i) => {
      const name = `z_${k}_${i}`;
      had(i, name, count);
      prices.push(`${candidates[i]?.priceMinor ?? 0} ${name}`);
      sets.forEach(({ pieces }, b) => {
        if (pieces.includes(i)) rules.push(`${name} + ${count} s_${b} <= ${count}`);
      });
      return name;
    });
    sets.forEach(({ pieces }, b) => {
      pieces.forEach((i, p) => {
        if (!open && !fits.includes(i)) return;
        const name = `t_${b}_${p}_${k}`;
        had(i, name, 1);
        placed[b]?.[p]?.push(name);
        names.push(name);
      });
    });
    volumes.forEach(({ maker, off }, v) => {
      for (const i of fits) {
        const c = candidates[i];
        if (c?.action !== 'buy' || c.blade?.blade.maker !== maker) continue;
        const name = `d_${v}_${k}_${i}`;
        had(i, name, count);
        prices.push(`${Math.round(c.priceMinor * (1 - off))} ${name}`);
        baskets[v]?.push(name);
        names.push(name);
        rules.push(`${name} - ${count} q_${v} <= 0`, `z_${k}_${i} + ${count} q_${v} <= ${count}`);
        sets.forEach(({ pieces }, b) => {
          if (pieces.includes(i)) rules.push(`${name} + ${count} s_${b} <= ${count}`);
        });
      }
    });
    if (names.length > 0) rules.push(`${names.join(' + ')} ${required ? '=' : '<='} ${count}`);
  });
  sets.forEach(({ pieces, priceMinor }, b) => {
    bounds.push(`0 <= s_${b} <= 1`);
    prices.push(`${priceMinor} s_${b}`);
    pieces.forEach((i, p) => {
      rules.push([...(placed[b]?.[p] ?? []), `- s_${b} = 0`].join(' + ').replace('+ - ', '- '));
      sets.forEach((other, o) => {
        if (o > b && other.pieces.includes(i)) rules.push(`s_${b} + s_${o} <= 1`);
      });
    });
  });
  volumes.forEach(({ from }, v) => {
    bounds.push(`0 <= q_${v} <= 1`);
    const basket = baskets[v] ?? [];
    rules.push(basket.length > 0 ? `${basket.join(' + ')} - ${from} q_${v} >= 0` : `q_${v} = 0`);
  });
  candidates.forEach((c, i) => server(`c${i}`, c.rows, (taken.get(i) ?? []).map((z) => ` - ${z}`).join(''), 0));
  owned.forEach((o, i) => {
    const care = candidates.flatMap((c, j) => (c.owned === i ? (taken.get(j) ?? []) : []));
    server(`o${i}`, o.rows, care.map((z) => ` + ${z}`).join(''), 1);
  });
  given.forEach((row, i) => server(`g${i}`, row, '', 1));
  for (const { best, second } of columns.values())
    if (best.length > 0) rules.push(`${best.join(' + ')} <= 1`, `${second.join(' + ')} <= 1`);
  const zs = [...taken.values()].flat().concat(
    sets.map((_, b) => `s_${b}`),
    volumes.map((_, v) => `q_${v}`),
  );
  if (Number.isFinite(problem.budgetMinor)) {
    if (prices.length > 0) rules.push(`${prices.join(' + ')} <= ${problem.budgetMinor}`);
  }
  const paid = [...taken].flatMap(([i, names]) => {
    const c = candidates[i];
    return names.map((z) => `${(c?.priceMinor ?? 0) + (c?.action === 'buy' ? problem.keepMinor : 0)} ${z}`);
  });
  if (reaching !== undefined) rules.push(`${aim.join('\n + ')} >= ${reaching}`);
  const goal = reaching === undefined ? `Maximize\n obj: ${aim.join('\n + ')}` : `Minimize\n obj: ${paid.join(' + ')}`;
  return `${goal}\nSubject To\n${rules.map((r, i) => ` r${i}: ${r}`).join('\n')}\nBounds\n${bounds
    .map((b) => ` ${b}`)
    .join('\n')}\nGeneral\n ${zs.join(' ')}\nEnd\n`;
}

/** The highest value, or the least outlay, by the general solver; null when no choice keeps the rules. */
export function bestByProgram(program: string): number | null {
  const solved = highs.solve(program, { mip_rel_gap: 0, mip_abs_gap: 1e-9, mip_feasibility_tolerance: 1e-9 });
  if (solved.Status === 'Infeasible') return null;
  if (solved.Status !== 'Optimal') throw new Error(`the general solver says ${solved.Status}`);
  return solved.ObjectiveValue;
}
