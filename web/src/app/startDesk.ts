import { createPinia } from 'pinia';
import { createApp } from 'vue';
import DeskApp from './DeskApp.vue';
import { queryPlugin } from '../kit/index.ts';
import { router } from './router.ts';

createApp(DeskApp).use(createPinia()).use(queryPlugin).use(router).mount('#app');
