import { readInstant } from '../ledger/index.ts';
import type { LaborEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Sql } from '../db/index.ts';
import type { Names } from '../ledger/index.ts';
import { titleOf } from '../catalog/index.ts';
import type { ShopFacts } from '../catalog/index.ts';

/** As many as one glance takes in. */
const SHOWN = 12;

/** The latest entries that stations sent, newest first; what meant nothing is among them, what was done at the desk is not. */
export function loadLatest(sql: Sql, facts: ShopFacts, names: Names) {
  const rows = sql.all<{ seq: number; type: string; body: string; author: string }>(
    `select i."seq", i."type", j."body", i."author" from "entry_index" i join "journal" j on j."seq" = i."seq"
     where +i."stream" in ('labor', 'floor') and i."type" not in ('answer', 'request', 'proposal', 'hours')
       and i."author_kind" <> 'desk' and +j."corrects" is null
       and (+i."technician" is null or i."technician" not in (select "value" from json_each(?)))
     order by i."seq" desc limit ?`,
    [JSON.stringify([...(facts.hidden ?? [])]), SHOWN],
  );
  return rows.map(({ seq, type, body, author }) => {
    const { at, technician, targets, text } = JSON.parse(body) as {
      readonly at: string;
      readonly technician?: TechnicianId;
      readonly targets?: readonly TargetId[];
      readonly text?: string;
    } & Pick<LaborEntry, 'type'>;
    return {
      seq,
      at: readInstant(at),
      type,
      name: technician === undefined ? null : (facts.technicians.get(technician)?.name ?? null),
      // What somebody wrote is not for everybody who sees the floor; a code that meant nothing is.
      about:
        targets?.map((target) => titleOf(facts, target)).join(', ') ??
        (type === 'unread-scan' ? (text ?? '') : ''),
      station: names.get(author) ?? author,
    };
  });
}
