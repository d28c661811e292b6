import type { LocalDay } from '@wergon/core/time';
import type { ResponseOf } from '@wergon/contract/routes';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { mergeFloor, readBoard, readLanes } from '@wergon/contract/floor';
import { accountedShare, countPresently, drawLane } from '@wergon/core/floor';
import type { Lane } from '@wergon/core/floor';
import { formatDay, toSeconds, addDays } from '@wergon/core/time';
import { callRoute, useNow, useToday, wholeCount } from '../kit/index.ts';

/** The floor of one day as it stands now: what the server sent, with open time on top. Until the server answers, what
 *  was `kept` stands there. */
export function useFloor(kept?: ResponseOf<'floor'>) {
  const now = useNow();
  const queries = useQueryClient();
  const today = useToday();
  /** Days before today; the floor follows the day over midnight. */
  const daysBack = ref(0);
  const askedDay = computed(() => addDays(today.value, -daysBack.value));
  /** Days that are known, by how much beside the journal had changed when they were asked for as a whole. */
  const wholeSince = new Map<LocalDay, number>();
  async function askFloor(asked: LocalDay): Promise<ResponseOf<'floor'>> {
    const known = queries.getQueryData<ResponseOf<'floor'>>(['floor', asked]);
    if (known && wholeSince.get(asked) === wholeCount.value) {
      const query = { day: formatDay(asked), after: String(known.seq) };
      const changes = await callRoute('floorChanges', { query });
      if (changes) return mergeFloor(known, changes);
    }
    const count = wholeCount.value;
    const whole = await callRoute('floor', { query: { day: formatDay(asked) } });
    wholeSince.set(asked, count);
    return whole;
  }
  const query = useQuery({
    queryKey: ['floor', askedDay],
    queryFn: () => askFloor(askedDay.value),
    placeholderData: keepPreviousData,
    // Old from the beginning, so it is asked for at once; and unlike a placeholder it stays where no answer comes.
    ...(kept ? { initialData: kept, initialDataUpdatedAt: 0 } : {}),
    // A day of a big shop is a megabyte that is read once: neither compared with the last one nor watched part by part.
    structuralSharing: false,
    shallow: true,
  });
  /** The day that is drawn: until the asked one has come, the one before it. */
  const day = computed(() => (query.data.value ? query.data.value.day : askedDay.value));
  const board = computed(() => query.data.value && readBoard(query.data.value));
  const settled = computed(() => query.data.value && readLanes(query.data.value));
  const none = { stints: [], shifts: [], breaks: [], enteredSeconds: toSeconds(0) };
  const lanes = computed((): readonly Lane[] => {
    const known = board.value;
    if (!known) return [];
    return [...known.technicians.values()].map((technician) =>
      drawLane(known, technician, settled.value?.get(technician.id) ?? none, day.value, now.value),
    );
  });
  const counts = computed(() => countPresently(lanes.value));
  const accounted = computed(() =>
    board.value && settled.value ? accountedShare(board.value, settled.value, day.value, now.value) : null,
  );
  return {
    query,
    board,
    lanes,
    counts,
    accounted,
    day,
    askedDay,
    now,
    isToday: computed(() => day.value === today.value),
    back: () => (daysBack.value += 1),
    on: () => (daysBack.value = Math.max(0, daysBack.value - 1)),
    goToday: () => (daysBack.value = 0),
  };
}
