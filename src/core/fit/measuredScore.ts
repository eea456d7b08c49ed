/** A score measured on food, to be mixed with the computed one. */
export interface Measured {
  /** Mean of the trials, freed of how generously this cook marks, 0–100. */
  score: number;
  /** How much it counts against the computed score, 0–1. */
  weight: number;
  trials: number;
}
/** Measured scores by blade id and task id. */
export type MeasuredScores = Readonly<Record<string, Readonly<Record<string, Measured>>>>;

/** A computed score, 0–100, with what was measured mixed in. */
export const withMeasured = (computed: number, measured: Measured | undefined): number =>
  measured === undefined || computed <= 0 ? computed : computed + measured.weight * (measured.score - computed);

/** Whether any cook tried this blade at this task. */
export const isMeasured = (
  cooks: readonly { measured: MeasuredScores }[],
  blade: { blade: { id: string } } | null,
  task: string,
): boolean => blade !== null && cooks.some(({ measured }) => measured[blade.blade.id]?.[task] !== undefined);
