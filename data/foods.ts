import { readLexicon } from '../src/core/recipe/foods';
import foods from './foods.json';

/** The words for foods and what each cut of them asks of a knife, parsed once. */
export const lexicon = readLexicon(foods);
