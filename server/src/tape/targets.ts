import type { TargetJson } from '@wergon/contract/tape';
import { settleAt } from '@wergon/core/ledger';
import type { TargetId } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { inForceAt } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import type { LedgerContext } from '../ledger/index.ts';
import type { Mount } from '../http/index.ts';
import { readSql } from '../db/index.ts';
import type { Sql } from '../db/index.ts';
import { BadgeEntity } from '../people/index.ts';
import { loadFinished, loadStates } from '../ledger/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { rankByWords } from './rankByWords.ts';
import { TravelerCodeEntity } from '../work/index.ts';

/** As many as a list under a field shows. */
const SHOWN = 12;

/** What time can be put on, by words or by a scanned code (closed orders are left out), and whose time it is. */
export function mountTargets(mount: Mount, { database, clock, facts }: LedgerContext): void {
  mount('findPerson', async ({ body: { search }, who }) => {
    const known = await facts.seenBy(who.user);
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
    const words = query.search.trim().toLowerCase();
    const all = candidates(known, clock.now());
    const printed =
      words === ''
        ? null
        : await database.em.fork().findOne(TravelerCodeEntity, { code: query.search.trim().toUpperCase() });
    const coded =
      words === ''
        ? undefined
        : all.find(({ code, target }) => code.toLowerCase() === words || target.id === printed?.task);
    return readSql(database, (sql) => {
      const write = (found: readonly Candidate[], workType: WorkType | null) => {
        const finished = loadFinished(
          sql,
          found.map(({ id }) => id),
        );
        return found.map(({ id, target: { more, ...target } }) => ({
          ...target,
          more: [more, finished.has(id) ? 'finished' : '', sayHowMany(onIt.get(id))]
            .filter(Boolean)
            .join(', '),
          workType,
        }));
      };
      const onIt = countPeople(sql, clock.now(), known);
      if (coded) {
        const workType = WORK_TYPES.find((each) => each === printed?.workType) ?? null;
        return ok({ targets: write([coded], workType), exact: coded.target.id });
      }
      const parts = words.split(/\s+/).filter((part) => part !== '');
      const found = all
        .filter(({ text }) => parts.every((part) => text.includes(part)))
        .map((each) => ({
          each,
          rank: rankByWords(each.name, words),
          people: onIt.get(each.target.id) ?? 0,
        }))
        // What people are on now comes before what answers as well.
        .sort((a, b) => a.rank - b.rank || b.people - a.people)
        .slice(0, SHOWN)
        .map(({ each }) => each);
      return ok({ targets: write(found, null), exact: null });
    });
  });
}

const sayHowMany = (people: number | undefined): string => (people ? `${people} on it now` : '');

/** How many people are on each task and activity now. */
function countPeople(sql: Sql, now: Instant, { policy }: ShopFacts): ReadonlyMap<string, number> {
  const count = new Map<string, number>();
  for (const [technician, stored] of loadStates(sql)) {
    const { doing } = settleAt(technician, stored, now, policy).state;
    for (const { target } of doing.status === 'work' ? doing.running : [])
      count.set(target, (count.get(target) ?? 0) + 1);
  }
  return count;
}

type Candidate = {
  readonly id: TargetId;
  readonly target: Omit<TargetJson, 'workType'>;
  readonly code: string;
  /** What it is called, and all that it is found by. */
  readonly name: string;
  readonly text: string;
};

function candidates(facts: ShopFacts, now: Instant): Candidate[] {
  const activities = [...facts.activities].filter(([, { isOff }]) => !isOff);
  const tasks = [...facts.tasks].flatMap(([id, task]): Candidate[] => {
    const order = facts.orders.get(task.order);
    if (!order || !task.isAccepted || inForceAt(order.states, now) === 'closed') return [];
    const title = `${order.number} ${task.title}`;
    return [
      {
        id,
        target: { id, kind: 'task', title, more: order.customer },
        code: task.code,
        name: title,
        text: `${title} ${order.customer} ${order.title}`.toLowerCase(),
      },
    ];
  });
  return [
    ...tasks,
    ...activities.map(([id, { title, code }]): Candidate => ({
      id,
      target: { id, kind: 'activity', title, more: 'indirect' },
      code,
      name: title,
      text: `${title} indirect`.toLowerCase(),
    })),
  ];
}
