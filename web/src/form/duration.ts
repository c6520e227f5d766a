/** 5:00 */
export const minutesAndSeconds = (seconds: number) =>
  `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;

/**
 * Seconds of what a coach types: "5" and "5 min" are minutes, "5:30" minutes and seconds, "0:45" or "45 s" seconds; null if
 * it is none of these.
 */
export function secondsOf(typed: string): number | null {
  const text = typed.trim().toLowerCase();
  if (text === '') return 0;
  const clock = /^(\d{1,3}):([0-5]?\d)$/.exec(text);
  if (clock) return Number(clock[1]) * 60 + Number(clock[2]);
  const seconds = /^(\d{1,4})\s*s(ec|econds?)?$/.exec(text);
  if (seconds) return Number(seconds[1]);
  const minutes = /^(\d{1,3}(?:[.,]\d)?)\s*(m|min|minutes?)?$/.exec(text);
  return minutes?.[1] ? Math.round(Number(minutes[1].replace(',', '.')) * 60) : null;
}
