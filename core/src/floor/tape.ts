import { addSettled, deriveAttendance, emptyTimeline, settleAt, sumAccounted } from '../ledger/index.ts';
import type { AttendanceDay, Running, Stint } from '../ledger/index.ts';
import type { TechnicianId } from '../people/index.ts';
import { inForceAt, subtract, toSeconds, addDays } from '../time/index.ts';
import type { Instant, LocalDay, Seconds, Span } from '../time/index.ts';
import type { Board, BoardTechnician } from './board.ts';

/** What a tape shows of a stint; which entries are at its ends is asked for when somebody opens it. */
export type DrawnStint = Pick<Stint, 'from' | 'to' | 'running' | 'open' | 'capped'>;

/** One stretch of a lane of the day tape. `open` ones end at now; `torn` ones were ended by a rule. */
export type Block = Span &
  (
    | {
        readonly kind: 'work';
        readonly running: readonly Running[];
        readonly isOpen: boolean;
        readonly isTorn: boolean;
        /** The stint it shows, which may begin on the day before. */
        readonly stint: DrawnStint;
      }
    | { readonly kind: 'break' }
    /** Signed in, but on nothing. */
    | { readonly kind: 'nothing'; readonly isOpen: boolean }
  );

/** What a person is doing now, as the sentence above the tape counts it. */
export type Presently = 'work' | 'indirect' | 'break' | 'nothing' | 'out';

export type Lane = {
  readonly technician: BoardTechnician;
  readonly presently: Presently;
  /** Since when that has been so; absent for those who are out. */
  readonly since: Instant | undefined;
  /** When somebody signed out who is on work all the same; absent for everybody else. */
  readonly signedOutAt?: Instant;
  readonly blocks: readonly Block[];
  /** Written down for this day without a start and an end: it stands apart from the blocks. */
  readonly enteredSeconds: Seconds;
};

const clip = <T extends Span>(spans: readonly T[], to: Span): T[] =>
  spans
    .filter((span) => span.from < to.to && span.to > to.from)
    .map((span) => ({
      ...span,
      from: span.from > to.from ? span.from : to.from,
      to: span.to < to.to ? span.to : to.to,
    }));

/** The lane of one person for a local day up to `now`: what is settled, and what runs on top of it.
 *  Source: docs/look.md, day tape. */
export function drawLane(
  board: Board,
  technician: BoardTechnician,
  settled: SettledDay,
  day: LocalDay,
  now: Instant,
): Lane {
  const { zone, policy } = board.facts;
  const whole: Span = { from: zone.startOf(day), to: zone.startOf(addDays(day, 1)) };
  const tail = emptyTimeline();
  const { state, settled: open } = settleAt(technician.id, technician.state, now, policy);
  addSettled(tail, open);
  const stints = clip<DrawnStint>([...settled.stints, ...tail.stints], whole);
  const breaks = clip<Span>([...settled.breaks, ...tail.breaks], whole);
  const shifts = clip<Span>([...settled.shifts, ...tail.shifts], whole);
  const bySince = <T extends Span>(spans: T[]) => spans.sort((a, b) => a.from - b.from);
  // What is too short to be a gap is the time a scan takes, not time on nothing.
  const shortest = inForceAt(policy, now).gapMinutes * 60;
  const idle = subtract(subtract(bySince(shifts), bySince(breaks)), bySince(stints)).filter(
    ({ from, to }) => to - from >= shortest || to === now,
  );
  const blocks: Block[] = [
    ...stints.map((stint): Block => ({
      kind: 'work',
      from: stint.from,
      to: stint.to,
      running: stint.running,
      isOpen: stint.open && stint.to === now,
      isTorn: stint.capped,
      stint,
    })),
    ...breaks.map(({ from, to }): Block => ({ kind: 'break', from, to })),
    ...idle.map(({ from, to }): Block => ({ kind: 'nothing', from, to, isOpen: to === now })),
  ];
  // A stint cut by the rule for forgotten stops is work no longer, even if nobody has said so yet.
  const isCut = tail.stints.some(({ open: isOpen, capped }) => isOpen && capped);
  const lastStint = [...settled.stints, ...tail.stints].at(-1);
  const presently = presentlyOf(board, state, isCut);
  return {
    technician,
    presently,
    since: sinceOf(presently, state, idle, lastStint),
    ...signedOut(state, isCut, shifts),
    blocks: bySince(blocks),
    enteredSeconds: settled.enteredSeconds,
  };
}

function presentlyOf(board: Board, { shift, doing }: BoardTechnician['state'], isCut: boolean): Presently {
  if (doing.status === 'break') return 'break';
  if (doing.status === 'work' && !isCut)
    return doing.running.some(({ target }) => board.targets.get(target)?.kind === 'task')
      ? 'work'
      : 'indirect';
  return shift ? 'nothing' : 'out';
}

/** Work that runs on, or was begun, after its person signed out: nobody sees them, and it counts. */
function signedOut(
  { shift, doing }: BoardTechnician['state'],
  isCut: boolean,
  shifts: readonly Span[],
): Pick<Lane, 'signedOutAt'> {
  const last = shifts.at(-1);
  return doing.status === 'work' && !isCut && !shift && last ? { signedOutAt: last.to } : {};
}

function sinceOf(
  presently: Presently,
  { shift, doing }: BoardTechnician['state'],
  idle: readonly Span[],
  lastStint: DrawnStint | undefined,
): Instant | undefined {
  if (presently === 'out') return lastStint?.to;
  if (presently === 'nothing') return idle.at(-1)?.from ?? shift?.since;
  return doing.status === 'nothing' ? undefined : doing.since;
}

/** What one person's day was charged with: the blocks of work that are drawn, and what was written down. */
export const chargedOf = ({ blocks, enteredSeconds }: Lane): Seconds =>
  toSeconds(
    blocks.reduce<number>(
      (sum, { kind, from, to }) => sum + (kind === 'work' ? to - from : 0),
      enteredSeconds,
    ),
  );

/** How many people are doing what. */
export function countPresently(lanes: readonly Lane[]): Readonly<Record<Presently, number>> {
  const counts = { work: 0, indirect: 0, break: 0, nothing: 0, out: 0 };
  for (const { presently } of lanes) counts[presently] += 1;
  return counts;
}

/** What is settled of one person's day: stretches that touch it, and hours written down for it. */
export type SettledDay = {
  readonly stints: readonly DrawnStint[];
  readonly shifts: readonly Span[];
  readonly breaks: readonly Span[];
  readonly enteredSeconds: Seconds;
};

/** The share of the day's attended time that found its work, from 0 to 1; `null` while nobody has attended.
 *  Source: docs/ledger.md, section 7, accounted. */
export function accountedShare(
  board: Board,
  settled: ReadonlyMap<TechnicianId, SettledDay>,
  day: LocalDay,
  now: Instant,
): number | null {
  const days: AttendanceDay[] = [];
  for (const [technician, before] of settled) {
    const known = board.technicians.get(technician);
    const tail = emptyTimeline();
    if (known) addSettled(tail, settleAt(technician, known.state, now, board.facts.policy).settled);
    const derived = deriveAttendance(
      {
        technician,
        stints: [...before.stints, ...tail.stints],
        shifts: [...before.shifts, ...tail.shifts],
        breaks: [...before.breaks, ...tail.breaks],
        enteredByDay: new Map([[day, before.enteredSeconds]]),
      },
      board.facts,
    );
    days.push(...derived.days.filter((each) => each.day === day));
  }
  return sumAccounted(days).share;
}
