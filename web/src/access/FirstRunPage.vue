<script setup lang="ts">
import { BButton, BFormInput, BFormSelect } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import { LEAST_PASSWORD } from '@wergon/contract/access';
import type { SessionView } from '@wergon/contract/access';
import { callRoute, useForm, useNow } from '../kit/index.ts';
import { FormField } from '../kit/parts/index.ts';
import { CURRENCIES, ZONES, clockIn, missingOf } from './firstRun.ts';
import type { FirstRun } from './firstRun.ts';

const emit = defineEmits<{ done: [session: SessionView] }>();
const form = useForm<FirstRun>({
  shopName: '',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  currency: 'EUR',
  name: '',
  userName: '',
  password: '',
});
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
    <h1>Set up your shop</h1>
    <p>
      Wergon records who works on what, by scans at stations on your shop floor, and compares hours and labor
      cost with the estimate of every job while there is still time to act.
    </p>
    <form novalidate @submit.prevent="submit">
      <FormField v-slot="{ id, described }" label="Name of the shop" :error="errorOf('shopName')">
        <BFormInput :id="id" v-model="body.shopName" :aria-describedby="described" autofocus />
      </FormField>
      <FormField v-slot="{ id, described }" label="Time zone" :error="errorOf('zone')">
        <BFormSelect :id="id" v-model="body.zone" :options="ZONES" :aria-describedby="described" />
      </FormField>
      <p class="quiet" role="status">
        It is <b class="figure">{{ clock }}</b> there now. The time zone cannot be changed later.
      </p>
      <FormField v-slot="{ id, described }" label="Currency" :error="errorOf('currency')">
        <BFormSelect :id="id" v-model="body.currency" :options="CURRENCIES" :aria-describedby="described" />
      </FormField>
      <p class="quiet">The currency cannot be changed later either.</p>
      <FormField v-slot="{ id, described }" label="Your name" :error="errorOf('name')">
        <BFormInput :id="id" v-model="body.name" autocomplete="name" :aria-describedby="described" />
      </FormField>
      <FormField v-slot="{ id, described }" label="User name" :error="errorOf('userName')">
        <BFormInput :id="id" v-model="body.userName" autocomplete="username" :aria-describedby="described" />
      </FormField>
      <FormField
        v-slot="{ id, described }"
        :label="`Password, at least ${LEAST_PASSWORD} characters`"
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
        form.isBusy.value ? 'Setting up…' : 'Set up the shop'
      }}</BButton>
    </form>
  </main>
</template>

<style scoped src="./access.css"></style>
