/** A minute of the day as people write it, `6:30`. */
export const writeClock = (minute: number): string =>
  `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;

/** Reads `6:30`, `6.30`, `630` or `6` as a minute of the day; -1 for what is no time of day. */
export function readClock(text: string): number {
  const match = /^(\d{1,2})(?:[:.]?(\d{2}))?$/.exec(text.trim());
  if (!match) return -1;
  const [hours, minutes] = [Number(match[1]), Number(match[2] ?? 0)];
  return hours < 24 && minutes < 60 ? hours * 60 + minutes : -1;
}
