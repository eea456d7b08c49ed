import type { Plan } from '../../core/formats/planFile';

/** What is known of a kit against all others within its limits. */
export function proofWords({ best, gap }: Plan['proof']): string {
  if (gap === null) return 'Whether more can be had for this money is still being worked out.';
  const points = (100 * gap).toFixed(1);
  if (!best) return `The search stopped before the end: another kit might be worth up to ${points} points more.`;
  return points === '0.0'
    ? 'No kit within these limits is worth more.'
    : `No kit within these limits is worth more, but for ${points} points given up so that this one covers more.`;
}
