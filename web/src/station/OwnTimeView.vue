<script setup lang="ts">
import type { Instant, LocalDay } from '@wergon/core/time';
import { computed, onMounted, ref } from 'vue';
import type { OwnTimeJson } from '@wergon/contract/attendance';
import type { TechnicianId } from '@wergon/core/people';
import { addDays, formatDay, weekdayOf } from '@wergon/core/time';
import type { OwnProof, Proving } from './ownProof.ts';
import { changePin, confirmOwnTime, fetchOwnTime } from './stationApi.ts';
import { useWords } from './useWords.ts';
import { PlainButton, PlainInput, PlainTable } from '../kit/parts/index.ts';

const props = defineProps<{
  technician: TechnicianId;
  hasPin: boolean;
  language: string;
  ownProof: OwnProof;
}>();
defineEmits<{ back: []; correction: [] }>();
const said = useWords();
const time = ref<OwnTimeJson | null>(null);
const isGone = ref(false);
/** Whether they have yet to show who they are: by their PIN, or by their badge. */
const isUnproved = ref(false);
const isChangingPin = ref(false);
const pin = ref('');
const newPin = ref('');
const pinWords = ref('');

let proof = '';
const WEEK = 7;
/** The week that is shown: this one where nothing is said. */
const thisMonday = ref<LocalDay>();
const week = ref<{ from?: string; to?: string }>({});
async function go(weeks: number): Promise<void> {
  const monday = time.value?.card.firstDay;
  if (monday === undefined) return;
  const from = addDays(monday, weeks * WEEK);
  const isNow = thisMonday.value === undefined || from >= thisMonday.value;
  week.value = isNow ? {} : { from: formatDay(from), to: formatDay(addDays(from, WEEK - 1)) };
  await show(proof);
}
async function load(proving: Proving): Promise<void> {
  pinWords.value = proving.kind === 'wrong' ? said.value.words.ui.pinRefused : '';
  if (proving.kind === 'wait') pinWords.value = said.value.words.ui.pinWait;
  isUnproved.value = proving.kind === 'wrong' || proving.kind === 'wait' || proving.kind === 'nothing';
  isGone.value = proving.kind === 'unreachable';
  if (proving.kind === 'proved') await show(proving.proof);
}
async function show(given: string): Promise<void> {
  proof = given;
  const answer = await fetchOwnTime(props.technician, proof, week.value);
  if (answer.kind === 'ok') {
    time.value = answer.value;
    chosen.value = undefined;
    if (week.value.from === undefined) thisMonday.value = answer.value.card.firstDay;
  }
  // What they had shown holds no longer.
  else if (answer.kind === 'refused' && answer.status === 403) isUnproved.value = true;
  else isGone.value = true;
}
onMounted(async () => load(await props.ownProof.prove(props.technician)));
async function provePin(): Promise<void> {
  const given = pin.value;
  pin.value = '';
  await load(await props.ownProof.checkPin(props.technician, given));
}
/** What became of confirming one's own days. */
const confirmWords = ref('');
async function confirm(): Promise<void> {
  const days = (time.value?.toConfirm ?? []).map(({ day, stamp }) => ({ day: formatDay(day), stamp }));
  const answer = await confirmOwnTime(props.technician, proof, days);
  confirmWords.value = answer.kind === 'ok' ? said.value.words.ui.confirmed : said.value.words.ui.lookAgain;
  await show(proof);
}

const hours = (seconds: number) => said.value.names.hours(seconds);
/** A day on which nothing was is left empty. */
const hoursOf = (day: { attendedSeconds: number; chargedSeconds: number }, seconds: number) =>
  day.attendedSeconds + day.chargedSeconds === 0 ? '' : hours(seconds);
const weekday = (day: LocalDay) =>
  new Intl.DateTimeFormat(props.language, { weekday: 'short', timeZone: 'UTC' }).format(
    // The first days of 2024 began with a Monday.
    Date.UTC(2024, 0, weekdayOf(day)),
  );
/** What of the week is paid beyond straight hours. */
const beyondSeconds = computed(
  () => (time.value?.card.overtimeSeconds ?? 0) + (time.value?.card.doubleSeconds ?? 0),
);
const isThisWeek = computed(() => week.value.from === undefined);
const days = computed(() => time.value?.card.days ?? []);
/** The day whose work is listed: one that was touched, else the last. */
const chosen = ref<LocalDay>();
const dateOf = (day: LocalDay) =>
  new Intl.DateTimeFormat(props.language, {
    weekday: 'long',
    day: 'numeric',
    month: 'long',
    timeZone: 'UTC',
  }).format(new Date(`${formatDay(day)}T00:00:00Z`));
const shown = computed(() => days.value.find(({ day }) => day === chosen.value) ?? days.value.at(-1));
const sayStretch = ({ from, to, isOpen }: { from: Instant; to: Instant; isOpen: boolean }) =>
  `${said.value.names.clock(from)}–${isOpen ? '' : said.value.names.clock(to)}`;
async function sendPin(): Promise<void> {
  const answer = await changePin(props.technician, pin.value, newPin.value);
  pin.value = newPin.value = '';
  pinWords.value = answer.kind === 'ok' ? said.value.words.ui.pinChanged : said.value.words.ui.pinWrong;
  isChangingPin.value = answer.kind !== 'ok';
}
</script>

<template>
  <section class="own">
    <h1>{{ said.names.person(technician) }}, {{ said.words.ui.ownTime }}</h1>
    <p v-if="isGone">{{ said.words.ui.offlineFigures }}</p>
    <form v-else-if="isUnproved && hasPin" class="pin" @submit.prevent="provePin">
      <label
        >{{ said.words.ui.pinForTime
        }}<PlainInput v-model="pin" type="password" inputmode="numeric" autofocus
      /></label>
      <PlainButton type="submit">{{ said.words.ui.showTime }}</PlainButton>
    </form>
    <p v-else-if="isUnproved">{{ said.words.ui.badgeForTime }}</p>
    <p v-else-if="!time">{{ said.words.ui.opening }}</p>
    <div v-else class="columns">
      <PlainTable>
        <caption>
          <PlainButton class="step" :aria-label="said.words.ui.weekBefore" @click="go(-1)">◂</PlainButton>
          {{
            isThisWeek ? said.words.ui.week : said.words.ui.weekFrom(dateOf(time.card.firstDay))
          }}
          <PlainButton v-if="!isThisWeek" class="step" :aria-label="said.words.ui.weekAfter" @click="go(1)"
            >▸</PlainButton
          >
        </caption>
        <thead>
          <tr>
            <th></th>
            <th scope="col">{{ said.words.ui.inAndOut }}</th>
            <th scope="col">{{ said.words.ui.attended }}</th>
            <th scope="col">{{ said.words.ui.charged }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="day in days" :key="day.day" :class="{ here: day.day === shown?.day }">
            <th scope="row">
              <PlainButton class="day" @click="chosen = day.day">{{ weekday(day.day) }}</PlainButton>
            </th>
            <td class="figure">
              <div v-for="shift in day.shifts" :key="shift.from">{{ sayStretch(shift) }}</div>
            </td>
            <td class="figure">{{ hoursOf(day, day.attendedSeconds) }}</td>
            <td class="figure">{{ hoursOf(day, day.chargedSeconds) }}</td>
          </tr>
          <tr class="sum">
            <th></th>
            <td></td>
            <td class="figure">{{ hours(time.card.attendedSeconds) }}</td>
            <td class="figure">{{ hours(time.card.chargedSeconds) }}</td>
          </tr>
          <tr v-if="beyondSeconds > 0">
            <th></th>
            <td colspan="2">{{ said.words.ui.overtime }}</td>
            <td class="figure">{{ hours(beyondSeconds) }}</td>
          </tr>
        </tbody>
      </PlainTable>
      <PlainTable v-if="shown">
        <caption>
          {{
            isThisWeek && shown === days.at(-1) ? said.words.ui.today : dateOf(shown.day)
          }}
        </caption>
        <tbody>
          <tr v-for="(line, i) in shown.lines" :key="i">
            <th scope="row">
              {{ line.title }} <span class="mono">{{ line.order }}</span>
            </th>
            <td class="figure">{{ hours(line.seconds) }}</td>
          </tr>
        </tbody>
      </PlainTable>
    </div>
    <div v-if="time && time.toConfirm.length > 0" class="confirm">
      <p>{{ said.words.ui.toConfirm }}</p>
      <ul>
        <li v-for="day in time.toConfirm" :key="day.day">
          {{ weekday(day.day) }} <span class="figure">{{ hours(day.attendedSeconds) }}</span>
        </li>
      </ul>
      <PlainButton @click="confirm">{{ said.words.ui.theyAreRight }}</PlainButton>
    </div>
    <p v-if="confirmWords" role="status">{{ confirmWords }}</p>
    <form v-if="isChangingPin" class="pin" @submit.prevent="sendPin">
      <label
        >{{ said.words.ui.oldPin }}<PlainInput v-model="pin" type="password" inputmode="numeric"
      /></label>
      <label
        >{{ said.words.ui.newPin }}<PlainInput v-model="newPin" type="password" inputmode="numeric"
      /></label>
      <PlainButton type="submit">{{ said.words.button['change-pin'] }}</PlainButton>
    </form>
    <p v-if="pinWords" role="status">{{ pinWords }}</p>
    <div class="acts">
      <PlainButton @click="$emit('back')">{{ said.words.button.back }}</PlainButton>
      <PlainButton @click="$emit('correction')">{{ said.words.button.correction }}</PlainButton>
      <PlainButton v-if="hasPin && !isChangingPin" @click="isChangingPin = true">
        {{ said.words.button['change-pin'] }}
      </PlainButton>
    </div>
  </section>
</template>

<style scoped lang="scss">
.confirm {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  padding: 8px 0;
  p {
    margin: 0;
  }
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
}
.own {
  height: 100%;
  padding: 22px 34px;
  overflow: auto;
  font-size: var(--text-2xl);
}
.step,
.day {
  min-width: 44px;
  min-height: 44px;
  background: none;
  border: 1px solid var(--line);
  color: inherit;
  font: inherit;
}
.day {
  min-width: 72px;
}
.here > * {
  background: var(--action-tint);
}
h1 {
  margin: 0 0 14px;
  font-size: var(--far-xl);
  font-weight: 700;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  gap: 20px 70px;
  align-items: flex-start;
}
caption {
  caption-side: top;
  padding: 0 0 6px;
  color: var(--ink-2);
  font-size: var(--text-xl);
  font-weight: 600;
}
table :deep(th) {
  padding: 3px 30px 3px 0;
  font-weight: 400;
  text-align: left;
}
table :deep(td),
table :deep(thead th) {
  padding: 3px 0 3px 26px;
  text-align: right;
}
table :deep(thead th) {
  color: var(--ink-2);
  font-size: var(--text-xl);
}
.sum td {
  border-top: 1px solid var(--line);
  font-weight: 700;
}
.acts,
.pin {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-top: 18px;
}
label {
  display: grid;
  gap: 4px;
  font-size: var(--text-xl);
}
input {
  min-height: 52px;
  padding: 0 12px;
  background: var(--sheet);
  border: 2px solid var(--ink-2);
  color: var(--ink);
}
button {
  min-height: 52px;
  padding: 0 20px;
  background: none;
  border: 2px solid var(--ink-2);
  color: inherit;
  font-size: var(--text-2xl);
}
</style>
