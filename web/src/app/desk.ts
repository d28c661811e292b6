import '../theme/index.ts';
import '../theme/desk.scss';
import { languageOfBrowser, speak } from '../words/index.ts';

const dark = matchMedia('(prefers-color-scheme: dark)');
const follow = () => (document.documentElement.dataset['bsTheme'] = dark.matches ? 'dark' : 'light');
dark.addEventListener('change', follow);
follow();

// Whatever says something is loaded after the language is.
await speak(languageOfBrowser());
await import('./startDesk.ts');
