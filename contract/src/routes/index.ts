export { describeRoutes } from './openapi.ts';
export type { Caller, Route } from './route.ts';
export { ROUTES, STREAM_PATHS, UnreadableAnswer, readResponse } from './routes.ts';
export type { BodyOf, CallerOf, ParsedBodyOf, ParsedQueryOf, ResponseOf, RouteName } from './routes.ts';
