import { MOST_ROWS } from '@wergon/contract/exchange';
import type { ImportAnswer } from '@wergon/contract/exchange';
import { ok } from '@wergon/core/result';
import type { LedgerContext } from '../ledger/index.ts';
import type { Call } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { judgeRows, readRow } from './judgeRows.ts';
import type { List } from './list.ts';
import type { Staged, Staging } from './staging.ts';

const MOST_PROBLEMS = 1000;
/** So many problems go with a refusal; all of them are told where the rows are checked. */
const MOST_REFUSED = 20;

type ImportCall = Call<'importOrders'>;
type Importing = {
  readonly context: LedgerContext;
  readonly staging: Staging;
  readonly staged: Staged;
  readonly call: ImportCall;
};

const answer = ({ id, rows }: Staged, more: Partial<ImportAnswer> = {}): ImportAnswer => ({
  import: id,
  received: rows.length,
  counts: null,
  problems: [],
  isStored: false,
  ...more,
});

/** A route by which a list comes in, step by step: its rows, what would become of them, and their storing. `after` does
 *  what follows from it. */
export const importRoute =
  <Row>(
    context: LedgerContext,
    staging: Staging,
    list: List<Row>,
    after: (rows: readonly Row[]) => Promise<void> = async () => undefined,
  ) =>
  async (call: ImportCall) => {
    const { body, who } = call;
    if (list.isOfPeople && who.user.seesOnlyTheirs) return refuse('access.not_allowed');
    const refusal = await list.refuse?.();
    if (refusal) return refusal;
    const staged = staging.goOn(body.import, who.user.id);
    if (!staged) return refuse('import.unknown');
    switch (body.step) {
      case 'drop':
        staging.drop(staged);
        return ok(answer(staged));
      case 'rows':
        if (staged.rows.length + body.rows.length > MOST_ROWS)
          return refuse('input.invalid', [{ field: 'rows', message: `more than ${MOST_ROWS} rows` }]);
        for (const row of body.rows) staged.rows.push(readRow(list, row, staged.rows.length + 1));
        return ok(answer(staged));
      case 'check':
      case 'store':
        return judgeAndStore({ context, staging, staged, call }, list, after);
    }
  };

async function judgeAndStore<Row>(
  { context, staging, staged, call: { body, who } }: Importing,
  list: List<Row>,
  after: (rows: readonly Row[]) => Promise<void>,
) {
  const { database, facts, live } = context;
  const { judged, problems } = await judgeRows(database.em.fork(), list, staged.rows);
  const counts = { new: 0, changed: 0, same: 0, wrong: problems.size };
  for (const { status } of judged) if (typeof status === 'string') counts[status] += 1;
  const told = answer(staged, { counts, problems: [...problems.values()].flat().slice(0, MOST_PROBLEMS) });
  if (body.step !== 'store') return ok(told);
  if (body.mode === 'all' && problems.size > 0)
    return refuse(
      'import.rows_wrong',
      told.problems
        .slice(0, MOST_REFUSED)
        .map(({ row, field, message }) => ({ field: `row ${row} ${field}`, message })),
    );
  const rows = judged.flatMap(({ row, status }) => (status === 'new' || status === 'changed' ? [row] : []));
  if ('record' in list) {
    const refusal = await list.record(rows, who);
    if (refusal) return refusal;
  } else {
    const { name } = who.user;
    await database.em.fork().transactional((em) => list.store(em, rows, name));
  }
  staging.drop(staged);
  facts.forget('shop', 'orders');
  await after(rows);
  live.publishSetup();
  return ok({ ...told, isStored: true });
}
