export { describeRoutes } from './openapi.ts';
export { ROUTES, STREAM_PATHS } from './routes.ts';
export type { BodyOf, Caller, ParsedBodyOf, ParsedQueryOf, ResponseOf, Route, RouteName } from './routes.ts';
