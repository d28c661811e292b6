import type { ComparedCenter, ComparedMachine } from '@wergon/contract/compare';
import { availableSeconds, machineDays, machineSpans, sumMachines } from '@wergon/core/compare';
import type { CapacityHours, MachineSpan, MachineUse } from '@wergon/core/compare';
import { addUsed } from '@wergon/core/ledger';
import type { UsedByType } from '@wergon/core/ledger';
import { ok } from '@wergon/core/result';
import { daysFrom, sumSeconds, toSeconds } from '@wergon/core/time';
import type { Days, LocalDay } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import type { ShopFacts } from '../../catalog/index.ts';
import { readSql } from '../../db/index.ts';
import type { Database } from '../../db/index.ts';
import { refuse } from '../../http/index.ts';
import type { Mount } from '../../http/index.ts';
import { loadMachineStints, loadOpenStints } from '../../ledger/index.ts';
import type { LedgerContext } from '../../ledger/index.ts';
import { CapacityEntity, ClosedDayEntity, ResourceEntity } from '../../shop/index.ts';
import { spanOf } from './jobs.ts';
import { loadPieces } from './labor.ts';
import type { LaborPiece } from './labor.ts';

/** Use of machines, and hours at work centers. Source: docs/compare.md, section 5. */
export function mountMachines(mount: Mount, { database, clock, facts, setupChanged }: LedgerContext): void {
  mount('comparedMachines', async ({ query: { from, to } }) => {
    // A machine is used, whoever stands at it: nobody is named.
    const known = await facts.get();
    const now = clock.now();
    const days = { firstDay: from, lastDay: to };
    const span = spanOf(known, days);
    const shop = await loadCapacities(database, days);
    const { spans, pieces } = await readSql(database, (sql) => ({
      spans: machineSpans([...loadMachineStints(sql, span), ...loadOpenStints(sql, known, now)], span),
      pieces: loadPieces(sql, known, days, now, { costs: 'standard', isParted: true }),
    }));
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
          pieces,
          today: known.zone.dayAt(now),
        }),
      ),
      centers: writeCenters(known, shop, days, pieces),
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
  readonly pieces: readonly LaborPiece[];
  readonly today: LocalDay;
};

function writeMachine(
  facts: ShopFacts,
  shop: Capacities,
  days: Days,
  name: string,
  { use, spans, pieces, today }: Done,
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
    reasons: sumReasons(pieces.filter((piece) => piece.machine === name)),
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

/** Why people waited at a machine, the longest first. */
function sumReasons(pieces: readonly LaborPiece[]) {
  const sums = new Map<string, number>();
  for (const { workType, reason, seconds } of pieces)
    if (workType === 'down') sums.set(reason, (sums.get(reason) ?? 0) + seconds);
  return [...sums]
    .sort(([, a], [, b]) => b - a)
    .map(([reason, seconds]) => ({ reason, seconds: toSeconds(seconds) }));
}

/** Hours of people at the tasks of each work center, by kind of work, against the person-hours that it has. */
function writeCenters(
  facts: ShopFacts,
  shop: Capacities,
  days: Days,
  pieces: readonly LaborPiece[],
): ComparedCenter[] {
  const used = new Map<string, UsedByType>();
  for (const { target, workType, seconds } of pieces) {
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
