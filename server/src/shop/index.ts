export { writeCharge } from './charge.ts';
export { ensureLabels } from './ensureListItems.ts';
export type { LabelKind } from './ensureListItems.ts';
export {
  ActivityEntity,
  ClockEntity,
  ClosedDayEntity,
  CustomerEntity,
  ListItemEntity,
  NoticeEntity,
  ResourceEntity,
  ShopEntity,
  UnitEntity,
} from './entities.ts';
export type { Shop, Unit } from './entities.ts';
export { mountShop } from './routes.ts';
export { settingsOf } from './settings.ts';
export { StationEntity } from './station.ts';
