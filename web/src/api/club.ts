import { useQuery } from '@tanstack/react-query';
import { createContext, useContext } from 'react';
import type { Problem } from './client';
import { read, readTagged } from './client';
import type { Done, Edited, LetterView, Numbers, Session, Telling, WayIn, Welcome, Word } from './types';

/** Who is signed in, and what the sign-in page needs to know. */
export const useWelcome = () =>
  useQuery<Welcome, Problem>({
    queryKey: ['session'],
    queryFn: () => read('/session/welcome'),
    retry: false,
    staleTime: 5 * 60_000,
    gcTime: Infinity,
  });

export const useSession = () => {
  const welcome = useWelcome();
  const was = useContext(LastSession);
  return { data: welcome.data?.session ?? was };
};

/** Who was signed in last: while the sign-in is done again over the page, the page stays theirs. */
export const LastSession = createContext<Session | null>(null);

/** The words of the mat; they hardly ever change. */
export const useWords = (enabled = true) =>
  useQuery<Word[], Problem>({
    queryKey: ['words'],
    queryFn: () => read('/words'),
    staleTime: Infinity,
    enabled,
  });

/** What was done to one thing, the newest first. */
export const useHistory = (kind: string, id: string) =>
  useQuery<Edited[]>({
    queryKey: ['map', 'history', kind, id],
    queryFn: () => read(`/edits/history?kind=${kind}&id=${id}`),
  });

/** The club's numbers with what may be chosen, and their tag. */
export const useNumbers = () =>
  useQuery<{ value: Numbers; tag: string }>({
    queryKey: ['numbers'],
    queryFn: () => readTagged('/numbers'),
  });

/** Of age, as long as the club has not said otherwise. */
export const OF_AGE = 18;

/** From which age on nobody's guardian is asked. */
export const useOfAge = () => useNumbers().data?.value.numbers.ofAge ?? OF_AGE;

/** The last ten edits of this account, the newest first. */
export const useLastEdits = () =>
  useQuery<Done[]>({ queryKey: ['edits'], queryFn: () => read('/edits'), staleTime: 0 });

/** Who would be told of a change of a class now. */
export const useTelling = (id: string) =>
  useQuery<Telling>({ queryKey: ['classes', id, 'telling'], queryFn: () => read(`/classes/${id}/telling`) });

/** The letters that lie ready. */
export const useLetters = () =>
  useQuery<LetterView[]>({ queryKey: ['letters'], queryFn: () => read('/letters') });

/** How a tablet comes in. */
export const useWayIn = () => useQuery<WayIn>({ queryKey: ['tablet'], queryFn: () => read('/tablet') });
