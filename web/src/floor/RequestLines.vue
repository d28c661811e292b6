<script setup lang="ts">
import { BButton, BFormInput } from 'bootstrap-vue-next';
import { useQuery } from '@tanstack/vue-query';
import { computed, reactive } from 'vue';
import { PART_STATES } from '@wergon/core/station';
import type { AnswerState } from '@wergon/core/station';
import type { Instant } from '@wergon/core/time';
import type { RequestsJson } from '@wergon/contract/station';
import { callRoute, sayClock, sayDate, useDesk, useNow, useAct } from '../kit/index.ts';
import { sayTerm, t } from '../words/index.ts';

/** A request that nobody has answered is shown so long, in seconds: longer than any shift. */
const SHOWN_SECONDS = 24 * 3600;
/** A part that was ordered is awaited so long, in seconds. */
const ORDERED_SECONDS = 30 * 24 * 3600;
const WANTS = {
  part: t('floor.needsAPart'),
  help: t('floor.needsHelp'),
  correction: t('floor.asksForATimeToBeCorrected'),
  'time-off': t('floor.asksForTimeOff'),
} as const;

const PART_ANSWERS = {
  ordered: t('floor.partOrdered'),
  here: t('floor.partHere'),
  refused: t('floor.partRefused'),
} as const;

const props = defineProps<{
  /** Who is not signed in now. */
  out: ReadonlySet<string>;
  /** Only requests of a kind. */
  only?: RequestsJson['requests'][number]['what'];
}>();
const desk = useDesk();
const now = useNow();
const query = useQuery({ queryKey: ['requests'], queryFn: () => callRoute('requests') });
const { act, problem, isBusy } = useAct();
const answers = reactive<Record<string, string>>({});

/** Nobody has answered yet; or a part that was ordered has not come. Of time off the server tells what waits. */
const open = computed(() =>
  (query.data.value?.requests ?? [])
    .filter(({ what }) => props.only === undefined || what === props.only)
    .filter(({ answer, at, what }) => {
      if (what === 'time-off') return true;
      return answer === null
        ? now.value - at < SHOWN_SECONDS
        : answer.state === 'ordered' && now.value - answer.at < ORDERED_SECONDS;
    }),
);
async function send(request: string, state: AnswerState | null = null, isPaid = true): Promise<void> {
  const text = answers[request]?.trim() ?? '';
  if (text === '' && state === null) return;
  const done = await act((once) =>
    callRoute('answerRequest', {
      params: { request },
      body: { text, state, once, ...(state === 'granted' ? { isPaid } : {}) },
    }),
  );
  // What was typed meanwhile is for the next reply.
  const isSame = (answers[request]?.trim() ?? '') === text;
  if (done !== undefined && isSame) Reflect.deleteProperty(answers, request);
}
type Leave = NonNullable<RequestsJson['requests'][number]['leave']>;
const sayDays = ({ from, to }: Pick<Leave, 'from' | 'to'>) =>
  from === to ? sayDate(from) : t('common.to', { day: sayDate(from), day2: sayDate(to) });
/** What whoever grants it must know. */
const aroundOf = ({ away, worked, closed, kind, balance }: Leave): readonly string[] => [
  ...(away.length === 0
    ? []
    : [
        t('floor.awayThen', {
          people: away.map(({ name, days }) => t('floor.awayDays', { n: days, name })).join(', '),
        }),
      ]),
  ...(worked.length === 0 ? [] : [t('floor.workedThen', { days: worked.map(sayDate).join(', ') })]),
  ...(closed.length === 0 ? [] : [t('floor.closedThen', { days: closed.map(sayDate).join(', ') })]),
  ...(isShort(balance) ? [sayLeft(kind, balance)] : []),
];
/** Whether it takes more than is left of the year. */
const isShort = (balance: Leave['balance']): balance is NonNullable<typeof balance> =>
  balance !== null && balance.takes > balance.left;
const sayLeft = (kind: Leave['kind'], balance: NonNullable<Leave['balance']>): string =>
  t(isShort(balance) ? 'floor.leavesTooLittle' : 'floor.leavesEnough', {
    takes: desk.hours(balance.takes),
    left: desk.hours(Math.max(0, balance.left)),
    kind: sayTerm('absences', kind),
  });
/** What is wanted, in a few words: time off that was granted may not be wanted any more. */
const wantOf = ({ what, leave }: RequestsJson['requests'][number]): string =>
  leave?.standing === 'not-wanted' ? t('floor.doesNotWantTimeOff') : WANTS[what];
const leaveWords = ({ kind, seconds, ...days }: Leave): string =>
  [sayTerm('absences', kind), sayDays(days), seconds === null ? '' : desk.hours(seconds)]
    .filter(Boolean)
    .join(', ');
/** What can be said to it, the most usual first. */
type Press = { readonly words: string; readonly state: AnswerState; readonly isPaid?: boolean };
function pressesOf({ kind, standing }: Leave): readonly Press[] {
  if (standing === 'not-wanted')
    return [
      { words: t('floor.takeOut'), state: 'taken-out' },
      { words: t('floor.itStays'), state: 'granted' },
    ];
  const unpaid: Press = { words: t('floor.grantUnpaid'), state: 'granted', isPaid: false };
  return [
    ...(kind === 'unpaid leave' ? [] : [{ words: t('floor.grantPaid'), state: 'granted' as const }]),
    unpaid,
    { words: t('floor.doNotGrant'), state: 'refused' },
  ];
}
const mayGrant = computed(() => desk.may('time.approve') || desk.may('people.change'));
const clock = (at: Instant) => (desk.zone ? sayClock(desk.zone, at) : '');
/** Time off may wait for days: then the day says more than the hour. */
const whenOf = ({ at, what }: RequestsJson['requests'][number]): string =>
  what === 'time-off' && desk.zone && desk.zone.dayAt(at) !== desk.zone.dayAt(now.value)
    ? sayDate(desk.zone.dayAt(at))
    : clock(at);
</script>

<template>
  <section v-if="open.length > 0" class="requests" :aria-label="t('floor.requestsFromTheFloor')">
    <form v-for="request in open" :key="request.id" @submit.prevent="send(request.id)">
      <p>
        <b>{{ request.name }}</b> {{ wantOf(request)
        }}<template v-if="request.leave">: {{ leaveWords(request.leave) }}</template
        ><template v-if="request.text"
          >: <template v-if="request.quantity !== null">{{ request.quantity }} × </template
          >{{ request.text }}</template
        ><template v-if="request.why"> ({{ request.why }})</template>
        <span class="quiet">
          <template v-if="request.target">{{ request.target }}, </template
          ><template v-if="request.station">{{ request.station }}, </template>{{ whenOf(request)
          }}<template v-if="request.answer"
            >,
            {{
              t('floor.wasOrderedBy', { name: request.answer.by, time: clock(request.answer.at) })
            }}</template
          ><template v-if="request.what !== 'time-off' && props.out.has(request.technician)"
            >, {{ t('common.notSignedIn') }}</template
          >
        </span>
        <template v-if="request.leave">
          <span v-for="words in aroundOf(request.leave)" :key="words" class="attention around">{{
            words
          }}</span>
          <span v-if="request.leave.balance && !isShort(request.leave.balance)" class="around own">{{
            sayLeft(request.leave.kind, request.leave.balance)
          }}</span>
        </template>
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
        <span v-else-if="request.what === 'time-off'" class="states">
          <template v-if="mayGrant && request.leave">
            <BButton
              v-for="press in pressesOf(request.leave)"
              :key="press.words"
              variant="quiet"
              size="sm"
              :disabled="isBusy"
              @click="send(request.id, press.state, press.isPaid)"
              >{{ press.words }}</BButton
            >
          </template>
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
.around.own {
  color: var(--ink-2);
}
.around {
  display: block;
  font-size: var(--text-s);
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
