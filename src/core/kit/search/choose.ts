import { ExactSearch, type Proof } from './exact';
import { affordable, asserted, type Choice, type Problem } from './problem';
import { Chooser } from './greedy';
import { withRescues } from './rescuing';

/** How hard to look: nodes of the exact search behind a first filling. */
export interface Effort {
  nodes: number;
  /** Subgradient steps at the root; as many as a proof takes where it is not said. */
  rootSteps?: number;
}

/** For plans made again by the hundred. */
export const ROUGH: Effort = { nodes: 0 };

/** Answers within a frame. */
export const QUICK: Effort = { nodes: 20, rootSteps: 30 };

export const THOROUGH: Effort = { nodes: 1000 };

export interface Chosen {
  choice: Choice;
  /** Worth of the choice, coverage less what is paid. */
  worth: number;
  /** Required places the budget could not fill. */
  unmet: number;
  /** Where a search was made, its multipliers at the root. */
  multipliers?: Float64Array;
}

/** The better of filling a start by gain and by gain for money, each exchanged until nothing improves. */
function filledFrom(chooser: Chooser, start: Choice): Choice {
  const fill = (byMoney: boolean) => chooser.fill(new Int32Array(start), byMoney);
  const byGain = fill(false);
  const byMoney = chooser.isLimited ? fill(true) : byGain;
  const isSame = byMoney.every((candidate, place) => candidate === byGain[place]);
  return bestOf(
    chooser,
    (isSame ? [byGain] : [byGain, byMoney]).map((choice) => chooser.exchange(choice)),
  );
}

const bestOf = (chooser: Chooser, choices: readonly Choice[]): Choice =>
  choices
    .map((choice) => ({ choice, worth: chooser.worth(choice) }))
    .reduce((best, each) => (each.worth > best.worth ? each : best)).choice;

const filledBefore = new WeakMap<Problem, Choice>();

/**
 * A first kit, filled from nothing and from a kindred kit; `kindredOnly`: from that alone where the money reaches it. What is filled from nothing
 * is worked out once for a problem.
 */
function filled(whole: Problem, chooser: Chooser, seed: readonly string[], kindredOnly: boolean): Choice {
  const seeded = seed.length > 0 ? chooser.seeded(seed) : null;
  const led = seeded && filledFrom(chooser, seeded);
  if (led && kindredOnly) return led;
  const plain = filledBefore.get(whole) ?? filledFrom(chooser, chooser.empty());
  filledBefore.set(whole, plain);
  return led ? bestOf(chooser, [plain, led]) : plain;
}

/** What is known before a kit is chosen. */
interface Before {
  /** A search that has been made: its kit is taken. */
  proof?: Proof;
  /** Candidates, by id, of a kindred kit to start from as well, or, with no nodes, alone. */
  seed?: readonly string[] | undefined;
  /** A kindred choice: only a kit worth more is of use, so the search ends where none can come. */
  beside?: Chosen;
}

/** The kit of greatest worth as far as a filling and the first nodes of an exact search find it. Deterministic. */
export function chooseKit(whole: Problem, effort: Effort, { proof, seed = [], beside }: Before = {}): Chosen {
  const { problem, unmet } = affordable(whole);
  const chooser = new Chooser(problem);
  const told = (found: Choice): Chosen => {
    const choice = withRescues(problem, found, chooser);
    return asserted(problem, { choice, worth: chooser.worth(choice), unmet });
  };
  if (proof) return told(proof.choice);
  const first = filled(whole, chooser, seed, effort.nodes === 0);
  if (effort.nodes === 0) return told(first);
  const search = new ExactSearch(problem, first, beside?.multipliers, beside?.worth, effort.rootSteps);
  search.step(effort.nodes);
  return { ...told(search.proof().choice), multipliers: search.rootMultipliers };
}
