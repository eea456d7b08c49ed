import type { Plan } from '../../core/formats/planFile';

/** What is known of a kit against all others within its limits. */
export function proofWords({ best, gap }: Plan['proof']): string {
  if (gap === null) return 'Still checking whether your money can buy more.';
  const points = (100 * gap).toFixed(1);
  if (!best) return `We stopped searching before the end: another kit might score up to ${points} points more.`;
  return points === '0.0'
    ? 'This is the best kit for your budget and limits.'
    : `This is the best kit for your budget and limits: another scores ${points} points more, but covers less of your cutting.`;
}
