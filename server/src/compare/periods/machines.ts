import type { ComparedCenter, ComparedMachine } from '@wergon/contract/compare';
import { availableSeconds, machineDays, machineSpans, sumMachines } from '@wergon/core/compare';
import type { CapacityHours, MachineSpan, MachineUse } from '@wergon/core/compare';
import { addUsed, allocateStint } from '@wergon/core/ledger';
import type { TargetId, UsedByType } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { daysFrom, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Days, LocalDay, Seconds } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Database } from '../../db/index.ts';
import { refuse } from '../../http/index.ts';
import type { Mount } from '../../http/index.ts';
import {
  loadMachineStints,
  loadOpenStints,
  loadParts,
  loadUsedBetween,
  sumParts,
} from '../../ledger/index.ts';
import type { LedgerContext, LinePart } from '../../ledger/index.ts';
import { CapacityEntity, ClosedDayEntity, ResourceEntity } from '../../shop/index.ts';
import { spanOf } from './jobs.ts';

/** Use of machines, and hours at work centers. Source: docs/compare.md, section 5. */
export function mountMachines(mount: Mount, { database, clock, facts, setupChanged }: LedgerContext): void {
  mount('comparedMachines', async ({ query: { from, to } }) => {
    // A machine is used, whoever stands at it: nobody is named.
    const known = await facts.get();
    const now = clock.now();
    const days = { firstDay: from, lastDay: to };
    const span = spanOf(known, days);
    const shop = await loadCapacities(database, days);
    const { spans, parts, used } = await readSql(database, (sql) => {
      const running = loadOpenStints(sql, known, now);
      const open = running
        .flatMap((stint) => allocateStint(stint, known))
        .filter(({ day }) => day >= from && day <= to);
      return {
        spans: machineSpans([...loadMachineStints(sql, span), ...running], span),
        parts: [...loadParts(sql, from, to), ...sumParts(open)],
        used: [...loadUsedBetween(sql, from, to), ...open],
      };
    });
    const reasons = sumReasons(parts);
    const uses = new Map(sumMachines(spans).map((use) => [use.machine, use]));
    const listed = shop.resources
      .filter(({ kind, isOff }) => kind === 'machine' && !isOff)
      .map(({ name }) => name);
    const names = [...new Set([...listed, ...uses.keys()])].sort((a, b) => a.localeCompare(b));
    return ok({
      asOf: now,
      firstDay: from,
      lastDay: to,
      machines: names.map((name) =>
        writeMachine(known, shop, days, name, {
          use: uses.get(name),
          spans: spans.get(name) ?? [],
          reasons: reasons.get(name) ?? [],
          today: known.zone.dayAt(now),
        }),
      ),
      centers: writeCenters(known, shop, days, used),
    });
  });

  mount('saveCapacity', async ({ param, body: { from, seconds } }) => {
    const em = database.em.fork();
    const resource = param('resource');
    if ((await em.count(ResourceEntity, { id: resource })) === 0) return refuse('record.not_found');
    await em.upsert(CapacityEntity, { resource, fromDay: from, seconds: seconds.map(toSeconds) });
    setupChanged('shop');
    return ok(null);
  });
}

/** What the shop says of its machines and work centers. */
type Capacities = {
  readonly resources: Awaited<ReturnType<typeof loadResources>>;
  readonly hoursOf: (resource: string) => readonly CapacityHours[];
  readonly isClosed: (day: LocalDay) => boolean;
};

const loadResources = (database: Database) =>
  database.em.fork().find(ResourceEntity, {}, { orderBy: { name: 1 } });

async function loadCapacities(database: Database, { firstDay, lastDay }: Days): Promise<Capacities> {
  const em = database.em.fork();
  const rows = await em.findAll(CapacityEntity, { orderBy: { fromDay: 1 } });
  const closed = await em.find(ClosedDayEntity, { day: { $gte: firstDay, $lte: lastDay } });
  const closedDays = new Set(closed.map(({ day }) => day));
  return {
    resources: await loadResources(database),
    hoursOf: (resource) =>
      rows
        .filter((row) => row.resource === resource)
        .map(({ fromDay, seconds }) => ({ from: fromDay, seconds })),
    isClosed: (day) => closedDays.has(day),
  };
}

function capacityOf(shop: Capacities, kind: 'machine' | 'work-center', name: string) {
  const resource = shop.resources.find((each) => each.kind === kind && each.name === name);
  const hours = resource ? shop.hoursOf(resource.id) : [];
  return { resource, hours, now: hours.at(-1)?.seconds ?? null };
}

const daysOf = ({ firstDay, lastDay }: Days) => daysFrom(firstDay, lastDay - firstDay + 1);

type Done = {
  readonly use: MachineUse | undefined;
  readonly spans: readonly MachineSpan[];
  readonly reasons: ComparedMachine['reasons'];
  readonly today: LocalDay;
};

function writeMachine(
  facts: ShopFacts,
  shop: Capacities,
  days: Days,
  name: string,
  { use, spans, reasons, today }: Done,
): ComparedMachine {
  const { resource, hours, now } = capacityOf(shop, 'machine', name);
  const available = (some: readonly LocalDay[]) => availableSeconds(hours, some, shop.isClosed);
  const used = machineDays(spans, facts.zone);
  return {
    resource: resource?.id ?? null,
    name,
    workCenter: resource?.workCenter ?? '',
    usedSeconds: use?.usedSeconds ?? toSeconds(0),
    downSeconds: use?.downSeconds ?? toSeconds(0),
    byWorkType: { ...use?.byWorkType },
    closedSeconds: sumSeconds(
      used.filter(({ day }) => shop.isClosed(day)).map(({ usedSeconds: seconds }) => ({ seconds })),
    ),
    availableSeconds: available(daysOf(days)),
    hours: now,
    reasons,
    days: daysOf(days).flatMap((day) => {
      const own = used.find((each) => each.day === day);
      const availableThen = day <= today ? available([day]) : null;
      if (!own && availableThen === null) return [];
      return [
        {
          ...(own ?? { day, usedSeconds: toSeconds(0), downSeconds: toSeconds(0) }),
          availableSeconds: availableThen,
        },
      ];
    }),
    spans: days.firstDay === days.lastDay ? spans : [],
  };
}

/** Why people waited at each machine, the longest first. */
function sumReasons(parts: readonly LinePart[]): ReadonlyMap<string, ComparedMachine['reasons']> {
  const sums = new Map<string, Map<string, number>>();
  for (const { machine, workType, reason, measuredSeconds, sharedSeconds } of parts) {
    if (workType !== 'down') continue;
    const own = sums.get(machine) ?? new Map<string, number>();
    sums.set(machine, own.set(reason, (own.get(reason) ?? 0) + measuredSeconds + sharedSeconds));
  }
  return new Map(
    [...sums].map(([machine, own]) => [
      machine,
      [...own]
        .sort(([, a], [, b]) => b - a)
        .map(([reason, seconds]) => ({ reason, seconds: toSeconds(seconds) })),
    ]),
  );
}

/** Hours of people at the tasks of each work center, by kind of work, against the person-hours that it has. */
function writeCenters(
  facts: ShopFacts,
  shop: Capacities,
  days: Days,
  labor: readonly { readonly target: TargetId; readonly workType: WorkType; readonly seconds: Seconds }[],
): ComparedCenter[] {
  const used = new Map<string, UsedByType>();
  for (const { target, workType, seconds } of labor) {
    const task = facts.tasks.get(target);
    if (task) used.set(task.workCenter, addUsed(used.get(task.workCenter) ?? {}, workType, seconds));
  }
  const listed = shop.resources
    .filter(({ kind, isOff }) => kind === 'work-center' && !isOff)
    .map(({ name }) => name);
  return [...new Set([...listed, ...used.keys()])]
    .sort((a, b) => a.localeCompare(b))
    .map((name) => {
      const { resource, hours, now } = capacityOf(shop, 'work-center', name);
      const byWorkType = used.get(name) ?? {};
      return {
        resource: resource?.id ?? null,
        name,
        byWorkType: { ...byWorkType },
        seconds: sumSeconds(WORK_TYPES.map((type) => ({ seconds: byWorkType[type] ?? toSeconds(0) }))),
        availableSeconds: availableSeconds(hours, daysOf(days), shop.isClosed),
        hours: now,
      };
    });
}
