import type { SCOPE_KINDS } from '@wergon/contract/work';
import type { StandardScope } from '@wergon/core/work';
import { t } from '../words/index.ts';

/** For what a standard is meant, as it is written on; the name is kept while everything is chosen. */
export type ScopeDraft = { kind: (typeof SCOPE_KINDS)[number]; name: string };

export const scopeDraft = (scope: StandardScope = { kind: 'general' }): ScopeDraft => ({
  kind: scope.kind,
  name: scope.kind === 'general' ? '' : scope.name,
});

/** As it is sent. */
export const scopeBody = ({ kind, name }: ScopeDraft) => (kind === 'general' ? { kind } : { kind, name });

const SCOPES = {
  general: t('work.everything'),
  item: t('work.item'),
  unitType: t('work.unitsOfType'),
  customer: t('work.customer'),
} as const;

export const sayScope = (scope: StandardScope = { kind: 'general' }): string =>
  scope.kind === 'general' ? SCOPES.general : `${SCOPES[scope.kind]} ${scope.name}`;
