import fc from 'fast-check';
import { LEAVE_STANDINGS, LEAVE_STATES, nextLeaveStanding, planOfAnswer } from './leaveStanding.ts';
import type { LeaveStanding } from './leaveStanding.ts';

const SAID = [...LEAVE_STATES, 'withdrawn'] as const;

test.each<[said: string, standing: LeaveStanding, why: string]>([
  ['', 'asked', 'nobody has answered yet'],
  ['granted', 'granted', ''],
  ['refused', 'refused', ''],
  ['refused granted', 'granted', 'after all'],
  ['granted refused', 'refused', 'and not after all'],
  ['withdrawn', 'taken-back', 'before anybody answered'],
  ['refused withdrawn', 'taken-back', ''],
  ['granted withdrawn', 'not-wanted', 'it is in the plan: somebody takes it out'],
  ['granted withdrawn taken-out', 'taken-back', ''],
  ['granted withdrawn granted', 'granted', 'it stays'],
  ['granted taken-out', 'granted', 'out comes only what is not wanted'],
  ['withdrawn granted', 'taken-back', 'what was taken back stays so'],
])('“%s” is %s (%s)', (said, standing) => {
  const all = said.split(' ').flatMap((word) => SAID.filter((each) => each === word));
  expect(all.reduce(nextLeaveStanding, 'asked' as LeaveStanding)).toBe(standing);
});

test('the plan holds time off as long as it stands as granted, whatever is said and in whatever order', () => {
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...SAID), { maxLength: 12 }), (said) => {
      let standing: LeaveStanding = 'asked';
      let isPlanned = false;
      for (const each of said) {
        if (each !== 'withdrawn') {
          const change = planOfAnswer(standing, each);
          // An answer that cannot be given changes nothing.
          if (change === 'leave.taken_back' || change === 'leave.still_wanted') continue;
          if (change === 'in') isPlanned = true;
          if (change === 'out') isPlanned = false;
        }
        standing = nextLeaveStanding(standing, each);
        expect(LEAVE_STANDINGS).toContain(standing);
        expect(isPlanned).toBe(standing === 'granted' || standing === 'not-wanted');
      }
    }),
  );
});
