export { badgeKey, cardKey } from './badgeKey.ts';
export {
  benchSchema,
  directoryChangesSchema,
  directorySchema,
  ownPhoneSchema,
  proveSelfSchema,
  writeDownSchema,
  writtenDownSchema,
  provedSchema,
} from './directory.ts';
export type { Directory, DirectoryChanges } from './directory.ts';
export { answerSchema, floorEntrySchema, requestsSchema } from './floorEntry.ts';
export type { RequestsJson } from './floorEntry.ts';
export { mergeDirectory } from './mergeDirectory.ts';
export { readDirectory } from './readDirectory.ts';
export {
  batchResultSchema,
  batchSchema,
  newStationSchema,
  pairSchema,
  pairedSchema,
  pairingSchema,
  saveStationSchema,
  scannerProfileSchema,
  sentEntrySchema,
  stationsSchema,
} from './station.ts';
export type { BatchResult, SentEntry } from './station.ts';
