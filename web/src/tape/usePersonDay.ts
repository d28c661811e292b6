import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Ref } from 'vue';
import type { PersonDayJson } from '@wergon/contract/tape';
import { gapsOf } from '@wergon/core/tape';
import { addDays, toInstant } from '@wergon/core/time';
import type { LocalDay, Span, Zone } from '@wergon/core/time';
import { callRoute } from '../kit/index.ts';
import { createHourScale } from '../floor/index.ts';

const HOUR = 3600;
/** Hours that the ruler shows when nobody works outside them. */
const USUAL = { from: 6, to: 18 };

type StintJson = PersonDayJson['stints'][number];
export type TapeBlock = Span & { readonly key: string; readonly stint: StintJson };

/** One person's day, as the tape draws it. */
export function usePersonDay(
  technician: Readonly<Ref<string>>,
  day: Readonly<Ref<string>>,
  zone: Readonly<Ref<Zone | undefined>>,
  dayNumber: Readonly<Ref<LocalDay>>,
) {
  const query = useQuery({
    queryKey: ['person-day', technician, day],
    queryFn: () => callRoute('personDay', { query: { technician: technician.value, day: day.value } }),
    placeholderData: keepPreviousData,
    enabled: computed(() => technician.value !== ''),
  });
  const told = computed(() => query.data.value);
  const blocks = computed((): TapeBlock[] =>
    (told.value?.stints ?? []).map((stint) => ({
      key: String(stint.from),
      stint,
      from: stint.from,
      to: stint.to,
    })),
  );
  const shifts = computed(() => told.value?.shifts ?? []);
  const breaks = computed(() => told.value?.breaks ?? []);
  /** Time signed in but on nothing. */
  const gaps = computed(() => gapsOf(shifts.value, breaks.value, blocks.value, told.value?.gapSeconds ?? 0));
  const midnight = computed(() => zone.value?.startOf(dayNumber.value) ?? toInstant(0));
  const scale = computed(() => {
    const next = zone.value?.startOf(addDays(dayNumber.value, 1)) ?? midnight.value;
    const all = [...blocks.value, ...shifts.value];
    const hourOf = (at: number) => (at - midnight.value) / HOUR;
    const from = Math.min(USUAL.from, ...all.map((each) => Math.max(0, Math.floor(hourOf(each.from)))));
    const last = Math.ceil(hourOf(next));
    const to = Math.max(USUAL.to, ...all.map((each) => Math.min(last, Math.ceil(hourOf(each.to)))));
    return createHourScale(midnight.value, from, to);
  });
  return { query, told, blocks, shifts, breaks, gaps, scale };
}
