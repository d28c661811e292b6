<script setup lang="ts">
import { keysOf } from '@wergon/core/result';
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { PAPERS, SYMBOLOGIES } from '@wergon/core/labels';
import type { LabelCell } from '@wergon/core/labels';
import { titleOfAction } from '@wergon/core/scan';
import { OWN_LABEL_ACTS } from '@wergon/core/station';
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import { callRoute, wordsOf, useDesk } from '../kit/index.ts';
import { CheckField, QueryState, ShopLayout } from '../kit/parts/index.ts';
import { badgeCells, NAME_FORMS, NAME_ORDERS } from './badgeCells.ts';
import { sheetCells } from './sheetCells.ts';
import OrderChoice from './OrderChoice.vue';
import { pageName, printSheets, saveImage } from './paper.ts';
import { travelerPaper } from './travelerPaper.ts';
import { useLabels } from './useLabels.ts';
import { t } from '../words/index.ts';

const desk = useDesk();
const route = useRoute();
const shop = useQuery({ queryKey: ['shop'], queryFn: () => callRoute('shop') });
const people = useQuery({
  queryKey: ['people'],
  queryFn: () => callRoute('people'),
  enabled: computed(() => desk.may('people.change')),
});
const work = useQuery({
  queryKey: ['work'],
  queryFn: () => callRoute('work'),
  enabled: computed(() => desk.may('work.change')),
});
const labels = useLabels();
const problem = ref('');

const KINDS = {
  badges: { word: t('common.badges'), right: 'people.change' },
  'own-label': { word: t('labels.labelOfOnesOwn'), right: 'people.change' },
  travelers: { word: t('labels.travelers'), right: 'work.change' },
  actions: { word: t('labels.actionSheet'), right: 'shop.see' },
  indirect: { word: t('labels.indirectSheet'), right: 'shop.see' },
  machines: { word: t('common.workCentersAndMachines'), right: 'shop.see' },
  calibration: { word: t('labels.calibrationLabel'), right: 'shop.see' },
} as const;
type Kind = keyof typeof KINDS;
const kinds = computed(() => keysOf(KINDS).filter((kind) => desk.may(KINDS[kind].right)));
const asked = String(route.query['kind'] ?? '');
const kind = ref<Kind>(keysOf(KINDS).find((each) => each === asked) ?? 'travelers');
const style = reactive<{ symbology: (typeof SYMBOLOGIES)[number]; paper: (typeof PAPERS)[number] }>({
  symbology: 'code128',
  paper: 'a4',
});
watch(
  () => shop.data.value?.settings.labels,
  (set) => {
    if (set) Object.assign(style, set);
  },
  { immediate: true },
);
const names = reactive<{ order: (typeof NAME_ORDERS)[number]; form: (typeof NAME_FORMS)[number] }>({
  order: 'name',
  form: 'as-written',
});
/** What a label of one's own does. */
const ownAct = ref<(typeof OWN_LABEL_ACTS)[number]>('off-task');
const person = ref(String(route.query['person'] ?? ''));
const orders = ref<string[]>(route.query['order'] ? [String(route.query['order'])] : []);
const workTypes = ref<WorkType[]>([]);
watch(
  kinds,
  (allowed) => {
    if (!allowed.includes(kind.value)) kind.value = allowed[0] ?? 'actions';
  },
  { immediate: true },
);

const SYMBOLOGY_WORDS = { code128: t('common.code128'), code39: t('common.code39'), qr: 'QR' } as const;
const PAPER_WORDS = { a4: 'A4', letter: t('common.letter'), roll62: t('common.n62MmRoll') } as const;
const present = computed(() => people.data.value?.technicians.filter(({ leftOn }) => leftOn === null) ?? []);
const openOrders = computed(() =>
  (work.data.value?.orders ?? [])
    .filter(({ state }) => state !== 'closed' && state !== 'finished')
    .sort((a, b) => (a.number < b.number ? -1 : 1)),
);
const cells = computed((): readonly LabelCell[] =>
  kind.value === 'badges'
    ? badgeCells(
        present.value.filter(({ id }) => person.value === '' || id === person.value),
        names.order,
        names.form,
      )
    : sheetCells(kind.value, shop.data.value),
);
const HEADINGS: Partial<Record<Kind, string>> = {
  actions: t('labels.actions'),
  indirect: t('common.indirectActivities'),
  machines: t('common.workCentersAndMachines'),
};
/** What the saved picture is about: an order, a person, or all of them. */
const pictureName = computed(() => {
  const order = openOrders.value.find(({ id }) => id === orders.value[0])?.number;
  const name = present.value.find(({ id }) => id === person.value)?.name.replaceAll(' ', '-');
  const about =
    kind.value === 'travelers' ? order : ['badges', 'own-label'].includes(kind.value) ? (name ?? 'all') : '';
  return [kind.value, about].filter(Boolean).join('-').toLowerCase();
});
const isEmpty = computed(() =>
  kind.value === 'travelers'
    ? orders.value.length === 0
    : kind.value === 'own-label'
      ? person.value === ''
      : cells.value.length === 0,
);
watch([kind, style, names, person, ownAct, orders, workTypes], () => labels.clear(), { deep: true });

async function draw(): Promise<void> {
  problem.value = '';
  try {
    if (kind.value === 'travelers') {
      const { travelers } = await callRoute('travelers', {
        body: { orders: orders.value, workTypes: workTypes.value },
      });
      void labels.draw({ job: { kind: 'travelers', travelers: travelers.map(travelerPaper) }, ...style });
    } else if (kind.value === 'own-label') {
      const { code } = await callRoute('ownLabel', {
        params: { technician: person.value },
        body: { action: ownAct.value },
      });
      const name = present.value.find(({ id }) => id === person.value)?.name ?? '';
      void labels.draw({
        job: {
          kind: 'cells',
          size: 'badge',
          heading: '',
          cells: [{ title: name, detail: titleOfAction(ownAct.value), code }],
        },
        ...style,
      });
    } else
      void labels.draw({
        job: {
          kind: 'cells',
          size: kind.value === 'badges' ? 'badge' : kind.value === 'calibration' ? 'long' : 'code',
          heading: HEADINGS[kind.value] ?? '',
          cells: cells.value,
        },
        ...style,
      });
  } catch (error) {
    problem.value = wordsOf(error);
  }
}
/** Whoever came from an order or a person has chosen: what is to be printed is there at once. */
const isChosen = route.query['order'] !== undefined || route.query['person'] !== undefined;
const canDraw = computed(() => shop.data.value !== undefined && !isEmpty.value);
if (isChosen) watch(canDraw, (can) => can && void draw(), { once: true, immediate: canDraw.value });
const pageWidth = (width: number) => `min(${width * 3.2}px, 100%)`;
</script>

<template>
  <ShopLayout :title="t('common.labels')" :lead="t('labels.codesForPeopleOrdersActions')">
    <QueryState
      v-if="!shop.data.value"
      :is-pending="shop.isPending.value"
      :error="shop.error.value"
      @retry="shop.refetch()"
    />
    <div v-else class="labels">
      <form class="choices" @submit.prevent="draw">
        <label
          >{{ t('common.what') }}
          <BFormSelect v-model="kind">
            <option v-for="each in kinds" :key="each" :value="each">{{ KINDS[each].word }}</option>
          </BFormSelect></label
        >
        <div class="pair">
          <label
            >{{ t('common.code') }}
            <BFormSelect v-model="style.symbology">
              <option v-for="each in SYMBOLOGIES" :key="each" :value="each">
                {{ SYMBOLOGY_WORDS[each] }}
              </option>
            </BFormSelect></label
          >
          <label
            >{{ t('common.paper') }}
            <BFormSelect v-model="style.paper">
              <option v-for="each in PAPERS" :key="each" :value="each">{{ PAPER_WORDS[each] }}</option>
            </BFormSelect></label
          >
        </div>
        <template v-if="kind === 'badges' || kind === 'own-label'">
          <label
            >{{ t('common.for') }}
            <BFormSelect v-model="person">
              <option v-if="kind === 'badges'" value="">{{ t('common.everybody') }}</option>
              <option v-for="each in present" :key="each.id" :value="each.id">{{ each.name }}</option>
            </BFormSelect></label
          >
        </template>
        <template v-if="kind === 'own-label'">
          <label
            >{{ t('labels.whatItDoes') }}
            <BFormSelect v-model="ownAct">
              <option v-for="each in OWN_LABEL_ACTS" :key="each" :value="each">
                {{ titleOfAction(each) }}
              </option>
            </BFormSelect></label
          >
          <p class="quiet">{{ t('labels.oneScanDoesIt') }}</p>
        </template>
        <template v-if="kind === 'badges'">
          <label
            >{{ t('labels.sortedBy') }}
            <BFormSelect v-model="names.order">
              <option v-for="each in NAME_ORDERS" :key="each" :value="each">
                {{ t(`nameOrders.${each}`) }}
              </option>
            </BFormSelect></label
          >
          <label
            >{{ t('labels.names') }}
            <BFormSelect v-model="names.form">
              <option v-for="each in NAME_FORMS" :key="each" :value="each">
                {{ t(`nameForms.${each}`) }}
              </option>
            </BFormSelect></label
          >
        </template>
        <template v-if="kind === 'travelers'">
          <OrderChoice v-model="orders" :orders="openOrders" />
          <fieldset>
            <legend>{{ t('labels.extraCodesFor') }}</legend>
            <CheckField
              v-for="each in WORK_TYPES.filter((type) => type !== 'run')"
              :key="each"
              v-model="workTypes"
              class="check"
              :value="each"
              >{{ t(`workTypes.${each}`) }}</CheckField
            >
          </fieldset>
        </template>
        <BButton type="submit" variant="primary" :disabled="isEmpty || labels.progress.value !== null">{{
          t('labels.preview')
        }}</BButton>
        <p v-if="kind === 'badges' && cells.length === 0" class="quiet">
          {{ t('labels.nobodyHasABadgeThatWeIssued') }}
        </p>
        <p v-if="problem || labels.problem.value" class="attention" role="alert">
          {{ problem || labels.problem.value }}
        </p>
      </form>
      <div class="preview">
        <p v-if="labels.progress.value" role="status">
          {{ t('labels.drawingOf', { done: labels.progress.value.done, of: labels.progress.value.of }) }}
          <progress :value="labels.progress.value.done" :max="labels.progress.value.of"></progress>
          <BButton variant="quiet" size="sm" @click="labels.cancel()">{{ t('common.cancel') }}</BButton>
        </p>
        <template v-else-if="labels.sheets.value.length > 0">
          <p class="said" role="status">
            {{ t('labels.sheetsDrawn', { n: labels.sheets.value.length }) }}
            <BButton variant="primary" @click="printSheets(labels.sheets.value)">{{
              t('labels.printOrSaveAsPdf')
            }}</BButton>
            <BButton
              v-if="labels.sheets.value[0]"
              variant="quiet"
              @click="saveImage(labels.sheets.value[0], pictureName)"
            >
              {{ t('labels.saveTheFirstAsAPicture') }}
            </BButton>
          </p>
          <div class="print-sheets">
            <!-- eslint-disable vue/no-v-html -- drawn by our own layout, which writes every text escaped -->
            <div
              v-for="(sheet, i) in labels.sheets.value"
              :key="i"
              class="print-sheet"
              role="img"
              :aria-label="t('labels.sheetOf', { sheet: i + 1, n: labels.sheets.value.length })"
              :style="{
                width: pageWidth(sheet.width),
                aspectRatio: `${sheet.width} / ${sheet.height}`,
                page: pageName(sheet),
                '--print-width': `${sheet.width}mm`,
                '--print-height': `${sheet.height}mm`,
              }"
              v-html="sheet.svg"
            ></div>
            <!-- eslint-enable vue/no-v-html -->
          </div>
        </template>
        <p v-else class="quiet empty">
          {{ isEmpty ? t('labels.chooseWhatToPrint') : t('labels.pressPreviewToSeeWhatWillCome') }}
        </p>
      </div>
    </div>
  </ShopLayout>
</template>

<style lang="scss">
.print-sheet svg {
  display: block;
  width: 100%;
  height: 100%;
}
@media print {
  body,
  html,
  #app,
  .desk,
  .book,
  .subject {
    display: block !important;
    height: auto !important;
    margin: 0 !important;
    padding: 0 !important;
    overflow: visible !important;
    background: #fff !important;
  }
  .rail,
  .index,
  .subject > h1,
  .lead-words,
  .choices,
  .said {
    display: none !important;
  }
  .labels {
    display: block !important;
  }
  .print-sheet {
    width: var(--print-width) !important;
    height: var(--print-height) !important;
    margin: 0 !important;
    border: 0 !important;
    break-after: page;
  }
}
</style>
<style scoped lang="scss">
.labels {
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  gap: 32px;
}
.choices {
  display: flex;
  flex-direction: column;
  gap: 10px;
  label:not(.check) {
    color: var(--ink-2);
    font-size: var(--text-xs);
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  legend {
    margin: 0;
    color: var(--ink-2);
    font-size: var(--text-xs);
  }
}
.said {
  display: flex;
  gap: 12px;
  align-items: center;
}
.print-sheet {
  margin-bottom: 16px;
  background: #fff;
  border: 1px solid var(--line);
}
.empty {
  padding-top: 24px;
}
@media (max-width: 1000px) {
  .labels {
    grid-template-columns: 1fr;
  }
}
</style>
