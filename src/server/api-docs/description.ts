import { generateSpecs } from 'hono-openapi';
import type { Hono } from 'hono';
import { EXAMPLE_IDS, EXAMPLES } from './examples.ts';
import { ROUTE_WORDS } from './route-words.ts';

type Described = Awaited<ReturnType<typeof generateSpecs>>;
const METHODS = ['get', 'post', 'put', 'delete'] as const;
type Method = (typeof METHODS)[number];

/** Problem details, as every refusal is answered (RFC 9457). */
const PROBLEM = {
  type: 'object',
  required: ['type', 'title', 'status', 'detail'],
  properties: {
    type: { type: 'string' },
    title: { type: 'string' },
    status: { type: 'integer' },
    detail: { type: 'string', description: 'What is wrong and what to do, in a sentence' },
    errors: {
      type: 'array',
      description: 'What is wrong field by field',
      items: {
        type: 'object',
        properties: { field: { type: 'string' }, sentence: { type: 'string' }, code: { type: 'string' } },
      },
    },
    current: { description: 'The newer record, when an older version was sent' },
  },
};

const REFUSALS: Readonly<Record<string, string>> = {
  '400': 'The body is no JSON',
  '401': 'The passphrase is asked for',
  '404': 'There is no such thing',
  '405': 'The path takes other methods, named in Allow',
  '409': 'It was changed meanwhile; `current` is what it is now',
  '413': 'The body is too large',
  '415': 'The body must be sent as application/json',
  '422': 'It was understood and cannot be kept; `errors` says why, field by field',
};
const refusals = Object.fromEntries(
  Object.entries(REFUSALS).map(([status, description]) => [
    status,
    {
      description,
      content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
    },
  ]),
);

/** The part of the books a path is about. */
const tagOf = (path: string): string => {
  const parts = path.split('/').filter((part) => part !== '' && part !== 'api' && !part.startsWith('{'));
  return (parts[0] === 'gardens' || parts[0] === 'beds' ? parts[1] : undefined) ?? parts[0] ?? 'books';
};

const FILE_TOLD = 'A garden file, as docs/garden-file.md tells of it; it is read as it comes in';
/** Bodies that pass no schema on their way in. */
const OTHER_BODIES: Readonly<Record<string, object>> = {
  'POST /api/imports': { 'application/json': { schema: { type: 'object', description: FILE_TOLD } } },
  'PUT /api/gardens/{gardenId}/photos/{photoId}': { 'image/jpeg': {}, 'image/png': {} },
};

interface Operation {
  readonly parameters?: readonly { readonly in: string; readonly name: string }[];
  readonly requestBody?: { readonly content?: Record<string, { schema?: unknown; example?: unknown }> };
  responses?: Record<string, unknown>;
}

/** What stands in a path is shown by an example, so that every route can be tried. */
const withExample = (parameter: { readonly in: string; readonly name: string }): object =>
  parameter.in === 'path' ? { ...parameter, example: EXAMPLE_IDS[parameter.name] } : parameter;

function describedOperation(method: Method, path: string, operation: Operation): object {
  const key = `${method.toUpperCase()} ${path}`;
  const content = operation.requestBody?.content?.['application/json'];
  const example = EXAMPLES[key];
  if (content && example !== undefined) content.example = example;
  const other = OTHER_BODIES[key];
  return {
    ...operation,
    ...(operation.parameters ? { parameters: operation.parameters.map(withExample) } : {}),
    ...(other ? { requestBody: { required: true, content: other } } : {}),
    summary: ROUTE_WORDS[key] ?? key,
    tags: [tagOf(path)],
    responses: { '2XX': { description: 'What was asked for, or what was written' }, ...refusals },
  };
}

/** The API as OpenAPI 3.1, out of the very schemas that requests pass. */
export async function apiDescription(app: Hono, version: string): Promise<object> {
  const described: Described = await generateSpecs(app, {
    includeEmptyPaths: true,
    defaultValidationErrorResponse: false,
    exclude: [/^\/api\/(openapi\.json|docs)$/],
    documentation: {
      openapi: '3.1.0',
      info: {
        title: 'Vine Ledger',
        version,
        description:
          'The books of every bed: carbon and nitrogen. Amounts are per bed in metric base units, named by their fields. Writes name the version they have seen; whoever comes too late is answered with what there is by now.',
      },
    },
  });
  const paths = Object.fromEntries(
    Object.entries(described.paths).map(([path, item]) => [
      path,
      Object.fromEntries(
        METHODS.flatMap((method) => {
          const operation = item[method] as Operation | undefined;
          return operation ? [[method, describedOperation(method, path, operation)]] : [];
        }),
      ),
    ]),
  );
  return { ...described, openapi: '3.1.0', paths, components: { schemas: { Problem: PROBLEM } } };
}
