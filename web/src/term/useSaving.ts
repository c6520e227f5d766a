import { useLayoutEffect, useRef } from 'react';
import { Problem } from '../api/client';
import { type Place, useEdit } from '../form/useEdit';
import { useNotices } from '../ui/Notices';

const isSame = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other);

/**
 * Saves a plan or theme weeks as they are changed on the screen. Anybody who may change them may take a change back from its
 * notice, as long as it is the last one.
 *
 * @param kept as it stands
 * @param tag its tag
 */
export function useSaving<T extends { id: string }>(place: Place, kept: T, tag: string) {
  const edit = useEdit();
  const say = useNotices();
  const latest = useRef({ kept, tag });
  useLayoutEffect(() => {
    latest.current = { kept, tag };
  });
  const save = async (next: T, says: string, before: T = kept): Promise<T | null> => {
    let made: T | null = null;
    const back = () => {
      if (!made || isSame(latest.current.kept, made)) void save(before, 'Taken back.', made ?? next);
      else say.failed(new Problem(409, 'CHANGED', 'It was changed since: take that back first.'));
    };
    made = await edit.save<T>({
      place,
      body: next,
      tag: latest.current.tag,
      done: says,
      back,
    });
    return made;
  };
  return { problem: edit.problem, save };
}
