import type { TargetJson } from '@wergon/contract/reconcile';
import { ok } from '@wergon/core/result';
import { inForceAt } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { readSql } from '../db/index.ts';
import { BadgeEntity } from '../people/entities.ts';
import { loadFinished } from '../ledger/strands.ts';
import type { ShopFacts } from '../shop/facts.ts';
import { TravelerCodeEntity } from '../work/entities.ts';

/** As many as a list under a field shows. */
const SHOWN = 12;

/** What time can be put on, by words or by a scanned code (closed orders are left out), and whose time it is. */
export function mountTargets(mount: Mount, { database, clock, facts }: Context): void {
  mount('findPerson', async ({ body: { search } }) => {
    const known = await facts.get();
    const words = search.toLowerCase();
    const here = [...known.technicians.values()].filter(({ leftOn }) => leftOn == null);
    const badge = await database.em
      .fork()
      .findOne(BadgeEntity, { code: search.toUpperCase(), revokedAt: null });
    const exact = here.filter(
      ({ id, name, number, initials }) =>
        id === badge?.technician || [name, number, initials].some((each) => each.toLowerCase() === words),
    );
    const part = exact.length > 0 ? exact : here.filter(({ name }) => name.toLowerCase().includes(words));
    const [only] = part;
    return ok({ person: only && part.length === 1 ? { id: only.id, name: only.name } : null });
  });

  mount('targets', async ({ query }) => {
    const known = await facts.get();
    const finished = await readSql(database, (sql) => loadFinished(sql, [...known.tasks.keys()]));
    const words = query.search.trim().toLowerCase();
    const all = candidates(known, clock.now(), finished);
    const printed =
      words === ''
        ? null
        : await database.em.fork().findOne(TravelerCodeEntity, { code: query.search.trim().toUpperCase() });
    const coded =
      words === ''
        ? undefined
        : all.find(({ code, target }) => code.toLowerCase() === words || target.id === printed?.task);
    if (coded) {
      const workType = WORK_TYPES.find((each) => each === printed?.workType) ?? null;
      return ok({ targets: [{ ...coded.target, workType }], exact: coded.target.id });
    }
    const parts = words.split(/\s+/).filter((part) => part !== '');
    const found = all.filter(({ text }) => parts.every((part) => text.includes(part)));
    return ok({ targets: found.slice(0, SHOWN).map(({ target }) => target), exact: null });
  });
}

type Candidate = { readonly target: TargetJson; readonly code: string; readonly text: string };

function candidates(facts: ShopFacts, now: Instant, finished: ReadonlySet<string>): Candidate[] {
  const activities = [...facts.activities.values()].filter(({ isOff }) => !isOff);
  const tasks = [...facts.tasks.values()].flatMap((task): Candidate[] => {
    const order = facts.orders.get(task.order);
    if (!order || !task.isAccepted || inForceAt(order.states, now) === 'closed') return [];
    const title = `${order.number} ${task.title}`;
    const more = [order.customer, ...(finished.has(task.id) ? ['finished'] : [])].filter(
      (each) => each !== '',
    );
    return [
      {
        target: { id: task.id, kind: 'task', title, more: more.join(', '), workType: null },
        code: task.code,
        text: `${title} ${order.customer} ${order.title}`.toLowerCase(),
      },
    ];
  });
  return [
    ...tasks,
    ...activities.map(({ id, title, code }): Candidate => ({
      target: { id, kind: 'activity', title, more: 'indirect', workType: null },
      code,
      text: `${title} indirect`.toLowerCase(),
    })),
  ];
}
