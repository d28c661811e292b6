export { default as ChargeFields } from './ChargeFields.vue';
export { shopPages } from './pages.ts';
