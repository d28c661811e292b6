<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { SCOPE_KINDS } from '@wergon/contract/work';
import { FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import type { ScopeDraft } from './scopeDraft.ts';

/** For what orders a standard is meant. */
const scope = defineModel<ScopeDraft>({ required: true });
defineProps<{ field: string }>();
const WORDS = {
  general: t('work.everything'),
  item: t('work.anItem'),
  unitType: t('work.aTypeOfUnit'),
  customer: t('work.aCustomer'),
} as const;
</script>

<template>
  <FormField v-slot="{ id }" :label="t('common.for')">
    <BFormSelect :id="id" v-model="scope.kind">
      <option v-for="kind in SCOPE_KINDS" :key="kind" :value="kind">{{ WORDS[kind] }}</option>
    </BFormSelect>
  </FormField>
  <FormField
    v-if="scope.kind !== 'general'"
    v-slot="{ id }"
    :label="t('work.which')"
    :field="`${field}.name`"
  >
    <BFormInput :id="id" v-model="scope.name" required />
  </FormField>
</template>
