import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { fetchCorrections, forgetCorrection, rememberCorrection } from '../../../client/corrections';
import type { RecipeLine } from '../../../core/formats/recipeFile';
import type { Recipe } from '../../../core/formats/recipeFile';
import type { HowOften } from '../dishEdits';
import type { RecipeWorker } from '../../../workers/recipe.worker';

/** A recipe as it was read, and as its reader corrects it. */
export interface Reading {
  name: string;
  portions: number;
  language: string | null;
  lines: RecipeLine[];
  unread: string[];
  /** How often it is cooked, and whether instead of one of the everyday meals. */
  often: HowOften;
}

export interface Source {
  /** A file's name without its ending; empty for a pasted text. */
  name: string;
  text: string;
}

/** What the method cuts of no line stands behind the lines. */
const readingOf = ({ name, portions, language, lines, unread, method = [] }: Recipe, fallback: string): Reading => ({
  name: name ?? fallback,
  portions,
  language: language ?? null,
  lines: [
    ...lines,
    ...method.map(({ text: line, tasks }) => ({ line, quantity: null, unit: null, food: null, cut: null, tasks })),
  ],
  unread,
  often: { times: 1, per: 'week', instead: true },
});

/** The worker that reads recipes, begun when the first one comes. */
function useRecipeWorker(): () => Remote<RecipeWorker> {
  const held = useRef<{ worker: Worker; remote: Remote<RecipeWorker> } | null>(null);
  useEffect(() => () => held.current?.worker.terminate(), []);
  return () => {
    if (!held.current) {
      const worker = new Worker(new URL('../../../workers/recipe.worker.ts', import.meta.url), { type: 'module' });
      held.current = { worker, remote: wrap<RecipeWorker>(worker) };
    }
    return held.current.remote;
  };
}

/**
 * Recipes read one after the other, with how far it is and a way to stop; what this workspace corrected before is read so again. A correction is
 * remembered by the server; where it cannot be, the line stays corrected here and `told` says so.
 */
export function useRecipes() {
  const worker = useRecipeWorker();
  const [readings, setReadings] = useState<Reading[]>([]);
  const [faults, setFaults] = useState<string[]>([]);
  const [progress, setProgress] = useState<{ done: number; all: number } | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const run = useRef(0);

  const read = async (sources: readonly Source[]) => {
    const mine = ++run.current;
    setReadings([]);
    setFaults([]);
    setTold(null);
    const corrections = await fetchCorrections().catch(() => new Map<string, string | null>());
    const all: Source[] = [];
    const wrong: string[] = [];
    for (const source of sources) {
      const parts = await worker().split(source.text);
      if ('fault' in parts) wrong.push(source.name === '' ? parts.fault : `${source.name}: ${parts.fault}`);
      else for (const text of parts.sources) all.push({ name: parts.sources.length === 1 ? source.name : '', text });
    }
    const done: Reading[] = [];
    for (const [i, source] of all.entries()) {
      if (mine !== run.current) return;
      if (all.length > 1) setProgress({ done: i, all: all.length });
      const answer = await worker().read(source.text, corrections);
      if ('fault' in answer) wrong.push(source.name === '' ? answer.fault : `${source.name}: ${answer.fault}`);
      else done.push(readingOf(answer.recipe, source.name));
    }
    if (mine !== run.current) return;
    setProgress(null);
    setReadings(done);
    setFaults(wrong);
  };
  const stop = () => {
    run.current++;
    setProgress(null);
    setFaults(['Stopped: nothing was taken over.']);
  };
  const correct = async (line: RecipeLine, task: string | null): Promise<RecipeLine> => {
    const { line: mended, words } = await worker().correct(line, task);
    if (words !== '')
      rememberCorrection(words, task).then(
        () => setTold('Remembered: lines of these words are read so from now on.'),
        () => setTold('Changed here, but it could not be remembered just now.'),
      );
    return mended;
  };
  const forget = async (line: RecipeLine) => {
    const { words } = await worker().correct(line, null);
    await forgetCorrection(words).then(
      () => setTold('Forgotten: the line is read afresh the next time.'),
      () => setTold('It could not be forgotten just now.'),
    );
  };
  return { readings, setReadings, faults, setFaults, progress, told, read, stop, correct, forget };
}
