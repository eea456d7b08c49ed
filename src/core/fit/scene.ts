import { bestContact } from '../blade/contact';
import { edgeHeightMm, edgePower, edgeSlope, FLAT_WITHIN_MM } from '../blade/edgeCurve';
import { rockAngleRad, ROCKING_SHARE } from '../blade/rocking';
import type { BladeModel } from '../blade/schema';
import { thicknessAtDepthMm } from '../blade/thickness';
import type { Task } from '../cutting/task';
import { FIT } from '../constants';
import type { CookContext } from './cook';
import { taskModes, type Mode } from './modes';
import { leading } from './parts/motion';
import { strokes } from './parts/length';
import { steer, wedge } from './parts/body';
import { explain, type Explanation } from './explain';
import { prepareTask } from './score';
import type { BladeTraits } from './traits';

/** The knife at one moment of a cut: where its heel lies over the board and how far it is turned, point down, radians. */
export interface Pose {
  x: number;
  y: number;
  turn: number;
}

/** A cut as it is seen: everything in mm, the board at y = 0, the food from x = 0. */
export interface CutScene {
  /** What the blade does: how it is moved. */
  move: 'chop' | 'push' | 'pull' | 'rock' | 'cleave' | 'draw' | 'saw' | 'tip' | 'hand';
  food: { widthMm: number; heightMm: number; firm: number };
  poses: Pose[];
  /** Lowest the edge has come at places across the food by each pose, mm above the board: `reached[pose][place]`. */
  reached: Float32Array[];
  /** Stretch of the edge within half a millimetre of the board at each pose, mm from the heel; null where none is. */
  touching: ([number, number] | null)[];
  /** Share of the cut that hangs together at the end, 0–1. */
  hanging: number;
  strokes: number;
  /** The slit the blade opens, from the edge up: half its width at each height, mm. */
  slit: { y: number; half: number }[];
  /** How far firm food cracks ahead of the edge, mm. */
  crackMm: number;
  /** How far a one-sided bevel drifts at the bottom of the cut, mm; towards the flat side. */
  driftMm: number;
  explanation: Explanation;
}

const FRAMES = 60;
const PLACES = 48;
/** How high a blade is lifted over the food, mm. */
const LIFT = 10;
/** Most strokes shown one by one. */
const MOST_STROKES = 8;

/** Edge of a blade as points, mm from the heel and above the flat line. */
function edgeOf(blade: BladeModel): { x: number; y: number }[] {
  const power = edgePower(blade);
  return Array.from({ length: 81 }, (_, i) => {
    const x = (blade.lengthMm * i) / 80;
    return { x, y: edgeHeightMm(blade, x, power) };
  });
}

/** A point of the blade where it lies at a pose. */
export function placedAt({ x, y, turn }: Pose, point: { x: number; y: number }): { x: number; y: number } {
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return { x: x + point.x * c + point.y * s, y: y + point.y * c - point.x * s };
}

type Edge = ReturnType<typeof edgeOf>;

/** Height at which a blade turned by `turn` lies with its lowest point of edge on the board. */
const restingHeight = (edge: Edge, turn: number) =>
  -Math.min(...edge.map((point) => placedAt({ x: 0, y: 0, turn }, point).y));

/** Share of a push or pull after which the edge is on the board and only slides on. */
const LANDED = 0.75;

/** Down onto the board with the stretch of edge that meets it best over the food, moved along by so much meanwhile. */
function pressed(blade: BladeModel, edge: Edge, { widthMm, heightMm }: Task, along: number): Pose[] {
  const { fromMm, toMm, tiltRad } = bestContact(blade);
  const down = restingHeight(edge, tiltRad);
  const lands = along === 0 ? 1 : LANDED;
  // the food lies under the middle of what meets the board while it slides
  const middle = ((fromMm + toMm) / 2) * Math.cos(tiltRad);
  const end = widthMm / 2 - middle + (along * (1 - lands)) / 2;
  return Array.from({ length: FRAMES + 1 }, (_, i) => {
    const share = i / FRAMES;
    const above = Math.max(0, 1 - share / lands);
    return { x: end - along * (1 - share), y: down + (heightMm + LIFT) * above, turn: tiltRad };
  });
}

/** The tip on the board, the heel let down: first turning about the touching point, then rolling over the belly. */
function rocked(blade: BladeModel, edge: Edge, { widthMm, heightMm }: Task): Pose[] {
  const power = edgePower(blade);
  const rolls = rockAngleRad(blade);
  const pivot = ROCKING_SHARE * blade.lengthMm;
  // the food lies where the heel's half comes down
  const near = Math.max(widthMm, 0.25 * blade.lengthMm);
  const lift = Math.min(0.9, Math.atan((heightMm + LIFT) / Math.max(30, pivot - near)));
  const arc = (to: number) => {
    let sum = 0;
    for (let k = 0; k < 40; k++) sum += (to / 40) * Math.hypot(1, edgeSlope(blade, ((k + 0.5) * to) / 40, power));
    return sum;
  };
  /** The place of the edge whose slope is that of the board when the blade is turned so. */
  const touch = (turn: number) => {
    let [low, high] = [0, pivot];
    for (let k = 0; k < 40; k++) {
      const middle = (low + high) / 2;
      if (Math.atan(edgeSlope(blade, middle, power)) < turn) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  const start = rolls + lift;
  const poses = Array.from({ length: FRAMES + 1 }, (_, i): Pose => {
    const turn = start * (1 - i / FRAMES);
    const at = turn >= rolls ? pivot : touch(turn);
    const point = { x: at, y: edgeHeightMm(blade, at, power) };
    const placed = placedAt({ x: 0, y: 0, turn }, point);
    return { x: arc(at) - placed.x, y: -placed.y, turn };
  });
  // the food under the middle of the back half of the edge
  const shift = widthMm / 2 - 0.42 * blade.lengthMm;
  return poses.map((pose) => ({ ...pose, x: pose.x + shift, y: Math.max(pose.y, restingHeight(edge, pose.turn)) }));
}

/** Drawn through the food in so many strokes, from heel to tip; sawing cuts both ways. */
function drawn(blade: BladeModel, edge: Edge, { widthMm, heightMm }: Task, count: number, saws: boolean): Pose[] {
  const shown = Math.min(MOST_STROKES, Math.max(1, Math.ceil(count)));
  const [from, to] = [0.08 * blade.lengthMm, 0.9 * blade.lengthMm];
  return Array.from({ length: FRAMES + 1 }, (_, i) => {
    const all = (i / FRAMES) * shown;
    const stroke = Math.min(shown - 1, Math.floor(all));
    const within = all - stroke;
    const backwards = saws && stroke % 2 === 1;
    const along = backwards ? 1 - within : within;
    const deep = Math.min(1, (stroke + within) / shown);
    const at = from + (to - from) * along;
    // the edge under the food lies level with what is cut
    const turn = Math.atan(edgeSlope(blade, at)) * 0.8;
    const placed = placedAt({ x: 0, y: 0, turn }, { x: at, y: edgeHeightMm(blade, at) });
    const wanted = heightMm * (1 - deep) - placed.y;
    return { x: widthMm / 2 - placed.x, y: Math.max(wanted, restingHeight(edge, turn)), turn };
  });
}

/** The tip led through small food, or the blade drawn over it in the air. */
function led(blade: BladeModel, { widthMm, heightMm }: Task, byTip: boolean): Pose[] {
  const turn = byTip ? 0.35 : 0;
  const at = byTip ? 0.97 * blade.lengthMm : 0.45 * blade.lengthMm;
  const placed = placedAt({ x: 0, y: 0, turn }, { x: at, y: edgeHeightMm(blade, at) });
  return Array.from({ length: FRAMES + 1 }, (_, i) => {
    const share = i / FRAMES;
    const height = byTip ? heightMm * (1 - share) : heightMm - 2;
    return { x: widthMm * (byTip ? 1 - 0.6 * share : 1 - share) - placed.x, y: height - placed.y, turn };
  });
}

function movedBy(mode: Mode, cook: CookContext): CutScene['move'] {
  switch (mode.id) {
    case 'board':
      return leading(cook, mode);
    case 'cleave':
      return 'cleave';
    case 'slice':
      return 'draw';
    case 'saw':
      return 'saw';
    case 'tip':
    case 'pry':
      return 'tip';
    default:
      return mode.id === 'table' ? 'draw' : mode.id === 'child' ? 'saw' : 'hand';
  }
}

function posesOf(move: CutScene['move'], blade: BladeModel, edge: Edge, task: Task, count: number): Pose[] {
  switch (move) {
    case 'rock':
      return rocked(blade, edge, task);
    case 'push':
      return pressed(blade, edge, task, 0.22 * blade.lengthMm);
    case 'pull':
      return pressed(blade, edge, task, -0.22 * blade.lengthMm);
    case 'chop':
    case 'cleave':
      return pressed(blade, edge, task, 0);
    case 'draw':
    case 'saw':
      return drawn(blade, edge, task, count, move === 'saw');
    case 'tip':
    case 'hand':
      return led(blade, task, move === 'tip');
  }
}

/** Lowest the edge comes at each place across the food by each pose, mm above the board. */
function reachedBy(poses: readonly Pose[], edge: Edge, { widthMm, heightMm }: Task): Float32Array[] {
  let lowest = new Float32Array(PLACES).fill(heightMm);
  return poses.map((pose) => {
    const placed = edge.map((point) => placedAt(pose, point));
    lowest = lowest.map((before, p) => {
      const x = (widthMm * (p + 0.5)) / PLACES;
      const after = placed.findIndex((point, k) => k > 0 && point.x >= x && (placed[k - 1]?.x ?? Infinity) <= x);
      const [a, b] = [placed[after - 1], placed[after]];
      if (!a || !b) return before;
      const y = a.y + ((b.y - a.y) * (x - a.x)) / Math.max(1e-9, b.x - a.x);
      return Math.max(0, Math.min(before, y));
    });
    return lowest;
  });
}

function touchingAt(pose: Pose, edge: Edge): [number, number] | null {
  const low = edge.filter((point) => Math.abs(placedAt(pose, point).y) <= FLAT_WITHIN_MM);
  const [first, last] = [low[0], low.at(-1)];
  return first && last ? [first.x, last.x] : null;
}

/**
 * A blade cutting a food for a cook, as the score sees it: moved the way the score chose, with the contact, rocking, thickness, strokes, drift and
 * knuckle room of the very functions the score uses. Null where the score refuses the task; then `explain` says why.
 *
 * @example cutScene(traits, task, cook)?.hanging < 0.2 // true
 */
export function cutScene(b: BladeTraits, task: Task, cook: CookContext): CutScene | null {
  const prepared = prepareTask(task);
  const explanation = explain(b, prepared, [cook]);
  const mode = taskModes(task).find(({ id }) => id === explanation.mode);
  if (explanation.veto !== null || !mode) return null;
  const { blade } = b;
  const edge = edgeOf(blade);
  const move = movedBy(mode, cook);
  const count = strokes(blade.lengthMm, task, mode.id === 'saw');
  const poses = posesOf(move, blade, edge, task, count);
  const reached = reachedBy(poses, edge, task);
  const onBoard = move !== 'hand' && move !== 'tip';
  const left = (reached.at(-1) ?? new Float32Array()).filter((height) => height > FLAT_WITHIN_MM).length;
  const kept = wedge.level(task, mode) > 0 ? wedge.value(b, task, cook, mode) : 1;
  const straight = steer.level(task, mode) > 0 ? steer.value(b, task, cook, mode) : 1;
  const deep = Math.min(task.heightMm, blade.heelHeightMm);
  return {
    move,
    food: { widthMm: task.widthMm, heightMm: task.heightMm, firm: task.firm },
    poses,
    reached,
    touching: poses.map((pose) => (onBoard ? touchingAt(pose, edge) : null)),
    hanging: onBoard ? left / PLACES : 0,
    strokes: move === 'draw' || move === 'saw' ? Math.max(1, count) : 1,
    slit: Array.from({ length: 13 }, (_, i) => {
      const y = (deep * i) / 12;
      return { y, half: thicknessAtDepthMm(blade, y) / 2 };
    }),
    crackMm: (1 - kept) * FIT.scene.crack.value * task.heightMm,
    driftMm: (1 - straight) * FIT.scene.drift.value * task.heightMm,
    explanation,
  };
}

/** What a scene shows, told for who cannot see it. Lengths in mm. */
export function sceneWords({ move, food, hanging, strokes: n, crackMm, driftMm, explanation }: CutScene): string[] {
  const MOVES: Record<CutScene['move'], string> = {
    chop: 'The blade comes straight down',
    push: 'The blade goes down and forward',
    pull: 'The blade goes down and back',
    rock: 'The tip stays on the board and the heel comes down',
    cleave: 'The blade falls onto the food',
    draw: 'The blade is drawn through, heel to tip',
    saw: 'The blade is sawn through',
    tip: 'The tip is led through the food',
    hand: 'The blade works in the air, the food in the other hand',
  };
  const board = move === 'chop' || move === 'push' || move === 'pull' || move === 'rock' || move === 'cleave';
  const told = [
    `${MOVES[move]}: food ${Math.round(food.widthMm)} mm across and ${Math.round(food.heightMm)} mm high${move === 'draw' || move === 'saw' ? `, in ${n <= 1 ? 'one stroke' : `about ${n.toFixed(1)} strokes`}` : ''}.`,
  ];
  if (board)
    told.push(
      hanging < 0.03
        ? 'The whole cut comes apart on the board.'
        : `${Math.round(100 * hanging)}% of the cut still hangs together at the end.`,
    );
  if (crackMm >= 1) told.push(`Firm food splits about ${Math.round(crackMm)} mm ahead of the edge.`);
  if (driftMm >= 1) told.push(`The one-sided bevel drifts about ${Math.round(driftMm)} mm by the board.`);
  return [...told, ...explanation.parts.filter(({ id }) => SEEN.has(id)).map(({ why }) => why)];
}

/** Parts of the score that can be seen in a scene. */
const SEEN = new Set<string>(['contact', 'motion', 'wedge', 'steer', 'reach', 'clearance']);
