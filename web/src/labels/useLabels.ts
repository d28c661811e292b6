import { proxy } from 'comlink';
import { ref, shallowRef } from 'vue';
import { toPlain, useWorker } from '../kit/index.ts';
import { t } from '../words/index.ts';
import type { DrawnSheet, LabelRequest } from './drawJob.ts';
import type { LabelFunctions } from './labelWorker.ts';

/** Draws labels beside the page, in a worker of its own; a new request ends the one before. */
export function useLabels() {
  const sheets = shallowRef<readonly DrawnSheet[]>([]);
  const progress = ref<{ readonly done: number; readonly of: number } | null>(null);
  const problem = ref('');
  const worker = useWorker<LabelFunctions>(
    () => new Worker(new URL('./labelWorker.ts', import.meta.url), { type: 'module' }),
    () => fail(),
  );

  function cancel(): void {
    worker.end();
    progress.value = null;
  }
  function fail(): void {
    problem.value = t('labels.theLabelsCouldNotBeDrawn');
    cancel();
  }
  async function draw(request: LabelRequest): Promise<void> {
    cancel();
    problem.value = '';
    progress.value = { done: 0, of: request.job.kind === 'cells' ? 1 : request.job.travelers.length };
    const onProgress = (done: number, of: number) => (progress.value = { done, of });
    try {
      sheets.value = await worker.functions().draw(toPlain(request), proxy(onProgress));
      cancel();
    } catch {
      fail();
    }
  }
  function clear(): void {
    cancel();
    sheets.value = [];
  }
  return { sheets, progress, problem, draw, cancel, clear };
}
