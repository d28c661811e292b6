import { CODE_ERROR_CODES } from '@wergon/core/scan';
import { PROMPTS, REFUSALS, sayDone, spellLength } from './messages.ts';

test.each([
  [0, '0 s'],
  [59, '59 s'],
  [60, '1 min'],
  [3599, '59 min'],
  [3600, '1 h 0 min'],
  [5460, '1 h 31 min'],
])('%i seconds are spoken as %s', (seconds, words) => expect(spellLength(seconds)).toBe(words));

test.each(CODE_ERROR_CODES)('%s has a headline and says what to do', (code) => {
  const { headline, help } = REFUSALS[code]('T12');
  expect(headline.length).toBeGreaterThan(5);
  expect(help).toMatch(/scan/i);
});

test('no words at the station shout or leave a blank to fill', () => {
  const all = [
    ...Object.values(PROMPTS),
    ...Object.values(REFUSALS).flatMap((say) => Object.values(say('24117'))),
  ];
  for (const words of all) expect(words).not.toMatch(/!|undefined|\$\{/);
});

test('a stop is closed with its length in words', () => {
  const said = { kind: 'stopped', technician: 'ada', left: [], since: 0, at: 5460 } as never;
  expect(sayDone(said, { target: '', left: 'Winding, 24117', length: '1 h 31 min' })).toBe(
    'Left Winding, 24117 after 1 h 31 min',
  );
});

test.each([
  [{ kind: 'started', workType: 'run' }, 'Started Winding', 'plain work is not named'],
  [{ kind: 'started', workType: 'setup' }, 'Started setup of Winding', 'other work is'],
  [{ kind: 'switched', workType: 'rework' }, 'Switched to rework of Winding', 'and on a switch'],
  [{ kind: 'work-type', workType: 'down' }, 'Now down of Strip', 'a new kind of the same'],
  [{ kind: 'done' }, 'Strip done after 4 min', 'done closes with its length'],
  [{ kind: 'break' }, 'On a break', 'a break'],
  [{ kind: 'break-over' }, 'Back from the break', 'its end'],
  [{ kind: 'calibrated' }, 'This scanner is known now', 'a calibration'],
])('%j is said as “%s”: %s', (said, words) =>
  expect(sayDone(said as never, { target: 'Winding', left: 'Strip', length: '4 min' })).toBe(words),
);
