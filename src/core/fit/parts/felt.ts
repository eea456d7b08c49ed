import type { Part } from '../part';

export const felt: Part = {
  id: 'felt',
  restsOn: 'cook',
  reads: ({ cook }) => [cook.felt],
  name: 'Held',
  about: 'What this cook found with the knife in the hand.',
  level: () => 1,
  value: (b, _task, { cook }) => cook.felt[b.blade.id]?.shifts.felt ?? 1,
  tells: (b, { cook }) => cook.felt[b.blade.id] !== undefined,
  why: (b, _task, { cook }) => {
    const found = cook.felt[b.blade.id];
    if (!found) return 'Not held yet.';
    return found.verdict === 'good'
      ? `Held on ${found.on}: ${found.reasons.join('; ')}.`
      : `Held on ${found.on}; good only if ${found.reasons.join(', and ')}.`;
  },
};
