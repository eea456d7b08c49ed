import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';
import { jsonSchemaOf, SCHEMA_NAMES } from './jsonSchemas';

const written = (name: string): unknown =>
  JSON.parse(readFileSync(join(import.meta.dirname, '..', '..', '..', 'docs', 'schemas', `${name}.json`), 'utf8'));

test.each(SCHEMA_NAMES)('the written schema of %s is the one that reads it (npm run -s schemas)', (name) => {
  expect(written(name)).toEqual(JSON.parse(JSON.stringify(jsonSchemaOf(name))));
});

test('a kitchen’s bounds, words and lists are told', () => {
  expect(jsonSchemaOf('kitchen')).toMatchObject({
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    required: ['format', 'version'],
    additionalProperties: false,
    properties: {
      cooks: {
        maxItems: 12,
        items: {
          properties: {
            handLengthMm: { type: 'number', minimum: 120, maximum: 260 },
            grip: { enum: ['pinch', 'handle', 'fingertip', 'unsure'] },
          },
        },
      },
      cooksAtOnce: { type: 'integer', minimum: 1, maximum: 60 },
      name: { type: 'string', minLength: 1, maxLength: 80 },
    },
  });
});
