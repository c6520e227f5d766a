import { useCoaches } from '../api/mat';
import { useNames } from '../api/people';

/** What somebody who gives a class, or wrote something down, is called: a person's name, else the words as they stand. */
export function useWho(): (who: string | null | undefined) => string {
  const named = useCoaches().data?.names;
  const people = useNames().data;
  return (who) => (who ? (named?.[who] ?? people?.find((one) => one.id === who)?.name ?? who) : '');
}
