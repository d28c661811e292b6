import { createApp } from 'vue';
import '../theme/fonts.ts';
import '../theme/desk.scss';
import YardstickStates from './YardstickStates.vue';

createApp(YardstickStates).mount('#app');
