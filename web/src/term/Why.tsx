import { Button } from '@mantine/core';
import type { PlanView } from '../api/types';
import { Stone } from '../ui/Stone';
import { date } from '../ui/words';
import classes from './Panels.module.css';
import shared from './Term.module.css';
import { madeByHand, useFree } from './useFree';

type Props = {
  view: PlanView;
  onLesson: (lesson: number) => void;
  /** Whether the plan may be let fill what was made by hand. */
  mayFree: boolean;
};

/** Rules that one class more for the plan would help. */
const SHORT_OF_CLASSES = new Set(['BY_HAND', 'FEW_CLASSES', 'EXAM_EARLY', 'MANY_NEW', 'TIME']);

/** More than these are looked at in the field. */
const MOST_FREED = 4;

/** What is broken or to be minded, what stands in the way with what helps least, and why the plan is as it is. */
export function Why({ view, onLesson, mayFree }: Props) {
  const placed = view.plan.placed.length > 0;
  return (
    <section aria-label="Why the plan is as it is">
      {view.impossible.map((one) => (
        <div key={one.rule} className={classes.impossible}>
          <strong>{one.sentence}</strong>
          <p>{one.relief}</p>
          {mayFree && SHORT_OF_CLASSES.has(one.rule) && <Freeing view={view} />}
        </div>
      ))}
      {placed && (
        <>
          <h2>Why the plan is as it is</h2>
          <ul className={classes.why}>
            {view.says.map((said) => {
              const at = view.lessons.findIndex((lesson) => lesson.id === said.lesson);
              return (
                <li key={said.sentence} data-level={said.level}>
                  <Stone severity={SEVERITY[said.level]} />
                  {at < 0 ? (
                    <span>{said.sentence}</span>
                  ) : (
                    <button type="button" onClick={() => onLesson(at)}>
                      {said.sentence}
                    </button>
                  )}
                </li>
              );
            })}
          </ul>
          <p className="quiet">
            How green a strip is, is what is likely to be remembered: a heuristic for planning, no verdict on
            anybody.
          </p>
        </>
      )}
    </section>
  );
}

/** Classes made by hand, each with the touch that lets the plan fill it. */
function Freeing({ view }: { view: PlanView }) {
  const { free, saving } = useFree();
  const own = madeByHand(view.lessons);
  if (own.length === 0) return null;
  return (
    <>
      <p>Made by hand, and left alone. Let the plan fill:</p>
      <p className={shared.acts}>
        {own.slice(0, MOST_FREED).map((lesson) => (
          <Button
            key={lesson.id}
            size="compact-md"
            variant="default"
            loading={saving}
            onClick={() => free(lesson)}
          >
            {date(lesson.date)}
          </Button>
        ))}
        {own.length > MOST_FREED && <span className="quiet">and {own.length - MOST_FREED} more</span>}
      </p>
    </>
  );
}

const SEVERITY = { BREAKS: 3, MINDS: 2, SAYS: 1 } as const;
