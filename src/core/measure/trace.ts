import { type Grey, strongestStep } from './picture';
import { type Homography, homography, mapped, solved, type Spot } from './rectify';

/** Heel and tip, and points along edge and spine, found on a picture, pixels. */
export interface Traces {
  heel: Spot;
  tip: Spot;
  edge: Spot[];
  spine: Spot[];
}

/** What was found on a picture, in mm of its plane. */
export function inPlane(plane: Homography, { heel, tip, edge, spine }: Traces): Traces {
  const mm = (spot: Spot) => mapped(plane, spot);
  return { heel: mm(heel), tip: mm(tip), edge: edge.map(mm), spine: spine.map(mm) };
}

/** Places along the blade at which its outline is looked for, as shares of its length. */
const PLACES = [...Array.from({ length: 14 }, (_, i) => 0.04 + (0.86 * i) / 13), 0.925, 0.95, 0.97];

/** How far from where heel and tip were pointed at they are looked for, mm. */
const NEAR_MM = 7;

/** A blade's own directions on a picture: u mm along from the heel as pointed at, v mm up from the line to the tip. */
class Along {
  readonly longMm: number;
  readonly highMm: number;
  private readonly heel: Spot;
  private readonly u: Spot;
  private readonly v: Spot;
  private readonly back: Homography;

  constructor(
    private readonly grey: Grey,
    private readonly plane: Homography,
    heel: Spot,
    tip: Spot,
    spineAtHeel: Spot,
  ) {
    const [a, b, c] = [mapped(plane, heel), mapped(plane, tip), mapped(plane, spineAtHeel)];
    this.heel = a;
    this.longMm = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    this.u = { x: (b.x - a.x) / this.longMm, y: (b.y - a.y) / this.longMm };
    const side = Math.sign((c.x - a.x) * -this.u.y + (c.y - a.y) * this.u.x) || 1;
    this.v = { x: -this.u.y * side, y: this.u.x * side };
    this.highMm = Math.abs((c.x - a.x) * this.v.x + (c.y - a.y) * this.v.y);
    this.back = inverse(plane);
  }

  /** The pixel of a place. */
  pixel({ x, y }: Spot): Spot {
    const { heel, u, v } = this;
    return mapped(this.back, { x: heel.x + x * u.x + y * v.x, y: heel.y + x * u.y + y * v.y });
  }

  /** The place of a pixel. */
  place(pixel: Spot): Spot {
    const { x, y } = mapped(this.plane, pixel);
    const [dx, dy] = [x - this.heel.x, y - this.heel.y];
    return { x: dx * this.u.x + dy * this.u.y, y: dx * this.v.x + dy * this.v.y };
  }

  /** Where shade steps most on the way between two places; null where nothing stands out. */
  step(from: Spot, to: Spot): Spot | null {
    const share = strongestStep(this.grey, this.pixel(from), this.pixel(to));
    if (share === null) return null;
    const [a, b] = [this.pixel(from), this.pixel(to)];
    return this.place({ x: a.x + share * (b.x - a.x), y: a.y + share * (b.y - a.y) });
  }
}

/** The heel: the blade's front there, a little above the edge, brought down to the line the edge begins with. */
function heelOf(blade: Along, edge: readonly Spot[]): Spot {
  const [first, second] = [edge[0], edge[2]];
  const low = 0.14 * blade.highMm;
  const front = blade.step({ x: 0.05 * blade.longMm, y: low }, { x: -NEAR_MM, y: low });
  const x = front && Math.abs(front.x) < NEAR_MM - 1 ? front.x : 0;
  if (!first || !second || second.x - first.x < 1) return { x, y: 0 };
  return { x, y: first.y + ((second.y - first.y) * (x - first.x)) / (second.x - first.x) };
}

/** Points from the end of a run that say how it goes on. */
const LAST = 5;

/** How a run of points goes on: a parabola through the last of them by least squares; null where they are too few. */
function goingOn(points: readonly Spot[]): ((x: number) => number) | null {
  const last = points.slice(-LAST);
  const from = last.at(-1)?.x ?? 0;
  const sum = (of: (dx: number, y: number) => number) => last.reduce((s, { x, y }) => s + of(x - from, y), 0);
  const found = solved(
    [0, 1, 2].map((row) => [
      ...[0, 1, 2].map((column) => sum((dx) => dx ** (row + column))),
      sum((dx, y) => y * dx ** row),
    ]),
  );
  if (last.length < LAST || !found) return null;
  const [a = 0, b = 0, c = 0] = found;
  return (x) => a + b * (x - from) + c * (x - from) ** 2;
}

/** The tip: where edge and spine meet, near where it was pointed at; on a blunt end, where the blade ends on the way there. */
function tipOf(blade: Along, edge: readonly Spot[], spine: readonly Spot[]): Spot {
  const pointed = { x: blade.longMm, y: 0 };
  const near = (spot: Spot | null) =>
    spot && Math.hypot(spot.x - pointed.x, spot.y - pointed.y) < NEAR_MM - 1 ? spot : null;
  const [low, top] = [goingOn(edge), goingOn(spine)];
  if (!low || !top) return pointed;
  const begins = edge.at(-1)?.x ?? 0;
  for (let x = begins; x < blade.longMm + NEAR_MM; x += 0.1)
    if (top(x) - low(x) <= 0) return near({ x, y: low(x) }) ?? pointed;
  const middle = (low(begins) + top(begins)) / 2;
  const found = blade.step({ x: begins, y: middle }, { x: blade.longMm + NEAR_MM, y: middle });
  return found && Math.abs(found.x - pointed.x) < NEAR_MM - 1 ? { x: found.x, y: pointed.y } : pointed;
}

/**
 * Follows the outline of a blade on a picture between the heel, the tip and a point of the spine above the heel (pixels): at places along it the
 * strongest step of shade is taken, below for the edge and above for the spine; heel and tip are found near where they were pointed at.
 * `plane`: pixels to mm. Places where nothing stands out are left out.
 */
export function traceBlade(grey: Grey, plane: Homography, heel: Spot, tip: Spot, spineAtHeel: Spot): Traces {
  const blade = new Along(grey, plane, heel, tip, spineAtHeel);
  const { longMm, highMm } = blade;
  const edge: Spot[] = [];
  const spine: Spot[] = [];
  for (const share of PLACES) {
    const x = share * longMm;
    // the middle of the blade runs up from the heel's half height to the tip
    const middle = { x, y: 0.5 * highMm * (1 - share) };
    const low = blade.step(middle, { x, y: -0.35 * highMm });
    const top = blade.step(middle, { x, y: 1.18 * highMm });
    if (low) edge.push(low);
    if (top) spine.push(top);
  }
  const pixel = (spot: Spot) => blade.pixel(spot);
  return {
    heel: pixel(heelOf(blade, edge)),
    tip: pixel(tipOf(blade, edge, spine)),
    edge: edge.map(pixel),
    spine: spine.map(pixel),
  };
}

/** The map back, by where it takes four points. */
function inverse(plane: Homography): Homography {
  const corners: Spot[] = [
    { x: 0, y: 0 },
    { x: 1000, y: 0 },
    { x: 1000, y: 1000 },
    { x: 0, y: 1000 },
  ];
  return (
    homography(
      corners.map((corner) => mapped(plane, corner)),
      corners,
    ) ?? plane
  );
}
