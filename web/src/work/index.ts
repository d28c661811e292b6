export { default as OrderActs } from './OrderActs.vue';
export { default as OrderPapers } from './OrderPapers.vue';
export { workPages } from './pages.ts';
export { STATE_WORDS } from './stateWords.ts';
export { usePastWork } from './usePastWork.ts';
