import type { Explanation } from '../../core/fit/explain';
import css from './ScoreParts.module.css';
import { useLengths } from './units';

/** Parts that change nothing here are counted, not listed. */
const FULL = 0.995;

/** A score taken apart: each part that takes something away as a bar with its figure and sentence. */
export function ScoreParts({ explanation }: { explanation: Explanation }) {
  const { parts, how, veto } = explanation;
  const { told } = useLengths();
  if (veto) return <p className={css.veto}>Do not: {veto}</p>;
  const telling = parts.map((p) => ({ ...p, keeps: Math.pow(p.value, p.weight) })).sort((a, b) => a.keeps - b.keeps);
  // what was measured is always told, also where it lifts the score
  const isTold = (p: (typeof telling)[number]) => p.keeps < FULL || p.id === 'measured' || p.id === 'felt';
  const lowering = telling.filter(isTold);
  const full = telling.length - lowering.length;
  return (
    <div className={css.parts}>
      <p className="faded">Done {how}. What each part leaves of the score:</p>
      <ul>
        {lowering.map((p) => (
          <li key={p.id}>
            <span className={css.part}>
              <span>{p.name}</span>
              <span className={css.track} aria-hidden="true">
                <span style={{ width: `${Math.min(1, p.keeps) * 100}%` }} />
              </span>
              <span className="figure">{Math.round(p.keeps * 100)}%</span>
            </span>
            <span className={css.sentence}>{told(p.why)}</span>
          </li>
        ))}
      </ul>
      {full > 0 && (
        <p className="faded">
          Nothing lost on {full === 1 ? 'one other part' : `${full} others`}:{' '}
          {telling
            .filter((p) => !isTold(p))
            .map((p) => p.name.toLowerCase())
            .join(', ')}
          .
        </p>
      )}
    </div>
  );
}
