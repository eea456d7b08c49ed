import { NativeSelect } from '@mantine/core';
import type { Remote } from 'comlink';
import { useState } from 'react';
import type { KitchenWorker, Target } from '../../workers/kitchen.worker';
import { taskName } from '../shared/words';
import CutView from './CutView';

/** A food chosen, and the blades of a sheet or a comparison cutting it. */
export default function CutPicker({
  worker,
  targets,
  tasks,
}: {
  worker: Remote<KitchenWorker>;
  targets: readonly Target[];
  /** Task ids, those that weigh most first. */
  tasks: readonly string[];
}) {
  const [picked, setPicked] = useState<string | null>(null);
  const task = picked !== null && tasks.includes(picked) ? picked : tasks[0];
  if (!task) return null;
  return (
    <section aria-labelledby="cut-seen">
      <h2 id="cut-seen">See the cut</h2>
      <NativeSelect
        label="Food"
        w={280}
        mb="xs"
        value={task}
        data={tasks.map((id) => ({ value: id, label: taskName(id) }))}
        onChange={(e) => setPicked(e.currentTarget.value)}
      />
      <CutView worker={worker} targets={targets} task={task} />
    </section>
  );
}
