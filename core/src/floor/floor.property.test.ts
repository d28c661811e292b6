import fc from 'fast-check';
import { AT_REST } from '../ledger/fold.ts';
import { deriveLedger, foldEntries } from '../ledger/derive.ts';
import { effectiveEntries, inOrderOfTime } from '../ledger/effective.ts';
import { allocateStint } from '../ledger/allocate.ts';
import { sumAccounted } from '../ledger/attendance.ts';
import { sumLines } from '../ledger/lines.ts';
import type { HoursEntry, LaborEntry } from '../ledger/entries.ts';
import type { LaborLine } from '../ledger/lines.ts';
import { TARGETS, TECHNICIANS, anyEntries, clock, factsWith, zone } from '../ledger/shop.fixture.ts';
import { sumSeconds, toSeconds } from '../time/seconds.ts';
import { toInstant } from '../time/instant.ts';
import type { Instant } from '../time/instant.ts';
import { isPastEstimate, nearFrom } from '../compare/balance.ts';
import type { LocalDay } from '../time/day.ts';
import { WORK_TYPES, withAlwaysIncluded } from '../work/workType.ts';
import type { WorkOrderId } from '../work/orderState.ts';
import { addUsed } from '../ledger/used.ts';
import { jobsOnBoard } from './jobs.ts';
import { nearnessOf } from './nearness.ts';
import { orderStanding, personStanding, standingOf } from './standing.ts';
import { accountedShare, chargedOf, countPresently, drawLane } from './tape.ts';
import type { Board, BoardTarget } from './board.ts';
import type { UsedByType } from '../ledger/used.ts';
import type { SettledDay } from './tape.ts';

// Whatever was scanned: what the floor shows, settled rows with open time on top, is what the ledger derives.
const facts = factsWith();
const order = 'w' as WorkOrderId;
const RUNS = { numRuns: 400 };
const anyNow = fc.integer({ min: 1, max: 8 * 24 * 4 }).map((quarters) => clock(0, quarters * 15));

const usedOf = (lines: readonly LaborLine[], id: string): UsedByType =>
  lines
    .filter(({ target }) => target === id)
    .reduce<UsedByType>((used, { workType, seconds }) => addUsed(used, workType, seconds), {});

/** The board as a server keeps it after the last entry, and each person's settled stretches. */
function boardAfter(entries: readonly LaborEntry[], now: Instant, day: LocalDay) {
  const settledLines: LaborLine[] = [];
  const settled = new Map<(typeof TECHNICIANS)[number], SettledDay>();
  const known = effectiveEntries(entries).filter((entry) =>
    entry.type === 'hours' ? entry.day <= zone.dayAt(now) : entry.at <= now,
  );
  const technicians = TECHNICIANS.map((id) => {
    const own = known.filter((entry) => entry.technician === id);
    const hours = own.filter((entry): entry is HoursEntry => entry.type === 'hours');
    const timed = own.filter((entry): entry is Exclude<LaborEntry, HoursEntry> => entry.type !== 'hours');
    const { state, timeline } = foldEntries(id, AT_REST, inOrderOfTime(timed), facts);
    const pieces = timeline.stints.flatMap((stint) => allocateStint(stint, facts));
    const lines = sumLines(pieces, hours, { rates: [], setCosts: [] });
    settledLines.push(...lines);
    settled.set(id, { ...timeline, enteredSeconds: sumSeconds(hours.filter((each) => each.day === day)) });
    const charged = { day, seconds: sumSeconds(lines.filter((line) => line.day === day)) };
    return { id, name: id, department: '', hasLeft: false, state, charged };
  });
  const targets = TARGETS.map((id): BoardTarget => {
    const fact = facts.targets.get(id);
    return fact?.kind === 'task'
      ? {
          kind: 'task',
          id,
          title: id,
          order,
          estimatedSeconds: id === 'none' ? null : (fact.estimate[0]?.value ?? null),
          used: usedOf(settledLines, id),
          isFinished: false,
        }
      : { kind: 'activity', id, title: id };
  });
  const board: Board = {
    facts,
    technicians: new Map(technicians.map((each) => [each.id, each])),
    orders: new Map([
      [
        order,
        {
          id: order,
          number: '1',
          title: '',
          customer: '',
          state: 'released',
          includes: withAlwaysIncluded(['setup']),
        },
      ],
    ]),
    targets: new Map(targets.map((each) => [each.id, each])),
  };
  return { board, settled };
}

const anyFloor = fc.tuple(anyEntries, anyNow).map(([entries, now]) => {
  const day = zone.dayAt(now);
  return { now, day, ledger: deriveLedger(entries, facts, now), ...boardAfter(entries, now, day) };
});

test('what is used of a task, and of the whole order, is what the ledger says, of the work that the estimate includes', () => {
  fc.assert(
    fc.property(anyFloor, ({ board, ledger, now }) => {
      const includes = withAlwaysIncluded(['setup']);
      let [all, estimated] = [0, 0];
      for (const id of TARGETS) {
        const standing = standingOf(board, id, now);
        if (standing?.kind !== 'task') continue;
        const said = usedOf(ledger.lines, id);
        for (const workType of WORK_TYPES)
          expect(standing.used[workType] ?? 0).toBe(includes.has(workType) ? (said[workType] ?? 0) : 0);
        const { usedSeconds, estimatedSeconds, leftSeconds, overSeconds } = standing.comparison;
        all += usedSeconds;
        estimated += estimatedSeconds ?? 0;
        if (estimatedSeconds === null) expect([leftSeconds, overSeconds]).toEqual([null, null]);
        else expect((leftSeconds ?? 0) - (overSeconds ?? 0)).toBe(estimatedSeconds - usedSeconds);
      }
      expect(orderStanding(board, order, now)).toEqual({ usedSeconds: all, estimatedSeconds: estimated });
    }),
    RUNS,
  );
});

test('a lane holds all that the ledger charges to the day, and the share that found its work is the ledger’s', () => {
  fc.assert(
    fc.property(anyFloor, ({ board, settled, ledger, day, now }) => {
      const days = ledger.attendance.filter((each) => each.day === day);
      for (const technician of board.technicians.values()) {
        const none: SettledDay = { stints: [], shifts: [], breaks: [], enteredSeconds: toSeconds(0) };
        const lane = drawLane(board, technician, settled.get(technician.id) ?? none, day, now);
        const own = days.find((each) => each.technician === technician.id);
        expect(chargedOf(lane)).toBe(own?.chargedSeconds ?? 0);
        expect(personStanding(board, technician.id, now)?.todaySeconds).toBe(own?.chargedSeconds ?? 0);
        const { blocks } = lane;
        blocks.forEach((block, i) => expect(block.from).toBeGreaterThanOrEqual(blocks[i - 1]?.from ?? 0));
      }
      const accounted = sumAccounted(days);
      expect(accountedShare(board, settled, day, now)).toBe(accounted.share);
      const { attendedSeconds, unaccountedSeconds, outsideSeconds } = accounted;
      expect(outsideSeconds).toBeGreaterThanOrEqual(0);
      expect(attendedSeconds - unaccountedSeconds + outsideSeconds).toBe(
        sumSeconds(days.map(({ chargedSeconds }) => ({ seconds: chargedSeconds }))),
      );
    }),
    RUNS,
  );
});

test('everybody is doing one thing, and whoever works runs on what the ledger has open', () => {
  fc.assert(
    fc.property(anyFloor, ({ board, settled, ledger, day, now }) => {
      const lanes = [...board.technicians.values()].map((technician) =>
        drawLane(board, technician, settled.get(technician.id) as SettledDay, day, now),
      );
      const counts = countPresently(lanes);
      expect(Object.values(counts).reduce((sum, count) => sum + count, 0)).toBe(TECHNICIANS.length);
      for (const { technician, presently } of lanes) {
        const isOpen = ledger.stints.some(
          (stint) => stint.technician === technician.id && stint.open && !stint.capped,
        );
        if (isOpen) expect(['work', 'indirect']).toContain(presently);
      }
    }),
    RUNS,
  );
});

test('all jobs with all tasks: each task stands as it does alone, and each job as the sum of them', () => {
  fc.assert(
    fc.property(anyFloor, ({ board, now }) => {
      for (const job of jobsOnBoard(board, now)) {
        for (const { on, ...task } of job.tasks) {
          expect(task).toEqual(standingOf(board, task.task.id, now));
          const names = [...board.technicians.keys()].filter((id) =>
            personStanding(board, id, now)?.targets.some(
              (each) => each.kind === 'task' && each.task.id === task.task.id,
            ),
          );
          expect([...on].sort()).toEqual([...names].sort());
        }
        const { usedSeconds, estimatedSeconds } = job;
        expect({ usedSeconds, estimatedSeconds }).toEqual(orderStanding(board, job.order.id, now));
        const all = job.tasks.map(({ comparison }) => comparison);
        expect(job.overSeconds).toBe(all.reduce((sum, { overSeconds }) => sum + (overSeconds ?? 0), 0));
      }
    }),
    RUNS,
  );
});

test('a task that is near its estimate or past it is so since the second in which its labor came to that', () => {
  fc.assert(
    fc.property(anyEntries, anyNow, (entries, now) => {
      const { board } = boardAfter(entries, now, zone.dayAt(now));
      for (const id of TARGETS) {
        const standing = standingOf(board, id, now);
        if (standing?.kind !== 'task') continue;
        const { usedSeconds, estimatedSeconds, overSeconds, isLow: low } = standing.comparison;
        const near = nearnessOf(board, standing, now);
        expect(near !== undefined).toBe(!standing.task.isFinished && (low || isPastEstimate(overSeconds)));
        if (near?.since === undefined || estimatedSeconds === null) continue;
        const wanted = nearFrom(estimatedSeconds, 80, near.isPast);
        const usedThen = (at: number) => {
          const then = standingOf(board, id, toInstant(at));
          return then?.kind === 'task' ? then.comparison.usedSeconds : 0;
        };
        expect(near.since).toBeLessThanOrEqual(now);
        // Shares are whole seconds: of several targets at once one may be ahead by as many seconds as there are of them.
        expect(usedThen(near.since + TARGETS.length)).toBeGreaterThanOrEqual(Math.min(wanted, usedSeconds));
        expect(usedThen(near.since - TARGETS.length - 1)).toBeLessThan(wanted);
      }
    }),
    RUNS,
  );
});
