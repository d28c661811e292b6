import { newOrderSchema } from '@wergon/contract/work';
import { parseRate, toCents } from '@wergon/core/money';
import type { Code, CodeKind } from '@wergon/core/scan';
import { addDays, formatDay, formatInstant, toInstant } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { writeSql } from '@wergon/server/db';
import { writeDecision } from '@wergon/server/ledger';
import { TaskEntity, addOrder } from '@wergon/server/work';
import { sampleId, targetId, technicianId } from './ids.ts';
import { deskAs, recordAt } from './recordAt.ts';
import { GRADES, PEOPLE } from './sampleShop.ts';
import { unwrap } from './unwrap.ts';

const NUMBER = '24804';
const WRITER = 'Siiri Laakso';

/** What the way there is charged with, whatever the hours: a trip with the shop's van is agreed at one price. */
const WAY = { seconds: 2100, cost: toCents(25_00), reason: 'Van trip to the harbor, agreed price' };

/** What the work there was charged with as long as half an hour of it was known. */
const CALL_OUT = { seconds: 1800, cost: toCents(35_00), reason: 'Call-out fee' };

/** A job that somebody was sent to yesterday before anybody had written an order for it: it waits to be tied, with the time
 *  of the way there and of the work, and with what the desk noted of it for the customer. */
export async function addWritten(
  context: Context,
  zone: Zone,
  opensAt: Instant,
  draw: (kind: CodeKind) => Code,
): Promise<void> {
  const at = toInstant(opensAt - 22 * 3600);
  const order = newOrderSchema.parse({
    number: NUMBER,
    title: 'Unknown order',
    customer: 'Unknown order',
    quantity: 1,
    due: null,
    estimateIncludes: ['setup'],
    tasks: [{ title: 'Fan guard torn off, bilge pump motor', workCenter: 'Assembly', grade: 'fitter' }],
  });
  const rates = new Map(
    GRADES.map(({ id, standardRate }) => [id as string, unwrap(parseRate(standardRate))]),
  );
  const ids = [NUMBER, `${NUMBER}-1`];
  const takeId = <Id extends string>() => sampleId<Id>(ids.shift() ?? '');
  const id = await context.database.em.fork().transactional(async (em) => {
    const states = [{ from: at, value: 'released' as const }];
    const made = await addOrder(em, { ...order, states }, rates, draw, takeId);
    const written = { at, by: WRITER, said: 'Vik 7, by phone' };
    await em.nativeUpdate(TaskEntity, { order: made }, { written, writtenState: 'waiting' });
    return made;
  });
  context.setupChanged([id]);
  const technician = `t${PEOPLE.findIndex(({ name }) => name === WRITER) + 1}`;
  const day = addDays(zone.dayAt(opensAt), -1);
  const target = targetId(`${NUMBER}-1`);
  const on = { technician, targets: [target] };
  const desk = await deskAs(context, 'mikko');
  const entries = [
    {
      ...on,
      id: 'written-way',
      type: 'hours',
      day: formatDay(day),
      workType: 'travel',
      seconds: WAY.seconds,
    },
    { ...on, id: 'written-1', type: 'hours', day: formatDay(day), seconds: 2700 },
    {
      ...on,
      id: 'written-note',
      type: 'note',
      at: formatInstant(at),
      text: 'Guard refitted with new bolts; the foot is cracked and should be welded at the next dry dock.',
    },
  ];
  await recordAt(context, desk, entries, opensAt);
  await writeSql(context.database, (sql) =>
    sql.insert('customer_note', [{ entry: 'written-note', marked_at: opensAt, marked_by: desk.name }]),
  );
  const solveig = await deskAs(context, 'solveig');
  const line = { technician: technicianId(technician), day, target, by: solveig.name };
  await context.journal.append({ kind: 'desk', id: solveig.id }, [
    writeDecision({ type: 'set-cost', ...line, workType: 'travel', ...WAY }, opensAt),
    writeDecision({ type: 'set-cost', ...line, workType: 'run', ...CALL_OUT }, opensAt),
  ]);
}
