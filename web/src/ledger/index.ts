export { default as ScanHistory } from './ScanHistory.vue';
export { sayEntryType } from './entryWords.ts';
export { ledgerPages } from './pages.ts';
