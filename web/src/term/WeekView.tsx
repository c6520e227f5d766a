import { useEffect, useRef } from 'react';
import type { PlanView } from '../api/types';
import { nth } from '../ui/lists';
import { Scroll } from '../ui/Scroll';
import { date, time } from '../ui/words';
import type { Chosen } from './Field';
import { isNewIn, rowsIn, weeksOf } from './plan';
import classes from './WeekView.module.css';

const SHOWN = 4;

type Props = {
  view: PlanView;
  chosen: Chosen;
  onChoose: (chosen: Chosen) => void;
  changed?: Set<string>;
};

/** The same plan week by week: a column for each weekly time, what is new solid, what is met again outlined. */
export function WeekView({ view, chosen, onChoose, changed }: Props) {
  const now = useRef<HTMLTableRowElement>(null);
  useEffect(() => now.current?.scrollIntoView({ block: 'center' }), []);
  const current = view.lessons.find((lesson) => !lesson.over)?.week;
  const slots = [...new Set(view.lessons.map((lesson) => lesson.slot))];
  return (
    <Scroll label="Weeks" className={classes.byWeek}>
      <table>
        <thead>
          <tr>
            <th scope="col">Week</th>
            {slots.map((slot) => {
              const lesson = view.lessons.find((one) => one.slot === slot);
              return (
                <th key={slot} scope="col">
                  {lesson && `${date(lesson.date).slice(0, 3)} ${time(lesson.start)}`}
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {weeksOf(view).map((week, n) => (
            <tr key={week} ref={week === current ? now : undefined}>
              <th scope="row">
                {n + 1}
                <small>{date(week).slice(4)}</small>
              </th>
              {slots.map((slot) => {
                const at = view.lessons.findIndex((one) => one.slot === slot && one.week === week);
                if (at < 0) return <td key={slot} className={classes.shut} />;
                const lesson = nth(view.lessons, at);
                const rows = rowsIn(view, at);
                return (
                  <td key={slot}>
                    <button
                      type="button"
                      aria-pressed={chosen?.lesson === at}
                      data-over={lesson.over || undefined}
                      data-off={lesson.cancelled || undefined}
                      data-changed={changed?.has(lesson.id) || undefined}
                      onClick={() => onChoose({ lesson: at, subject: null })}
                    >
                      <small>{date(lesson.date).slice(4)}</small>
                      {lesson.cancelled && <em>called off</em>}
                      {rows.slice(0, SHOWN).map((row) => (
                        <span key={row.subject} data-sown={isNewIn(row, at) || undefined}>
                          {row.name}
                        </span>
                      ))}
                      {rows.length > SHOWN && <em>+{rows.length - SHOWN}</em>}
                      {rows.length === 0 && !lesson.cancelled && (
                        <em>{lesson.own ? 'made by hand' : 'nothing'}</em>
                      )}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </Scroll>
  );
}
