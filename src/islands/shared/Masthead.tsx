import { useMantineColorScheme } from '@mantine/core';
import { IconMoon, IconSun } from '@tabler/icons-react';
import { useState, type ReactNode } from 'react';
import { Keys } from './Keys';
import css from './Masthead.module.css';
import { useLengths } from './units';

/** The strip across the top: the name, whatever the page puts there, and light or dark. */
export function Masthead({ children }: { children?: ReactNode }) {
  const { colorScheme, setColorScheme } = useMantineColorScheme();
  const { units, choose } = useLengths();
  const [open, setOpen] = useState(false);
  const dark =
    typeof document !== 'undefined' && document.documentElement.getAttribute('data-mantine-color-scheme') === 'dark';
  return (
    <header className={css.bar} data-scheme={colorScheme}>
      <a href="/" className={css.name}>
        <svg width="20" height="26" viewBox="0 0 20 26" aria-hidden="true">
          <path d="M5 0h7v10H5z" fill="var(--thread)" />
          <path d="M4.500 11H14c1 6-1 11-5 15-2-4-4.500-8-4.500-15z" fill="currentColor" />
        </svg>
        Scabbard
      </a>
      <div className={css.middle}>{children}</div>
      <button
        type="button"
        className={css.menu}
        aria-expanded={open}
        aria-controls="masthead-menu"
        onClick={() => setOpen((on) => !on)}
      >
        Menu
      </button>
      <nav
        id="masthead-menu"
        className={css.tools}
        aria-label="Help and appearance"
        data-open={open || undefined}
        onKeyDown={(e) => e.key === 'Escape' && setOpen(false)}
      >
        <a href="/">My kitchens</a>
        <a href="/catalogue">All knives</a>
        <a href="/glossary">Knife words</a>
        <a href="/score">How it scores</a>
        <a href="/help">Help</a>
        <button
          type="button"
          className={css.units}
          title={units === 'mm' ? 'Lengths are in millimetres' : 'Lengths are in inches'}
          aria-label={units === 'mm' ? 'mm: show inches instead' : 'in: show millimetres instead'}
          onClick={() => choose(units === 'mm' ? 'inches' : 'mm')}
        >
          {units === 'mm' ? 'mm' : 'in'}
        </button>
        <button
          type="button"
          className={css.icon}
          aria-label={dark ? 'Use light colours' : 'Use dark colours'}
          onClick={() => setColorScheme(dark ? 'light' : 'dark')}
        >
          {dark ? <IconSun size={20} /> : <IconMoon size={20} />}
        </button>
      </nav>
      <Keys />
    </header>
  );
}
