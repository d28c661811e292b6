<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, onScopeDispose, ref } from 'vue';
import { PAUSE_MS, PLAIN_SCANNER, checkScan, isScanOver, learnProfile } from '@wergon/core/scan';
import type { CheckedScan, Key, ScannerFinding } from '@wergon/core/scan';
import { callRoute, useDesk } from '../kit/index.ts';
import { ShopLayout } from '../kit/parts/index.ts';
import { CALIBRATION_WORDS, CODE_KIND_WORDS, FINDING_WORDS } from './scannerWords.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const people = useQuery({
  queryKey: ['people'],
  queryFn: () => callRoute('people'),
  enabled: computed(() => desk.may('people.change')),
});
const keys = ref<Key[]>([]);
const isOver = ref(false);
const field = ref<HTMLElement>();
let timer: ReturnType<typeof setTimeout> | undefined;
const UNSEEN: readonly string[] = ['Shift', 'Control', 'Alt', 'AltGraph', 'Meta', 'CapsLock'];

function onKey(event: KeyboardEvent): void {
  if (event.key === 'Escape' || (event.key === 'Tab' && keys.value.length === 0)) return;
  event.preventDefault();
  if (UNSEEN.includes(event.key)) return;
  if (isOver.value) {
    keys.value = [];
    isOver.value = false;
  }
  keys.value.push({ name: event.key, at: event.timeStamp });
  isOver.value = isScanOver(keys.value, event.timeStamp);
  clearTimeout(timer);
  timer = setTimeout(
    () => (isOver.value = isOver.value || isScanOver(keys.value, performance.now())),
    PAUSE_MS + 5,
  );
}
onScopeDispose(() => clearTimeout(timer));

const checked = computed((): CheckedScan | null =>
  isOver.value ? checkScan(keys.value, PLAIN_SCANNER) : null,
);
const isCalibration = computed(
  () => checked.value?.findings.some(({ kind }) => kind === 'calibration') ?? false,
);
const learned = computed(() => (isCalibration.value ? learnProfile(keys.value) : null));
const words = (finding: ScannerFinding): string => FINDING_WORDS(finding);
const problems = computed(() => checked.value?.findings.filter(({ kind }) => kind !== 'calibration') ?? []);
/** What a station would do with it. */
const meaning = computed((): string => {
  const { parsed, foreign } = checked.value ?? {};
  if (parsed) return CODE_KIND_WORDS[parsed.kind];
  const owner = people.data.value?.technicians.find(({ badges }) =>
    badges.some(({ code, revokedAt }) => code === foreign && revokedAt === null),
  );
  return owner
    ? t('scan.aCardOfItWouldOpenTheStation', { name: owner.name })
    : t('scan.noCodeOfOursAndNobodysCard');
});
const shown = (name: string) => (name === ' ' ? 'space' : name);
</script>

<template>
  <ShopLayout :title="t('common.scannerCheck')" :lead="t('scan.whatAScannerReallySendsKeyBy')">
    <div
      ref="field"
      class="pad"
      tabindex="0"
      role="textbox"
      aria-multiline="false"
      :aria-label="t('scan.scanHere')"
      @keydown.stop="onKey"
    >
      <p v-if="keys.length === 0" class="wait">{{ t('scan.clickHereThenScanAnyLabel') }}</p>
      <p v-else class="keys">
        <kbd v-for="(key, i) in keys" :key="i" :class="{ named: key.name.length > 1 }">{{
          shown(key.name)
        }}</kbd>
      </p>
    </div>
    <section v-if="checked" class="told" role="status">
      <template v-if="isCalibration">
        <h2>{{ t('scan.theCalibrationLabel') }}</h2>
        <template v-if="learned?.ok">
          <p>
            {{ t('scan.atAStationThisOneScanWouldTeach') }}
            <b>{{ learned.value.endKey ?? t('scan.nothingAPause') }}</b>,
            <template v-if="learned.value.prefix"
              >{{ t('scan.puts') }} <kbd>{{ learned.value.prefix }}</kbd> {{ `${t('scan.beforeACode')} ` }}
            </template>
            <template v-if="learned.value.suffix"
              >{{ t('scan.puts') }} <kbd>{{ learned.value.suffix }}</kbd> {{ `${t('scan.afterIt')} ` }}
            </template>
            <template v-if="Object.keys(learned.value.meant).length > 0">{{
              t('scan.andSendsCharactersAsOthers', { n: Object.keys(learned.value.meant).length })
            }}</template><template v-else>{{ t('scan.andSendsEveryCharacterAsItIs') }}</template>
          </p>
        </template>
        <p v-else-if="learned" class="attention">{{ CALIBRATION_WORDS[learned.code] }}</p>
      </template>
      <template v-else>
        <h2>
          {{ checked.parsed ? t('scan.itWouldBeUnderstood') : t('scan.itWouldNotBeUnderstoodAsACode') }}
        </h2>
        <p class="code">
          <span class="mono">{{ checked.parsed?.code ?? checked.foreign }}</span>
          {{ t('scan.is', { meaning }) }}
        </p>
      </template>
      <ul v-if="problems.length > 0">
        <li v-for="(finding, i) in problems" :key="i">{{ words(finding) }}</li>
      </ul>
      <p v-else-if="!isCalibration">
        {{ t('scan.itSendsWhatAPlainScannerSends') }} <b>{{ checked.endKey }}</b>.
      </p>
    </section>
    <p class="quiet">
      {{ t('scan.whenAScannerSendsSomethingOdd') }}
      <RouterLink to="/shop/labels?kind=calibration">{{ t('common.calibrationLabel') }}</RouterLink>
      {{ t('scan.andScanItOnceAtItsStationFrom') }}
    </p>
  </ShopLayout>
</template>

<style scoped>
.pad {
  min-height: 132px;
  padding: 20px 24px;
  background: var(--sheet);
  border: 2px solid var(--ink);
}
.pad:focus {
  outline: 3px solid var(--action);
}
.wait {
  margin: 30px 0 0;
  color: var(--ink-2);
  font-size: var(--text-3xl);
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin: 0;
}
kbd {
  min-width: 34px;
  padding: 6px 8px;
  background: var(--paper);
  border: 1px solid var(--line);
  color: var(--ink);
  font-family: var(--mono);
  font-size: var(--text-2xl);
  text-align: center;
}
kbd.named {
  background: var(--action-tint);
  font-size: var(--text-m);
  line-height: 33px;
}
.code {
  font-size: var(--text-xl);
}
</style>
