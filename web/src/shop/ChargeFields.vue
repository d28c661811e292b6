<script setup lang="ts">
import { BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import type { Charge } from '@wergon/contract/shop';
import { t } from '../words/index.ts';

/** What a customer is charged: nothing said, not billable, by the hour or flat. */
const charge = defineModel<Charge | null>({ required: true });

const kind = computed({
  get: () => (charge.value === null ? '' : charge.value.isBillable ? charge.value.per : 'none'),
  set: (chosen) => {
    const amount = charge.value?.amount ?? '';
    charge.value =
      chosen === ''
        ? null
        : chosen === 'none'
          ? { isBillable: false, per: 'hour', amount: '0' }
          : { isBillable: true, per: chosen, amount };
  },
});
function type(amount: string): void {
  if (charge.value) charge.value = { ...charge.value, amount: amount.replace(',', '.') };
}
</script>

<template>
  <div class="charge">
    <label
      >{{ t('common.charged') }}
      <BFormSelect v-model="kind">
        <option value="">{{ t('shop.standard') }}</option>
        <option value="none">{{ t('common.notBillable') }}</option>
        <option value="hour">{{ t('shop.byTheHour') }}</option>
        <option value="flat">{{ t('shop.flat') }}</option>
      </BFormSelect></label
    >
    <BFormInput
      v-if="charge?.isBillable"
      class="figure"
      inputmode="decimal"
      :aria-label="t('shop.amountCharged')"
      :placeholder="t('common.amount')"
      :model-value="charge.amount"
      required
      @update:model-value="type(String($event ?? ''))"
    />
  </div>
</template>

<style scoped>
.charge {
  display: flex;
  gap: 8px;
  align-items: end;
}
label {
  color: var(--ink-2);
  font-size: var(--text-xs);
}
select {
  margin-top: 2px;
}
input {
  max-width: 12ch;
}
</style>
