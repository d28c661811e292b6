import { createPinia } from 'pinia';
import { createApp } from 'vue';
import '../theme/index.ts';
import '../theme/desk.scss';
import DeskApp from './DeskApp.vue';
import { queryPlugin } from '../kit/index.ts';
import { router } from './router.ts';

const dark = matchMedia('(prefers-color-scheme: dark)');
const follow = () => (document.documentElement.dataset['bsTheme'] = dark.matches ? 'dark' : 'light');
dark.addEventListener('change', follow);
follow();

createApp(DeskApp).use(createPinia()).use(queryPlugin).use(router).mount('#app');
