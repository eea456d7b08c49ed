import { isCurrency } from '../money/currency';
import { z } from '../zod';
import { shown } from './faults';
import { BOUNDS } from './kitchenBounds';

/** Figures nearer to nothing than this are slips; written out, they would take hundreds of digits. */
const LEAST = 1e-9;

/** Fields of the kitchen file, each with its fault in plain words. */
export const number = (low: number, high: number, whole = false) =>
  z
    .number({ error: (issue) => `${shown(issue.input)} is not a number between ${low} and ${high}` })
    .check((ctx) => {
      const value = ctx.value;
      if (value < low || value > high || (value !== 0 && Math.abs(value) < LEAST))
        ctx.issues.push({ code: 'custom', input: value, message: `${value} is not between ${low} and ${high}` });
      else if (whole && !Number.isInteger(value))
        ctx.issues.push({
          code: 'custom',
          input: value,
          message: `${value} is not a whole number between ${low} and ${high}`,
        });
    })
    .meta({ minimum: low, maximum: high, ...(whole ? { type: 'integer' } : {}) });
export const oneOf = <const T extends readonly [string, ...string[]]>(values: T) =>
  z.enum(values, { error: (issue) => `${shown(issue.input)} is not one of ${values.join(', ')}` });
export const text = (max: number) =>
  z
    .string({ error: (issue) => `${shown(issue.input)} is not text` })
    .check((ctx) => {
      const value = ctx.value;
      if (value.trim().length === 0)
        ctx.issues.push({ code: 'custom', input: value, message: 'is empty; write something or leave it out' });
      else if (value.length > max)
        ctx.issues.push({
          code: 'custom',
          input: value,
          message: `is ${value.length} characters long; at most ${max} fit`,
        });
    })
    .meta({ minLength: 1, maxLength: max });
export const truth = z.boolean({ error: (issue) => `${shown(issue.input)} is not true or false` });
export const object = <T extends z.ZodRawShape>(shape: T) =>
  z.strictObject(shape, {
    error: (issue) => (issue.code === 'invalid_type' ? `${shown(issue.input)} is not an object in braces` : undefined),
  });
export const list = <T extends z.ZodType>(item: T, max: number) =>
  z
    .array(item, {
      error: (issue) => (issue.code === 'invalid_type' ? `${shown(issue.input)} is not a list` : undefined),
    })
    .max(max, {
      error: (issue) =>
        `has ${Array.isArray(issue.input) ? issue.input.length : 'too many'} entries; at most ${max} fit`,
    });
export const id = text(80);
export const money = number(...BOUNDS.money);
export const share = number(0, 100);
export const taste = <const T extends readonly [string, ...string[]]>(values: T) => oneOf(values).nullable().optional();

/** Years that dates may lie in: others are slips of the pen, and not every calendar or database knows them. */
const isYear = (year: number) => year >= 1900 && year <= 2999;
/** A day, YYYY-MM-DD. */
export const date = z.iso
  .date({ error: (issue) => `${shown(issue.input)} is not a date such as 2026-03-31` })
  .check((ctx) => {
    if (!isYear(Number(ctx.value.slice(0, 4))))
      ctx.issues.push({ code: 'custom', input: ctx.value, message: `${ctx.value} is not between 1900 and 2999` });
  });
/** A moment, ISO 8601 in UTC. */
export const moment = z.iso
  .datetime({ error: (issue) => `${shown(issue.input)} is not a time such as 2026-03-31T12:00:00Z` })
  .check((ctx) => {
    if (!isYear(Number(ctx.value.slice(0, 4))))
      ctx.issues.push({ code: 'custom', input: ctx.value, message: `${ctx.value} is not between 1900 and 2999` });
  });
/** An ISO 4217 code. */
export const currency = z
  .string({ error: (issue) => `${shown(issue.input)} is not a currency code such as EUR` })
  .refine(isCurrency, { error: (issue) => `${shown(issue.input)} is not an ISO 4217 currency code such as EUR` });
