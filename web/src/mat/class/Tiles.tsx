import type { Attendance, Name } from '../../api/types';
import { plain } from '../../ui/words';
import classes from './MatPage.module.css';
import type { Elsewhere } from './useBeside';

type Props = {
  people: Name[];
  here: Map<string, Attendance>;
  /** Who is in another group of a split class. */
  elsewhere?: Map<string, Elsewhere>;
  chosen: string | null;
  readOnly: boolean;
  label: string;
  onTap: (person: Name) => void;
};

/** What the called-by name does not say already. */
const restOf = ({ name, calledBy }: Name) =>
  name.startsWith(`${calledBy} `) ? name.slice(calledBy.length + 1) : name;

/** A tile for each person, by the name they are called; a tap checks in or chooses. */
export function Tiles({ people, here, elsewhere, chosen, readOnly, label, onTap }: Props) {
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
            {elsewhere?.has(person.id) && !here.has(person.id) && (
              <span className={classes.limit}>in {elsewhere.get(person.id)?.group}</span>
            )}
            {person.guest && (
              <span className={person.guest.fallsKnown ? undefined : classes.limit}>
                {person.guest.fallsKnown ? 'guest' : 'guest, falls not known'}
              </span>
            )}
            {person.step && <span className={classes.limit}>{person.step}</span>}
            {person.limits.map((kind) => (
              <span key={kind} className={classes.limit}>
                {plain(kind).toLowerCase()}
              </span>
            ))}
          </button>
        </li>
      ))}
    </ul>
  );
}
