import type { Explanation } from './explain';

/** The part in which one blade falls furthest behind another at the same task, with both sentences; null when none does. */
export function whatMakesWorse(
  better: Explanation,
  worse: Explanation,
): { part: string; keeps: number; than: number; why: string; insteadOf: string } | null {
  if (worse.veto) return { part: 'Do not', keeps: 0, than: 1, why: worse.veto, insteadOf: '' };
  const kept = (e: Explanation, id: string) => {
    const part = e.parts.find((p) => p.id === id);
    return part ? Math.pow(part.value, part.weight) : 1;
  };
  let found: ReturnType<typeof whatMakesWorse> = null;
  let furthest = 0.995;
  for (const part of worse.parts) {
    const keeps = Math.pow(part.value, part.weight);
    const than = kept(better, part.id);
    if (keeps / than < furthest) {
      furthest = keeps / than;
      found = {
        part: part.name,
        keeps,
        than,
        why: part.why,
        insteadOf: better.parts.find((p) => p.id === part.id)?.why ?? '',
      };
    }
  }
  return found;
}
