import { flushPromises } from '@vue/test-utils';
import type { Component } from 'vue';
import type { Cause, CausedDifference } from '@wergon/core/compare';
import { toCents } from '@wergon/core/money';
import { parseDay, toInstant, toSeconds } from '@wergon/core/time';
import { signIn } from '../../kit/desk.fixture.ts';
import { server } from '../../kit/fakeServer.fixture.ts';
import { openPage } from '../../kit/page.fixture.ts';

/** What a browser has and an imitated page lacks. */
export function imitateBrowser(): void {
  HTMLCanvasElement.prototype.getContext = () => null;
  window.matchMedia = (() => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as never;
}

export const day = (text: string) => {
  const parsed = parseDay(text);
  if (!parsed.ok) throw new Error(text);
  return parsed.value;
};
/** What something differs by, from its causes. */
export const differs = (...shares: [cause: Cause, hours: number, euros: number][]): CausedDifference => ({
  isFinished: true,
  expectedSeconds: toSeconds(36_000),
  expectedCost: toCents(40_000),
  difference: toCents(shares.reduce((sum, [, , euros]) => sum + euros * 100, 0)),
  differenceSeconds: toSeconds(shares.reduce((sum, [, hours]) => sum + hours * 3600, 0)),
  causes: shares.map(([cause, hours, euros]) => ({
    cause,
    seconds: toSeconds(hours * 3600),
    cents: toCents(euros * 100),
  })),
  includedSeconds: toSeconds(36_000 + shares.reduce((sum, [, hours]) => sum + hours * 3600, 0)),
  measuredSeconds: toSeconds(18_000),
});
/** What every answer of these tests says of itself. */
export const PERIOD = {
  asOf: toInstant(1_772_431_200),
  firstDay: day('2026-01-05'),
  lastDay: day('2026-03-01'),
  costs: 'actual',
};
const OTHERS = {
  why: '/why/:order',
  order: '/order/:order',
  compare: '/compare',
  'compare-causes': '/compare/causes',
  'compare-people': '/compare/people',
  'compare-machines': '/compare/machines',
  'compare-hours': '/compare/hours',
  'compare-near': '/compare/near',
  'person-day': '/days/:technician/:day',
  lists: '/lists',
};
/** A page of this place for who may see rates, with the answers of a server. */
export async function open(
  page: Component,
  answer: (name: string, query: Readonly<Record<string, string>>) => unknown,
) {
  signIn('work.see', 'reconcile.see', 'rates.see');
  server.answer = ({ name, options }) =>
    answer(name, (options as { query?: Record<string, string> } | undefined)?.query ?? {});
  const opened = await openPage(page, OTHERS);
  await flushPromises();
  return opened;
}
