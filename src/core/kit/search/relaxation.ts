import { type Choice, isKindAllowed, kindsOf, type Problem, takesKnives } from './problem';
import { bestFew, inRoles, type InRoles, type Roles, rolesOf, worthInRoles } from './roles';
import { classesOf, type Nest, nestOf, type PlaceClass } from './placeClasses';
import { SecondPieces } from './secondPieces';
import type { Decided, Left, Taken } from './left';
import { fewOfAType } from './shortlist';
import { KitValue, filledKit } from './value';
import { type Paid, paidFor, paidForKit } from './paid';

/** How far the multiplier of money moves beside those of tasks, whose weights sum to 1. */
const MONEY_SCALE = 0.5;

/** Slack where shares of the budget are summed: far below one minor unit. */
const CENTLESS = 1e-12;

/** A candidate chosen in an evaluation: for which of the places left, as which copy, and what it comes to there. */
interface Chosen extends Taken {
  among: number;
  copy: number;
  value: number;
}

/** Copies of one knife that would be chosen together, and what they come to. */
interface Kind {
  copies: Omit<Chosen, 'at' | 'among'>[];
  total: number;
}

/** Kinds of pieces that may stand within some places as well as around them, among what is open there, for so many places. */
interface Joint {
  open: readonly number[];
  places: number;
  kinds: ReadonlySet<number>;
}

const NO_ROW = new Float64Array();

const NOTHING: InRoles = {
  figures: NO_ROW,
  served: new Int32Array(),
  singles: new Int32Array(),
  pairs: new Int32Array(),
  hands: new Int32Array(),
  others: new Int32Array(),
};

const NOBODY: number[] = [];

const STAYS = 1;
const HOPELESS = 2;

const NONE: ReadonlyMap<number, number> = new Map();

/** What is there in a node: the best figures of every state all of whose roles read one column, and the rows of the others. */
interface Present {
  tops: Float64Array;
  there: Float64Array[];
  /** By state: indices into `there` of what can serve in it. */
  serving: number[][];
}

/**
 * A problem of choice with two of its rules given a price: that each role of a state is served once, and the budget. At any prices the worth of
 * what remains is an upper bound, and falls apart into one number a candidate, of which each class of places takes the largest. Where all roles
 * of a state read one column, the k-th copy of a candidate serves no role before the k-th. Multipliers: one a role, one for the money, all ≥ 0;
 * values are coverage, prices shares of the budget.
 *
 * `evaluate` leaves the worths, what was chosen, the least worth chosen and the slope behind until it is called again.
 */
export class Relaxation {
  private readonly roles: Roles;
  /** Every candidate as it serves the roles. */
  private readonly rows: readonly InRoles[];
  private readonly paid: Paid;
  /** Shares of the budget. */
  private readonly prices: Float64Array;
  readonly classes: PlaceClass[];
  readonly nest: Nest;
  private readonly already: Float64Array[];
  private readonly limited: boolean;
  private readonly copies: number;
  private readonly kit: KitValue;
  /** How far each multiplier moves for the same slope: with its role's weight, so that small roles are not shaken by large ones. */
  readonly scale: Float64Array;
  readonly slope: Float64Array;
  /** Worth of each candidate as the first of its kind in the kit. */
  readonly worth: Float64Array;
  private readonly worthAgain: Float64Array[];
  private readonly seconds: SecondPieces;
  chosen: Chosen[] = [];
  /** Figures compared so far, in candidates × roles: what the searching has cost. */
  work = 0;
  /** By places left, the least worth chosen where all are filled; 0 where some stay empty. */
  private thresholds: number[] = [];
  /** By places left, whether whole kinds were chosen for them, with all their copies, as only so many kinds may be bought. */
  private byKind: boolean[] = [];
  /** By class, whether knives may be bought for it in any number, but only of so many kinds. */
  private readonly countsKinds: readonly boolean[];
  /** The kinds chosen jointly for places within others and around them, in the last evaluation and as known. */
  private joint: ReadonlyMap<number, Joint> = new Map();
  private readonly jointOf = new WeakMap<readonly Left[], ReadonlyMap<number, Joint>>();
  /** By candidate the evaluation its worth was last worked out in. */
  private readonly seen: Int32Array;
  private evaluations = 0;
  /** By class around others, and candidate, whether that stays in a place within it, or is hopeless there. */
  private readonly marks: readonly Uint8Array[];

  constructor(private readonly problem: Problem) {
    const { demand, candidates } = problem;
    this.roles = rolesOf(demand);
    const { weights } = this.roles;
    const R = weights.length;
    this.kit = new KitValue(demand);
    this.rows = candidates.map((c) => inRoles(this.roles, c.counted));
    this.paid = paidFor(candidates, problem.scale);
    this.already = [...problem.owned.map((o) => o.usefulness), ...problem.given].map(
      (row) => inRoles(this.roles, row).figures,
    );
    this.limited = Number.isFinite(problem.budgetMinor);
    // shares of the budget; with no money at all whatever costs anything is out of reach
    const share = (minor: number) => (problem.budgetMinor > 0 ? minor / problem.budgetMinor : minor > 0 ? 2 : 0);
    this.prices = new Float64Array(candidates.map((c) => (this.limited ? share(c.priceMinor) : 0)));
    this.classes = classesOf(problem);
    this.nest = nestOf(this.classes);
    this.countsKinds = this.classes.map(
      (each) => problem.kinds !== undefined && !each.required && takesKnives(each, candidates),
    );
    this.copies = this.roles.most;
    this.slope = new Float64Array(R + 1);
    this.scale = new Float64Array([...weights, MONEY_SCALE]);
    this.worthAgain = Array.from({ length: this.copies }, () => new Float64Array(candidates.length));
    this.worth = this.worthAgain[0] ?? new Float64Array(candidates.length);
    this.seconds = new SecondPieces(this.paid);
    this.seen = new Int32Array(candidates.length);
    this.marks = this.nest.isAround.map((isAround) => new Uint8Array(isAround ? candidates.length : 0));
  }

  takenOf(choice: Choice): Taken[] {
    return this.classes.flatMap((c, at) =>
      c.places.flatMap((place) => {
        const candidate = choice[place] ?? -1;
        return candidate >= 0 ? [{ candidate, at }] : [];
      }),
    );
  }

  choiceOf(taken: readonly Taken[]): Choice {
    const choice = new Int32Array(this.problem.places.length).fill(-1);
    this.classes.forEach((c, at) => {
      taken.filter((t) => t.at === at).forEach(({ candidate }, i) => (choice[c.places[i] ?? -1] = candidate));
    });
    return choice;
  }

  /** Every place, with what the budget reaches at all. */
  everything(): Left[] {
    return this.affordable(
      this.classes.map(({ fits, places, required }, at) => ({ at, many: places.length, required, open: fits })),
      [],
    );
  }

  /** Whether the kit chosen in the last evaluation keeps the budget. */
  keepsBudget(): boolean {
    return (this.slope[this.roles.weights.length] ?? 0) >= -CENTLESS;
  }

  /** What is owned and taken, as it serves. A knife put right stands for its dull self. */
  present(taken: readonly { candidate: number }[]): Present {
    const { weights, isSame, from, states } = this.roles;
    const tops = new Float64Array(weights.length);
    const there: Float64Array[] = [];
    const replaced = taken.map(({ candidate }) => this.problem.candidates[candidate]?.owned ?? null);
    const put = (row: Float64Array) => {
      there.push(row);
      for (let s = 0; s < isSame.length; s++) {
        if (isSame[s] === 0) continue;
        const first = from[s] ?? 0;
        // rows hold weighted figures: a knife that moves down a rank counts by that rank's weight
        let f = row[first] ?? 0;
        if (f <= 0) continue;
        f /= weights[first] ?? 1;
        for (let r = first; r < (from[s + 1] ?? 0); r++) {
          const here = tops[r] ?? 0;
          if (f > here) {
            tops[r] = f;
            f = here;
          }
        }
      }
    };
    this.already.forEach((row, i) => {
      if (i >= this.problem.owned.length || !replaced.includes(i)) put(row);
    });
    for (const { candidate } of taken) put(this.rows[candidate]?.figures ?? NO_ROW);
    const serving = states.map(({ same }, s) => (same ? NOBODY : bestFew(there, from[s] ?? 0, from[s + 1] ?? 0)));
    return { tops, there, serving };
  }

  /** What taken candidates are worth beside what is there: coverage less what they cost. */
  valueOf(taken: readonly { candidate: number }[]): number {
    const { candidates } = this.problem;
    const steps = taken.flatMap(({ candidate }) => candidates[candidate] ?? []);
    const kit = filledKit(this.kit, this.problem, steps, ({ counted }) => counted);
    return kit.value() - this.costOfTaken(taken);
  }

  /** What taken candidates cost, coverage. */
  private costOfTaken(taken: readonly { candidate: number }[]): number {
    return paidForKit(
      this.paid,
      taken.map(({ candidate }) => candidate),
    );
  }

  /** A role's price is about what its next server in a good kit is worth: taking its best away would cost the difference. */
  startingMultipliers(taken: readonly Taken[]): Float64Array {
    const { weights, states, from } = this.roles;
    const multipliers = new Float64Array(weights.length + 1);
    const { tops, there, serving } = this.present(taken);
    states.forEach(({ same }, s) => {
      const end = from[s + 1] ?? 0;
      for (let r = from[s] ?? 0; r < end; r++) {
        if (same) {
          const next = r === end - 1 ? (tops[r] ?? 0) : (tops[r + 1] ?? 0);
          multipliers[r] = (weights[r] ?? 0) * (0.5 * (tops[r] ?? 0) + 0.5 * next);
        } else multipliers[r] = 0.7 * (serving[s] ?? []).reduce((most, i) => Math.max(most, there[i]?.[r] ?? 0), 0);
      }
    });
    return multipliers;
  }

  /** The relaxed worth of a node at some multipliers: an upper bound. Fills `slope`, the worths and what was chosen. */
  evaluate(
    node: Decided,
    multipliers: Float64Array,
    counted = this.count(node.taken),
    there = this.present(node.taken),
  ): number {
    const { slope, prices } = this;
    const { from, isSame, weights } = this.roles;
    const R = weights.length;
    const nu = this.limited ? (multipliers[R] ?? 0) : 0;
    const left = 1 - this.spent(node.taken);
    let bound = (this.limited ? nu * left : 0) - this.costOfTaken(node.taken);
    slope[R] = this.limited ? left : 0;
    for (let r = 0; r < R; r++) {
      slope[r] = 1;
      bound += multipliers[r] ?? 0;
    }
    for (let s = 0; s < isSame.length; s++) {
      const first = from[s] ?? 0;
      const end = from[s + 1] ?? 0;
      if (isSame[s] === 1)
        for (let r = first; r < end; r++) {
          const f = there.tops[r] ?? 0;
          if (f <= 0) break;
          bound += this.bestTop(r, end, f, multipliers);
        }
      else
        for (const i of there.serving[s] ?? []) bound += this.best(there.there[i] ?? NO_ROW, first, end, multipliers);
    }
    this.worthsOf(node, multipliers, counted, nu);
    this.chosen = [];
    this.thresholds = [];
    this.byKind = [];
    this.seconds.lay(node.taken);
    this.joint = this.jointlyChosen(node.left);
    for (const { open, places, kinds } of this.joint.values())
      this.seconds.share(open, this.worth, places, (kind) => kinds.has(kind));
    // of what is chosen for places within others no copy is left for those around them
    for (const isAround of [false, true])
      node.left.forEach((left, among) => {
        if (this.nest.isAround[left.at] === isAround) bound += this.pick(node.taken, left, among, counted);
      });
    for (const { candidate, copy } of this.chosen) {
      slope[R] = (slope[R] ?? 0) - (this.limited ? (prices[candidate] ?? 0) : 0);
      const { served, figures } = this.rows[candidate] ?? NOTHING;
      for (let k = 0; k < served.length; k++) {
        const s = served[k] ?? 0;
        const first = (from[s] ?? 0) + (isSame[s] === 1 ? copy : 0);
        this.best(figures, first, from[s + 1] ?? 0, multipliers);
      }
    }
    return bound;
  }

  /** What a row is worth at best in the roles from `first` to `end`; the role it takes is noted in the slope. */
  private best(row: Float64Array, first: number, end: number, multipliers: Float64Array): number {
    let most = 0;
    let at = -1;
    for (let r = first; r < end; r++) {
      const worth = (row[r] ?? 0) - (multipliers[r] ?? 0);
      if (worth > most) {
        most = worth;
        at = r;
      }
    }
    if (at >= 0) this.slope[at] = (this.slope[at] ?? 0) - 1;
    return most;
  }

  /** The same for a figure that is not yet weighted by the role it takes. */
  private bestTop(first: number, end: number, figure: number, multipliers: Float64Array): number {
    let most = 0;
    let at = -1;
    for (let r = first; r < end; r++) {
      const worth = (this.roles.weights[r] ?? 0) * figure - (multipliers[r] ?? 0);
      if (worth > most) {
        most = worth;
        at = r;
      }
    }
    if (at >= 0) this.slope[at] = (this.slope[at] ?? 0) - 1;
    return most;
  }

  count(taken: readonly Pick<Taken, 'candidate'>[]): Map<number, number> {
    const counted = new Map<number, number>();
    for (const { candidate } of taken) counted.set(candidate, (counted.get(candidate) ?? 0) + 1);
    return counted;
  }

  /** What each open candidate is worth at some multipliers, as the first of its kind and as each further copy. */
  private worthsOf(node: Decided, multipliers: Float64Array, counted: Map<number, number>, nu: number): void {
    const { rows, prices, copies, seen } = this;
    const { costs } = this.paid;
    const byCopy = new Float64Array(copies);
    const now = ++this.evaluations;
    for (const { open } of node.left)
      for (const i of open) {
        if (seen[i] === now) continue;
        seen[i] = now;
        this.work += this.roles.weights.length;
        worthInRoles(this.roles, rows[i] ?? NOTHING, multipliers, byCopy);
        const cost = nu * (prices[i] ?? 0) + (costs[i] ?? 0);
        const had = counted.get(i) ?? 0;
        for (let c = 0; c < copies; c++) {
          const copy = this.worthAgain[c];
          if (copy) copy[i] = (c + had < copies ? (byCopy[c + had] ?? 0) : 0) - cost;
        }
      }
  }

  /** Takes the largest worths for places that are left. */
  private pick(taken: readonly Taken[], left: Left, among: number, counted: Map<number, number>): number {
    const { seconds } = this;
    const { at, many: places, required, open } = left;
    const top: { value: number; candidate: number; copy: number }[] = [];
    const offer = (value: number, candidate: number, copy: number) => {
      if (!required && value <= 0) return;
      const last = top[places - 1];
      if (last && value <= last.value) return;
      let k = Math.min(top.length, places - 1);
      while (k > 0 && (top[k - 1]?.value ?? 0) < value) k--;
      top.splice(k, 0, { value, candidate, copy });
      if (top.length > places) top.pop();
    };
    const within = this.nest.isAround[at] ? this.chosenWithin(at) : NONE;
    this.shareBut(within, left);
    const kinds: Kind[] = [];
    for (const i of open) {
      const had = counted.get(i) ?? 0;
      const gone = within.get(i) ?? 0;
      const most = gone + (required ? places : Math.min(places, this.copies - had - gone));
      const kind: Kind = { copies: [], total: 0 };
      for (let c = gone; c < most; c++) {
        const worth = this.worthAgain[Math.min(c, this.copies - 1)]?.[i] ?? 0;
        const value = c === 0 ? seconds.asChosen(i, worth) : seconds.beside(i, worth);
        if (c > 0 && !required && value <= 0) break;
        const copy = Math.min(c + had, this.copies - 1);
        offer(value, i, copy);
        if (value <= 0) continue;
        kind.copies.push({ candidate: i, copy, value });
        kind.total += value;
      }
      if (this.countsKinds[at] && kind.total > 0) kinds.push(kind);
    }
    const whole = this.countsKinds[at] ? this.wholeKinds(kinds, taken, within) : null;
    // where the places do not take them all, the largest worths are the bound, whatever their kinds
    const isByKind = whole !== null && whole.copies.length <= places;
    this.byKind[among] = isByKind;
    let sum = 0;
    for (const each of isByKind ? whole.copies : top) {
      sum += each.value;
      this.chosen.push({ ...each, at, among });
    }
    if (required && top.length < places) sum = -Infinity;
    this.thresholds[among] = isByKind ? whole.least : (top[places - 1]?.value ?? 0);
    return sum;
  }

  /** Of some kinds those worth most that may still be bought, beside those that are bought already; `least`: the worth of the one to be put out next. */
  private wholeKinds(
    kinds: readonly Kind[],
    taken: readonly Taken[],
    within: ReadonlyMap<number, number>,
  ): { copies: Kind['copies']; least: number } {
    const bought = this.kindsTaken(taken);
    const isBought = ({ copies: [first] }: Kind) =>
      first !== undefined && (bought.has(first.candidate) || within.has(first.candidate));
    const more = Math.max(0, (this.problem.kinds ?? Infinity) - bought.size);
    const fresh = kinds.filter((kind) => !isBought(kind)).sort((a, b) => b.total - a.total);
    const copies = [...kinds.filter(isBought), ...fresh.slice(0, more)].flatMap((kind) => kind.copies);
    return { copies, least: fresh[more - 1]?.total ?? 0 };
  }

  private kindsTaken(taken: readonly Taken[]): Set<number> {
    return kindsOf(
      this.problem,
      taken.map(({ candidate }) => candidate),
    );
  }

  /** Lays out what second pieces cost among what is open, where some candidates are chosen elsewhere and so none of these is the one spared. */
  private shareBut(elsewhere: ReadonlyMap<number, number>, { at, open, many: places }: Left): void {
    const { worth, joint, nest } = this;
    const worths = [...elsewhere.keys()].map((i) => [i, worth[i] ?? 0] as const);
    for (const [i] of worths) worth[i] = -Infinity;
    const around = nest.around[at] ?? -1;
    const known = joint.get(around < 0 ? at : around)?.kinds;
    this.seconds.share(open, worth, places, known && ((kind) => !known.has(kind)));
    for (const [i, was] of worths) worth[i] = was;
  }

  /**
   * Kinds of pieces all of which may stand in places within others as well as around them: what they come to is worked out for both together, so
   * that only one of a kind is spared. By class that is around others.
   */
  private jointlyChosen(left: readonly Left[]): ReadonlyMap<number, Joint> {
    const before = this.jointOf.get(left);
    if (before) return before;
    const found = new Map<number, Joint>();
    for (const outer of left) {
      if (!this.nest.isAround[outer.at]) continue;
      const inner = left.filter(({ at }) => this.nest.around[at] === outer.at);
      if (inner.length === 0) continue;
      const lists = [outer, ...inner].map(({ open }) => open);
      const kinds = new Set(inner.flatMap(({ open }) => [...this.seconds.kindsInBoth(open, outer.open, lists)]));
      const places = [outer, ...inner].reduce((sum, { many }) => sum + many, 0);
      found.set(outer.at, { open: outer.open, places, kinds });
    }
    this.jointOf.set(left, found);
    return found;
  }

  /** How many of each candidate are chosen for places within a class. */
  private chosenWithin(outer: number): ReadonlyMap<number, number> {
    return this.count(this.chosen.filter(({ at }) => this.nest.around[at] === outer));
  }

  /** The likeliest candidates of the evaluation just made: those chosen, and those worth most for each of the places left, few of a type. */
  likeliest(left: readonly Left[], many: number): number[] {
    const { worth, chosen } = this;
    const { candidates } = this.problem;
    const most = left.flatMap(({ open }) => {
      const inOrder = [...open].sort((a, b) => (worth[b] ?? 0) - (worth[a] ?? 0) || a - b);
      return fewOfAType(inOrder, candidates).slice(0, many);
    });
    return [...most, ...chosen.map(({ candidate }) => candidate)];
  }

  /** What the evaluation just made, with one more candidate put among some places, would lose in the one it puts out, at least; negative. */
  private leastLost(left: readonly Left[], among: number, taken: readonly Taken[]): number {
    const { chosen, nest, seconds, thresholds, worthAgain } = this;
    const { at, many } = left[among] ?? { at: -1, many: 0 };
    // where kinds count, what is put out of a place within may bring all its copies into those around it
    const outerAt = nest.around[at] ?? -1;
    if (this.problem.kinds !== undefined) return outerAt >= 0 ? 0 : -(thresholds[among] ?? 0);
    const put = chosen.filter((c) => c.among === among);
    if (put.length < many) return 0;
    const around = outerAt < 0 ? -1 : left.findIndex((each) => each.at === outerAt);
    const outer = left[around];
    if (!outer) return -(thresholds[among] ?? 0);
    // what is put out of a place within may come into one around it
    seconds.lay(taken);
    const counted = this.count(taken);
    return put.reduce((most, { candidate, copy, value }) => {
      const raw = worthAgain[copy - (counted.get(candidate) ?? 0)]?.[candidate] ?? 0;
      return Math.max(most, Math.max(0, seconds.atMost(candidate, raw) - (thresholds[around] ?? 0)) - value);
    }, -Infinity);
  }

  /**
   * Of what is left what may be part of a kit worth `lacking` more than the evaluation just made came to. What may stand in a place within others
   * stands there before it stands around them: hopeless there it is hopeless here.
   */
  hopeful({ taken, left }: Decided, lacking: number): readonly Left[] {
    const { seconds, worth, nest, marks } = this;
    const kept = [...left];
    for (const each of marks) each.fill(0);
    for (const isAround of [false, true])
      left.forEach((each, among) => {
        if (nest.isAround[each.at] !== isAround) return;
        const least = lacking - this.leastLost(left, among, taken);
        const within = isAround ? marks[each.at] : undefined;
        const outer = marks[nest.around[each.at] ?? -1];
        seconds.lay(taken);
        const bought = this.byKind[among] ? this.kindsTaken(taken) : null;
        const keep = (i: number): boolean => {
          if (within && within[i] !== 0) return within[i] === STAYS;
          const first = seconds.atMost(i, worth[i] ?? 0);
          const isLikely = bought
            ? first > lacking || (!bought.has(i) && first + this.furtherCopies(i) > least)
            : first > least;
          const isKept = isLikely || this.isChosen(i, among);
          if (outer && outer[i] !== STAYS) outer[i] = isKept ? STAYS : HOPELESS;
          return isKept;
        };
        const open = each.open.filter(keep);
        if (open.length < each.open.length) kept[among] = { ...each, open };
      });
    return kept;
  }

  /** What the further copies of a candidate come to at most beside its first. */
  private furtherCopies(i: number): number {
    let sum = 0;
    for (let c = 1; c < this.copies; c++) sum += Math.max(0, this.worthAgain[c]?.[i] ?? 0);
    return sum;
  }

  private isChosen(candidate: number, among: number): boolean {
    return this.chosen.some((c) => c.among === among && c.candidate === candidate);
  }

  isComplete(taken: readonly Taken[]): boolean {
    const isFew = this.kindsTaken(taken).size <= (this.problem.kinds ?? Infinity);
    return (
      isFew && this.classes.every((c, at) => !c.required || taken.filter((t) => t.at === at).length === c.places.length)
    );
  }

  private spent(taken: readonly Taken[]): number {
    return this.limited ? taken.reduce((sum, { candidate }) => sum + (this.prices[candidate] ?? 0), 0) : 0;
  }

  /** What the money and the kinds left still reach. */
  affordable(left: readonly Left[], taken: readonly Taken[]): Left[] {
    const { limited, prices, problem } = this;
    const money = 1 - this.spent(taken);
    const kinds = problem.kinds === undefined ? null : this.kindsTaken(taken);
    const isReached = (i: number) =>
      (!limited || (prices[i] ?? 0) <= money + CENTLESS) && (kinds === null || isKindAllowed(problem, kinds, i));
    return limited || kinds ? left.map((each) => ({ ...each, open: each.open.filter(isReached) })) : [...left];
  }
}
