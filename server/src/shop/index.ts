export { writeCharge } from './charge.ts';
export { ensureListItems } from './ensureListItems.ts';
export type { ListKind } from './ensureListItems.ts';
export {
  ActivityEntity,
  ClockEntity,
  CapacityEntity,
  ClosedDayEntity,
  CustomerEntity,
  ListItemEntity,
  NoticeEntity,
  OvertimeRuleEntity,
  ResourceEntity,
  ShopEntity,
  UnitEntity,
} from './entities.ts';
export type { Activity, Shop, StoredPolicy, Unit } from './entities.ts';
export { mountShop } from './routes.ts';
export { entersElsewhere, settingsOf } from './settings.ts';
export { REVOKED, StationEntity } from './station.ts';
export { unitWords } from './unitWords.ts';
