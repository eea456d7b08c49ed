import { reference } from '../../../data/reference';
import type { BladeModel } from '../../core/blade/schema';
import { drawKnife } from '../../core/drawing/knife';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { LyingKnife } from '../blade/Drawings';
import { GripDrawing, GRIPS } from '../shared/GripDrawing';
import { MotionDrawing, MOTIONS } from '../shared/MotionDrawing';
import css from './GlossaryView.module.css';

/** The trade's words: parts of a knife, types, motions, grips and steels, drawn by the code that draws the kit. */
export function GlossaryView() {
  return (
    <main id="main" className={css.page}>
      <h1>The trade’s words</h1>
      <Parts />
      <Types />
      <Motions />
      <Grips />
      <Steels />
    </main>
  );
}

const typical = (id: string): BladeModel | null => {
  const type = reference.types.get(id);
  return type ? typicalBlade(type, {}, 'right') : null;
};

const PARTS: { name: string; about: string; at: (b: BladeModel) => [number, number]; label: [number, number] }[] = [
  {
    name: 'Heel',
    about: 'the back end of the edge; its height makes room for the knuckles',
    at: () => [0, 0],
    label: [-22, 26],
  },
  { name: 'Edge', about: 'the sharpened line, heel to tip', at: (b) => [b.lengthMm * 0.35, 0], label: [72, 26] },
  {
    name: 'Belly',
    about: 'the part of the edge that curves up to the tip; it is what rocks',
    at: (b) => [b.lengthMm * 0.78, 8],
    label: [160, 26],
  },
  { name: 'Tip', about: 'the last centimetres, for exact work', at: (b) => [b.lengthMm, b.bellyMm], label: [214, 8] },
  {
    name: 'Spine',
    about: 'the back of the blade; its thickness wedges in firm food',
    at: (b) => [b.lengthMm * 0.4, b.heelHeightMm],
    label: [92, -62],
  },
  {
    name: 'Side',
    about: 'the face of the blade; slices let go of it or cling',
    at: (b) => [b.lengthMm * 0.55, b.heelHeightMm * 0.45],
    label: [150, -62],
  },
  {
    name: 'Bolster',
    about: 'the thickening, or here the neck, between blade and handle',
    at: (b) => [-8, b.heelHeightMm * 0.75],
    label: [-24, -62],
  },
  {
    name: 'Handle',
    about: 'riveted over a full tang, or glued on a hidden one',
    at: (b) => [-70, b.heelHeightMm * 0.75],
    label: [-92, -62],
  },
  {
    name: 'Butt',
    about: 'the far end of the handle',
    at: (b) => [-b.handleLengthMm, b.heelHeightMm * 0.7],
    label: [-134, 12],
  },
];

function Parts() {
  const blade = typical('chef');
  if (!blade) return null;
  return (
    <section>
      <h2>Parts of a knife</h2>
      <svg className={css.parts} viewBox="-150 -76 400 112" role="img" aria-label="A chef's knife with its parts named">
        <LyingKnife blade={blade} />
        {PARTS.map(({ name, at, label }) => {
          const [x, y] = at(blade);
          return (
            <g key={name}>
              <path className={css.leader} d={`M${label[0]} ${label[1] + (label[1] > 0 ? -7 : 3)}L${x} ${-y}`} />
              <circle className={css.dot} cx={x} cy={-y} r={1.3} />
              <text className={css.name} x={label[0]} y={label[1]} textAnchor="middle">
                {name}
              </text>
            </g>
          );
        })}
      </svg>
      <dl className={css.words}>
        {PARTS.map(({ name, about }) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{about}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

/** Longest knife drawn among the types: all of them share its scale. */
const WIDEST_MM = 490;

function Types() {
  return (
    <section>
      <h2>Types, to one scale</h2>
      <ul className={css.types}>
        {[...reference.types.values()].map((type) => {
          const blade = typicalBlade(type, {}, 'right');
          const { top, bottom } = drawKnife(blade);
          return (
            <li key={type.id}>
              <svg
                viewBox={`${-150} ${-top - 4} ${WIDEST_MM} ${top - Math.min(0, bottom) + 8}`}
                role="img"
                aria-label={`${type.name}, drawn at ${blade.lengthMm} mm`}
              >
                <LyingKnife blade={blade} line={1.1} />
              </svg>
              <p>
                <b>{type.name}</b>{' '}
                <span className="faded figure">
                  {type.lengthMm[0]}–{type.lengthMm[1]} mm
                </span>
                <br />
                {type.blurb}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Motions() {
  return (
    <section>
      <h2>Motions on the board</h2>
      <ul className={css.cards}>
        {MOTIONS.map((motion) => {
          const blade = typical(motion.type);
          return (
            <li key={motion.id}>
              {blade && <MotionDrawing motion={motion} blade={blade} />}
              <p>
                <b>{motion.name}.</b> {motion.about}
              </p>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Grips() {
  const blade = typical('gyuto');
  if (!blade) return null;
  return (
    <section>
      <h2>Grips</h2>
      <ul className={css.cards}>
        {GRIPS.map((grip) => (
          <li key={grip.id}>
            <GripDrawing grip={grip} blade={blade} />
            <p>
              <b>{grip.name}.</b> {grip.about}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Steels() {
  return (
    <section>
      <h2>Steel families</h2>
      <div className={css.scroll} tabIndex={0} role="region" aria-label="Steel families, a table">
        <table>
          <thead>
            <tr>
              {['Family', 'HRC', 'Tough', 'Keeps its edge', 'Rust-proof', 'Easy to sharpen', 'Least angle', ''].map(
                (name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ),
              )}
            </tr>
          </thead>
          <tbody>
            {[...reference.steels.values()].map((s) => (
              <tr key={s.id}>
                <th scope="row">{s.name}</th>
                <td className="figure">{s.hrc ? `${s.hrc[0]}–${s.hrc[1]}` : '–'}</td>
                {[s.tough, s.wear, s.rustProof, s.easeOfSharpening].map((value, i) => (
                  <td key={i} className="figure">
                    {value}
                  </td>
                ))}
                <td className="figure">{s.leastAngleDeg}°</td>
                <td>{s.note}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="faded">0 to 10, more is more. Stainless resists; it is not proof. The least angle is per side.</p>
    </section>
  );
}
