import type { LaborEntry, TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { Sql } from '../db/index.ts';
import type { Envelope } from '../ledger/envelope.ts';
import type { Names } from '../ledger/scans.ts';
import { titleOf } from '../reconcile/effect.ts';
import type { ShopFacts } from '../shop/facts.ts';

/** As many as one glance takes in. */
const SHOWN = 12;

/** The latest entries that stations sent, newest first; what meant nothing is among them. */
export function loadLatest(sql: Sql, facts: ShopFacts, names: Names) {
  const rows = sql.all<{ seq: number; type: string; body: string; envelope: string }>(
    `select "seq", "type", "body", "envelope" from "journal"
     where "stream" in ('labor', 'floor') and "type" not in ('answer', 'request', 'proposal') and "corrects" is null
     order by "seq" desc limit ?`,
    [SHOWN],
  );
  return rows.map(({ seq, type, body, envelope }) => {
    const { author } = JSON.parse(envelope) as Envelope;
    const { at, day, technician, targets, text } = JSON.parse(body) as {
      readonly at?: string;
      readonly day?: string;
      readonly technician?: TechnicianId;
      readonly targets?: readonly TargetId[];
      readonly text?: string;
    } & Pick<LaborEntry, 'type'>;
    return {
      seq,
      at: at ?? day ?? '',
      type,
      name: technician === undefined ? null : (facts.technicians.get(technician)?.name ?? null),
      // What somebody wrote is not for everybody who sees the floor; a code that meant nothing is.
      about:
        targets?.map((target) => titleOf(facts, target)).join(', ') ??
        (type === 'unread-scan' ? (text ?? '') : ''),
      station: names.get(author.id) ?? author.id,
    };
  });
}
