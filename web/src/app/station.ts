import { createApp } from 'vue';
import '../theme/index.ts';
import '../theme/station.scss';
import { languageOfBrowser, speak } from '../words/index.ts';

await speak(languageOfBrowser());
const { StationPage, loadStationWords } = await import('../station/index.ts');
await loadStationWords();
createApp(StationPage).mount('#app');
