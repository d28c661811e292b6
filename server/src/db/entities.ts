import { SessionEntity, UserEntity } from '../access/entities.ts';
import {
  EffectiveEntity,
  JournalEntity,
  LaborLineEntity,
  LaborStateEntity,
  LooseEndEntity,
  PresenceEntity,
  RefusedEntity,
  StintEntity,
  TaskMarkEntity,
} from '../ledger/entities.ts';
import { BadgeEntity, CostRateEntity, GradeEntity, TechnicianEntity } from '../people/entities.ts';
import { ActivityEntity, ClockEntity, ShopEntity } from '../shop/entities.ts';
import { StationEntity } from '../station/entities.ts';
import { OrderEntity, TaskEntity } from '../work/entities.ts';

export const ENTITIES = [
  UserEntity,
  SessionEntity,
  StationEntity,
  TechnicianEntity,
  BadgeEntity,
  CostRateEntity,
  GradeEntity,
  OrderEntity,
  TaskEntity,
  ShopEntity,
  ActivityEntity,
  ClockEntity,
  JournalEntity,
  RefusedEntity,
  EffectiveEntity,
  LaborStateEntity,
  StintEntity,
  PresenceEntity,
  LooseEndEntity,
  LaborLineEntity,
  TaskMarkEntity,
];
