import type { EntityManager } from '@mikro-orm/libsql';
import { AbsenceEntity, LeaveAllowanceEntity } from '@wergon/server/people';
import { addDays, calendarYear, daysFrom, toSeconds } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { technicianId } from './ids.ts';
import { PEOPLE } from './sampleShop.ts';

/** Hours of holiday that everybody has in a year. */
const HOLIDAY_HOURS = 200;

/** Who was away and will be, and how much holiday everybody has. Days that have passed only where the sample's own people
 *  did not come. */
export async function addAbsences(em: EntityManager, today: LocalDay, hasPast: boolean): Promise<void> {
  const away = (id: string, ahead: number, kind: string, isPaid = true, hours?: number) => ({
    ...{ technician: technicianId(id), day: addDays(today, ahead), kind, isPaid },
    seconds: hours === undefined ? null : toSeconds(hours * 3600),
  });
  await em.insertMany(AbsenceEntity, [
    ...daysFrom(today, 3).map((_day, i) => away('t6', i + 2, 'holiday')),
    away('t17', 1, 'training'),
    away('t13', 3, 'other', false, 2),
    ...(hasPast
      ? [
          away('t10', -5, 'holiday'),
          away('t10', -4, 'holiday'),
          away('t1', -14, 'sick'),
          away('t23', -12, 'unpaid leave', false),
        ]
      : []),
  ]);
  const year = calendarYear(today);
  await em.insertMany(
    LeaveAllowanceEntity,
    [year, year + 1].flatMap((each) =>
      PEOPLE.map((_person, i) => ({
        ...{ technician: technicianId(`t${i + 1}`), year: each, kind: 'holiday' as const },
        seconds: toSeconds(HOLIDAY_HOURS * 3600),
      })),
    ),
  );
}
