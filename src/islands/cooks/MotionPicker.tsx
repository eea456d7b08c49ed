import { Button, SegmentedControl } from '@mantine/core';
import type { BladeModel } from '../../core/blade/schema';
import type { CookFile } from '../../core/formats/kitchenFile';
import { MotionDrawing, MOTIONS } from '../shared/MotionDrawing';
import { Picks } from '../shared/Picks';
import css from './MotionPicker.module.css';

type Motions = NonNullable<CookFile['motions']>;
const MUCH = [
  { share: 0, word: 'no' },
  { share: 1, word: 'some' },
  { share: 3, word: 'mostly' },
] as const;
const nearest = (share: number) => (share >= 2 ? 3 : share > 0 ? 1 : 0);

interface Props {
  motions: Motions;
  onChange: (motions: Motions) => void;
}

/** How a cook cuts: the four motions drawn, each by how much; or two quick questions for those who never looked. */
export function MotionPicker({ motions, blades, onChange }: Props & { blades: BladeModel[] }) {
  const total = MOTIONS.reduce((sum, { id }) => sum + (motions[id] ?? 0), 0);
  return (
    <fieldset className={css.picker}>
      <legend>How do you cut?</legend>
      <ul>
        {MOTIONS.map((motion, i) => {
          const blade = blades[i];
          return (
            <li key={motion.id}>
              {blade && <MotionDrawing motion={motion} blade={blade} />}
              <p>
                <b>{motion.name}.</b> {motion.about.split(':')[0]}.
              </p>
              <HowMuch
                name={motion.name}
                now={nearest(motions[motion.id] ?? 0)}
                onChange={(share) => onChange({ ...motions, [motion.id]: share })}
              />
            </li>
          );
        })}
      </ul>
      <QuickQuestions motions={motions} onChange={onChange} />
      <p className={css.hint}>
        {total === 0 ? 'Not sure yet, so no blade shape is preferred.' : 'Weighted by how much you do of each.'}{' '}
        {total > 0 && (
          <Button
            variant="subtle"
            color="gray"
            size="compact-sm"
            className={css.unsure ?? ''}
            onClick={() => onChange({})}
          >
            I am not sure
          </Button>
        )}
      </p>
    </fieldset>
  );
}

function HowMuch({ name, now, onChange }: { name: string; now: number; onChange: (share: number) => void }) {
  return (
    <SegmentedControl
      fullWidth
      size="sm"
      aria-label={`${name}, how much`}
      value={String(now)}
      data={MUCH.map(({ share, word }) => ({ value: String(share), label: word }))}
      onChange={(share) => onChange(Number(share))}
    />
  );
}

/** What tells how a cook cuts who never looked. */
function QuickQuestions({ motions, onChange }: Props) {
  const { rock = 0, push = 0, pull = 0, chop = 0 } = motions;
  const way = push >= 2 ? 'push' : pull >= 2 ? 'pull' : chop >= 2 ? 'chop' : 'unsure';
  return (
    <details className={css.quick}>
      <summary>Not sure? Two quick questions</summary>
      <Picks
        label="Chopping parsley, where is the tip of your knife?"
        value={rock >= 2 ? 'down' : 'up'}
        options={[
          { value: 'down', name: 'It stays on the board' },
          { value: 'up', name: 'It lifts off with the rest' },
        ]}
        onChange={(tip) => onChange({ ...motions, rock: tip === 'down' ? 3 : 0 })}
      />
      <Picks
        label="Slicing a carrot, which way does the blade go?"
        value={way}
        options={[
          { value: 'push', name: 'Forward and down' },
          { value: 'pull', name: 'Back towards me' },
          { value: 'chop', name: 'Straight down' },
          { value: 'unsure', name: 'I cannot say' },
        ]}
        onChange={(next) =>
          onChange({
            rock,
            push: next === 'push' ? 3 : 0,
            pull: next === 'pull' ? 3 : 0,
            chop: next === 'chop' ? 3 : 0,
          })
        }
      />
    </details>
  );
}
