<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { LEAST_PASSWORD } from '@wergon/contract/access';
import type { SessionView } from '@wergon/contract/access';
import { callRoute, useForm, useNow } from '../kit/index.ts';
import { FormField, LanguageChoice } from '../kit/parts/index.ts';
import { CURRENCIES, ZONES, clockIn, missingOf } from './firstRun.ts';
import type { FirstRun } from './firstRun.ts';
import { t } from '../words/index.ts';

const emit = defineEmits<{ done: [session: SessionView] }>();
const EMPTY: FirstRun = {
  shopName: '',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  currency: 'EUR',
  name: '',
  userName: '',
  password: '',
};
const form = useForm(EMPTY, 'firstRun', (fields) => ({ ...fields }));
const body = computed(() => form.fields.value);
const now = useNow();
const clock = computed(() => clockIn(body.value.zone, now.value));
/** What is missing is said once somebody has tried to go on, until it is there. */
const wasTried = ref(false);
const missing = computed(() => missingOf(body.value));
const errorOf = (field: keyof FirstRun) =>
  (wasTried.value ? missing.value[field] : undefined) ?? form.errors.value[field];

async function submit(): Promise<void> {
  wasTried.value = true;
  if (Object.keys(missing.value).length > 0) return;
  const sent = await form.send((fields) => callRoute('firstRun', { body: { ...fields } }));
  if (sent) emit('done', sent.answer);
}
</script>

<template>
  <main class="access">
    <h1>{{ t('access.setUpYourShop') }}</h1>
    <p>
      {{ t('access.wergonRecordsWhoWorksOnWhat') }}
    </p>
    <form novalidate @submit.prevent="submit">
      <FormField v-slot="{ id, described }" :label="t('common.nameOfTheShop')" :error="errorOf('shopName')">
        <BFormInput :id="id" v-model="body.shopName" :aria-describedby="described" autofocus />
      </FormField>
      <FormField v-slot="{ id, described }" :label="t('common.timeZone')" :error="errorOf('zone')">
        <BFormSelect :id="id" v-model="body.zone" :options="ZONES" :aria-describedby="described" />
      </FormField>
      <p class="quiet" role="status">
        {{ t('access.itIs') }} <b class="figure">{{ clock }}</b> {{ t('access.thereNowTheTimeZoneCannotBe') }}
      </p>
      <FormField v-slot="{ id, described }" :label="t('access.currency')" :error="errorOf('currency')">
        <BFormSelect :id="id" v-model="body.currency" :options="CURRENCIES" :aria-describedby="described" />
      </FormField>
      <p class="quiet">{{ t('access.theCurrencyCannotBeChangedLater') }}</p>
      <FormField v-slot="{ id, described }" :label="t('access.yourName')" :error="errorOf('name')">
        <BFormInput :id="id" v-model="body.name" autocomplete="name" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id, described }" :label="t('access.userName')" :error="errorOf('userName')">
        <BFormInput :id="id" v-model="body.userName" autocomplete="username" :aria-describedby="described" />
      </FormField>
      <FormField
        v-slot="{ id, described }"
        :label="t('access.passwordAtLeastCharacters', { LEAST_PASSWORD })"
        :error="errorOf('password')"
      >
        <BFormInput
          :id="id"
          v-model="body.password"
          type="password"
          autocomplete="new-password"
          :aria-describedby="described"
        />
      </FormField>
      <p v-if="form.problem.value" class="attention" role="alert">{{ form.problem.value }}</p>
      <BButton type="submit" variant="primary" :disabled="form.isBusy.value">{{
        form.isBusy.value ? t('access.settingUp') : t('access.setUpTheShop')
      }}</BButton>
    </form>
    <p class="quiet"><LanguageChoice /></p>
  </main>
</template>

<style scoped src="./access.css"></style>
