import type { CutField } from '@wergon/core/compare';
import type { CutSpec } from '@wergon/contract/compare';
import { parseDay, weekOf } from '@wergon/core/time';
import { WORK_TYPES } from '@wergon/core/work';
import { sayDay, sayMonth, yearOf } from '../../kit/index.ts';
import { t } from '../../words/index.ts';

/** How a key of a field is said: days and words of the trade in the language of the page, all else as the shop calls it. */
export function sayKey(field: CutField, key: string, name: string): string {
  if (key === '') return t(`noCutField.${field}`);
  const day = parseDay(key);
  const workType = WORK_TYPES.find((each) => each === key);
  switch (field) {
    case 'day':
      return day.ok ? sayDay(day.value) : name;
    case 'week':
      return day.ok ? t('compare.weekOf', { week: weekOf(day.value), year: yearOf(day.value) }) : name;
    case 'month':
      return day.ok ? sayMonth(day.value) : name;
    case 'workType':
      return workType ? t(`workTypes.${workType}`) : name;
    case 'kind':
      return key === 'job' ? t('compare.onJobsHead') : t('compare.indirectHead');
    default:
      return name;
  }
}

/** Cuts that are there from the start. */
export const USUAL_CUTS: readonly { readonly name: string; readonly cut: CutSpec }[] = [
  { name: t('usualCuts.personJob'), cut: { by: ['person', 'order', 'task'], only: {} } },
  { name: t('usualCuts.jobPerson'), cut: { by: ['order', 'task', 'person'], only: {} } },
  { name: t('usualCuts.activity'), cut: { by: ['order', 'day', 'person'], only: {} } },
  { name: t('usualCuts.costCode'), cut: { by: ['costCode', 'order', 'person'], only: { kind: 'job' } } },
  { name: t('usualCuts.date'), cut: { by: ['day', 'person', 'order'], only: {} } },
  {
    name: t('usualCuts.indirect'),
    cut: { by: ['activity', 'department', 'person'], only: { kind: 'indirect' } },
  },
  { name: t('usualCuts.reason'), cut: { by: ['reason', 'machine', 'person'], only: {} } },
  { name: t('usualCuts.workType'), cut: { by: ['workType', 'workCenter', 'order'], only: { kind: 'job' } } },
];
