import { createApp } from 'vue';
import '../theme/fonts.ts';
import '../theme/station.scss';
import StationPage from './StationPage.vue';

createApp(StationPage).mount('#app');
