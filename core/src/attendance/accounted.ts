import { shareAccounted, sumAccounted } from '../ledger/index.ts';
import type { AttendanceDay, ChargedDays, TargetId } from '../ledger/index.ts';
import { overlapSeconds, sumSeconds, toSeconds } from '../time/index.ts';
import type { LocalDay, Seconds, Span } from '../time/index.ts';

/** What became of attended time, in seconds: attended − unaccounted + outside is all that was charged, and that is what
 *  lies on jobs and on indirect activities. `share` is accounted time from 0 to 1, `null` where nobody has attended. */
export type Accounted = {
  readonly attendedSeconds: Seconds;
  readonly jobSeconds: Seconds;
  readonly indirectSeconds: Seconds;
  readonly breakSeconds: Seconds;
  /** Of it what was written down and not scanned. */
  readonly enteredSeconds: Seconds;
  readonly unaccountedSeconds: Seconds;
  readonly outsideSeconds: Seconds;
  readonly share: number | null;
};
export type AccountedPerson = Accounted & {
  /** Indirect activities, the longest first. */
  readonly activities: readonly { readonly target: TargetId; readonly seconds: Seconds }[];
  readonly jobSecondsOn: ReadonlyMap<LocalDay, Seconds>;
};

/** What became of one person's time on some days. `days` are all that are asked for; what was charged on others is left
 *  out. `isJob` tells tasks from activities. Source: docs/ledger.md, section 7. */
export function accountPerson(
  days: readonly AttendanceDay[],
  charged: ChargedDays,
  { breaks, span }: { readonly breaks: readonly Span[]; readonly span: Span },
  isJob: (target: TargetId) => boolean,
): AccountedPerson {
  const jobSecondsOn = new Map<LocalDay, Seconds>();
  const activities = new Map<TargetId, Seconds>();
  for (const { day } of days)
    for (const [target, seconds] of charged.get(day) ?? []) {
      if (isJob(target)) jobSecondsOn.set(day, toSeconds((jobSecondsOn.get(day) ?? 0) + seconds));
      else activities.set(target, toSeconds((activities.get(target) ?? 0) + seconds));
    }
  return {
    ...sumAccounted(days),
    jobSeconds: sumOf([...jobSecondsOn.values()]),
    indirectSeconds: sumOf([...activities.values()]),
    breakSeconds: sumOf(breaks.map((each) => overlapSeconds(each, span))),
    enteredSeconds: sumOf(days.map(({ enteredSeconds }) => enteredSeconds)),
    activities: [...activities]
      .map(([target, seconds]) => ({ target, seconds }))
      .sort((a, b) => b.seconds - a.seconds),
    jobSecondsOn,
  };
}

/** The same of several people together. Source: docs/ledger.md, section 7. */
export function sumPeople(people: readonly Accounted[]): Accounted {
  const sum = (of: (person: Accounted) => number) => sumOf(people.map(of));
  const attendedSeconds = sum((person) => person.attendedSeconds);
  const unaccountedSeconds = sum((person) => person.unaccountedSeconds);
  return {
    attendedSeconds,
    jobSeconds: sum((person) => person.jobSeconds),
    indirectSeconds: sum((person) => person.indirectSeconds),
    breakSeconds: sum((person) => person.breakSeconds),
    enteredSeconds: sum((person) => person.enteredSeconds),
    unaccountedSeconds,
    outsideSeconds: sum((person) => person.outsideSeconds),
    share: shareAccounted(attendedSeconds, unaccountedSeconds),
  };
}

const sumOf = (lengths: readonly number[]): Seconds => sumSeconds(lengths.map((seconds) => ({ seconds })));
