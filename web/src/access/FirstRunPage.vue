<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import type { SessionView } from '@wergon/contract/access';
import { callRoute, wordsOf } from '../desk/callRoute.ts';

const emit = defineEmits<{ done: [session: SessionView] }>();
const body = reactive({
  shopName: '',
  zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
  currency: 'EUR',
  name: '',
  userName: '',
  password: '',
});
const problem = ref('');
const isBusy = ref(false);
const ZONES = Intl.supportedValuesOf('timeZone');

async function submit(): Promise<void> {
  isBusy.value = true;
  problem.value = '';
  try {
    emit('done', await callRoute('firstRun', { body: { ...body } }));
  } catch (error) {
    problem.value = wordsOf(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <main class="access">
    <h1>Set up your shop</h1>
    <p class="quiet">One shop, one time zone, one currency; the last two cannot be changed later.</p>
    <form @submit.prevent="submit">
      <label for="shop-name">Name of the shop</label>
      <BFormInput id="shop-name" v-model="body.shopName" required autofocus />
      <label for="zone">Time zone</label>
      <BFormInput id="zone" v-model="body.zone" list="zones" required />
      <datalist id="zones"><option v-for="zone in ZONES" :key="zone" :value="zone"></option></datalist>
      <label for="currency">Currency, three letters</label>
      <BFormInput id="currency" v-model="body.currency" maxlength="3" required />
      <label for="name">Your name</label>
      <BFormInput id="name" v-model="body.name" autocomplete="name" required />
      <label for="user-name">User name</label>
      <BFormInput id="user-name" v-model="body.userName" autocomplete="username" required />
      <label for="password">Password, at least 10 characters</label>
      <BFormInput
        id="password"
        v-model="body.password"
        type="password"
        minlength="10"
        autocomplete="new-password"
        required
      />
      <p class="attention" role="alert">{{ problem }}</p>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{
        isBusy ? 'Setting up…' : 'Set up'
      }}</BButton>
    </form>
  </main>
</template>

<style scoped src="./access.css"></style>
