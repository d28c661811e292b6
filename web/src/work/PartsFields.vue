<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import type { PartDraft } from './orderDraft.ts';
import { t } from '../words/index.ts';

/** What an order needs beside time; at the station one of them is asked for by a touch. */
const parts = defineModel<PartDraft[]>({ required: true });
</script>

<template>
  <fieldset class="parts">
    <legend>{{ t('work.partsOfOrder') }}</legend>
    <div v-for="(part, i) in parts" :key="i" class="line">
      <BFormInput
        v-model="part.quantity"
        size="sm"
        class="figure quantity"
        inputmode="numeric"
        :aria-label="t('work.quantityOfPart', { number: i + 1 })"
      />
      <BFormInput
        v-model="part.name"
        size="sm"
        maxlength="120"
        :aria-label="t('work.nameOfPart', { number: i + 1 })"
      />
      <BButton variant="quiet" size="sm" @click="parts.splice(i, 1)">{{ t('common.remove') }}</BButton>
    </div>
    <BButton variant="quiet" size="sm" @click="parts.push({ name: '', quantity: 1 })">
      {{ t('work.addPart') }}
    </BButton>
    <span class="quiet">{{ t('work.partsAreAskedForAtStations') }}</span>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin-bottom: 14px;
}
legend {
  margin-bottom: 4px;
  font-size: var(--text-m);
  font-weight: 700;
}
.line {
  display: flex;
  gap: 6px;
  align-items: center;
  max-width: 560px;
  margin-bottom: 4px;
}
.quantity {
  width: 70px;
}
.quiet {
  margin-left: 10px;
}
</style>
