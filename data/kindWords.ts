import { readKindWords } from '../src/core/kit/label/kinds';
import words from './kindWords.json';

/** Names of the kinds of knives in shops' lists, parsed once. */
export const kindWords = readKindWords(words);
