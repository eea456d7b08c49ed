import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { taskNames } from '../../../data/names';
import type { DiaryEntry } from '../../core/formats/diaryFile';
import { SHARPENERS } from '../../core/formats/kitchenWords';
import { LengthFigure } from '../shared/Field';
import css from './EdgeView.module.css';
import { TestEdge } from './TestEdge';

type Deed = Omit<DiaryEntry, 'on' | 'knife'>;

/** What was done to a knife, written down by one tap with wet hands, the rest by two. */
export function Deeds({
  name,
  keenness,
  honed,
  sharpens,
  by,
  stone,
  onDone,
}: {
  name: string;
  /** Where the session at the stone is; null where no stone helps. */
  stone: string | null;
  keenness: number;
  /** Whether anything is to be gained by honing it. */
  honed: boolean;
  sharpens: boolean;
  /** Who sharpens here. */
  by: string;
  onDone: (deed: Deed) => void;
}) {
  const [open, setOpen] = useState<'more' | 'test' | 'chip' | 'measure' | null>(null);
  const [height, setHeight] = useState<number | null>(null);
  const done = (deed: Deed) => {
    setOpen(null);
    onDone(deed);
  };
  const turn = (which: NonNullable<typeof open>) => setOpen(open === which ? null : which);
  const label = (what: string) => `${what}: ${name}`;
  const button = (what: string, deed: Deed) => (
    <Button size="md" variant="default" aria-label={label(what)} onClick={() => done(deed)}>
      {what}
    </Button>
  );
  const known = SHARPENERS.find((each) => each === by);
  return (
    <div className={css.deedsOf}>
      <div className={css.deeds}>
        {honed && button('Honed', { did: 'honed' })}
        {sharpens && button('Sharpened today', { did: 'sharpened', ...(known ? { by: known } : {}) })}
        <Button
          size="md"
          variant="default"
          aria-expanded={open === 'test'}
          aria-label={label('Test it')}
          onClick={() => turn('test')}
        >
          Test it
        </Button>
        <Button
          size="md"
          variant="default"
          aria-expanded={open === 'more'}
          aria-label={label('More')}
          onClick={() => turn('more')}
        >
          More
        </Button>
        {stone && <a href={stone}>At the stone</a>}
      </div>
      {open === 'test' && <TestEdge keenness={keenness} onTested={(tested) => done({ did: 'tested', ...tested })} />}
      {open === 'more' && (
        <div className={css.deeds}>
          {button('Used', { did: 'used' })}
          {button('Oiled', { did: 'oiled' })}
          {button('Dropped', { did: 'dropped' })}
          {button('Washed in the machine', { did: 'machine' })}
          <Button size="md" variant="default" onClick={() => setOpen('chip')}>
            Chipped on…
          </Button>
          <Button size="md" variant="default" onClick={() => setOpen('measure')}>
            Height at the heel…
          </Button>
        </div>
      )}
      {open === 'chip' && (
        <NativeSelect
          label="Chipped on"
          value=""
          data={[
            { value: '', label: 'choose the food' },
            ...[...taskNames].map(([value, food]) => ({ value, label: food })),
          ]}
          onChange={(e) => e.currentTarget.value && done({ did: 'chipped', task: e.currentTarget.value })}
        />
      )}
      {open === 'measure' && (
        <div className={css.deeds}>
          <LengthFigure label="Height at the heel" value={height} bounds={[5, 130]} step={0.1} onChange={setHeight} />
          <Button
            size="md"
            disabled={height === null}
            onClick={() => height !== null && done({ did: 'measured', heelHeightMm: height })}
          >
            Write it down
          </Button>
        </div>
      )}
    </div>
  );
}
