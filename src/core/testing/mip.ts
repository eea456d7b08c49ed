import loadHighs from 'highs';
import type { Candidate } from '../kit/candidates/candidate';
import { shareOut } from '../kit/candidates/sets';
import { type Problem, takesKnives } from '../kit/search/problem';
import type { Offer } from '../kit/offers/offers';
import { costOf, pieceKind, surchargeOf } from '../kit/search/worth';

const highs = await loadHighs();

/**
 * The choice of a kit as a mixed-integer program in LP format: the same problem, said in another way than the planner's. Offers are
 * switches: a set's pieces come with its switch, a volume price's knives are bought beside the plain ones while its switch is on. Every role of
 * every state is served once, and a knife serves one role of a state; what is paid goes off, with two points at least for a second piece for one kind of work.
 */
export function asProgram(problem: Problem, offers: readonly Offer[] = []): string {
  const { demand, owned, given, places, scale } = problem;
  const candidates = [...problem.candidates];
  const indexOf = (piece: Candidate) => {
    const known = candidates.findIndex((c) => c.id === piece.id);
    return known >= 0 ? known : candidates.push(piece) - 1;
  };
  const sets = offers.flatMap((o) => (o.kind === 'set' ? [{ ...o, pieces: o.pieces.map(indexOf) }] : []));
  const volumes = offers.flatMap((o) => (o.kind === 'volume' ? [o] : []));
  const aim: string[] = [];
  const rules: string[] = [];
  const roles = demand.states.flatMap((state, s) => state.roles.map((role, r) => ({ ...role, name: `${s}_${r}`, s })));
  const columns = new Map<string, string[]>(roles.map(({ name }) => [name, []]));
  /** One server: its worth in each role, and how often it is there (an expression on the left, a number on the right). */
  const server = (name: string, row: Float64Array, minus: string, there: number) => {
    const byState = new Map<number, string[]>();
    for (const { column, weight, name: role, s } of roles) {
      const f = weight * (row[column] ?? 0);
      if (f <= 0) continue;
      const x = `x_${name}_${role}`;
      aim.push(`${f} ${x}`);
      columns.get(role)?.push(x);
      byState.set(s, [...(byState.get(s) ?? []), x]);
    }
    for (const served of byState.values()) rules.push(`${served.join(' + ')}${minus} <= ${there}`);
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
  /** What each bought thing is paid, coverage: one figure a name, as the solver counts a name once. */
  const paid = new Map<string, number>();
  const pay = (name: string, cost: number) => paid.set(name, (paid.get(name) ?? 0) + cost);
  const again = new Map<string, { name: string; extra: number }[]>();
  /** A candidate bought at some price: what it costs, and what it costs more as a second piece for its kind of work. */
  const had = (i: number, name: string, most: number, priceMinor = candidates[i]?.priceMinor ?? 0) => {
    taken.set(i, [...(taken.get(i) ?? []), name]);
    bounds.push(`0 <= ${name} <= ${most}`);
    const c = candidates[i];
    if (!c) return;
    const at = { ...c, priceMinor };
    const cost = costOf(at, scale);
    pay(name, cost);
    const extra = surchargeOf(at, cost, scale);
    const kind = pieceKind(c);
    if (kind && extra > 0) again.set(kind, [...(again.get(kind) ?? []), { name, extra }]);
  };
  const shared = sets.map(({ pieces, priceMinor }) =>
    shareOut(
      priceMinor,
      pieces.map((i) => candidates[i]?.priceMinor ?? 0),
    ),
  );
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
        had(i, name, 1, shared[b]?.[p]);
        placed[b]?.[p]?.push(name);
        names.push(name);
      });
    });
    volumes.forEach(({ maker, off }, v) => {
      for (const i of fits) {
        const c = candidates[i];
        if (c?.action !== 'buy' || c.blade?.blade.maker !== maker) continue;
        const name = `d_${v}_${k}_${i}`;
        had(i, name, count, Math.round(c.priceMinor * (1 - off)));
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
  candidates.forEach((c, i) => server(`c${i}`, c.counted, (taken.get(i) ?? []).map((z) => ` - ${z}`).join(''), 0));
  owned.forEach((o, i) => {
    const care = candidates.flatMap((c, j) => (c.owned === i ? (taken.get(j) ?? []) : []));
    server(`o${i}`, o.usefulness, care.map((z) => ` + ${z}`).join(''), 1);
  });
  given.forEach((row, i) => server(`g${i}`, row, '', 1));
  for (const served of columns.values()) if (served.length > 0) rules.push(`${served.join(' + ')} <= 1`);
  // of all pieces of a kind but one, the dearest to add, the second piece is paid
  [...again.values()].forEach((pieces, k) => {
    pieces.forEach(({ name, extra }, i) => {
      rules.push(`v_${k}_${i} - ${name} <= 0`);
      bounds.push(`0 <= v_${k}_${i} <= 1`);
      pay(name, extra);
      pay(`v_${k}_${i}`, -extra);
    });
    rules.push(`${pieces.map((_, i) => `v_${k}_${i}`).join(' + ')} <= 1`);
  });
  const zs = [...taken.values()].flat().concat(
    sets.map((_, b) => `s_${b}`),
    volumes.map((_, v) => `q_${v}`),
  );
  if (Number.isFinite(problem.budgetMinor) && prices.length > 0)
    rules.push(`${prices.join(' + ')} <= ${problem.budgetMinor}`);
  const costs = [...paid].map(([name, cost]) => `${cost < 0 ? '+' : '-'} ${Math.abs(cost)} ${name}`);
  return `Maximize\n obj: ${[aim.join('\n + '), ...costs].join('\n ')}\nSubject To\n${rules.map((r, i) => ` r${i}: ${r}`).join('\n')}\nBounds\n${bounds
    .map((b) => ` ${b}`)
    .join('\n')}\nGeneral\n ${zs.join(' ')}\nEnd\n`;
}

/** The highest worth by the general solver; null when no choice keeps the rules. */
export function bestByProgram(program: string): number | null {
  const solved = highs.solve(program, { mip_rel_gap: 0, mip_abs_gap: 1e-9, mip_feasibility_tolerance: 1e-9 });
  if (solved.Status === 'Infeasible') return null;
  if (solved.Status !== 'Optimal') throw new Error(`the general solver says ${solved.Status}`);
  return solved.ObjectiveValue;
}
