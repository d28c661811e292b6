import { itemAt } from '../result/index.ts';
import { shareByWeight } from '../money/index.ts';
import type { TargetId } from '../ledger/index.ts';
import { sumSeconds, toSeconds, weekdayOf } from '../time/index.ts';
import type { LocalDay, Seconds } from '../time/index.ts';
import type { WorkType } from '../work/index.ts';
import type { OvertimeRule, PayTier } from './overtimeRule.ts';
import { PAY_CLASSES, highestOf } from './payClass.ts';
import type { ClassSeconds, PayClass } from './payClass.ts';
import type { Portion } from './portions.ts';

/** How somebody decided that a shift day is paid; it holds as long as it adds up to the day's paid seconds. */
export type DecidedSplit = ClassSeconds & { readonly day: LocalDay };

/** Seconds of one class on one target; no target where they are unallocated. */
export type ClassedShare = {
  readonly shiftDay: LocalDay;
  readonly day: LocalDay;
  readonly target: TargetId | undefined;
  readonly workType: WorkType | undefined;
  readonly class: PayClass;
  readonly seconds: Seconds;
};

/** One shift day, classed. `split` says whether a decision holds, or held until the day's time became another. */
export type ClassedDay = ClassSeconds & {
  readonly day: LocalDay;
  readonly portions: readonly Portion[];
  readonly shares: readonly ClassedShare[];
  readonly split: 'none' | 'decided' | 'changed';
  /** What of it counts towards the tiers of its week. */
  readonly countedSeconds: Seconds;
};

type Sums = Record<PayClass, number>;
const nothing = (): Sums => ({ straight: 0, overtime: 0, double: 0 });
type Stretch = { readonly class: PayClass; readonly seconds: number };

/** The seconds after a count, cut where a tier begins; below the first they are straight. */
function cutByTiers(count: number, seconds: number, tiers: readonly PayTier[]): readonly Stretch[] {
  const bounds = tiers.map(({ over }) => over).filter((over) => over > count && over < count + seconds);
  return [count, ...bounds].map((from, i) => ({
    class: tiers.findLast(({ over }) => over <= from)?.class ?? 'straight',
    seconds: (bounds[i] ?? count + seconds) - from,
  }));
}

/** What decides how the shift days of a week are classed. */
export type ClassRules = {
  readonly rule: OvertimeRule | undefined;
  readonly splits: readonly DecidedSplit[];
  readonly isClosed: (day: LocalDay) => boolean;
};

/** Classes shift days of one week in order, second by second: the highest of what the entries say, the tier of the day
 *  and that of a special day; what is straight by that is given the tier of the week, and alone counts towards it, so that
 *  nothing counts twice. A decided split takes the place of all of it. `counted` is what counted on days of the week before
 *  these. Straight, overtime and double add up to the paid seconds. Source: docs/pay.md, classes of pay. */
export function classifyWeek(
  days: ReadonlyMap<LocalDay, readonly Portion[]>,
  rules: ClassRules,
  counted: Seconds,
): readonly ClassedDay[] {
  let ofWeek: number = counted;
  return [...days].map(([day, portions]) => {
    const classed = classifyDay(day, portions, rules, ofWeek);
    ofWeek += classed.countedSeconds;
    return classed;
  });
}

function classifyDay(
  day: LocalDay,
  portions: readonly Portion[],
  { rule, splits, isClosed }: ClassRules,
  ofWeek: number,
): ClassedDay {
  const found = rule && splits.find((each) => each.day === day);
  const isHeld = found !== undefined && sumOf(found) === sumSeconds(portions);
  const classed = isHeld ? byDecision(portions, found) : byRule(portions, { day, ofWeek, rule, isClosed });
  const all = nothing();
  for (const { sums } of classed) for (const each of PAY_CLASSES) all[each] += sums[each];
  return {
    day,
    straight: toSeconds(all.straight),
    overtime: toSeconds(all.overtime),
    double: toSeconds(all.double),
    portions,
    shares: portions.flatMap((portion, i) => shareClasses(portion, itemAt(classed, i).sums)),
    split: found ? (isHeld ? 'decided' : 'changed') : 'none',
    countedSeconds: toSeconds(classed.reduce((sum, each) => sum + each.counted, 0)),
  };
}

const sumOf = (seconds: ClassSeconds): number => PAY_CLASSES.reduce((sum, each) => sum + seconds[each], 0);

/** A portion's seconds by class, and those of them that count towards the tiers of the week. */
type Classed = { readonly sums: Sums; readonly counted: number };

/** What a rule says of a day of which the week has had so many seconds that count. */
type DayOfWeek = {
  readonly day: LocalDay;
  readonly ofWeek: number;
  readonly rule: OvertimeRule | undefined;
  readonly isClosed: (day: LocalDay) => boolean;
};

function byRule(portions: readonly Portion[], { day, ofWeek, rule, isClosed }: DayOfWeek): Classed[] {
  if (!rule)
    return portions.map(({ seconds }) => ({ sums: { ...nothing(), straight: seconds }, counted: seconds }));
  const special = rule.special
    .filter(({ on }) => (on === 'closed' ? isClosed(day) : on === weekdayOf(day)))
    .map((each) => each.class);
  let [paidOfDay, countedOfWeek] = [0, ofWeek];
  return portions.map(({ seconds, own }) => {
    const sums = nothing();
    const before = countedOfWeek;
    for (const stretch of cutByTiers(paidOfDay, seconds, rule.day)) {
      const first = highestOf([own, stretch.class, ...special]);
      if (first === 'straight') {
        for (const part of cutByTiers(countedOfWeek, stretch.seconds, rule.week))
          sums[part.class] += part.seconds;
        countedOfWeek += stretch.seconds;
      } else sums[first] += stretch.seconds;
    }
    paidOfDay += seconds;
    return { sums, counted: countedOfWeek - before };
  });
}

/** Straight first, then overtime, then double, whatever the entries say; the split has as many seconds as the portions. */
function byDecision(portions: readonly Portion[], split: ClassSeconds): Classed[] {
  const left: Sums = { straight: split.straight, overtime: split.overtime, double: split.double };
  return portions.map(({ seconds }) => {
    const sums = nothing();
    let open: number = seconds;
    for (const each of PAY_CLASSES) {
      sums[each] = Math.min(open, left[each]);
      left[each] -= sums[each];
      open -= sums[each];
    }
    return { sums, counted: sums.straight };
  });
}

/** A portion's classes over its targets, straight first, each by what is left of their shares. */
function shareClasses({ shiftDay, day, seconds, shares }: Portion, sums: Sums): readonly ClassedShare[] {
  const on = shares.length > 0 ? shares : [{ target: undefined, workType: undefined, seconds }];
  const left: number[] = on.map((share) => share.seconds);
  return PAY_CLASSES.flatMap((each) => {
    if (sums[each] === 0) return [];
    // Most work is on one thing: all of it is that one's.
    const given = on.length === 1 ? [sums[each]] : shareByWeight(sums[each], left);
    return on.flatMap(({ target, workType }, i): ClassedShare[] => {
      const own = itemAt(given, i);
      left[i] = itemAt(left, i) - own;
      return own === 0 ? [] : [{ shiftDay, day, target, workType, class: each, seconds: toSeconds(own) }];
    });
  });
}
