<script setup lang="ts">
import { computed } from 'vue';
import type { TechnicianId } from '@wergon/core/people';
import type { Conversation } from '@wergon/core/station';
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

type Crew = Extract<Conversation, { step: 'crew' }>;
const props = defineProps<{ crew: Crew }>();
const emit = defineEmits<{
  tick: [technician: TechnicianId];
  act: [action: 'off-task' | 'break' | 'shift-out'];
}>();
const said = useWords();

const target = computed(() => {
  const id = props.crew.work?.target;
  return id === undefined ? undefined : said.value.names.target(id);
});
const rows = computed(() =>
  props.crew.members.map(({ technician, isMissing }) => ({
    technician,
    isMissing,
    name: said.value.names.person(technician),
    isStarted: props.crew.started.includes(technician),
  })),
);
const ACTS = ['off-task', 'break', 'shift-out'] as const;
</script>

<template>
  <section class="crew">
    <h1>
      {{ said.words.ui.crew }}<template v-if="target">: {{ target }}</template>
    </h1>
    <p v-if="rows.length === 0" class="empty">{{ said.words.ui.crewEmpty }}</p>
    <ul>
      <li v-for="row in rows" :key="row.technician">
        <PlainButton
          :class="{ missing: row.isMissing }"
          :aria-pressed="!row.isMissing"
          @click="emit('tick', row.technician)"
        >
          <b aria-hidden="true">{{ row.isMissing ? '–' : '✓' }}</b>
          <span>{{ row.name }}</span>
          <i v-if="row.isMissing">{{ said.words.ui.missing }}</i>
          <i v-else-if="row.isStarted">{{ said.words.ui.started }}</i>
        </PlainButton>
      </li>
    </ul>
    <div v-if="crew.lead" class="acts">
      <PlainButton v-for="action in ACTS" :key="action" @click="emit('act', action)">
        {{ said.words.button[action] }}
      </PlainButton>
    </div>
  </section>
</template>

<style scoped lang="scss">
.crew {
  height: 100%;
  padding: 26px 34px;
  overflow: auto;
}
h1 {
  margin: 0 0 18px;
  font-size: var(--far-2xl);
  font-weight: 700;
}
.empty {
  color: var(--ink-2);
  font-size: var(--far-m);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: 10px;
  margin: 0;
  padding: 0;
  list-style: none;
}
button {
  min-height: clamp(64px, 10vh, 110px);
  background: none;
  border: 2px solid var(--ink-2);
  color: inherit;
}
li button {
  display: flex;
  gap: 14px;
  align-items: center;
  width: 100%;
  padding: 0 16px;
  font-size: var(--far-l);
  text-align: left;
}
b {
  width: 28px;
  color: var(--action);
}
span {
  flex: 1;
}
i {
  color: var(--ink-2);
  font-size: var(--text-xl);
  font-style: normal;
}
.missing {
  border-style: dashed;
  span {
    text-decoration: line-through;
  }
}
.acts {
  display: flex;
  gap: 10px;
  margin-top: 22px;
  button {
    padding: 0 24px;
    font-size: var(--text-2xl);
  }
}
@media (max-width: 900px) {
  .crew {
    padding: 16px;
  }
}
</style>
