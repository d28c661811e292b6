import type { ComparisonJson, LineRow, OrderRow } from '@wergon/contract/compare';
import type { TechnicianId } from '@wergon/core/people';
import { balanceOf, balanceOfTasks, formatBalance } from '@wergon/core/compare';
import type { Pieces } from '@wergon/core/compare';
import { formatHours, formatLeft, toSeconds } from '@wergon/core/time';
import type { HoursStyle } from '@wergon/core/time';
import { currentLocale, t } from '../words/index.ts';

/** A labor line of a person of whom whoever asks is told. */
export type ToldLine = LineRow & { readonly technician: TechnicianId };

/** What an order or a task comes to, in words that a row can show. */
export type BalanceWords = {
  readonly hours: string;
  readonly word: string;
  readonly also: string;
  /** Whether `also` goes on in the same breath: of what the hours are the sum. */
  readonly isAlsoOfSum: boolean;
  readonly isOver: boolean;
  /** Little of the estimate is left. */
  readonly isLow: boolean;
};

/** An order over on some tasks may have hours left on others: both are said. */
export function sayBalance(
  comparison: ComparisonJson,
  hasEstimate: boolean,
  style: HoursStyle,
): BalanceWords {
  const used = toSeconds(comparison.actualSeconds);
  const over = toSeconds(comparison.overSeconds);
  const left = toSeconds(comparison.remainingSeconds);
  const under = toSeconds(comparison.underSeconds);
  const balance = balanceOf(hasEstimate ? { used, over, left, under } : { used, over: null, left: null });
  const isOver = balance.kind === 'over';
  const also = comparison.isLow
    ? t('compare.runningLow')
    : !isOver
      ? ''
      : left > 0
        ? t('compare.left', { hours: formatLeft(left, style) })
        : under > 0
          ? t('compare.under', { hours: formatHours(under, style) })
          : '';
  return {
    hours: formatBalance(balance, style),
    word: t(`balances.${balance.kind}`),
    also,
    isAlsoOfSum: false,
    isOver,
    isLow: comparison.isLow,
  };
}

/** The same of an order with its tasks at hand: how far it is past its estimate in all, and on how many tasks. */
export function sayOrderBalance(
  comparison: ComparisonJson,
  tasks: readonly { readonly comparison: ComparisonJson }[],
  hasEstimate: boolean,
  style: HoursStyle,
): BalanceWords {
  const words = sayBalance(comparison, hasEstimate, style);
  if (!words.isOver) return words;
  const { net, tasksOver, over, left, under } = balanceOfTasks(
    tasks.map(({ comparison: { overSeconds, remainingSeconds, underSeconds } }) => ({
      overSeconds: toSeconds(overSeconds),
      remainingSeconds: toSeconds(remainingSeconds),
      underSeconds: toSeconds(underSeconds),
    })),
  );
  const others = [
    left > 0 ? t('compare.left', { hours: formatLeft(left, style) }) : '',
    under > 0 ? t('compare.under', { hours: formatHours(under, style) }) : '',
  ].filter(Boolean);
  if (others.length === 0) return words;
  const onTasks = t('compare.overOn', {
    hours: formatHours(over, style),
    n: tasksOver,
  });
  const also = t('compare.onOthers', {
    hours: others.join(', '),
    n: tasks.length - tasksOver,
  });
  const total = balanceOf({ used: toSeconds(0), over: toSeconds(Math.max(0, net)), left: toSeconds(0) });
  return total.kind === 'over'
    ? { ...words, hours: formatBalance(total, style), also: `${onTasks}, ${also}` }
    : { ...words, also: t('compare.onTasksAnd', { n: tasksOver, also }), isAlsoOfSum: true };
}

/** What a yardstick says to somebody who cannot see it. */
export const yardstickWords = (
  { actualSeconds, estimatedSeconds }: ComparisonJson,
  hasEstimate: boolean,
  hours: (seconds: number) => string,
): string =>
  hasEstimate
    ? t('compare.usedOfEstimated', { hours: hours(actualSeconds), hours2: hours(estimatedSeconds) })
    : t('compare.usedNoEstimate', { hours: hours(actualSeconds) });

/** Which orders a filter shows. */
export const FILTERS = {
  floor: { word: t('compare.onTheFloor'), states: ['released', 'on-hold'] },
  estimates: { word: t('work.estimates'), states: ['asked', 'offered', 'lost'] },
  preparing: { word: t('compare.inPreparation'), states: ['draft', 'accepted'] },
  finished: { word: t('compare.finished'), states: ['finished'], past: 'finished' },
  closed: { word: t('compare.closed'), states: ['closed'], past: 'closed' },
  all: {
    word: t('compare.allFilter'),
    states: ['asked', 'offered', 'lost', 'draft', 'accepted', 'released', 'on-hold', 'finished', 'closed'],
    past: undefined,
  },
} as const satisfies Record<
  string,
  {
    word: string;
    states: readonly OrderRow['state'][];
    /** Which orders whose work is behind them are looked for on the server; `undefined`: all of them. */
    past?: 'finished' | 'closed' | undefined;
  }
>;
export type Filter = keyof typeof FILTERS;

const shareOf = ({ comparison: { actualSeconds, estimatedSeconds } }: OrderRow) =>
  estimatedSeconds > 0 ? actualSeconds / estimatedSeconds : 0;
const overCost = ({ comparison: { costDifference }, hasEstimate }: OrderRow) =>
  hasEstimate ? Math.max(0, Number(costDifference)) : 0;

/** What is due on no day comes after all that is. */
const NO_DUE_DAY = Number.MAX_SAFE_INTEGER;

/** Hours of an order past its estimate, in seconds; what nobody has estimated is past nothing. */
export const overHours = ({
  hasEstimate,
  comparison,
}: Pick<OrderRow, 'hasEstimate' | 'comparison'>): number => (hasEstimate ? comparison.overSeconds : 0);

/** What a list of orders can begin with. */
export const ORDERS = {
  over: {
    word: t('compare.mostHoursOver'),
    compare: (a, b) => overHours(b) - overHours(a) || shareOf(b) - shareOf(a),
  },
  cost: {
    word: t('compare.mostMoneyOver'),
    compare: (a, b) => overCost(b) - overCost(a) || shareOf(b) - shareOf(a),
  },
  due: {
    word: t('compare.dueSoonest'),
    compare: (a, b) => (a.due ?? NO_DUE_DAY) - (b.due ?? NO_DUE_DAY),
  },
} as const satisfies Record<
  string,
  { readonly word: string; readonly compare: (a: OrderRow, b: OrderRow) => number }
>;

/** Pieces that were reported, of how many. */
export const sayPieces = ({ good, scrap, after }: Pieces & { after?: string }, quantity: number): string =>
  [
    after === undefined
      ? t('compare.goodOf', { good, quantity })
      : t('compare.goodAfter', { good, quantity, task: after }),
    ...(scrap > 0 ? [t('compare.scrapped', { scrap })] : []),
  ].join(', ');

/** Pieces that were reported; scrap where there was any. */
export const sayCount = ({ good, scrap }: Pieces): string =>
  scrap > 0 ? t('compare.goodAndScrap', { good, scrap }) : t('compare.goodPieces', { n: good });

/** A figure with at most one decimal; below one, where that would say little, with two figures. */
export const sayNumber = (figure: number): string =>
  new Intl.NumberFormat(
    currentLocale(),
    figure < 1 ? { maximumSignificantDigits: 2 } : { maximumFractionDigits: 1 },
  ).format(figure);
