import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { JOB_FIELDS } from '@wergon/core/compare';
import type { AskedList, JobField } from '@wergon/core/compare';

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
    /** Fields with the value that jobs are narrowed to. */
    narrowed: computed((): AskedList['only'] =>
      Object.fromEntries(
        JOB_FIELDS.flatMap((field) => (textOf(field) === '' ? [] : [[field, textOf(field)] as const])),
      ),
    ),
    narrow: (field: JobField, value: string) => go({ [field]: value === '' ? undefined : value }),
    showAll: () => go(Object.fromEntries(JOB_FIELDS.map((field) => [field, undefined]))),
  };
}
