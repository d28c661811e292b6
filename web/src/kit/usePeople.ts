import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { callRoute } from './callRoute.ts';

/** Everybody who works here now, by name. */
export function usePeople() {
  const query = useQuery({ queryKey: ['floor-people'], queryFn: () => callRoute('floor') });
  return computed(() =>
    (query.data.value?.technicians ?? [])
      .filter(({ hasLeft }) => !hasLeft)
      .map(({ id, name, department }) => ({ id, name, department }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
}
