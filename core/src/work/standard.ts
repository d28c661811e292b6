import type { Brand } from '../result/index.ts';

export type StandardId = Brand<string, 'StandardId'>;

/** For what a standard job or task is meant; `general` fits every order. */
export type StandardScope =
  { readonly kind: 'general' } | { readonly kind: 'item' | 'unitType' | 'customer'; readonly name: string };

/** What an order is about, as far as a standard can be meant for it; empty text where it says nothing. */
export type OrderSubject = { readonly item: string; readonly unitType: string; readonly customer: string };

const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase();

/** Whether a standard is meant for such an order; one that says nothing is meant for every one. */
export const isMeantFor = (scope: StandardScope | undefined, subject: OrderSubject): boolean =>
  scope === undefined || scope.kind === 'general' || same(scope.name, subject[scope.kind]);

/** One step of a standard job: a standard task, which an order takes always or only where it is chosen. */
export type StandardStep = { readonly task: StandardId; readonly isRequired: boolean };

/** The steps that a new order takes: every required one, and the optional ones that were chosen, in their order. */
export const chooseSteps = <Step extends StandardStep>(
  steps: readonly Step[],
  chosen: ReadonlySet<StandardId>,
): readonly Step[] => steps.filter(({ task, isRequired }) => isRequired || chosen.has(task));

/** A standard job as far as an order takes it: whether it is meant for such an order with all that it requires, and the
 *  steps that are. `scopeOf` says for what a task is meant. */
export function fitJob<Step extends StandardStep>(
  job: { readonly scope: StandardScope; readonly steps: readonly Step[] },
  scopeOf: (task: StandardId) => StandardScope | undefined,
  subject: OrderSubject,
): { readonly fits: boolean; readonly steps: readonly Step[] } {
  const steps = job.steps.filter(({ task }) => isMeantFor(scopeOf(task), subject));
  const isWhole = job.steps.every((step) => !step.isRequired || steps.includes(step));
  return { fits: isWhole && isMeantFor(job.scope, subject), steps };
}
