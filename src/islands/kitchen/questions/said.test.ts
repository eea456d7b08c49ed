import { expect, test } from 'vitest';
import { cookingSaid, cookSaid, drawerSaid, isNew, moneySaid } from './said';

const head = { format: 'scabbard.kitchen', version: 1 } as const;

test('a kitchen that has said something is told in sentences', () => {
  const kitchen = {
    ...head,
    cooks: [{ handLengthMm: 201, experience: 'trained' as const }, {}],
    board: { lengthMm: 560, widthMm: 380 },
    habits: { sharpening: 'stones' as const },
    avoids: ['poultry' as const],
    cooking: {
      mealsPerWeek: 5,
      portions: 8,
      cuisines: [{ id: 'raw-fish' }, { id: 'mediterranean-fish' }],
      tasks: [{ id: 'onion-dice', times: 1, per: 'week' as const }],
    },
    owned: [{ type: 'chef' }, { type: 'bread' }],
    tools: ['peeler'],
    budget: { total: 650, perMonth: 120 },
    limits: { maxKnives: 1 },
  };
  expect(cookingSaid(kitchen)).toBe('Raw fish and Mediterranean fish, 1 task; 5 meals a week for 8; no poultry.');
  expect(cookSaid(kitchen)).toBe(
    'Hand 201 mm, right, trained and 1 more cook; wood board 560 × 380; sharpened on stones.',
  );
  expect(cookSaid({ ...kitchen, cooksAtOnce: 8 })).toContain('trained and 1 more cook; 8 cut at once; wood board');
  expect(moneySaid(kitchen)).toBe('€650 in all, €120 a month; even; at most 1 knife.');
  expect(drawerSaid(kitchen)).toBe("Chef's knife and bread knife; 1 tool.");
  expect(isNew(kitchen)).toBe(false);
});

test('what is assumed is told as such, and no ceiling, monthly money and long lists in their own words', () => {
  expect(isNew(head)).toBe(true);
  expect(cookingSaid(head)).toBe('Assumed: everyday Western cooking; 7 meals a week for 2.');
  expect(cookSaid(head)).toContain('Assumed: hand 185 mm');
  expect(moneySaid(head)).toBe('Assumed: €250 in all; even.');
  expect(moneySaid({ ...head, budget: { total: null } })).toBe('No ceiling; even.');
  expect(moneySaid({ ...head, budget: { perMonth: 20, spend: 'sparing' } })).toBe('€20 a month; sparing.');
  expect(drawerSaid(head)).toBe('No knife yet.');
  const owned = ['chef', 'bread', 'paring', 'nakiri', 'petty'].map((type) => ({ type }));
  expect(drawerSaid({ ...head, owned })).toMatch(/ and 2 more\.$/);
});
