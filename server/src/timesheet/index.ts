export { DraftEntity } from './entities.ts';
export { mountTimesheet } from './routes.ts';
