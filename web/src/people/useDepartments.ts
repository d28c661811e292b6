import { computed, ref, toValue } from 'vue';
import type { MaybeRefOrGetter } from 'vue';

type InDepartment = { readonly department: string };

/** One department of those that some people are in; empty for all of them. */
export function useDepartments(people: MaybeRefOrGetter<readonly InDepartment[]>) {
  const department = ref('');
  return {
    department,
    departments: computed(() =>
      [...new Set(toValue(people).map((person) => person.department))].filter(Boolean).sort(),
    ),
    isChosen: (person: InDepartment) => department.value === '' || person.department === department.value,
  };
}
