import { computed, inject, provide } from 'vue';
import type { ComputedRef, InjectionKey } from 'vue';
import type { TargetId } from '@wergon/core/ledger';
import type { Language, StationDirectory } from '@wergon/core/station';
import { formatHours, toSeconds } from '@wergon/core/time';
import type { HoursStyle, LocalDay } from '@wergon/core/time';
import { formatClock } from './formatClock.ts';
import { wordsOf } from './words/index.ts';
import type { Names, Words } from './words/index.ts';
import type { Station } from './useStation.ts';

type Said = { readonly words: Words; readonly names: Names; readonly hoursStyle: HoursStyle };
const KEY: InjectionKey<ComputedRef<Said>> = Symbol('words');

/** A task with its order's number, since every order has a winding; an activity by its title. */
const titleOf = (directory: StationDirectory | null, target: TargetId): string => {
  const known = directory?.targets.get(target);
  const order = known?.kind === 'task' ? directory?.orders.get(known.order) : undefined;
  return `${known?.title ?? '?'}${order ? `, ${order.number}` : ''}`;
};

const SECONDS_A_DAY = 86_400;
/** A day with its weekday, short enough for a button. */
const sayStationDay = (day: LocalDay, language: Language): string =>
  new Intl.DateTimeFormat(language === 'de' ? 'de-DE' : 'en-GB', {
    ...{ weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' },
  }).format(day * SECONDS_A_DAY * 1000);

/** Whoever stands here is spoken to in their own language, if they have one; else the station speaks its own. */
export function provideWords({ state, directory, settings }: Station): ComputedRef<Said> {
  const said = computed<Said>(() => {
    const { conversation } = state.value;
    const who =
      conversation.step === 'person' || conversation.step === 'asked'
        ? conversation.person.technician
        : state.value.said && 'technician' in state.value.said
          ? state.value.said.technician
          : undefined;
    const own = who && directory.value?.people.get(who)?.language;
    const language = own ?? settings.value.language;
    const words = wordsOf(language);
    return {
      words,
      hoursStyle: settings.value.hoursStyle,
      names: {
        target: (id) => titleOf(directory.value, id),
        person: (id) => directory.value?.technicians.get(id)?.name ?? '?',
        machine: (id) => directory.value?.resources.get(id)?.name ?? '?',
        clock: (at) => (directory.value ? formatClock(directory.value.facts.zone, at) : ''),
        day: (day) => sayStationDay(day, language),
        length: words.length,
        hours: (seconds) => formatHours(toSeconds(seconds), settings.value.hoursStyle),
      },
    };
  });
  provide(KEY, said);
  return said;
}

/** The words of the language that is spoken now. */
export function useWords(): ComputedRef<Said> {
  const said = inject(KEY);
  if (!said) throw new Error('no words: the station page provides them');
  return said;
}
