/** What is taken for granted until it is said. House choices for a middling home; each use is listed in `assumed`. */
export const DEFAULTS = {
  handLengthMm: 185,
  /** Palm breadth ≈ 0.455 × hand length, the ratio of the handbook's examples. */
  palmPerHand: 0.455,
  board: { lengthMm: 400, widthMm: 300, material: 'wood', counter: 'roomy' },
  habits: {
    upkeep: 'wipes-after',
    sharpening: 'professional',
    honing: 'none',
    storage: 'block',
    dishwasher: false,
    roughUse: false,
    bones: false,
    lifts: null,
    carves: null,
    sharpeningPrice: null,
    visitsPerYear: null,
    sharpenAtMostEveryWeeks: null,
    sharpenerPrices: {},
  },
  mealsPerWeek: 7,
  portions: 2,
  cuisine: 'everyday-western',
  budgetEur: 250,
  /** A monthly amount without a total is counted over this many months. */
  months: 24,
  /** Knives for one or two at work; kinds of knife, any number of each, for more. */
  maxKnives: 6,
  /** Guests asked less often than this, times a year, are served from what is there. */
  guestsPerYear: 6,
} as const;
