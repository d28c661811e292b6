import { keepPreviousData, useInfiniteQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import type { Ref } from 'vue';
import { callRoute } from '../kit/index.ts';

/** Which finished and closed orders are wanted. */
export type AskedPast = {
  readonly isAsked: boolean;
  readonly state?: 'finished' | 'closed';
  readonly search?: string;
  readonly unit?: string;
};

/** Finished and closed orders, a page at a time: a shop has more of them with every year, so the server looks for them. */
export function usePastWork(asked: Readonly<Ref<AskedPast>>) {
  const query = useInfiniteQuery({
    queryKey: ['work', 'past', asked],
    queryFn: ({ pageParam }) => {
      const { state, search = '', unit } = asked.value;
      return callRoute('pastWork', {
        query: {
          skip: String(pageParam),
          ...(search === '' ? {} : { search: search.slice(0, 100) }),
          ...(state ? { state } : {}),
          ...(unit ? { unit } : {}),
        },
      });
    },
    enabled: computed(() => asked.value.isAsked),
    initialPageParam: 0,
    getNextPageParam: ({ total }, pages) => {
      const shown = pages.reduce((sum, { orders }) => sum + orders.length, 0);
      return shown < total ? shown : undefined;
    },
    placeholderData: keepPreviousData,
  });
  const pages = computed(() => (asked.value.isAsked ? (query.data.value?.pages ?? []) : []));
  return {
    query,
    orders: computed(() => pages.value.flatMap(({ orders }) => orders)),
    total: computed(() => pages.value[0]?.total ?? 0),
  };
}
