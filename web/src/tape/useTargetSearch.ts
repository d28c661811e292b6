import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import type { Ref } from 'vue';
import { callRoute } from '../kit/index.ts';

/** So long after the last key what fits is looked for. */
const SEARCH_MS = 150;

const load = (search: string) => callRoute('targets', { query: { search } });

/** What fits the words in a field. What was found for words before stands until the answer comes, and is taken for none. */
export function useTargetSearch(text: Readonly<Ref<string>>, isOpen: Readonly<Ref<boolean>>) {
  const queries = useQueryClient();
  const asked = refDebounced(text, SEARCH_MS);
  const query = useQuery(
    {
      queryKey: ['targets', asked],
      queryFn: () => load(asked.value),
      enabled: isOpen,
      placeholderData: keepPreviousData,
    },
    queries,
  );
  /** The answer to what stands in the field now. */
  const current = computed(() =>
    asked.value === text.value && !query.isPlaceholderData.value ? query.data.value : undefined,
  );
  return {
    found: computed(() => query.data.value?.targets ?? []),
    isLooking: query.isFetching,
    /** The one thing that fits, where just one does. */
    only: computed(() => {
      const targets = current.value?.targets ?? [];
      return targets.length === 1 ? targets[0] : undefined;
    }),
    /** What a scanned code stands for. */
    scanned: computed(() => (current.value?.exact ? current.value.targets[0] : undefined)),
    /** Looks at once, as a scanner's Enter comes before any answer; whether the words were changed meanwhile is said. */
    find: async () => {
      const search = text.value;
      const isCurrent = current.value !== undefined;
      const { targets } = await queries.fetchQuery({
        queryKey: ['targets', search],
        queryFn: () => load(search),
      });
      return { targets, isCurrent, wasChanged: text.value !== search };
    },
  };
}
