import { readLexicon } from '../src/core/recipe/foods';
import { readLanguage } from '../src/core/recipe/language';
import foods from './foods.json';
import german from './languages/de.json';
import english from './languages/en.json';

/** The words for foods and what each cut of them asks of a knife, parsed once. */
export const lexicon = readLexicon(foods, english);

/** The languages recipes are read in beside English. */
export const languages = [german].map(readLanguage);
