export { ActivityEntity, ClockEntity, ShopEntity } from './entities.ts';
