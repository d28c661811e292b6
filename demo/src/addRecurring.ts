import type { EntityManager } from '@mikro-orm/libsql';
import { addDays } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { RecurrenceEntity, StandardEntity, UnitReadingEntity } from '@wergon/server/work';
import { sampleId } from './ids.ts';

/** Work that comes back on some units; days are counted back from today. */
const RECURRING = [
  { unit: 'u3', title: 'Balance and bearings, fan', kind: 'months', every: 12, lastAgo: 372 },
  { unit: 'u8', title: 'Balance and bearings, fan', kind: 'months', every: 6, lastAgo: 166 },
  { unit: 'u5', title: 'Pump set overhaul', kind: 'hours', every: 4000, lastAgo: 210 },
  { unit: 'u14', title: 'Shaft repair, mixer', kind: 'months', every: 24, lastAgo: 300 },
] as const;
/** What the meter of the unit by running hours stood at. */
const READINGS = [
  { ago: 210, hours: 18_200 },
  { ago: 90, hours: 20_550 },
  { ago: 6, hours: 22_060 },
] as const;

/** Lets work on some of the sample shop's units come back: some is overdue, some comes due soon, by months and by hours. */
export async function addRecurring(em: EntityManager, today: LocalDay): Promise<void> {
  const jobs = new Map((await em.find(StandardEntity, { kind: 'job' })).map(({ id, title }) => [title, id]));
  for (const [i, { title, lastAgo, ...rest }] of RECURRING.entries()) {
    const job = jobs.get(title);
    if (!job) continue;
    await em.insert(RecurrenceEntity, {
      id: sampleId<string>(`recurring-${i + 1}`),
      ...rest,
      job,
      lastDay: addDays(today, -lastAgo),
      isOff: false,
      order: null,
      madeBy: null,
    });
  }
  for (const [i, { ago, hours }] of READINGS.entries())
    await em.insert(UnitReadingEntity, {
      id: sampleId<string>(`reading-${i + 1}`),
      unit: 'u5',
      day: addDays(today, -ago),
      hours,
    });
}
