/** The figures of a blade that a brief bounds, in the order in which they are told. */
export const BRIEF_FIGURES = [
  'lengthMm',
  'heelHeightMm',
  'weightG',
  'hrc',
  'spineHeelMm',
  'behindEdgeMm',
  'edgeAngleDeg',
] as const;
export type BriefFigure = (typeof BRIEF_FIGURES)[number];

/** What to look for in any shop for one step of a plan. Lengths in mm, weight in g, hardness in HRC, angle in degrees a side. */
export interface StepBrief {
  order: number;
  type: string;
  /** The kind of knife and what matters of it, as one would tell a seller. */
  inWords: string;
  /** The model it was worked out on: an example, not an order. */
  pick: { model: string; lengthMm: number; price: number } & Record<Exclude<BriefFigure, 'lengthMm'>, number | null>;
  /** Within these the knife stays as good for this cook; null where the figure does not matter. */
  ranges: { lengthMm: [number, number] } & Record<Exclude<BriefFigure, 'lengthMm'>, [number, number] | null>;
  must: string[];
  avoid: string[];
  indifferent: string[];
  /** The highest price at which it stays in the plan, in the kitchen's currency. */
  priceUpTo: number;
  /** What would take its place above that; null where nothing would. */
  instead: string | null;
  ask: string[];
  inTheHand: string[];
}

/** The briefs of a plan's purchases. */
export interface Brief {
  format: 'scabbard.brief';
  version: 1;
  kitchen: string;
  currency: string;
  steps: StepBrief[];
}
