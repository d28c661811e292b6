import '../theme/index.ts';
import '../theme/desk.scss';
import { speak } from '../words/atDesk.ts';
import { languageOfBrowser } from '../words/index.ts';

await speak(languageOfBrowser());
await import('./startWall.ts');
