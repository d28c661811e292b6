<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { ref } from 'vue';
import type { ListName } from '@wergon/contract/shop';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import { PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

type Item = { readonly id: string; readonly name: string; readonly isOff: boolean };
const props = defineProps<{ list: ListName; title: string; items: readonly Item[] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const name = ref('');
const renamed = ref<{ id: string; name: string } | null>(null);

async function add(): Promise<void> {
  if (await act(() => callRoute('addListItem', { body: { list: props.list, name: name.value } })))
    name.value = '';
}
async function save(item: Item, change: Partial<Item>): Promise<void> {
  const { id, ...fields } = { ...item, ...change };
  const done = await act(() => callRoute('saveListItem', { params: { item: id }, body: fields }));
  if (done !== undefined) renamed.value = null;
}
</script>

<template>
  <section class="list">
    <h3>{{ title }}</h3>
    <ul>
      <li v-for="item in items" :key="item.id" :class="{ off: item.isOff }">
        <form
          v-if="renamed?.id === item.id"
          class="row-form"
          @submit.prevent="save(item, { name: renamed.name })"
        >
          <BFormInput
            v-model="renamed.name"
            size="sm"
            :aria-label="t('catalog.newNameOf', { name: item.name })"
            autofocus
            @keydown.escape="renamed = null"
          />
          <BButton type="submit" variant="quiet" size="sm" :disabled="isBusy">{{
            t('catalog.rename')
          }}</BButton>
        </form>
        <template v-else>
          <span
            >{{ item.name }}<template v-if="item.isOff">, {{ t('catalog.off') }}</template></span
          >
          <span v-if="desk.may('shop.change')" class="row-acts">
            <PlainButton class="link" @click="renamed = { id: item.id, name: item.name }">
              {{ t('catalog.renameWord') }}
            </PlainButton>
            <PlainButton class="link" @click="save(item, { isOff: !item.isOff })">
              {{ item.isOff ? t('catalog.on') : t('catalog.off') }}
            </PlainButton>
          </span>
        </template>
      </li>
      <li v-if="items.length === 0" class="quiet">{{ t('common.noneYet') }}</li>
    </ul>
    <form v-if="desk.may('shop.change')" class="row-form" @submit.prevent="add">
      <BFormInput
        v-model="name"
        size="sm"
        :aria-label="t('catalog.addTo', { title })"
        :placeholder="t('catalog.add')"
        required
      />
      <BButton type="submit" variant="quiet" size="sm" :disabled="isBusy">{{ t('catalog.add') }}</BButton>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped lang="scss">
ul {
  margin: 0 0 6px;
  padding: 0;
  border-top: 1px solid var(--ink);
  list-style: none;
}
li {
  display: flex;
  justify-content: space-between;
  min-height: 30px;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
.off {
  color: var(--ink-2);
}
.row-form {
  display: flex;
  gap: 6px;
  width: 100%;
}
.row-acts {
  display: flex;
  gap: 10px;
}
.link {
  padding: 0;
  background: none;
  border: 0;
  color: var(--action);
  font-size: var(--text-s);
}
</style>
