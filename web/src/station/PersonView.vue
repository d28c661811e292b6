<script setup lang="ts">
import { computed } from 'vue';
import type { PersonStanding } from '@wergon/core/floor';
import { formatHours, toSeconds } from '@wergon/core/time';
import type { Instant, Zone } from '@wergon/core/time';
import { formatClock } from './formatClock.ts';
import StandingView from './StandingView.vue';

const props = defineProps<{ person: PersonStanding; zone: Zone; now: Instant }>();

const since = computed(() => {
  const { doing, shift } = props.person.state;
  if (doing.status !== 'nothing') return doing.since;
  return shift?.since;
});
const sinceWords = computed(() => (since.value === undefined ? '' : formatClock(props.zone, since.value)));
const soFar = computed(() =>
  since.value === undefined ? '' : formatHours(toSeconds(Math.max(0, props.now - since.value)), 'h:mm'),
);
const today = computed(() => formatHours(props.person.todaySeconds, 'h:mm'));
</script>

<template>
  <section class="person">
    <h1>{{ person.name }}</h1>
    <template v-if="person.state.doing.status === 'work'">
      <StandingView
        v-for="standing in person.targets.slice(0, 2)"
        :key="standing.kind === 'task' ? standing.task.id : standing.activity.id"
        :standing="standing"
        :since="sinceWords"
        :so-far="soFar"
        :is-small="person.targets.length > 1"
      />
      <p v-if="person.targets.length > 2" class="more">and {{ person.targets.length - 2 }} more</p>
    </template>
    <p v-else-if="person.state.doing.status === 'break'" class="line">
      on a break <span class="quiet">since</span> <b class="figure">{{ sinceWords }}</b>,
      <b class="figure">{{ soFar }}</b> so far
    </p>
    <p v-else-if="person.state.shift" class="line">
      on nothing <span class="quiet">· signed in since</span> <b class="figure">{{ sinceWords }}</b>
    </p>
    <p v-else class="line">on nothing <span class="quiet">· not signed in</span></p>
    <p class="today">
      <span class="quiet">You today</span> <span class="figure">{{ today }}</span>
    </p>
  </section>
</template>

<style scoped>
.person {
  padding: 30px 34px;
}
h1 {
  margin: 0 0 14px;
  font-size: clamp(36px, 5.2vw, 66px);
  font-weight: 700;
  line-height: 1.1;
}
.line {
  font-size: clamp(24px, 2.8vw, 36px);
}
.more,
.today {
  margin: 24px 0 0;
  font-size: clamp(18px, 1.8vw, 23px);
}
@media (max-width: 700px) {
  .person {
    padding: 16px;
  }
}
</style>
