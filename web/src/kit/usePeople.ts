import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { callRoute } from './callRoute.ts';

/** Everybody who works here now, by name. */
export function usePeople() {
  const query = useQuery({ queryKey: ['names'], queryFn: () => callRoute('names') });
  return computed(() => [...(query.data.value?.people ?? [])].sort((a, b) => a.name.localeCompare(b.name)));
}
