import { TRIAL } from '../constants';
import type { BenchTrialFile, TriedKnife } from '../formats/trialsFile';
import { cellsOf } from '../trial/paired';
import type { CookContext } from './cook';
import type { MeasuredScores } from './measuredScore';
import { type PreparedTask, scoreFor } from './score';
import type { BladeTraits } from './traits';

interface Cell {
  blade: string;
  task: string;
  trial: number;
  score: number;
  trials: number;
  computed: number;
}

function cellsTried(
  trials: readonly BenchTrialFile[],
  cook: CookContext,
  bladeOf: (knife: TriedKnife) => BladeTraits | undefined,
  taskOf: (id: string) => PreparedTask | undefined,
): Cell[] {
  return trials.flatMap((trial, index) =>
    [...cellsOf(trial.runs)].flatMap(([knife, tasks]) => {
      const tried = trial.knives[knife];
      const blade = tried && bladeOf(tried);
      if (!blade) return [];
      return [...tasks].flatMap(([id, cell]): Cell[] => {
        const task = taskOf(id);
        return task
          ? [{ blade: blade.blade.id, task: id, trial: index, ...cell, computed: scoreFor(blade, task, cook) }]
          : [];
      });
    }),
  );
}

/** How generously a trial's marks were given, score: the mean residual, drawn towards none. */
function generosity(cells: readonly Cell[], spread: number): number {
  const { generous } = TRIAL.model;
  let [sum, weight] = [0, 1 / generous.value ** 2];
  for (const { score, computed, trials } of cells) {
    const precision = 1 / (spread + TRIAL.rating.noise.value ** 2 / trials);
    sum += precision * (score - computed);
    weight += precision;
  }
  return sum / weight;
}

/**
 * Empirical Bayes (handbook 9.2): the true score of a cell is taken to lie about the computed one with a spread that is itself learned from all
 * cells tried (the starting spread counts as so many of them); marks lie about the true score, shifted by how generously a trial was marked. What
 * comes out per cell is the freed mean and the weight its trials give it. Blades a cook may not use for a task stay refused.
 */
export function measuredScores(
  trials: readonly BenchTrialFile[],
  cook: CookContext,
  bladeOf: (knife: TriedKnife) => BladeTraits | undefined,
  taskOf: (id: string) => PreparedTask | undefined,
): MeasuredScores {
  const cells = cellsTried(trials, cook, bladeOf, taskOf);
  const { spread: start, spreadCounts } = TRIAL.model;
  const noise = TRIAL.rating.noise.value ** 2;
  const generous = (spread: number) =>
    new Map(
      [...new Set(cells.map(({ trial }) => trial))].map((trial) => [
        trial,
        generosity(
          cells.filter((c) => c.trial === trial),
          spread,
        ),
      ]),
    );
  const first = generous(start.value ** 2);
  const seen = cells.reduce(
    (sum, c) => sum + Math.max(0, (c.score - (first.get(c.trial) ?? 0) - c.computed) ** 2 - noise / c.trials),
    0,
  );
  const spread = (spreadCounts.value * start.value ** 2 + seen) / (spreadCounts.value + cells.length);
  const freed = generous(spread);
  const found: Record<string, Record<string, { sum: number; trials: number }>> = {};
  for (const cell of cells) {
    const tasks = (found[cell.blade] ??= {});
    const before = (tasks[cell.task] ??= { sum: 0, trials: 0 });
    before.sum += (cell.score - (freed.get(cell.trial) ?? 0)) * cell.trials;
    before.trials += cell.trials;
  }
  return Object.fromEntries(
    Object.entries(found).map(([blade, tasks]) => [
      blade,
      Object.fromEntries(
        Object.entries(tasks).map(([task, { sum, trials: n }]) => [
          task,
          { score: Math.min(100, Math.max(0, sum / n)), weight: spread / (spread + noise / n), trials: n },
        ]),
      ),
    ]),
  );
}
