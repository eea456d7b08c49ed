import type { Explanation } from '../../core/fit/score';
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
  const lowering = telling.filter((p) => p.keeps < FULL);
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
                <span style={{ width: `${p.keeps * 100}%` }} />
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
            .filter((p) => p.keeps >= FULL)
            .map((p) => p.name.toLowerCase())
            .join(', ')}
          .
        </p>
      )}
    </div>
  );
}
