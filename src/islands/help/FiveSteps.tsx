import { reference } from '../../../data/reference';
import type { BladeModel } from '../../core/blade/schema';
import { drawGrip, drawHand } from '../../core/drawing/hand';
import { drawKnife } from '../../core/drawing/knife';
import type { Drawing } from '../../core/drawing/shape';
import { drawTool } from '../../core/drawing/tool';
import { typicalBlade } from '../../core/kit/candidates/typicalBlade';
import { Shapes } from '../shared/Shapes';
import css from './FiveSteps.module.css';

/** Size of each picture, mm; the drawings in it lie in its own millimetres, y down. */
const [WIDE, HIGH] = [330, 150];

interface Thing {
  drawing: Drawing;
  x: number;
  y: number;
  owned?: boolean;
}

interface Step {
  name: string;
  does: string;
  /** What the picture shows. */
  shows: string;
  things: Thing[];
  /** Lengths of bars in place of things. */
  bars?: number[];
}

function blade(id: string, lengthMm?: number): BladeModel {
  const type = reference.types.get(id);
  if (!type) throw new Error(`no type ${id}`);
  return typicalBlade(type, { lengthMm }, 'right');
}
const knife = (id: string, lengthMm?: number) => drawKnife(blade(id, lengthMm));

function steps(): Step[] {
  const chef = blade('chef', 200);
  const grip = drawGrip('pinch', chef, 185, 84);
  const stone = drawTool('stone-medium');
  return [
    {
      name: 'Cooks',
      does: 'Say who cuts, with which hand, on what board. A bank card is ruler enough.',
      shows: 'An open hand beside a knife held by the blade',
      things: [
        { drawing: drawHand(150, 68), x: 6, y: 84 },
        ...[grip.behind, drawKnife({ ...chef, lengthMm: 70, bellyMm: 6 }), grip.before].map((drawing) => ({
          drawing,
          x: 252,
          y: 100,
        })),
      ],
    },
    {
      name: 'Cutting',
      does: 'Pick cuisines, dishes or recipes of your own: they become minutes a week of each cut.',
      shows: 'Minutes a week of each kind of cutting, as bars',
      things: [],
      bars: [74, 58, 41, 33, 22, 16, 9],
    },
    {
      name: 'Drawer',
      does: 'Show what you own. What is sound is kept; what is dull is sharpened before anything is bought.',
      shows: 'Two owned knives, filled, and a stone',
      things: [
        { drawing: knife('chef', 180), x: 132, y: 62, owned: true },
        { drawing: knife('paring'), x: 132, y: 112, owned: true },
        ...(stone ? [{ drawing: stone, x: 222, y: 140 }] : []),
      ],
    },
    {
      name: 'Plan',
      does: 'Read the roll in buying order: needs, then wants, each with its price, what it adds and why.',
      shows: 'A roll with a general knife, a small knife and a bread knife',
      things: [
        { drawing: knife('gyuto', 195), x: 130, y: 58 },
        { drawing: knife('petty', 130), x: 130, y: 98 },
        { drawing: knife('bread', 190), x: 130, y: 138 },
      ],
    },
    {
      name: 'Argue',
      does: 'Swap, lock, exclude, move a step, try other money or another school, and see what it costs.',
      shows: 'Two kinds of knife laid side by side',
      things: [
        { drawing: knife('santoku', 165), x: 130, y: 66 },
        { drawing: knife('nakiri', 165), x: 130, y: 132 },
      ],
    },
  ];
}

/** The way through the application in five steps, each with a picture. Rendered once, on the server. */
export function FiveSteps() {
  return (
    <ol className={css.way} aria-label="Five steps">
      {steps().map(({ name, does, shows, things, bars = [] }) => (
        <li key={name} data-topic>
          <svg className={css.picture} viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={shows}>
            {things.map(({ drawing, x, y, owned }, i) => (
              <Shapes key={i} drawing={drawing} place={(p) => ({ x: x + p.x, y: y - p.y })} line={1.4} owned={owned} />
            ))}
            {bars.map((long, i) => (
              <rect key={i} x={24} y={14 + 18 * i} width={3.6 * long} height={11} fill="var(--thread)" />
            ))}
          </svg>
          <p>
            <b>{name}.</b> {does}
          </p>
        </li>
      ))}
    </ol>
  );
}
