import { Link } from 'react-router';
import type { CycleView } from '../../api/types';
import { nth } from '../../ui/lists';
import { date } from '../../ui/words';
import classes from './Cycle.module.css';

/** The weeks of one round from now on: what each class shows, and what it meets again. */
export function Ahead({ view }: { view: CycleView }) {
  const weeks = view.weeks.slice(0, view.themes.length);
  if (weeks.length === 0) return null;
  return (
    <table className={classes.ahead}>
      <caption>From now on</caption>
      <tbody>
        {weeks.map((week) => (
          <tr key={week.monday}>
            <th scope="row">
              {nth(view.themes, week.theme).name}
              <small>week of {date(week.monday).slice(4)}</small>
            </th>
            {week.classes.map((one) => (
              <td key={one.id}>
                <Link to={`/mat/${one.id}`}>{date(one.date).slice(0, 10)}</Link>
                {one.shown.map((shown) => (
                  <span key={shown.subject} data-again={!shown.first || undefined}>
                    {shown.name}
                    {!shown.first && <small> again</small>}
                  </span>
                ))}
                {one.shown.length === 0 && <span className="quiet">nothing</span>}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
