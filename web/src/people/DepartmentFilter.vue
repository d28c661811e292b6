<script setup lang="ts">
import { BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { t } from '../words/index.ts';

/** Narrows a list of people to one department; not offered where there is only one. */
const props = defineProps<{ departments: readonly string[] }>();
const department = defineModel<string>({ required: true });
const options = computed(() => [
  { value: '', text: t('people.allDepartments') },
  ...props.departments.map((name) => ({ value: name, text: name })),
]);
</script>

<template>
  <BFormSelect
    v-if="departments.length > 1"
    v-model="department"
    class="departments"
    size="sm"
    :options="options"
    :aria-label="t('people.department')"
  />
</template>

<style scoped>
.departments {
  width: auto;
  max-width: 170px;
}
</style>
