import { z } from 'zod';
import { RIGHTS } from '../access/access.ts';
import { describeRoutes } from './openapi.ts';
import type { Route } from './route.ts';
import { ROUTES, STREAM_PATHS } from './routes.ts';

const routes = Object.entries(ROUTES as Record<string, Route>);

test('no two routes share a method and a path', () => {
  const keys = routes.map(([, { method, path }]) => `${method} ${path.replace(/:\w+/g, ':x')}`);
  expect(new Set(keys).size).toBe(keys.length);
});

test.each(routes)(
  '%s names one caller, says what it does, and reads nothing but what it knows',
  (_name, route) => {
    expect(['public', 'station', 'signed-in', ...RIGHTS]).toContain(route.caller);
    expect(route.summary).toMatch(/^[A-Z].{5,120}[^.]$/);
    expect(route.path).toMatch(/^\/api\/[a-z0-9:/-]+$/i);
    if (route.method === 'get') expect(route.body).toBeUndefined();
    // What is not known is refused, so that a caller's slip of the pen is told and not passed over.
    for (const schema of [route.query, route.body]) {
      if (schema === undefined || !(schema instanceof z.ZodObject)) continue;
      const told = schema.safeParse({ thisIsNoField: 1 }).error?.issues ?? [];
      expect(told.some(({ code }) => code === 'unrecognized_keys')).toBe(true);
    }
  },
);

test('the OpenAPI document names every route with its parameters, its caller and how it fails', () => {
  const { openapi, paths } = describeRoutes();
  expect(openapi).toBe('3.1.0');
  const operations = Object.values(paths).flatMap((each) => Object.values(each)) as {
    operationId: string;
    description: string;
    parameters: { name: string; in: string }[];
    responses: Record<string, unknown>;
  }[];
  expect(operations.map(({ operationId }) => operationId).sort()).toEqual(Object.keys(ROUTES).sort());
  for (const { operationId, description, parameters, responses } of operations) {
    const route = (ROUTES as Record<string, Route>)[operationId];
    expect(description).toContain(String(route?.caller));
    expect(parameters.filter((each) => each.in === 'path').map(({ name }) => name)).toEqual(
      [...(route?.path ?? '').matchAll(/:(\w+)/g)].map(([, name]) => name),
    );
    expect(Object.keys(responses)).toEqual(['200', 'default']);
  }
});

test('the live streams have paths of their own', () => {
  const paths = routes.map(([, { path }]) => path);
  for (const path of Object.values(STREAM_PATHS)) expect(paths).not.toContain(path);
});
