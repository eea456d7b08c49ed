import { bladeModelSchema } from '../blade/schema';
import { z } from '../zod';
import { briefFileSchema } from './briefFile';
import { catalogueFileSchema } from './catalogueFile';
import { edgeFileSchema } from './edgeFile';
import { kitchenFileSchema } from './kitchenFile';
import { labelFileSchema } from './labelFile';
import { planFileSchema } from './planFile';
import { recipeFileSchema } from './recipeFile';
import { keepingFileSchema, storageFileSchema } from './storageFile';
import { workspaceFileSchema } from './workspaceFile';

const FORMATS = {
  kitchen: { schema: kitchenFileSchema, title: 'Kitchen file of Scabbard, version 1' },
  model: { schema: bladeModelSchema, title: 'One blade of a Scabbard catalogue, version 1' },
  catalogue: { schema: catalogueFileSchema, title: 'Catalogue of blades, version 1' },
  plan: { schema: planFileSchema, title: 'Plan of Scabbard, version 1' },
  brief: { schema: briefFileSchema, title: 'Briefs of a plan, version 1' },
  label: { schema: labelFileSchema, title: 'A shop’s label as it was read and judged, version 1' },
  recipe: { schema: recipeFileSchema, title: 'A recipe as it was understood, version 1' },
  edge: { schema: edgeFileSchema, title: 'The edges of a kitchen, version 1' },
  storage: { schema: storageFileSchema, title: 'Where knives may live, version 1' },
  keeping: { schema: keepingFileSchema, title: 'Where the knives of a kitchen live, version 1' },
  workspace: { schema: workspaceFileSchema, title: 'Everything of one cook, version 1' },
} as const;
export const SCHEMA_NAMES = [
  'kitchen',
  'model',
  'catalogue',
  'plan',
  'brief',
  'label',
  'recipe',
  'edge',
  'storage',
  'keeping',
  'workspace',
] as const satisfies (keyof typeof FORMATS)[];
export type SchemaName = (typeof SCHEMA_NAMES)[number];

/** The JSON Schema (draft 2020-12) of a file format, made from the schema that reads it. */
export function jsonSchemaOf(name: SchemaName): Record<string, unknown> {
  const { schema, title } = FORMATS[name];
  return { ...z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'input', unrepresentable: 'any' }), title };
}
