import type { EntityManager } from '@mikro-orm/libsql';
import { addDays, parseDay, toInstant } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { OvertimeRuleEntity, ensureListItems } from '@wergon/server/shop';
import { unwrap } from './unwrap.ts';

/** Those who work at night are paid by rules of their own. */
export const NIGHT_GROUP = 'Night crew';

/** How overtime is paid: alike for all, and sooner for those who work at night. */
export async function addOvertime(em: EntityManager, firstDay: LocalDay): Promise<void> {
  const usual = {
    weekStart: 1,
    day: [
      { over: '8.5', class: 'overtime' },
      { over: '12', class: 'double' },
    ],
    week: [{ over: '40', class: 'overtime' }],
    special: [
      { on: 7, class: 'double' },
      { on: 'closed', class: 'double' },
    ],
    multipliers: { overtime: '1.5', double: '2' },
    premiumOn: 'worked',
  } as const;
  const said = { by: 'Solveig Aune', at: toInstant(addDays(firstDay, -90) * 86_400) };
  const night = { ...usual, day: [{ over: '8', class: 'overtime' }] };
  for (const [payGroup, terms] of [['', usual] as const, [NIGHT_GROUP, night] as const])
    await em.insert(OvertimeRuleEntity, {
      ...{ fromDay: unwrap(parseDay('2026-01-01')), payGroup, rule: JSON.stringify(terms) },
      ...said,
    });
  await ensureListItems(em, { 'pay-group': [NIGHT_GROUP] });
}
