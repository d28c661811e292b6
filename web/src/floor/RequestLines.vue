<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import { callRoute, sayClock, useDesk, useNow, useAct } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** A request that nobody has answered is shown so long, in seconds: longer than any shift. */
const SHOWN_SECONDS = 24 * 3600;
const WANTS = {
  part: t('floor.needsAPart'),
  help: t('floor.needsHelp'),
  correction: t('floor.asksForATimeToBeCorrected'),
} as const;

/** Who is not signed in now. */
const props = defineProps<{ out: ReadonlySet<string> }>();
const desk = useDesk();
const now = useNow();
const query = useQuery({ queryKey: ['requests'], queryFn: () => callRoute('requests') });
const { act, problem, isBusy } = useAct();
const answers = reactive<Record<string, string>>({});

const open = computed(() =>
  (query.data.value?.requests ?? []).filter(
    ({ answer, at }) => answer === null && now.value - at < SHOWN_SECONDS,
  ),
);
async function send(request: string): Promise<void> {
  const text = answers[request]?.trim();
  if (!text) return;
  const done = await act((once) => callRoute('answerRequest', { params: { request }, body: { text, once } }));
  if (done !== undefined) Reflect.deleteProperty(answers, request);
}
</script>

<template>
  <section v-if="open.length > 0" class="requests" :aria-label="t('floor.requestsFromTheFloor')">
    <form v-for="request in open" :key="request.id" @submit.prevent="send(request.id)">
      <p>
        <b>{{ request.name }}</b> {{ WANTS[request.what]
        }}<template v-if="request.text">: {{ request.text }}</template>
        <span class="quiet">
          <template v-if="request.target">{{ request.target }}, </template>{{ request.station }},
          {{ desk.zone ? sayClock(desk.zone, request.at) : ''
          }}<template v-if="props.out.has(request.technician)">, {{ t('common.notSignedIn') }}</template>
        </span>
      </p>
      <template v-if="desk.may('floor.answer')">
        <BFormInput
          :model-value="answers[request.id] ?? ''"
          size="sm"
          :aria-label="t('floor.replyTo', { name: request.name })"
          :placeholder="t('floor.replyShownAtTheirNextBadgeScan')"
          maxlength="300"
          @update:model-value="answers[request.id] = String($event ?? '')"
          @keydown.stop
        />
        <BButton type="submit" variant="quiet" size="sm" :disabled="isBusy || !answers[request.id]?.trim()">
          {{ t('floor.reply') }}
        </BButton>
      </template>
    </form>
    <p v-if="problem" class="attention" role="alert">{{ problem }}</p>
  </section>
</template>

<style scoped>
.requests {
  border-left: 4px solid var(--attention);
  background: var(--attention-tint);
}
form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(160px, 300px) auto;
  gap: 8px;
  align-items: center;
  padding: 4px 16px 4px 12px;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 0;
}
.quiet {
  margin-left: 8px;
  font-size: var(--text-s);
}
@media (max-width: 800px) {
  form {
    grid-template-columns: 1fr auto;
  }
  form p {
    grid-column: 1 / -1;
  }
}
</style>
