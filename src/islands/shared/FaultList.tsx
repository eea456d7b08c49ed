import type { Fault } from '../../core/formats/faults';
import css from './FaultList.module.css';

/** Everything wrong with a file: the field on the left, what is wrong and what would be right beside it. */
export function FaultList({ title, faults, onClose }: { title: string; faults: Fault[]; onClose: () => void }) {
  return (
    <section className={css.box} role="alert" aria-label={title}>
      <div className={css.head}>
        <h2>{title}</h2>
        <button type="button" className={css.close} onClick={onClose}>
          Close
        </button>
      </div>
      <dl className={css.list}>
        {faults.map(({ path, message }, i) => (
          <div key={i} className={css.row}>
            <dt className="figure">{path}</dt>
            <dd>{message}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
