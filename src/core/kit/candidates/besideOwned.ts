import { SCORE_WORDS, WORTH } from '../../constants';
import { isFlesh } from '../../cutting/eaten';
import type { TaskLoad } from '../../load/load';
import type { Making } from './making';
import { ramp } from '../../fit/curves';
import { rescued } from '../demand/rescue';
import { isSound, type OwnedKnife } from './owned';
import { kindOfRole, kindOfWork } from './kinds';
import type { Candidate } from './candidate';
import { usefulness } from '../demand/usefulness';

/**
 * What a new knife counts beside a sound owned one of its kind of work: what it rescues, work that stands below a need brought up to done well;
 * all work up to done well; or everything it does.
 */
export type Counts = 'rescue' | 'done well' | 'everything';

/** Most that counts of a new knife where an owned one of its kind is worth `had`, usefulness 0–1. */
function mostBeside(had: number, counts: Counts, ofFace: boolean): number {
  const worth = (score: { value: number }) => usefulness(score.value, ofFace);
  const helped = counts === 'rescue' ? 1 - ramp(had, worth(SCORE_WORDS.manages), worth(WORTH.needFrom)) : 1;
  return Math.max(had, worth(WORTH.likeCap) * helped);
}

/** Work on the board that any general knife does: what a knife of another kind does of it is a general knife's work. */
const isGeneralWork = (task: TaskLoad['task']): boolean =>
  !task.atTable && ['rock', 'push', 'chop'].includes(task.motions[0] ?? '') && !isFlesh(task);

/** What is for sale as it was last counted beside a drawer. */
interface Counted {
  owned: readonly OwnedKnife[];
  by: Map<Counts, Candidate[]>;
}

const lastCounted = new WeakMap<readonly Candidate[], Counted>();

const isSameRow = (a: Float64Array, b: Float64Array): boolean =>
  a.length === b.length && a.every((value, column) => value === b[column]);

/** Whether two drawers take the same from what new knives count. */
const isSameDrawer = (a: readonly OwnedKnife[], b: readonly OwnedKnife[]): boolean =>
  a.length === b.length &&
  a.every((one, i) => {
    const other = b[i];
    return (
      other !== undefined &&
      one.type === other.type &&
      isSound(one) === isSound(other) &&
      isSameRow(one.restored.usefulness, other.restored.usefulness)
    );
  });

type Work = Pick<Making, 'loads' | 'ofFace'>;

/** {@link besideOwned}, worked out once for the same list of candidates and an equal drawer. */
export function countedBeside(
  candidates: readonly Candidate[],
  owned: readonly OwnedKnife[],
  work: Work,
  counts: Counts,
): Candidate[] {
  const last = lastCounted.get(candidates);
  const known = last && isSameDrawer(last.owned, owned) ? last : { owned, by: new Map<Counts, Candidate[]>() };
  const counted = known.by.get(counts) ?? besideOwned(candidates, owned, work, counts);
  known.by.set(counts, counted);
  lastCounted.set(candidates, known);
  return counted;
}

/**
 * Beside a sound owned knife of the same kind of work a new one counts only what it rescues (handbook 8.1), or as much more as is asked for; so does a
 * knife of another kind at a general knife's work. A second piece of an owned kind is told as one.
 */
export function besideOwned(
  candidates: readonly Candidate[],
  owned: readonly OwnedKnife[],
  { loads, ofFace }: Work,
  counts: Counts,
): Candidate[] {
  const pressing = rescued(loads).length;
  const sound = owned.filter(isSound);
  const generals = sound.filter((o) => kindOfRole(o.type) === 'general');
  const general = loads.map(({ task }) => isGeneralWork(task));
  return candidates.map((c) => {
    if (c.action !== 'buy') return c;
    const alike = sound.filter((o) => kindOfRole(o.type) === kindOfWork(c));
    const isAgain = alike.length > 0;
    // all it does, as it is sold: the same object
    if (counts === 'everything' || (!isAgain && generals.length === 0))
      return c.counted === c.usefulness && !c.isAgain ? c : { ...c, counted: c.usefulness, isAgain: false };
    const most = c.usefulness.length - pressing;
    const counted = c.usefulness.map((value, column) => {
      if (column >= most) return value;
      const beside = alike.length === 0 && general[column % loads.length] ? generals : alike;
      if (beside.length === 0) return value;
      const had = beside.reduce((best, o) => Math.max(best, o.restored.usefulness[column] ?? 0), 0);
      return Math.min(value, mostBeside(had, counts, ofFace[column] === 1));
    });
    return { ...c, counted, isAgain };
  });
}
