import type { GoalRow, Lesson, PlanView } from '../api/types';
import { nth } from '../ui/lists';
import { Scroll } from '../ui/Scroll';
import { date, plain, STAGES } from '../ui/words';
import classes from './Field.module.css';
import { Mark } from './Mark';
import { isNewIn, weeksOf } from './plan';

export type Chosen = { lesson: number; subject: string | null } | null;

type Props = {
  view: PlanView;
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
  /** Moves what is met in a class to another one; missing where nothing is moved. */
  onMove?: (row: GoalRow, at: number, to: Lesson) => void;
  /** Classes that a new plan would change. */
  changed?: Set<string>;
};

const HIGH = 30;

/** The term as a strip field: sown where it is shown first, hoed where it is met again, as green as it is likely to be there. */
export function Field({ view, chosen, onChoose, onMove, changed }: Props) {
  const many = view.lessons.length;
  const x = (n: number) => (100 * (n + 0.5)) / many;
  const now = view.lessons.findIndex((lesson) => !lesson.over);
  const weeks = weeksOf(view);
  const fullest = Math.max(1, ...view.lessons.map((lesson) => Math.max(lesson.minutes, lesson.used)));
  return (
    <Scroll label="Field" className={classes.field}>
      <div className={classes.weeks} aria-hidden="true">
        <span />
        <div className={classes.strip}>
          {weeks.map((week, n) => {
            const first = view.lessons.findIndex((lesson) => lesson.week === week);
            const here = view.lessons.filter((lesson) => lesson.week === week).length;
            return (
              <span key={week} style={{ left: `${(100 * first) / many}%`, width: `${(100 * here) / many}%` }}>
                {n + 1}
              </span>
            );
          })}
        </div>
        <span />
      </div>
      <div className={classes.ticks}>
        <span>
          {date(view.from)} to {date(view.until)}
        </span>
        <ul className={classes.strip} aria-label="Classes">
          {view.lessons.map((lesson, n) => (
            <li key={lesson.id} style={{ left: `${(100 * n) / many}%`, width: `${100 / many}%` }}>
              <button
                type="button"
                aria-label={`${date(lesson.date)}${lesson.cancelled ? ', called off' : ''}`}
                aria-pressed={chosen?.lesson === n && chosen.subject === null}
                data-over={lesson.over || undefined}
                data-off={lesson.cancelled || undefined}
                data-changed={changed?.has(lesson.id) || undefined}
                onClick={() => onChoose({ lesson: n, subject: null })}
              />
            </li>
          ))}
        </ul>
        <span title={view.grading ? 'likely there on the day of the grading' : 'likely there at the end'}>
          {view.grading ? 'grading' : 'end'}
        </span>
      </div>
      {STAGES.map((stage, level) => {
        const rows = view.rows.filter((row) => row.stage === stage);
        if (rows.length === 0) return null;
        return (
          <section
            key={stage}
            aria-label={plain(stage)}
            className={classes.terrace}
            style={{ background: `var(--terrace-${level})` }}
          >
            <h2>{plain(stage)}</h2>
            {rows.map((row) => (
              <Plot key={row.subject} {...{ view, row, x, now, chosen, onChoose, onMove }} />
            ))}
          </section>
        );
      })}
      <div className={classes.used} aria-hidden="true">
        <span>Minutes of technique</span>
        <div className={classes.strip}>
          {view.lessons.map((lesson, n) => (
            <span
              key={lesson.id}
              style={{
                left: `${(100 * (n + 0.2)) / many}%`,
                width: `${60 / many}%`,
                height: `${(100 * lesson.minutes) / fullest}%`,
              }}
            >
              <b
                data-over={lesson.used > lesson.minutes || undefined}
                style={{ height: `${Math.min(100, (100 * lesson.used) / Math.max(1, lesson.minutes))}%` }}
              />
            </span>
          ))}
        </div>
        <span />
      </div>
    </Scroll>
  );
}

type PlotProps = Omit<Props, 'changed'> & { row: GoalRow; x: (n: number) => number; now: number };

/** One item over the term: its marks can be moved by key, and chosen by thumb. */
function Plot({ view, row, x, now, chosen, onChoose, onMove }: PlotProps) {
  const { grading } = view;
  const after = grading === null ? -1 : view.lessons.findIndex((lesson) => lesson.date > grading);
  const flag = grading === null ? -1 : after < 0 ? view.lessons.length : after;
  const points = row.before.flatMap((before, n) => {
    const met = row.at.includes(n);
    return met
      ? [`${x(n)},${HIGH * (1 - before)}`, `${x(n)},${HIGH * (1 - nth(row.after, n))}`]
      : [`${x(n)},${HIGH * (1 - nth(row.after, n))}`];
  });
  const missing = view.says.some((said) => said.level === 'BREAKS' && said.items.includes(row.subject));
  return (
    <div className={classes.plot} data-goal={row.subject}>
      <span className={classes.name}>
        {row.name}
        {!row.must && <small>if time allows</small>}
        <small className={classes.next}>{nextOf(view, row)}</small>
      </span>
      <div className={classes.strip}>
        <svg viewBox={`0 0 100 ${HIGH}`} preserveAspectRatio="none" aria-hidden="true">
          <polygon
            points={`${x(0)},${HIGH} ${points.join(' ')} 100,${HIGH * (1 - (row.after.at(-1) ?? 0))} 100,${HIGH}`}
          />
          <line x1="0" y1={HIGH} x2="100" y2={HIGH} />
        </svg>
        {view.lessons.map(
          (lesson, n) =>
            lesson.cancelled && (
              <span key={lesson.id} className={classes.off} style={{ left: `${x(n)}%` }} aria-hidden="true" />
            ),
        )}
        {now >= 0 && (
          <span
            className={classes.today}
            style={{ left: `${(100 * now) / view.lessons.length}%` }}
            aria-hidden="true"
          />
        )}
        {flag >= 0 && (
          <span
            className={classes.flag}
            style={{ left: `${(100 * flag) / view.lessons.length}%` }}
            aria-hidden="true"
          />
        )}
        {row.at.map((n) => (
          <Mark
            key={nth(view.lessons, n).id}
            {...{ view, row, n, x }}
            isChosen={chosen?.lesson === n && chosen.subject === row.subject}
            onChoose={() => onChoose({ lesson: n, subject: row.subject })}
            onMove={onMove && ((to) => onMove(row, n, to))}
          />
        ))}
        {row.at.length === 0 && <em>not yet</em>}
      </div>
      <span className={missing ? `${classes.end} ${classes.missing}` : classes.end}>
        {Math.round(100 * row.end)} %
      </span>
    </div>
  );
}

/** When it is met next; on a phone, where there is no strip. */
function nextOf(view: PlanView, row: GoalRow) {
  const next = row.at.find((n) => !nth(view.lessons, n).over);
  return next === undefined
    ? 'not met again'
    : `${isNewIn(row, next) ? 'new' : 'next'} ${date(nth(view.lessons, next).date)}`;
}
