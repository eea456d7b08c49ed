import { Button, Progress } from '@mantine/core';
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
      <Progress
        className={css.bar ?? ''}
        size="sm"
        value={share === null ? 100 : Math.max(2, 100 * share)}
        striped={share === null}
        animated={share === null}
        color="var(--thread)"
        aria-label={children}
      />
      {onStop && (
        <Button size="compact-sm" variant="default" onClick={onStop}>
          Stop
        </Button>
      )}
    </div>
  );
}
