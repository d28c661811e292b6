import { createApp } from 'vue';
import '../theme/index.ts';
import '../theme/station.scss';
import { languageOfBrowser, speakAtStation } from '../words/index.ts';

speakAtStation(languageOfBrowser());
const { StationPage } = await import('../station/index.ts');
createApp(StationPage).mount('#app');
