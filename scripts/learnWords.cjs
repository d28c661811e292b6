/* global expect */
// Tests of pages read what a person reads at an English desk.
if (expect.getState().testPath.includes('/web/src/'))
  require('../web/src/words/say.ts').learn('en', require('../web/src/words/en/index.ts'));
