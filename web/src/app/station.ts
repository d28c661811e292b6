import { createApp } from 'vue';
import '../theme/index.ts';
import '../theme/station.scss';
import { languageOfBrowser, speak } from '../words/index.ts';

await speak(languageOfBrowser());
const { StationPage } = await import('../station/index.ts');
createApp(StationPage).mount('#app');
