<script setup lang="ts">
import { BButton } from 'bootstrap-vue-next';
import { computed, ref } from 'vue';
import type { OrderJson } from '@wergon/contract/compare';
import type { Instant } from '@wergon/core/time';
import { callRoute, useDesk, useAct } from '../kit/index.ts';
import ChangeList from './ChangeList.vue';
import { sayWhen } from './sayWhen.ts';
import { FileField, PlainButton } from '../kit/parts/index.ts';
import { t } from '../words/index.ts';

const props = defineProps<{ order: OrderJson['order'] }>();
const desk = useDesk();
const { act, problem, isBusy } = useAct();
const showsAll = ref(false);
const FIRST = 3;
const params = computed(() => ({ order: props.order.id }));
const changes = computed(() => (showsAll.value ? props.order.changes : props.order.changes.slice(0, FIRST)));

const when = (at: Instant): string => sayWhen(desk.zone, at);
const sayFileSize = (bytes: number) =>
  bytes < 1_000_000
    ? t('work.kb', { size: Math.ceil(bytes / 1000) })
    : t('work.mb', { size: (bytes / 1_000_000).toFixed(1) });

async function readBase64(file: File): Promise<string> {
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('unreadable'));
    reader.readAsDataURL(file);
  });
  return url.slice(url.indexOf(',') + 1);
}
/** Said of a file that is not even sent. */
const tooLarge = ref('');
async function attach(file: File): Promise<void> {
  tooLarge.value = '';
  if (file.size > 5 * 1024 * 1024) {
    tooLarge.value = t('work.isLargerThan5Mb', { name: file.name });
    return;
  }
  const base64 = await readBase64(file);
  await act((once) =>
    callRoute('addAttachment', { params: params.value, body: { name: file.name, base64, once } }),
  );
}
async function open(attachment: string): Promise<void> {
  const file = await act(() => callRoute('attachment', { params: { ...params.value, attachment } }));
  if (!file) return;
  const bytes = Uint8Array.from(atob(file.base64), (character) => character.charCodeAt(0));
  const url = URL.createObjectURL(new Blob([bytes], { type: file.type }));
  const link = document.createElement('a');
  Object.assign(link, { href: url, download: file.name });
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}
const remove = (attachment: string) =>
  act(() => callRoute('removeAttachment', { params: { ...params.value, attachment } }));
</script>

<template>
  <div class="papers">
    <section v-if="order.price !== null || order.notes">
      <h3>{{ t('work.priceAndNotes') }}</h3>
      <p v-if="order.price !== null">
        <b class="figure">{{ desk.money(order.price) }}</b> {{ t('work.priceWord')
        }}<template v-if="order.margin !== null"
          >,
          <b class="figure" :class="{ attention: order.margin.startsWith('-') }">{{
            desk.money(order.margin)
          }}</b>
          {{ t('work.expectedMarginOverTheEstimated') }}</template
        >
      </p>
      <p v-if="order.notes" class="notes">{{ order.notes }}</p>
    </section>
    <section v-if="order.parts.length > 0">
      <h3>{{ t('work.partsOfOrder') }}</h3>
      <ul>
        <li v-for="(part, i) in order.parts" :key="i">
          <span class="figure">{{ part.quantity }}</span> × {{ part.name }}
        </li>
      </ul>
    </section>
    <section>
      <h3>{{ t('work.attachments') }}</h3>
      <ul>
        <li v-for="each in order.attachments" :key="each.id">
          <PlainButton class="link" :disabled="isBusy" @click="open(each.id)">
            {{ each.name }}
          </PlainButton>
          <span class="quiet"
            >{{ sayFileSize(each.size) }}, {{ each.addedBy }}, {{ when(each.addedAt) }}</span
          >
          <BButton v-if="desk.may('work.change')" variant="quiet" size="sm" @click="remove(each.id)">
            {{ t('common.remove') }}
          </BButton>
        </li>
        <li v-if="order.attachments.length === 0" class="quiet">{{ t('common.none') }}</li>
      </ul>
      <FileField
        v-if="desk.may('work.change')"
        class="btn btn-quiet btn-sm"
        accept=".png,.jpg,.jpeg,.webp,.pdf"
        @choose="attach"
        >{{ t('work.attachAPictureOrPdf') }}</FileField
      >
      <p v-if="tooLarge || problem" class="attention" role="alert">{{ tooLarge || problem }}</p>
    </section>
    <section>
      <h3>{{ t('work.whatWasChanged') }}</h3>
      <ol>
        <li v-for="(each, i) in changes" :key="i">
          <span class="quiet">{{ when(each.at) }}, {{ each.by }}</span>
          <ChangeList :changes="each.changes" />
        </li>
        <li v-if="order.changes.length === 0" class="quiet">{{ t('work.nothingSinceItWasMade') }}</li>
      </ol>
      <BButton v-if="order.changes.length > FIRST" variant="quiet" size="sm" @click="showsAll = !showsAll">
        {{ showsAll ? t('work.theLatestOnly') : t('work.all', { n: order.changes.length }) }}
      </BButton>
    </section>
  </div>
</template>

<style scoped>
.papers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 8px 40px;
  padding: 10px 16px 0;
}
h3 {
  margin: 8px 0 4px;
  font-size: var(--text-m);
  font-weight: 700;
}
ul,
ol {
  margin: 0 0 6px;
  padding: 0;
  list-style: none;
}
.notes {
  white-space: pre-line;
}
.link {
  padding: 0;
  background: none;
  border: 0;
  color: var(--action);
  text-decoration: underline;
}
</style>
