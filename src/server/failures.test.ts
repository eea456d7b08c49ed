import { expect, test } from 'vitest';
import { described, outage } from './failures';

const wrapped = (code: string, message = 'inner') =>
  new Error('Failed query: insert … params: my secret soup', { cause: Object.assign(new Error(message), { code }) });

test('a database that is gone, busy or full is told from a fault of ours, however deep it is wrapped', () => {
  for (const code of ['ECONNREFUSED', '57P01', '08006', '53300', '57P03', '57014'])
    expect(outage(wrapped(code))).toBe('away');
  expect(outage(new Error('Connection terminated unexpectedly'))).toBe('away');
  expect(outage(wrapped('53100'))).toBe('full');
  for (const code of ['22021', '23505', '42P01', '']) expect(outage(wrapped(code))).toBeNull();
  expect(outage('no error')).toBeNull();
});

test('what is logged holds the code and the place, never the parameters', () => {
  const told = described(wrapped('42P01', 'relation "soup" does not exist'));
  expect(told).toMatchObject({ code: '42P01', error: 'Error: relation "soup" does not exist' });
  expect(told.at).toContain('failures.test');
  expect(JSON.stringify(told)).not.toContain('secret');
});
