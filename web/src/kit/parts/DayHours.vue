<script setup lang="ts">
import { BFormInput } from 'bootstrap-vue-next';
import { t } from '../../words/index.ts';

/** Hours of a day on which somebody is away; left empty, all that is planned of it. */
const typed = defineModel<string>({ required: true });
defineProps<{ isSmall?: boolean }>();
</script>

<template>
  <BFormInput
    v-model="typed"
    v-bind="isSmall ? { size: 'sm' } : {}"
    class="day-hours"
    inputmode="decimal"
    :placeholder="t('people.wholeDay')"
    :aria-label="t('people.hoursOfEachDay')"
    :title="t('people.hoursOfEachDay')"
  />
</template>

<style scoped>
.day-hours.form-control {
  width: 112px;
}
</style>
