<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';
import { BEYOND } from './overtimeWords.ts';
import type { TierDraft } from './overtimeWords.ts';

/** Tiers of a day or a week: beyond so many hours they are paid so. */
const tiers = defineModel<TierDraft[]>({ required: true });
defineProps<{ title: string; field: 'day' | 'week'; usual: string }>();
</script>

<template>
  <fieldset>
    <legend>{{ title }}</legend>
    <div v-for="(tier, i) in tiers" :key="i" class="fields">
      <FormField
        v-slot="{ id, described }"
        :label="t('pay.beyondHours')"
        :field="`terms.${field}[${i}].over`"
      >
        <BFormInput
          :id="id"
          v-model="tier.over"
          class="figure"
          inputmode="decimal"
          :aria-describedby="described"
        />
      </FormField>
      <FormField v-slot="{ id }" :label="t('pay.arePaidAs')" :field="`terms.${field}[${i}].class`">
        <BFormSelect :id="id" v-model="tier.class">
          <option v-for="each in BEYOND" :key="each" :value="each">{{ t(`payClasses.${each}`) }}</option>
        </BFormSelect>
      </FormField>
      <BButton class="away" variant="quiet" @click="tiers.splice(i, 1)">{{ t('common.remove') }}</BButton>
    </div>
    <BButton
      variant="quiet"
      size="sm"
      @click="tiers.push({ over: tiers.length === 0 ? usual : '', class: tiers.at(-1)?.class ?? 'overtime' })"
      >{{ t('pay.addTier') }}</BButton
    >
  </fieldset>
</template>

<style scoped>
legend {
  font-size: var(--text-m);
}
.away {
  align-self: end;
}
</style>
