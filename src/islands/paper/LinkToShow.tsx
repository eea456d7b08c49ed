import { Button, Checkbox, NativeSelect } from '@mantine/core';
import { useCallback, useEffect, useState } from 'react';
import { listShown, showPlan, withdrawShown, type Shown } from '../../client/shown';
import type { Plan } from '../../core/formats/planFile';
import { useTrying } from '../shared/useTrying';
import { day } from '../shared/words';
import { ToldOnce } from './ToldOnce';
import css from './PaperView.module.css';

const DAYS = [
  { value: '7', label: 'a week' },
  { value: '30', label: '30 days' },
  { value: '90', label: '90 days' },
  { value: '365', label: 'a year' },
];

/** Links that show the plan, read-only, to whoever has one; each can be withdrawn. */
export function LinkToShow({ kitchenId, plan, ready }: { kitchenId: string; plan: Plan; ready: boolean }) {
  const [withPrices, setWithPrices] = useState(false);
  const [days, setDays] = useState('30');
  const [made, setMade] = useState<string | null>(null);
  const [links, setLinks] = useState<Shown[]>([]);
  const { trouble, trying } = useTrying('That did not work. Try again in a moment.');
  const reload = useCallback(() => listShown(kitchenId).then(setLinks), [kitchenId]);
  const changing = (work: () => Promise<void>) => trying(() => work().then(reload));
  useEffect(() => {
    reload().catch(() => undefined);
  }, [reload]);
  return (
    <section className={css.part} aria-labelledby="show">
      <h2 id="show">A link to show</h2>
      <p className="faded">
        Anyone with the link can read the plan as it is now, and nothing else. They need no account and can change
        nothing.
      </p>
      <div className={css.row}>
        <NativeSelect label="It works for" value={days} data={DAYS} onChange={(e) => setDays(e.currentTarget.value)} />
        <Checkbox label="With prices" checked={withPrices} onChange={(e) => setWithPrices(e.currentTarget.checked)} />
        <Button
          disabled={!ready}
          onClick={() =>
            void changing(async () => {
              setMade(new URL(await showPlan(kitchenId, plan, withPrices, Number(days)), location.href).href);
            })
          }
        >
          Make a link
        </Button>
      </div>
      {made && <ToldOnce what="link" address={made} className={css.made ?? ''} />}
      {trouble && <p role="alert">{trouble}</p>}
      <Links
        links={links}
        onWithdraw={(id) =>
          void changing(async () => {
            await withdrawShown(kitchenId, id);
            setMade(null);
          })
        }
      />
    </section>
  );
}

function Links({ links, onWithdraw }: { links: readonly Shown[]; onWithdraw: (id: string) => void }) {
  if (links.length === 0) return null;
  return (
    <ul className={css.links} aria-label="Links of this kitchen">
      {links.map(({ id, withPrices: priced, createdAt, expiresAt }) => (
        <li key={id}>
          <span>
            Made on {day(createdAt)}, until {day(expiresAt)}, {priced ? 'with' : 'without'} prices
          </span>
          <Button
            size="compact-sm"
            variant="default"
            aria-label={`Withdraw the link made on ${day(createdAt)}`}
            onClick={() => onWithdraw(id)}
          >
            Withdraw
          </Button>
        </li>
      ))}
    </ul>
  );
}
