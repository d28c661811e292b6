export { default as TargetPicker } from './TargetPicker.vue';
export { tapePages } from './pages.ts';
