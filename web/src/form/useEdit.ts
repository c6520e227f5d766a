import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Problem, send, sendEdit } from '../../api/client';
import type { Merged } from '../../api/types';
import { useNotices } from '../../ui/Notices';

/** Where each kind of thing is sent, and what the journal calls it. */
export const PLACES = {
  positions: 'pair',
  techniques: 'technique',
  links: 'link',
  reactions: 'reaction',
} as const;

export type Place = keyof typeof PLACES;

type Save = {
  place: Place;
  /** The thing as it was typed. */
  body: { id: string };
  /** The tag of what was changed; null: it is new. */
  tag: string | null;
  done: string;
};

/** Everything that a change of the map may show in. */
export function useMapChanged() {
  const client = useQueryClient();
  return async () => {
    await client.invalidateQueries({ queryKey: ['map'] });
    client.invalidateQueries({ queryKey: ['chains'] });
    client.invalidateQueries({ queryKey: ['ladders'] });
    client.invalidateQueries({ queryKey: ['people'] });
  };
}

/** Takes an edit back, and says so. */
export function useUndo() {
  const changed = useMapChanged();
  const say = useNotices();
  return async (edit: string) => {
    try {
      await send('POST', `/map/undo/${edit}`, {});
      await changed();
      say.done('Taken back.');
    } catch (error) {
      say.failed(error);
    }
  };
}

/** Saves parts of the map. What is refused stays typed, with the problem beside it. */
export function useMapEdit() {
  const [problem, setProblem] = useState<Problem | null>(null);
  const [saving, setSaving] = useState(false);
  const say = useNotices();
  const changed = useMapChanged();
  const undo = useUndo();

  const attempt = async (work: () => Promise<void>): Promise<boolean> => {
    setSaving(true);
    setProblem(null);
    try {
      await work();
      return true;
    } catch (error) {
      setProblem(error instanceof Problem ? error : new Problem(0, 'BROKEN', String(error)));
      return false;
    } finally {
      setSaving(false);
    }
  };
  /** Says what was done; only what this very save changed can be taken back from its notice. */
  const told = async (edit: string | null, done: string) => {
    await changed();
    say.done(done, edit === null ? undefined : () => undo(edit));
  };
  return {
    problem,
    saving,
    forget: () => setProblem(null),
    save: ({ place, body, tag, done }: Save) =>
      attempt(async () => {
        const { edit } = await (tag === null
          ? sendEdit('POST', `/map/${place}`, body)
          : sendEdit('PUT', `/map/${place}/${body.id}`, body, tag));
        await told(edit, done);
      }),
    retire: (place: Place, id: string, tag: string, done: string) =>
      attempt(async () => {
        const { edit } = await sendEdit('DELETE', `/map/${place}/${id}`, undefined, tag);
        await told(edit, done);
      }),
    merge: (id: string, into: string, done: string) =>
      attempt(async () => {
        const merged = await send<Merged>('POST', `/map/techniques/${id}/merge`, { into });
        await changed();
        say.done(done, () => undo(merged.edit));
      }),
  };
}
