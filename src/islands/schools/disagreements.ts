import type { KitchenFile } from '../../core/formats/kitchenFile';

/** One side of a standing disagreement: what it holds, and what the kitchen file says when it is taken. */
export interface Side {
  name: string;
  holds: string;
  /** Blade types and tools this side leaves out. */
  never?: string[];
  set?: (file: KitchenFile) => KitchenFile;
  taken?: (file: KitchenFile) => boolean;
}
export interface Disagreement {
  question: string;
  sides: [Side, Side, ...Side[]];
}

type Limits = NonNullable<KitchenFile['limits']>;
type Habits = NonNullable<KitchenFile['habits']>;
/** A setting that is let go when it is taken again. */
const toggling = (
  taken: (file: KitchenFile) => boolean,
  put: (file: KitchenFile, on: boolean) => KitchenFile,
): Pick<Side, 'set' | 'taken'> => ({ taken, set: (file) => put(file, !taken(file)) });
const limit = <K extends keyof Limits>(key: K, value: Limits[K]) =>
  toggling(
    (file) => file.limits?.[key] === value,
    (file, on) => ({ ...file, limits: { ...file.limits, [key]: on ? value : undefined } }),
  );
const habit = <K extends keyof Habits>(key: K, value: Habits[K]) =>
  toggling(
    (file) => file.habits?.[key] === value,
    (file, on) => ({ ...file, habits: { ...file.habits, [key]: on ? value : undefined } }),
  );
type Tastes = NonNullable<KitchenFile['tastes']>;
const taste = <K extends keyof Tastes>(key: K, value: Tastes[K]) =>
  toggling(
    (file) => file.tastes?.[key] === value,
    (file, on) => ({ ...file, tastes: { ...file.tastes, [key]: on ? value : undefined } }),
  );
/** The same of every cook. */
const balance = (value: 'neutral' | 'forward' | 'handle') => {
  const cooksOf = (file: KitchenFile) => file.cooks ?? [{}];
  return toggling(
    (file) => cooksOf(file).every((cook) => cook.wantsBalance === value),
    (file, on) => ({
      ...file,
      cooks: cooksOf(file).map((cook) => ({ ...cook, wantsBalance: on ? value : undefined })),
    }),
  );
};

/** Where people who know the work disagree, with both reasons; each is a setting of the plan. */
export const DISAGREEMENTS: Disagreement[] = [
  {
    question: 'Paring knife or peeler',
    sides: [
      { name: 'Peeler', holds: 'It peels thinner and faster, in any hand.', never: ['paring', 'birds-beak'] },
      {
        name: 'Paring knife',
        holds: 'It also cores, hulls and trims; one thing less in the drawer.',
        never: ['peeler'],
      },
    ],
  },
  {
    question: 'Petty or paring knife',
    sides: [
      {
        name: 'Petty',
        holds: 'Long enough for the board, small enough for the hand.',
        never: ['paring', 'birds-beak', 'folding'],
      },
      { name: 'Paring', holds: 'Work in the hand wants a short blade; the board has its own knife.', never: ['petty'] },
    ],
  },
  {
    question: 'A utility knife',
    sides: [
      { name: 'Yes', holds: 'For sandwiches, tomatoes and lunch it is the one that is picked up.', never: [] },
      {
        name: 'No',
        holds: 'Too long for the hand and too short for the board: the petty or the chef’s knife does it.',
        never: ['utility', 'serrated-utility'],
      },
    ],
  },
  {
    question: 'The second knife',
    sides: [
      {
        name: 'Another general knife',
        holds: 'Two people can cut, raw meat keeps its own, and one is always sharp.',
        ...limit('second', 'general'),
      },
      {
        name: 'A specialist',
        holds: 'One good general knife is enough; the next should do what it cannot.',
        ...limit('second', 'specialist'),
      },
    ],
  },
  {
    question: 'Bread',
    sides: [
      { name: 'Serrated', holds: 'Teeth bite through crust whatever their age.', never: [] },
      {
        name: 'Keen plain edge',
        holds: 'A long keen edge leaves no crumbs and can be sharpened.',
        never: ['bread', 'serrated-allround', 'serrated-utility'],
      },
    ],
  },
  {
    question: 'Taking fish apart',
    sides: [
      { name: 'Deba', holds: 'Weight for heads and bones, a flat face to ride along the backbone.', never: ['fillet'] },
      {
        name: 'Flexible fillet knife',
        holds: 'It follows any bone, asks no single-bevel skill and costs less.',
        never: ['deba'],
      },
    ],
  },
  {
    question: 'Taking birds apart',
    sides: [
      {
        name: 'Poultry knife',
        holds: 'A stiff pointed wedge finds the joint and does not slip.',
        never: ['boning-flexible', 'boning-stiff'],
      },
      { name: 'Boning knife', holds: 'Narrow and cheap, and it does meat as well.', never: ['honesuki', 'garasuki'] },
    ],
  },
  {
    question: 'Handle',
    sides: [
      {
        name: 'Western',
        holds: 'Full tang, weight in the hand, sure when wet.',
        ...limit('handle', 'western'),
      },
      {
        name: 'Japanese',
        holds: 'Light, so the blade leads; it can be replaced.',
        ...limit('handle', 'japanese'),
      },
    ],
  },
  {
    question: 'Balance',
    sides: [
      { name: 'Neutral', holds: 'It turns about the fingers and tires least.', ...balance('neutral') },
      { name: 'Forward', holds: 'The blade falls by itself: less push on the board.', ...balance('forward') },
      { name: 'Towards the handle', holds: 'A light, quick tip for work in the fingers.', ...balance('handle') },
    ],
  },
  {
    question: 'Length',
    sides: [
      {
        name: 'Long',
        holds: 'Fewer strokes, straighter cuts, more food at once.',
        ...limit('lengthSchool', 'long'),
      },
      {
        name: 'Moderate',
        holds: 'What hand and board ask for, no more.',
        ...limit('lengthSchool', 'moderate'),
      },
      {
        name: 'Nimble',
        holds: 'A short blade goes where it is looked at.',
        ...limit('lengthSchool', 'nimble'),
      },
    ],
  },
  {
    question: 'Carrying cut food',
    sides: [
      {
        name: 'On the flat',
        holds:
          'A tall side carries an onion to the pan in one go. Turn the knife over and push with the spine, never the edge.',
        ...habit('lifts', 'flat'),
      },
      {
        name: 'Never on a knife',
        holds: 'A bench scraper or the hands carry it; the edge stays keen and fingers stay away from it.',
        ...habit('lifts', 'never'),
      },
    ],
  },
  {
    question: 'Steel of the main knife',
    sides: [
      { name: 'Stainless', holds: 'It forgives a busy kitchen.', ...taste('steel', 'stainless') },
      {
        name: 'Clad or semi-stainless',
        holds: 'A keen core, and only the edge wants wiping.',
        ...taste('steel', 'clad'),
      },
      { name: 'Reactive', holds: 'The keenest edge, and the easiest to bring back.', ...taste('steel', 'reactive') },
    ],
  },
  {
    question: 'The main knife',
    sides: [
      {
        name: 'Sturdy and soft',
        holds: 'It bends before it chips, and a minute puts it right.',
        ...taste('main', 'sturdy'),
      },
      { name: 'Thin and hard', holds: 'It falls through food and stays keen for months.', ...taste('main', 'thin') },
    ],
  },
  {
    question: 'Handle',
    sides: [
      { name: 'Moulded', holds: 'It grips when greasy and minds nothing.', ...limit('handle', 'moulded') },
      { name: 'All metal', holds: 'No seam holds dirt.', ...limit('handle', 'metal') },
    ],
  },
  {
    question: 'Dimples and hammered sides',
    sides: [
      { name: 'They help', holds: 'Slices let go a little sooner.', ...taste('dimples', 'help') },
      { name: 'They decorate', holds: 'Food mostly never reaches them.', ...taste('dimples', 'decorate') },
    ],
  },
  {
    question: 'Full bolster',
    sides: [
      { name: 'None', holds: 'The whole edge can be sharpened to the heel.', ...taste('bolster', 'none') },
      { name: 'Full', holds: 'It balances, and no finger slides forward.', ...taste('bolster', 'full') },
    ],
  },
  {
    question: 'The third knife',
    sides: [
      { name: 'Serrated', holds: 'Crust comes every week, roasts do not.', ...taste('third', 'serrated') },
      { name: 'Carving', holds: 'A keen long blade does roasts, fish and bread.', ...taste('third', 'carving') },
    ],
  },
  {
    question: 'Raw meat',
    sides: [
      { name: 'A knife of its own', holds: 'Nothing is carried from flesh to salad.', ...taste('rawMeat', 'own') },
      { name: 'Wash between', holds: 'Hot water and soap do it; a knife less to keep.', ...taste('rawMeat', 'wash') },
    ],
  },
  {
    question: 'Garlic under the flat',
    sides: [
      { name: 'Crushed', holds: 'A broad side peels and crushes in one blow.', ...taste('garlic', 'flat') },
      { name: 'Never', holds: 'Thin blades crack; a pan or a press is there for it.', ...taste('garlic', 'never') },
    ],
  },
  {
    question: 'Money left over',
    sides: [
      { name: 'Kept', holds: 'What adds little is not bought.', ...taste('leftover', 'kept') },
      {
        name: 'Into the main knife',
        holds: 'It does most of the minutes for twenty years.',
        ...taste('leftover', 'main'),
      },
    ],
  },
  {
    question: 'The first specialist',
    sides: [
      { name: 'Early', holds: 'The right blade teaches the work.', ...taste('specialist', 'early') },
      { name: 'Never', holds: 'A good general knife does it, slower.', ...taste('specialist', 'never') },
    ],
  },
  {
    question: 'Looks, where all else is equal',
    sides: [
      { name: 'Plain', holds: 'Nothing to clean around.', ...taste('looks', 'plain') },
      { name: 'Hammered', holds: 'Pleasant to see every day.', ...taste('looks', 'hammered') },
      { name: 'Rough-forged', holds: 'It looks made by hand.', ...taste('looks', 'rough-forged') },
      {
        name: 'Patterned',
        holds: 'A pattern in the steel pleases every day; it cuts like any other.',
        ...taste('looks', 'patterned'),
      },
    ],
  },
  {
    question: 'Forged or stamped',
    sides: [
      {
        name: 'Forged',
        holds: 'Weight and a bolster that carry the stroke. The cut is the same.',
        ...taste('make', 'forged'),
      },
      {
        name: 'Stamped',
        holds: 'Lighter, even and cheaper. The cut is the same.',
        ...taste('make', 'stamped'),
      },
    ],
  },
  {
    question: 'Factory or hand-made',
    sides: [
      { name: 'Factory', holds: 'Each is like the last, and a spare is in stock.', ...taste('origin', 'factory') },
      {
        name: 'Hand-made',
        holds: 'A character of its own; it varies, and one waits for it.',
        ...taste('origin', 'hand-made'),
      },
    ],
  },
  {
    question: 'Shape of a wooden handle',
    sides: [
      { name: 'Round', holds: 'It suits any hand and turns freely.', ...taste('handleShape', 'round') },
      {
        name: 'Eight-sided',
        holds: 'The corners tell the fingers how the edge lies.',
        ...taste('handleShape', 'octagon'),
      },
      { name: 'D-shaped', holds: 'It fills the palm it was made for, and no other.', ...taste('handleShape', 'd') },
    ],
  },
  {
    question: 'The boning knife',
    sides: [
      { name: 'Flexible', holds: 'It follows the bone and slides under skin.', ...taste('boning', 'flexible') },
      { name: 'Stiff', holds: 'It goes where it is pushed, through gristle as well.', ...taste('boning', 'stiff') },
    ],
  },
  {
    question: 'Edge of the boning knife',
    sides: [
      { name: 'Curved', holds: 'The belly sweeps round a joint in one stroke.', ...taste('boningEdge', 'curved') },
      {
        name: 'Straight',
        holds: 'It scrapes along a bone and is easy to sharpen.',
        ...taste('boningEdge', 'straight'),
      },
    ],
  },
  {
    question: 'Who sharpens',
    sides: [
      { name: 'I do', holds: 'Nobody knows how I cut; a stone and half an hour do it.', ...taste('sharpening', 'own') },
      {
        name: 'Never sent away',
        holds: 'A knife that is out is not there, and comes back thinner.',
        ...taste('sharpening', 'never-lent'),
      },
    ],
  },
  {
    question: 'A rod in the kit',
    sides: [
      { name: 'Always', holds: 'A few strokes keep soft edges going for weeks.', ...taste('rod', 'always') },
      { name: 'Never', holds: 'It chips hard edges, and hides that sharpening is due.', ...taste('rod', 'never') },
    ],
  },
  {
    question: 'One main knife or two',
    sides: [
      { name: 'One', holds: 'One good knife, kept well, does everything.', ...taste('pair', 'one') },
      {
        name: 'One spared, one abused',
        holds: 'A thin hard one for its owner, a soft sturdy one for squash and for everybody else.',
        ...taste('pair', 'spared-and-abused'),
      },
    ],
  },
  {
    question: 'Slices of cooked meat',
    sides: [
      {
        name: 'Thin',
        holds: 'Tender whatever the cut, and it goes further; a long keen blade does it.',
        ...habit('carves', 'thin'),
      },
      {
        name: 'Thick',
        holds: 'It stays hot and juicy, and any keen knife will do.',
        ...habit('carves', 'thick'),
      },
    ],
  },
  {
    question: 'Between sharpenings',
    sides: [
      {
        name: 'Steel rod',
        holds: 'Quick, kind to soft steel.',
        ...habit('honing', 'steel'),
      },
      {
        name: 'Ceramic rod',
        holds: 'Fine enough for hard steel, takes a little off.',
        ...habit('honing', 'ceramic'),
      },
      {
        name: 'Strop',
        holds: 'Takes next to nothing off and leaves the keenest edge.',
        ...habit('honing', 'strop'),
      },
      {
        name: 'Diamond rod',
        holds: 'Bites any steel; it sharpens a little each time.',
        ...habit('honing', 'diamond'),
      },
      {
        name: 'No rod at all',
        holds: 'In an unpractised hand it does harm; sharpen when it is due.',
        ...habit('honing', 'none'),
      },
    ],
  },
  {
    question: 'Sharpening',
    sides: [
      {
        name: 'Own stones',
        holds: 'The best edge, when one likes the work.',
        ...habit('sharpening', 'stones'),
      },
      {
        name: 'A professional',
        holds: 'Right every time, twice a year.',
        ...habit('sharpening', 'professional'),
      },
      {
        name: 'Powered',
        holds: 'Keen in a minute, at the price of steel.',
        ...habit('sharpening', 'powered'),
      },
      {
        name: 'Pull-through',
        holds: 'A minute at the drawer; it eats steel and never gets very keen.',
        ...habit('sharpening', 'pull-through'),
      },
    ],
  },
];

/** Whether a side is taken: all it leaves out is left out, or the setting is its own. */
export function isTaken(side: Side, file: KitchenFile): boolean {
  if (side.taken) return side.taken(file);
  const never = file.limits?.never ?? [];
  return (side.never ?? []).length > 0 && (side.never ?? []).every((id) => never.includes(id));
}

/** Takes a side and lets the others of its question go; taking the one already taken lets it go too. */
export function takeSide({ sides }: Disagreement, side: Side, file: KitchenFile): KitchenFile {
  if (side.set) return side.set(file);
  const theirs = sides.flatMap((s) => s.never ?? []);
  const rest = (file.limits?.never ?? []).filter((id) => !theirs.includes(id));
  const never = isTaken(side, file) ? rest : [...rest, ...(side.never ?? [])];
  const must = file.limits?.must?.filter((id) => !never.includes(id));
  return { ...file, limits: { ...file.limits, must, never: never.length > 0 ? never : undefined } };
}
