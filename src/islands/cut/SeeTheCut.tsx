import { Button } from '@mantine/core';
import { useState } from 'react';
import type { ComponentProps } from 'react';
import { lazily } from '../shared/lazily';
import type CutView from './CutView';

const Cut = lazily<ComponentProps<typeof CutView>>(
  () => import('./CutView'),
  <p className="faded">Drawing the cut…</p>,
);

/** The cut behind a score, opened where the reason stands. */
export function SeeTheCut(props: ComponentProps<typeof CutView>) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <div data-screen-only>
        <Button variant="default" size="compact-md" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Fold the cut' : 'See the cut'}
        </Button>
      </div>
      {open && <Cut {...props} />}
    </>
  );
}
