import type { BladeType } from '../../blade/schema';
import type { Tool } from '../../cutting/dish';
import type { EdgeLife } from '../../edge/keenness';
import type { BladeTraits } from '../../fit/traits';

/** Something a plan may do: buy a knife, put an owned one right, have one sharpened through the year, or get a tool. */
export interface Candidate {
  id: string;
  action: 'buy' | 'sharpen' | 'repair' | 'service' | 'tool';
  type: BladeType | null;
  blade: BladeTraits | null;
  tool: Tool | null;
  /** Index into the owned knives that this step puts right. */
  owned: number | null;
  /** All that is paid for it, minor units: price, first sharpening, a year's service. */
  priceMinor: number;
  /** Of that the service through the year: a step of its own in the plan. */
  serviceMinor?: number;
  /** Of that a first sharpening: the factory edge is too acute for its steel. */
  regrindMinor?: number;
  /** The offer its price rests on, in a sentence. */
  offer?: string;
  /** It comes in a set or not at all: nothing can take its place alone. */
  inSet?: boolean;
  /** A sound piece of its type is owned already. */
  isAgain?: boolean;
  /** A general knife where leftover money is to go into the main knife. */
  isMain?: boolean;
  /** What a side taken in a disagreement puts against it, coverage. */
  dislike?: number;
  /** Best score over the hands by task, 0–100, on an average day. */
  scores: Float64Array;
  /** What it does, by the columns of the demand, 0–1. */
  usefulness: Float64Array;
  /** It does pressing work well that no general knife for sale here does: it is no filler, however little it adds. */
  isRescuer?: boolean;
  /** What of that the choice counts: beside a sound owned knife of its kind no polish. */
  counted: Float64Array;
  /** What it would do were it not sharpened through the year. */
  unserviced?: { scores: Float64Array; usefulness: Float64Array };
  edge: EdgeLife | null;
}
