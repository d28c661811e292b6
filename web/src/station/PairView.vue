<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { offersRoot } from './stationApi.ts';
import type { Station } from './useStation.ts';
import { PlainButton, PlainInput } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ pair: Station['pair'] }>();
const emit = defineEmits<{ paired: [] }>();
const code = ref('');
const problem = ref('');
const isBusy = ref(false);
/** Whether the server has an authority of its own that this device can be told to trust. */
const hasRoot = ref(false);

async function submit(): Promise<void> {
  if (isBusy.value || code.value.trim() === '') return;
  isBusy.value = true;
  problem.value = '';
  const answer = await props.pair(code.value.trim());
  isBusy.value = false;
  if (answer.kind === 'ok') emit('paired');
  else if (answer.kind === 'unreachable') problem.value = t('station.theServerDoesNotAnswerTryAgain');
  else if (answer.kind === 'refused')
    problem.value =
      answer.status === 429
        ? t('station.tooManyTriesWaitAFewMinutes')
        : t('station.thisCodeIsNotValidOrNotAnyMore');
}

onMounted(() => {
  void offersRoot().then((offered) => (hasRoot.value = offered));
  const linked = /^#pair=(\w+)$/.exec(location.hash)?.[1];
  if (!linked) return;
  history.replaceState(null, '', location.pathname);
  code.value = linked;
  void submit();
});
</script>

<template>
  <main class="pair">
    <h1>{{ t('station.thisDeviceIsNotAStationYet') }}</h1>
    <p>{{ t('station.atTheDeskOpenShopAddAStation') }}</p>
    <form @submit.prevent="submit">
      <label for="pairing-code">{{ t('station.pairingCode') }}</label>
      <PlainInput
        id="pairing-code"
        v-model="code"
        class="mono"
        autocomplete="off"
        autocapitalize="characters"
        spellcheck="false"
        maxlength="20"
        autofocus
      />
      <PlainButton type="submit" :disabled="isBusy">{{
        isBusy ? t('station.pairing') : t('station.pairThisDevice')
      }}</PlainButton>
    </form>
    <p class="problem" role="alert">{{ problem }}</p>
    <section v-if="hasRoot" class="trust">
      <h2>{{ t('station.doesThisBrowserWarnOfTheConnection') }}</h2>
      <p>
        {{ t('station.thisShopsServerVouchesForItself') }}
      </p>
      <ol>
        <li>
          <a href="/wergon-root.crt" download>{{ t('station.downloadTheShopsCertificate') }}</a>.
        </li>
        <li>
          {{ t('station.windowsOpenItChooseInstallLocal') }}
        </li>
        <li>{{ t('station.closeTheBrowserAndOpenThisPage') }}</li>
      </ol>
    </section>
  </main>
</template>

<style scoped>
.pair {
  padding: 34px;
  font-size: var(--text-2xl);
}
h1 {
  font-size: var(--far-2xl);
  font-weight: 700;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
  margin-top: 34px;
}
input {
  width: 12ch;
  min-height: 64px;
  padding: 0 16px;
  background: var(--sheet);
  border: 2px solid var(--ink-2);
  color: var(--ink);
  font-size: var(--text-4xl);
  text-transform: uppercase;
}
button {
  min-height: 64px;
  padding: 0 24px;
  background: #f4efe4;
  border: 0;
  color: #15181a;
  font-weight: 700;
}
.trust {
  max-width: 900px;
  margin-top: 24px;
  padding-top: 12px;
  border-top: 1px solid var(--line);
  font-size: var(--text-xl);
}
.trust h2 {
  font-size: var(--text-2xl);
}
.trust a {
  color: var(--action);
}
.problem {
  min-height: 1.5em;
  margin-top: 24px;
  color: var(--attention);
}
</style>
