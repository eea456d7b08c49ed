import type { PlanningContext } from '../context/planningContext';
import type { Candidate } from '../candidates/candidate';
import { lowerFirst } from '../../text/case';
import type { Felt } from '../../kitchen/felt';
import { taughtByUse } from './taught';

/** What a hand test came to, as the end of a sentence. */
function verdictWords({ verdict, reasons }: Felt): string {
  if (verdict === 'walk-away') return `left, because ${reasons.join('; ')}: not planned`;
  return verdict === 'good' ? 'a good sign' : `good only if ${reasons.join(', and ')}`;
}

/** What holding knives, trying them on food and using them changed in a plan, in sentences; empty where nothing was tried. */
export function triedWords(context: PlanningContext, steps: readonly Candidate[]): string[] {
  const bought = new Set(steps.flatMap(({ action, id }) => (action === 'buy' ? [id] : [])));
  const named = new Map(context.models.map((model) => [model.id, `${model.name}, ${model.maker}`]));
  const several = context.cooks.length > 1;
  const chipped = context.kitchen.diary.flatMap(({ knife, did, task, on }) =>
    did === 'chipped' && task
      ? [
          `${context.owned[knife]?.type.name ?? 'Owned knife'}: chipped on ${on} (${lowerFirst(context.reference.tasks.get(task)?.name ?? task)}): not planned for that again.`,
        ]
      : [],
  );
  return [
    ...new Set(chipped),
    ...taughtByUse(context),
    ...context.cooks.flatMap(({ cook, measured }) => {
      const whose = several ? `${cook.name}: ` : '';
      const held = Object.entries(cook.felt).flatMap(([id, felt]) =>
        felt.verdict === 'walk-away' || bought.has(id)
          ? [`${whose}${named.get(id) ?? id}, held on ${felt.on}: ${verdictWords(felt)}.`]
          : [],
      );
      const cells = Object.values(measured).reduce((sum, tasks) => sum + Object.keys(tasks).length, 0);
      return cells === 0
        ? held
        : [
            ...held,
            `${whose}${cells === 1 ? 'One score is' : `${cells} scores are`} measured on food and count${cells === 1 ? 's' : ''} over the computed ${cells === 1 ? 'one' : 'ones'}.`,
          ];
    }),
  ];
}
