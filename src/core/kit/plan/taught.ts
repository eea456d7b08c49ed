import { USE } from '../../constants';
import { lowerFirst } from '../../text/case';
import { MOTIONS } from '../candidates/learnedUse';
import type { PlanningContext } from '../context/planningContext';

const MOTION_WORDS = { rock: 'rocking', push: 'pushing', pull: 'drawing', chop: 'chopping' } as const;
const percent = (share: number): string => `${Math.round(100 * share)}\u00a0%`;
/** Shares and motions that moved less are not worth a sentence. */
const MOVED = 0.03;

/** Kind and length of an owned knife. */
export const ownedName = ({ owned }: PlanningContext, i: number): string => {
  const knife = owned[i];
  return knife ? `${knife.type.name}, ${Math.round(knife.blade.blade.lengthMm)} mm` : 'Knife';
};

/** What the uses written down changed in loads and motions, in sentences; empty where they teach nothing. */
export function taughtByUse(context: PlanningContext): string[] {
  const { learned, kitchen } = context;
  if (!learned) return [];
  const shares = learned.learned
    .map((share, i) => ({ i, from: learned.reckoned[i] ?? 0, to: share }))
    .filter(({ from, to }) => from >= USE.leastShare.value && Math.abs(to - from) >= MOVED)
    .sort((a, b) => Math.abs(b.to - b.from) - Math.abs(a.to - a.from))
    .slice(0, 3);
  const uses = learned.uses === 1 ? 'one use' : `${learned.uses} uses`;
  const work = shares.map(
    ({ i, from, to }) =>
      `${lowerFirst(ownedName(context, i))} ${percent(to)} of the cutting in place of ${percent(from)}`,
  );
  const motions = learned.motions.flatMap((moved, cook) => {
    if (!moved) return [];
    const total = Object.values(moved.said).reduce((sum, each) => sum + each, 0);
    const said = context.cooks.length > 1 ? `${kitchen.cooks[cook]?.name ?? 'Cook'}: ` : '';
    const most = MOTIONS.map((motion) => ({ motion, by: (moved.now[motion] - moved.said[motion]) / total })).reduce(
      (a, b) => (Math.abs(b.by) > Math.abs(a.by) ? b : a),
    );
    return Math.abs(most.by) >= MOVED
      ? [`${said}${most.by > 0 ? 'more' : 'less'} ${MOTION_WORDS[most.motion]} than was said, by what is drawn.`]
      : [];
  });
  return [...(work.length > 0 ? [`By ${uses} in the diary: ${work.join('; ')}.`] : []), ...motions];
}
