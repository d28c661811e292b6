<script setup lang="ts">
import { BButton, BFormCheckboxGroup, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { t } from '../words/index.ts';

/** Which orders' papers are printed: found by number, title or customer, ticked one by one or all that are found. */
const props = defineProps<{
  orders: readonly { id: string; number: string; title: string; customer: string }[];
}>();
const chosen = defineModel<string[]>({ required: true });
const search = ref('');
const found = computed(() => {
  const words = search.value.trim().toLowerCase();
  return props.orders
    .map(({ id, ...order }) => ({ value: id, text: `${order.number} ${order.title}, ${order.customer}` }))
    .filter(({ text }) => text.toLowerCase().includes(words));
});
const unchosen = computed(() => found.value.filter(({ value }) => !chosen.value.includes(value)));
function chooseFound(): void {
  chosen.value = [...chosen.value, ...unchosen.value.map(({ value }) => value)];
}
</script>

<template>
  <fieldset class="order-choice">
    <legend>
      {{ t('common.orders') }}
      <span role="status">{{ t('labels.ofChosen', { n: chosen.length, n2: orders.length }) }}</span>
    </legend>
    <BFormInput
      v-model="search"
      size="sm"
      type="search"
      :placeholder="t('labels.findAnOrder')"
      :aria-label="t('labels.findAnOrder')"
    />
    <p class="acts">
      <BButton size="sm" variant="quiet" :disabled="unchosen.length === 0" @click="chooseFound">{{
        t('labels.chooseAll', { found: search ? t('labels.found') : '' })
      }}</BButton>
      <BButton size="sm" variant="quiet" :disabled="chosen.length === 0" @click="chosen = []">{{
        t('labels.chooseNone')
      }}</BButton>
    </p>
    <div class="list" tabindex="0" role="group" :aria-label="t('labels.openOrders')">
      <BFormCheckboxGroup v-model="chosen" stacked :options="found" />
      <p v-if="found.length === 0" class="quiet">
        {{ orders.length === 0 ? t('labels.noOpenOrders') : t('labels.nothingFound') }}
      </p>
    </div>
  </fieldset>
</template>

<style scoped>
legend {
  display: flex;
  justify-content: space-between;
  margin: 0 0 2px;
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.acts {
  display: flex;
  gap: 6px;
  margin: 6px 0;
}
.list {
  max-height: 250px;
  padding: 6px 8px;
  overflow: auto;
  background: var(--sheet);
  border: 1px solid var(--line);
  font-size: var(--text-s);
}
</style>
