import type { Brand } from '../result/index.ts';

export type StandardId = Brand<string, 'StandardId'>;

/** For what a standard job is meant; `general` fits every order. */
export type StandardScope =
  { readonly kind: 'general' } | { readonly kind: 'item' | 'unitType' | 'customer'; readonly name: string };

/** What an order is about, as far as a standard can be meant for it; empty text where it says nothing. */
export type OrderSubject = { readonly item: string; readonly unitType: string; readonly customer: string };

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Whether a standard is meant for such an order. */
export const isMeantFor = (scope: StandardScope, subject: OrderSubject): boolean =>
  scope.kind === 'general' || same(scope.name, subject[scope.kind]);

/** One step of a standard job: a standard task, which an order takes always or only where it is chosen. */
export type StandardStep = { readonly task: StandardId; readonly isRequired: boolean };

/** The steps that a new order takes: every required one, and the optional ones that were chosen, in their order. */
export const chooseSteps = <Step extends StandardStep>(
  steps: readonly Step[],
  chosen: ReadonlySet<StandardId>,
): readonly Step[] => steps.filter(({ task, isRequired }) => isRequired || chosen.has(task));
