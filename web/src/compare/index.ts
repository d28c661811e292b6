export { default as Yardstick } from './Yardstick.vue';
export { sayBalance, yardstickWords } from './figures.ts';
export { comparePages } from './pages.ts';
