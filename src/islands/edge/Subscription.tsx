import { Button } from '@mantine/core';
import { useEffect, useState } from 'react';
import { changeCalendar, hasCalendar, openCalendar, revokeCalendar } from '../../client/calendar';
import type { SharpeningDay } from '../../core/formats/sharpeningDays';
import { ToldOnce } from '../paper/ToldOnce';
import { useTrying } from '../shared/useTrying';
import css from './EdgeView.module.css';

/** The private address of a kitchen's days: whether there is one, making and revoking it; whoever has it hears of the days as they are now. */
function useAddress(id: string, days: readonly SharpeningDay[]) {
  const [open, setOpen] = useState<boolean | null>(null);
  const [made, setMade] = useState<string | null>(null);
  const { trouble, trying } = useTrying('That did not work. Try again in a moment.');
  useEffect(() => {
    let stale = false;
    hasCalendar(id).then(
      (has) => {
        if (!stale) setOpen(has);
      },
      () => undefined,
    );
    return () => {
      stale = true;
    };
  }, [id]);
  // whoever subscribed hears of the days as they are now
  useEffect(() => {
    if (open) changeCalendar(id, days).catch(() => undefined);
  }, [open, id, days]);
  return {
    open,
    made,
    trouble,
    make: () =>
      trying(async () => {
        setMade(new URL(await openCalendar(id, days), location.href).href);
        setOpen(true);
      }),
    revoke: () =>
      trying(async () => {
        await revokeCalendar(id);
        setMade(null);
        setOpen(false);
      }),
  };
}

/** A private address from which any calendar takes the days again and again; it can be revoked. */
export function Subscription({ id, days }: { id: string; days: readonly SharpeningDay[] }) {
  const { open, made, trouble, make, revoke } = useAddress(id, days);
  if (open === null) return null;
  return (
    <div className={css.subscription}>
      <p className="faded">
        {open
          ? 'These dates have a private address. Anyone who has it can read them in a calendar. They are updated whenever you open this page.'
          : 'Or subscribe: your calendar reads these dates from a private address and stays up to date.'}
      </p>
      <div className={css.deeds}>
        <Button variant="default" onClick={() => void make()}>
          {open ? 'A new address instead' : 'Make a private address'}
        </Button>
        {open && (
          <Button variant="default" onClick={() => void revoke()}>
            Stop sharing
          </Button>
        )}
      </div>
      {made && <ToldOnce what="address" address={made} className={css.subscription ?? ''} />}
      {trouble && <p role="alert">{trouble}</p>}
    </div>
  );
}
