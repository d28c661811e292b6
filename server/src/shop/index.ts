export {
  ActivityEntity,
  ClockEntity,
  ClosedDayEntity,
  CustomerEntity,
  ListItemEntity,
  ResourceEntity,
  ShopEntity,
  UnitEntity,
} from './entities.ts';
