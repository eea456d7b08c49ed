import { ExactSearch, type Proof } from './exact';
import { affordable, asserted, type Choice, isSameChoice, type Problem } from './problem';
import { Chooser } from './greedy';
import { withRescues } from './rescuing';
import { likeliest, partOf } from './shortlist';

/** How hard to look: nodes of the exact search behind a first filling. */
export interface Effort {
  nodes: number;
  /** Subgradient steps at the root; as many as a proof takes where it is not said. */
  rootSteps?: number;
  /** Of how many candidates, those likeliest to better the first filling, the exact search makes its choice; all of them where it is not said. */
  among?: number;
}

/** For plans made again by the hundred. */
export const ROUGH: Effort = { nodes: 0 };

/** Answers within a frame: the exact search is made among the likeliest candidates. */
export const QUICK: Effort = { nodes: 10, rootSteps: 24, among: 40 };

/** How many times harder to look where many are at work: copies make kits that lie close together. */
const IN_NUMBERS = 4;

/** An effort as a problem needs it. */
const effortFor = (effort: Effort, { kinds }: Problem): Effort =>
  kinds === undefined
    ? effort
    : {
        nodes: IN_NUMBERS * effort.nodes,
        ...(effort.rootSteps === undefined ? {} : { rootSteps: IN_NUMBERS * effort.rootSteps }),
        ...(effort.among === undefined ? {} : { among: IN_NUMBERS * effort.among }),
      };

export const THOROUGH: Effort = { nodes: 1000 };

export interface Chosen {
  choice: Choice;
  /** Worth of the choice, coverage less what is paid. */
  worth: number;
  /** Required places the budget could not fill. */
  unmet: number;
  /** Where a search was made, its multipliers at the root and, where it chose among some, which candidates. */
  multipliers?: Float64Array;
  among?: ReadonlySet<number>;
}

/** A filling so far behind the other, coverage, seldom overtakes it by exchanges. */
const BEHIND = 0.03;

/** The better of filling a start by gain and by gain for money, each exchanged until nothing improves unless it lies far behind. */
function filledFrom(chooser: Chooser, start: Choice): Choice {
  const fill = (byMoney: boolean) => chooser.fill(new Int32Array(start), byMoney);
  const byGain = fill(false);
  // what adds nothing adds nothing for its money either
  const byMoney = chooser.isLimited && !isSameChoice(byGain, start) ? fill(true) : byGain;
  if (isSameChoice(byMoney, byGain)) return chooser.exchange(byGain);
  const both = [byGain, byMoney].map((choice) => ({ choice, worth: chooser.worth(choice) }));
  const least = Math.max(...both.map(({ worth }) => worth)) - BEHIND;
  return bestOf(
    chooser,
    both.flatMap(({ choice, worth }) => (worth < least ? [] : [chooser.exchange(choice)])),
  );
}

const bestOf = (chooser: Chooser, choices: readonly Choice[]): Choice =>
  choices
    .map((choice) => ({ choice, worth: chooser.worth(choice) }))
    .reduce((best, each) => (each.worth > best.worth ? each : best)).choice;

const filledBefore = new WeakMap<Problem, Choice>();

/** What is filled from nothing, worked out once for a problem. */
function filledPlainly(whole: Problem, chooser: Chooser): Choice {
  const found = filledBefore.get(whole) ?? filledFrom(chooser, chooser.empty());
  filledBefore.set(whole, found);
  return found;
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
export function chooseKit(whole: Problem, usual: Effort, { proof, seed = [], beside }: Before = {}): Chosen {
  const effort = effortFor(usual, whole);
  const { problem, unmet } = affordable(whole);
  const chooser = new Chooser(problem);
  const told = (found: Choice): Chosen => {
    const choice = withRescues(problem, found, chooser);
    return asserted(problem, { choice, worth: chooser.worth(choice), unmet });
  };
  if (proof) return told(proof.choice);
  const kindred = seed.length > 0 ? chooser.seeded(seed) : null;
  if (effort.nodes === 0)
    return told(kindred ? chooser.exchange(chooser.fill(kindred, false)) : filledPlainly(whole, chooser));
  const known = filledBefore.get(whole);
  const among =
    effort.among === undefined
      ? undefined
      : likeliest(problem, chooser, known ?? chooser.exchange(chooser.fill(chooser.empty(), false)), effort.among);
  const part = partOf(problem, (i) => !among || among.has(i) || (kindred?.includes(i) ?? false));
  const within = new Chooser(part.problem);
  const first = bestOf(within, [
    known ? part.inPart(known) : filledFrom(within, within.empty()),
    ...(kindred ? [filledFrom(within, part.inPart(kindred))] : []),
  ]);
  const search = new ExactSearch(part.problem, first, beside?.multipliers, beside?.worth, effort.rootSteps);
  search.step(effort.nodes);
  return {
    ...told(part.inWhole(search.proof().choice)),
    multipliers: search.rootMultipliers,
    ...(among ? { among } : {}),
  };
}
