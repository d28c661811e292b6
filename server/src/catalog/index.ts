export type { CatalogContext } from './context.ts';
export { createFactsCache } from './facts.ts';
export type { FactsCache } from './facts.ts';
export { factsNow } from './factsNow.ts';
export type { ShopFacts } from './shopFacts.ts';
export { orderNumberOf, titleOf } from './names.ts';
export { sightOf } from './sight.ts';
export { mountCatalog } from './routes.ts';
