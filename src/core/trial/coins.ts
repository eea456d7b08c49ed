import { TRIAL } from '../constants';
import { z } from '../zod';

const coinSchema = z.strictObject({
  name: z.string(),
  weightG: z.number().positive(),
  acrossMm: z.number().positive(),
});
export type Coin = z.infer<typeof coinSchema>;

/** Coins by currency code. Throws a ZodError that names what is wrong. */
export const readCoins = (raw: unknown): Map<string, Coin[]> =>
  new Map(Object.entries(z.record(z.string(), z.array(coinSchema).min(1)).parse(raw)));

/** A knife as far as its feel goes: weight g, balance and edge mm forward of the heel, handle mm behind it. */
export interface Weighed {
  weightG: number;
  balanceMm: number;
  lengthMm: number;
  handleLengthMm: number;
}

/** What to tape where so that a known knife feels like another, or why that cannot be done. */
export type FeelAlike =
  | {
      can: true;
      /** Weight to add, g, and where: mm forward of the heel. */
      addG: number;
      atMm: number;
      coins: { coin: Coin; count: number }[];
      /** What the coins weigh more (or less, negative) than wanted, g. */
      offG: number;
    }
  | { can: false; why: string };

/** The few coins that come nearest to a weight: of one or two kinds. */
function coinsFor(grams: number, coins: readonly Coin[]): { coin: Coin; count: number }[] {
  const most = TRIAL.coin.rows.value * 2;
  let best: { picked: { coin: Coin; count: number }[]; cost: number } = { picked: [], cost: grams };
  for (const a of coins)
    for (const b of coins)
      for (let i = 0; i <= most; i++) {
        const rest = (grams - i * a.weightG) / b.weightG;
        for (const j of [Math.floor(rest), Math.ceil(rest)]) {
          if (j < 0 || i + j > most || i + j === 0) continue;
          // a coin more has to bring it nearer by half a gram
          const cost = Math.abs(grams - i * a.weightG - j * b.weightG) + 0.5 * (i + j);
          if (cost >= best.cost - 1e-9) continue;
          const picked = [
            { coin: a, count: i },
            { coin: b, count: j },
          ].filter(({ count }) => count > 0);
          best = { picked, cost };
        }
      }
  return best.picked;
}

/**
 * Coins that make a known knife feel like a heavier candidate at the same grip (handbook 9.1): m = W2 − W1 at x = (W2·b2 − W1·b1)/m. Told where
 * it cannot be done: nothing can be taken off a knife, and the place must lie on it.
 *
 * @example feelAlike({ weightG: 150, balanceMm: 5, lengthMm: 180, handleLengthMm: 115 }, { weightG: 180, balanceMm: 10, lengthMm: 210, handleLengthMm: 120 }, coins).can // true
 */
export function feelAlike(known: Weighed, candidate: Weighed, coins: readonly Coin[]): FeelAlike {
  const addG = candidate.weightG - known.weightG;
  const least = Math.min(...coins.map(({ weightG }) => weightG), 2);
  if (addG < -least / 2)
    return {
      can: false,
      why: `It is ${Math.round(-addG)} g lighter than the knife you know, and tape takes nothing off.`,
    };
  const moment = candidate.weightG * candidate.balanceMm - known.weightG * known.balanceMm;
  if (addG < least / 2)
    return Math.abs(moment) / candidate.weightG < 4
      ? { can: false, why: 'The two weigh and balance nearly alike: they feel alike already.' }
      : {
          can: false,
          why: `They weigh alike but balance ${Math.round(Math.abs(moment) / candidate.weightG)} mm apart, and coins cannot move weight.`,
        };
  const atMm = moment / addG;
  if (atMm > known.lengthMm || atMm < -known.handleLengthMm)
    return {
      can: false,
      why: `The coins would have to sit ${Math.round(atMm > 0 ? atMm - known.lengthMm : -atMm - known.handleLengthMm)} mm beyond the ${atMm > 0 ? 'tip' : 'handle’s end'}: the balance is too far apart.`,
    };
  const picked = coinsFor(addG, coins);
  const weighs = picked.reduce((sum, { coin, count }) => sum + count * coin.weightG, 0);
  return { can: true, addG, atMm, coins: picked, offG: weighs - addG };
}
