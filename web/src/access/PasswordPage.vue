<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { reactive, ref } from 'vue';
import { callRoute, wordsOf } from '../kit/index.ts';
import { t } from '../words/index.ts';

defineProps<{
  /** Whether nothing else can be done before. */
  isDue?: boolean;
}>();
const emit = defineEmits<{ done: []; signOut: [] }>();
const body = reactive({ password: '', newPassword: '' });
const again = ref('');
const problem = ref('');
const isDone = ref(false);
const isBusy = ref(false);

async function submit(): Promise<void> {
  isDone.value = false;
  if (again.value !== body.newPassword) {
    problem.value = t('access.theTwoNewPasswordsAreNotThe');
    return;
  }
  isBusy.value = true;
  problem.value = '';
  try {
    await callRoute('changePassword', { body: { ...body } });
    Object.assign(body, { password: '', newPassword: '' });
    again.value = '';
    isDone.value = true;
    emit('done');
  } catch (error) {
    problem.value = wordsOf(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <main class="access">
    <h1>{{ isDue ? t('access.chooseYourOwnPassword') : t('access.changeYourPassword') }}</h1>
    <p class="quiet">
      {{ isDue ? t('access.somebodyElseGaveYouTheOneYou') : t('access.whereverElseYouAreSignedInYou') }}
    </p>
    <form @submit.prevent="submit">
      <label for="password">{{ t('access.passwordNow') }}</label>
      <BFormInput
        id="password"
        v-model="body.password"
        type="password"
        autocomplete="current-password"
        required
        autofocus
      />
      <label for="new-password">{{ t('access.newPasswordAtLeast10Characters') }}</label>
      <BFormInput
        id="new-password"
        v-model="body.newPassword"
        type="password"
        minlength="10"
        autocomplete="new-password"
        required
      />
      <label for="again">{{ t('access.newPasswordAgain') }}</label>
      <BFormInput id="again" v-model="again" type="password" autocomplete="new-password" required />
      <p class="attention" role="alert">{{ problem }}</p>
      <p v-if="isDone && !isDue" role="status">{{ t('access.yourPasswordIsChanged') }}</p>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{
        isBusy ? t('access.changing') : t('access.changePassword')
      }}</BButton>
      <BButton v-if="isDue" variant="quiet" @click="emit('signOut')">{{ t('common.signOut') }}</BButton>
    </form>
  </main>
</template>

<style scoped src="./access.css"></style>
