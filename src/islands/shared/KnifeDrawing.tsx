import { useMemo } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { outlineOf, pathOf, type Outline, type Point } from '../../core/blade/outline';

interface Placed {
  outline: Outline;
  place: (p: Point) => Point;
  width: number;
  height: number;
}

/** Puts a side view upright (handle up, edge to the left) or lying (handle to the left, edge down), origin at its top left, in mm. */
export function placed(blade: BladeModel, upright: boolean): Placed {
  const outline = outlineOf(blade);
  const tall = outline.topMm - outline.bottomMm;
  const butt = blade.handleLengthMm;
  return upright
    ? {
        outline,
        width: tall,
        height: outline.overallMm,
        place: ({ x, y }) => ({ x: y - outline.bottomMm, y: x + butt }),
      }
    : {
        outline,
        width: outline.overallMm,
        height: tall,
        place: ({ x, y }) => ({ x: x + butt, y: outline.topMm - y }),
      };
}

/** A knife drawn from its numbers inside an SVG whose user unit is a millimetre. `owned` fills it with steel, otherwise it is outlined. */
export function KnifeDrawing({
  blade,
  upright,
  owned,
  line,
}: {
  blade: BladeModel;
  upright: boolean;
  owned: boolean;
  line: number;
}) {
  const drawn = useMemo(() => {
    const { outline, place } = placed(blade, upright);
    return {
      blade: pathOf(outline.blade, place),
      handle: pathOf(outline.handle, place),
      rivets: outline.rivets.map(place),
      ferrule: outline.ferrule && {
        a: place({ x: outline.ferrule.x, y: outline.ferrule.from }),
        b: place({ x: outline.ferrule.x, y: outline.ferrule.to }),
      },
    };
  }, [blade, upright]);
  return (
    <g strokeWidth={line} strokeLinejoin="round" fill="none" stroke="currentColor">
      <path d={drawn.blade} fill={owned ? 'var(--steel)' : 'color-mix(in srgb, currentColor 9%, transparent)'} />
      <path d={drawn.handle} fill={owned ? 'var(--thread)' : 'var(--pocket-fill, none)'} />
      {drawn.ferrule && (
        <path d={`M${drawn.ferrule.a.x} ${drawn.ferrule.a.y}L${drawn.ferrule.b.x} ${drawn.ferrule.b.y}`} />
      )}
      {drawn.rivets.map((r, i) => (
        <circle key={i} cx={r.x} cy={r.y} r={2} />
      ))}
    </g>
  );
}
