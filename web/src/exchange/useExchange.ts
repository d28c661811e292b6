import { proxy } from 'comlink';
import { onScopeDispose, ref, shallowRef } from 'vue';
import type { ExchangeKind, ImportAnswer } from '@wergon/contract/exchange';
import type { ColumnMatch } from '@wergon/core/exchange';
import { CallFailed, callRoute, download, toPlain, useWorker, wordsOf } from '../kit/index.ts';
import { t } from '../words/index.ts';
import type { Checked, ExchangeFunctions, StepResult, TableHead } from './exchangeWorker.ts';

const ROUTES = {
  orders: 'importOrders',
  people: 'importPeople',
  rates: 'importRates',
  standards: 'importStandards',
  hours: 'importHours',
} as const;
/** What the worker is at. */
export type Step = 'reading' | 'checking' | 'storing' | 'writing';

/** Brings a file in and takes lists out, all of it in a worker; the page only follows. */
export function useExchange(onStored: () => void) {
  const table = shallowRef<TableHead | null>(null);
  const checked = shallowRef<Checked | null>(null);
  const stored = shallowRef<ImportAnswer | null>(null);
  const busy = ref<{ readonly step: Step; readonly done: number; readonly of: number } | null>(null);
  const problem = ref('');
  let begun: { readonly id: string; readonly kind: ExchangeKind } | undefined;
  let kind: ExchangeKind = 'orders';
  const worker = useWorker<ExchangeFunctions>(
    () => new Worker(new URL('./exchangeWorker.ts', import.meta.url), { type: 'module' }),
    () => {
      busy.value = null;
      problem.value = t('exchange.theFileCouldNotBeWorkedOn');
    },
  );

  /** Has one step done; absent when it came to nothing, or was cancelled meanwhile. */
  async function run<T>(step: Step, work: () => Promise<StepResult<T>>): Promise<T | undefined> {
    const own = { step, done: 0, of: 0 };
    problem.value = '';
    busy.value = own;
    const result = await work();
    busy.value = null;
    if (result.ok) return result.value;
    problem.value =
      'file' in result ? t(`fileProblems.${result.file}`) : wordsOf(new CallFailed(result.problem));
    return undefined;
  }
  /** Stops whatever goes on; rows that the server has already got are dropped there. */
  function cancel(): void {
    worker.end();
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

  async function read(file: File): Promise<void> {
    reset();
    table.value = (await run('reading', () => worker.functions().read(file))) ?? null;
  }
  async function check(which: ExchangeKind, match: ColumnMatch): Promise<void> {
    kind = which;
    checked.value = null;
    const onBegun = (id: string) => (begun = { id, kind: which });
    const onProgress = (done: number, of: number) => {
      if (busy.value) busy.value = { ...busy.value, done, of };
    };
    checked.value =
      (await run('checking', () =>
        worker.functions().check(which, toPlain(match), proxy(onBegun), proxy(onProgress)),
      )) ?? null;
  }
  async function store(mode: 'all' | 'good'): Promise<void> {
    const id = checked.value?.answer.import;
    if (id === undefined) return;
    const answer = await run('storing', () => worker.functions().store(kind, id, mode));
    if (!answer) return;
    stored.value = answer;
    begun = undefined;
    onStored();
  }
  async function write(which: ExchangeKind, format: 'csv' | 'xlsx'): Promise<void> {
    const file = await run('writing', () => worker.functions().write(which, format));
    if (file) download(file.blob, file.name);
  }
  return { table, checked, stored, busy, problem, cancel, reset, read, check, store, write };
}
