<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed } from 'vue';
import { HIDEABLE_ACTS, IDENTITIES, STATION_KINDS, THEMES } from '@wergon/core/station';
import { HOURS_STYLES, formatHours, toSeconds } from '@wergon/core/time';
import type { HideableAct, StationSettings } from '@wergon/core/station';
import { callRoute, useForm } from '../kit/index.ts';
import { CheckField, FormField } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ station: { id: string; name: string; settings: StationSettings } }>();
const emit = defineEmits<{ close: [] }>();
const shop = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });

/** A length by which the ways to write hours can be told apart. */
const SAMPLE = toSeconds(6 * 3600 + 45 * 60 + 18);
const KIND_WORDS = {
  labor: t('shop.laborABadgeShowsWhereOneStands'),
  presence: t('shop.presenceABadgeAloneSignsInOr'),
} as const;
const IDENTITY_WORDS = {
  badge: 'badge',
  'badge-pin': t('shop.badgeAndPin'),
  names: t('shop.aListOfNamesToTouchOrBadge'),
} as const;
const COUNTS = [
  { field: 'maxEarlierMinutes', label: t('shop.aStartMayBeSetBackByInMinutes') },
  { field: 'clearAfterBadge', label: t('shop.screenClearsAfterABadgeInSeconds') },
  { field: 'clearAfterDone', label: t('shop.screenClearsAfterAnActInSeconds') },
] as const;
const FLAGS = [
  { field: 'mayType', label: t('shop.codesMayBeTyped') },
  { field: 'takesNumbers', label: t('shop.aWorkerNumberTypedIsAsGood') },
  { field: 'goesOut', label: t('shop.peopleGoOutFromHere') },
  { field: 'signsIn', label: t('shop.startingWorkSignsIn') },
  { field: 'mayReopen', label: t('shop.aFinishedTaskMayBeTakenUpAgain') },
  { field: 'mayOverride', label: t('shop.aLeadsBadgeMayLetThroughWhat') },
  { field: 'isMuted', label: t('shop.noSound') },
] as const;

const groups = computed(() => {
  const lists = shop.data.value?.lists;
  return [...(lists?.department ?? []), ...(lists?.crew ?? [])];
});
const divisions = computed(() => (shop.data.value?.lists.division ?? []).filter(({ isOff }) => !isOff));
const centers = computed(() =>
  (shop.data.value?.resources ?? []).filter(({ kind, isOff }) => kind === 'work-center' && !isOff),
);
const machines = computed(() =>
  (shop.data.value?.resources ?? []).filter(({ kind, isOff }) => kind === 'machine' && !isOff),
);
type Fields = { name: string; settings: { -readonly [K in keyof StationSettings]: StationSettings[K] } };
const begun: Fields = { name: props.station.name, settings: { ...props.station.settings } };
const form = useForm(begun, 'saveStation', (fields) => fields);
const settings = computed(() => form.fields.value.settings);
/** The buttons that are shown: what is kept is which are not, so that a new one is there. */
const shownActs = computed({
  get: (): HideableAct[] => HIDEABLE_ACTS.filter((act) => !settings.value.hiddenActs.includes(act)),
  set: (shown) => {
    settings.value.hiddenActs = HIDEABLE_ACTS.filter((act) => !shown.includes(act));
  },
});

async function save(): Promise<void> {
  const sent = await form.send((body) =>
    callRoute('saveStation', { params: { station: props.station.id }, body }),
  );
  if (sent) emit('close');
}
</script>

<template>
  <form class="station-form" novalidate @submit.prevent="save">
    <div class="fields">
      <FormField v-slot="{ id, described }" :label="t('common.name')" field="name">
        <BFormInput :id="id" v-model="form.fields.value.name" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id }" class="wide" :label="t('shop.kindOfStation')">
        <BFormSelect :id="id" v-model="settings.kind">
          <option v-for="kind in STATION_KINDS" :key="kind" :value="kind">{{ KIND_WORDS[kind] }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" class="wide" :label="t('shop.peopleAreKnownBy')">
        <BFormSelect :id="id" v-model="settings.identity">
          <option v-for="each in IDENTITIES" :key="each" :value="each">{{ IDENTITY_WORDS[each] }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('shop.language')">
        <BFormSelect :id="id" v-model="settings.language">
          <option value="en">{{ t('common.english') }}</option>
          <option value="de">{{ t('common.deutsch') }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('shop.screen')">
        <BFormSelect :id="id" v-model="settings.theme">
          <option v-for="theme in THEMES" :key="theme" :value="theme">{{ t(`themes.${theme}`) }}</option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" :label="t('shop.hoursAreWritten')">
        <BFormSelect :id="id" v-model="settings.hoursStyle" class="figure">
          <option v-for="style in HOURS_STYLES" :key="style" :value="style">
            {{ formatHours(SAMPLE, style) }}
          </option>
        </BFormSelect>
      </FormField>
      <FormField v-slot="{ id }" class="wide" :label="t('shop.machineThatStandsHere')">
        <BFormSelect :id="id" v-model="settings.machine">
          <option :value="null">{{ t('shop.noneInParticular') }}</option>
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
        :field="`settings.${field}`"
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
      <legend>
        {{ t('shop.workCentersHere') }} <span class="quiet">{{ t('shop.noneChosenAll') }}</span>
      </legend>
      <CheckField
        v-for="{ id, name } in centers"
        :key="id"
        v-model="settings.workCenters"
        class="check"
        :value="id"
        >{{ name }}</CheckField
      >
    </fieldset>
    <fieldset v-if="divisions.length > 0">
      <legend>
        {{ t('shop.indirectWorkOfDivisions') }} <span class="quiet">{{ t('shop.noneChosenAll') }}</span>
      </legend>
      <CheckField
        v-for="{ id, name } in divisions"
        :key="id"
        v-model="settings.divisions"
        class="check"
        :value="id"
        >{{ name }}</CheckField
      >
    </fieldset>
    <fieldset v-if="settings.identity === 'names'">
      <legend>
        {{ t('shop.whoseNamesAreListed') }} <span class="quiet">{{ t('shop.noneChosenEverybodys') }}</span>
      </legend>
      <CheckField
        v-for="{ id, name } in groups"
        :key="id"
        v-model="settings.people"
        class="check"
        :value="id"
        >{{ name }}</CheckField
      >
    </fieldset>
    <fieldset v-if="settings.kind === 'labor'">
      <legend>
        {{ t('shop.buttonsAfterABadge') }} <span class="quiet">{{ t('shop.labelsWorkAllTheSame') }}</span>
      </legend>
      <CheckField v-for="act in HIDEABLE_ACTS" :key="act" v-model="shownActs" class="check" :value="act">{{
        t(`stationButton.${act}`)
      }}</CheckField>
    </fieldset>
    <fieldset>
      <legend>{{ t('shop.whatIsAllowed') }}</legend>
      <CheckField v-for="{ field, label } in FLAGS" :key="field" v-model="settings[field]" class="check"
        >{{ label }}
      </CheckField>
    </fieldset>
    <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
    <div class="acts">
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{ t('common.save') }}</BButton>
      <BButton variant="quiet" @click="emit('close')">{{ t('shop.leaveAsItWas') }}</BButton>
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
  font-size: var(--text-xs);
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
