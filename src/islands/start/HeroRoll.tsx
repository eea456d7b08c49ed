import type { BladeModel } from '../../core/blade/schema';
import { KnifeDrawing, placed } from '../shared/KnifeDrawing';
import css from './StartView.module.css';

const GAP_MM = 26;
const MARGIN_MM = 22;

/** A few knives of the catalogue laid on the cloth, to one scale: what this is about, before a word is read. */
export function HeroRoll({ blades }: { blades: readonly BladeModel[] }) {
  const knives = blades.map((blade) => ({ blade, ...placed(blade, true) }));
  const handle = Math.max(...blades.map((b) => b.handleLengthMm));
  const height = handle + Math.max(...blades.map((b) => b.lengthMm)) + 2 * MARGIN_MM;
  const width = knives.reduce((sum, k) => sum + k.width + GAP_MM, 2 * MARGIN_MM - GAP_MM);
  const lefts = knives.map((_, i) => knives.slice(0, i).reduce((sum, k) => sum + k.width + GAP_MM, MARGIN_MM));
  return (
    <svg
      className={css.cloth}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label="A knife roll with a few knives drawn to scale"
    >
      <rect
        x={6}
        y={handle + MARGIN_MM - 10}
        width={width - 12}
        height={height - handle - MARGIN_MM + 4}
        fill="var(--pocket)"
      />
      {knives.map(({ blade }, i) => (
        <g key={blade.id} transform={`translate(${lefts[i] ?? 0} ${MARGIN_MM + handle - blade.handleLengthMm})`}>
          <KnifeDrawing blade={blade} upright owned={false} line={1.5} />
        </g>
      ))}
      <path
        d={`M6 ${handle + MARGIN_MM - 10}H${width - 6}`}
        stroke="var(--thread)"
        strokeWidth={1.6}
        strokeDasharray="6 5"
      />
    </svg>
  );
}
