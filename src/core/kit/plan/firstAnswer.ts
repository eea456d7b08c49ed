import type { Candidate } from '../candidates/candidate';
import { judgeBox } from '../candidates/sets';
import { chooseKit, type Chosen, type Effort, ROUGH } from '../search/choose';
import { offersFor, taking } from '../offers/offers';
import type { Workbench } from '../context/planningContext';
import { kitOf } from '../search/coverage';
import { coverageDecides } from '../context/coverageDecides';

/** A kit and the bench it stands on. */
interface ChosenOn {
  bench: Workbench;
  chosen: Chosen;
}

/** Of a set so many pieces lying idle beside a quick kit, it is still tried. */
const NEARLY = 1;

/** An offer's rough kit worth this much less than the kit without it, coverage, is looked at no closer. */
const HOPELESS = 0.01;

/** The benches with one offer taken up that may change a kit: every volume price, and the sets of nearly what it has. */
function nearOffers(bench: Workbench, kit: readonly Candidate[]): Workbench[] {
  const bought = kit.filter((c) => c.action === 'buy');
  return offersFor(bench)
    .filter((offer) => offer.kind === 'volume' || judgeBox(offer, bought).idle.length <= NEARLY)
    .flatMap((offer) => taking(bench, offer));
}

/**
 * The first answer: the quick kit of the kitchen as it is, with the offers that help it, or, where nobody sharpens, with a sharpening service;
 * whichever is worth most.
 */
export function quickBench(bench: Workbench, effort: Effort): ChosenOn {
  const on = (of: Workbench, how: Effort, seed = of.seed): ChosenOn => ({
    bench: of,
    chosen: chooseKit(of.problem, how, undefined, seed),
  });
  const better = (a: ChosenOn, b: ChosenOn) => (b.chosen.worth > a.chosen.worth + 1e-9 ? b : a);
  const plain = on(bench, effort);
  const kit = kitOf(bench.problem, plain.chosen.choice);
  const seed = kit.map((c) => c.id);
  const tried = nearOffers(bench, kit)
    .map((offered) => on(offered, ROUGH, seed))
    .sort((a, b) => b.chosen.worth - a.chosen.worth)
    .slice(0, 1)
    .filter(({ chosen }) => chosen.worth > plain.chosen.worth - HOPELESS)
    .map((near) =>
      on(
        near.bench,
        effort,
        kitOf(near.bench.problem, near.chosen.choice).map((c) => c.id),
      ),
    );
  const best = [...tried, ...(bench.serviced ? [on(bench.serviced, effort)] : [])].reduce(better, plain);
  return { ...best, chosen: coverageDecides(best.bench, best.chosen) };
}
