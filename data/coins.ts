import { readCoins } from '../src/core/trial/coins';
import coins from './coins.json';

/** Coins in use by currency, with weight and width as their mints give them. */
export const coinsByCurrency = readCoins(coins);
