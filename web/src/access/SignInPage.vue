<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { SessionView } from '@wergon/contract/access';
import { callRoute, wordsOf } from '../kit/index.ts';
import { CheckField, LanguageChoice } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{
  isDemo: boolean;
  /** Why somebody who was signed in is so no longer. */
  ended?: 'idle' | 'elsewhere' | null;
  /** Nobody touches a wall: it stays signed in. */
  isWall?: boolean;
}>();
const endedWords = computed(() =>
  props.ended === 'idle'
    ? t('access.nobodyUsedThisPageForAWhile')
    : props.ended === 'elsewhere'
      ? t('access.yourSessionHasEndedSignInAgain')
      : '',
);
const emit = defineEmits<{ done: [session: SessionView] }>();
const userName = ref('');
const password = ref('');
const isTrustedComputer = ref(props.isWall);
const problem = ref('');
const isBusy = ref(false);

async function submit(): Promise<void> {
  isBusy.value = true;
  problem.value = '';
  try {
    const body = {
      userName: userName.value,
      password: password.value,
      isTrustedComputer: isTrustedComputer.value,
    };
    emit('done', await callRoute('signIn', { body }));
  } catch (error) {
    problem.value = wordsOf(error);
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <main class="access">
    <h1>Wergon</h1>
    <p v-if="endedWords" role="status">{{ endedWords }}</p>
    <p class="quiet">
      {{ isDemo ? t('access.signInAtTheDeskOfTheDemo') : t('access.signInAtTheDesk') }}
    </p>
    <form @submit.prevent="submit">
      <label for="user-name">{{ t('access.userName') }}</label>
      <BFormInput id="user-name" v-model="userName" autocomplete="username" required autofocus />
      <label for="password">{{ t('common.password') }}</label>
      <BFormInput id="password" v-model="password" type="password" autocomplete="current-password" required />
      <CheckField v-model="isTrustedComputer">{{ t('access.onlyIUseThisComputerStaySigned') }}</CheckField>
      <p class="attention" role="alert">{{ problem }}</p>
      <BButton type="submit" variant="primary" :disabled="isBusy">{{
        isBusy ? t('access.signingIn') : t('access.signIn')
      }}</BButton>
    </form>
    <p class="quiet"><LanguageChoice /></p>
  </main>
</template>

<style scoped src="./access.css"></style>
