/** What of a plan goes onto paper, and the papers. */
export const PAPER_KINDS = ['plan', 'shopping', 'care'] as const;
export type PaperKind = (typeof PAPER_KINDS)[number];

/** Sizes of paper, mm, upright. */
export const PAPERS = { a4: { wide: 210, high: 297 }, letter: { wide: 215.9, high: 279.4 } } as const;
export type Paper = keyof typeof PAPERS;
