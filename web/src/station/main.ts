import { createApp } from 'vue';
import '../theme/fonts.ts';
import '../theme/station.scss';
import { keepShell } from './keepShell.ts';
import StationPage from './StationPage.vue';

createApp(StationPage).mount('#app');
keepShell();
