import { createPinia } from 'pinia';
import { createApp } from 'vue';
import { registerServiceWorker, queryPlugin } from '../kit/index.ts';
import { WallApp } from '../floor/index.ts';

createApp(WallApp).use(createPinia()).use(queryPlugin).mount('#app');
// Nobody types at a wall: a new version may take over at any time.
registerServiceWorker('wall', () => true);
