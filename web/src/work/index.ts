export { default as OrderActs } from './OrderActs.vue';
export { default as OrderPapers } from './OrderPapers.vue';
export { workPages } from './pages.ts';
export { sayState } from './stateWords.ts';
export { usePastWork } from './usePastWork.ts';
