import { efficiencyOf, sumDifferences } from '@wergon/core/compare';
import { ok } from '@wergon/core/result';
import { addDays, daysFrom, mondayOf } from '@wergon/core/time';
import { readSql } from '../../db/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { loadFinishedJobs } from './finishedJobs.ts';
import { loadFinishedTasks } from './finishedTasks.ts';
import { spanOf } from './jobs.ts';

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
      const jobs = loadFinishedJobs(sql, known, spanOf(known, weekFrom(monday)), now, 'standard');
      return ok({
        asOf: now,
        days: daysFrom(monday, DAYS_OF_WEEK).map((day) => {
          const own = jobs.filter(
            ({ finishedAt }) => finishedAt !== null && known.zone.dayAt(finishedAt) === day,
          );
          const { differenceSeconds } = sumDifferences(own.map(({ current }) => current));
          return { day, jobCount: own.length, differenceSeconds };
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
