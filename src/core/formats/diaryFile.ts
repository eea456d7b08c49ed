import type { z } from '../zod';
import { date, id, number, object, oneOf, text } from './fields';
import { BOUNDS, MOST } from './kitchenBounds';
import { CUT_TESTS, DEEDS, SHARPENERS, TEST_RESULTS } from './kitchenWords';

/** What was done to, with or by an owned knife on a day. */
export const diaryEntrySchema = object({
  on: date,
  /** Its place in `owned`. */
  knife: number(0, MOST.owned - 1, true),
  did: oneOf(DEEDS),
  /** Sharpened: by what. */
  by: oneOf(SHARPENERS).optional(),
  /** Sharpened: to how many degrees a side. */
  angleDeg: number(5, 50).optional(),
  /** Sharpened: on which stones, such as 1000, 3000. */
  stones: text(80).optional(),
  /** Sharpened: minutes it took; used: minutes of cutting. */
  minutes: number(...BOUNDS.diaryMinutes).optional(),
  /** Chipped: on which task's food; used: at which task. */
  task: id.optional(),
  /** By which cook, by place. */
  cook: number(0, MOST.cooks - 1, true).optional(),
  /** Tested: on what. */
  test: oneOf(CUT_TESTS).optional(),
  result: oneOf(TEST_RESULTS).optional(),
  /** Tested: grams on a kitchen scale to sever a stretched thread. */
  grams: number(...BOUNDS.grams).optional(),
  /** Measured: height at the heel, mm. */
  heelHeightMm: number(...BOUNDS.heelHeightMm).optional(),
  note: text(200).optional(),
}).check((ctx) => {
  const { did, test, grams, result, heelHeightMm } = ctx.value;
  const lacks = (what: string) =>
    ctx.issues.push({ code: 'custom', input: ctx.value, message: `was ${did} and lacks ${what}` });
  if (did === 'tested' && test === undefined) lacks('test: on what it was');
  if (did === 'tested' && test === 'thread' && grams === undefined) lacks('grams: the peak on the scale');
  if (did === 'tested' && test !== undefined && test !== 'thread' && result === undefined) lacks('result');
  if (did === 'measured' && heelHeightMm === undefined) lacks('heelHeightMm');
});
export type DiaryEntry = z.infer<typeof diaryEntrySchema>;
