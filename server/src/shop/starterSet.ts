import { keysOf } from '@wergon/core/result';
import { newId } from '../db/index.ts';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { dated } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import { drawRandomCode } from '../scan/index.ts';
import { ActivityEntity, ListItemEntity } from './entities.ts';

/** Indirect activities that every shop has, so that no hour is homeless on the first day. */
type Starter = {
  readonly title: string;
  readonly description: string;
  /** The kind of work that belongs here where an order's estimate leaves it out. */
  readonly takesWork?: WorkType;
  /** Neither attended nor paid. */
  readonly isOwnTime?: boolean;
};
const ACTIVITIES: readonly Starter[] = [
  {
    title: 'Waiting for parts',
    description: 'Work stands still because something is not here',
    takesWork: 'down',
  },
  { title: 'Waiting for instructions', description: 'Nobody has said yet how to go on' },
  {
    title: 'Loading and driving',
    description: 'To a customer, to a supplier, and back',
    takesWork: 'travel',
  },
  { title: 'Deliveries', description: 'Taking in goods, or handing them out' },
  { title: 'Cleaning and tidying', description: 'The shop, not a job', takesWork: 'cleanup' },
  { title: 'Shop meeting', description: 'Everybody together' },
  { title: 'Training', description: 'Learning, or teaching somebody' },
  { title: 'Maintenance of own machines', description: 'Care and repair of what belongs to the shop' },
  { title: 'Paid pause', description: 'A pause that is paid' },
  { title: 'Private errand', description: 'Not attended, not paid', isOwnTime: true },
];

const REASONS = {
  'down-reason': ['Machine stopped', 'No material', 'Tool broken', 'Waiting for a crane'],
  'rework-reason': ['Drawing wrong', 'Material fault', 'Own mistake', 'Customer changed their mind'],
  'scrap-reason': ['Material fault', 'Out of size', 'Damaged'],
} as const;

/** What a new shop begins with. */
export async function addStarterSet(em: EntityManager): Promise<void> {
  for (const { title, description, takesWork, isOwnTime = false } of ACTIVITIES)
    await em.insert(ActivityEntity, {
      id: newId(),
      title,
      description,
      counts: dated(!isOwnTime),
      isPaid: !isOwnTime,
      takesWork: takesWork ?? null,
      division: '',
      isOff: false,
      code: drawRandomCode('activity'),
    });
  for (const list of keysOf(REASONS))
    for (const name of REASONS[list])
      await em.insert(ListItemEntity, { id: randomUUID(), list, name, isOff: false });
}
