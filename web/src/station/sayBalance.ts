import { balanceOf, formatBalance } from '@wergon/core/compare';
import type { HoursStyle } from '@wergon/core/time';
import type { TaskStanding } from '@wergon/core/floor';
import type { Words } from './words/index.ts';

/** What a task comes to against its estimate, as a station says it: hours over, left, or used where nobody estimated. */
export function sayBalance(
  { usedSeconds, leftSeconds, overSeconds, isLow }: TaskStanding['comparison'],
  { over, left, low, used }: Pick<Words['ui'], 'over' | 'left' | 'low' | 'used'>,
  style: HoursStyle,
): { readonly isOver: boolean; readonly text: string } {
  const balance = balanceOf({ used: usedSeconds, left: leftSeconds, over: overSeconds });
  const isOver = balance.kind === 'over';
  const word = isOver ? over : balance.kind === 'used' ? used : isLow ? low : left;
  return { isOver, text: `${formatBalance(balance, style)} ${word}` };
}
