import type { BladeModel } from '../../core/blade/schema';
import { drawKnife } from '../../core/drawing/knife';
import { pathOfShape, upsideDown } from '../../core/drawing/shape';
import { BRIEF_FIGURES, type BriefFigure, type StepBrief } from '../../core/formats/briefFile';
import { FIGURE_WORDS } from '../../core/formats/figures';
import { upperFirst } from '../../core/text/case';
import { Shapes } from '../shared/Shapes';
import { useLengths, type Lengths } from '../shared/units';
import { money } from '../shared/words';
import css from './Brief.module.css';

/** A figure of a brief over its range, in the units of this device. */
function rangeTold(figure: BriefFigure, [low, high]: readonly [number, number], lengths: Lengths): string {
  const span = low === high ? `${low}` : `${low}–${high}`;
  return lengths.told(`${span}${FIGURE_WORDS[figure].unit}`);
}

/** What to look for in any shop for one step: the ranges that do as well, what it may cost, what to ask. */
export function Brief({ brief, pick, currency }: { brief: StepBrief; pick: BladeModel | undefined; currency: string }) {
  const lengths = useLengths();
  const told = BRIEF_FIGURES.flatMap((figure) => {
    const range = brief.ranges[figure];
    return range ? [{ figure, range }] : [];
  });
  return (
    <div className={css.brief}>
      <p className={css.words}>{lengths.told(brief.inWords)}</p>
      {pick && <Band pick={pick} ranges={brief.ranges} />}
      <dl className={css.figures}>
        {told.map(({ figure, range }) => (
          <div key={figure}>
            <dt>{figure === 'lengthMm' ? 'Edge' : upperFirst(FIGURE_WORDS[figure].name)}</dt>
            <dd className="figure">{rangeTold(figure, range, lengths)}</dd>
          </div>
        ))}
        <div>
          <dt>Up to</dt>
          <dd className="figure">{money(brief.priceUpTo, currency)}</dd>
        </div>
      </dl>
      {brief.instead && <p className="faded">Dearer than that, {brief.instead} would take its place.</p>}
      <Part title="It has" items={brief.must} />
      <Part title="Leave it when it has" items={brief.avoid.map(lengths.told)} />
      {brief.indifferent.length > 0 && <p className="faded">Does not matter here: {brief.indifferent.join(', ')}.</p>}
      <Part title="Ask the seller" items={brief.ask} />
      <Part title="With it in the hand" items={brief.inTheHand.map(lengths.told)} />
    </div>
  );
}

function Part({ title, items }: { title: string; items: readonly string[] }) {
  if (items.length === 0) return null;
  return (
    <div>
      <h4>{title}</h4>
      <ul>
        {items.map((item) => (
          <li key={item}>{item}</li>
        ))}
      </ul>
    </div>
  );
}

/** The blade with its band of tolerance to scale: the shortest and lowest, and the longest and tallest that do as well. */
function Band({ pick, ranges }: { pick: BladeModel; ranges: StepBrief['ranges'] }) {
  const at = (end: 0 | 1): BladeModel => {
    const heelHeightMm = ranges.heelHeightMm?.[end] ?? pick.heelHeightMm;
    return { ...pick, lengthMm: ranges.lengthMm[end], heelHeightMm, bellyMm: Math.min(pick.bellyMm, heelHeightMm) };
  };
  const [least, most] = [drawKnife(at(0)), drawKnife(at(1))];
  const own = drawKnife(pick);
  const left = own.left - 6;
  const top = Math.max(own.top, most.top) + 6;
  return (
    <svg
      className={css.band}
      viewBox={`${left} ${-top} ${most.right - left + 8} ${top + 22}`}
      role="img"
      aria-label={`Drawn to scale: the blade of ${Math.round(pick.lengthMm)} mm, and dashed round it what does as well, ${ranges.lengthMm[0]} to ${ranges.lengthMm[1]} mm`}
    >
      <Shapes drawing={own} place={upsideDown} line={1} />
      {[least, most].map(({ shapes }, i) =>
        shapes.slice(0, 1).map((shape) => <path key={i} className={css.end} d={pathOfShape(shape, upsideDown)} />),
      )}
      <path
        className={css.end}
        d={`M${ranges.lengthMm[0]} 9H${ranges.lengthMm[1]}M${ranges.lengthMm[0]} 5v8M${ranges.lengthMm[1]} 5v8`}
      />
    </svg>
  );
}
