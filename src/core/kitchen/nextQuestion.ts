import type { KitchenFile } from '../formats/kitchenFile';

/** What a kitchen may be asked next. */
export const QUESTIONS = ['budget', 'cooking', 'hand', 'drawer', 'sharpening', 'board', 'motions'] as const;
export type Question = (typeof QUESTIONS)[number];

/** Whether a kitchen file has answered each question. */
const ANSWERED: Record<Question, (file: KitchenFile) => boolean> = {
  budget: ({ budget }) => budget?.total !== undefined || budget?.perMonth != null,
  cooking: ({ cooking }) =>
    [cooking?.cuisines, cooking?.dishes, cooking?.tasks].some((list) => (list?.length ?? 0) > 0),
  hand: ({ cooks }) => cooks?.[0]?.handLengthMm !== undefined || cooks?.[0]?.palmBreadthMm !== undefined,
  drawer: ({ owned }) => owned !== undefined,
  sharpening: ({ habits }) => habits?.sharpening !== undefined,
  board: ({ board }) => board?.lengthMm !== undefined || board?.material !== undefined,
  motions: ({ cooks }) => Object.values(cooks?.[0]?.motions ?? {}).some((share) => (share ?? 0) > 0),
};

/** Whether a kitchen has answered a question. */
export const isAnswered = (question: Question, file: KitchenFile): boolean => ANSWERED[question](file);

/**
 * The one question most worth answering next, by a plain rule: the first that is open in the order in which answers usually move a plan: the
 * money, what is cooked, the hand, what is owned, who sharpens, the board, how one cuts. Null once all are answered.
 *
 * @example nextQuestion({ format: 'scabbard.kitchen', version: 1 }) // 'budget'
 */
export const nextQuestion = (file: KitchenFile): Question | null =>
  QUESTIONS.find((question) => !ANSWERED[question](file)) ?? null;
