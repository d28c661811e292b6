import type { EntryId } from '@wergon/core/ledger';
import { keyOfMissing } from '@wergon/core/pay';
import type { PayCodes, PayLayout, Separator } from '@wergon/core/pay';
import type { TechnicianId } from '@wergon/core/people';
import { ok } from '@wergon/core/result';
import { formatDay } from '@wergon/core/time';
import type { Instant, LocalDay } from '@wergon/core/time';
import type { ShopFacts } from '../catalog/index.ts';
import { newId, readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { Mount } from '../http/index.ts';
import { writeDecision } from '../ledger/index.ts';
import type { LedgerContext } from '../ledger/index.ts';
import { PayGroupEntity } from '../people/index.ts';
import { entersElsewhere } from '../shop/index.ts';
import type { Away } from './away.ts';
import { PayCodeEntity, PayLayoutEntity } from './entities.ts';
import {
  loadPayFiles,
  loadPeriodPay,
  payFileDecision,
  payFileNow,
  stampOfFile,
  tellPayFile,
} from './files.ts';
import { groupsOn } from './overtime.ts';

type AwayOf = (known: ShopFacts, firstDay: LocalDay, now: Instant) => Promise<Away>;

/** Routes of the pay file: payroll's words, the forms of its file, and the files of closed periods, each a decision in the
 *  journal. A file is everybody's: whoever does not see everybody is refused. Source: docs/pay.md, the pay file. */
export function mountPayFiles(mount: Mount, context: LedgerContext, awayOf: AwayOf): void {
  const { database, clock, facts, journal } = context;
  mountForms(mount, context);

  /** What a file is asked of: the period's time away, payroll's words, and who belongs to a group. */
  const loadAsked = async (known: ShopFacts, firstDay: LocalDay, group: string, layout?: PayLayout) => {
    const em = database.em.fork();
    const codes: PayCodes = new Map((await em.findAll(PayCodeEntity)).map(({ kind, code }) => [kind, code]));
    const groups = groupsOn(await em.findAll(PayGroupEntity), firstDay);
    return {
      away: (await awayOf(known, firstDay, clock.now())).days,
      codes,
      groups: [...new Set(groups.values())].filter((name) => name !== '').sort(),
      asked: { layout, isAsked: (who: TechnicianId) => group === '' || groups.get(who) === group },
    };
  };
  const seeFile = (
    sql: Sql,
    known: ShopFacts,
    firstDay: LocalDay,
    { away, codes, asked }: Awaited<ReturnType<typeof loadAsked>>,
  ) => {
    const pay = loadPeriodPay(sql, known, firstDay, away, clock.now());
    return pay && { pay, found: payFileNow(sql, known, pay, codes, asked) };
  };

  mount('payFile', async ({ query: { firstDay, group, layout: id }, who }) => {
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const known = await facts.get();
    const layout = id === undefined ? undefined : await findLayout(database.em.fork(), id);
    if (id !== undefined && !layout) return refuse('record.not_found');
    const loaded = await loadAsked(known, firstDay, group, layout?.layout);
    const told = await readSql(database, (sql) => {
      const seen = seeFile(sql, known, firstDay, loaded);
      if (!seen) return undefined;
      const { pay, found } = seen;
      return {
        ...tellPayFile(known, found),
        refusal: entersElsewhere(known.shop)
          ? ('elsewhere' as const)
          : !pay.isClosed
            ? ('not-closed' as const)
            : !layout
              ? ('no-layout' as const)
              : found.rows.length === 0 && found.missing.length === 0
                ? ('nothing' as const)
                : null,
        groups: loaded.groups,
        stamp: stampOfFile(found, layout?.layout),
        files: loadPayFiles(sql, firstDay),
      };
    });
    return told ? ok(told) : refuse('pay.no_such_period');
  });

  mount('tryPayLayout', async ({ body: { firstDay, group, layout }, who }) => {
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const known = await facts.get();
    const loaded = await loadAsked(known, firstDay, group, layout);
    const seen = await readSql(database, (sql) => seeFile(sql, known, firstDay, loaded));
    if (!seen) return refuse('pay.no_such_period');
    const { cells, rows } = tellPayFile(known, seen.found);
    return ok({ cells, rows });
  });

  mount('makePayFile', async ({ body: { firstDay, group, layout: id, stamp, putOff }, who }) => {
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const layout = await findLayout(database.em.fork(), id);
    if (!layout) return refuse('record.not_found');
    const loaded = await loadAsked(await facts.get(), firstDay, group, layout.layout);
    let made = '';
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql, known) => {
      const seen = seeFile(sql, known, firstDay, loaded);
      if (!seen) return refuse('pay.no_such_period');
      const { pay, found } = seen;
      if (entersElsewhere(known.shop)) return refuse('pay.time_from_elsewhere');
      if (!pay.isClosed) return refuse('pay.not_closed');
      if (stampOfFile(found, layout.layout) !== stamp) return refuse('approve.changed');
      if (found.missing.some((each) => !putOff.includes(keyOfMissing(each))))
        return refuse('pay.file_missing');
      if (found.rows.length === 0) return refuse('pay.file_empty');
      const decision = writeDecision(
        { ...payFileDecision(found, layout), group, by: who.user.name },
        clock.now(),
      );
      made = decision.id ?? '';
      return ok([decision]);
    });
    return done.ok ? ok({ id: made }) : done;
  });

  mount('payFileText', async ({ query: { id }, who }) => {
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const [found] = await readSql(database, (sql) =>
      sql.all<{ text: string; separator: Separator; period: LocalDay; digest: string; pay_group: string }>(
        'select "text", "separator", "period", "digest", "pay_group" from "pay_file" where "entry" = ?',
        [id],
      ),
    );
    if (!found) return refuse('record.not_found');
    const { text, separator, digest, period, pay_group } = found;
    const name = ['pay', formatDay(period), pay_group].filter((part) => part !== '').join('-');
    return ok({ text, separator, digest, name });
  });

  mount('withdrawPayFile', async ({ body: { id, reason }, who }) => {
    if (who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const done = await journal.appendAll({ kind: 'desk', id: who.user.id }, (sql) => {
      const [found] = sql.all<{ withdrawn_by: string | null }>(
        'select "withdrawn_by" from "pay_file" where "entry" = ?',
        [id],
      );
      if (!found) return refuse('record.not_found');
      if (found.withdrawn_by !== null) return refuse('pay.file_withdrawn');
      const file = id as EntryId;
      return ok([writeDecision({ type: 'withdraw-pay-file', file, reason, by: who.user.name }, clock.now())]);
    });
    return done.ok ? ok(null) : done;
  });
}

const findLayout = (em: ReturnType<LedgerContext['database']['em']['fork']>, id: string) =>
  em.findOne(PayLayoutEntity, { id });

function mountForms(mount: Mount, { database }: LedgerContext): void {
  mount('payForms', async () => {
    const em = database.em.fork();
    const codes = await em.findAll(PayCodeEntity, { orderBy: { kind: 1 } });
    const layouts = await em.findAll(PayLayoutEntity, { orderBy: { name: 1 } });
    return ok({
      codes: codes.map(({ kind, code }) => ({ kind, code })),
      layouts: layouts.map(({ id, name, layout }) => ({ id, name, layout })),
    });
  });

  mount('savePayCodes', async ({ body: { codes } }) => {
    await database.em.fork().transactional(async (em) => {
      await em.nativeDelete(PayCodeEntity, {});
      await em.insertMany(PayCodeEntity, codes);
    });
    return ok(null);
  });

  mount('savePayLayout', async ({ body: { id, name, layout } }) => {
    const em = database.em.fork();
    const taken = await em.findOne(PayLayoutEntity, { name });
    if (taken && taken.id !== id)
      return refuse('record.taken', [{ field: 'name', message: 'there is one of this name' }]);
    if (id === null) {
      const made = newId();
      await em.insert(PayLayoutEntity, { id: made, name, layout });
      return ok({ id: made });
    }
    const changed = await em.nativeUpdate(PayLayoutEntity, { id }, { name, layout });
    return changed === 0 ? refuse('record.not_found') : ok({ id });
  });

  mount('removePayLayout', async ({ body: { id } }) => {
    const removed = await database.em.fork().nativeDelete(PayLayoutEntity, { id });
    return removed === 0 ? refuse('record.not_found') : ok(null);
  });
}
