import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Problem, send, sendEditAs } from '../api/client';
import { isKind, type Kind, shownBy } from '../api/shows';
import { useNotices } from '../ui/Notices';

type Where = {
  /** Where it is added and, with its id, changed. */
  path: string;
  /** Where one is read with its tag, if that is somewhere else. */
  read?: string;
  /** What the journal calls it. */
  kind: Kind;
  /** It is never added by POST: its id is known before it is kept. */
  isPut?: true;
  /** An edit of it can be taken back. */
  isUndone?: false;
};

/** Where each kind of thing is sent. */
export const PLACES = {
  positions: { path: '/map/positions', read: '/map/pairs', kind: 'pair' },
  techniques: { path: '/map/techniques', kind: 'technique' },
  links: { path: '/map/links', kind: 'link' },
  reactions: { path: '/map/reactions', kind: 'reaction' },
  rulesets: { path: '/map/rulesets', kind: 'ruleset' },
  ladders: { path: '/ladders', kind: 'ladder' },
  tracks: {
    path: '/tracks',
    kind: 'track',
  },
  closures: { path: '/closures', kind: 'closure' },
  terms: { path: '/terms', kind: 'term' },
  plans: { path: '/plans', kind: 'plan' },
  cycles: { path: '/cycles', kind: 'cycle' },
  patterns: { path: '/patterns', kind: 'pattern' },
  classes: { path: '/classes', kind: 'class', isPut: true },
  people: { path: '/people', kind: 'student', isUndone: false },
} as const satisfies Record<string, Where>;

export type Place = keyof typeof PLACES;

const at = (place: Place): Where => PLACES[place];

/** Where one thing is read with its tag. */
export const readFrom = (place: Place, id: string) =>
  `${at(place).read ?? at(place).path}/${encodeURIComponent(id)}`;

type Save<T> = {
  place: Place;
  /** The thing as it was typed. */
  body: T;
  /** The tag of what was changed; null: it is new. */
  tag: string | null;
  done: string;
  /** Takes it back from its notice, where that is not the journal's. */
  back?: () => void;
};

/** Reads again what shows things of these kinds; what the eye is on before anything is said. */
export function useChanged() {
  const client = useQueryClient();
  return async (...kinds: Kind[]) => {
    const [first, ...rest] = shownBy(kinds);
    await client.invalidateQueries({ queryKey: [first] });
    for (const key of rest) client.invalidateQueries({ queryKey: [key] });
  };
}

/** Takes an edit back, and what stands on it with it, and says so. */
export function useUndo() {
  const changed = useChanged();
  const say = useNotices();
  return async (edit: string, standing: string[] = []) => {
    try {
      const { kinds } = await send('POST', `/edits/${edit}/undo?with=${standing.join(',')}`, {});
      await changed(...Object.keys(kinds).filter(isKind));
      say.done('Taken back.');
      return true;
    } catch (error) {
      say.failed(error);
      return false;
    }
  };
}

/** Says what was done; where the journal knows the edit, it can be taken back from the notice and from the list. */
export function useSayDone() {
  const say = useNotices();
  const undo = useUndo();
  return (done: string, edit: string | null | undefined) =>
    say.done(done, edit ? () => undo(edit) : undefined, edit);
}

/**
 * Saves things. What is refused stays typed, with the problem beside it.
 *
 * @param onRefused told of a problem, to show it where it is
 */
export function useEdit(onRefused?: (problem: Problem) => void) {
  const [problem, setProblem] = useState<Problem | null>(null);
  const [saving, setSaving] = useState(false);
  const say = useNotices();
  const sayDone = useSayDone();
  const changed = useChanged();

  /** What came of it; null: it was refused, and the problem says why. */
  const attempt = async <R>(work: () => Promise<R>): Promise<R | null> => {
    setSaving(true);
    setProblem(null);
    try {
      return await work();
    } catch (error) {
      const problem = error instanceof Problem ? error : new Problem(0, 'BROKEN', String(error));
      setProblem(problem);
      onRefused?.(problem);
      return null;
    } finally {
      setSaving(false);
    }
  };
  /** Says what was done; only what this very save changed can be taken back from its notice. */
  const told = async (place: Place, edit: string | null, done: string, back?: () => void) => {
    await changed(at(place).kind);
    if (back) say.done(done, back);
    else sayDone(done, at(place).isUndone === false ? null : edit);
  };
  return {
    problem,
    saving,
    forget: () => setProblem(null),
    save: <T extends { id: string }>({ place, body, tag, done, back }: Save<T>) =>
      attempt(async () => {
        const { path, isPut } = at(place);
        const { edit, value } = await (tag === null && !isPut
          ? sendEditAs<T>('POST', path, body)
          : sendEditAs<T>('PUT', `${path}/${body.id}`, body, tag ?? undefined));
        await told(place, edit, done, back);
        return value;
      }),
    retire: (place: Place, id: string, tag: string, done: string, back?: () => void) =>
      attempt(async () => {
        const { edit } = await sendEditAs('DELETE', `${at(place).path}/${id}`, undefined, tag);
        await told(place, edit, done, back);
        return true;
      }),
    merge: (id: string, into: string, done: string) =>
      attempt(async () => {
        const merged = await send('POST', `/map/techniques/${id}/merge`, { into });
        await changed('technique', 'link');
        sayDone(done, merged.edit);
        return true;
      }),
  };
}
