import { createPinia } from 'pinia';
import { createApp } from 'vue';
import '../../theme/fonts.ts';
import '../../theme/desk.scss';
import { keepShell } from '../../keepShell.ts';
import { queryPlugin } from '../../desk/queryPlugin.ts';
import WallApp from './WallApp.vue';

createApp(WallApp).use(createPinia()).use(queryPlugin).mount('#app');
// Nobody types at a wall: a new version may take over at any time.
keepShell('wall', () => true);
