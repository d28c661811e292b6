<script setup lang="ts">
import { computed } from 'vue';
import { nearnessOf, orderStanding, personStanding } from '@wergon/core/floor';
import type { TargetId } from '@wergon/core/ledger';
import type { TechnicianId } from '@wergon/core/people';
import type { StationDirectory, StationSettings, Touch } from '@wergon/core/station';
import { inForceAt, toSeconds } from '@wergon/core/time';
import type { Instant, Seconds } from '@wergon/core/time';
import type { Refused } from './indexedDb.ts';
import type { Aside } from './aside.ts';
import PersonActs from './PersonActs.vue';
import PersonAside from './PersonAside.vue';
import StandingView from './StandingView.vue';
import { useWords } from './useWords.ts';

const props = defineProps<{
  technician: TechnicianId;
  directory: StationDirectory;
  settings: StationSettings;
  now: Instant;
  refused: readonly Refused[];
  /** Whether they can be served: their badge is there, not only the answer to it. */
  isHere: boolean;
}>();
const emit = defineEmits<{ act: [action: Touch]; pick: [target: TargetId]; show: [what: Aside] }>();
const said = useWords();

const person = computed(() => personStanding(props.directory, props.technician, props.now));
const doing = computed(() => person.value?.state.doing ?? { status: 'nothing' as const });
const since = computed(() =>
  doing.value.status === 'nothing' ? person.value?.state.shift?.since : doing.value.since,
);
const clock = computed(() => (since.value === undefined ? '' : said.value.names.clock(since.value)));
const hours = (seconds: Seconds) => said.value.names.hours(seconds);
const soFar = computed(() =>
  since.value === undefined ? '' : hours(toSeconds(Math.max(0, props.now - since.value))),
);
const isOnTheWay = computed(
  () => doing.value.status === 'work' && doing.value.running.every(({ workType }) => workType === 'travel'),
);
const targets = computed(() => person.value?.targets ?? []);
const isByEstimate = computed(() => {
  const areEstimated = targets.value.every(
    (each) => each.kind === 'task' && (each.task.estimatedSeconds ?? 0) > 0,
  );
  return areEstimated && inForceAt(props.directory.facts.policy, props.now).split === 'estimate';
});
/** What there is to say of one task alone: its instructions, its order, its pieces. */
const only = computed(() => {
  const [standing] = targets.value;
  if (targets.value.length !== 1 || standing?.kind !== 'task') return undefined;
  const brief = props.directory.tasks.get(standing.task.id);
  const quantity = props.directory.jobs.get(standing.task.order)?.quantity ?? 0;
  const made =
    brief && (brief.good > 0 || brief.scrap > 0) ? `${brief.good} ${said.value.words.ui.of} ${quantity}` : '';
  const whole = orderStanding(props.directory, standing.task.order, props.now);
  return {
    lines: [brief?.description ?? '', ...(brief?.instructions ?? [])].filter(Boolean).slice(0, 3),
    made,
    whole:
      whole.estimatedSeconds === null
        ? hours(whole.usedSeconds)
        : `${hours(whole.usedSeconds)} ${said.value.words.ui.of} ${hours(whole.estimatedSeconds)}`,
  };
});
</script>

<template>
  <section v-if="person" class="person" :class="{ here: isHere }">
    <div class="main">
      <h1>{{ person.name }}</h1>
      <template v-if="doing.status === 'work'">
        <StandingView
          v-for="standing in targets.slice(0, 2)"
          :key="standing.kind === 'task' ? standing.task.id : standing.activity.id"
          :standing="standing"
          :since="clock"
          :so-far="soFar"
          :is-small="targets.length > 1"
          :is-on-the-way="isOnTheWay"
          :near="standing.kind === 'task' ? nearnessOf(directory, standing, now) : undefined"
        />
        <p v-if="targets.length > 2" class="more">{{ said.words.ui.more(targets.length - 2) }}</p>
        <p v-if="targets.length > 1" class="quiet more">{{ said.words.ui.shared(isByEstimate) }}</p>
      </template>
      <p v-else-if="doing.status === 'break'" class="line">
        {{ said.words.ui.onBreak }} <span class="quiet">{{ said.words.ui.since }}</span>&nbsp;<b
          class="figure"
          >{{ clock }}</b
        >, <b class="figure">{{ soFar }}</b> {{ said.words.ui.soFar }}
      </p>
      <p v-else-if="person.state.shift" class="line">
        {{ said.words.ui.onNothing }} <span class="quiet">· {{ said.words.ui.signedInSince }}</span
        >&nbsp;<b class="figure">{{ clock }}</b>
      </p>
      <p v-else class="line">
        {{ said.words.ui.onNothing }} <span class="quiet">· {{ said.words.ui.notSignedIn }}</span>
      </p>
      <p class="sums">
        <span v-if="only"
          ><span class="quiet">{{ said.words.ui.wholeOrder }}</span>
          <b class="figure">{{ only.whole }}</b></span
        >
        <span
          ><span class="quiet">{{ said.words.ui.today }}</span>
          <b class="figure">{{ hours(person.todaySeconds) }}</b></span
        >
        <span v-if="only?.made"
          ><b class="figure">{{ only.made }}</b> <span class="quiet">{{ said.words.ui.pieces }}</span></span
        >
      </p>
      <ul v-if="only && only.lines.length > 0" class="instructions" :aria-label="said.words.ui.instructions">
        <li v-for="text in only.lines" :key="text">{{ text }}</li>
      </ul>
    </div>
    <PersonAside
      v-if="isHere"
      :technician="technician"
      :directory="directory"
      :settings="settings"
      :now="now"
      :refused="refused"
      @pick="emit('pick', $event)"
    />
    <PersonActs
      v-if="isHere"
      :hidden="settings.hiddenActs"
      class="acts"
      :stands="person.state"
      :person="directory.people.get(technician)"
      :offers-phones="directory.offersPhones"
      :writes-down="directory.writesDown"
      :has-papers="only !== undefined"
      :goes-out="settings.goesOut"
      @act="emit('act', $event)"
      @show="emit('show', $event)"
    />
  </section>
</template>

<style scoped lang="scss">
.person {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  height: 100%;
  &.here {
    grid-template-rows: minmax(0, 1fr) auto;
    grid-template-columns: minmax(0, 1fr) minmax(300px, 28%);
  }
}
.main {
  display: flex;
  flex-direction: column;
  min-width: 0;
  padding: 18px 34px 10px;
  overflow: hidden;
}
h1 {
  margin: 0 0 10px;
  font-size: var(--far-3xl);
  font-weight: 700;
  line-height: 1.1;
}
.line {
  font-size: var(--far-l);
}
.more {
  margin: 16px 0 0;
  font-size: var(--far-xs);
}
.instructions {
  flex: 0 1 auto;
  line-height: 1.35;
  min-height: 0;
  overflow: hidden;
  margin: 12px 0 0;
  padding: 0 0 0 20px;
  border-left: 4px solid var(--line);
  font-size: var(--far-xs);
  list-style: none;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 40px;
  margin: 14px 0 0;
  font-size: var(--far-s);
  .quiet {
    margin-right: 0.3em;
  }
  b + .quiet {
    margin: 0 0 0 0.4em;
  }
  b {
    font-weight: 500;
  }
}
.acts {
  grid-column: 1 / -1;
  padding: 12px 34px;
  border-top: 1px solid var(--line);
}
@media (max-width: 900px) {
  .person,
  .person.here {
    grid-template-rows: none;
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    overflow: auto;
  }
  .acts {
    padding: 12px 16px;
  }
  .main {
    padding: 14px 16px;
    overflow: visible;
  }
}
@media (max-width: 600px) {
  // A phone in the hand: what they are on, and what they can do. The rest is a scan away.
  .instructions {
    display: none;
  }
}
</style>
