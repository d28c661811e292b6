import type { EntryJson } from '@wergon/contract/ledger';
import { formatInstant, toInstant } from '@wergon/core/time';
import type { WorkType } from '@wergon/core/work';
import type { Random } from './random.ts';
import { LENDS_TO, STATIONS } from './sampleShop.ts';
import type { Person } from './sampleShop.ts';
import { findTask } from './workflow.ts';
import type { SimOrder, SimTask } from './workflow.ts';

/** An entry as a station made it. */
export type SimEntry = { readonly at: number; readonly station: string; readonly entry: EntryJson };

/** Turns a wall clock of the shop into an instant: seconds after midnight of a day. */
export type ClockOf = (day: number, seconds: number) => number;

type Doing = {
  readonly order: SimOrder;
  readonly task: SimTask;
  workType: WorkType;
  readonly startsAt: number;
} | null;

type Worker = {
  readonly technician: string;
  readonly person: Person;
  /** What they still have to do today, in order of time: fixed points of their day. */
  plan: { readonly at: number; readonly what: 'in' | 'pause' | 'resume' | 'stop' | 'clean' | 'out' }[];
  doing: Doing;
  isIn: boolean;
  nextAt: number;
  /** While set, they have scanned an indirect activity until then. */
  busyUntil: number;
};

/** Who is on nothing when the demo opens, so that the floor has somebody to ask. */
const IDLE_AT_THE_END = 'Petra Novak';

const MINUTE = 60;
const HOUR = 3600;
/** Nobody looks for other work more often than this. */
const LOOK_AGAIN = 20 * MINUTE;

/** Plays the shop from one day to another, up to `until`: every scan that its people make, in order of time. */
export function simulate(
  people: readonly { readonly technician: string; readonly person: Person }[],
  orders: SimOrder[],
  days: readonly number[],
  until: number,
  clockOf: ClockOf,
  random: Random,
  makeId: () => string,
): SimEntry[] {
  const entries: SimEntry[] = [];
  const workers = people.map(({ technician, person }): Worker => ({
    technician,
    person,
    plan: days
      .flatMap((day) => planDay(person, day, clockOf, random))
      .flatMap((point) =>
        person.name === IDLE_AT_THE_END && isJustBefore(point.at, until)
          ? [point, stopBefore(until)]
          : [point],
      ),
    doing: null,
    isIn: false,
    nextAt: 0,
    busyUntil: 0,
  }));
  for (const worker of workers) worker.nextAt = worker.plan[0]?.at ?? Infinity;

  const scan = (worker: Worker, at: number, entry: Record<string, unknown>) => {
    const station = random.pick(STATIONS[worker.person.department]);
    const whole = { id: makeId(), at: formatInstant(toInstant(at)), technician: worker.technician, ...entry };
    // Built from the shapes of the contract, and read with its schema when it is recorded.
    entries.push({ at, station, entry: whole as EntryJson });
  };

  // Orders that can be worked on, looked up once an hour: a year of them is long.
  let [live, liveUntil] = [new Array<SimOrder>(), 0];
  const liveAt = (at: number): readonly SimOrder[] => {
    if (at >= liveUntil) {
      liveUntil = at + HOUR;
      live = orders.filter((order) => order.finishedAt === null && order.releasedAt < liveUntil);
    }
    return live;
  };

  for (;;) {
    const worker = workers.reduce((first, each) => (each.nextAt < first.nextAt ? each : first));
    const at = worker.nextAt;
    // Somebody who looks for their next task scans it a little later, perhaps after others or after the end.
    if (at >= until) return entries.filter((each) => each.at < until).sort((a, b) => a.at - b.at);
    const point = worker.plan[0];
    if (point && point.at <= at) {
      worker.plan.shift();
      reach(worker, point.what, at);
    } else workOn(worker, at);
    worker.nextAt = nextMoment(worker, at);
  }

  function reach(worker: Worker, what: Worker['plan'][number]['what'], at: number): void {
    switch (what) {
      case 'in':
        worker.isIn = true;
        // Once in a while the badge stays in the pocket until the first task.
        if (!random.chance(0.008)) scan(worker, at, { type: 'shift-in' });
        return startSomething(worker, at + random.between(20, 200));
      case 'pause':
        return scan(worker, at, { type: 'break-start' });
      case 'resume':
        return scan(worker, at, { type: 'break-end' });
      case 'stop':
        leaveTask(worker);
        worker.busyUntil = Infinity;
        return scan(worker, at, { type: 'work-stop' });
      case 'clean':
        leaveTask(worker);
        return scan(worker, at, { type: 'work-start', targets: ['cleaning'] });
      case 'out':
        leaveTask(worker);
        worker.isIn = false;
        worker.busyUntil = 0;
        // A forgotten shift end: the rule ends it, and the supervisor will have to say when it was.
        if (!random.chance(0.01)) scan(worker, at, { type: 'shift-out' });
    }
  }

  /** A decision point between the fixed ones: a task is done, or a wait is over. */
  function workOn(worker: Worker, at: number): void {
    if (!worker.isIn || isOnBreak(worker)) return;
    const { doing } = worker;
    // Whoever is on the way to the same task begins it before it is done.
    if (doing && workers.some((each) => each.doing?.task === doing.task && each.doing.startsAt > at)) return;
    if (doing && isComplete(doing.task)) {
      doing.task.isDone = true;
      scan(worker, at, { type: 'task-done', targets: [doing.task.id] });
      leaveTask(worker);
      finishOrSendBack(doing, at);
      return startSomething(worker, at + random.between(15, 240));
    }
    if (doing?.workType === 'setup' && doing.task.workedSeconds >= doing.task.setupSeconds) {
      doing.workType = 'run';
      return scan(worker, at, { type: 'work-start', targets: [doing.task.id] });
    }
    if (!doing) startSomething(worker, at);
  }

  function startSomething(worker: Worker, at: number): void {
    if (random.chance(0.02)) {
      worker.busyUntil = at + random.between(15, 70) * MINUTE;
      return scan(worker, at, { type: 'work-start', targets: [random.chance(0.6) ? 'waiting' : 'training'] });
    }
    const own = worker.person.department;
    const found = [own, ...LENDS_TO[own]].flatMap(
      (department) => findTask(liveAt(at), department, at) ?? [],
    )[0];
    if (!found) {
      const isWaiting = worker.busyUntil > 0;
      worker.busyUntil = at + LOOK_AGAIN;
      // Most say so; some just wait, and the floor shows them on nothing.
      if (!isWaiting && random.chance(0.9)) scan(worker, at, { type: 'work-start', targets: ['waiting'] });
      return;
    }
    const { order, task } = found;
    const isSetup = !task.isRework && task.setupSeconds > 0 && task.workedSeconds < task.setupSeconds;
    const workType: WorkType = task.isRework ? 'rework' : isSetup ? 'setup' : 'run';
    task.people += 1;
    worker.doing = { order, task, workType, startsAt: at };
    worker.busyUntil = 0;
    scan(worker, at, {
      type: 'work-start',
      targets: [task.id],
      ...(workType === 'run' ? {} : { workType }),
    });
  }

  function leaveTask(worker: Worker): void {
    if (worker.doing) worker.doing.task.people -= 1;
    worker.doing = null;
  }

  function finishOrSendBack({ order, task }: NonNullable<Doing>, at: number): void {
    const isLast = order.tasks.at(-1) === task;
    const winding = order.tasks.find(({ step }) => step.title === 'Winding');
    if (isLast && winding && !winding.isRework && random.chance(0.12)) {
      // The final test failed: the winding is taken up again, and so is the test.
      winding.isRework = true;
      winding.isDone = false;
      winding.workedSeconds = Math.max(0, winding.workedSeconds - random.between(1, 3) * HOUR);
      task.isDone = false;
      task.workedSeconds = Math.max(0, task.workedSeconds - HOUR);
      entries.push({
        at: at + 30,
        station: 'Test',
        entry: {
          id: makeId(),
          type: 'task-reopen',
          at: formatInstant(toInstant(at + 30)),
          targets: [winding.id, task.id],
        },
      });
    } else if (isLast) order.finishedAt = at;
  }

  function nextMoment(worker: Worker, at: number): number {
    const fixed = worker.plan[0]?.at ?? Infinity;
    if (!worker.isIn || isOnBreak(worker)) return fixed;
    const { doing } = worker;
    if (!doing) return Math.min(fixed, Math.max(worker.busyUntil, at + MINUTE));
    const goal = doing.workType === 'setup' ? doing.task.setupSeconds : goalOf(doing.task);
    const stretch = Math.max(MINUTE, Math.min(goal - doing.task.workedSeconds, fixed - at));
    doing.task.workedSeconds += Math.min(stretch, Math.max(0, fixed - at));
    return Math.min(fixed, at + stretch);
  }
}

const goalOf = (task: SimTask) => task.setupSeconds + task.trueSeconds;
const isComplete = (task: SimTask) => task.workedSeconds >= goalOf(task);
const isOnBreak = ({ plan }: Worker) => plan[0]?.what === 'resume';

/** One person's day: when they come, pause, clean up and go. Some days they are away. */
function planDay(person: Person, day: number, clockOf: ClockOf, random: Random): Worker['plan'] {
  if (random.chance(0.035)) return [];
  const start = person.isNight ? 22 * HOUR : 7 * HOUR;
  const minute = (early: number, late: number) => random.between(early * 60, late * 60);
  const at = (hours: number, shift: number) => clockOf(day, start + hours * HOUR + shift);
  const points: Worker['plan'] = [
    { at: at(0, minute(-9, 4)), what: 'in' },
    { at: at(2.25, minute(-4, 5)), what: 'pause' },
    { at: at(2.5, minute(-1, 4)), what: 'resume' },
    { at: at(4.5, minute(-5, 6)), what: 'pause' },
    { at: at(5, minute(-2, 5)), what: 'resume' },
  ];
  if (random.chance(0.3)) points.push({ at: at(8.1, minute(-3, 4)), what: 'clean' });
  points.push({ at: at(8.5, minute(-6, 25)), what: 'out' });
  return points;
}

const isJustBefore = (at: number, until: number) => at < until - 31 * MINUTE && at > until - 2 * HOUR;
const stopBefore = (until: number) => ({ at: until - 31 * MINUTE, what: 'stop' as const });
