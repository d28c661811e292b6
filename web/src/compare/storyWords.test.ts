import { sayEvent } from './storyWords.ts';

test.each<[kind: Parameters<typeof sayEvent>[0]['kind'], about: string, text: string, said: string]>([
  ['note', '1001 Strip', 'Slot 4 is burnt', 'noted on 1001 Strip: Slot 4 is burnt'],
  ['note', '', 'The crane is down', 'noted: The crane is down'],
  ['pieces', '1001 Strip', '4 good, 1 scrap', 'reported pieces of 1001 Strip: 4 good, 1 scrap'],
  ['reading', '1001 Test', 'Insulation 4 MΩ', 'measured at 1001 Test: Insulation 4 MΩ'],
  ['request', '', 'a part: Slot paper', 'asked for a part: Slot paper'],
  ['request', '1001 Strip', 'help ', 'asked for help, on 1001 Strip'],
  ['done', '1001 Strip', '', 'finished 1001 Strip'],
  ['reopened', '1001 Strip', '', 'reopened 1001 Strip'],
  ['order', '', 'made as a draft', 'created the order as a draft'],
  ['order', '', 'Due none → 2026-03-04', 'changed the order: Due none → 2026-03-04'],
])('%s of %j with %j: %s', (kind, about, text, said) => expect(sayEvent({ kind, about, text })).toBe(said));
