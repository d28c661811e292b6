export { default as StationPage } from './StationPage.vue';
export { loadStationWords } from './words/index.ts';
