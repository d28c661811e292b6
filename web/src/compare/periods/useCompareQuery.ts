import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { JOB_FIELDS, NOT_NARROWED } from './jobRows.ts';
import type { JobField, Narrowed } from './jobRows.ts';

/** Which jobs are looked at, in the address: so a page of causes can lead to those that it speaks of, and back. */
export function useCompareQuery() {
  const route = useRoute();
  const router = useRouter();
  const go = (query: Readonly<Record<string, string | undefined>>) =>
    void router.replace({ query: { ...route.query, ...query } });
  const textOf = (name: string) => {
    const value = route.query[name];
    return typeof value === 'string' ? value : '';
  };
  return {
    show: computed({
      get: (): 'finished' | 'floor' => (route.query['show'] === 'floor' ? 'floor' : 'finished'),
      set: (show) => go({ show: show === 'floor' ? show : undefined }),
    }),
    narrowed: computed(
      (): Narrowed => Object.fromEntries(JOB_FIELDS.map((field) => [field, textOf(field)])) as Narrowed,
    ),
    narrow: (field: JobField, value: string) => go({ [field]: value === '' ? undefined : value }),
    showAll: () => go(Object.fromEntries(Object.keys(NOT_NARROWED).map((field) => [field, undefined]))),
  };
}
