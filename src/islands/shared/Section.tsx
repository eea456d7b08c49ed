import { useId, useState, type ReactNode } from 'react';
import css from './Questions.module.css';

/** How a section folds: what it has been told so far, and whether it begins open. */
export interface Folding {
  said: string;
  open: boolean;
}

/** A section of questions under a heading; one that folds shows what it has been told as a sentence until it is opened. */
export function Section({ title, fold, children }: { title: string; fold?: Folding | undefined; children: ReactNode }) {
  const [open, setOpen] = useState(fold?.open ?? true);
  const id = useId();
  if (!fold)
    return (
      <section className={css.section}>
        <h2>{title}</h2>
        {children}
      </section>
    );
  return (
    <section className={css.section} data-folded={!open || undefined}>
      <h2>
        <button
          type="button"
          className={css.fold}
          aria-expanded={open}
          aria-controls={id}
          onClick={() => setOpen((on) => !on)}
        >
          <span>{title}</span>
          <span className={css.turn} aria-hidden="true">
            {open ? 'Fold' : 'Change'}
          </span>
        </button>
      </h2>
      {!open && <p className={css.said}>{fold.said}</p>}
      <div id={id} className={css.folded} hidden={!open}>
        {open && children}
      </div>
    </section>
  );
}
