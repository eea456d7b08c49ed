import { taskDone } from '../core/load/load';
import { reference } from '../../data/reference';
import type { BladeModel } from '../core/blade/schema';
import { TRIAL } from '../core/constants';
import { cutScene, type CutScene, sceneWords } from '../core/fit/scene';
import { scoreFor, prepareTask } from '../core/fit/score';
import { bladeTraits, type BladeTraits } from '../core/fit/traits';
import type { TriedKnife } from '../core/formats/trialsFile';
import type { PlanningContext } from '../core/kit/context/planningContext';
import { type Camera, type ExamplePhoto, examplePhoto } from '../core/measure/examplePhoto';
import { type FoodToTry, foodsToTry } from '../core/kit/trying/foods';

/** What the views of trying ask of a kitchen laid out; loaded by the worker when first asked. */

/** Foods on which these knives are best tried by a cook of the file, the one that tells most first. */
export function foodsFor(
  context: PlanningContext,
  cook: number,
  knives: readonly TriedKnife[],
  tried: readonly [string, number][],
): FoodToTry[] {
  const name = context.kitchen.cooks[cook]?.name;
  const who = context.cooks.find((each) => each.cook.name === name) ?? context.cooks[0];
  const blades = knives.flatMap(({ model, owned }) => {
    if (owned !== undefined) return context.owned[owned]?.blade ?? [];
    const found = context.models.find(({ id }) => id === model);
    return found ? bladeTraits(found, reference, context.kitchen.habits.roughUse) : [];
  });
  return who && blades.length === knives.length
    ? foodsToTry(context, who, blades, new Map(tried), TRIAL.bench.foods.value)
    : [];
}

/** Ways in which the examples are photographed. */
const CAMERAS: readonly Omit<Camera, 'width' | 'height'>[] = [
  { turn: 0.06, tilt: 0.18, grain: 7, seed: 3 },
  { turn: -0.12, tilt: 0.25, grain: 9, seed: 5 },
  { turn: 0.02, tilt: 0.1, grain: 5, seed: 8 },
];

/** An example photo of a knife: turned, tilted and grainy in one of a few ways. */
export const exampleOf = (blade: BladeModel, which: number): ExamplePhoto =>
  examplePhoto(blade, {
    width: 1280,
    height: 860,
    ...(CAMERAS[which % CAMERAS.length] ?? { turn: 0, tilt: 0, grain: 5, seed: 1 }),
  });

/** A cut with what is needed to draw it. */
export interface SeenCut {
  scene: CutScene;
  words: string[];
  blade: BladeModel;
  hand: { grip: 'pinch' | 'handle' | 'fingertip'; handLengthMm: number; palmBreadthMm: number };
}

/** A blade at one task, for the cook of the kitchen whom it suits best; null where nobody may use it so. */
export function cutOf(context: PlanningContext, blade: BladeTraits, taskId: string): SeenCut | null {
  const known = reference.tasks.get(taskId);
  if (!known) return null;
  const task = taskDone(known, context.kitchen);
  const prepared = prepareTask(task);
  const [cook] = [...context.cooks].sort((a, b) => scoreFor(blade, prepared, b) - scoreFor(blade, prepared, a));
  const scene = cook && cutScene(blade, task, cook);
  if (!scene) return null;
  const { grip, handLengthMm, palmBreadthMm } = cook.cook;
  return {
    scene,
    words: sceneWords(scene),
    blade: blade.blade,
    hand: { grip: grip === 'unsure' ? 'pinch' : grip, handLengthMm, palmBreadthMm },
  };
}
