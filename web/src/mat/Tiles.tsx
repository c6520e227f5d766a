import type { Attendance, Student } from '../api/types';
import { plain } from '../ui/words';
import classes from './MatPage.module.css';

type Props = {
  people: Student[];
  here: Map<string, Attendance>;
  chosen: string | null;
  readOnly: boolean;
  label: string;
  onTap: (student: Student) => void;
};

/** What the called-by name does not say already. */
const restOf = ({ name, calledBy }: Student) =>
  name.startsWith(`${calledBy} `) ? name.slice(calledBy.length + 1) : name;

/** A tile for each person, by the name they are called; a tap checks in or chooses. */
export function Tiles({ people, here, chosen, readOnly, label, onTap }: Props) {
  return (
    <ul className={classes.tiles} aria-label={label}>
      {people.map((person) => (
        <li key={person.id}>
          <button
            type="button"
            data-student={person.id}
            className={person.id === chosen ? `${classes.tile} ${classes.chosen}` : classes.tile}
            aria-pressed={here.has(person.id)}
            disabled={readOnly}
            onClick={() => onTap(person)}
          >
            <strong>{person.calledBy}</strong>
            <span>{restOf(person)}</span>
            {person.restrictions.map((r) => (
              <span key={r.kind} className={classes.limit}>
                {plain(r.kind).toLowerCase()}
              </span>
            ))}
          </button>
        </li>
      ))}
    </ul>
  );
}
