import { WORTH } from '../constants';
import type { Candidate } from './candidates';
import { ExactSearch, type Proof } from './exact';
import { KitValue, loadKit, type Demand } from './value';
import { costOf, costOfKit, pieceKind, surchargeOf, type MoneyScale } from './worth';

/** A place in the kit with the candidates (by index) that may fill it. */
export interface Place {
  fits: readonly number[];
  required: boolean;
}

/** Everything the choice rests on: plain numbers, no names. */
export interface Problem {
  demand: Demand;
  owned: readonly { rows: Float64Array }[];
  /** Rows that are there whatever is chosen: owned tools. */
  given: readonly Float64Array[];
  candidates: readonly Candidate[];
  places: readonly Place[];
  /** Minor units; Infinity for no ceiling. */
  budgetMinor: number;
  scale: MoneyScale;
}

/** What fills a place best: its worth, by itself or for its money, and its net gain. */
interface Best {
  index: number;
  worth: number;
  net: number;
}

/** Candidate index per place, −1 for an empty place. */
export type Choice = Int32Array;

/** Values closer than this are equal. */
export const EPSILON = 1e-9;

/** Whether a knife may be bought for a place: tools and sharpenings have places of their own. */
export const takesKnives = ({ fits }: Place, candidates: readonly Candidate[]): boolean =>
  fits.some((i) => candidates[i]?.action === 'buy');

const cheapest = (problem: Problem, place: Place) =>
  place.fits.reduce((low, i) => Math.min(low, problem.candidates[i]?.priceMinor ?? Infinity), Infinity);

/** The problem with places freed whose requirement the budget cannot meet, dearest first, and how many were. */
export function affordable(problem: Problem): { problem: Problem; unmet: number } {
  const places = [...problem.places];
  for (let unmet = 0; ; unmet++) {
    const required = places
      .map((place, p) => ({ p, place, low: cheapest(problem, place) }))
      .filter(({ place }) => place.required)
      .sort((a, b) => b.low - a.low || b.p - a.p);
    const [worst] = required;
    if (!worst || required.reduce((sum, { low }) => sum + low, 0) <= problem.budgetMinor)
      return { problem: { ...problem, places }, unmet };
    places[worst.p] = { ...worst.place, required: false };
  }
}

/** What is chosen costs altogether, minor units. */
export const priceOf = ({ candidates }: Pick<Problem, 'candidates'>, choice: Choice): number =>
  choice.reduce((sum, index) => sum + (index >= 0 ? (candidates[index]?.priceMinor ?? 0) : 0), 0);

/** Whether a choice keeps every rule: what stands in a place fits it, required places are filled, the money reaches. */
export function isFeasible(problem: Problem, choice: Choice): boolean {
  if (choice.length !== problem.places.length) return false;
  const kept = problem.places.every(({ fits, required }, p) => {
    const index = choice[p] ?? -1;
    return index < 0 ? !required : fits.includes(index);
  });
  return kept && priceOf(problem, choice) <= problem.budgetMinor;
}

/** Throws where a search is about to hand out what breaks a rule: such a kit is never shown. */
export function asserted<T extends { choice: Choice }>(problem: Problem, found: T): T {
  if (!isFeasible(problem, found.choice)) throw new Error('the search found a kit that breaks its own limits');
  return found;
}

/** Candidates in the first places they fit. */
export function placed({ places }: Pick<Problem, 'places'>, kit: readonly number[]): Choice {
  const choice = new Int32Array(places.length).fill(-1);
  for (const candidate of kit) {
    const place = places.findIndex(({ fits }, p) => (choice[p] ?? -1) < 0 && fits.includes(candidate));
    if (place >= 0) choice[place] = candidate;
  }
  return choice;
}

const countedRows = ({ counted }: Candidate) => counted;

export class Chooser {
  private readonly kit: KitValue;
  /** For what is only tried beside it. */
  private readonly spare: KitValue;
  private readonly prices: Float64Array;
  private readonly costs: Float64Array;
  private readonly surcharges: Float64Array;
  private readonly kinds: (string | null)[];
  /** Kinds of work by number, −1 for none, and the largest surcharge of each in the choice at hand. */
  private readonly kindOf: Int32Array;
  private readonly beside: Float64Array;

  constructor(private readonly problem: Problem) {
    const { candidates, scale, demand } = problem;
    this.kit = new KitValue(demand);
    this.spare = new KitValue(demand);
    this.prices = new Float64Array(candidates.map((c) => c.priceMinor));
    this.costs = new Float64Array(candidates.map((c) => costOf(c, scale)));
    this.kinds = candidates.map(pieceKind);
    this.surcharges = new Float64Array(candidates.map((c, i) => surchargeOf(c, this.costs[i] ?? 0, scale)));
    const numbers = new Map([...new Set(this.kinds)].map((kind, k) => [kind, k]));
    this.kindOf = new Int32Array(this.kinds.map((kind) => (kind === null ? -1 : (numbers.get(kind) ?? -1))));
    this.beside = new Float64Array(numbers.size);
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
    return loadKit(into, this.problem, steps, countedRows);
  }

  /** What a choice covers, with rescued work as the choice weighs it. */
  value(choice: Choice): number {
    return this.load(choice).value();
  }

  /** What a choice is paid, coverage. */
  cost(choice: Choice): number {
    return costOfKit(choice, this.costs, this.kinds, this.surcharges);
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

  /** Notes what second pieces cost beside a choice without one of its places. */
  private standBeside(choice: Choice, except: number): void {
    const { beside, kindOf, surcharges } = this;
    beside.fill(0);
    for (let p = 0; p < choice.length; p++) {
      const other = p === except ? -1 : (choice[p] ?? -1);
      const kind = other < 0 ? -1 : (kindOf[other] ?? -1);
      if (kind >= 0) beside[kind] = Math.max(beside[kind] ?? 0, surcharges[other] ?? 0);
    }
  }

  /** What a candidate would cost beside the choice last noted, coverage: a little more where its kind is there already. */
  private costOfOne(index: number): number {
    const kind = this.kindOf[index] ?? -1;
    const extra = kind < 0 ? 0 : Math.min(this.surcharges[index] ?? 0, this.beside[kind] ?? 0);
    return (this.costs[index] ?? 0) + extra;
  }

  /**
   * The best filling of one place beside the rest, by worth or by worth for money. `most`: what each candidate can come to at most; those that
   * cannot lead are passed over, and what is found is noted there.
   */
  private bestFor(
    choice: Choice,
    place: number,
    kit: KitValue,
    room: number,
    byMoney: boolean,
    most: Float64Array,
  ): Best {
    const { candidates, places, scale } = this.problem;
    const fits = places[place]?.fits ?? [];
    const best: Best = { index: -1, worth: -Infinity, net: -Infinity };
    this.standBeside(choice, place);
    const look = (index: number) => {
      const price = this.prices[index] ?? 0;
      const c = candidates[index];
      if (!c || price > room || (most[index] ?? 0) < best.worth) return;
      const cost = this.costOfOne(index);
      let gain = kit.gain(c.counted);
      if (c.owned !== null) {
        // putting right adds at most what the knife would add beside its dull self
        if (gain - cost <= 0) return;
        gain = this.careGain(choice, place, index, kit);
      }
      const net = gain - cost;
      const worth = byMoney ? net / (price + scale.keepMinor) : net;
      if (c.owned === null) most[index] = worth;
      if (worth < best.worth || (worth === best.worth && index > best.index)) return;
      best.index = index;
      best.worth = worth;
      best.net = net;
    };
    // the likeliest first: it spares a look at most others
    look(fits.reduce((lead, i) => ((most[i] ?? 0) > (most[lead] ?? -Infinity) ? i : lead), -1));
    for (const index of fits) if (index !== best.index) look(index);
    return best;
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
        const found = this.bestFor(choice, p, kit, budgetMinor - spent - this.reserved(choice, p), byMoney, most);
        if (found.index >= 0 && (mustFill || found.net > EPSILON) && found.worth > best.worth)
          best = { place: p, ...found };
      });
      if (best.place < 0) return choice;
      choice[best.place] = best.index;
    }
  }

  /** What each candidate would add to a whole choice; Infinity where that is not known: what is put right stands for its dull self. */
  private gainsBeside(choice: Choice): Float64Array {
    const kit = this.load(choice);
    return new Float64Array(this.problem.candidates.map((c) => (c.owned === null ? kit.gain(c.counted) : Infinity)));
  }

  /** Exchanges, empties or fills one place at a time while worth rises. */
  exchange(choice: Choice): Choice {
    const { candidates, budgetMinor, places } = this.problem;
    let beside: Float64Array | null = null;
    for (let moved = true; moved;) {
      moved = false;
      // equal places left empty need one look
      const empty = new Set<readonly number[]>();
      for (let p = 0; p < choice.length; p++) {
        const place = places[p];
        const now = choice[p] ?? -1;
        if (!place || (now < 0 && empty.has(place.fits))) continue;
        const held = now >= 0 ? (candidates[now]?.priceMinor ?? 0) : 0;
        const room = budgetMinor - this.price(choice) + held - this.reserved(choice, p);
        const gains = (beside ??= this.gainsBeside(choice));
        const kit = this.load(choice, p);
        this.standBeside(choice, p);
        const paid = now < 0 ? 0 : this.costOfOne(now);
        const stands = candidates[now];
        const gain = stands ? this.gainOf(stands, choice, p, now, kit) : 0;
        const nowNet = gain - paid;
        // beside the rest a candidate adds at most what it adds to the whole and what the one that stands here adds
        const most = gains.map((g, i) => {
          const net = g + gain - (this.costs[i] ?? 0);
          return net > nowNet ? net : -Infinity;
        });
        const best = this.bestFor(choice, p, kit, room, false, most);
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
          empty.clear();
        } else if (now < 0) empty.add(place.fits);
      }
    }
    return choice;
  }

  /** A kindred kit, given by candidates, in its places; null where the money does not reach it. */
  seeded(seed: readonly string[]): Choice | null {
    const known = new Map(this.problem.candidates.map((c, i) => [c.id, i]));
    const seeded = placed(
      this.problem,
      seed.flatMap((id) => known.get(id) ?? []),
    );
    return this.problem.budgetMinor - this.price(seeded) - this.reserved(seeded, -1) >= 0 ? seeded : null;
  }
}

/**
 * A kit with what money it leaves put to weekly work that stands in a struggle: as long as a place and the money are left for something that
 * brings some of it out, the one that does so best for its price is taken (handbook 8.1: before any money stays unspent).
 */
export function withRescues(problem: Problem, choice: Choice): Choice {
  const { demand, candidates, places, budgetMinor, scale } = problem;
  if (!Number.isFinite(budgetMinor)) return choice;
  const rescues = rescuesOf(demand);
  const kit = new Int32Array(choice);
  const least = WORTH.rescueLeast.value * (rescues.states[0]?.roles[0]?.weight ?? 0);
  const chosen = [...kit].flatMap((index) => candidates[index] ?? []);
  const now = loadKit(new KitValue(rescues), problem, chosen, countedRows);
  for (let left = budgetMinor - priceOf(problem, kit); ;) {
    let best = { place: -1, index: -1, worth: 0 };
    const seen = new Set<readonly number[]>();
    places.forEach(({ fits }, p) => {
      if ((kit[p] ?? -1) >= 0 || seen.has(fits)) return;
      seen.add(fits);
      for (const index of fits) {
        const c = candidates[index];
        if (!c || c.owned !== null || c.priceMinor > left) continue;
        const gain = now.gain(c.counted);
        const worth = gain / (c.priceMinor + scale.keepMinor);
        if (gain > least && worth > best.worth) best = { place: p, index, worth };
      }
    });
    const bought = candidates[best.index];
    if (!bought) return kit;
    kit[best.place] = best.index;
    left -= bought.priceMinor;
    now.add(bought.counted);
  }
}

const knownRescues = new WeakMap<Demand, Demand>();

/** The part of a demand that is rescue. */
function rescuesOf(demand: Demand): Demand {
  const before = knownRescues.get(demand);
  if (before) return before;
  const rescues = { ...demand, states: demand.states.filter((state) => state.rescue) };
  knownRescues.set(demand, rescues);
  return rescues;
}

/** How hard to look: nodes of the exact search behind a first filling. */
export interface Effort {
  nodes: number;
  /** Subgradient steps at the root; as many as a proof takes where it is not said. */
  rootSteps?: number;
}
/** For plans made again by the hundred. */
export const ROUGH: Effort = { nodes: 0 };
/** Answers within a frame. */
export const QUICK: Effort = { nodes: 40, rootSteps: 60 };
export const THOROUGH: Effort = { nodes: 1000 };

export interface Chosen {
  choice: Choice;
  /** Worth of the choice, coverage less what is paid. */
  worth: number;
  /** Required places the budget could not fill. */
  unmet: number;
}

/**
 * The better of filling by gain and by gain for money, exchanged until nothing improves, from nothing and from a kindred kit; `kindredOnly`:
 * from that alone where the money reaches it.
 */
function filled(chooser: Chooser, seed: readonly string[], kindredOnly: boolean): Choice {
  const seeded = seed.length > 0 ? chooser.seeded(seed) : null;
  const starts = [...(seeded && kindredOnly ? [] : [chooser.empty()]), ...(seeded ? [seeded] : [])];
  return starts
    .flatMap((start) =>
      (chooser.isLimited ? [false, true] : [false]).map((byMoney) =>
        chooser.exchange(chooser.fill(new Int32Array(start), byMoney)),
      ),
    )
    .map((choice) => ({ choice, worth: chooser.worth(choice) }))
    .reduce((best, each) => (each.worth > best.worth ? each : best)).choice;
}

/**
 * The kit of greatest worth as far as a filling and the first nodes of an exact search find it, or the kit of a search that has been made.
 * `seed`: candidates, by id, of a kindred kit to start from as well, or, with no nodes, alone. Deterministic.
 */
export function chooseKit(whole: Problem, effort: Effort, proof?: Proof, seed: readonly string[] = []): Chosen {
  const { problem, unmet } = affordable(whole);
  const chooser = new Chooser(problem);
  const told = (found: Choice): Chosen => {
    const choice = withRescues(problem, found);
    return asserted(problem, { choice, worth: chooser.worth(choice), unmet });
  };
  if (proof) return told(proof.choice);
  const first = filled(chooser, seed, effort.nodes === 0);
  if (effort.nodes === 0) return told(first);
  const search = new ExactSearch(problem, first, undefined, undefined, effort.rootSteps);
  search.step(effort.nodes);
  return told(search.proof().choice);
}
