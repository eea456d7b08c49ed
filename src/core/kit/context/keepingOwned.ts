import { WORTH } from '../../constants';
import type { Counts } from '../candidates/besideOwned';
import type { Candidate } from '../candidates/candidate';
import { chooseKit, ROUGH } from '../search/choose';
import { coverageOfKit, kitOf } from '../search/coverage';
import type { Problem } from '../search/problem';

/** A kitchen laid out, with what new knives count in it. */
interface Laid {
  buyable: Candidate[];
  problem: Problem;
  counts: Counts;
  polishGivenUp: number;
}

/** Lays a kitchen out with new knives counting so much beside owned ones of their kind. `only`: the knives to keep, by id; all by default. */
export type CountedAs<T> = (counts: Counts, only?: ReadonlySet<string>) => T;

/**
 * The context in which new knives count as little beside owned ones as gives up no more polish than allowed, at this money and at any less: else more
 * money would keep an owned knife that less money joins with its like (handbook 10.6). `less` lays out for less money.
 */
export function keepingOwned<T extends Laid>(countedAs: CountedAs<T>, less: () => readonly CountedAs<T>[]): T {
  const strict = countedAs('rescue');
  if (strict.buyable.every((c) => c.counted === c.usefulness)) return strict;
  const own = keptAt(countedAs, strict);
  // far from the most that is given up no sum gives up more
  if (own.polishGivenUp < WORTH.polishDoubted.value) return own;
  const counts = less().reduce<Counts>((loosest, there) => looser(loosest, keptAt(there).counts), own.counts);
  return counts === own.counts ? own : countedAs(counts);
}

const LOOSER: readonly Counts[] = ['rescue', 'done well', 'everything'];
const looser = (a: Counts, b: Counts): Counts => (LOOSER.indexOf(b) > LOOSER.indexOf(a) ? b : a);

/**
 * The same at one sum of money. Polish given up is what the quick kit that counts new knives so covers less than one bettered by their like where
 * everything counts.
 */
function keptAt<T extends Laid>(countedAs: CountedAs<T>, strict = countedAs('rescue')): T {
  const like = strict.buyable.filter((c) => c.counted !== c.usefulness);
  const quickKit = ({ problem }: Laid, seed?: readonly string[]) =>
    kitOf(problem, chooseKit(problem, ROUGH, { seed }).choice);
  const kept = quickKit(strict);
  const all = countedAs('everything', new Set([...like, ...kept].map(({ id }) => id)));
  const bettered = quickKit(
    all,
    kept.map(({ id }) => id),
  );
  const most = coverageOfKit(all.problem, bettered);
  const ifEnough = (each: T, kit = quickKit(each)): T | null => {
    const polishGivenUp = Math.max(0, most - coverageOfKit(all.problem, kit));
    return polishGivenUp <= WORTH.polishGivenUp.value ? { ...each, polishGivenUp } : null;
  };
  return ifEnough(strict, kept) ?? ifEnough(countedAs('done well')) ?? countedAs('everything');
}
