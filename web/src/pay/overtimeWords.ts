import type { OvertimeChange, OvertimeJson } from '@wergon/contract/pay';
import type { PayClass } from '@wergon/core/pay';
import { PAY_CLASSES, PREMIUM_ON } from '@wergon/core/pay';
import { sayWeekdayOf } from '../kit/index.ts';
import { currentLocale, t } from '../words/index.ts';

type Terms = OvertimeJson['rules'][number]['terms'];
type SpecialDay = Terms['special'][number]['on'];

/** Hours and multipliers as decimals are written here. */
export const sayDecimal = (text: string): string =>
  new Intl.NumberFormat(currentLocale(), { maximumFractionDigits: 4 }).format(Number(text));

/** A weekday of ISO 8601, or a closed day, as the day on which something holds. */
export const sayOnDay = (on: SpecialDay): string =>
  on === 'closed' ? t('pay.closedDays') : sayWeekdayOf(on);

const sayClass = (each: PayClass, { multipliers }: Terms): string =>
  each === 'straight'
    ? t('payClasses.straight')
    : t('pay.classTimes', { class: t(`payClasses.${each}`), times: sayDecimal(multipliers[each]) });

/** What rules of overtime say, a sentence each. */
export const sayTerms = (terms: Terms): readonly string[] => [
  ...terms.day.map((tier) =>
    t('pay.beyondADay', { hours: sayDecimal(tier.over), class: sayClass(tier.class, terms) }),
  ),
  ...terms.week.map((tier) =>
    t('pay.beyondAWeek', { hours: sayDecimal(tier.over), class: sayClass(tier.class, terms) }),
  ),
  ...terms.special.map((each) =>
    t('pay.allOfADay', { day: sayOnDay(each.on), class: sayClass(each.class, terms) }),
  ),
  ...(terms.day.length + terms.week.length + terms.special.length === 0 ? [t('pay.allIsStraight')] : []),
];

/** Where what overtime adds is charged. */
export const BORNE_BY = PREMIUM_ON.map((each) => ({ value: each, words: t(`premiumOn.${each}`) }));

/** What seconds beyond a tier are paid as. */
export const BEYOND = PAY_CLASSES.filter((each) => each !== 'straight');
export type TierDraft = { over: string; class: (typeof BEYOND)[number] };

/** Rules as they are typed. */
export type RuleDraft = {
  from: string;
  group: string;
  terms: {
    weekStart: number;
    day: TierDraft[];
    week: TierDraft[];
    special: { on: SpecialDay; class: TierDraft['class'] }[];
    multipliers: { overtime: string; double: string };
    premiumOn: Terms['premiumOn'];
  } | null;
};
const SUNDAY = 7;
const usual: Terms = {
  weekStart: 1,
  day: [],
  week: [],
  special: [],
  multipliers: { overtime: '1.5', double: '2' },
  premiumOn: 'worked',
};
const beyond = (over: string, of: TierDraft['class'] = 'overtime') => ({ over, class: of });

/** Examples to start from; what holds somewhere, only its law and agreements say. */
export const EXAMPLES: readonly { readonly words: string; readonly terms: Terms }[] = [
  { words: t('pay.exampleDay'), terms: { ...usual, day: [beyond('8')] } },
  { words: t('pay.exampleWeek'), terms: { ...usual, week: [beyond('40')] } },
  {
    words: t('pay.exampleBoth'),
    terms: {
      ...usual,
      day: [beyond('8'), beyond('12', 'double')],
      week: [beyond('40')],
      special: [{ on: SUNDAY, class: 'double' }],
    },
  },
];

const point = (text: string) => text.trim().replace(',', '.');

/** Rules as they are sent. */
export const changeOf = (
  { from, group, terms }: RuleDraft,
  replaces: { readonly from: string; readonly group: string } | null,
): OvertimeChange => ({
  from,
  group,
  ...(replaces ? { replaces } : {}),
  terms: terms && {
    ...terms,
    weekStart: Number(terms.weekStart),
    day: terms.day.map(({ over, class: each }) => ({ over: point(over), class: each })),
    week: terms.week.map(({ over, class: each }) => ({ over: point(over), class: each })),
    special: terms.special.map(({ on, class: each }) => ({
      on: on === 'closed' ? on : Number(on),
      class: each,
    })),
    multipliers: { overtime: point(terms.multipliers.overtime), double: point(terms.multipliers.double) },
  },
});
