import { z } from '../zod';
import { shown } from './faults';
import { date, id, list, money, number, object, text, truth } from './fields';
import { BOUNDS, MOST } from './kitchenBounds';

const knifeShape = {
  /** A model of the catalogue. */
  model: id.optional(),
  /** The place of an owned knife in `owned`. */
  owned: number(0, MOST.owned - 1, true).optional(),
};

const mustBeOne = (ctx: z.core.ParsePayload<{ model?: string; owned?: number }>) => {
  const { model, owned } = ctx.value;
  if ((model === undefined) === (owned === undefined))
    ctx.issues.push({
      code: 'custom',
      input: ctx.value,
      message: 'names a knife by either model (a catalogue id) or owned (its place in the drawer)',
    });
};

const answers = z.record(id, id, { error: (issue) => `${shown(issue.input)} is not answers by check` }).check((ctx) => {
  if (Object.keys(ctx.value).length > 40)
    ctx.issues.push({ code: 'custom', input: ctx.value, message: 'has more than 40 answers' });
});

/** A knife held for two minutes: a catalogue model, or one known by its label alone. */
const handTestSchema = object({
  model: id.optional(),
  /** What a label says of a knife that is no model. */
  label: object({ name: text(80), type: id, lengthMm: number(...BOUNDS.edgeLengthMm).optional() }).optional(),
  cook: number(0, MOST.cooks - 1, true).optional(),
  on: date,
  place: text(80).optional(),
  asked: money.optional(),
  answers,
}).check((ctx) => {
  if ((ctx.value.model === undefined) === (ctx.value.label === undefined))
    ctx.issues.push({
      code: 'custom',
      input: ctx.value,
      message: 'names a knife by either model (a catalogue id) or label (what the shop’s label says)',
    });
});

const runSchema = object({
  task: id,
  /** Which knife of the trial. */
  knife: number(0, 2, true),
  effort: number(...BOUNDS.rating, true),
  control: number(...BOUNDS.rating, true),
  result: number(...BOUNDS.rating, true),
  seconds: number(...BOUNDS.seconds).optional(),
  unsafe: truth.optional(),
  note: text(200).optional(),
});

/** Two or three equally sharp knives on the same foods, in turn. */
const benchTrialSchema = object({
  on: date,
  cook: number(0, MOST.cooks - 1, true).optional(),
  knives: list(object(knifeShape).check(mustBeOne), 3).min(2, 'needs two or three knives'),
  tasks: list(id, MOST.foods).min(1, 'needs at least one task'),
  runs: list(runSchema, MOST.runs),
});

export const trialsSchema = object({
  hand: list(handTestSchema, MOST.handTests).optional(),
  bench: list(benchTrialSchema, MOST.benchTrials).optional(),
  /** Whether measured scores count over computed ones; they do where nothing is said. */
  measuredCounts: truth.optional(),
});

export type HandTestFile = z.infer<typeof handTestSchema>;
export type BenchTrialFile = z.infer<typeof benchTrialSchema>;
export type BenchRun = z.infer<typeof runSchema>;
export type TriedKnife = BenchTrialFile['knives'][number];
export type TrialsFile = z.infer<typeof trialsSchema>;
