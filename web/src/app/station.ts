import { createApp } from 'vue';
import '../theme/index.ts';
import '../theme/station.scss';
import { StationPage } from '../station/index.ts';

createApp(StationPage).mount('#app');
