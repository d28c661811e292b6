<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue';
import type { TargetId } from '@wergon/core/ledger';
import type { StationDirectory } from '@wergon/core/station';
import { fetchPaper, fetchPapers } from './stationApi.ts';
import AsideFrame from './AsideFrame.vue';
import { useWords } from './useWords.ts';
import { PlainButton } from '../kit/parts/index.ts';

/** All steps of a task, with the pictures and papers of its order. The steps are known here; pictures need the server. */
const props = defineProps<{ directory: StationDirectory; target: TargetId }>();
defineEmits<{ back: [] }>();
const said = useWords();
const ui = computed(() => said.value.words.ui);
const brief = computed(() => props.directory.tasks.get(props.target));
const order = computed(() => {
  const target = props.directory.targets.get(props.target);
  return target?.kind === 'task' ? target.order : undefined;
});
type Paper = {
  readonly id: string;
  readonly name: string;
  readonly type: string;
  readonly url: string | null;
};
const papers = ref<readonly Paper[]>([]);
const problem = ref('');
const isLoading = ref(true);
let isGone = false;

/** Pictures come one after the other, so that the first is there while the last is on its way. */
async function load(id: NonNullable<typeof order.value>): Promise<void> {
  const answer = await fetchPapers(id);
  if (answer.kind !== 'ok') {
    problem.value = answer.kind === 'refused' ? ui.value.papersGone : ui.value.papersOffline;
    return;
  }
  papers.value = answer.value.papers.map((each) => ({ ...each, url: null }));
  for (const { id: paper, type } of answer.value.papers) {
    if (isGone || !type.startsWith('image/')) continue;
    const url = await urlOf(id, paper);
    if (url) papers.value = papers.value.map((each) => (each.id === paper ? { ...each, url } : each));
  }
}
async function urlOf(id: NonNullable<typeof order.value>, paper: string): Promise<string | undefined> {
  const answer = await fetchPaper(id, paper);
  if (answer.kind === 'ok') return `data:${answer.value.type};base64,${answer.value.base64}`;
  problem.value = answer.kind === 'refused' ? ui.value.papersGone : ui.value.papersOffline;
  return undefined;
}
onMounted(async () => {
  if (order.value) await load(order.value);
  isLoading.value = false;
});
onUnmounted(() => (isGone = true));

/** Opens a paper in a window of the browser, which knows how to show it. */
async function open(paper: Paper): Promise<void> {
  const answer = order.value && (await fetchPaper(order.value, paper.id));
  if (answer?.kind !== 'ok') {
    problem.value = ui.value.papersOffline;
    return;
  }
  const bytes = Uint8Array.from(atob(answer.value.base64), (character) => character.charCodeAt(0));
  const url = URL.createObjectURL(new Blob([bytes], { type: answer.value.type }));
  globalThis.open(url, '_blank', 'noopener');
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}
</script>

<template>
  <AsideFrame :title="said.names.target(target)" @back="$emit('back')">
    <p v-if="brief?.description" class="whole">{{ brief.description }}</p>
    <ol v-if="brief && brief.instructions.length > 0">
      <li v-for="(text, i) in brief.instructions" :key="i">{{ text }}</li>
    </ol>
    <p v-if="brief && !brief.description && brief.instructions.length === 0" class="quiet">
      {{ ui.noSteps }}
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <p v-else-if="isLoading && papers.length === 0" class="quiet">{{ ui.opening }}</p>
    <p v-else-if="papers.length === 0" class="quiet">{{ ui.noPapers }}</p>
    <ul>
      <li v-for="paper in papers" :key="paper.id">
        <figure v-if="paper.type.startsWith('image/')">
          <img v-if="paper.url" :src="paper.url" :alt="paper.name" />
          <figcaption class="quiet">{{ paper.name }}</figcaption>
        </figure>
        <PlainButton v-else @click="open(paper)">{{ paper.name }}</PlainButton>
      </li>
    </ul>
  </AsideFrame>
</template>

<style scoped>
.whole,
ol {
  max-width: 46em;
  font-size: var(--far-xs);
  line-height: 1.4;
}
.whole {
  white-space: pre-line;
}
ol {
  padding-left: 1.6em;
}
ol li + li {
  margin-top: 0.35em;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  margin: 18px 0 0;
  padding: 0;
  list-style: none;
}
figure {
  margin: 0;
}
img {
  display: block;
  max-width: min(100%, 900px);
  border: 1px solid var(--line);
}
</style>
