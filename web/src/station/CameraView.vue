<script setup lang="ts">
import { onBeforeUnmount, onMounted, ref } from 'vue';
import { useWords } from './useWords.ts';
import { useWorker } from '../kit/index.ts';
import { PlainButton } from '../kit/parts/index.ts';
import type { CameraFunctions } from './cameraWorker.ts';

const emit = defineEmits<{ hear: [text: string]; close: [] }>();
const said = useWords();
const video = ref<HTMLVideoElement>();
const isMissing = ref(false);

/** A label that stays in the picture is heard once, until it has been away so long, in milliseconds. */
const AWAY_MS = 2_500;
/** Between two looks; a hand does not move a label faster. */
const LOOK_MS = 120;
/** As wide as a picture need be for a label at arm's length. */
const WIDTH = 960;

let stream: MediaStream | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;
const seenAt = new Map<string, number>();
const canvas = document.createElement('canvas');
const worker = useWorker<CameraFunctions>(
  () => new Worker(new URL('./cameraWorker.ts', import.meta.url), { type: 'module' }),
  () => (isMissing.value = true),
);

async function look(): Promise<void> {
  const frame = video.value;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!frame || !pen || frame.videoWidth === 0) {
    lookSoon();
    return;
  }
  canvas.width = Math.min(WIDTH, frame.videoWidth);
  canvas.height = Math.round((canvas.width / frame.videoWidth) * frame.videoHeight);
  pen.drawImage(frame, 0, 0, canvas.width, canvas.height);
  const texts = await worker.functions().read(pen.getImageData(0, 0, canvas.width, canvas.height));
  const now = performance.now();
  // Of several labels in one picture none is meant more than another: one is held alone before the camera.
  const [only] = texts;
  if (texts.length === 1 && only !== undefined) {
    if (now - (seenAt.get(only) ?? -Infinity) > AWAY_MS) emit('hear', only);
    seenAt.set(only, now);
  }
  lookSoon();
}
const lookSoon = () => (timer = setTimeout(() => void look(), LOOK_MS));

onMounted(async () => {
  try {
    stream = await navigator.mediaDevices.getUserMedia({
      video: { facingMode: 'environment', width: { ideal: 1280 } },
      audio: false,
    });
    if (!video.value) return stop();
    video.value.srcObject = stream;
    await video.value.play();
    void look();
  } catch {
    isMissing.value = true;
  }
});
function stop(): void {
  for (const track of stream?.getTracks() ?? []) track.stop();
}
onBeforeUnmount(() => {
  clearTimeout(timer);
  stop();
});
</script>

<template>
  <aside class="camera">
    <p role="status">{{ isMissing ? said.words.ui.noCamera : said.words.ui.camera }}</p>
    <video v-show="!isMissing" ref="video" muted playsinline></video>
    <PlainButton @click="emit('close')">{{ said.words.button.back }}</PlainButton>
  </aside>
</template>

<style scoped>
.camera {
  position: fixed;
  top: 64px;
  right: 8px;
  z-index: 2;
  display: grid;
  gap: 8px;
  width: min(420px, calc(100vw - 16px));
  padding: 12px;
  background: var(--sheet);
  border: 2px solid var(--action);
}
p {
  margin: 0;
  font-size: var(--text-2xl);
}
video {
  width: 100%;
  background: #000;
}
button {
  min-height: 48px;
  background: none;
  border: 2px solid var(--ink-2);
  color: inherit;
  font-size: var(--text-2xl);
}
</style>
