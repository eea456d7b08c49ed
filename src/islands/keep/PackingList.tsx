import { Button } from '@mantine/core';
import { useMemo } from 'react';
import type { PackedRoll } from '../../workers/keep';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import { useLengths } from '../shared/units';
import { percent, taskName } from '../shared/words';
import css from './AwayView.module.css';

const MOST_TASKS = 6;
const POINTS = 100;

type Packing = PackedRoll['packing'];

/** What goes into the roll, what stays and why, what home lacks meanwhile, and what to mind on the way. */
export function PackingList({ packed: { packing, blades }, name }: { packed: PackedRoll; name: string }) {
  const { taken, left, home, lacking, along, cautions } = packing;
  return (
    <section className={css.list} aria-labelledby="pack">
      <h2 id="pack">Packing list for {name}</h2>
      <p role="status" className={css.told}>
        {inShort(packing)}
      </p>
      <Pockets taken={taken} blades={blades} />
      {taken.length > 0 && (
        <>
          <Together title="Also goes along" lines={along} />
          <h3>At home meanwhile</h3>
          <p>
            {percent(home.while)} of the cutting is done well, {percent(home.before)} before.{' '}
            {home.worse.length > 0 &&
              `Worse then: ${home.worse
                .slice(0, MOST_TASKS)
                .map(({ task, from, to }) => `${taskName(task).toLowerCase()} (${from} to ${to})`)
                .join(', ')}.`}
          </p>
        </>
      )}
      {lacking.length > 0 && (
        <>
          <h3>None of your knives does this well there</h3>
          <p>
            {lacking
              .slice(0, MOST_TASKS)
              .map(({ task, score }) => `${taskName(task).toLowerCase()} (${score})`)
              .join(', ')}
            . Borrow what does it, or buy it cut.
          </p>
        </>
      )}
      {left.length > 0 && (
        <>
          <h3>Stays at home</h3>
          <ul className={css.stays}>
            {left.map(({ owned, name: knife, why }) => (
              <li key={owned}>
                <b>{knife}</b> {why}
              </li>
            ))}
          </ul>
        </>
      )}
      <Together title="On the way" lines={cautions} />
      <Button variant="default" className={css.print ?? ''} onClick={() => print()}>
        Print this list
      </Button>
    </section>
  );
}

function inShort({ taken, weightG, coverage, withAll, proven }: Packing): string {
  if (taken.length === 0) return 'Nothing to take: no knife that would help there fits these pockets.';
  const knives = taken.length === 1 ? 'One knife' : `${taken.length} knives`;
  return `${knives}, ${weightG} g: they do ${percent(coverage)} of the cutting there well; everything you own would do ${percent(withAll)}.${proven ? '' : ' Not every choice was tried.'}`;
}

/** The knives that go along, drawn to one scale, each with its pocket and why. */
function Pockets({ taken, blades }: { taken: Packing['taken']; blades: PackedRoll['blades'] }) {
  const { length } = useLengths();
  const longest = useMemo(
    () => Math.max(1, ...taken.map(({ owned }) => (blades[owned] ? placed(blades[owned], false).width : 0))),
    [taken, blades],
  );
  return (
    <ol className={css.pockets}>
      {taken.map((knife) => {
        const blade = blades[knife.owned];
        return (
          <li key={knife.owned}>
            {blade && (
              <svg viewBox={`-1 -1 ${longest + 2} ${placed(blade, false).height + 2}`} aria-hidden="true">
                <KnifeDrawing blade={blade} upright={false} owned line={1.2} />
              </svg>
            )}
            <div>
              <b>{knife.name}</b>
              <span>
                pocket {knife.pocket + 1}, {knife.weightG} g, guard for {length(knife.guard.lengthMm)} ×{' '}
                {length(knife.guard.heightMm)}
              </span>
              <span className="faded">
                {knife.forHardBoard
                  ? 'For their hard board, to spare your sharper knives.'
                  : `Without it ${(POINTS * knife.adds).toFixed(knife.adds < 0.1 ? 1 : 0)} points less there.`}
                {knife.dull && ' Have it sharpened before it goes.'}
              </span>
            </div>
          </li>
        );
      })}
    </ol>
  );
}

function Together({ title, lines }: { title: string; lines: readonly string[] }) {
  return (
    <>
      <h3>{title}</h3>
      <ul className={css.stays}>
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
    </>
  );
}
