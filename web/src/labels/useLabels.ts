import { onScopeDispose, ref, shallowRef } from 'vue';
import type { DrawnSheet, LabelAnswer, LabelRequest } from './drawJob.ts';

/** Draws labels beside the page, in a worker of its own; a new request ends the one before. */
export function useLabels() {
  const sheets = shallowRef<readonly DrawnSheet[]>([]);
  const progress = ref<{ readonly done: number; readonly of: number } | null>(null);
  const problem = ref('');
  let worker: Worker | undefined;

  function cancel(): void {
    worker?.terminate();
    worker = undefined;
    progress.value = null;
  }
  function draw(request: LabelRequest): void {
    cancel();
    problem.value = '';
    progress.value = { done: 0, of: request.job.kind === 'cells' ? 1 : request.job.travelers.length };
    worker = new Worker(new URL('./labelWorker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = ({ data }: MessageEvent<LabelAnswer>) => {
      if (data.type === 'progress') progress.value = data;
      else {
        if (data.type === 'drawn') sheets.value = data.sheets;
        else problem.value = data.message;
        cancel();
      }
    };
    worker.onerror = () => {
      problem.value = 'The labels could not be drawn.';
      cancel();
    };
    // A message must be plain data, without the page's proxies.
    worker.postMessage(JSON.parse(JSON.stringify(request)));
  }
  function clear(): void {
    cancel();
    sheets.value = [];
  }
  onScopeDispose(cancel);
  return { sheets, progress, problem, draw, cancel, clear };
}
