<script setup lang="ts">
import { computed } from 'vue';
import type { Nearness, TargetStanding } from '@wergon/core/floor';
import type { Seconds } from '@wergon/core/time';
import { Yardstick } from '../compare/index.ts';
import { sayBalance } from './sayBalance.ts';
import { useWords } from './useWords.ts';

const props = defineProps<{
  standing: TargetStanding;
  since?: string;
  soFar?: string;
  isSmall?: boolean;
  /** Whether it is the way there, not the work yet. */
  isOnTheWay?: boolean;
  /** It is near its estimate, or past it. */
  near?: Nearness | undefined;
}>();

const said = useWords();
const hours = (length: Seconds) => said.value.names.hours(length);
const figures = computed(() => {
  if (props.standing.kind !== 'task') return undefined;
  const { usedSeconds, estimatedSeconds } = props.standing.comparison;
  const { ui } = said.value.words;
  const { isOver, text } = sayBalance(props.standing.comparison, ui, said.value.hoursStyle);
  return {
    isOver,
    used: hours(usedSeconds),
    estimate: estimatedSeconds === null ? ui.noEstimate : `${ui.estimate} ${hours(estimatedSeconds)}`,
    balance: text,
  };
});
const nearWords = computed(() => {
  const { near } = props;
  if (!near) return '';
  const { ui } = said.value.words;
  const since = near.since === undefined ? '' : ` ${ui.since} ${said.value.names.clock(near.since)}`;
  return `${near.isPast ? ui.past : ui.near}${since}`;
});
const FILLS = ['setup', 'run', 'rework'] as const;
</script>

<template>
  <section class="standing" :class="{ small: isSmall }">
    <template v-if="standing.kind === 'task'">
      <p class="on">
        {{ since ? `${isOnTheWay ? said.words.ui.onTheWayTo : said.words.ui.on} ` : ''
        }}<b>{{ standing.task.title }}</b
        >, {{ said.words.ui.order }} <b class="mono">{{ standing.order?.number }}</b>
      </p>
      <p class="what">
        {{ standing.order?.title
        }}<template v-if="since">
          · {{ said.words.ui.since }} <b class="figure">{{ since }}</b>, <b class="figure">{{ soFar }}</b>
          {{ said.words.ui.soFar }}</template
        >
      </p>
      <div v-if="figures" class="measure">
        <div class="words">
          <span class="balance figure" :class="{ over: figures.isOver }">{{ figures.balance }}</span>
          <span class="estimate"
            >{{ figures.estimate
            }}<small v-if="nearWords" :class="{ past: near?.isPast }">{{ nearWords }}</small></span
          >
        </div>
        <Yardstick
          v-if="standing.comparison.estimatedSeconds !== null"
          :estimated-seconds="standing.comparison.estimatedSeconds"
          :used="standing.used"
          size="large"
          :label="`${figures.used} used, ${figures.estimate}, ${figures.balance}`"
        />
        <ul v-if="!isSmall" class="legend">
          <li v-for="fill in FILLS" :key="fill">
            <span class="swatch" :class="fill"></span>{{ said.words.workType[fill] }}
          </li>
        </ul>
      </div>
    </template>
    <p v-else class="on">
      {{ since ? `${said.words.ui.on} ` : '' }}<b>{{ standing.activity.title }}</b>
      <span v-if="since" class="quiet">
        · {{ said.words.ui.since }} <b class="figure">{{ since }}</b>, <b class="figure">{{ soFar }}</b>
        {{ said.words.ui.soFar }}
      </span>
    </p>
  </section>
</template>

<style scoped lang="scss">
p {
  margin: 0;
  font-size: var(--far-l);
  line-height: 1.3;
}
.what {
  color: var(--ink-2);
}
main > .standing {
  padding: 34px;
}
.measure {
  max-width: min(100%, 62vw);
  margin-top: 14px;
}
.words {
  display: grid;
  grid-template-columns: 66.667% 1fr;
  align-items: end;
  margin-bottom: 12px;
}
.balance {
  padding-right: 16px;
  font-size: var(--far-xl);
  font-weight: 700;
  text-align: right;
  &.over {
    color: var(--attention);
  }
}
.estimate {
  padding-left: 14px;
  font-size: var(--far-s);
  font-weight: 600;
  white-space: nowrap;
  small {
    display: block;
    font-size: var(--far-xs);
  }
  .past {
    color: var(--attention);
  }
}
.legend {
  display: flex;
  gap: 40px;
  margin: 12px 0 0;
  padding: 0;
  color: var(--ink-2);
  font-size: var(--text-xl);
  list-style: none;
}
.swatch {
  display: inline-block;
  width: 28px;
  height: 18px;
  margin-right: 10px;
  vertical-align: -3px;
  background-color: var(--bar);
  &.setup {
    background-image: repeating-linear-gradient(-45deg, transparent 0 5px, var(--sheet) 5px 8px);
  }
  &.rework {
    background-image: radial-gradient(circle at 5px 5px, var(--sheet) 2px, transparent 2.6px);
    background-size: 9px 9px;
  }
}
.small + .small {
  margin-top: 26px;
}
.small .measure {
  margin-top: 8px;
}
.small :deep(.large) {
  --thickness: 26px;
}
@media (max-width: 700px) {
  main > .standing {
    padding: 16px;
  }
  .measure {
    max-width: 100%;
  }
  .estimate {
    white-space: normal;
  }
  .legend {
    display: none;
  }
}
</style>
