import { randomUUID } from 'node:crypto';
import type { EntityManager } from '@mikro-orm/libsql';
import { formatCents } from '@wergon/core/money';
import { ok } from '@wergon/core/result';
import { dated, inForceAt } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { answerOffer, checkOffer, nextOrderNumber, offerTotal } from '@wergon/core/work';
import type { OfferLine, OrderState, WorkOrderId } from '@wergon/core/work';
import type { Context, Mount, RouteRefusal } from '../http/index.ts';
import { refuse } from '../http/index.ts';
import { drawRandomCode } from '../scan/index.ts';
import { insertOnce } from '../db/index.ts';
import { keepChanges, loadTasks } from './changes.ts';
import type { Changer } from './changes.ts';
import { OrderEntity, TaskEntity } from './entities.ts';
import type { Task, WorkOrder } from './entities.ts';
import { EstimateAskEntity, MailEntity, OfferEntity } from './offerEntities.ts';
import type { EstimateAsk, Offer } from './offerEntities.ts';
import { addOrder, priceInCents } from './orders.ts';

/** Answered estimates that stand in the list behind the open ones. */
const LATEST = 50;

/** Estimates: the office asks, the shop builds and offers, the customer's answer is entered. */
export function mountOffers(mount: Mount, context: Context): void {
  mountEstimateList(mount, context);
  mountAsking(mount, context);
  mountOffering(mount, context);
  mountAnswer(mount, context);
  mountMail(mount, context);
}

/** Whether the shop makes offers at all. */
const isOff = async ({ shop }: Context): Promise<boolean> => !(await shop.get()).settings.work.offers;

const writeLine = ({ price, ...line }: OfferLine) => ({
  ...line,
  price: price === null ? null : formatCents(price),
});

function mountEstimateList(mount: Mount, context: Context): void {
  const { database } = context;
  mount('estimates', async () => {
    if (await isOff(context)) return refuse('offer.off');
    const em = database.em.fork();
    const open = await em.find(EstimateAskEntity, { answeredAt: null });
    const answered = await em.find(
      EstimateAskEntity,
      { answeredAt: { $ne: null } },
      { orderBy: { answeredAt: -1 }, limit: LATEST },
    );
    const asks = [...open.sort(byDue), ...answered];
    const ids = asks.map(({ order }) => order);
    const orders = new Map(
      (await em.find(OrderEntity, { id: { $in: ids } })).map((order) => [order.id, order]),
    );
    const offers = await em.find(OfferEntity, { order: { $in: ids } }, { orderBy: { place: 1 } });
    const latest = new Map(offers.map((offer) => [offer.order, offer]));
    return ok({
      estimates: asks.flatMap((ask) => {
        const order = orders.get(ask.order);
        const offer = latest.get(ask.order);
        if (!order) return [];
        return [
          {
            order: order.id,
            number: order.number,
            title: order.title,
            customer: order.customer,
            state: stateOf(order),
            askedAt: ask.at,
            askedBy: ask.by,
            until: ask.untilDay ?? null,
            offer: offer
              ? {
                  number: offer.number,
                  at: offer.at,
                  total: formatCents(offer.body.total),
                  holdsUntil: offer.body.holdsUntil,
                }
              : null,
          },
        ];
      }),
    });
  });
}

/** Due ones first, then those that have no day, each by when they were asked for. */
const byDue = (a: EstimateAsk, b: EstimateAsk): number =>
  (a.untilDay ?? Infinity) - (b.untilDay ?? Infinity) || a.at - b.at;

const stateOf = (order: WorkOrder): OrderState => order.states.at(-1)?.value ?? 'draft';

function mountAsking(mount: Mount, context: Context): void {
  const { database, clock, setupChanged } = context;
  mount('askEstimate', async ({ body: { title, customer, words, until, contact, once }, who }) => {
    if (await isOff(context)) return refuse('offer.off');
    const { settings } = await context.shop.get();
    const now = clock.now();
    const id = (once ?? randomUUID()) as WorkOrderId;
    const sent = { title, customer, words, until, contact };
    const isNew = await database.em.fork().transactional(async (em) => {
      const before = await em.findOne(EstimateAskEntity, { order: id });
      if (before) return isSame(before, await em.findOneOrFail(OrderEntity, { id }), sent) ? 'same' : 'other';
      const taken = (await em.find(OrderEntity, {}, { fields: ['number'] })).map(({ number }) => number);
      const order = {
        number: nextOrderNumber(settings.orderNumbers, taken),
        title,
        customer,
        quantity: 1,
        due: null,
        division: '',
        jobType: '',
        item: '',
        unit: null,
        price: null,
        parts: [],
        notes: '',
        charge: null,
        estimateIncludes: ['setup' as const],
        tasks: [],
      };
      // The one id that it gets is its own: the record of the order's making is the ask.
      await addOrder(
        em,
        { ...order, states: dated('asked' as const) },
        new Map(),
        drawRandomCode,
        <Id extends string>() => id as string as Id,
      );
      await em.insert(EstimateAskEntity, {
        order: id,
        at: now,
        by: who.user.name,
        words,
        untilDay: until,
        contact,
        materials: [],
        offerWords: '',
        holdsUntilDay: null,
        answeredAt: null,
      });
      await keepChanges(em, id, { by: who.user.name, now }, [
        { field: 'Order', before: '', after: 'estimate asked for' },
      ]);
      return 'new';
    });
    if (isNew === 'other') return refuse('record.sent_before');
    setupChanged([id]);
    return ok({ id });
  });

  mount('orderOffers', async ({ param }) => {
    if (await isOff(context)) return refuse('offer.off');
    const em = database.em.fork();
    const [order, ask] = await findAsked(em, param('order'));
    if (!order || !ask) return refuse('record.not_found');
    const lines = linesOf(await loadTasks(em, order.id), ask, clock.now());
    const offers = await em.find(OfferEntity, { order: order.id }, { orderBy: { place: -1 } });
    const mails = await em.find(MailEntity, { order: order.id }, { orderBy: { at: 1 } });
    return ok({
      ask: { at: ask.at, by: ask.by, words: ask.words, until: ask.untilDay ?? null, contact: ask.contact },
      draft: {
        materials: ask.materials.map(({ text, price }) => ({
          text,
          price: price === null ? null : formatCents(price),
        })),
        words: ask.offerWords,
        holdsUntil: ask.holdsUntilDay ?? null,
      },
      lines: lines.map(writeLine),
      total: formatCents(offerTotal(lines)),
      offers: offers.map((offer) => ({
        ...writeOffer(offer),
        mails: mails.filter((mail) => mail.offer === offer.id).map(({ at, to }) => ({ at, to })),
      })),
    });
  });

  mount('saveOfferDraft', async ({ param, body: { materials, words, holdsUntil, contact } }) => {
    if (await isOff(context)) return refuse('offer.off');
    const em = database.em.fork();
    const [order, ask] = await findAsked(em, param('order'));
    if (!order || !ask) return refuse('record.not_found');
    if (stateOf(order) !== 'asked') return refuse('offer.not_asked');
    await em.nativeUpdate(
      EstimateAskEntity,
      { order: order.id },
      {
        materials: materials.map(({ text, price }) => ({ text, price: priceInCents(price) })),
        offerWords: words,
        holdsUntilDay: holdsUntil,
        contact,
      },
    );
    setupChanged([order.id]);
    return ok(null);
  });
}

type Sent = {
  readonly title: string;
  readonly customer: string;
  readonly words: string;
  readonly until: EstimateAsk['untilDay'];
  readonly contact: string;
};
const isSame = (ask: EstimateAsk, order: WorkOrder, sent: Sent): boolean =>
  order.title === sent.title &&
  order.customer === sent.customer &&
  ask.words === sent.words &&
  ask.contact === sent.contact &&
  (ask.untilDay ?? null) === (sent.until ?? null);

const findAsked = async (em: EntityManager, id: WorkOrderId) =>
  [await em.findOne(OrderEntity, { id }), await em.findOne(EstimateAskEntity, { order: id })] as const;

const writeOffer = ({ id, number, at, by, body, answer }: Offer) => ({
  id,
  number,
  at,
  by,
  title: body.title,
  customer: body.customer,
  quantity: body.quantity,
  words: body.words,
  holdsUntil: body.holdsUntil,
  lines: body.lines.map(writeLine),
  total: formatCents(body.total),
  answer:
    answer == null ? null : { ...answer, accepted: [...answer.accepted], total: formatCents(answer.total) },
});

/** What would be offered: the tasks in their order, then material. */
const linesOf = (tasks: readonly Task[], ask: EstimateAsk, now: Instant): OfferLine[] => [
  ...tasks.map(({ id, title, hasEstimate, estimate, price }): OfferLine => ({
    id,
    kind: 'task',
    text: title,
    seconds: hasEstimate ? inForceAt(estimate, now) : null,
    price: price ?? null,
  })),
  ...ask.materials.map(({ text, price }, i): OfferLine => ({
    id: `material-${i + 1}`,
    kind: 'material',
    text,
    seconds: null,
    price,
  })),
];

function mountOffering(mount: Mount, context: Context): void {
  const { database, clock, setupChanged } = context;
  mount('makeOffer', async ({ param, who }) => {
    if (await isOff(context)) return refuse('offer.off');
    const now = clock.now();
    const made = await database.em.fork().transactional(async (em) => {
      const [order, ask] = await findAsked(em, param('order'));
      if (!order || !ask) return refuse('record.not_found');
      const lines = linesOf(await loadTasks(em, order.id), ask, now);
      const checked = checkOffer(stateOf(order), lines);
      if (!checked.ok) return refuse(checked.code);
      const place = (await em.count(OfferEntity, { order: order.id })) + 1;
      const id = randomUUID();
      const number = `${order.number}-${place}`;
      await em.insert(OfferEntity, {
        id,
        order: order.id,
        number,
        place,
        at: now,
        by: who.user.name,
        body: {
          title: order.title,
          customer: order.customer,
          quantity: order.quantity,
          words: ask.offerWords,
          holdsUntil: ask.holdsUntilDay ?? null,
          lines,
          total: checked.value,
        },
        answer: null,
      });
      await goOn(em, order, 'offered', { by: who.user.name, now }, number);
      return ok({ id });
    });
    if (made.ok) setupChanged([param('order')]);
    return made;
  });
}

/** Moves an order along its offer, with what is kept of that. */
async function goOn(em: EntityManager, order: WorkOrder, to: OrderState, changer: Changer, words: string) {
  const states = [...order.states, { from: changer.now, value: to }];
  await em.nativeUpdate(OrderEntity, { id: order.id }, { states });
  await keepChanges(em, order.id, changer, [
    { field: 'State', before: stateOf(order), after: to },
    { field: 'Offer', before: '', after: words },
  ]);
}

function mountAnswer(mount: Mount, context: Context): void {
  const { database, clock, setupChanged } = context;
  mount('answerOffer', async ({ param, body: { accepted }, who }) => {
    if (await isOff(context)) return refuse('offer.off');
    const now = clock.now();
    const refusal = await database.em.fork().transactional(async (em): Promise<RouteRefusal | undefined> => {
      const order = await em.findOne(OrderEntity, { id: param('order') });
      const offer = order && (await em.findOne(OfferEntity, { id: param('offer'), order: order.id }));
      if (!order || !offer) return refuse('record.not_found');
      const [latest] = await em.find(OfferEntity, { order: order.id }, { orderBy: { place: -1 }, limit: 1 });
      // What was offered before the latest one is out of date.
      if (latest?.id !== offer.id) return refuse('offer.not_offered');
      const answered = answerOffer(stateOf(order), offer.body.lines, accepted);
      if (!answered.ok)
        return refuse(answered.code, [
          { field: String(answered.params['field'] ?? 'accepted'), message: 'does not fit this offer' },
        ]);
      const { taken, total } = answered.value;
      const isTaken = new Set(taken.map(({ id }) => id));
      for (const task of await loadTasks(em, order.id))
        await em.nativeUpdate(TaskEntity, { id: task.id }, freeze(task, isTaken.has(task.id), now));
      await em.nativeUpdate(
        OfferEntity,
        { id: offer.id },
        { answer: { at: now, by: who.user.name, accepted: [...isTaken], total } },
      );
      // What was agreed on is what the job is sold for.
      await em.nativeUpdate(OrderEntity, { id: order.id }, { price: total, version: order.version + 1 });
      await em.nativeUpdate(EstimateAskEntity, { order: order.id }, { answeredAt: now });
      const words = taken.length === offer.body.lines.length ? 'accepted' : 'accepted in part';
      await goOn(em, order, 'accepted', { by: who.user.name, now }, `${offer.number} ${words}`);
      return undefined;
    });
    if (refusal) return refusal;
    setupChanged([param('order')]);
    return ok(null);
  });
}

/** A task as the customer takes it, or not: what was offered is its first estimate, whatever was thought before. */
const freeze = (task: Task, isAccepted: boolean, now: Instant) => ({
  isAccepted,
  isOptional: task.isOptional || !isAccepted,
  estimate: dated(inForceAt(task.estimate, now)),
  originalCost: null,
});

function mountMail(mount: Mount, context: Context): void {
  const { database, clock, isDemo, setupChanged } = context;
  mount('mailOffer', async ({ param, body: { to, text, once } }) => {
    if (await isOff(context)) return refuse('offer.off');
    // Wergon has no way out of the shop's network; the demo shows what would have gone.
    if (!isDemo) return refuse('offer.no_mail');
    const em = database.em.fork();
    const offer = await em.findOne(OfferEntity, { id: param('offer'), order: param('order') });
    if (!offer) return refuse('record.not_found');
    const id = once ?? randomUUID();
    const subject = `${offer.number} ${offer.body.title}`;
    const sent = { to, text, order: offer.order, offer: offer.id };
    const row = { id, at: clock.now(), subject, ...sent };
    if (!(await insertOnce(em, MailEntity, row, sent))) return refuse('record.sent_before');
    setupChanged([offer.order]);
    return ok({ id });
  });

  mount('mails', async () => {
    if (!isDemo) return refuse('route.not_found');
    const mails = await database.em.fork().find(MailEntity, {}, { orderBy: { at: -1 }, limit: LATEST });
    return ok({ mails: mails.map((mail) => ({ ...mail })) });
  });
}
