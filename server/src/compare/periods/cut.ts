import type { CutSpec } from '@wergon/contract/compare';
import { CUT_FIELDS, cutPieces, cutsWholeTasks, sumPieces } from '@wergon/core/compare';
import type { CutField, CutSum } from '@wergon/core/compare';
import { findIn, ok } from '@wergon/core/result';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Database } from '../../db/index.ts';
import { refuse } from '../../http/index.ts';
import type { Mount } from '../../http/index.ts';
import type { LedgerContext, OfLabor } from '../../ledger/index.ts';
import { UnitEntity, unitWords } from '../../shop/index.ts';
import { costsFor } from '../taskLabor.ts';
import { cutKeys, loadPieces, nameOfKey } from './labor.ts';
import type { CutNames, LaborPiece } from './labor.ts';
import { loadGradeNames } from './names.ts';
import { loadWholeTasks } from './wholeTasks.ts';

/** Groups of one level that are told at once. */
const MOST_GROUPS = 1000;
/** Rows of a file. */
const MOST_ROWS = 100_000;

/** Labor of a period cut by anything. The people it tells of are those that whoever asks is told of.
 *  Source: docs/compare.md, section 6. */
export function mountCut(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('cut', async ({ query: { from, to, cut, path = [], whole }, who }) => {
    if (path.length >= cut.by.length)
      return refuse('input.invalid', [{ field: 'path', message: 'must open fewer levels than there are' }]);
    const known = await facts.seenBy(who.user);
    const [now, costs, names] = [clock.now(), costsFor(who), await loadNames(database)];
    const isParted = [...cut.by, ...Object.keys(cut.only)].some(
      (each) => each === 'machine' || each === 'reason',
    );
    const days = { firstDay: from, lastDay: to };
    const keys = cutKeys(known);
    const levels = whole === 'yes' ? cut.by : cut.by.slice(0, path.length + 1);
    const most = whole === 'yes' ? MOST_ROWS : MOST_GROUPS;
    const filtered = CUT_FIELDS.filter((field) => cut.only[field] !== undefined);
    return readSql(database, (sql) => {
      const pieces = loadPieces(sql, known, days, now, { costs, isParted, of: laborOf(known, cut, path) });
      const asked = pieces.filter((piece) => isOf(piece, cut, path, keys));
      // What is opened has its keys already: all its pieces have them.
      const rows = rowsOf(asked, levels, keys);
      const told = rows.slice(0, most);
      const tasks = cutsWholeTasks([...levels, ...filtered])
        ? loadWholeTasks(sql, known, told, days, now, costs)
        : undefined;
      return ok({
        asOf: now,
        ...days,
        costs,
        total: sumPieces(asked),
        groups: told.map((row) => ({ ...write(known, names, cut.by, row), tasks: tasks?.(row) ?? null })),
        moreCount: Math.max(0, rows.length - most),
      });
    });
  });
}

/** What is fixed of the labor that is looked at, as far as it can be looked up: whose it is, or on what. */
function laborOf(facts: ShopFacts, { by, only }: CutSpec, path: readonly string[]): OfLabor {
  const keyOf = (field: CutField) => path[by.indexOf(field)] ?? only[field];
  const [person, order, task] = [keyOf('person'), keyOf('order'), keyOf('task')];
  if (task !== undefined) return { targets: [task] };
  // Labor without an order is on nothing that could be looked up.
  if (order) return { targets: (findIn(facts.tasksByOrder, order) ?? []).map(({ id }) => id) };
  return person === undefined ? {} : { technician: person };
}

type Keys = Readonly<Record<CutField, (piece: LaborPiece) => string>>;

/** Whether a piece has the keys that were filtered by and those of the opened groups. */
const isOf = (piece: LaborPiece, { by, only }: CutSpec, path: readonly string[], keys: Keys): boolean =>
  path.every((key, level) => {
    const field = by[level];
    return field !== undefined && keys[field](piece) === key;
  }) && CUT_FIELDS.every((field) => only[field] === undefined || keys[field](piece) === only[field]);

type Row = CutSum & { readonly keys: readonly string[]; readonly pieces: readonly LaborPiece[] };

/** The rows of the last of some levels, group within group. */
function rowsOf(pieces: readonly LaborPiece[], by: readonly CutField[], keys: Keys): readonly Row[] {
  const [field, ...rest] = by;
  if (field === undefined) return [];
  return cutPieces(pieces, keys[field]).flatMap((group): readonly Row[] =>
    rest.length === 0
      ? [{ ...group, keys: [group.key] }]
      : rowsOf(group.pieces, rest, keys).map((row) => ({ ...row, keys: [group.key, ...row.keys] })),
  );
}

const write = (facts: ShopFacts, names: CutNames, by: readonly CutField[], row: Row) => ({
  keys: row.keys,
  names: row.keys.map((key, level) => nameOfKey(facts, names, by[level] ?? 'day', key)),
  seconds: row.seconds,
  measuredSeconds: row.measuredSeconds,
  sharedSeconds: row.sharedSeconds,
  enteredSeconds: row.enteredSeconds,
  cost: row.cost,
  uncostedPieces: row.uncostedPieces,
});

async function loadNames(database: Database): Promise<CutNames> {
  const em = database.em.fork();
  return {
    grades: await loadGradeNames(database),
    units: new Map((await em.findAll(UnitEntity)).map((unit) => [unit.id, unitWords(unit)])),
  };
}
