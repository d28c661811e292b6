export { default as Yardstick } from './Yardstick.vue';
export { useTheme } from './chartInk.ts';
export { sayShare } from './whyWords.ts';
export { sayBalance, yardstickWords } from './figures.ts';
export { comparePages } from './pages.ts';
