import { Button, NativeSelect } from '@mantine/core';
import { useState } from 'react';
import { taskNames } from '../../../data/names';
import type { DiaryEntry } from '../../core/formats/diaryFile';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import { SHARPENERS } from '../../core/formats/kitchenWords';
import { LengthFigure } from '../shared/NumberField';
import css from './EdgeView.module.css';
import { TestEdge } from './TestEdge';

type Deed = Omit<DiaryEntry, 'on' | 'knife'>;

interface Props {
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
}
/** What is open under the first row. */
type Open = 'more' | 'test' | 'chip' | 'measure' | null;

/** What was done to a knife, written down by one tap with wet hands, the rest by two. */
export function Deeds({ name, keenness, honed, sharpens, by, stone, onDone }: Props) {
  const [open, setOpen] = useState<Open>(null);
  const done = (deed: Deed) => {
    setOpen(null);
    onDone(deed);
  };
  const turn = (which: Open) => setOpen(open === which ? null : which);
  const known = SHARPENERS.find((each) => each === by);
  const button = (what: string, deed: Deed) => (
    <Button size="md" variant="default" aria-label={`${what}: ${name}`} onClick={() => done(deed)}>
      {what}
    </Button>
  );
  return (
    <div className={css.deedsOf}>
      <div className={css.deeds}>
        {honed && button('Honed', { did: 'honed' })}
        {sharpens && button('Sharpened today', { did: 'sharpened', ...(known ? { by: known } : {}) })}
        <Opens what="Test it" name={name} open={open === 'test'} onTurn={() => turn('test')} />
        <Opens what="More" name={name} open={open === 'more'} onTurn={() => turn('more')} />
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
      {open === 'chip' && <ChippedOn onDone={done} />}
      {open === 'measure' && <HeightAtHeel onDone={done} />}
    </div>
  );
}

function Opens({ what, name, open, onTurn }: { what: string; name: string; open: boolean; onTurn: () => void }) {
  return (
    <Button size="md" variant="default" aria-expanded={open} aria-label={`${what}: ${name}`} onClick={onTurn}>
      {what}
    </Button>
  );
}

function ChippedOn({ onDone }: Pick<Props, 'onDone'>) {
  return (
    <NativeSelect
      label="Chipped on"
      value=""
      data={[
        { value: '', label: 'choose the food' },
        ...[...taskNames].map(([value, food]) => ({ value, label: food })),
      ]}
      onChange={(e) => e.currentTarget.value && onDone({ did: 'chipped', task: e.currentTarget.value })}
    />
  );
}

function HeightAtHeel({ onDone }: Pick<Props, 'onDone'>) {
  const [height, setHeight] = useState<number | null>(null);
  const [missing, setMissing] = useState(false);
  return (
    <div className={css.deeds}>
      <LengthFigure
        label="Height at the heel"
        value={height}
        bounds={BOUNDS.heelHeightMm}
        step={0.1}
        error={missing && height === null && 'Measure the height at the heel first.'}
        onChange={setHeight}
      />
      <Button
        size="md"
        onClick={() => {
          setMissing(true);
          if (height !== null) onDone({ did: 'measured', heelHeightMm: height });
        }}
      >
        Save
      </Button>
    </div>
  );
}
