import type { StoredKitchen } from '../../client/kitchens';
import type { SentAnswer } from '../../core/kit/plan/answered';
import { inLanguage } from '../../core/money/currency';
import { cookingSaid, cookSaid, drawerSaid, moneySaid } from '../kitchen/questions/said';
import { Dress } from '../shared/Dress';
import frame from '../shared/KitchenFrame.module.css';
import { KitchenMast } from '../shared/KitchenMast';
import { PlanFirst } from './PlanFirst';
import { pageAt, titleOf, type PagePath } from '../shared/stages';
import css from './KitchenFirst.module.css';

/** What each part of a kitchen has been told. */
const SAID = [
  { title: 'What you cook', said: cookingSaid },
  { title: 'You and your board', said: cookSaid },
  { title: 'What you can spend', said: moneySaid },
  { title: 'Already in the drawer', said: drawerSaid },
] as const;

/**
 * What the server shows of a kitchen's page before anything runs in the browser: the way to the other views, the title, and what the kitchen has
 * said, its money written in the reader's language.
 */
export function KitchenFirst({
  stored: { id, kitchen },
  here,
  title,
  language,
  isPhone,
  sent = null,
}: {
  stored: StoredKitchen;
  /** Null on a page that stands in no navigation; it tells its own title. */
  here: PagePath | null;
  title?: string | undefined;
  /** BCP 47 tag. */
  language: string;
  isPhone: boolean;
  /** The plan, on its page. */
  sent?: SentAnswer | null;
}) {
  const parts = inLanguage(language, () => SAID.map(({ title, said }) => ({ title, said: said(kitchen) })));
  return (
    <Dress>
      <div data-first>
        <KitchenMast
          kitchenId={id}
          kitchen={kitchen}
          here={here}
          name={<span className={`${frame.name} ${css.name}`}>{kitchen.name ?? 'My kitchen'}</span>}
        />
        <main id="main" className={css.page} data-plan={here === '' || undefined}>
          <h1>{title ?? (here === null ? 'One moment' : titleOf(here))}</h1>
          <p className="faded" role="status">
            {sent
              ? 'A first answer. A better kit is still being looked for.'
              : (here !== null && pageAt(here).waiting) || 'One moment…'}
          </p>
          {sent && <PlanFirst {...{ kitchen, sent, isPhone, language }} />}
          <dl className={css.said} aria-label="What this kitchen has said">
            {parts.map(({ title: part, said }) => (
              <div key={part}>
                <dt>{part}</dt>
                <dd>{said}</dd>
              </div>
            ))}
          </dl>
        </main>
      </div>
    </Dress>
  );
}
