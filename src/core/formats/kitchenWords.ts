/** The closed word lists of the kitchen file. They stand apart from the schema so that a form can use them without it. */
export const HANDS = ['right', 'left'] as const;
export const STRENGTHS = ['light', 'average', 'strong'] as const;
export const EXPERIENCES = ['new', 'home', 'keen', 'trained'] as const;
export const GRIPS = ['pinch', 'handle', 'fingertip', 'unsure'] as const;
export const WEIGHT_TASTES = ['light', 'neutral', 'heavy', 'any'] as const;
export const BALANCE_TASTES = ['neutral', 'forward', 'handle', 'any'] as const;
export const BOARD_MATERIALS = ['wood', 'rubber', 'plastic', 'bamboo', 'glass', 'stone'] as const;
export const UPKEEPS = ['leaves-wet', 'wipes-after', 'wipes-during'] as const;
export const SHARPENINGS = ['none', 'pull-through', 'powered', 'professional', 'stones'] as const;
export const HONINGS = ['none', 'steel', 'ceramic', 'strop', 'diamond'] as const;
export const COUNTERS = ['roomy', 'cramped'] as const;
export const STORAGES = ['block', 'strip', 'tray', 'roll', 'guards', 'loose'] as const;
/** Cut food carried on the flat of the blade, or never. */
export const LIFTINGS = ['flat', 'never'] as const;
/** Cooked meat in thin slices or thick ones. */
export const CARVINGS = ['thin', 'thick'] as const;
/** What the second knife is to be. */
export const SECOND_KNIVES = ['general', 'specialist'] as const;
export const CONDITIONS = ['keen', 'serviceable', 'dull', 'chipped', 'worn-out'] as const;
export const USES = ['daily', 'weekly', 'rarely', 'never'] as const;
export const PERIODS = ['day', 'week', 'month', 'year'] as const;
export const LENGTH_SCHOOLS = ['moderate', 'long', 'nimble'] as const;
export const HANDLE_TASTES = ['western', 'japanese', 'moulded', 'metal'] as const;
export const SCHOOL_IDS = [
  'free',
  'two-and-peeler',
  'classic-three',
  'three-lengths',
  'grow-by-gaps',
  'tall-blade',
  'fish-counter',
  'one-mid-blade',
  'line-cook',
  'boxed-set',
] as const;
/** How the money should work: a point of coverage is paid half, the usual, or three times as much. */
export const SPENDINGS = ['sparing', 'even', 'generous'] as const;
/** What an owned knife is kept for: use; a keepsake outside the count; or lending and rough work. */
export const KEEPINGS = ['use', 'keepsake', 'lend'] as const;
/** Standing disagreements of the trade that a kitchen may take a side in; unsaid, the figures decide. */
export const TASTES = {
  steel: ['stainless', 'clad', 'reactive'],
  main: ['sturdy', 'thin'],
  dimples: ['help', 'decorate'],
  bolster: ['none', 'full'],
  third: ['carving', 'serrated'],
  rawMeat: ['own', 'wash'],
  garlic: ['flat', 'never'],
  leftover: ['kept', 'main'],
  specialist: ['early', 'never'],
  looks: ['plain', 'hammered', 'rough-forged', 'patterned'],
  make: ['forged', 'stamped'],
  origin: ['factory', 'hand-made'],
  handleShape: ['round', 'octagon', 'd'],
  boning: ['flexible', 'stiff'],
  boningEdge: ['curved', 'straight'],
  sharpening: ['own', 'never-lent'],
  rod: ['always', 'never'],
  pair: ['one', 'spared-and-abused'],
} as const;

/** What may be wished of a knife, whatever its score. */
export const WISHES = [
  'light',
  'heavy',
  'tall',
  'low',
  'short',
  'long',
  'thin',
  'sturdy',
  'pointed',
  'safe-tip',
  'wet-proof',
  'rust-free',
  'easy-to-sharpen',
  'keeps-its-edge',
  'rocks',
  'flat',
  'grips-when-greasy',
  'no-bolster',
  'smooth-corners',
  'cheap',
] as const;

/** What a diary tells of a knife. */
export const DEEDS = [
  'honed',
  'sharpened',
  'tested',
  'used',
  'oiled',
  'dropped',
  'chipped',
  'machine',
  'measured',
] as const;
export const SHARPENERS = ['stones', 'professional', 'pull-through', 'powered'] as const;
/** What keenness is tried on: a sheet of paper, tomato skin, an onion, a thread over a kitchen scale. */
export const CUT_TESTS = ['paper', 'tomato', 'onion', 'thread'] as const;
export const TEST_RESULTS = ['clean', 'catches', 'fails'] as const;
