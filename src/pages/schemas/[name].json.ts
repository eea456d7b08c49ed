import type { APIRoute } from 'astro';
import { jsonSchemaOf, SCHEMA_NAMES } from '../../core/formats/jsonSchemas';

/** The JSON Schema of a file format, by its name. */
export const GET: APIRoute = ({ params }) => {
  const name = SCHEMA_NAMES.find((known) => known === params.name);
  if (!name) return new Response(`No schema of that name; there are ${SCHEMA_NAMES.join(', ')}.`, { status: 404 });
  return new Response(JSON.stringify(jsonSchemaOf(name)), { headers: { 'content-type': 'application/schema+json' } });
};
