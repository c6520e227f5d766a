import type { PlanView } from '../api/types';
import { Stone } from '../ui/Stone';
import classes from './Term.module.css';

/** What is broken or to be minded, what stands in the way with what helps least, and why the plan is as it is. */
export function Why({ view, onLesson }: { view: PlanView; onLesson: (lesson: number) => void }) {
  const placed = view.plan.placed.length > 0;
  return (
    <section aria-label="Why the plan is as it is">
      {view.impossible.map((one) => (
        <div key={one.rule} className={classes.impossible}>
          <strong>{one.sentence}</strong>
          <p>{one.relief}</p>
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

const SEVERITY = { BREAKS: 3, MINDS: 2, SAYS: 1 } as const;
