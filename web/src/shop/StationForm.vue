<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { IDENTITIES, STATION_KINDS, THEMES } from '@wergon/core/station';
import type { StationSettings } from '@wergon/core/station';
import { callRoute, useForm } from '../kit/index.ts';
import { CheckField, FormField } from '../kit/parts/index.ts';

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
        <BFormSelect :id="id" v-model="settings.kind">
          <option v-for="kind in STATION_KINDS" :key="kind" :value="kind">{{ KIND_WORDS[kind] }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" class="wide" label="People are known by">
        <BFormSelect :id="id" v-model="settings.identity">
          <option v-for="each in IDENTITIES" :key="each" :value="each">{{ IDENTITY_WORDS[each] }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" label="Language">
        <BFormSelect :id="id" v-model="settings.language">
          <option value="en">English</option>
          <option value="de">Deutsch</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" label="Screen">
        <BFormSelect :id="id" v-model="settings.theme">
          <option v-for="theme in THEMES" :key="theme" :value="theme">{{ theme }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" class="wide" label="Machine that stands here">
        <BFormSelect :id="id" v-model="settings.machine">
          <option :value="null">none in particular</option>
          <option v-for="machine in machines" :key="machine.id" :value="machine.id">
            {{ machine.name }}
          </option>
        </BFormSelect>
      </FormField>
      <FormField
        v-for="{ field, label } in COUNTS"
        :key="field"
        v-slot="{ id, described }"
        :label="label"
        :error="form.errors.value[`settings.${field}`]"
      >
        <BFormInput
          :id="id"
          v-model.number="settings[field]"
          type="number"
          class="figure"
          :aria-describedby="described"
        />
      </FormField>
    </div>
    <fieldset>
      <legend>Work centers here <span class="quiet">none chosen: all</span></legend>
      <CheckField
        v-for="{ id, name } in centers"
        :key="id"
        v-model="settings.workCenters"
        class="check"
        :value="id"
        >{{ name }}</CheckField
      >
    </fieldset>
    <fieldset v-if="settings.identity === 'names'">
      <legend>Whose names are listed <span class="quiet">none chosen: everybody’s</span></legend>
      <CheckField
        v-for="{ id, name } in groups"
        :key="id"
        v-model="settings.people"
        class="check"
        :value="id"
        >{{ name }}</CheckField
      >
    </fieldset>
    <fieldset>
      <legend>What is allowed</legend>
      <CheckField v-for="{ field, label } in FLAGS" :key="field" v-model="settings[field]" class="check"
        >{{ label }}
      </CheckField>
    </fieldset>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">Save</BButton>
      <BButton variant="quiet" @click="emit('close')">Leave as it was</BButton>
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
