import { wrap } from 'comlink';
import type { Remote } from 'comlink';
import { onScopeDispose } from 'vue';

/** A worker beside the page whose functions are called as if they were here: opened when it is first asked for, ended
 *  with the page or by `end`. `onBroken` hears of one that cannot be loaded. */
export function useWorker<Functions>(make: () => Worker, onBroken: () => void) {
  let opened: { readonly worker: Worker; readonly functions: Remote<Functions> } | undefined;

  function functions(): Remote<Functions> {
    if (!opened) {
      const worker = make();
      worker.onerror = onBroken;
      opened = { worker, functions: wrap<Functions>(worker) };
    }
    return opened.functions;
  }
  /** Ends it, whatever it is at; nothing more comes of what was asked. */
  function end(): void {
    opened?.worker.terminate();
    opened = undefined;
  }
  onScopeDispose(end);
  return { functions, end };
}
