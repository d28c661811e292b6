<script setup lang="ts">
import { computed } from 'vue';
import type { Directory } from '@wergon/contract/station';
import type { TechnicianId } from '@wergon/core/people';
import { nearTasks } from '@wergon/core/floor';
import type { NearTask } from '@wergon/core/floor';
import type { StationDirectory, StationSettings } from '@wergon/core/station';
import { toInstant } from '@wergon/core/time';
import type { Instant } from '@wergon/core/time';
import { sayBalance } from './sayBalance.ts';
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

const SECONDS_PER_MINUTE = 60;
const MOST_NEAR = 3;
const props = defineProps<{
  name: string;
  directory: StationDirectory;
  settings: StationSettings;
  notices: Directory['notices'];
  now: Instant;
}>();
defineEmits<{ name: [technician: TechnicianId] }>();
const said = useWords();

const ui = computed(() => said.value.words.ui);
const isPresence = computed(() => props.settings.kind === 'presence');
const ways = computed(() => (isPresence.value ? ui.value.signWays : ui.value.ways));
/** Whose names can be touched here: everybody's, or those of some departments and crews. */
const people = computed(() => {
  if (props.settings.identity !== 'names') return [];
  const { people: groups } = props.settings;
  return [...props.directory.technicians.values()]
    .filter(({ id, department, hasLeft }) => {
      const crew = props.directory.people.get(id)?.crew ?? '';
      return !hasLeft && (groups.length === 0 || groups.includes(department) || groups.includes(crew));
    })
    .sort((a, b) => a.name.localeCompare(b.name));
});
/** What is looked at once a minute: nobody stands here to see seconds. */
const minute = computed(() => toInstant(Math.floor(props.now / SECONDS_PER_MINUTE) * SECONDS_PER_MINUTE));
/** Tasks that somebody is on at the work centers of this station, near their estimates or past them. */
const near = computed(() => {
  const { directory, settings } = props;
  const isHere = ({ task }: NearTask) =>
    settings.workCenters.length === 0 ||
    settings.workCenters.includes(directory.tasks.get(task.id)?.workCenter ?? '');
  return nearTasks(directory, minute.value)
    .filter((task) => task.on.length > 0 && isHere(task))
    .slice(0, MOST_NEAR);
});
const sayNear = ({ near: { isPast, since }, comparison, on }: NearTask) => {
  const { text } = sayBalance(comparison, { ...ui.value, low: ui.value.left }, said.value.hoursStyle);
  const when = since === undefined ? '' : ` ${ui.value.since} ${said.value.names.clock(since)}`;
  return `${text}, ${isPast ? ui.value.past : ui.value.near}${when} · ${on.join(', ')}`;
};
const MOST_LINES = 4;
const isAside = computed(() => near.value.length + props.notices.length > 0);
</script>

<template>
  <section class="idle" :class="{ listed: people.length > 0 }">
    <div>
      <p class="kind">{{ isPresence ? ui.presence : ui.labor }}</p>
      <h1>{{ name }}</h1>
      <p class="free">{{ ui.free }}</p>
      <dl v-if="people.length === 0">
        <template v-for="way in ways" :key="way.scan">
          <dt>{{ way.scan }}</dt>
          <dd>{{ way.then }}</dd>
        </template>
      </dl>
    </div>
    <nav v-if="people.length > 0" class="names" :aria-label="ui.names">
      <PlainButton v-for="person in people" :key="person.id" @click="$emit('name', person.id)">
        {{ person.name }}
      </PlainButton>
    </nav>
    <aside v-else-if="isAside" class="notices">
      <template v-if="near.length > 0">
        <h2>{{ ui.timeRunsOut }}</h2>
        <p v-for="each in near" :key="each.task.id">
          {{ each.order?.number }} {{ each.task.title }}
          <span class="quiet" :class="{ past: each.near.isPast }">{{ sayNear(each) }}</span>
        </p>
      </template>
      <template v-if="notices.length > 0">
        <h2>{{ ui.notices }}</h2>
        <p v-for="notice in notices.slice(0, MOST_LINES - near.length)" :key="notice.at">
          {{ notice.text }} <span class="quiet">{{ notice.by }}</span>
        </p>
      </template>
    </aside>
  </section>
</template>

<style scoped lang="scss">
.idle {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(240px, 26%);
  gap: 34px;
  height: 100%;
  padding: 30px 34px;
}
.listed {
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  overflow: auto;
}
.kind {
  margin: 0;
  color: var(--action);
  font-size: var(--far-xl);
  font-weight: 600;
}
h1 {
  margin: 0 0 8px;
  font-size: var(--far-4xl);
  font-weight: 700;
  line-height: 1;
}
.free {
  margin: 0 0 5vh;
  color: var(--ink-2);
  font-size: var(--far-m);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 14px 34px;
  margin: 0;
  font-size: var(--far-s);
}
dt {
  font-weight: 600;
}
dd {
  margin: 0;
  color: var(--ink-2);
}
.notices {
  padding-left: 26px;
  border-left: 1px solid var(--line);
  h2 {
    margin: 0 0 12px;
    color: var(--ink-2);
    font-size: var(--far-xs);
    font-weight: 600;
  }
  p {
    margin: 0 0 18px;
    font-size: var(--far-s);
    line-height: 1.25;
  }
  p + h2 {
    margin-top: 30px;
  }
  .quiet {
    display: block;
    font-size: var(--text-xl);
  }
  .past {
    color: var(--attention);
  }
}
.names {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 8px;
  button {
    min-height: 56px;
    padding: 0 14px;
    background: none;
    border: 1px solid var(--line);
    color: inherit;
    font-size: var(--text-2xl);
    text-align: left;
  }
}
// A list of names is what one comes for; the station's own name gives way to it.
.listed h1 {
  font-size: var(--far-3xl);
}
.listed .free {
  display: none;
}
.listed .names {
  margin-top: 14px;
}
@media (max-width: 900px) {
  .idle {
    grid-template-columns: minmax(0, 1fr);
    align-content: start;
    padding: 16px;
    overflow: auto;
  }
  .notices {
    padding: 16px 0 0;
    border: solid var(--line);
    border-width: 1px 0 0;
  }
  .free {
    margin-bottom: 24px;
  }
}
@media (max-width: 600px) {
  dl {
    grid-template-columns: 1fr;
    gap: 2px;
  }
  dd {
    margin-bottom: 10px;
  }
}
</style>
