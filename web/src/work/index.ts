export { default as EstimatesLine } from './EstimatesLine.vue';
export { default as OfferPanel } from './OfferPanel.vue';
export { default as OrderActs } from './OrderActs.vue';
export { default as OrderPapers } from './OrderPapers.vue';
export { workPages } from './pages.ts';
export { sayState } from './stateWords.ts';
export { usePastWork } from './usePastWork.ts';
