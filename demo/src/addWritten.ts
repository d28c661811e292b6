import { newOrderSchema } from '@wergon/contract/work';
import { parseRate } from '@wergon/core/money';
import type { Code, CodeKind } from '@wergon/core/scan';
import { addDays, formatDay, toInstant } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import type { Context } from '@wergon/server/app';
import { TaskEntity, addOrder } from '@wergon/server/work';
import { sampleId, targetId } from './ids.ts';
import { recordAt } from './recordAt.ts';
import { GRADES, PEOPLE } from './sampleShop.ts';
import { unwrap } from './unwrap.ts';

const NUMBER = '24804';
const WRITER = 'Siiri Laakso';

/** A job that somebody was sent to yesterday before anybody had written an order for it: it waits to be tied, with its time. */
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
  const hours = {
    id: 'written-1',
    type: 'hours',
    technician,
    targets: [targetId(`${NUMBER}-1`)],
    day: formatDay(addDays(zone.dayAt(opensAt), -1)),
    seconds: 2700,
  };
  await recordAt(context, { kind: 'desk', id: 'mikko' }, [hours], opensAt);
}
