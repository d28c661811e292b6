<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { IDENTITIES, STATION_KINDS, THEMES } from '@wergon/core/station';
import type { ResourceId, StationSettings } from '@wergon/core/station';
import { callRoute, useForm } from '../kit/index.ts';
import { FormField } from '../kit/parts/index.ts';

const props = defineProps<{ station: { id: string; name: string; settings: StationSettings } }>();
const emit = defineEmits<{ close: [] }>();
const shop = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });

const KIND_WORDS = {
  labor: 'labor: a badge shows where one stands',
  presence: 'presence: a badge alone signs in or out',
} as const;
const IDENTITY_WORDS = {
  badge: 'badge',
  'badge-pin': 'badge and PIN',
  names: 'a list of names to touch, or badge',
} as const;
const COUNTS = [
  { field: 'maxEarlierMinutes', label: 'A start may be set back by, in minutes' },
  { field: 'clearAfterBadge', label: 'Screen clears after a badge, in seconds' },
  { field: 'clearAfterDone', label: 'Screen clears after an act, in seconds' },
] as const;
const FLAGS = [
  { field: 'mayType', label: 'codes may be typed' },
  { field: 'signsIn', label: 'starting work signs in' },
  { field: 'mayReopen', label: 'a finished task may be taken up again' },
  { field: 'mayOverride', label: 'a lead’s badge may let through what is refused' },
  { field: 'isMuted', label: 'no sound' },
] as const;

const groups = computed(() => {
  const lists = shop.data.value?.lists;
  return [...(lists?.department ?? []), ...(lists?.crew ?? [])];
});
const centers = computed(() =>
  (shop.data.value?.resources ?? []).filter(({ kind, isOff }) => kind === 'work-center' && !isOff),
);
const machines = computed(() =>
  (shop.data.value?.resources ?? []).filter(({ kind, isOff }) => kind === 'machine' && !isOff),
);
type Fields = { name: string; settings: { -readonly [K in keyof StationSettings]: StationSettings[K] } };
const form = useForm<Fields>({ name: props.station.name, settings: { ...props.station.settings } });
const settings = computed(() => form.fields.value.settings);

function toggle(field: 'people' | 'workCenters', id: string): void {
  const chosen = settings.value[field];
  settings.value[field] = chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id];
}
async function save(): Promise<void> {
  const sent = await form.send((body) =>
    callRoute('saveStation', { params: { station: props.station.id }, body }),
  );
  if (sent) emit('close');
}
</script>

<template>
  <form class="station-form" @submit.prevent="save">
    <div class="fields">
      <FormField v-slot="{ id, described }" label="Name" :error="form.errors.value['name']">
        <BFormInput :id="id" v-model="form.fields.value.name" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id }" class="wide" label="Kind of station">
        <select :id="id" v-model="settings.kind" class="form-select">
          <option v-for="kind in STATION_KINDS" :key="kind" :value="kind">{{ KIND_WORDS[kind] }}</option>
        </select>
      </FormField>
      <FormField v-slot="{ id }" class="wide" label="People are known by">
        <select :id="id" v-model="settings.identity" class="form-select">
          <option v-for="each in IDENTITIES" :key="each" :value="each">{{ IDENTITY_WORDS[each] }}</option>
        </select>
      </FormField>
      <FormField v-slot="{ id }" label="Language">
        <select :id="id" v-model="settings.language" class="form-select">
          <option value="en">English</option>
          <option value="de">Deutsch</option>
        </select>
      </FormField>
      <FormField v-slot="{ id }" label="Screen">
        <select :id="id" v-model="settings.theme" class="form-select">
          <option v-for="theme in THEMES" :key="theme" :value="theme">{{ theme }}</option>
        </select>
      </FormField>
      <FormField v-slot="{ id }" class="wide" label="Machine that stands here">
        <select
          :id="id"
          class="form-select"
          :value="settings.machine ?? ''"
          @change="
            settings.machine = (($event.target as HTMLSelectElement).value || null) as ResourceId | null
          "
        >
          <option value="">none in particular</option>
          <option v-for="machine in machines" :key="machine.id" :value="machine.id">
            {{ machine.name }}
          </option>
        </select>
      </FormField>
      <FormField
        v-for="{ field, label } in COUNTS"
        :key="field"
        v-slot="{ id, described }"
        :label="label"
        :error="form.errors.value[`settings.${field}`]"
      >
        <input
          :id="id"
          v-model.number="settings[field]"
          type="number"
          class="form-control figure"
          :aria-describedby="described"
        />
      </FormField>
    </div>
    <fieldset>
      <legend>Work centers here <span class="quiet">none chosen: all</span></legend>
      <label v-for="{ id, name } in centers" :key="id" class="check">
        <input
          type="checkbox"
          :checked="settings.workCenters.includes(id)"
          @change="toggle('workCenters', id)"
        />
        {{ name }}
      </label>
    </fieldset>
    <fieldset v-if="settings.identity === 'names'">
      <legend>Whose names are listed <span class="quiet">none chosen: everybody’s</span></legend>
      <label v-for="{ id, name } in groups" :key="id" class="check">
        <input type="checkbox" :checked="settings.people.includes(id)" @change="toggle('people', id)" />
        {{ name }}
      </label>
    </fieldset>
    <fieldset>
      <legend>What is allowed</legend>
      <label v-for="{ field, label } in FLAGS" :key="field" class="check">
        <input v-model="settings[field]" type="checkbox" /> {{ label }}
      </label>
    </fieldset>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">Save</BButton>
      <button type="button" class="btn btn-quiet" @click="emit('close')">Leave as it was</button>
    </div>
  </form>
</template>

<style scoped lang="scss">
.station-form {
  padding: 10px 4px 14px;
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 12px 0 0;
  border: 0;
}
legend {
  margin: 0;
  color: var(--ink-2);
  font-size: 13px;
  .quiet {
    margin-left: 8px;
  }
}
.acts {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
</style>
