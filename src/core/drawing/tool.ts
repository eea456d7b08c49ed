import { box, closed, drawingOf, open, oval, type Drawing, type Point, type Shape } from './shape';

/** A tool seen from the side or from above, its working end to the right of x = 0, mm. */
export interface ToolDrawing extends Drawing {
  /** Furniture is too large for a pocket and is drawn smaller than the knives. */
  isLarge: boolean;
}

const points = (...pairs: [number, number][]): Point[] => pairs.map(([x, y]) => ({ x, y }));

/** A grip from `from` mm to x = 0, rounded at its butt. */
const grip = (from: number, thick: number): Shape =>
  closed('handle', [
    { x: 0, y: 0.42 * thick, corner: true },
    { x: 0.4 * from, y: 0.5 * thick },
    { x: 0.85 * from, y: 0.46 * thick },
    { x: from, y: 0 },
    { x: 0.85 * from, y: -0.46 * thick },
    { x: 0.4 * from, y: -0.5 * thick },
    { x: 0, y: -0.42 * thick, corner: true },
  ]);

/** A rod with its guard: grooved along, or smooth. */
function rod(lengthMm: number, thick: number, grooved: boolean): Shape[] {
  const half = thick / 2;
  return [
    closed('steel', [
      { x: 2, y: half, corner: true },
      { x: lengthMm - 8, y: 0.9 * half },
      { x: lengthMm, y: 0 },
      { x: lengthMm - 8, y: -0.9 * half },
      { x: 2, y: -half, corner: true },
    ]),
    ...(grooved ? [0.45, 0, -0.45] : []).map((y) =>
      open('faint', points([10, y * half], [lengthMm - 12, y * half]), false),
    ),
    box('fitting', -4, -13, 6, 26),
    grip(-124, 25),
  ];
}

/** A stone lying flat; `layer`: of two grits. */
const stone = (lengthMm: number, heightMm: number): Shape[] => [
  box('steel', -lengthMm / 2, 0, lengthMm, heightMm),
  open('faint', points([-lengthMm / 2, heightMm * 0.3], [lengthMm / 2, heightMm * 0.3]), false),
];

const PEELER = [
  closed('steel', points([0, 5], [14, 21], [48, 22], [58, 12], [52, 9], [44, 15], [18, 14], [6, 0])),
  open('line', points([15, 17.5], [50, 18]), false),
  grip(-108, 17),
];

function shears(): Shape[] {
  const half = (side: 1 | -1): Shape[] => [
    closed('steel', [
      { x: -4, y: side * 9 },
      { x: 60, y: side * 10 },
      { x: 104, y: side * 2, corner: true },
      { x: 50, y: side * 1 },
      { x: -6, y: side * -2 },
    ]),
    closed(
      'handle',
      points(
        [-6, side * -9],
        [-30, side * -6],
        [-60, side * -6],
        [-100, side * -14],
        [-112, side * -32],
        [-88, side * -44],
        [-46, side * -38],
        [-22, side * -20],
      ),
    ),
    closed(
      'line',
      points(
        [-42, side * -15],
        [-66, side * -14],
        [-94, side * -20],
        [-98, side * -31],
        [-84, side * -36],
        [-50, side * -30],
      ),
    ),
  ];
  return [...half(1), ...half(-1), oval('fitting', { x: 2, y: 0 }, 4.5, 4.5)];
}

const TOOLS: Record<string, { shapes: Shape[]; isLarge?: boolean }> = {
  peeler: { shapes: PEELER },
  shears: { shapes: shears() },
  'fish-tweezers': {
    shapes: [
      closed('steel', points([-66, 0], [-40, 7], [10, 9], [54, 7], [60, 3], [56, 2], [10, 4], [-40, 3])),
      closed('steel', points([-66, 0], [-40, -7], [10, -9], [54, -7], [60, -3], [56, -2], [10, -4], [-40, -3])),
    ],
  },
  'fish-scaler': {
    shapes: [
      closed('steel', points([0, 6], [10, 22], [72, 24], [88, 12], [72, 0], [10, -2], [0, -6])),
      ...[16, 30, 44, 58, 72].map((x) => open('line', points([x, 3], [x + 5, 11], [x, 20]))),
      grip(-112, 20),
    ],
  },
  'honing-steel': { shapes: rod(255, 12, true) },
  'honing-ceramic': { shapes: rod(250, 11, false) },
  strop: {
    shapes: [box('steel', 0, -26, 240, 52), open('faint', points([8, -20], [232, -20]), false), grip(-100, 26)],
  },
  'stone-coarse': { shapes: stone(205, 50) },
  'stone-medium': { shapes: stone(205, 30) },
  'stone-fine': { shapes: stone(205, 22) },
  'stone-polish': { shapes: stone(205, 18) },
  'rust-eraser': { shapes: [box('steel', -34, 0, 68, 24)] },
  'pull-through': {
    shapes: [
      closed('handle', points([-110, 0], [-104, 30], [-20, 34], [60, 34], [74, 16], [74, 0], [-18, 0])),
      open('line', points([16, 34], [22, 12], [28, 34]), false),
      open('line', points([44, 34], [50, 12], [56, 34]), false),
    ],
  },
  guard: {
    shapes: [
      closed('handle', [
        { x: 0, y: 48, corner: true },
        { x: 205, y: 48 },
        { x: 212, y: 30 },
        { x: 205, y: 0 },
        { x: 0, y: 0, corner: true },
      ]),
      open('faint', points([6, 5], [200, 5]), false),
    ],
  },
  'cut-glove': {
    shapes: [
      closed(
        'handle',
        points(
          [-110, 36],
          [-20, 42],
          [20, 46],
          [84, 44],
          [96, 34],
          [108, 22],
          [112, 8],
          [104, -10],
          [78, -26],
          [30, -34],
          [54, -62],
          [40, -76],
          [-10, -44],
          [-110, -34],
        ),
      ),
      ...[24, 6, -10].map((y) => open('faint', points([40, y], [96, y]), false)),
      open('line', points([-96, 37], [-96, -36]), false),
    ],
  },
  'camellia-or-mineral-oil': {
    shapes: [
      box('handle', -60, -24, 96, 48),
      closed('fitting', points([36, 14], [52, 10], [52, -10], [36, -14]), false),
      box('steel', 52, -8, 14, 16),
      box('faint', -46, -16, 62, 32),
    ],
  },
  'bench-scraper': {
    shapes: [
      box('steel', 0, -76, 82, 152),
      box('handle', -26, -78, 28, 156),
      open('faint', points([78, -72], [78, 72]), false),
    ],
  },
  board: {
    isLarge: true,
    shapes: [
      box('handle', -200, -150, 400, 300),
      ...[-90, -30, 30, 90].map((y) => open('faint', points([-192, y], [192, y]), false)),
    ],
  },
  block: {
    isLarge: true,
    shapes: [
      closed('handle', points([-110, -60], [90, -60], [130, 20], [60, 90], [-110, 40]), false),
      ...[0, 1, 2].map((i) => open('line', points([76 + 16 * i, 72 - 16 * i], [104 + 8 * i, 44 - 18 * i]), false)),
    ],
  },
  'magnet-strip': {
    isLarge: true,
    shapes: [box('handle', -225, -24, 450, 48), open('faint', points([-215, 0], [215, 0]), false)],
  },
  'drawer-tray': {
    isLarge: true,
    shapes: [
      box('handle', -200, -75, 400, 150),
      ...[-50, -25, 0, 25, 50].map((y) => open('line', points([-190, y], [190, y]), false)),
    ],
  },
  roll: {
    isLarge: true,
    shapes: [
      closed('handle', points([-220, -55], [220, -55], [232, 0], [220, 55], [-220, 55], [-232, 0])),
      open('line', points([-100, -55], [-92, 0], [-100, 55])),
      open('line', points([100, -55], [108, 0], [100, 55])),
      oval('faint', { x: -214, y: 0 }, 12, 36),
    ],
  },
};

/** A tool of the trade at its usual size; null where none is drawn. Ids: data/tools.json. */
export function drawTool(id: string): ToolDrawing | null {
  const tool = TOOLS[id];
  return tool ? { ...drawingOf(tool.shapes), isLarge: tool.isLarge ?? false } : null;
}
