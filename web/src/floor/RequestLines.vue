<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import { PART_STATES } from '@wergon/core/station';
import type { PartState } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
import { callRoute, sayClock, useDesk, useNow, useAct } from '../kit/index.ts';
import { t } from '../words/index.ts';

/** A request that nobody has answered is shown so long, in seconds: longer than any shift. */
const SHOWN_SECONDS = 24 * 3600;
/** A part that was ordered is awaited so long, in seconds. */
const ORDERED_SECONDS = 30 * 24 * 3600;
const WANTS = {
  part: t('floor.needsAPart'),
  help: t('floor.needsHelp'),
  correction: t('floor.asksForATimeToBeCorrected'),
} as const;

const PART_ANSWERS = {
  ordered: t('floor.partOrdered'),
  here: t('floor.partHere'),
  refused: t('floor.partRefused'),
} as const;

/** Who is not signed in now. */
const props = defineProps<{ out: ReadonlySet<string> }>();
const desk = useDesk();
const now = useNow();
const query = useQuery({ queryKey: ['requests'], queryFn: () => callRoute('requests') });
const { act, problem, isBusy } = useAct();
const answers = reactive<Record<string, string>>({});

/** Nobody has answered yet; or a part that was ordered has not come. */
const open = computed(() =>
  (query.data.value?.requests ?? []).filter(({ answer, at }) =>
    answer === null
      ? now.value - at < SHOWN_SECONDS
      : answer.state === 'ordered' && now.value - answer.at < ORDERED_SECONDS,
  ),
);
async function send(request: string, state: PartState | null = null): Promise<void> {
  const text = answers[request]?.trim() ?? '';
  if (text === '' && state === null) return;
  const done = await act((once) =>
    callRoute('answerRequest', { params: { request }, body: { text, state, once } }),
  );
  // What was typed meanwhile is for the next reply.
  const isSame = (answers[request]?.trim() ?? '') === text;
  if (done !== undefined && isSame) Reflect.deleteProperty(answers, request);
}
const clock = (at: Instant) => (desk.zone ? sayClock(desk.zone, at) : '');
</script>

<template>
  <section v-if="open.length > 0" class="requests" :aria-label="t('floor.requestsFromTheFloor')">
    <form v-for="request in open" :key="request.id" @submit.prevent="send(request.id)">
      <p>
        <b>{{ request.name }}</b> {{ WANTS[request.what]
        }}<template v-if="request.text"
          >: <template v-if="request.quantity !== null">{{ request.quantity }} × </template
          >{{ request.text }}</template
        ><template v-if="request.why"> ({{ request.why }})</template>
        <span class="quiet">
          <template v-if="request.target">{{ request.target }}, </template>{{ request.station }},
          {{ clock(request.at)
          }}<template v-if="request.answer"
            >,
            {{
              t('floor.wasOrderedBy', { name: request.answer.by, time: clock(request.answer.at) })
            }}</template
          ><template v-if="props.out.has(request.technician)">, {{ t('common.notSignedIn') }}</template>
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
        <span v-if="request.what === 'part'" class="states">
          <BButton
            v-for="state in PART_STATES.filter((each) => each !== request.answer?.state)"
            :key="state"
            variant="quiet"
            size="sm"
            :disabled="isBusy"
            :aria-label="`${PART_ANSWERS[state]}: ${request.text || request.name}`"
            @click="send(request.id, state)"
          >
            {{ PART_ANSWERS[state] }}
          </BButton>
        </span>
        <BButton
          v-else
          type="submit"
          variant="quiet"
          size="sm"
          :disabled="isBusy || !answers[request.id]?.trim()"
        >
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
  grid-template-columns: minmax(0, 1fr) minmax(160px, 260px) minmax(250px, auto);
  gap: 8px;
  align-items: center;
  padding: 4px 16px 4px 12px;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 0;
}
form > .btn {
  justify-self: start;
}
.states {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
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
