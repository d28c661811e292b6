import { efficiencyOf } from '@wergon/core/compare';
import { ok } from '@wergon/core/result';
import { addDays, daysFrom, mondayOf, toSeconds } from '@wergon/core/time';
import { readSql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { sumCaused } from '../caused.ts';
import { loadFinishedTasks } from './finishedTasks.ts';
import { loadJobs } from './jobs.ts';

const WEEKS_BEFORE = 3;
const DAYS_OF_WEEK = 7;

/** How the shop holds its estimates this week, and how it did in the weeks before. Source: docs/compare.md, section 9. */
export function mountComparedWeek(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('comparedWeek', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const now = clock.now();
    const monday = mondayOf(known.zone.dayAt(now));
    const weekFrom = (firstDay: typeof monday) => ({
      firstDay,
      lastDay: addDays(firstDay, DAYS_OF_WEEK - 1),
    });
    return readSql(database, (sql) => {
      const jobs = loadJobs(sql, known, { ...weekFrom(monday), show: 'finished' }, now, 'standard');
      return ok({
        asOf: now,
        days: daysFrom(monday, DAYS_OF_WEEK).map((day) => {
          const own = jobs.filter(
            ({ finishedAt }) => finishedAt !== null && known.zone.dayAt(finishedAt) === day,
          );
          const { current } = sumCaused(own.flatMap(({ tasks }) => tasks));
          return { day, jobCount: own.length, differenceSeconds: toSeconds(current.differenceSeconds) };
        }),
        weeks: Array.from({ length: WEEKS_BEFORE + 1 }, (_each, i) => {
          const week = weekFrom(addDays(monday, (i - WEEKS_BEFORE) * DAYS_OF_WEEK));
          const { taskCount, estimatedSeconds, includedSeconds } = efficiencyOf(
            loadFinishedTasks(sql, known, week, now),
          );
          return { firstDay: week.firstDay, taskCount, estimatedSeconds, includedSeconds };
        }),
      });
    });
  });
}
