import { NativeSelect } from '@mantine/core';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { REASON } from '../../core/constants';
import type { Served } from '../../core/kit/plan/assignment';
import { lowerFirst } from '../../core/text/case';
import { knifeName } from '../shared/names';
import { taskName, typeName } from '../shared/words';

/** Below this score no knife is named for a task. */
const HARDLY = 25;

/** Which knife or tool of a drawer does a task, in a sentence; where none does it well, that too. */
export function knifeFor({ by, score }: Served, blades: readonly BladeModel[]): string {
  if (by && 'tool' in by) return `The ${lowerFirst(typeName(by.tool))} does it best.`;
  const knife = by && 'owned' in by ? blades[by.owned] : undefined;
  if (!knife || score < HARDLY) return 'No knife in this drawer should do this.';
  const name = knifeName(knife);
  const points = `${Math.round(score)} of 100`;
  if (score >= REASON.wellFrom.value) return `Take the ${lowerFirst(name)}: it does this well (${points}).`;
  return `Take the ${lowerFirst(name)}. It manages, no more (${points}); nothing here does it better.`;
}

/** Asks what is cut now, and names the knife of this drawer for it. */
export function ForTask({ served, blades }: { served: readonly Served[]; blades: readonly BladeModel[] }) {
  const [task, setTask] = useState('');
  const often = [...served].sort((a, b) => b.minutesPerWeek - a.minutesPerWeek);
  const chosen = often.find((each) => each.task === task);
  return (
    <>
      <NativeSelect
        label="What do you cut now?"
        value={task}
        data={[
          { value: '', label: 'choose' },
          ...often.map((each) => ({ value: each.task, label: taskName(each.task) })),
        ]}
        onChange={(e) => setTask(e.currentTarget.value)}
      />
      <p role="status">{chosen && <b>{knifeFor(chosen, blades)}</b>}</p>
    </>
  );
}
