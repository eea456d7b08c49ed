/** Closed word lists of cutting: how a cut is made, and what a kitchen may never eat. */
export const MOTIONS = ['rock', 'push', 'pull', 'chop', 'saw', 'in-hand', 'tip', 'cleave', 'pry'] as const;
export type Motion = (typeof MOTIONS)[number];
export const FOODS_AVOIDED = ['meat', 'poultry', 'fish', 'shellfish', 'bread', 'gluten', 'dairy'] as const;
export type Avoidable = (typeof FOODS_AVOIDED)[number];
