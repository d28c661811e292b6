import type { RouteName } from '@wergon/contract/routes';

/** Which reads are answered apart from the rest, on connections of their own that only read, so that no scan waits for
 *  them. What pages ask for again and again has a reader to itself: it does not wait for what takes seconds either. */
export const READ_APART: Partial<Record<RouteName, 'often' | 'long'>> = {
  floor: 'often',
  latest: 'often',
  requests: 'often',
  work: 'often',
  order: 'often',
  personDay: 'often',
  week: 'often',
  targets: 'often',
  line: 'often',
  rail: 'long',
  looseEnds: 'long',
  pastWork: 'long',
  unapprovedWork: 'long',
  unapprovedOrder: 'long',
  story: 'long',
  jobWeek: 'long',
  accounted: 'long',
  approvals: 'long',
  payPeriods: 'long',
  payPeriod: 'long',
  trail: 'long',
  verifyChain: 'long',
  rulesEffect: 'long',
  checklist: 'long',
  exportOrders: 'long',
  exportPeople: 'long',
  exportRates: 'long',
  exportStandards: 'long',
};
