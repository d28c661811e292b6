export { default as StationPage } from './StationPage.vue';
