import { Button } from '@mantine/core';
import type { ReactNode } from 'react';
import css from './Working.module.css';

/** Work that takes longer than a moment: what is being done, how far it is, and a way to stop it. It shows itself after a short while only. */
export function Working({
  children,
  share = null,
  onStop,
}: {
  /** What is being done, in words. */
  children: string;
  /** How far it is, 0–1; null where that cannot be told. */
  share?: number | null;
  onStop?: (() => void) | undefined;
}) {
  return (
    <div className={css.working} role="status">
      <span>{children}</span>
      <progress
        className={css.bar}
        aria-label={children}
        max={1}
        {...(share === null ? {} : { value: Math.min(1, Math.max(0.02, share)) })}
      />
      {onStop && (
        <Button size="compact-sm" variant="default" onClick={onStop}>
          Stop
        </Button>
      )}
    </div>
  );
}

/** Room for what tells of work under way, so that nothing below moves when it comes and goes. */
export const WorkingRoom = ({ children }: { children: ReactNode }) => <div className={css.room}>{children}</div>;
