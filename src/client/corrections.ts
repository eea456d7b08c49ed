import { z } from '../core/zod';
import { ask } from './http';

const AT = '/api/corrections';
const correctionSchema = z.object({ words: z.string(), task: z.string().nullable() });
const nothing = () => undefined;

/** What this workspace said of lines of recipes, by their words. */
export const fetchCorrections = (): Promise<Map<string, string | null>> =>
  ask(
    (answer) =>
      new Map(
        z
          .object({ corrections: z.array(correctionSchema) })
          .parse(answer)
          .corrections.map(({ words, task }) => [words, task]),
      ),
    AT,
  );

export const rememberCorrection = (words: string, task: string | null): Promise<void> =>
  ask(nothing, AT, 'PUT', { words, task });

export const forgetCorrection = (words: string): Promise<void> => ask(nothing, AT, 'DELETE', { words });
