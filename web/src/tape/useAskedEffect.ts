import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed } from 'vue';
import type { Ref } from 'vue';
import type { EffectJson } from '@wergon/contract/loose-ends';
import { given } from '@wergon/core/result';
import { sayRefusal } from '../kit/index.ts';

/** So long what is drawn or typed rests before the server is asked, in milliseconds. */
const REST = 150;

/** What an edit would do, or why it cannot be made; nothing is asked while something of it is missing. Until an answer
 *  comes the one before it stands. */
export function useAskedEffect<Body>(
  name: string,
  body: Readonly<Ref<Body | undefined>>,
  ask: (body: Body) => Promise<EffectJson>,
) {
  const asked = refDebounced(body, REST);
  const query = useQuery({
    queryKey: [name, asked],
    queryFn: () => ask(given(asked.value)),
    enabled: computed(() => asked.value !== undefined && body.value !== undefined),
    placeholderData: keepPreviousData,
    retry: false,
  });
  return {
    effect: query.data,
    error: query.error,
    refusal: computed(() => (query.error.value ? sayRefusal(query.error.value) : '')),
    isLooking: query.isFetching,
  };
}
