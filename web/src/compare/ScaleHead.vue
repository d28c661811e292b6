<script setup lang="ts">
import { useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
defineProps<{ first: string; last: string }>();
</script>

<template>
  <div class="head">
    <span class="first">{{ first }}</span>
    <span class="scale" aria-hidden="true">
      <i class="half">{{ t('compare.half') }}</i><i class="notch">{{ t('compare.estimate') }}</i
      ><i class="end">+50%</i>
    </span>
    <span class="row-figures">
      <span>{{ t('compare.hoursWord') }}</span><span>{{ desk.costWord }}</span
      ><span>{{ last }}</span>
    </span>
  </div>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: var(--col-name) minmax(0, 1fr) var(--col-side);
  align-items: end;
  background: var(--paper);
  color: var(--ink-2);
  font-size: var(--text-xs);
}
.first {
  padding: 0 16px 3px;
}
.scale {
  position: relative;
  height: 26px;
}
.scale i {
  position: absolute;
  bottom: 5px;
  font-style: normal;
}
.half {
  left: 33.33%;
  transform: translateX(-50%);
}
.notch {
  left: 66.67%;
  padding-left: 7px;
  color: var(--ink);
  font-weight: 700;
}
.end {
  right: 4px;
}
.row-figures :last-child {
  font-size: var(--text-xs) !important;
}
</style>
