import type { ClassSheet, Name } from '../../api/types';
import { count, moment } from '../../ui/words';
import classes from './MatPage.module.css';

/** Who was down as here and was taken out again, by whom and when. */
export function Corrections({ sheet, people }: { sheet: ClassSheet; people: Name[] }) {
  if (sheet.gone.length === 0) return null;
  return (
    <details className={classes.corrections}>
      <summary>{count(sheet.gone.length, 'correction', 'corrections')}</summary>
      <ul>
        {sheet.gone.map((one) => (
          <li key={one.id}>
            {people.find((who) => who.id === one.student)?.name ?? 'Somebody who left'}
            <span className="quiet">
              {' '}
              {one.at && `in ${moment(one.at)}`}
              {one.by && `, ${one.by}`}; out {moment(one.goneAt)}
              {one.goneBy && `, ${one.goneBy}`}
            </span>
          </li>
        ))}
      </ul>
    </details>
  );
}
