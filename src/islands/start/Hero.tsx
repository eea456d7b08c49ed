import type { ReactNode } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { HeroRoll } from './HeroRoll';
import css from './StartView.module.css';

/** What this is for, what can be done at once, and a few knives on the cloth. */
export function Hero({ shown, children }: { shown: readonly BladeModel[]; children: ReactNode }) {
  return (
    <section className={css.top}>
      <div className={css.hero}>
        <h1>The few knives your cooking needs.</h1>
        <p>
          Say what you cook, how you cut and what you can spend. Scabbard works out how much cutting that is, tries
          every knife on it for your hand and board, and lists the few to buy, in order, with the reason for each.
        </p>
        {children}
      </div>
      {shown.length > 0 && <HeroRoll blades={shown} />}
    </section>
  );
}

/** A sample kitchen that can be opened. */
export interface Sample {
  id: string;
  name: string;
  about: string;
}

/** The sample kitchens. */
export function Samples({
  samples,
  busy,
  onOpen,
}: {
  samples: readonly Sample[];
  busy: boolean;
  onOpen?: (id: string) => void;
}) {
  return (
    <section aria-labelledby="samples">
      <h2 id="samples">Open a sample</h2>
      <ul className={css.samples}>
        {samples.map(({ id, name, about }) => (
          <li key={id}>
            <button type="button" className={css.sample} disabled={busy} onClick={() => onOpen?.(id)}>
              <strong>{name}</strong>
              <span>{about}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
