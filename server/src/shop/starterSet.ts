import { keysOf } from '@wergon/core/result';
import { newId } from '../db/index.ts';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { dated } from '@wergon/core/time';
import { drawRandomCode } from '../scan/index.ts';
import { ActivityEntity, ListItemEntity } from './entities.ts';

/** Indirect activities that every shop has, so that no hour is homeless on the first day. */
const ACTIVITIES = [
  { title: 'Waiting for parts', counts: true, isPaid: true },
  { title: 'Waiting for instructions', counts: true, isPaid: true },
  { title: 'Cleaning and tidying', counts: true, isPaid: true },
  { title: 'Shop meeting', counts: true, isPaid: true },
  { title: 'Training', counts: true, isPaid: true },
  { title: 'Maintenance of own machines', counts: true, isPaid: true },
  { title: 'Paid pause', counts: true, isPaid: true },
  { title: 'Private errand', counts: false, isPaid: false },
] as const;

const REASONS = {
  'down-reason': ['Machine stopped', 'No material', 'Tool broken', 'Waiting for a crane'],
  'rework-reason': ['Drawing wrong', 'Material fault', 'Own mistake', 'Customer changed their mind'],
  'scrap-reason': ['Material fault', 'Out of size', 'Damaged'],
} as const;

/** What a new shop begins with. */
export async function addStarterSet(em: EntityManager): Promise<void> {
  for (const { title, counts, isPaid } of ACTIVITIES)
    await em.insert(ActivityEntity, {
      id: newId(),
      title,
      counts: dated(counts),
      isPaid,
      division: '',
      isOff: false,
      code: drawRandomCode('activity'),
    });
  for (const list of keysOf(REASONS))
    for (const name of REASONS[list])
      await em.insert(ListItemEntity, { id: randomUUID(), list, name, isOff: false });
}
