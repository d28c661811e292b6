import { ok } from '@wergon/core/result';
import type { TechnicianId } from '@wergon/core/people';
import type { Instant } from '@wergon/core/time';
import { readSql } from '../db/index.ts';
import { refuse } from '../http/index.ts';
import type { DeskWho, Mount } from '../http/index.ts';
import type { StationContext } from '../station/index.ts';
import type { ShopFacts } from '../catalog/index.ts';
import { cardDays, loadCard, loadCardPlan } from './card.ts';
import { confirmDays, findToConfirm, writeToConfirm } from './confirm.ts';

/** Routes by which people see and confirm their own time: at a station whoever has proved there who they are, at the desk
 *  whoever stands on the floor's list as one of its people. */
export function mountOwnTime(mount: Mount, context: StationContext): void {
  const { database, clock, facts, journal, proofs } = context;
  const show = async (
    known: ShopFacts,
    technician: TechnicianId,
    asked: Parameters<typeof cardDays>[0],
    now: Instant,
  ) => {
    const days = cardDays(asked, known.zone.dayAt(now));
    if ('code' in days) return days;
    const plan = await loadCardPlan(database.em.fork(), technician, days);
    return ok(
      await readSql(database, (sql) => ({
        card: loadCard(sql, known, technician, days, plan, now),
        toConfirm: findToConfirm(sql, known, technician, now).map(writeToConfirm),
      })),
    );
  };

  mount('ownTime', async ({ body: { technician, proof, ...asked }, who }) => {
    const known = await facts.get();
    if (!known.technicians.has(technician)) return refuse('record.not_found');
    if (!proofs.holds(proof, who.station.id, technician)) return refuse('access.not_proved');
    return show(known, technician, asked, clock.now());
  });

  mount('confirmOwnTime', async ({ body: { technician, proof, days }, who }) => {
    const station = who.station.id;
    if (!proofs.holds(proof, station, technician)) return refuse('access.not_proved');
    const author = { kind: 'station', id: station } as const;
    const done = await journal.appendAll(author, confirmDays(technician, days, clock));
    return done.ok ? ok(null) : done;
  });

  mount('ownCard', async ({ query, who }) => {
    const known = await facts.get();
    const technician = ownId(who, known);
    return technician === undefined
      ? refuse('access.not_on_floor')
      : show(known, technician, query, clock.now());
  });

  mount('confirmOwnDays', async ({ body: { days }, who }) => {
    const technician = ownId(who, await facts.get());
    if (technician === undefined) return refuse('access.not_on_floor');
    const author = { kind: 'desk', id: who.user.id } as const;
    const done = await journal.appendAll(author, confirmDays(technician, days, clock));
    return done.ok ? ok(null) : done;
  });
}

/** Who a desk user is on the floor, if they are somebody there. */
export const ownId = (
  { user: { technician } }: DeskWho,
  { technicians }: ShopFacts,
): TechnicianId | undefined => (technician != null && technicians.has(technician) ? technician : undefined);
