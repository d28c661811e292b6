<script setup lang="ts">
import { keysOf } from '@wergon/core/result';
import { useQuery } from '@tanstack/vue-query';
import { BButton, BFormSelect } from 'bootstrap-vue-next';
import { computed, reactive, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { PAPERS, SYMBOLOGIES } from '@wergon/core/labels';
import type { LabelCell } from '@wergon/core/labels';
import { CALIBRATION_TEXT, titleOfAction } from '@wergon/core/scan';
import type { Action } from '@wergon/core/scan';
import { WORK_TYPES } from '@wergon/core/work';
import type { WorkType } from '@wergon/core/work';
import { callRoute, wordsOf, useDesk } from '../kit/index.ts';
import { CheckField, QueryState, ShopLayout } from '../kit/parts/index.ts';
import { badgeCells, NAME_FORMS, NAME_ORDERS } from './badgeCells.ts';
import OrderChoice from './OrderChoice.vue';
import { pageName, printSheets, saveImage } from './paper.ts';
import { useLabels } from './useLabels.ts';

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
  badges: { word: 'Badges', right: 'people.change' },
  'day-end': { word: 'Label that ends a person’s day', right: 'people.change' },
  travelers: { word: 'Travelers', right: 'work.change' },
  actions: { word: 'Action sheet', right: 'shop.see' },
  indirect: { word: 'Indirect sheet', right: 'shop.see' },
  machines: { word: 'Work centers and machines', right: 'shop.see' },
  calibration: { word: 'Calibration label', right: 'shop.see' },
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
  form: 'as written',
});
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

const SYMBOLOGY_WORDS = { code128: 'Code 128', code39: 'Code 39', qr: 'QR' } as const;
const PAPER_WORDS = { a4: 'A4', letter: 'Letter', roll62: '62 mm roll' } as const;
const present = computed(() => people.data.value?.technicians.filter(({ leftOn }) => leftOn === null) ?? []);
const openOrders = computed(() =>
  (work.data.value?.orders ?? [])
    .filter(({ state }) => state !== 'closed' && state !== 'finished')
    .sort((a, b) => (a.number < b.number ? -1 : 1)),
);
const cells = computed((): readonly LabelCell[] => {
  const data = shop.data.value;
  switch (kind.value) {
    case 'badges':
      return badgeCells(
        present.value.filter(({ id }) => person.value === '' || id === person.value),
        names.order,
        names.form,
      );
    case 'actions':
      return (data?.actions ?? []).map(({ action, code }) => ({
        title: titleOfAction(action as Action),
        detail: '',
        code,
      }));
    case 'indirect':
      return (data?.activities ?? [])
        .filter(({ isOff }) => !isOff)
        .map(({ title, division, isPaid, code }) => ({
          title,
          detail: [division, isPaid ? '' : 'not paid'].filter(Boolean).join(', '),
          code,
        }));
    case 'machines':
      return (data?.resources ?? [])
        .filter(({ isOff }) => !isOff)
        .map(({ name, workCenter, code }) => ({ title: name, detail: workCenter, code }));
    case 'calibration':
      return [
        {
          title: 'Calibration',
          detail: 'Scan this once at a station: it learns what its scanner sends.',
          code: CALIBRATION_TEXT,
        },
      ];
    default:
      return [];
  }
});
const HEADINGS: Partial<Record<Kind, string>> = {
  actions: 'Actions',
  indirect: 'Indirect activities',
  machines: 'Work centers and machines',
};
/** What the saved picture is about: an order, a person, or all of them. */
const pictureName = computed(() => {
  const order = openOrders.value.find(({ id }) => id === orders.value[0])?.number;
  const name = present.value.find(({ id }) => id === person.value)?.name.replaceAll(' ', '-');
  const about =
    kind.value === 'travelers' ? order : ['badges', 'day-end'].includes(kind.value) ? (name ?? 'all') : '';
  return [kind.value, about].filter(Boolean).join('-').toLowerCase();
});
const isEmpty = computed(() =>
  kind.value === 'travelers'
    ? orders.value.length === 0
    : kind.value === 'day-end'
      ? person.value === ''
      : cells.value.length === 0,
);
watch([kind, style, names, person, orders, workTypes], () => labels.clear(), { deep: true });

async function draw(): Promise<void> {
  problem.value = '';
  try {
    if (kind.value === 'travelers') {
      const { travelers } = await callRoute('travelers', {
        body: { orders: orders.value, workTypes: workTypes.value },
      });
      labels.draw({ job: { kind: 'travelers', travelers }, ...style });
    } else if (kind.value === 'day-end') {
      const { code } = await callRoute('dayEndLabel', { params: { technician: person.value } });
      const name = present.value.find(({ id }) => id === person.value)?.name ?? '';
      labels.draw({
        job: {
          kind: 'cells',
          size: 'badge',
          heading: '',
          cells: [{ title: name, detail: 'ends the day: SHIFT OUT', code }],
        },
        ...style,
      });
    } else
      labels.draw({
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
  <ShopLayout
    title="Labels"
    lead="Codes for people, orders, actions and machines. A traveler that was printed before its order changed says so when it is scanned."
  >
    <QueryState
      v-if="!shop.data.value"
      :is-pending="shop.isPending.value"
      :error="shop.error.value"
      @retry="shop.refetch()"
    />
    <div v-else class="labels">
      <form class="choices" @submit.prevent="draw">
        <label
          >What
          <BFormSelect v-model="kind">
            <option v-for="each in kinds" :key="each" :value="each">{{ KINDS[each].word }}</option>
          </BFormSelect></label
        >
        <div class="pair">
          <label
            >Code
            <BFormSelect v-model="style.symbology">
              <option v-for="each in SYMBOLOGIES" :key="each" :value="each">
                {{ SYMBOLOGY_WORDS[each] }}
              </option>
            </BFormSelect></label
          >
          <label
            >Paper
            <BFormSelect v-model="style.paper">
              <option v-for="each in PAPERS" :key="each" :value="each">{{ PAPER_WORDS[each] }}</option>
            </BFormSelect></label
          >
        </div>
        <template v-if="kind === 'badges' || kind === 'day-end'">
          <label
            >For
            <BFormSelect v-model="person">
              <option v-if="kind === 'badges'" value="">everybody</option>
              <option v-for="each in present" :key="each.id" :value="each.id">{{ each.name }}</option>
            </BFormSelect></label
          >
        </template>
        <template v-if="kind === 'badges'">
          <label
            >Sorted by
            <BFormSelect v-model="names.order">
              <option v-for="each in NAME_ORDERS" :key="each" :value="each">{{ each }}</option>
            </BFormSelect></label
          >
          <label
            >Names
            <BFormSelect v-model="names.form">
              <option v-for="each in NAME_FORMS" :key="each" :value="each">{{ each }}</option>
            </BFormSelect></label
          >
        </template>
        <template v-if="kind === 'travelers'">
          <OrderChoice v-model="orders" :orders="openOrders" />
          <fieldset>
            <legend>Extra codes for</legend>
            <CheckField
              v-for="each in WORK_TYPES.filter((type) => type !== 'run')"
              :key="each"
              v-model="workTypes"
              class="check"
              :value="each"
              >{{ each }}</CheckField
            >
          </fieldset>
        </template>
        <BButton type="submit" variant="primary" :disabled="isEmpty || labels.progress.value !== null"
          >Preview</BButton
        >
        <p v-if="kind === 'badges' && cells.length === 0" class="quiet">Nobody has a badge that we issued.</p>
        <p v-if="problem || labels.problem.value" class="attention" role="alert">
          {{ problem || labels.problem.value }}
        </p>
      </form>
      <div class="preview">
        <p v-if="labels.progress.value" role="status">
          Drawing {{ labels.progress.value.done }} of {{ labels.progress.value.of }}…
          <progress :value="labels.progress.value.done" :max="labels.progress.value.of"></progress>
          <BButton variant="quiet" size="sm" @click="labels.cancel()">Cancel</BButton>
        </p>
        <template v-else-if="labels.sheets.value.length > 0">
          <p class="said" role="status">
            {{ labels.sheets.value.length }} {{ labels.sheets.value.length === 1 ? 'sheet' : 'sheets' }}
            <BButton variant="primary" @click="printSheets(labels.sheets.value)"
              >Print, or save as PDF</BButton
            >
            <BButton
              v-if="labels.sheets.value[0]"
              variant="quiet"
              @click="saveImage(labels.sheets.value[0], pictureName)"
            >
              Save the first as a picture
            </BButton>
          </p>
          <div class="print-sheets">
            <!-- eslint-disable vue/no-v-html -- drawn by our own layout, which writes every text escaped -->
            <div
              v-for="(sheet, i) in labels.sheets.value"
              :key="i"
              class="print-sheet"
              role="img"
              :aria-label="`Sheet ${i + 1} of ${labels.sheets.value.length}`"
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
          {{ isEmpty ? 'Choose what to print.' : 'Press Preview to see what will come out of the printer.' }}
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
    font-size: 13px;
  }
  .pair {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  legend {
    margin: 0;
    color: var(--ink-2);
    font-size: 13px;
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
