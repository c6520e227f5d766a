import type { Track } from '../api/types';

type Slot = Track['slots'][number];

/** The days of a week, as they are said. */
export const DAYS: Record<Slot['day'], string> = {
  MONDAY: 'Monday',
  TUESDAY: 'Tuesday',
  WEDNESDAY: 'Wednesday',
  THURSDAY: 'Thursday',
  FRIDAY: 'Friday',
  SATURDAY: 'Saturday',
  SUNDAY: 'Sunday',
};
