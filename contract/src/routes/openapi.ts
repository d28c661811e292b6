import { z } from 'zod';
import { problemSchema } from '../wire/index.ts';
import { ROUTES } from './routes.ts';
import type { Route } from './route.ts';

const jsonSchemaOf = (schema: z.ZodType, io: 'input' | 'output') =>
  z.toJSONSchema(schema, { io, unrepresentable: 'any', target: 'draft-2020-12' });

const content = (schema: z.ZodType, io: 'input' | 'output', type = 'application/json') => ({
  content: { [type]: { schema: jsonSchemaOf(schema, io) } },
});

function parametersOf({ path, query }: Route) {
  const names = [...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
    name,
    in: 'path',
    required: true,
    schema: { type: 'string' },
  }));
  const properties = query instanceof z.ZodObject ? Object.entries(query.shape) : [];
  return [
    ...names,
    ...properties.map(([name, schema]) => ({
      name,
      in: 'query',
      required: !schema.safeParse(undefined).success && !(schema instanceof z.ZodExactOptional),
      schema: jsonSchemaOf(schema, 'input'),
    })),
  ];
}

/** The OpenAPI 3.1 document of every route, made from the same schemas that the server parses with. */
export function describeRoutes() {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [operationId, route] of Object.entries(ROUTES) as [string, Route][]) {
    const path = route.path.replace(/:(\w+)/g, '{$1}');
    paths[path] = {
      ...paths[path],
      [route.method]: {
        operationId,
        summary: route.summary,
        description: `May be called by: ${route.caller}`,
        parameters: parametersOf(route),
        ...(route.body ? { requestBody: { required: true, ...content(route.body, 'input') } } : {}),
        responses: {
          200: { description: 'Done', ...content(route.response, 'output') },
          default: {
            description: 'A problem (RFC 9457)',
            ...content(problemSchema, 'output', 'application/problem+json'),
          },
        },
      },
    };
  }
  return { openapi: '3.1.0', info: { title: 'Wergon', version: '0.1.0' }, paths };
}
