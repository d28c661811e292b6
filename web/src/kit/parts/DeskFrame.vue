<script setup lang="ts">
import { onMounted, onUnmounted, ref } from 'vue';
import { isLive } from '../live.ts';
import { useDesk } from '../useDesk.ts';
import { t } from '../../words/index.ts';

const search = defineModel<string>('search', { default: '' });
/** Without a `step` the page speaks of no stretch of time; without a `searchLabel` there is nothing to find. Where there
 *  is no ruler a `lead` says what the page is about. */
withDefaults(
  defineProps<{ title: string; lead?: string; step?: string; today?: string; searchLabel?: string }>(),
  { lead: '', step: '', today: '', searchLabel: '' },
);
const emit = defineEmits<{ back: []; on: []; today: [] }>();
const desk = useDesk();
const field = ref<HTMLInputElement>();

function onKey(event: KeyboardEvent): void {
  const isTyping = event.target instanceof HTMLElement && event.target.matches('input, select, textarea');
  if (event.key === 'Escape' && event.target === field.value) {
    search.value = '';
    field.value?.blur();
  }
  if (isTyping || event.ctrlKey || event.altKey || event.metaKey) return;
  if (event.key === '/') {
    event.preventDefault();
    field.value?.focus();
  } else if (event.key === 'ArrowLeft') emit('back');
  else if (event.key === 'ArrowRight') emit('on');
  else if (event.key === '0') emit('today');
}
onMounted(() => window.addEventListener('keydown', onKey));
onUnmounted(() => window.removeEventListener('keydown', onKey));
</script>

<template>
  <div class="frame">
    <header>
      <div class="period">
        <h1>{{ title }}</h1>
        <div v-if="step !== ''" class="steps">
          <button type="button" :aria-label="t('kit.oneBack', { step })" @click="emit('back')">◂</button>
          <button type="button" :aria-label="t('kit.oneOn', { step })" @click="emit('on')">▸</button>
          <span>{{ step }}</span>
          <button type="button" class="now" @click="emit('today')"><span class="mono">0</span></button>
          <span>{{ today }}</span>
        </div>
      </div>
      <div class="ruler">
        <slot name="ruler"
          ><p v-if="lead !== ''" class="lead">{{ lead }}</p></slot
        >
      </div>
      <div class="who">
        <input
          v-if="searchLabel !== ''"
          ref="field"
          v-model="search"
          type="search"
          class="form-control form-control-sm"
          :aria-label="searchLabel"
          :placeholder="`${searchLabel}  /`"
        />
        <p>
          <span
            >{{ desk.session?.name }}, {{ desk.roleWords
            }}<template v-if="desk.session?.isDemo"> · {{ t('kit.demoClock') }}</template></span
          >
          <span class="mono" :class="{ attention: !isLive }" role="status">{{
            isLive ? t('kit.live') : t('kit.notLive')
          }}</span>
        </p>
      </div>
    </header>
    <main tabindex="-1"><slot /></main>
  </div>
</template>

<style scoped lang="scss">
.lead {
  max-width: 900px;
  margin: 0;
  padding: 14px;
}
.frame {
  display: grid;
  grid-template-rows: 74px minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr);
  min-width: 0;
  min-height: 0;
}
header {
  display: grid;
  grid-template-columns: var(--col-name) minmax(0, 1fr) var(--col-side);
  background: var(--sheet);
  border-bottom: 1px solid var(--ink);
}
.period {
  padding: 8px 0 0 14px;
  white-space: nowrap;
}
/* A title with no days to step through stands in the middle of its band. */
.period:not(:has(.steps)) {
  display: grid;
  align-content: center;
  padding-top: 0;
  h1 {
    margin: 0;
  }
}
h1 {
  margin: 0 0 9px;
  font-size: var(--text-xl);
  font-weight: 700;
}
.steps {
  display: flex;
  gap: 5px;
  align-items: center;
  font-size: var(--text-xs);
}
.steps button {
  min-width: 24px;
  height: 24px;
  padding: 0 4px;
  background: var(--sheet);
  border: 1px solid var(--line);
  color: inherit;
  font-size: var(--text-xs);
  line-height: 1;
  &:hover {
    border-color: var(--ink);
  }
}
.steps .now {
  margin-left: 8px;
}
.ruler {
  position: relative;
  min-width: 0;
  border: solid var(--line);
  border-width: 0 1px;
}
.who {
  min-width: 0;
  padding: 9px 14px 0;
}
.who p {
  display: flex;
  justify-content: space-between;
  margin: 7px 0 0;
  color: var(--ink-2);
  font-size: var(--text-xs);
  white-space: nowrap;
  gap: 2px;
}
.who p span:first-child {
  overflow: hidden;
  text-overflow: ellipsis;
}
main {
  min-width: 0;
  min-height: 0;
  overflow: auto;
  outline: none;
  scrollbar-gutter: auto;
}
@media (max-width: 900px) {
  .frame {
    grid-template-rows: auto minmax(0, 1fr);
  }
  header {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    padding-bottom: 8px;
  }
  .ruler {
    display: none;
  }
}
@media (max-width: 520px) {
  header {
    grid-template-columns: auto minmax(0, 1fr);
  }
}
</style>
