import { createApp } from 'vue';
import '../theme/index.ts';
import '../theme/desk.scss';
import YardstickStates from './YardstickStates.vue';

createApp(YardstickStates).mount('#app');
