<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { offersRoot } from './stationApi.ts';
import type { Station } from './useStation.ts';
import { PlainButton, PlainInput } from '../kit/parts/index.ts';

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
  else if (answer.kind === 'unreachable') problem.value = 'The server does not answer. Try again.';
  else if (answer.kind === 'refused')
    problem.value =
      answer.status === 429
        ? 'Too many tries. Wait a few minutes.'
        : 'This code is not valid, or not any more: it holds for ten minutes. Get a new one at the desk.';
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
    <h1>This device is not a station yet</h1>
    <p>At the desk, open Shop, add a station or choose one, and type its pairing code here.</p>
    <form @submit.prevent="submit">
      <label for="pairing-code">Pairing code</label>
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
        isBusy ? 'Pairing…' : 'Pair this device'
      }}</PlainButton>
    </form>
    <p class="problem" role="alert">{{ problem }}</p>
    <section v-if="hasRoot" class="trust">
      <h2>Does this browser warn of the connection?</h2>
      <p>
        This shop’s server vouches for itself. Trust it once on this device and the warning is gone, the
        camera works, and the station opens without the server:
      </p>
      <ol>
        <li><a href="/wergon-root.crt" download>Download the shop’s certificate</a>.</li>
        <li>
          Windows: open it, choose Install, Local Machine, Trusted Root Certification Authorities. Android:
          Settings, Security, Install a certificate, CA certificate. iPad: open it, install the profile, then
          Settings, About, Certificate Trust. Linux: the browser’s own settings, Certificates, Authorities.
        </li>
        <li>Close the browser, and open this page again.</li>
      </ol>
    </section>
  </main>
</template>

<style scoped>
.pair {
  padding: 34px;
  font-size: 22px;
}
h1 {
  font-size: clamp(32px, 5vw, 60px);
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
  font-size: 34px;
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
  font-size: 18px;
}
.trust h2 {
  font-size: 22px;
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
