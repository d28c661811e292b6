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
