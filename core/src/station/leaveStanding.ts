/** How time off stands that somebody asked for: not answered yet, granted, refused, taken back before it was granted or
 *  taken out of the plan since, or granted and not wanted after all. */
export const LEAVE_STANDINGS = ['asked', 'granted', 'refused', 'not-wanted', 'taken-back'] as const;
export type LeaveStanding = (typeof LEAVE_STANDINGS)[number];

/** What the desk says of time off that somebody asked for; out of the plan comes only what they take back. */
export const LEAVE_STATES = ['granted', 'refused', 'taken-out'] as const;
export type LeaveState = (typeof LEAVE_STATES)[number];

const isPlanned = (standing: LeaveStanding) => standing === 'granted' || standing === 'not-wanted';

/** How time off stands after something was said of it, by the desk or by whoever asked (`withdrawn`). What was taken back
 *  stays so. Source: docs/pay.md, time off. */
export function nextLeaveStanding(before: LeaveStanding, said: LeaveState | 'withdrawn'): LeaveStanding {
  if (before === 'taken-back') return before;
  switch (said) {
    case 'granted':
    case 'refused':
      return said;
    case 'taken-out':
      return before === 'not-wanted' ? 'taken-back' : before;
    case 'withdrawn':
      return isPlanned(before) ? 'not-wanted' : 'taken-back';
  }
}

/** What an answer does to the plan: time off comes in, or what this request was granted goes out; or why the answer cannot
 *  be given. */
export function planOfAnswer(
  standing: LeaveStanding,
  state: LeaveState,
): 'in' | 'out' | 'nothing' | 'leave.taken_back' | 'leave.still_wanted' {
  if (standing === 'taken-back') return 'leave.taken_back';
  if (state === 'granted') return 'in';
  if (state === 'taken-out' && standing !== 'not-wanted') return 'leave.still_wanted';
  return isPlanned(standing) ? 'out' : 'nothing';
}
