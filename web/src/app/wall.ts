import '../theme/index.ts';
import '../theme/desk.scss';
import { languageOfBrowser, speak } from '../words/index.ts';

await speak(languageOfBrowser());
await import('./startWall.ts');
