<script setup lang="ts">
import type { Charge } from '@wergon/contract/shop';

/** What a customer is charged: nothing said, not billable, by the hour or flat. */
const charge = defineModel<Charge | null>({ required: true });

function choose(event: Event): void {
  const { value } = event.target as HTMLSelectElement;
  const amount = charge.value?.amount ?? '';
  charge.value =
    value === ''
      ? null
      : value === 'none'
        ? { isBillable: false, per: 'hour', amount: '0' }
        : { isBillable: true, per: value as Charge['per'], amount };
}
function type(event: Event): void {
  if (charge.value)
    charge.value = { ...charge.value, amount: (event.target as HTMLInputElement).value.replace(',', '.') };
}
</script>

<template>
  <div class="charge">
    <label
      >Charged
      <select
        class="form-select"
        :value="charge === null ? '' : charge.isBillable ? charge.per : 'none'"
        @change="choose"
      >
        <option value="">standard</option>
        <option value="none">not billable</option>
        <option value="hour">by the hour</option>
        <option value="flat">flat</option>
      </select></label
    >
    <input
      v-if="charge?.isBillable"
      class="form-control figure"
      inputmode="decimal"
      aria-label="Amount charged"
      placeholder="Amount"
      :value="charge.amount"
      required
      @input="type"
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
  font-size: 13px;
}
select {
  margin-top: 2px;
}
input {
  max-width: 12ch;
}
</style>
