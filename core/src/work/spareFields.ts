/** Fields of orders and tasks that a shop can do without: they are asked for nowhere, and shown only where they hold
 *  something. */
export const SPARE_FIELDS = [
  'unit',
  'item',
  'division',
  'jobType',
  'price',
  'charge',
  'parts',
  'description',
  'reports',
  'costCode',
  'optional',
  'assigned',
] as const;
export type SpareField = (typeof SPARE_FIELDS)[number];
