export { default as DateField } from './DateField.vue';
export { default as DeskFrame } from './DeskFrame.vue';
export { default as DiskWarning } from './DiskWarning.vue';
export { default as FormField } from './FormField.vue';
export { default as QueryState } from './QueryState.vue';
export { default as ReconcileTabs } from './ReconcileTabs.vue';
export { default as ShopLayout } from './ShopLayout.vue';
