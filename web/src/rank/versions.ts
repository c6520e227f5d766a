import type { SyllabusVersion } from '../api/types';
import { date } from '../ui/words';

/** A day on which a version is in force, by which it is asked for; null: there is only one. */
export const dayOf = ({ from, until }: Pick<SyllabusVersion, 'from' | 'until'>) => until ?? from;

/** The version of a day; without one the last of the older ones that somebody stands on, since they are moved from there. */
export function chosenOf(versions: SyllabusVersion[], day: string | null): number {
  const asked = versions.findIndex((one) => day !== null && dayOf(one) === day);
  const older = versions.findIndex((one, at) => at > 0 && one.people > 0);
  return Math.max(0, asked >= 0 ? asked : older);
}

/** "From Thu 1 Jan", "Until Wed 31 Dec", "Fri 1 May to Wed 31 Dec". */
export function versionInWords({ from, until }: Pick<SyllabusVersion, 'from' | 'until'>): string {
  if (from && until) return `From ${date(from)} until ${date(until)}`;
  return from ? `From ${date(from)}` : until ? `Until ${date(until)}` : 'As it is asked now';
}
