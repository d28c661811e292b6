export { readDirectory } from './readDirectory.ts';
export {
  batchResultSchema,
  batchSchema,
  directorySchema,
  newStationSchema,
  pairSchema,
  pairingSchema,
  problemSchema,
  scannerProfileSchema,
  sentEntrySchema,
  stationsSchema,
  unreadScanSchema,
} from './station.ts';
export type { BatchResult, DirectoryJson, Problem, SentEntry } from './station.ts';
