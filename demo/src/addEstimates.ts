import type { EntityManager } from '@mikro-orm/libsql';
import { newOrderSchema } from '@wergon/contract/work';
import { parseRate, toCents } from '@wergon/core/money';
import type { Rate } from '@wergon/core/money';
import type { CodeKind, Code } from '@wergon/core/scan';
import { addDays, toInstant } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import { offerTotal } from '@wergon/core/work';
import type { OfferLine, WorkOrderId } from '@wergon/core/work';
import {
  EstimateAskEntity,
  MailEntity,
  OfferEntity,
  OrderChangeEntity,
  TaskEntity,
  addOrder,
} from '@wergon/server/work';
import { sampleId } from './ids.ts';
import { GRADES } from './sampleShop.ts';
import { unwrap } from './unwrap.ts';

const DAY = 86_400;
const HOUR = 3600;

type Task = readonly [title: string, grade: string, hours: string, price: string | null];
/** Estimates that the office has asked for: one is new, one is built and late, one is with its customer. */
const ESTIMATES: readonly {
  readonly number: string;
  readonly title: string;
  readonly customer: string;
  readonly words: string;
  readonly contact: string;
  readonly daysAgo: number;
  readonly until: number;
  readonly tasks: readonly Task[];
  readonly isOffered?: boolean;
}[] = [
  {
    number: '24801',
    title: 'Rewind 90 kW bow thruster motor',
    customer: 'Port of Vik',
    words: 'Trips after an hour under load. The ship lies here until the 10th of December.',
    contact: 'workshop@port-of-vik.example',
    daysAgo: 0,
    until: 2,
    tasks: [],
  },
  {
    number: '24802',
    title: 'Overhaul of two stock pumps',
    customer: 'Hovden Water',
    words: 'Bearings are loud. Balance both rotors.',
    contact: 'Call Unni at the waterworks',
    daysAgo: 5,
    until: -1,
    tasks: [
      ['Strip', 'helper', '3', '240.00'],
      ['Balance rotors', 'machinist', '4', '420.00'],
      ['Bearings and assembly', 'fitter', '6', null],
    ],
  },
  {
    number: '24803',
    title: 'Rewind 30 kW conveyor motor',
    customer: 'Kallio Quarry',
    words: 'Burnt out. They would like the old bearings back.',
    contact: 'purchasing@kallio-quarry.example',
    daysAgo: 7,
    until: -4,
    tasks: [
      ['Strip', 'helper', '3', '240.00'],
      ['Winding', 'winder', '14.5', '1450.00'],
      ['Varnish and bake', 'helper', '2', '180.00'],
      ['Repaint', 'helper', '1.5', '120.00'],
      ['Final test', 'tester', '2', null],
    ],
    isOffered: true,
  },
];
const MATERIALS = [
  { text: 'Copper wire, 38 kg', price: toCents(52_000) },
  { text: 'Two bearings 6311', price: toCents(9_600) },
];

/** Enters the sample shop's estimates as they stand when the demo opens. */
export async function addEstimates(
  em: EntityManager,
  zone: Zone,
  opensAt: Instant,
  draw: (kind: CodeKind) => Code,
): Promise<void> {
  const rates = new Map<string, Rate>(
    GRADES.map(({ id, standardRate }) => [id, unwrap(parseRate(standardRate))]),
  );
  const today = zone.dayAt(opensAt);
  for (const { tasks, words, contact, daysAgo, until, isOffered = false, ...head } of ESTIMATES) {
    const at = toInstant(opensAt - daysAgo * DAY - 3 * HOUR);
    const offeredAt = toInstant(opensAt - 2 * DAY);
    const fields = newOrderSchema.parse({
      ...head,
      quantity: 1,
      due: null,
      estimateIncludes: ['setup'],
      tasks: tasks.map(([title, grade, runHours, price]) => ({
        title,
        workCenter: '',
        grade,
        runHours,
        price,
      })),
    });
    const asked = { from: at, value: 'asked' as const };
    const states = isOffered ? [asked, { from: offeredAt, value: 'offered' as const }] : [asked];
    const ids = ['', ...tasks.keys()].map((key) => `${head.number}-${key}`);
    const takeId = <Id extends string>() => sampleId<Id>(ids.shift() ?? '');
    const order = await addOrder(em, { ...fields, states }, rates, draw, takeId);
    await em.insert(EstimateAskEntity, {
      order,
      at,
      by: 'Berit Holm',
      words,
      untilDay: addDays(today, until),
      contact,
      materials: isOffered ? MATERIALS : [],
      offerWords: isOffered ? 'Ready twelve working days after your order.' : '',
      holdsUntilDay: isOffered ? addDays(today, 19) : null,
      answeredAt: null,
    });
    await em.insert(OrderChangeEntity, {
      order,
      at,
      by: 'Berit Holm',
      changes: [{ field: 'Order', before: '', after: 'estimate asked for' }],
    });
    if (isOffered) await offerIt(em, order, head, offeredAt, addDays(today, 19), contact);
  }
}

async function offerIt(
  em: EntityManager,
  order: WorkOrderId,
  { number, title, customer }: { readonly number: string; readonly title: string; readonly customer: string },
  at: Instant,
  holdsUntil: ReturnType<typeof addDays>,
  to: string,
): Promise<void> {
  const tasks = await em.find(TaskEntity, { order }, { orderBy: { position: 1 } });
  const lines: OfferLine[] = [
    ...tasks.map(({ id, title: text, estimate, price }) => ({
      id,
      kind: 'task' as const,
      text,
      seconds: estimate.at(-1)?.value ?? null,
      price: price ?? null,
    })),
    ...MATERIALS.map((material, i) => ({
      id: `material-${i + 1}`,
      kind: 'material' as const,
      seconds: null,
      ...material,
    })),
  ];
  const [id, offer] = [`offer-${number}`, `${number}-1`];
  const words = 'Ready twelve working days after your order.';
  const body = { title, customer, quantity: 1, words, holdsUntil, lines, total: offerTotal(lines) };
  await em.insert(OfferEntity, {
    id,
    order,
    number: offer,
    place: 1,
    at,
    by: 'Mikko Rask',
    body,
    answer: null,
  });
  const text = `Please find our offer ${offer} for ${title}.\n\nOdden Rewind Works`;
  await em.insert(MailEntity, {
    id: `mail-${number}`,
    at,
    to,
    subject: `${offer} ${title}`,
    text,
    order,
    offer: id,
  });
}
