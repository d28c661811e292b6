import type { LaborLine, TargetId } from '@wergon/core/ledger';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { Sql } from '../db/index.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { isPayable } from './periods.ts';
import { loadShiftDays } from './shiftDays.ts';

/** Seconds of some tasks' labor that nobody has approved yet: they count in job cost at once, and go to pay later. */
export function unapprovedSeconds(
  sql: Sql,
  facts: ShopFacts,
  lines: readonly LaborLine[],
  now: Instant,
): number {
  if (lines.length === 0) return 0;
  const targets = new Set<TargetId>(lines.map(({ target }) => target));
  const days = lines.map(({ day }) => day);
  const asked = {
    // Labor after midnight can belong to a shift that began the day before.
    firstDay: (Math.min(...days) - 1) as LocalDay,
    lastDay: Math.max(...days) as LocalDay,
    people: new Set(lines.map(({ technician }) => technician)),
  };
  return loadShiftDays(sql, facts, asked, now)
    .filter((day) => !isPayable(facts, day))
    .flatMap((day) => day.lines)
    .filter(({ target }) => targets.has(target))
    .reduce((sum, { seconds }) => sum + seconds, 0);
}
