import { readTagged } from '../api/client';
import type { Lesson } from '../api/types';
import { useEdit } from '../form/useEdit';
import { useNotices } from '../ui/Notices';
import { date } from '../ui/words';

/** Classes to come that a coach has made by hand: the plan fills one of them only where it is let. */
export const madeByHand = (lessons: Lesson[]) =>
  lessons.filter((lesson) => lesson.own && !lesson.over && !lesson.cancelled);

/** Lets the plan fill a class that was made by hand: its blocks go, and come back with Undo. */
export function useFree() {
  const say = useNotices();
  const { save, saving } = useEdit((problem) => say.failed(problem));
  const free = async (lesson: Lesson) => {
    try {
      const { value, tag } = await readTagged(`/classes/${lesson.id}`);
      await save({
        place: 'classes',
        body: { ...value.training, blocks: [], pinned: false },
        tag,
        done: `${date(lesson.date)} is the plan’s to fill.`,
      });
    } catch (error) {
      say.failed(error);
    }
  };
  return { free, saving };
}
