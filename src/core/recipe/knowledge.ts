import type { Task } from '../cutting/task';
import type { Lexicon } from './foods';
import type { Language } from './language';

/** What was said of lines before: the task a line of these words comes to, null where nothing is cut. */
export type Corrections = ReadonlyMap<string, string | null>;

/** What reading a recipe rests on. */
export interface RecipeKnowledge {
  lexicon: Lexicon;
  tasks: ReadonlyMap<string, Task>;
  /** Languages read beside English. */
  languages: readonly Language[];
  /** What was said of lines before. */
  corrections?: Corrections;
}
