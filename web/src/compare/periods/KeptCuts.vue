<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { CutSpec, KeptCut } from '@wergon/contract/compare';
import { callRoute, sayRole, useAct } from '../../kit/index.ts';
import { t } from '../../words/index.ts';
import { USUAL_CUTS } from './cutWords.ts';

/** The usual cuts, one's own, and those that are shared with one; the present one can be kept under a name. */
const props = defineProps<{ cut: CutSpec }>();
const emit = defineEmits<{ choose: [cut: CutSpec] }>();
const query = useQuery({ queryKey: ['kept-cuts'], queryFn: () => callRoute('keptCuts') });
const kept = computed((): readonly KeptCut[] => query.data.value?.cuts ?? []);
const textOf = ({ by, only }: CutSpec) => JSON.stringify([by, Object.entries(only).sort()]);
const chosen = computed(() => {
  const own = kept.value.find(({ cut }) => textOf(cut) === textOf(props.cut));
  if (own) return own.id;
  const usual = USUAL_CUTS.findIndex(({ cut }) => textOf(cut) === textOf(props.cut));
  return usual === -1 ? '' : `usual ${usual}`;
});
const current = computed(() => kept.value.find(({ id }) => id === chosen.value));
function choose(value: unknown): void {
  const usual = USUAL_CUTS.find((_each, i) => `usual ${i}` === value);
  const own = kept.value.find(({ id }) => id === value);
  const cut = own?.cut ?? usual?.cut;
  if (cut) emit('choose', cut);
}
const isNaming = ref(false);
const name = ref('');
const role = ref('');
const { act, problem, isBusy } = useAct();
async function keep(): Promise<void> {
  const body = {
    name: name.value,
    role: role.value === '' ? null : role.value,
    cut: { by: [...props.cut.by], only: { ...props.cut.only } },
  };
  const answer = await act(() => callRoute('keepCut', { body }));
  if (!answer) return;
  isNaming.value = false;
  name.value = '';
  await query.refetch();
}
async function drop(id: string): Promise<void> {
  await act(() => callRoute('dropCut', { body: { id } }));
  await query.refetch();
}
</script>

<template>
  <BFormSelect
    :model-value="chosen"
    size="sm"
    :aria-label="t('compare.whichCut')"
    @update:model-value="choose"
  >
    <option v-if="chosen === ''" value="">{{ t('compare.ownCut') }}</option>
    <optgroup :label="t('compare.theUsual')">
      <option v-for="(usual, i) in USUAL_CUTS" :key="i" :value="`usual ${i}`">{{ usual.name }}</option>
    </optgroup>
    <optgroup v-if="kept.length > 0" :label="t('compare.keptOnes')">
      <option v-for="each in kept" :key="each.id" :value="each.id">
        {{ each.isOwn ? each.name : t('compare.cutOf', { name: each.name, owner: each.owner }) }}
      </option>
    </optgroup>
  </BFormSelect>
  <BButton v-if="current?.isOwn" variant="quiet" size="sm" :disabled="isBusy" @click="drop(current.id)">{{
    t('compare.dropCut', { name: current.name })
  }}</BButton>
  <BButton
    v-else-if="chosen === ''"
    variant="quiet"
    size="sm"
    :aria-expanded="isNaming"
    @click="isNaming = !isNaming"
    >{{ t('compare.keepCut') }}</BButton
  >
  <form v-if="isNaming && chosen === ''" class="naming" @submit.prevent="keep">
    <BFormInput
      v-model="name"
      size="sm"
      maxlength="80"
      required
      :aria-label="t('compare.cutName')"
      :placeholder="t('compare.cutName')"
    />
    <BFormSelect v-model="role" size="sm" :aria-label="t('compare.sharedWithRole')">
      <option value="">{{ t('compare.forMyself') }}</option>
      <option v-for="each in query.data.value?.roles ?? []" :key="each.id" :value="each.id">
        {{ t('compare.forRole', { role: sayRole(each) }) }}
      </option>
    </BFormSelect>
    <BButton type="submit" variant="primary" size="sm" :disabled="isBusy || name.trim() === ''">{{
      t('common.save')
    }}</BButton>
  </form>
  <span v-if="problem" class="attention" role="alert">{{ problem }}</span>
</template>

<style scoped>
.naming {
  display: flex;
  gap: 8px;
}
.form-select {
  width: auto;
}
</style>
