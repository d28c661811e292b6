import type { TargetJson } from '@wergon/contract/reconcile';
import { ok } from '@wergon/core/result';
import { inForceAt } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import type { Context } from '../app/context.ts';
import type { Mount } from '../app/mount.ts';
import { readSql } from '../db/index.ts';
import { BadgeEntity } from '../people/entities.ts';
import { loadFinished } from '../ledger/strands.ts';
import type { ShopFacts } from '../shop/facts.ts';

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
    const finished = await readSql(database, loadFinished);
    const words = query.search.trim().toLowerCase();
    const all = candidates(known, clock.now(), finished);
    const coded = words === '' ? undefined : all.find(({ code }) => code.toLowerCase() === words);
    if (coded) return ok({ targets: [coded.target], exact: coded.target.id });
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
        target: { id: task.id, kind: 'task', title, more: more.join(', ') },
        code: task.code,
        text: `${title} ${order.customer} ${order.title}`.toLowerCase(),
      },
    ];
  });
  return [
    ...tasks,
    ...activities.map(({ id, title, code }): Candidate => ({
      target: { id, kind: 'activity', title, more: 'indirect' },
      code,
      text: `${title} indirect`.toLowerCase(),
    })),
  ];
}
