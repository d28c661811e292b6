import type { TravelerJson } from '@wergon/contract/labels';
import type { Traveler } from '@wergon/core/labels';
import { formatHours } from '@wergon/core/time';
import { sayLongDay } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** A traveler as it is printed, in the language of the page. */
export function travelerPaper(order: TravelerJson): Traveler {
  const { customer, quantity, due, unit, item } = order;
  // The codes of a task are told apart by their kind of work where it has more than its own.
  const titleOf = (codes: TravelerJson['tasks'][number]['codes'], i: number) =>
    codes.length > 1 && codes[i] ? t(`workTypes.${codes[i].workType}`) : '';
  return {
    heading: t('compare.order', { number: order.number }),
    title: order.title,
    facts: [
      `${customer}, ${t('compare.pieces', { n: quantity })}`,
      ...(due === null ? [] : [t('labels.dueOn', { day: sayLongDay(due) })]),
      ...(unit === '' ? [] : [t('labels.unit', { unit })]),
      ...(item === '' ? [] : [t('labels.item', { item })]),
    ],
    notes: order.notes,
    code: order.code,
    printed: t('labels.printedOn', { day: sayLongDay(order.printedOn), version: order.version }),
    words: { wholeOrder: t('bench.wholeOrder'), page: t('labels.page') },
    tasks: order.tasks.map(
      ({ position, title, workCenter, estimatedSeconds, description, instructions, codes }) => ({
        position,
        title,
        detail: [
          workCenter,
          estimatedSeconds === null
            ? ''
            : t('labels.hoursEstimated', { hours: formatHours(estimatedSeconds, 'h:mm') }),
        ]
          .filter(Boolean)
          .join(' · '),
        description,
        instructions: instructions.map(({ text, hours }) =>
          hours ? t('labels.stepWithHours', { text, hours }) : text,
        ),
        codes: codes.map(({ code }, i) => ({ title: titleOf(codes, i), detail: '', code })),
      }),
    ),
  };
}
