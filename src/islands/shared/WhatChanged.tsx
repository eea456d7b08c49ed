import { useState } from 'react';
import type { Plan } from '../../core/formats/planFile';
import { changesBetween } from './changes';
import css from './WhatChanged.module.css';

/** What the last answer changed, told at once and kept until the next one. */
export function WhatChanged({ plan }: { plan: Plan | null }) {
  const [told, setTold] = useState<{ plan: Plan | null; changes: string[] | null }>({ plan: null, changes: null });
  // taken over while rendering: the answer before is only known here
  if (plan && told.plan !== plan) {
    const changes = told.plan ? changesBetween(told.plan, plan) : null;
    // a harder look at the same question is no new answer
    setTold({ plan, changes: changes && changes.length > 0 ? changes : told.changes });
  }
  return (
    <section className={css.changed} aria-live="polite" aria-label="What your last answer changed">
      <h2>Your last answer</h2>
      {told.changes === null ? (
        <p className="faded">Change an answer, and see here what it does to the plan.</p>
      ) : (
        <ul>
          {told.changes.map((change) => (
            <li key={change}>{change}</li>
          ))}
        </ul>
      )}
    </section>
  );
}
