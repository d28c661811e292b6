export { hoursText, sayAroundAbsence, sayAway } from './absences.ts';
export { afterPointer } from './afterPointer.ts';
export { CallFailed, callRoute, clockOffsetMs, sayRefusal, wordsOf } from './callRoute.ts';
export { readDateText } from './dateText.ts';
export {
  sayClock,
  sayDate,
  sayDateText,
  sayDay,
  sayMonth,
  sayMonthDay,
  sayInstant,
  sayLongDay,
  sayWeekday,
  sayWeekdayOf,
  yearOf,
} from './dates.ts';
export { download } from './download.ts';
export { isLive, wholeCount } from './live.ts';
export { queryPlugin } from './queryPlugin.ts';
export { registerServiceWorker } from './registerServiceWorker.ts';
export { useAct } from './useAct.ts';
export { useDays } from './useDays.ts';
export { linkToDay, linkToPay, linkToWeek } from './links.ts';
export { useDesk } from './useDesk.ts';
export { sayRole } from './sayRole.ts';
export { useElementWidth } from './useElementWidth.ts';
export { useForm } from './useForm.ts';
export { toPlain } from './toPlain.ts';
export { useSortable } from './useSortable.ts';
export { useWorker } from './useWorker.ts';
export { useNow } from './useNow.ts';
export { usePeople } from './usePeople.ts';
export { useStart } from './useStart.ts';
export { useToday } from './useToday.ts';
export { beforeAfter } from './tables.ts';
export type { Column } from './tables.ts';
