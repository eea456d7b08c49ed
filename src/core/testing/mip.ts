import loadHighs from 'highs';
import type { Candidate } from '../kit/candidates/candidate';
import { shareOut } from '../kit/candidates/sets';
import { type Problem, takesKnives } from '../kit/search/problem';
import type { Offer } from '../kit/offers/offers';
import { costOf, pieceKind, surchargeOf } from '../kit/search/worth';

const highs = await loadHighs();

/** A set by the indices of its pieces, with what each costs of the whole. */
interface SetOffer {
  pieces: readonly number[];
  priceMinor: number;
  shares: readonly number[];
}

/** Places that take the same candidates. */
interface PlaceKind {
  fits: readonly number[];
  required: boolean;
  count: number;
}

const plus = (names: readonly string[]) => names.join(' + ');

/** Collects aim, rules and bounds of a program, part by part. */
class KitProgram {
  readonly #problem: Problem;
  readonly #candidates: Candidate[];
  readonly #sets: readonly SetOffer[];
  readonly #volumes: readonly Extract<Offer, { kind: 'volume' }>[];
  readonly #aim: string[] = [];
  readonly #rules: string[] = [];
  readonly #bounds: string[] = [];
  readonly #prices: string[] = [];
  readonly #kinds: string[] = [];
  /** Names under which each candidate may be had. */
  readonly #taken = new Map<number, string[]>();
  /** What each bought thing is paid, coverage: one figure a name, as the solver counts a name once. */
  readonly #paid = new Map<string, number>();
  /** What a second piece for a kind of work is paid more. */
  readonly #again = new Map<string, { name: string; extra: number }[]>();

  constructor(problem: Problem, offers: readonly Offer[]) {
    this.#problem = problem;
    this.#candidates = [...problem.candidates];
    this.#sets = offers.flatMap((offer) => {
      if (offer.kind !== 'set') return [];
      const pieces = offer.pieces.map((piece) => this.#indexOf(piece));
      const singly = pieces.map((i) => this.#candidates[i]?.priceMinor ?? 0);
      return [{ pieces, priceMinor: offer.priceMinor, shares: shareOut(offer.priceMinor, singly) }];
    });
    this.#volumes = offers.flatMap((offer) => (offer.kind === 'volume' ? [offer] : []));
  }

  #indexOf(piece: Candidate): number {
    const known = this.#candidates.findIndex((c) => c.id === piece.id);
    return known >= 0 ? known : this.#candidates.push(piece) - 1;
  }

  /** A candidate bought at some price: what it costs, and what it costs more as a second piece for its kind of work. */
  #had(i: number, name: string, most: number, priceMinor = this.#candidates[i]?.priceMinor ?? 0): void {
    this.#taken.set(i, [...(this.#taken.get(i) ?? []), name]);
    this.#bounds.push(`0 <= ${name} <= ${most}`);
    const c = this.#candidates[i];
    if (!c) return;
    const at = { ...c, priceMinor };
    const cost = costOf(at, this.#problem.scale);
    this.#pay(name, cost);
    const extra = surchargeOf(at, cost, this.#problem.scale);
    const kind = pieceKind(c);
    if (kind && extra > 0) this.#again.set(kind, [...(this.#again.get(kind) ?? []), { name, extra }]);
  }

  #pay(name: string, cost: number): void {
    this.#paid.set(name, (this.#paid.get(name) ?? 0) + cost);
  }

  /** Where a set is bought, its pieces are not bought beside it. */
  #notBesideSets(i: number, name: string, count: number): void {
    this.#sets.forEach(({ pieces }, b) => {
      if (pieces.includes(i)) this.#rules.push(`${name} + ${count} s_${b} <= ${count}`);
    });
  }

  /** Places filled by plain purchases, by pieces of sets and at volume prices; what sets and baskets hold. */
  fillPlaces(): this {
    const placed = this.#sets.map(({ pieces }) => pieces.map((): string[] => []));
    const baskets = this.#volumes.map((): string[] => []);
    placeKinds(this.#problem).forEach((kind, k) => {
      const names = [
        ...this.#plainly(kind, k),
        ...this.#fromSets(kind, k, placed),
        ...this.#atVolume(kind, k, baskets),
      ];
      if (names.length > 0) this.#rules.push(`${plus(names)} ${kind.required ? '=' : '<='} ${kind.count}`);
    });
    this.#switchSets(placed);
    this.#volumes.forEach(({ from }, v) => {
      this.#bounds.push(`0 <= q_${v} <= 1`);
      const basket = baskets[v] ?? [];
      this.#rules.push(basket.length > 0 ? `${plus(basket)} - ${from} q_${v} >= 0` : `q_${v} = 0`);
    });
    return this;
  }

  #plainly({ fits, count }: PlaceKind, k: number): string[] {
    return fits.map((i) => {
      const name = `z_${k}_${i}`;
      this.#had(i, name, count);
      this.#prices.push(`${this.#candidates[i]?.priceMinor ?? 0} ${name}`);
      this.#notBesideSets(i, name, count);
      return name;
    });
  }

  #fromSets({ fits, required }: PlaceKind, k: number, placed: readonly string[][][]): string[] {
    const open = !required && takesKnives({ fits, required }, this.#problem.candidates);
    return this.#sets.flatMap(({ pieces, shares }, b) =>
      pieces.flatMap((i, p) => {
        if (!open && !fits.includes(i)) return [];
        const name = `t_${b}_${p}_${k}`;
        this.#had(i, name, 1, shares[p]);
        placed[b]?.[p]?.push(name);
        return [name];
      }),
    );
  }

  #atVolume({ fits, count }: PlaceKind, k: number, baskets: readonly string[][]): string[] {
    return this.#volumes.flatMap(({ maker, off }, v) =>
      fits.flatMap((i) => {
        const c = this.#candidates[i];
        if (c?.action !== 'buy' || c.blade?.blade.maker !== maker) return [];
        const name = `d_${v}_${k}_${i}`;
        const priceMinor = Math.round(c.priceMinor * (1 - off));
        this.#had(i, name, count, priceMinor);
        this.#prices.push(`${priceMinor} ${name}`);
        baskets[v]?.push(name);
        this.#rules.push(`${name} - ${count} q_${v} <= 0`, `z_${k}_${i} + ${count} q_${v} <= ${count}`);
        this.#notBesideSets(i, name, count);
        return [name];
      }),
    );
  }

  /** A set's pieces come with its switch; two sets that share a piece are not bought together. */
  #switchSets(placed: readonly string[][][]): void {
    this.#sets.forEach(({ pieces, priceMinor }, b) => {
      this.#bounds.push(`0 <= s_${b} <= 1`);
      this.#prices.push(`${priceMinor} s_${b}`);
      pieces.forEach((i, p) => {
        this.#rules.push(plus([...(placed[b]?.[p] ?? []), `- s_${b} = 0`]).replace('+ - ', '- '));
        this.#sets.forEach((other, o) => {
          if (o > b && other.pieces.includes(i)) this.#rules.push(`s_${b} + s_${o} <= 1`);
        });
      });
    });
  }

  /** Every role of every state is served once, by what is bought, owned or given; a server serves one role of a state. */
  serveRoles(): this {
    const served = new Map<string, string[]>();
    const tell = (role: string, x: string) => served.set(role, [...(served.get(role) ?? []), x]);
    const taken = (i: number) => this.#taken.get(i) ?? [];
    this.#candidates.forEach((c, i) =>
      this.#serve(
        `c${i}`,
        c.counted,
        `${taken(i)
          .map((z) => ` - ${z}`)
          .join('')} <= 0`,
        tell,
      ),
    );
    this.#problem.owned.forEach((o, i) => {
      const care = this.#candidates.flatMap((c, j) => (c.owned === i ? taken(j) : []));
      this.#serve(`o${i}`, o.usefulness, `${care.map((z) => ` + ${z}`).join('')} <= 1`, tell);
    });
    this.#problem.given.forEach((row, i) => this.#serve(`g${i}`, row, ' <= 1', tell));
    for (const columns of served.values()) this.#rules.push(`${plus(columns)} <= 1`);
    return this;
  }

  /** One server: its worth in each role, and how often it is there (the rest of the rule). */
  #serve(name: string, row: Float64Array, there: string, tell: (role: string, x: string) => void): void {
    this.#problem.demand.states.forEach((state, s) => {
      const mine = state.roles.flatMap(({ column, weight }, r) => {
        const worth = weight * (row[column] ?? 0);
        if (worth <= 0) return [];
        const x = `x_${name}_${s}_${r}`;
        this.#aim.push(`${worth} ${x}`);
        tell(`${s}_${r}`, x);
        return [x];
      });
      if (mine.length > 0) this.#rules.push(`${plus(mine)}${there}`);
    });
  }

  /** Of all pieces of a kind but one, the dearest to add, the second piece is paid. */
  payAgain(): this {
    [...this.#again.values()].forEach((pieces, k) => {
      pieces.forEach(({ name, extra }, i) => {
        this.#rules.push(`v_${k}_${i} - ${name} <= 0`);
        this.#bounds.push(`0 <= v_${k}_${i} <= 1`);
        this.#pay(name, extra);
        this.#pay(`v_${k}_${i}`, -extra);
      });
      this.#rules.push(`${plus(pieces.map((_, i) => `v_${k}_${i}`))} <= 1`);
    });
    return this;
  }

  /** Of the candidates only so many different knives are bought, however many of each. */
  limitKinds(): this {
    const { kinds, places } = this.#problem;
    if (kinds === undefined) return this;
    const bought = [...this.#taken].filter(([i]) => this.#candidates[i]?.action === 'buy');
    for (const [i, names] of bought) {
      this.#rules.push(`${plus(names)} - ${places.length} k_${i} <= 0`);
      this.#bounds.push(`0 <= k_${i} <= 1`);
      this.#kinds.push(`k_${i}`);
    }
    if (bought.length > 0) this.#rules.push(`${plus(this.#kinds)} <= ${kinds}`);
    return this;
  }

  keepBudget(): this {
    const { budgetMinor } = this.#problem;
    if (Number.isFinite(budgetMinor) && this.#prices.length > 0)
      this.#rules.push(`${plus(this.#prices)} <= ${budgetMinor}`);
    return this;
  }

  text(): string {
    const whole = [
      ...[...this.#taken.values()].flat(),
      ...this.#sets.map((_, b) => `s_${b}`),
      ...this.#volumes.map((_, v) => `q_${v}`),
      ...this.#kinds,
    ];
    const costs = [...this.#paid].map(([name, cost]) => `${cost < 0 ? '+' : '-'} ${Math.abs(cost)} ${name}`);
    return [
      'Maximize',
      ` obj: ${[this.#aim.join('\n + '), ...costs].join('\n ')}`,
      'Subject To',
      ...this.#rules.map((rule, i) => ` r${i}: ${rule}`),
      'Bounds',
      ...this.#bounds.map((bound) => ` ${bound}`),
      'General',
      ` ${whole.join(' ')}`,
      'End',
      '',
    ].join('\n');
  }
}

function placeKinds({ places }: Problem): PlaceKind[] {
  const kinds = new Map<string, PlaceKind>();
  for (const { fits, required } of places) {
    const key = `${required} ${fits.join()}`;
    const kind = kinds.get(key) ?? { fits, required, count: 0 };
    kind.count++;
    kinds.set(key, kind);
  }
  return [...kinds.values()];
}

/**
 * The choice of a kit as a mixed-integer program in LP format: the same problem, said in another way than the planner's. Offers are
 * switches: a set's pieces come with its switch, a volume price's knives are bought beside the plain ones while its switch is on. Every role of
 * every state is served once, and a knife serves one role of a state; what is paid goes off, with two points at least for a second piece for one kind of work.
 */
export const asProgram = (problem: Problem, offers: readonly Offer[] = []): string =>
  new KitProgram(problem, offers).fillPlaces().serveRoles().payAgain().limitKinds().keepBudget().text();

/** The highest worth by the general solver; null when no choice keeps the rules. */
export function bestByProgram(program: string): number | null {
  const solved = highs.solve(program, { mip_rel_gap: 0, mip_abs_gap: 1e-9, mip_feasibility_tolerance: 1e-9 });
  if (solved.Status === 'Infeasible') return null;
  if (solved.Status !== 'Optimal') throw new Error(`the general solver says ${solved.Status}`);
  return solved.ObjectiveValue;
}
