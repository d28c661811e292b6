import { randomUUID } from 'node:crypto';
import { COLUMNS, MOST_ROWS } from '@wergon/contract/exchange';
import type { ExchangeKind, ExchangeRow, ImportAnswer } from '@wergon/contract/exchange';
import { fieldProblemsOf } from '@wergon/contract/wire';
import { itemAt, ok } from '@wergon/core/result';
import { toDay } from '@wergon/core/time';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call, Mount } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { TechnicianEntity } from '../people/index.ts';
import { costAnew } from '../ledger/index.ts';
import type { List } from './list.ts';
import { ORDERS } from './orders.ts';
import { PEOPLE } from './people.ts';
import { RATES } from './rates.ts';
import { createStandards } from './standards.ts';

/** An import that nobody has gone on with for so long is forgotten, in seconds. */
const FORGOTTEN_SECONDS = 30 * 60;
/** Imports that wait at one time; more would fill the memory. */
const MOST_WAITING = 8;
const MOST_PROBLEMS = 1000;

type Problem = ImportAnswer['problems'][number];

/** Rows on their way in, read and not yet stored. Lost with the server: nothing was promised of them. */
type Staged = {
  readonly user: string;
  touchedAt: number;
  /** Each row as read, or what is wrong with it. */
  readonly rows: ({ readonly group: string } & (
    { readonly row: unknown } | { readonly problems: readonly Problem[] }
  ))[];
};

type ImportCall = Call<'importOrders'>;

/** Routes by which lists come in and go out. */
export function mountExchange(mount: Mount, context: LedgerContext): void {
  const { database, clock, facts, live } = context;
  const staged = new Map<string, Staged>();

  const begin = (user: string): string => {
    for (const [id, { touchedAt }] of staged)
      if (clock.now() - touchedAt > FORGOTTEN_SECONDS) staged.delete(id);
    const [oldest] = staged.keys();
    if (staged.size >= MOST_WAITING && oldest !== undefined) staged.delete(oldest);
    const id = randomUUID();
    staged.set(id, { user, touchedAt: clock.now(), rows: [] });
    return id;
  };

  function importRoute<Row>(
    list: List<Row>,
    after: (rows: readonly Row[]) => Promise<void> = async () => undefined,
  ) {
    return async ({ body, who }: ImportCall) => {
      const id = body.import ?? begin(who.user.id);
      const found = staged.get(id);
      if (!found || found.user !== who.user.id) return refuse('import.unknown');
      found.touchedAt = clock.now();
      const answer = (more: Partial<ImportAnswer>): ImportAnswer => ({
        import: id,
        received: found.rows.length,
        counts: null,
        problems: [],
        isStored: false,
        ...more,
      });

      if (body.step === 'drop') {
        staged.delete(id);
        return ok(answer({}));
      }
      if (body.step === 'rows') {
        if (found.rows.length + body.rows.length > MOST_ROWS)
          return refuse('input.invalid', [{ field: 'rows', message: `more than ${MOST_ROWS} rows` }]);
        for (const row of body.rows) found.rows.push(readRow(list, row, found.rows.length + 1));
        return ok(answer({}));
      }
      const { judged, problems } = await judgeAll(list, found.rows);
      const counts = { new: 0, changed: 0, same: 0, wrong: problems.size };
      for (const { status } of judged) if (typeof status === 'string') counts[status] += 1;
      const told = answer({ counts, problems: [...problems.values()].flat().slice(0, MOST_PROBLEMS) });
      if (body.step === 'check') return ok(told);
      if (body.mode === 'all' && problems.size > 0)
        return refuse(
          'import.rows_wrong',
          told.problems
            .slice(0, 20)
            .map(({ row, field, message }) => ({ field: `row ${row} ${field}`, message })),
        );
      const rows = judged.flatMap(({ row, status }) =>
        status === 'new' || status === 'changed' ? [row] : [],
      );
      const { name } = who.user;
      await database.em.fork().transactional((em) => list.store(em, rows, name));
      staged.delete(id);
      facts.forget('shop', 'orders');
      await after(rows);
      live.publishSetup();
      return ok({ ...told, isStored: true });
    };
  }

  async function judgeAll<Row>(list: List<Row>, rows: Staged['rows']) {
    const read = rows.flatMap((each, i) => ('row' in each ? [{ number: i + 1, row: each.row as Row }] : []));
    const fates = await list.validateRows(
      database.em.fork(),
      read.map(({ row }) => row),
    );
    const problems = new Map<number, readonly Problem[]>();
    rows.forEach((each, i) => {
      if ('problems' in each) problems.set(i + 1, each.problems);
    });
    const judged = read.map(({ number, row }, i) => {
      const status = itemAt(fates, i);
      if (typeof status !== 'string') problems.set(number, [{ row: number, ...status }]);
      return { number, row, status };
    });
    // Half an order is worse than none: with one row of it the others are held back.
    const broken = new Set([...problems.keys()].map((number) => rows[number - 1]?.group).filter(Boolean));
    const kept = judged.filter(({ number, status }) => {
      const group = rows[number - 1]?.group;
      if (typeof status !== 'string' || status === 'same' || !broken.has(group)) return true;
      problems.set(number, [
        { row: number, field: 'number', message: 'another row of this order is not right' },
      ]);
      return false;
    });
    return { judged: kept, problems: new Map([...problems].sort(([a], [b]) => a - b)) };
  }

  const exportRoute =
    <Row>(kind: ExchangeKind, list: List<Row>) =>
    async () =>
      ok({
        columns: COLUMNS[kind].map(({ heading }) => heading),
        rows: await list.write(database.em.fork()),
      });

  const standards = createStandards(clock.now);
  mount('importOrders', importRoute(ORDERS));
  mount('importPeople', importRoute(PEOPLE));
  mount(
    'importRates',
    importRoute(RATES, async (rows) => {
      // Costs of days gone by follow their new rates.
      const technicians = await database.em.fork().findAll(TechnicianEntity);
      const earliest = new Map<string, number>();
      for (const { number, record } of rows)
        earliest.set(number, Math.min(record.from, earliest.get(number) ?? record.from));
      for (const { id, number } of technicians) {
        const from = earliest.get(number);
        if (from !== undefined) await costAnew(database, facts, id, toDay(from));
      }
    }),
  );
  mount('importStandards', importRoute(standards));
  mount('exportOrders', exportRoute('orders', ORDERS));
  mount('exportPeople', exportRoute('people', PEOPLE));
  mount('exportRates', exportRoute('rates', RATES));
  mount('exportStandards', exportRoute('standards', standards));
}

function readRow<Row>(list: List<Row>, row: ExchangeRow, number: number): Staged['rows'][number] {
  const group = list.groupOf?.(row) ?? '';
  const parsed = list.schema.safeParse(row);
  return parsed.success
    ? { group, row: parsed.data }
    : {
        group,
        problems: fieldProblemsOf(parsed.error).map(({ field, message }) => ({
          row: number,
          field,
          message,
        })),
      };
}
