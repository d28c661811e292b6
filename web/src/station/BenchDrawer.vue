<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { ACTIONS, codeOfAction, titleOfAction } from '@wergon/core/scan';
import type { StationDirectory } from '@wergon/core/station';
import { fetchBench } from './stationApi.ts';
import { typeAsScanner } from './typeAsScanner.ts';
import { PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ directory: StationDirectory }>();
defineEmits<{ close: [] }>();

/** Travelers on the bench at one time; more would not fit on it. */
const TRAVELERS = 8;

/** Badges are on no station: the demo's server lends some to its bench. */
const badges = ref<readonly { readonly code: string; readonly name: string }[]>([]);
onMounted(async () => {
  const answer = await fetchBench();
  if (answer.kind === 'ok') badges.value = answer.value.badges;
});
const machines = computed(() =>
  [...props.directory.codes].flatMap(([code, meaning]) => {
    const known = meaning.kind === 'resource' ? props.directory.resources.get(meaning.resource) : undefined;
    return known?.kind === 'machine' ? [{ code, name: known.name }] : [];
  }),
);
const codeOfOrder = computed(
  () =>
    new Map(
      [...props.directory.codes].flatMap(([code, meaning]) =>
        meaning.kind === 'order' ? [[meaning.order, code] as const] : [],
      ),
    ),
);
const codeOfTarget = computed(
  () =>
    new Map(
      [...props.directory.codes].flatMap(([code, meaning]) =>
        meaning.kind === 'target' ? [[meaning.target, code] as const] : [],
      ),
    ),
);
const travelers = computed(() => {
  const open = [...props.directory.targets.values()].filter(
    (target) =>
      target.kind === 'task' &&
      !target.isFinished &&
      props.directory.orders.get(target.order)?.state === 'released',
  );
  const orders = [...new Set(open.map((target) => (target.kind === 'task' ? target.order : undefined)))];
  return orders.slice(0, TRAVELERS).flatMap((id) => {
    const order = id && props.directory.orders.get(id);
    if (!order) return [];
    const tasks = open.filter((target) => target.kind === 'task' && target.order === id);
    return [
      {
        order,
        tasks: tasks.map((task) => ({ title: task.title, code: codeOfTarget.value.get(task.id) ?? '' })),
      },
    ];
  });
});
const activities = computed(() =>
  [...props.directory.targets.values()].flatMap((target) =>
    target.kind === 'activity'
      ? [{ title: target.title, code: codeOfTarget.value.get(target.id) ?? '' }]
      : [],
  ),
);
</script>

<template>
  <aside class="bench" :aria-label="t('bench.label')">
    <header>
      <b>{{ t('bench.bench') }}</b>
      <span>{{ t('bench.touch') }}</span>
      <PlainButton @click="$emit('close')">{{ t('bench.close') }}</PlainButton>
    </header>
    <section>
      <h2>{{ t('bench.badges') }}</h2>
      <PlainButton v-for="badge in badges" :key="badge.code" @click="typeAsScanner(badge.code)">
        {{ badge.name }}
      </PlainButton>
    </section>
    <section>
      <h2>{{ t('bench.actions') }}</h2>
      <PlainButton v-for="action in ACTIONS" :key="action" @click="typeAsScanner(codeOfAction(action))">
        {{ titleOfAction(action) }}
      </PlainButton>
    </section>
    <section v-for="{ order, tasks } in travelers" :key="order.id">
      <h2>
        <span class="mono">{{ order.number }}</span> {{ order.title }}
      </h2>
      <PlainButton @click="typeAsScanner(codeOfOrder.get(order.id) ?? '')">{{
        t('bench.wholeOrder')
      }}</PlainButton>
      <PlainButton v-for="task in tasks" :key="task.code" @click="typeAsScanner(task.code)">
        {{ task.title }}
      </PlainButton>
    </section>
    <section v-if="machines.length > 0">
      <h2>{{ t('bench.machines') }}</h2>
      <PlainButton v-for="each in machines" :key="each.code" @click="typeAsScanner(each.code)">
        {{ each.name }}
      </PlainButton>
    </section>
    <section>
      <h2>{{ t('bench.indirect') }}</h2>
      <PlainButton v-for="activity in activities" :key="activity.code" @click="typeAsScanner(activity.code)">
        {{ activity.title }}
      </PlainButton>
    </section>
  </aside>
</template>

<style scoped>
.bench {
  position: fixed;
  top: 58px;
  right: 0;
  bottom: 0;
  width: min(440px, 100%);
  padding: 0 20px 20px;
  overflow: auto;
  background: #efe7d6;
  border-left: 2px solid #1c1a15;
  color: #1c1a15;
  font-size: var(--text-xl);
}
header {
  position: sticky;
  top: 0;
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 12px 0;
  background: inherit;
}
header span {
  flex: 1;
  line-height: 1.2;
}
h2 {
  margin: 16px 0 6px;
  font-size: var(--text-xl);
  font-weight: 600;
}
button {
  min-height: 48px;
  margin: 0 6px 6px 0;
  padding: 0 12px;
  background: #fff;
  border: 1px solid #575143;
  color: inherit;
}
</style>
