<script setup lang="ts">
import { computed } from 'vue';
import type { PayPeriodJson } from '@wergon/contract/pay';
import { useDesk } from '../kit/index.ts';
import { t } from '../words/index.ts';
import { barOf } from './payBar.ts';
import type { BarPart } from './payBar.ts';

/** A person's time of a period by how it is paid, on the scale of all; a notch shows what was planned. */
const props = defineProps<{ person: PayPeriodJson['people'][number]; longest: number }>();
const desk = useDesk();
const share = (seconds: number) => `${(seconds / props.longest) * 100}%`;
const parts = computed(() => barOf(props.person));
const WORDS: Readonly<Record<BarPart, string>> = {
  straight: t('payClasses.straight'),
  overtime: t('payClasses.overtime'),
  double: t('payClasses.double'),
  away: t('pay.away'),
};
const title = computed(() =>
  parts.value.map(({ part, seconds }) => `${WORDS[part]} ${desk.hours(seconds)}`).join(', '),
);
</script>

<template>
  <div class="pay-bar" role="img" :aria-label="title" :title="title">
    <i v-for="{ part, seconds } in parts" :key="part" :class="part" :style="{ width: share(seconds) }"></i>
    <b v-if="person.plannedSeconds > 0" class="notch" :style="{ left: share(person.plannedSeconds) }"></b>
  </div>
</template>

<style scoped>
.pay-bar {
  position: relative;
  display: flex;
  width: 100%;
  height: 14px;
}
i {
  height: 100%;
  background: var(--bar);
}
.overtime {
  background: repeating-linear-gradient(-45deg, var(--bar) 0 3px, var(--sheet) 3px 6px);
  box-shadow: inset 0 0 0 1px var(--bar);
}
.double {
  background: var(--ink);
}
.away {
  background: none;
  border: 1px dashed var(--ink-2);
}
.notch {
  position: absolute;
  top: -5px;
  width: 2px;
  height: 24px;
  background: var(--ink);
}
@media print {
  i {
    print-color-adjust: exact;
  }
}
</style>
