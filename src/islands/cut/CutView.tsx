import { Button } from '@mantine/core';
import { useReducedMotion } from '@mantine/hooks';
import type { Remote } from 'comlink';
import { useCallback, useMemo } from 'react';
import type { KitchenWorker, Target } from '../../workers/kitchen.worker';
import type { SeenCut } from '../../workers/trying';
import { useAsked } from '../shared/useAsked';
import { useLengths } from '../shared/units';
import { Stage, viewOf } from './Stage';
import { usePlayer } from './usePlayer';
import css from './CutView.module.css';

/** One or two blades cutting the same food in step, as the score sees it: played, or moved by hand, and told in words. */
export default function CutView({
  worker,
  targets,
  task,
}: {
  worker: Remote<KitchenWorker>;
  targets: readonly Target[];
  task: string;
}) {
  const key = JSON.stringify([targets, task]);
  const ask = useCallback(
    async () => ({ key, cuts: await Promise.all(targets.map((target) => worker.cut(target, task))) }),
    // the key stands for targets and task
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [key, worker],
  );
  const { found: seen, trouble } = useAsked(ask);
  if (trouble) return <p role="alert">{trouble}</p>;
  if (seen?.key !== key)
    return (
      <p className={`faded ${css.waiting}`} data-cuts={targets.length}>
        Drawing the cut…
      </p>
    );
  return <Cuts key={key} cuts={seen.cuts} />;
}

/** Cuts side by side, moved by one hand. */
export function Cuts({ cuts }: { cuts: readonly (SeenCut | null)[] }) {
  const { told } = useLengths();
  const player = usePlayer();
  // who wants no motion moves the stroke by hand
  const still = useReducedMotion();
  const shown = useMemo(() => cuts.filter((cut) => cut !== null), [cuts]);
  const view = useMemo(() => viewOf(shown), [shown]);
  if (shown.length === 0) return <p>Not to be used for this: there is no cut to show.</p>;
  return (
    <div className={css.cuts}>
      {shown.map((cut) => (
        <div key={cut.blade.id} className={css.cut}>
          {shown.length > 1 && (
            <p>
              <b>{cut.blade.name}</b>, <span className="figure">{Math.round(cut.scene.explanation.score)}</span> of 100
            </p>
          )}
          <Stage cut={cut} view={view} at={player.at} />
          <ul className={css.words}>
            {cut.words.map((sentence) => (
              <li key={sentence}>{told(sentence)}</li>
            ))}
          </ul>
        </div>
      ))}
      {cuts.length > shown.length && <p>The other must not be used for this.</p>}
      <div className={css.controls} data-screen-only>
        {!still && (
          <Button variant="default" size="sm" onClick={player.turn}>
            {player.playing ? 'Pause' : 'Play the stroke'}
          </Button>
        )}
        <input
          type="range"
          min={0}
          max={100}
          step={1}
          value={Math.round(100 * player.at)}
          aria-label="How far the stroke has come, %"
          onChange={(e) => player.move(e.currentTarget.valueAsNumber / 100)}
        />
      </div>
    </div>
  );
}
