import { computed, reactive } from 'vue';
import type { OvertimeChange, TriedOvertime } from '@wergon/contract/pay';
import { toCents } from '@wergon/core/money';
import { callRoute } from '../kit/index.ts';

export type Days = { readonly firstDay: string; readonly lastDay: string };
type Order = TriedOvertime['orders'][number];

const both = (a: Order['premium'], b: Order['premium']) => ({
  before: toCents(a.before + b.before),
  after: toCents(a.after + b.after),
});

/** Orders of two parts together. */
export function joinOrders(a: readonly Order[], b: readonly Order[]): readonly Order[] {
  const joined = new Map(a.map((order) => [order.order, order]));
  for (const order of b) {
    const known = joined.get(order.order);
    joined.set(order.order, known ? { ...known, premium: both(known.premium, order.premium) } : order);
  }
  return [...joined.values()];
}

/** Tries rules of overtime on days gone by, some people at a time, so that it can be seen and stopped. */
export function useTryOvertime() {
  const state = reactive<{
    status: 'idle' | 'running' | 'done' | 'stopped';
    /** What was tried: other rules than these have to be tried anew. */
    key: string;
    days: Days;
    people: TriedOvertime['people'];
    orders: readonly Order[];
    overhead: Order['premium'] | null;
    done: number;
    of: number;
  }>({
    ...{ status: 'idle', key: '', days: { firstDay: '', lastDay: '' } },
    ...{ people: [], orders: [], overhead: null, done: 0, of: 0 },
  });
  let run = 0;

  async function begin(key: string, change: OvertimeChange, days: Days): Promise<void> {
    const own = (run += 1);
    Object.assign(state, { status: 'running', key, days, people: [], orders: [] });
    Object.assign(state, { overhead: null, done: 0, of: 0 });
    const { from, group, terms, replaces } = change;
    try {
      for (let after: string | null = null; ;) {
        const part: TriedOvertime = await callRoute('tryOvertime', {
          body: { from, group, terms, ...(replaces ? { replaces } : {}), ...days, after },
        });
        if (own !== run) return;
        state.people = [...state.people, ...part.people];
        state.orders = joinOrders(state.orders, part.orders);
        if (part.overhead)
          state.overhead = state.overhead ? both(state.overhead, part.overhead) : part.overhead;
        Object.assign(state, { done: part.done, of: part.of });
        after = part.next;
        if (after === null) break;
      }
      state.status = 'done';
    } catch (error) {
      // Whoever tries says what is wrong, at its field.
      if (own === run) state.status = 'idle';
      throw error;
    }
  }
  function stop(): void {
    run += 1;
    state.status = 'stopped';
  }
  /** What overtime adds in all; absent for whoever may not see rates. */
  const total = computed(() =>
    state.people.reduce<Order['premium'] | null>(
      (sum, { premium }) => (premium ? (sum ? both(sum, premium) : premium) : sum),
      null,
    ),
  );
  return { state, total, begin, stop };
}
