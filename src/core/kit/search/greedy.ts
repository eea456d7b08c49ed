import type { Candidate } from '../candidates/candidate';
import { type Paid, paidFor, paidForKit } from './paid';
import { KitValue, filledKit } from './value';
import { cheapest, type Choice, EPSILON, isKnife, kindsOf, type Place, placed, priceOf, type Problem } from './problem';

/** How a place is filled. */
interface Look {
  /** What stands beside it. */
  kit: KitValue;
  /** Money it may cost at most, minor units. */
  room: number;
  /** By worth for money instead of worth. */
  byMoney: boolean;
  /** What each candidate can come to at most: those that cannot lead are passed over, and what is found is noted here. */
  most: Float64Array;
  /** What has been found elsewhere: only what is worth more is looked for. */
  least?: number;
}

/** What fills a place best: its worth, by itself or for its money, and its net gain. */
interface Best {
  index: number;
  worth: number;
  net: number;
}

/** A choice one exchange from another, and its worth. */
interface Exchange {
  choice: Choice;
  worth: number;
}

const NO_ROW = new Float64Array();

export const countedRows = ({ counted }: Candidate) => counted;

export class Chooser {
  private readonly kit: KitValue;
  /** For what is only tried beside it. */
  private readonly spare: KitValue;
  private readonly paid: Paid;
  private readonly rows: readonly Float64Array[];
  /** By kind of piece the largest surcharge in the choice at hand. */
  private readonly beside: Float64Array;
  /** Where the kinds are limited: by candidate whether it is in the choice at hand, and how many more kinds it may have. */
  private readonly bought: Uint8Array;
  private kindsLeft = Infinity;

  constructor(private readonly problem: Problem) {
    const { candidates, scale, demand } = problem;
    this.kit = new KitValue(demand);
    this.spare = new KitValue(demand);
    this.paid = paidFor(candidates, scale);
    this.rows = candidates.map(countedRows);
    this.beside = new Float64Array(this.paid.kindCount);
    this.bought = new Uint8Array(candidates.length);
  }

  /** Whether there is a ceiling: without one nothing is gained by looking for the most for the money. */
  get isLimited(): boolean {
    return Number.isFinite(this.problem.budgetMinor);
  }

  /** Loads the kit with what is owned (dull rows give way to sharpened ones) and everything chosen but one place. */
  load(choice: Choice, without = -1, into = this.kit): KitValue {
    const { candidates } = this.problem;
    const steps: Candidate[] = [];
    for (let p = 0; p < choice.length; p++) {
      const candidate = p === without ? undefined : candidates[choice[p] ?? -1];
      if (candidate) steps.push(candidate);
    }
    return filledKit(into, this.problem, steps, countedRows);
  }

  /** What a choice covers, with rescued work as the choice weighs it. */
  value(choice: Choice): number {
    return this.load(choice).value();
  }

  /** What a choice is paid, coverage. */
  cost(choice: Choice): number {
    return paidForKit(this.paid, choice);
  }

  /** Worth of a choice: what it covers less what it is paid. */
  worth(choice: Choice): number {
    return this.value(choice) - this.cost(choice);
  }

  price(choice: Choice): number {
    return priceOf(this.problem, choice);
  }

  empty(): Choice {
    return new Int32Array(this.problem.places.length).fill(-1);
  }

  /** Money that must be kept back for required places still empty. */
  private reserved(choice: Choice, except: number): number {
    let sum = 0;
    this.problem.places.forEach((place, p) => {
      if (p !== except && place.required && (choice[p] ?? -1) < 0) sum += cheapest(this.problem, place);
    });
    return sum;
  }

  /** Notes what second pieces cost beside a choice without one of its places, and which kinds it leaves. */
  private standBeside(choice: Choice, except: number): void {
    const { beside } = this;
    const { kinds, surcharges } = this.paid;
    beside.fill(0);
    for (let p = 0; p < choice.length; p++) {
      const other = p === except ? -1 : (choice[p] ?? -1);
      const kind = other < 0 ? -1 : (kinds[other] ?? -1);
      if (kind >= 0) beside[kind] = Math.max(beside[kind] ?? 0, surcharges[other] ?? 0);
    }
    if (this.problem.kinds !== undefined) this.countKinds(choice, except);
  }

  /** Notes the kinds in a choice without one of its places, and how many more it may have; each required place still empty keeps one. */
  private countKinds(choice: Choice, except: number): void {
    const { bought, problem } = this;
    bought.fill(0);
    this.kindsLeft = problem.kinds ?? Infinity;
    for (let p = 0; p < choice.length; p++) {
      const index = choice[p] ?? -1;
      if (p === except || (index >= 0 && bought[index] === 1)) continue;
      if (index < 0 ? problem.places[p]?.required : isKnife(problem, index)) this.kindsLeft--;
      if (index >= 0) bought[index] = 1;
    }
  }

  /** Whether a candidate keeps the limit of kinds beside the choice last noted. */
  private isKindAllowed(index: number): boolean {
    return this.kindsLeft > 0 || this.bought[index] === 1 || !isKnife(this.problem, index);
  }

  /** What a candidate would cost beside the choice last noted, coverage: a little more where its kind is there already. */
  private costOfOne(index: number): number {
    const { costs, kinds, surcharges } = this.paid;
    const kind = kinds[index] ?? -1;
    const extra = kind < 0 ? 0 : Math.min(surcharges[index] ?? 0, this.beside[kind] ?? 0);
    return (costs[index] ?? 0) + extra;
  }

  /** The best filling of one place beside the rest. */
  private bestFor(choice: Choice, place: number, look: Look): Best {
    const fits = this.problem.places[place]?.fits ?? [];
    const { most, room } = look;
    const { prices } = this.paid;
    const best: Best = { index: -1, worth: look.least ?? -Infinity, net: -Infinity };
    this.standBeside(choice, place);
    // the likeliest first: it spares a look at most others
    let lead = fits[0] ?? -1;
    for (const index of fits) if ((most[index] ?? 0) > (most[lead] ?? 0)) lead = index;
    if ((prices[lead] ?? Infinity) <= room) this.look(choice, place, lead, look, best);
    for (const index of fits)
      if (index !== lead && (prices[index] ?? 0) <= room && (most[index] ?? 0) >= best.worth)
        this.look(choice, place, index, look, best);
    return best;
  }

  /** Takes a candidate for the best filling of a place where it is. */
  private look(choice: Choice, place: number, index: number, { kit, byMoney, most }: Look, best: Best): void {
    const { candidates, scale } = this.problem;
    if (!this.isKindAllowed(index)) return;
    const isPutRight = candidates[index]?.owned !== null;
    const cost = this.costOfOne(index);
    let gain = kit.gain(this.rows[index] ?? NO_ROW);
    const worthOf = (net: number) => (byMoney ? net / ((this.paid.prices[index] ?? 0) + scale.keepMinor) : net);
    if (isPutRight) {
      // putting right adds at most what the knife would add beside its dull self
      if (gain - cost <= 0 || worthOf(gain - cost) < best.worth) return;
      gain = this.careGain(choice, place, index, kit);
    }
    const net = gain - cost;
    const worth = worthOf(net);
    if (!isPutRight) most[index] = worth;
    if (worth < best.worth || (worth === best.worth && index > best.index)) return;
    best.index = index;
    best.worth = worth;
    best.net = net;
  }

  /** What putting an owned knife right adds to what is in the kit. */
  private careGain(choice: Choice, place: number, index: number, kit: KitValue): number {
    const tried = choice.slice();
    tried[place] = index;
    return this.load(tried, -1, this.spare).value() - kit.value();
  }

  /** What a candidate in a place adds to what is in the kit. */
  private gainOf(c: Candidate, choice: Choice, place: number, index: number, kit: KitValue): number {
    return c.owned === null ? kit.gain(c.counted) : this.careGain(choice, place, index, kit);
  }

  /** Fills empty places one by one, required first, while that is worth its price. */
  fill(choice: Choice, byMoney: boolean): Choice {
    const { places, budgetMinor, candidates } = this.problem;
    // what a candidate adds falls as the kit grows
    const most = new Float64Array(candidates.length).fill(Infinity);
    for (;;) {
      const mustFill = places.some((place, p) => place.required && (choice[p] ?? -1) < 0);
      const kit = this.load(choice);
      const spent = this.price(choice);
      let best = { place: -1, index: -1, worth: -Infinity, net: 0 };
      const seen = new Set<readonly number[]>();
      places.forEach((place, p) => {
        if ((choice[p] ?? -1) >= 0 || (mustFill && !place.required) || seen.has(place.fits)) return;
        seen.add(place.fits);
        const found = this.bestFor(choice, p, {
          kit,
          room: budgetMinor - spent - this.reserved(choice, p),
          byMoney,
          most,
          least: best.worth,
        });
        if (found.index >= 0 && (mustFill || found.net > EPSILON) && found.worth > best.worth)
          best = { place: p, ...found };
      });
      if (best.place < 0) return choice;
      choice[best.place] = best.index;
    }
  }

  /** What each candidate would add to a whole choice at most: what is put right adds less than it would beside its dull self. */
  private gainsBeside(choice: Choice): Float64Array {
    const kit = this.load(choice);
    return new Float64Array(this.rows.map((row) => kit.gain(row)));
  }

  /** Exchanges, empties or fills one place at a time while worth rises; where kinds are counted, all copies of one together as well. */
  exchange(choice: Choice): Choice {
    for (;;) {
      this.exchangePlaces(choice);
      const swapped = this.problem.kinds === undefined ? null : this.kindExchanged(choice);
      if (!swapped) return choice;
      choice.set(swapped);
    }
  }

  /** A choice with all copies of one knife exchanged for as many of another, where that is worth more: the best such exchange. */
  private kindExchanged(choice: Choice): Choice | null {
    let best: Exchange | null = null;
    let least = this.worth(choice) + EPSILON;
    for (const other of this.exchangesWorth(choice, least, () => true))
      if (other.worth > least) {
        best = other;
        least = other.worth + EPSILON;
      }
    return best?.choice ?? null;
  }

  private exchangePlaces(choice: Choice): void {
    const { candidates, budgetMinor, places } = this.problem;
    const { costs } = this.paid;
    const most = new Float64Array(candidates.length);
    let beside: Float64Array | null = null;
    for (let moved = true; moved;) {
      moved = false;
      // equal places that hold the same, or nothing, need one look
      const looked = new Map<readonly number[], Set<number>>();
      for (let p = 0; p < choice.length; p++) {
        const place = places[p];
        const now = choice[p] ?? -1;
        if (!place || (!place.required && looked.get(place.fits)?.has(now))) continue;
        const held = now >= 0 ? (candidates[now]?.priceMinor ?? 0) : 0;
        const room = budgetMinor - this.price(choice) + held - this.reserved(choice, p);
        const gains = (beside ??= this.gainsBeside(choice));
        if (now < 0 && !place.required && !place.fits.some((i) => (gains[i] ?? 0) > (costs[i] ?? 0))) continue;
        const kit = this.load(choice, p);
        this.standBeside(choice, p);
        const paid = now < 0 ? 0 : this.costOfOne(now);
        const stands = candidates[now];
        const gain = stands ? this.gainOf(stands, choice, p, now, kit) : 0;
        const nowNet = gain - paid;
        // beside the rest a candidate adds at most what it adds to the whole and what the one that stands here adds
        for (let i = 0; i < most.length; i++) {
          const net = (gains[i] ?? 0) + gain - (costs[i] ?? 0);
          most[i] = net > nowNet ? net : -Infinity;
        }
        const best = this.bestFor(choice, p, { kit, room, byMoney: false, most });
        const emptied = !place.required && now >= 0 && nowNet < -EPSILON && best.net <= EPSILON;
        const better =
          best.index >= 0 &&
          best.index !== now &&
          best.net > Math.max(nowNet, place.required ? -Infinity : 0) + EPSILON;
        if (better) choice[p] = best.index;
        else if (emptied) choice[p] = -1;
        if (better || emptied) {
          moved = true;
          beside = null;
          looked.clear();
        } else if (!place.required) looked.set(place.fits, (looked.get(place.fits) ?? new Set<number>()).add(now));
      }
    }
  }

  /**
   * What each candidate changes in the worth of a choice at best: in an empty place, or in the stead of one of its pieces. Money it lacks counts as
   * much as the choice makes of its money where it makes least.
   */
  exchanged(choice: Choice): Float64Array {
    const { budgetMinor, places } = this.problem;
    const { prices } = this.paid;
    const spent = this.price(choice);
    const filled = [...choice.keys()].filter((p) => (choice[p] ?? -1) >= 0);
    const lost = filled.map((p) => {
      const stands = choice[p] ?? -1;
      const kit = this.load(choice, p, this.spare);
      this.standBeside(choice, p);
      return kit.gain(this.rows[stands] ?? NO_ROW) - this.costOfOne(stands);
    });
    const ofMoney = filled.reduce(
      (least, p, k) => Math.min(least, Math.max(0, lost[k] ?? 0) / Math.max(1, prices[choice[p] ?? -1] ?? 0)),
      Infinity,
    );
    const open = new Set(places.flatMap(({ fits }, p) => ((choice[p] ?? -1) < 0 ? [fits] : [])));
    const addable: readonly number[] = [...new Set([...open].flat())];
    // emptied, a place that need not be filled makes room for what goes elsewhere
    const mayCome = (place: Place | undefined): Iterable<number> => {
      if (!place || (!place.required && open.has(place.fits))) return addable;
      return place.required ? place.fits : new Set([...place.fits, ...addable]);
    };
    const best = new Float64Array(this.rows.length).fill(-Infinity);
    [-1, ...filled].forEach((p, k) => {
      const kit = this.load(choice, p);
      this.standBeside(choice, p);
      const room = budgetMinor - spent + (prices[choice[p] ?? -1] ?? 0);
      const before = lost[k - 1] ?? 0;
      for (const i of mayCome(places[p])) {
        if (!this.isKindAllowed(i)) continue;
        const lacking = (prices[i] ?? 0) - room;
        const missed = lacking > 0 ? lacking * ofMoney : 0;
        const worth = kit.gain(this.rows[i] ?? NO_ROW) - this.costOfOne(i) - before - missed;
        if (worth > (best[i] ?? 0)) best[i] = worth;
      }
    });
    return best;
  }

  /**
   * The choices one exchange from a choice that are worth at least so much: another candidate in the stead of one bought piece or, where kinds are
   * counted, of all copies of a knife. They keep what is free of the money, the kinds and the places.
   */
  exchangesWorth(choice: Choice, least: number, isAsked: (index: number) => boolean): Exchange[] {
    const { places, candidates, budgetMinor, kinds } = this.problem;
    const { prices, costs } = this.paid;
    const spent = this.price(choice);
    const bought = [...choice.keys()].filter((p) => candidates[choice[p] ?? -1]?.owned === null);
    const together =
      kinds === undefined
        ? bought.map((p) => [p])
        : [...kindsOf(this.problem, choice)].map((kind) => bought.filter((p) => choice[p] === kind));
    return together.flatMap((at) => {
      const stands = choice[at[0] ?? -1] ?? -1;
      const fits = at.map((p) => places[p]?.fits ?? []);
      const rest = choice.map((index, p) => (at.includes(p) ? -1 : index));
      const kit = this.load(rest, -1, this.spare);
      const without = kit.value() - this.cost(rest);
      const room = budgetMinor - spent + at.length * (prices[stands] ?? 0);
      // copies add less and less, so that the first tells how much they come to at most
      const mayReach = (i: number) =>
        i !== stands &&
        isAsked(i) &&
        at.length * (prices[i] ?? 0) <= room &&
        fits.every((each) => each.includes(i)) &&
        without + at.length * (kit.gain(this.rows[i] ?? NO_ROW) - (costs[i] ?? 0)) >= least;
      return (fits[0] ?? [])
        .filter(mayReach)
        .map((i) => choice.map((index, p) => (at.includes(p) ? i : index)))
        .map((other) => ({ choice: other, worth: this.worth(other) }))
        .filter(({ worth }) => worth >= least);
    });
  }

  /** Leaves out of a choice the kinds with the fewest copies until it keeps the limit of kinds, as far as nothing has to be there. */
  private withFewKinds(choice: Choice): Choice {
    const { places } = this.problem;
    for (;;) {
      this.countKinds(choice, -1);
      if (this.kindsLeft >= 0) return choice;
      const copies = new Map<number, number>();
      choice.forEach((index, p) => {
        if (index >= 0 && isKnife(this.problem, index) && !places[p]?.required)
          copies.set(index, (copies.get(index) ?? 0) + 1);
      });
      const [fewest] = [...copies].sort(([a, some], [b, others]) => some - others || b - a);
      if (!fewest) return choice;
      choice = choice.map((index, p) => (index === fewest[0] && !places[p]?.required ? -1 : index));
    }
  }

  /** A kindred kit, given by candidates, in its places, without kinds that are too many; null where the money does not reach it. */
  seeded(seed: readonly string[]): Choice | null {
    const known = new Map(this.problem.candidates.map((c, i) => [c.id, i]));
    const seeded = this.withFewKinds(
      placed(
        this.problem,
        seed.flatMap((id) => known.get(id) ?? []),
      ),
    );
    return this.problem.budgetMinor - this.price(seeded) - this.reserved(seeded, -1) >= 0 ? seeded : null;
  }
}
