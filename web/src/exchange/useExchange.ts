import { download, callRoute } from '../kit/index.ts';
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { ExchangeKind, ImportAnswer } from '@wergon/contract/exchange';
import type { ColumnMatch } from '@wergon/core/exchange';
import type { ExchangeAnswer, ExchangeRequest } from './exchangeWorker.ts';

type Read = Extract<ExchangeAnswer, { type: 'table' }>;
type Checked = Extract<ExchangeAnswer, { type: 'checked' }>;

const ROUTES = {
  orders: 'importOrders',
  people: 'importPeople',
  rates: 'importRates',
  standards: 'importStandards',
} as const;

/** Brings a file in and takes lists out, all of it in a worker; the page only follows. */
export function useExchange(onStored: () => void) {
  const table = shallowRef<Read | null>(null);
  const checked = shallowRef<Checked | null>(null);
  const stored = shallowRef<ImportAnswer | null>(null);
  const busy = ref<{ readonly what: string; readonly done: number; readonly of: number } | null>(null);
  const problem = ref('');
  let worker: Worker | undefined;
  let begun: { readonly id: string; readonly kind: ExchangeKind } | undefined;
  let kind: ExchangeKind = 'orders';

  function start(request: ExchangeRequest, what: string): void {
    problem.value = '';
    busy.value = { what, done: 0, of: 0 };
    worker ??= open();
    // A file cannot be copied as plain data; nothing else of a request is reactive.
    worker.postMessage(request.type === 'read' ? request : JSON.parse(JSON.stringify(request)));
  }
  function open(): Worker {
    const made = new Worker(new URL('./exchangeWorker.ts', import.meta.url), { type: 'module' });
    made.onmessage = ({ data }: MessageEvent<ExchangeAnswer>) => hear(data);
    made.onerror = () => hear({ type: 'failed', message: 'The file could not be worked on.' });
    return made;
  }
  function hear(answer: ExchangeAnswer): void {
    if (answer.type === 'begun') begun = { id: answer.id, kind };
    else if (answer.type === 'progress') {
      if (busy.value) busy.value = { ...busy.value, done: answer.done, of: answer.of };
    } else {
      busy.value = null;
      if (answer.type === 'table') table.value = answer;
      else if (answer.type === 'checked') checked.value = answer;
      else if (answer.type === 'stored') {
        stored.value = answer.answer;
        begun = undefined;
        onStored();
      } else if (answer.type === 'file') download(answer.blob, answer.name);
      else problem.value = answer.message;
    }
  }
  /** Stops whatever goes on; rows that the server has already got are dropped there. */
  function cancel(): void {
    worker?.terminate();
    worker = undefined;
    busy.value = null;
    const left = begun;
    begun = undefined;
    if (left)
      void callRoute(ROUTES[left.kind], { body: { step: 'drop', import: left.id } }).catch(() => undefined);
  }
  function reset(): void {
    cancel();
    table.value = null;
    checked.value = null;
    stored.value = null;
    problem.value = '';
  }
  onScopeDispose(cancel);

  return {
    table,
    checked,
    stored,
    busy,
    problem,
    cancel,
    reset,
    read: (file: File) => {
      reset();
      start({ type: 'read', file }, 'Reading the file');
    },
    check: (which: ExchangeKind, match: ColumnMatch) => {
      kind = which;
      checked.value = null;
      start({ type: 'check', kind: which, match }, 'Checking every row');
    },
    store: (mode: 'all' | 'good') => {
      if (checked.value) start({ type: 'store', kind, id: checked.value.answer.import, mode }, 'Storing');
    },
    write: (which: ExchangeKind, format: 'csv' | 'xlsx') =>
      start({ type: 'write', kind: which, format }, 'Writing the file'),
  };
}
