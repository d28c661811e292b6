import type { OvertimeJson, OvertimeTerms } from '@wergon/contract/pay';
import type { TechnicianId } from '@wergon/core/people';
import { isRecord, ok } from '@wergon/core/result';
import { addDays, earliestOf } from '@wergon/core/time';
import type { LocalDay } from '@wergon/core/time';
import { countDue } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { readOwnJson, readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { writeTerms } from '../catalog/index.ts';
import { PayGroupEntity } from '../people/index.ts';
import { OvertimeRuleEntity, ensureListItems } from '../shop/index.ts';
import { tryOvertime } from './tryOvertime.ts';

/** Rules may be said so many days ahead. */
const MOST_AHEAD = 366;
/** A week that a rule makes begin elsewhere began no earlier than this many days before. */
const WEEK = 7;

/** Routes of how overtime is paid, and of who is paid by which rules. What would change days gone by is tried first. */
export function mountOvertime(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts, deriveAnew } = context;

  mount('overtime', async ({ who }) => {
    const known = await facts.seenBy(who.user);
    const today = known.zone.dayAt(clock.now());
    const em = database.em.fork();
    const rules = await em.findAll(OvertimeRuleEntity, { orderBy: { fromDay: -1, payGroup: 1 } });
    const groups = groupsOn(await em.findAll(PayGroupEntity), today);
    const names = new Set([...rules.map(({ payGroup }) => payGroup), ...groups.values()]);
    return ok({
      rules: rules.map(({ fromDay, payGroup, rule, by, at }): OvertimeJson['rules'][number] => ({
        from: fromDay,
        group: payGroup,
        terms: readOwnJson<OvertimeTerms>(rule),
        by,
        at,
      })),
      groups: [...names]
        .filter((name) => name !== '')
        .sort()
        .map((name) => ({
          name,
          people: [...groups].filter(([id, own]) => own === name && known.technicians.has(id)).length,
        })),
      pending: await readSql(database, countDue),
    });
  });

  mount('tryOvertime', async ({ body, who }) => {
    const known = await facts.seenBy(who.user);
    const memberships = await database.em.fork().findAll(PayGroupEntity);
    const seesRates = who.rights.has('rates.see');
    return ok(await readSql(database, (sql) => tryOvertime(sql, known, memberships, body, seesRates)));
  });

  mount('saveOvertime', async ({ body, req, who }) => {
    const known = await facts.get();
    const today = known.zone.dayAt(clock.now());
    const refusal = await refuseChange(body, today);
    if (refusal) return refusal;
    const from = earliestOf([body.from, body.replaces?.from ?? body.from]);
    if (from <= today && !body.isPastAgreed) return refuse('rules.changes_past');
    // Kept as it was sent, in the decimal strings that the schema has just read.
    const terms = isRecord(req.body) ? (req.body['terms'] as OvertimeTerms | null) : null;
    await deriveAnew(addDays(from, -WEEK), () =>
      database.em.fork().transactional(async (em) => {
        const { replaces, group: payGroup } = body;
        if (replaces)
          await em.nativeDelete(OvertimeRuleEntity, { fromDay: replaces.from, payGroup: replaces.group });
        if (!terms) return;
        await ensureListItems(em, { 'pay-group': [payGroup] });
        await em.insert(OvertimeRuleEntity, {
          fromDay: body.from,
          payGroup,
          rule: writeTerms(terms),
          by: who.user.name,
          at: clock.now(),
        });
      }),
    );
    return ok(null);
  });

  /** Why rules cannot be changed so; nothing where they can. */
  async function refuseChange(
    { from, group, terms, replaces }: Call<'saveOvertime'>['body'],
    today: LocalDay,
  ) {
    if (from > addDays(today, MOST_AHEAD))
      return refuse('input.invalid', [{ field: 'from', message: 'is more than a year later' }]);
    const em = database.em.fork();
    const find = (key: { from: LocalDay; group: string }) =>
      em.findOne(OvertimeRuleEntity, { fromDay: key.from, payGroup: key.group });
    const isReplaced = replaces !== null && replaces.from === from && replaces.group === group;
    if (replaces ? !(await find(replaces)) : terms === null) return refuse('record.not_found');
    if (terms && !isReplaced && (await find({ from, group })))
      return refuse('record.taken', [{ field: 'from', message: 'there is a rule of this date for them' }]);
    return undefined;
  }

  mountPayGroups(mount, context);
}

function mountPayGroups(mount: Mount, { database, clock, facts, deriveAnew }: LedgerContext): void {
  mount('payGroups', async ({ param }) => {
    const technician = param('technician');
    if (!(await facts.get()).technicians.has(technician)) return refuse('record.not_found');
    const rows = await database.em.fork().find(PayGroupEntity, { technician }, { orderBy: { fromDay: 1 } });
    return ok({ groups: rows.map(({ fromDay, payGroup }) => ({ from: fromDay, group: payGroup })) });
  });

  mount('savePayGroup', async ({ param, body: { from, group, isPastAgreed } }) => {
    const technician = param('technician');
    const known = await facts.get();
    const today = known.zone.dayAt(clock.now());
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    if (from > addDays(today, MOST_AHEAD))
      return refuse('input.invalid', [{ field: 'from', message: 'is more than a year later' }]);
    const key = { technician, fromDay: from };
    if (group === null && !(await database.em.fork().findOne(PayGroupEntity, key)))
      return refuse('record.not_found');
    const changesPay = known.overtime.rules.length > 0;
    if (from < today && changesPay && !isPastAgreed) return refuse('rules.changes_past');
    const write = () =>
      database.em.fork().transactional(async (em) => {
        await em.nativeDelete(PayGroupEntity, key);
        if (group === null) return;
        await ensureListItems(em, { 'pay-group': [group] });
        await em.insert(PayGroupEntity, { ...key, payGroup: group });
      });
    await deriveAnew(addDays(from, -WEEK), write, [technician]);
    return ok(null);
  });
}

type Membership = {
  readonly technician: TechnicianId;
  readonly fromDay: LocalDay;
  readonly payGroup: string;
};

/** To which group everybody belongs on a day. */
export function groupsOn(
  memberships: readonly Membership[],
  day: LocalDay,
): ReadonlyMap<TechnicianId, string> {
  const groups = new Map<TechnicianId, string>();
  for (const { technician, fromDay, payGroup } of [...memberships].sort((a, b) => a.fromDay - b.fromDay))
    if (fromDay <= day) groups.set(technician, payGroup);
  return groups;
}
